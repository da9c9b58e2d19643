import type { Spec } from '../knowledge/fits/family'
import type { FamilyId } from '../knowledge/fits/families'
import type { Condition } from '../knowledge/shelf/moves'
import type { Kind, Part } from '../knowledge/vocabulary'

/** What lies on a shelf: one kind of thing, however many there are of it. */
export interface Article {
  id: string
  /** What identifies it, as a machine’s card keeps it: `6203 2RS C3`. */
  name: string
  part?: Part
  /** What it is measured by; absent where it is known by its name alone. */
  family?: FamilyId
  spec: Spec
  /** Kinds of pump that it is for, where it is for some alone. */
  kinds?: Kind[]
  /** What stands on its bag or its label: read by a camera. */
  codes?: string[]
  /** What the shop pays for one, whole cents, and the day on which that was so. */
  price?: number
  pricedOn?: string
  /** Kept from a machine: in what state, and what is known of it. */
  condition?: Condition
  note?: string
  /** It is kept no more. */
  gone?: boolean
}
