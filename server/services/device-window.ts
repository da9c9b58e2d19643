import type { KnownWindow, WindowLine } from '../../core/pumps/device-window'
import { experienceOf } from '../../core/diagnosis/experience'
import type { Kind } from '../../core/knowledge/vocabulary'
import type { DaySpan, VisitRow } from '../../core/visit/visit-row'
import { countedAfter } from '../utils/views'
import type { ShopApp } from './shop-app'
import { cardFrame, customerView, framedCard, machineVisits } from './register-views'
import { workedAhead } from './worked-ahead'

/** Machines that are worked on at once: as many as there are threads for it. */
const MACHINES_AHEAD = 3

/**
 * What a device keeps to work without the shop: the visits of its days, those that wait, those left over, the others of
 * their journeys, and all of their machines and customers; each sent only where it is new or has changed.
 *
 * A machine's visits are folded once for all that is said of it: its card, its history, what it read last; in threads,
 * so that nobody else waits.
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
  const wanted = machines.flatMap((machineId) => {
    const own = rows.filter((row) => row.machineId === machineId)
    const isWhole = wantsMachine(machineId)
    return isWhole || own.some(wantsVisit) ? [{ machineId, isWhole, rows: own.filter(wantsVisit) }] : []
  })
  for await (const lines of workedAhead(wanted, MACHINES_AHEAD, (each) => machineLines(app, each, learnt, now)))
    yield* lines
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

/** A machine as it is wanted: with its card where that is new, and those of its visits that are. */
interface WantedMachine {
  machineId: string
  isWhole: boolean
  rows: readonly VisitRow[]
}

async function machineLines(
  app: ShopApp,
  { machineId, isWhole, rows }: WantedMachine,
  learnt: Learnt,
  now: string,
): Promise<WindowLine[]> {
  const read = await machineVisits(app, machineId)
  const frame = isWhole ? await cardFrame(app, machineId) : undefined
  const { card, visits } = await app.work.run('machine', {
    journals: read.journals,
    visits: rows.map(({ id, scheduledAt, machine }) => ({ id, scheduledAt, kind: machine.kind })),
    now,
    ...(frame ? { of: frame.of } : {}),
  })
  const lines: WindowLine[] = []
  if (frame) lines.push({ is: 'machine', id: machineId, card: await framedCard(app, frame, { ...read, card, now }) })
  for (const [index, row] of rows.entries()) {
    const site = await app.register.siteOf(row.machine)
    lines.push({
      is: 'visit',
      visit: {
        row,
        entries: await app.repository.entriesOfVisit(row.id),
        experience: await learnt(row.machine.kind, row.id),
        pace: await app.pace.paceFor(row.id),
        ...(visits[index] as (typeof visits)[number]),
        ...(site ? { site } : {}),
      },
    })
  }
  return lines
}
