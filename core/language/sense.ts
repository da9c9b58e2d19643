import type { Gate, Standing } from '../knowledge/vocabulary'
import type { NameplateField } from '../knowledge/said/plate-said'
import type { Role } from '../knowledge/said/roles-said'
import type { Finding } from '../diagnosis/finding'

/** How much an outcome's word says by itself: the check too, or no more than the answer. */
export type Needs = 'nothing' | 'topic' | 'name'

/** One thing that a phrase can mean. Most phrases mean several; the line decides. */
export type Sense =
  | { is: 'check'; check: string; thing: boolean }
  | { is: 'outcome'; check: string; outcome: string; needs: Needs }
  | { is: 'vague'; check: string }
  | { is: 'part'; part: string }
  | { is: 'place'; at: string }
  | { is: 'half'; half: 'motor' | 'pump-end' }
  | { is: 'side'; side: 'motor' | 'pump' }
  | { is: 'setup'; setup: NonNullable<Finding['setup']> }
  | { is: 'age'; age: 'new' | 'used' }
  | { is: 'legs' }
  | { is: 'plate'; field: NameplateField }
  | { is: 'gate'; gate: Gate; shut: boolean }
  | { is: 'standing'; at: Standing }
  | { is: 'role'; role: Role }
