import type { KeptVisit, KnownWindow, WindowLine } from '../../core/pumps/device-window'
import { experienceOf } from '../../core/diagnosis/experience'
import type { Kind } from '../../core/knowledge/vocabulary'
import { historyIn } from '../../core/visit/history'
import type { VisitState } from '../../core/visit/fold'
import type { DaySpan, VisitRow } from '../../core/visit/visit-row'
import { countedAfter } from '../utils/views'
import { lastReadingsOf } from './day-view'
import type { ShopApp } from './shop-app'
import { cardView, customerView, machineVisits } from './register-views'

/**
 * What a device keeps to work without the shop: the visits of its days, those that wait, those left over, the others of
 * their journeys, and all of their machines and customers; each sent only where it is new or has changed.
 *
 * A machine's visits are folded once for all that is said of it: its card, its history, what it read last.
 */
export async function* windowLines(
  app: ShopApp,
  span: DaySpan,
  { since, ...known }: KnownWindow,
  now: string,
): AsyncGenerator<WindowLine> {
  const { repository } = app
  // What is told of a machine in a list of them follows from what was taken in.
  await app.index.caughtUpSoon()
  const takenIn = await app.index.takenIn()
  const arrival = await repository.newestArrival()
  const rows = await rowsOf(app, span)
  const machines = [...new Set(rows.map(({ machineId }) => machineId))]
  const customers = [...new Set(rows.map(({ customer }) => customer.id))]
  const changed = since === undefined ? undefined : await app.search.changedAfter(since)
  const touched = new Set([...(changed?.about ?? []), ...(await app.search.subjectsOf(changed?.visitIds ?? []))])
  const isWanted = (has: readonly string[], ids: ReadonlySet<string>) => {
    const here = new Set(has)
    return (id: string) => !changed || !here.has(id) || ids.has(id)
  }
  // What a machine's other visits say changes what is told of this one.
  const wantsMachine = isWanted(known.machines, touched)
  const visitChanged = isWanted(known.visits, new Set(changed?.visitIds ?? []))
  const wantsVisit = ({ id, machineId }: VisitRow) => visitChanged(id) || wantsMachine(machineId)
  const wantsCustomer = isWanted(known.customers, touched)
  const shopEntries = await repository.shopEntries()
  yield {
    is: 'window',
    arrival,
    ...(takenIn === undefined ? {} : { since: Math.min(takenIn, arrival) }),
    visits: rows.map(({ id }) => id),
    machines,
    customers,
    shop: [...shopEntries.map(({ entry }) => entry), ...(await repository.orderLinesBetween(span.from, span.to))],
    of: rows.filter(wantsVisit).length + machines.filter(wantsMachine).length + customers.filter(wantsCustomer).length,
  }
  const learnt = await experiences(app, rows, shopEntries)
  for (const machineId of machines) {
    const own = rows.filter((row) => row.machineId === machineId)
    if (!wantsMachine(machineId) && !own.some(wantsVisit)) continue
    const read = await machineVisits(app, machineId)
    const card = wantsMachine(machineId) ? await cardView(app, machineId, now, read) : undefined
    if (card) yield { is: 'machine', id: machineId, card }
    for (const row of own.filter(wantsVisit))
      yield { is: 'visit', visit: await keptVisit(app, row, read.states, learnt) }
  }
  for (const id of customers.filter(wantsCustomer)) {
    const view = await customerView(app, id)
    if (view) yield { is: 'customer', id, view }
  }
  yield { is: 'whole' }
}

async function rowsOf({ repository }: ShopApp, { from, to }: DaySpan): Promise<VisitRow[]> {
  const listed = [
    ...(await repository.visitsBetween(from, to)),
    ...(await repository.waiting()),
    ...(await repository.leftOver(from)),
  ]
  const rows = new Map(listed.map((row) => [row.id, row]))
  for (const row of listed)
    if (row.together || listed.some(({ together }) => together === row.id))
      for (const other of await repository.journeyOf(row.id)) rows.set(other.id, other)
  return [...rows.values()]
}

/** What the shop's closed visits teach, by kind and without one of them. */
type Learnt = (kind: Kind, exceptVisit: string) => Promise<Record<string, number>>

async function experiences(
  { repository }: ShopApp,
  rows: readonly VisitRow[],
  shopEntries: Awaited<ReturnType<ShopApp['repository']['shopEntries']>>,
): Promise<Learnt> {
  const kinds = [...new Set(rows.map(({ machine }) => machine.kind))]
  const after = countedAfter(shopEntries, kinds)
  const closed = new Set(rows.filter(({ handedOver }) => handedOver).map(({ id }) => id))
  const all = new Map(kinds.map((kind) => [kind, repository.causesOf(kind, { after })]))
  return async (kind, exceptVisit) =>
    // What is not closed teaches nothing: leaving it out changes nothing, and is not asked for each.
    experienceOf(
      kind,
      closed.has(exceptVisit) ? await repository.causesOf(kind, { after, exceptVisit }) : ((await all.get(kind)) ?? {}),
    )
}

async function keptVisit(
  app: ShopApp,
  row: VisitRow,
  states: readonly VisitState[],
  learnt: Learnt,
): Promise<KeptVisit> {
  const before = states.filter(
    ({ id, scheduledAt }) => id !== row.id && Date.parse(scheduledAt) <= Date.parse(row.scheduledAt),
  )
  const history = before.flatMap(historyIn)
  const site = await app.register.siteOf(row.machine)
  return {
    row,
    entries: await app.repository.entriesOfVisit(row.id),
    history,
    experience: await learnt(row.machine.kind, row.id),
    pace: await app.pace.paceFor(row.id),
    lastReadings: lastReadingsOf(
      before.findLast(({ handedOver }) => handedOver),
      row.machine,
    ),
    ...(site ? { site } : {}),
  }
}
