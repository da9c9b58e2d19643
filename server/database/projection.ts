import { and, inArray, or, sql, type SQL } from 'drizzle-orm'
import type { AnyPgColumn } from 'drizzle-orm/pg-core'
import { addressKey, phoneKey } from '../../core/pumps/words'
import type { Customer, Entry, EntryKind, Machine } from '../../core/visit/entry'
import { liftJournal } from '../../core/visit/lift'
import { listingOf, type Saying, type VisitListing } from '../../core/visit/listing'
import type { Db } from './connect'
import { byVisit, isAnyOf } from './rows'
import { customers, entries, machines, SAID_BY, visits } from './schema'

/** Bumped when what the lists are made of changes: an older database has them built anew at the next start. */
export const PROJECTION_VERSION = 7

const VISITS_AT_ONCE = 400

/** A customer as a row of its list. */
export function customerRow({ id, name, place, phone, mail }: Customer) {
  return {
    id,
    name,
    place,
    phone: phone ?? null,
    mail: mail ?? null,
    phoneKey: phoneKey(phone) ?? null,
    addressKey: addressKey(place) || null,
  }
}
export const CUSTOMER_COLUMNS = ['name', 'place', 'phone', 'mail', 'phoneKey', 'addressKey'] as const

/** A machine as a row of its list. */
export function machineRow(machine: Machine) {
  const { id, customerId, name, kind, construction, installedOn } = machine
  return { id, customerId, name, kind, construction, machine, installedOn: installedOn ?? null }
}
export const MACHINE_COLUMNS = ['customerId', 'name', 'kind', 'construction', 'machine', 'installedOn'] as const

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
  const said = ({ entryId, imported, isCopy }: Saying, { id, schedule: { scheduledAt }, arrivals }: Listed) => ({
    saidBy: imported ? SAID_BY.file : isCopy ? SAID_BY.visit : SAID_BY.outright,
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
          ...customerRow(visit.customer),
          ...said({ ...visit.said.customer, isCopy: true }, visit),
        })),
      ),
    )
    .onConflictDoUpdate({
      target: customers.id,
      set: excluded(customers, [...CUSTOMER_COLUMNS, ...SAID]),
      setWhere: speaksOver(customers),
    })
  await db
    .insert(machines)
    .values(
      strongest(
        listed.map((visit) => {
          // The owner is whose visit it is: a machine's own word on that could name a customer who was never heard of.
          return {
            ...machineRow({ ...visit.machine, customerId: visit.customer.id }),
            ...said(visit.said.machine, visit),
          }
        }),
      ),
    )
    .onConflictDoUpdate({
      target: machines.id,
      set: excluded(machines, [...MACHINE_COLUMNS, ...SAID]),
      setWhere: speaksOver(machines),
    })
  await db
    .insert(visits)
    .values(
      listed.map((visit) => ({
        id: visit.id,
        machineId: visit.machine.id,
        customerId: visit.customer.id,
        scheduledAt: visit.schedule.scheduledAt,
        waits: visit.schedule.waits,
        beganAt: visit.schedule.beganAt ?? null,
        cancelled: visit.schedule.cancelled ?? null,
        together: visit.together ?? null,
        arranged: visit.schedule.arranged,
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
        'waits',
        'beganAt',
        'cancelled',
        'together',
        'arranged',
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
  'planned',
  'arranged',
  'cancelled',
  'together',
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

export const SAID = ['saidBy', 'saidFor', 'saidArrival', 'saidVisit'] as const
type SaidTable = typeof customers | typeof machines

/** The stronger word counts; a visit may always correct its own. */
export function speaksOver(table: SaidTable): SQL {
  return sql`${table.saidVisit} = excluded.said_visit or (${table.saidBy}, ${table.saidFor}, ${table.saidArrival}) <=
    (excluded.said_by, excluded.said_for, excluded.said_arrival)`
}

/** The new row's own values for these columns, as an upsert writes them. */
export function excluded<T extends Record<K, AnyPgColumn>, K extends string & keyof T>(
  table: T,
  names: readonly K[],
): Record<K, SQL> {
  return Object.fromEntries(names.map((name) => [name, sql.raw(`excluded."${table[name].name}"`)])) as Record<K, SQL>
}
