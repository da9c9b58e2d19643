import type { DayVisit } from '../../core/planning/day'
import type { Routes } from '../../core/planning/order/stop'
import { tellingReadings } from '../../core/visit/before-after'
import type { Machine } from '../../core/visit/entry'
import { foldVisit, type VisitState } from '../../core/visit/fold'
import type { HistoryReading } from '../../core/visit/history'
import { historyOf } from '../../core/visit/history-of'
import { ordersOf } from '../../core/visit/schedule'
import { liveEntries } from '../../core/visit/supersession'
import { dayVisitOf, type VisitRow } from '../../core/visit/visit-row'
import type { ShopApp } from './shop-app'

/** A day between its two midnights, and its date. */
export interface DaySpan {
  from: string
  to: string
  on: string
}

/** What stands in a day and what waits for one, as rows of their lists. */
export interface DayRows {
  visits: VisitRow[]
  waiting: VisitRow[]
  /** Visits of earlier days of which nobody has said what becomes of them. */
  left: VisitRow[]
  orders: Routes
}

const MOST_LAST_READINGS = 3

export async function dayRows(
  { repository }: Pick<ShopApp, 'repository'>,
  { from, to, on }: DaySpan,
): Promise<DayRows> {
  return {
    visits: await repository.visitsBetween(from, to),
    waiting: await repository.waiting(),
    left: await repository.leftOver(from),
    orders: ordersOf(liveEntries(await repository.orderLines(on)), on),
  }
}

/** Rows as the Day shows them, each with what its machine last read before a day. */
export async function dayVisits(
  { repository }: Pick<ShopApp, 'repository'>,
  rows: readonly VisitRow[],
  before: string,
): Promise<DayVisit<HistoryReading>[]> {
  const last = await repository.lastVisitOf([...new Set(rows.map(({ machineId }) => machineId))], before)
  const journals = await repository.entriesOfVisits([...last.values()])
  return rows.map((row) => {
    const lastVisit = last.get(row.machineId)
    return dayVisitOf(
      row,
      lastReadingsOf(lastVisit ? foldVisit(journals.get(lastVisit) ?? []) : undefined, row.machine),
    )
  })
}

/** What a machine read in its last visit and that visit's end tells most by: a few readings, for the Day. */
export function lastReadingsOf(
  last: Pick<VisitState, 'id' | 'findings'> | undefined,
  machine: Pick<Machine, 'kind'>,
): HistoryReading[] {
  return last
    ? tellingReadings(last.findings, MOST_LAST_READINGS).map((judged) => historyOf(last.id, judged, machine))
    : []
}
