import type { PumpFilter } from '#core/pumps/pump-query'
import type { SearchGroup, SearchLine } from '#core/pumps/search-lines'
import type { Customer } from '#core/visit/entry'

/** What the server says to a search. */
export type FoundLine = Omit<SearchLine, 'words'>
export interface FoundGroup {
  what: SearchGroup
  count: number
  lines: FoundLine[]
}
export interface Twins {
  one: Customer
  other: Customer
  because: ('phone' | 'place')[]
}
export interface PumpsFound {
  customers: number
  machines: number
  words: string[]
  filter: PumpFilter
  groups: FoundGroup[]
  /** There is more than was looked through. */
  isCut: boolean
  streets: { street: string; machines: number }[]
  twins: Twins[]
  behind: number
}

export const GROUP_LABELS: Readonly<Record<SearchGroup | 'street', string>> = {
  customer: 'Customers',
  machine: 'Machines',
  place: 'Places',
  street: 'Streets',
  part: 'Parts',
  plate: 'Plates',
  note: 'Notes',
  finding: 'Findings',
}
