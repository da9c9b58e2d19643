import type { Kind } from '../../core/knowledge/vocabulary'
import { experienceOf } from '../../core/diagnosis/experience'
import { foldVisit } from '../../core/visit/fold'
import type { HistoryReading } from '../../core/visit/history'
import { historyIn } from '../../core/visit/history-of'
import { machineStates } from '../../core/visit/machine-states'
import { ofKind } from '../../core/visit/of-kind'
import { isUuid } from '../../core/validation/rules'
import type { CountedAfter } from '../database/repository'
import type { PictureBytes } from '../services/photos/photo-store'
import type { ShopApp } from '../services/shop-app'
import {
  forgottenAt,
  partOf,
  shopOf,
  type JourneyView,
  type VisitPart,
  type VisitView,
} from '../../core/visit/visit-view'
import { Problem } from './problem'

/** A UUID from the address, or a 404 that says so. */
export function pathId(value: string | undefined, what: string): string {
  if (!isUuid(value)) throw new Problem(404, `There is no ${what} with the id ${String(value).slice(0, 60)}.`)
  return value
}

/** Everything a screen or a sheet needs of one visit and of the others of its journey. */
export async function journeyView(app: ShopApp, visitId: string): Promise<JourneyView> {
  const view = await visitView(app, visitId)
  const journey: VisitPart[] = []
  for (const { id } of await app.repository.journeyOf(visitId))
    journey.push(id === visitId ? view : await visitView(app, id))
  return { ...view, journey: journey.map(partOf) }
}

/** Everything that one visit follows from. */
export async function visitView(app: ShopApp, visitId: string): Promise<VisitView> {
  const entries = await app.repository.entriesOfVisit(visitId)
  const state = foldVisit(entries)
  if (!state) throw new Problem(404, `There is no visit with the id ${visitId}.`)
  const { kind, id } = state.machine
  const shopEntries = await app.repository.shopEntries()
  const counts = await app.repository.causesOf(kind, { after: countedAfter(shopEntries, [kind]), exceptVisit: visitId })
  const history = await machineHistory(app, id, state.scheduledAt, visitId)
  return {
    visitId,
    entries,
    history,
    shop: shopOf(shopEntries.map(({ entry }) => entry)),
    experience: experienceOf(kind, counts),
    pace: await app.pace.paceFor(visitId),
  }
}

/** Since which arrival the shop's own visits of these kinds count. */
export function countedAfter(
  shopEntries: Awaited<ReturnType<ShopApp['repository']['shopEntries']>>,
  kinds: readonly Kind[],
): CountedAfter {
  const arrivals = new Map(shopEntries.map(({ entry, arrival }) => [entry.id, arrival]))
  const entries = shopEntries.map(({ entry }) => entry)
  return Object.fromEntries(
    kinds.flatMap((kind) => {
      const arrival = arrivals.get(forgottenAt(entries, kind)?.id ?? '')
      return arrival === undefined ? [] : [[kind, arrival]]
    }),
  )
}

/** Readings of a machine in visits before an instant, oldest first. */
export async function machineHistory(
  app: ShopApp,
  machineId: string,
  before: string,
  exceptVisit?: string,
): Promise<HistoryReading[]> {
  const rows = (await app.repository.visitsOfMachine(machineId)).filter(
    ({ id, scheduledAt }) => id !== exceptVisit && Date.parse(scheduledAt) <= Date.parse(before),
  )
  const journals = await app.repository.entriesOfVisits(rows.map(({ id }) => id))
  return machineStates(rows.map(({ id }) => journals.get(id) ?? [])).flatMap(historyIn)
}

/** The pictures of a visit and of the others of its journey. */
export function picturesIn(
  app: Pick<ShopApp, 'photos'>,
  { entries, journey = [] }: VisitView & Partial<JourneyView>,
): Promise<PictureBytes> {
  return app.photos.bytesOfAll(
    [entries, ...journey.map((part) => part.entries)].flatMap((journal) =>
      ofKind(journal, 'photo').map(({ body: { hash } }) => hash),
    ),
  )
}
