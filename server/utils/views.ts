import type { Entry } from '../../core/visit/entry'
import { foldVisit, type VisitState } from '../../core/visit/fold'
import { earlierReadings, historyOf, type HistoryReading } from '../../core/visit/history'
import { UNNAMED_SHOP, type Shop } from '../../core/visit/sheet'
import { experienceOf } from '../../core/diagnosis/experience'
import type { Pace } from '../../core/takedown/as-here'
import { learnSteps, paceOf } from '../../core/takedown/own-times'
import type { Kind } from '../../core/knowledge/vocabulary'
import { liveEntries, newestOf, ofKind } from '../../core/visit/live-entries'
import type { ShopApp } from '../services/shop-app'
import { Problem } from './problem'

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/

/** A UUID from the address, or a 404 that says so. */
export function pathId(value: string | undefined, what: string): string {
  if (!value || !UUID.test(value)) throw new Problem(404, `There is no ${what} with the id ${String(value).slice(0, 60)}.`)
  return value
}

/** The journal of a visit, its machine's earlier readings, the shop, what the shop's other closed visits make of each fault's rate, and its own times of each step's: what a screen needs to show everything. */
export interface VisitView { visitId: string; entries: Entry[]; history: HistoryReading[]; shop: Shop; experience: Record<string, number>; pace: Pace }

export async function visitView(app: ShopApp, visitId: string): Promise<VisitView> {
  const entries = await app.repository.entriesOfVisit(visitId)
  const state = foldVisit(entries)
  if (!state) throw new Problem(404, `There is no visit with the id ${visitId}.`)
  const { kind, id } = state.machine
  const shopEntries = await app.repository.shopEntries()
  const counts = await app.repository.causesOf(kind, { after: countedSince(shopEntries, kind), exceptVisit: visitId })
  return { visitId, entries, history: await machineHistory(app, id, state.scheduledAt, visitId), shop: shopOf(shopEntries), experience: experienceOf(kind, counts), pace: paceOf(learnSteps(await app.repository.tickedSteps(visitId))) }
}

/** Since when the shop's own visits of a kind count: its newest forgetting. */
export function countedSince(shopEntries: readonly Entry[], kind: Kind): string | undefined {
  return ofKind(liveEntries(shopEntries), 'shop-forget').findLast(({ body }) => body.pumpKind === undefined || body.pumpKind === kind)?.at
}

/** Readings of a machine in visits before an instant, oldest first. */
export async function machineHistory(app: ShopApp, machineId: string, before: string, exceptVisit?: string): Promise<HistoryReading[]> {
  const rows = (await app.repository.visitsOfMachine(machineId)).filter(({ id, scheduledAt }) => id !== exceptVisit && scheduledAt <= before)
  const journals = await app.repository.entriesOfVisits(rows.map(({ id }) => id))
  return rows.flatMap(({ id }) => {
    const visit = foldVisit(journals.get(id) ?? [])
    return visit?.findings.map((judged) => historyOf(id, judged, visit.pump)) ?? []
  })
}

/** A visit's state with its machine's earlier insulation readings, for the trend. */
export function stateOf(view: VisitView): VisitState {
  return foldVisit(view.entries, { earlier: earlierReadings(view.history) }) as VisitState
}

export function shopOf(shopEntries: readonly Entry[]): Shop {
  return newestOf(liveEntries(shopEntries), 'shop-set')?.body ?? UNNAMED_SHOP
}
