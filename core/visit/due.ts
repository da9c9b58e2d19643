import { wayOf } from '../knowledge/shop/practices'
import { HOUSE_WATER, WELLS } from '../knowledge/vocabulary'
import type { Due, EntryBodies } from './entry'
import type { VisitState } from './fold'
import type { Job } from './job'
import { jobsOnSheet, renewedIn, repairsDone } from './owner-done'
import type { Shop } from './shop'

/** A day some months or days after another: ISO dates, by the calendar. */
export function after(day: string, { months = 0, days = 0 }: { months?: number; days?: number }): string {
  const date = new Date(`${day}T12:00:00Z`)
  const wanted = date.getUTCDate()
  date.setUTCMonth(date.getUTCMonth() + months)
  // The 31st of a month that has none is its last day.
  if (date.getUTCDate() !== wanted) date.setUTCDate(0)
  date.setUTCDate(date.getUTCDate() + days)
  return date.toISOString().slice(0, 10)
}

/**
 * What a visit makes due: a second look after new bearings or a new seal, where the shop does so, and insulation read
 * again after a year where it was read, or where a house hangs on it.
 *
 * @param today ISO date
 */
export function duesOf(
  state: Pick<
    VisitState,
    'machine' | 'fitted' | 'rounds' | 'agreed' | 'steps' | 'handedOver' | 'findings' | 'priceChanges'
  >,
  job: Pick<Job, 'repair' | 'bill'>,
  shop: Pick<Shop, 'schools'>,
  today: string,
): Due[] {
  if (repairsDone(jobsOnSheet(state, job)).length === 0) return []
  const renewed = renewedIn(state, job)
  const settles = ['bearings', 'shaft-seal'].filter((part) => renewed.has(part))
  const { kind } = state.machine
  const wasRead = state.findings.some(({ finding }) => finding.check === 'insulation-resistance')
  return [
    ...(settles.length > 0 && wayOf('after', shop.schools) === 'second-look' && !WELLS.includes(kind)
      ? [{ kind: 'second-look' as const, on: after(today, { days: 1 }), what: 'Dry under the pump, and quiet?' }]
      : []),
    ...(wasRead || HOUSE_WATER.includes(kind)
      ? [{ kind: 'reading' as const, on: after(today, { months: 12 }), what: 'Insulation, against this year’s' }]
      : []),
  ]
}

/** What a hand-over made due, its next visit among it, in the order of the days. */
export function duesIn({
  due = [],
  nextDate,
}: Pick<EntryBodies['handed-over'], 'due' | 'nextDate'> | undefined = {}): Due[] {
  const next = nextDate ? [{ kind: 'visit' as const, on: nextDate, what: 'Next visit' }] : []
  return [...due, ...next].sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0))
}
