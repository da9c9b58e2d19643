import { and, eq, inArray, notInArray, or, sql, type SQL } from 'drizzle-orm'
import type { AnyPgColumn } from 'drizzle-orm/pg-core'
import type { Entry, EntryKind } from '../../core/visit/entry'
import { liftJournal } from '../../core/visit/lift'
import { listingOf, type Saying, type VisitListing } from '../../core/visit/listing'
import { ofKind } from '../../core/visit/of-kind'
import { liveEntries } from '../../core/visit/supersession'
import type { Db } from './connect'
import { byVisit, isAnyOf } from './rows'
import { customers, entries, machines, SAID_BY, visits } from './schema'

/** Bumped when what the lists are made of changes: an older database has them built anew at the next start. */
export const PROJECTION_VERSION = 4

const VISITS_AT_ONCE = 400

interface Listed extends VisitListing {
  arrivals: ReadonlyMap<string, number>
  lastArrival: number
}

/** Rebuilds the list rows of these visits from their journals. */
export async function projectVisits(db: Db, visitIds: readonly string[]): Promise<void> {
  for (let start = 0; start < visitIds.length; start += VISITS_AT_ONCE)
    await projectSome(db, visitIds.slice(start, start + VISITS_AT_ONCE))
}

async function projectSome(db: Db, visitIds: readonly string[]): Promise<void> {
  const listed = await listingsOf(db, visitIds)
  if (listed.length === 0) return
  const said = ({ entryId, imported }: Saying, { id, scheduledAt, arrivals }: Listed) => ({
    saidBy: imported ? SAID_BY.file : SAID_BY.visit,
    saidFor: scheduledAt,
    saidArrival: arrivals.get(entryId) ?? 0,
    saidVisit: id,
  })
  const strongest = <T extends { id: string; saidBy: number; saidFor: string; saidArrival: number }>(
    rows: T[],
  ): T[] => [
    ...new Map(
      rows
        .sort(
          (a, b) =>
            a.saidBy - b.saidBy || Date.parse(a.saidFor) - Date.parse(b.saidFor) || a.saidArrival - b.saidArrival,
        )
        .map((row) => [row.id, row]),
    ).values(),
  ]
  await db
    .insert(customers)
    .values(
      strongest(
        listed.map((visit) => ({
          ...visit.customer,
          phone: visit.customer.phone ?? null,
          mail: visit.customer.mail ?? null,
          ...said(visit.said.customer, visit),
        })),
      ),
    )
    .onConflictDoUpdate({
      target: customers.id,
      set: excluded(customers, ['name', 'place', 'phone', 'mail', ...SAID]),
      setWhere: speaksOver(customers),
    })
  await db
    .insert(machines)
    .values(
      strongest(
        listed.map((visit) => {
          const { machine } = visit
          // The owner is whose visit it is: a machine's own word on that could name a customer who was never heard of.
          return {
            id: machine.id,
            customerId: visit.customer.id,
            name: machine.name,
            kind: machine.kind,
            construction: machine.construction,
            machine,
            ...said(visit.said.machine, visit),
          }
        }),
      ),
    )
    .onConflictDoUpdate({
      target: machines.id,
      set: excluded(machines, ['customerId', 'name', 'kind', 'construction', 'machine', ...SAID]),
      setWhere: speaksOver(machines),
    })
  await db
    .insert(visits)
    .values(
      listed.map((visit) => ({
        id: visit.id,
        machineId: visit.machine.id,
        customerId: visit.customer.id,
        scheduledAt: visit.scheduledAt,
        plannedMinutes: visit.plannedMinutes,
        callerSays: visit.callerSays,
        complaints: visit.complaints,
        joint: visit.stage,
        handedOver: visit.handedOver,
        cause: visit.cause?.fault ?? null,
        causeArrival: visit.cause ? (visit.arrivals.get(visit.cause.entryId) ?? 0) : null,
        paced: visit.paced,
        due: visit.due,
        account: visit.account ?? null,
        lastArrival: visit.lastArrival,
      })),
    )
    .onConflictDoUpdate({
      target: visits.id,
      set: excluded(visits, [
        'machineId',
        'customerId',
        'scheduledAt',
        'plannedMinutes',
        'callerSays',
        'complaints',
        'joint',
        'handedOver',
        'cause',
        'causeArrival',
        'paced',
        'due',
        'account',
        'lastArrival',
      ]),
    })
}

/** Does a line change anything that lists show? Most, readings above all, do not. */
export function isListed({ kind }: Pick<Entry, 'kind'>): boolean {
  return LISTED_KINDS.includes(kind)
}

/**
 * The lines that lists are made of. Where every line has its logical time, the others, readings above all, are not even
 * read.
 */
const LISTED_KINDS: readonly EntryKind[] = [
  'visit-opened',
  'call',
  'machine-set',
  'fitted',
  'joint-done',
  'cause-said',
  'post-mortem',
  'step',
  'handed-over',
  'paid',
  'claim',
  'claim-moved',
  'retracted',
]

async function listingsOf(db: Db, visitIds: readonly string[]): Promise<Listed[]> {
  const among = (ids: readonly string[]) => isAnyOf(entries.visitId, ids)
  const journals = await db
    .select({
      id: entries.visitId,
      lastArrival: sql<string>`max(${entries.arrival})`,
      timed: sql<boolean>`bool_and(${entries.entry}->>'lamport' is not null)`,
    })
    .from(entries)
    .where(among(visitIds))
    .groupBy(entries.visitId)
  const [timed, untimed] = [true, false].map((wanted) =>
    journals.filter((journal) => journal.timed === wanted).map(({ id }) => id as string),
  ) as [string[], string[]]
  const rows = await db
    .select({ entry: entries.entry, arrival: entries.arrival, visitId: entries.visitId })
    .from(entries)
    .where(or(and(among(timed), inArray(entries.kind, [...LISTED_KINDS])), among(untimed)))
    .orderBy(entries.arrival)
  const last = new Map(journals.map(({ id, lastArrival }) => [id, Number(lastArrival)]))
  return [...byVisit(rows)].flatMap(([id, journal]) => {
    const listing = listingOf(liftJournal(journal.map(({ entry }) => entry)))
    return listing
      ? [
          {
            ...listing,
            arrivals: new Map(journal.map(({ entry, arrival }) => [entry.id, arrival])),
            lastArrival: last.get(id) as number,
          },
        ]
      : []
  })
}

/** What the shop said outright of its customers: each one's newest word. */
export async function projectCustomers(
  db: Db,
  shopEntries: readonly { entry: Entry; arrival: number }[],
): Promise<void> {
  const arrivals = new Map(shopEntries.map(({ entry, arrival }) => [entry.id, arrival]))
  const said = new Map(
    ofKind(liveEntries(shopEntries.map(({ entry }) => entry)), 'customer-set').map((entry) => [
      entry.body.customer.id,
      entry,
    ]),
  )
  const rows = [...said.values()].map(({ id, body: { customer } }) => ({
    ...customer,
    phone: customer.phone ?? null,
    mail: customer.mail ?? null,
    saidBy: SAID_BY.shop,
    saidFor: 'epoch',
    saidArrival: arrivals.get(id) ?? 0,
    saidVisit: null,
  }))
  await unsay(db, [...said.keys()])
  if (rows.length === 0) return
  await db
    .insert(customers)
    .values(rows)
    .onConflictDoUpdate({
      target: customers.id,
      set: excluded(customers, ['name', 'place', 'phone', 'mail', ...SAID]),
      setWhere: speaksOver(customers),
    })
}

/** Where the shop took back what it had said outright, the visits speak again. */
async function unsay(db: Db, stillSaid: readonly string[]): Promise<void> {
  const freed = await db
    .update(customers)
    .set({ saidBy: SAID_BY.file, saidFor: 'epoch', saidArrival: 0, saidVisit: null })
    .where(and(eq(customers.saidBy, SAID_BY.shop), notInArray(customers.id, [...stillSaid])))
    .returning({ id: customers.id })
  if (freed.length === 0) return
  const theirs = await db
    .select({ id: visits.id })
    .from(visits)
    .where(
      inArray(
        visits.customerId,
        freed.map(({ id }) => id),
      ),
    )
  await projectVisits(
    db,
    theirs.map(({ id }) => id),
  )
}

const SAID = ['saidBy', 'saidFor', 'saidArrival', 'saidVisit'] as const
type SaidTable = typeof customers | typeof machines

/** The stronger word counts; a visit may always correct its own. */
function speaksOver(table: SaidTable): SQL {
  return sql`${table.saidVisit} = excluded.said_visit or (${table.saidBy}, ${table.saidFor}, ${table.saidArrival}) <=
    (excluded.said_by, excluded.said_for, excluded.said_arrival)`
}

/** The new row's own values for these columns, as an upsert writes them. */
function excluded<T extends Record<K, AnyPgColumn>, K extends string & keyof T>(
  table: T,
  names: readonly K[],
): Record<K, SQL> {
  return Object.fromEntries(names.map((name) => [name, sql.raw(`excluded."${table[name].name}"`)])) as Record<K, SQL>
}
