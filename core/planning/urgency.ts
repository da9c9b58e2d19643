import { PLAIN_CALL, URGENCY } from '../knowledge/shop/urgency'
import type { Kind } from '../knowledge/vocabulary'

/** What of a call says how urgent it is. */
export interface Asked {
  kind: Kind
  complaints: readonly string[]
  livestock?: boolean
  onlySupply?: boolean
  withoutWater?: boolean
}

/** How urgent a call is, and what makes it so: nothing where nobody is in need. */
export interface Urgency {
  /** What an hour of waiting weighs, in minutes behind the wheel. */
  perHour: number
  words?: string
}

/** Weighs a call by what is said and what hangs on the pump. */
export function urgencyOf(asked: Asked): Urgency {
  const row = URGENCY.find(
    ({ complaints, kinds, if: condition }) =>
      (!complaints || complaints.some((complaint) => asked.complaints.includes(complaint))) &&
      (!kinds || kinds.includes(asked.kind)) &&
      (!condition || asked[condition] === true),
  )
  return row ? { perHour: row.perHour, words: row.words } : { perHour: PLAIN_CALL.perHour }
}
