import type { Entry } from '../../core/visit/entry'
import { foldVisit, type VisitState } from '../../core/visit/fold'
import { earlierReadings, historyOf, type HistoryReading } from '../../core/visit/history'
import { UNNAMED_SHOP, type Shop } from '../../core/visit/sheet'
import { newestOf } from '../../core/visit/live-entries'
import type { ShopApp } from '../services/shop-app'
import { Problem } from './problem'

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/

/** A UUID from the address, or a 404 that says so. */
export function pathId(value: string | undefined, what: string): string {
  if (!value || !UUID.test(value)) throw new Problem(404, `There is no ${what} with the id ${String(value).slice(0, 60)}.`)
  return value
}

/** The journal of a visit, its machine's earlier readings, and the shop: what a screen needs to show everything. */
export interface VisitView { visitId: string; entries: Entry[]; history: HistoryReading[]; shop: Shop }

export async function visitView(app: ShopApp, visitId: string): Promise<VisitView> {
  const entries = await app.repository.entriesOfVisit(visitId)
  const state = foldVisit(entries)
  if (!state) throw new Problem(404, `There is no visit with the id ${visitId}.`)
  return { visitId, entries, history: await machineHistory(app, state.machine.id, state.scheduledAt, visitId), shop: await shopOf(app) }
}

/** Readings of a machine in visits before an instant, oldest first. */
export async function machineHistory(app: ShopApp, machineId: string, before: string, exceptVisit?: string): Promise<HistoryReading[]> {
  const rows = (await app.repository.visitsOfMachine(machineId)).filter(({ id, scheduledAt }) => id !== exceptVisit && scheduledAt <= before)
  const journals = await app.repository.entriesOfVisits(rows.map(({ id }) => id))
  return rows.flatMap(({ id }) => foldVisit(journals.get(id) ?? [])?.findings.map((judged) => historyOf(id, judged)) ?? [])
}

/** A visit's state with its machine's earlier insulation readings, for the trend. */
export function stateOf(view: VisitView): VisitState {
  return foldVisit(view.entries, { earlier: earlierReadings(view.history) }) as VisitState
}

export async function shopOf(app: ShopApp): Promise<Shop> {
  return newestOf(await app.repository.shopEntries(), 'shop-set')?.body ?? UNNAMED_SHOP
}
