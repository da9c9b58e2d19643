import { and, asc, eq, inArray, isNull, notExists, sql, type SQL } from 'drizzle-orm'
import type { Entry, EntryOf } from '../../core/visit/entry'
import { liftJournal } from '../../core/visit/lift'
import { ofKind } from '../../core/visit/of-kind'
import { liveEntries } from '../../core/visit/supersession'
import type { Db } from './connect'
import {
  CUSTOMER_COLUMNS,
  customerRow,
  excluded,
  MACHINE_COLUMNS,
  machineRow,
  projectVisits,
  SAID,
  speaksOver,
} from './projection'
import { isAnyOf } from './rows'
import {
  ABOUT,
  customers,
  entries,
  IS_OF_REGISTER,
  keptApart,
  machines,
  merges,
  REPLACED,
  SAID_BY,
  sites,
  visits,
} from './schema'

/** A line of the register with the order of its arrival. */
interface Word {
  entry: Entry
  arrival: number
}

const IDS_AT_ONCE = 2_000

/**
 * Brings the lists up to date with what the shop's own journal says of these customers, places and machines; of all of
 * them where none are named.
 */
export async function projectRegister(db: Db, about?: readonly string[]): Promise<void> {
  const ids = about ?? (await everythingAbout(db))
  let merging = false
  for (let start = 0; start < ids.length; start += IDS_AT_ONCE)
    if (await projectSome(db, ids.slice(start, start + IDS_AT_ONCE))) merging = true
  if (merging) await resolveMerges(db)
}

/** What lines of the shop's own journal are about, and what the lines that they take back were about. */
export async function aboutOf(db: Db, lines: readonly Entry[]): Promise<string[]> {
  const ids = lines.flatMap(({ id, supersedes, settles = [] }) => [id, ...(supersedes ? [supersedes] : []), ...settles])
  return ids.length === 0 ? [] : subjectsOf(db, isAnyOf(entries.id, ids))
}

const everythingAbout = (db: Db) => subjectsOf(db)

/** What is spoken of, customers first: a machine is not put before whose it is. */
async function subjectsOf(db: Db, where?: SQL): Promise<string[]> {
  const rows = await db
    .select({ about: ABOUT })
    .from(entries)
    .where(and(isNull(entries.visitId), IS_OF_REGISTER, where))
    .groupBy(ABOUT)
    .orderBy(sql`min(case when ${entries.kind} = 'customer-set' then 0 else 1 end)`)
  return rows.flatMap(({ about }) => about ?? [])
}

/** @returns whether what is merged into what may have changed */
async function projectSome(db: Db, ids: readonly string[]): Promise<boolean> {
  const words = await wordsAbout(db, ids)
  const arrivals = new Map(words.map(({ entry, arrival }) => [entry.id, arrival]))
  const live = liveEntries(liftJournal(words.map(({ entry }) => entry)))
  // Where something was taken back, what stands under it speaks again.
  if (words.some(({ entry }) => entry.supersedes)) await forget(db, ids)
  const arrivalOf = ({ id }: Entry) => arrivals.get(id) ?? 0
  await sayCustomers(db, ofKind(live, 'customer-set'), arrivalOf)
  await sayMachines(db, ofKind(live, 'machine-set'), arrivalOf)
  await saySites(db, ids, ofKind(live, 'site-set'))
  await sayRetired(db, ids, ofKind(live, 'machine-retired'))
  const parted = await db.delete(merges).where(isAnyOf(merges.gone, ids)).returning({ gone: merges.gone })
  const merged = [...new Map(ofKind(live, 'merged').map((entry) => [entry.body.gone, entry])).values()]
  if (merged.length > 0)
    await db
      .insert(merges)
      .values(merged.map((entry) => ({ ...entry.body, entryId: entry.id, arrival: arrivalOf(entry) })))
  await db.delete(keptApart).where(isAnyOf(keptApart.one, ids))
  const apart = ofKind(live, 'kept-apart').map(({ id, body: { what, these } }) => ({
    entryId: id,
    what,
    one: these[0] as string,
    other: these[1] as string,
  }))
  if (apart.length > 0) await db.insert(keptApart).values(apart)
  await dropUnsaid(db, ids)
  return parted.length > 0 || merged.length > 0
}

/** The register's lines about these, with all that takes their place or takes them back, in the order of arrival. */
async function wordsAbout(db: Db, ids: readonly string[]): Promise<Word[]> {
  const found = new Map<string, Word>()
  const columns = { entry: entries.entry, arrival: entries.arrival }
  const take = (rows: Word[]) => {
    const fresh = rows.filter(({ entry }) => !found.has(entry.id))
    for (const word of fresh) found.set(word.entry.id, word)
    return fresh
  }
  let fresh = take(
    await db
      .select(columns)
      .from(entries)
      .where(and(isNull(entries.visitId), sql`${ABOUT} = any(${`{${ids.join(',')}}`}::text[])`)),
  )
  while (fresh.length > 0)
    fresh = take(
      await db
        .select(columns)
        .from(entries)
        .where(
          and(
            isNull(entries.visitId),
            sql`${REPLACED} = any(${`{${fresh.map(({ entry }) => entry.id).join(',')}}`}::text[])`,
          ),
        )
        .orderBy(asc(entries.arrival)),
    )
  return [...found.values()].sort((a, b) => a.arrival - b.arrival)
}

type ArrivalOf = (entry: Entry) => number

async function sayCustomers(db: Db, said: readonly EntryOf<'customer-set'>[], arrivalOf: ArrivalOf): Promise<void> {
  const newest = new Map(said.map((entry) => [entry.body.customer.id, entry]))
  if (newest.size === 0) return
  await db
    .insert(customers)
    .values(
      [...newest.values()].map((entry) => ({ ...customerRow(entry.body.customer), ...outright(entry, arrivalOf) })),
    )
    .onConflictDoUpdate({ target: customers.id, set: excluded(customers, [...CUSTOMER_COLUMNS, ...SAID]) })
}

async function sayMachines(db: Db, said: readonly EntryOf<'machine-set'>[], arrivalOf: ArrivalOf): Promise<void> {
  const newest = new Map(said.map((entry) => [entry.body.machine.id, entry]))
  if (newest.size === 0) return
  await db
    .insert(machines)
    .values([...newest.values()].map((entry) => ({ ...machineRow(entry.body.machine), ...outright(entry, arrivalOf) })))
    .onConflictDoUpdate({
      target: machines.id,
      set: {
        ...excluded(machines, [...MACHINE_COLUMNS, ...SAID]),
        saidFor: sql`greatest(${machines.saidFor}, excluded.said_for)`,
      },
      // Whoever writes in the register sees what is known then, and means it over that.
      setWhere: sql`${machines.saidVisit} is null or ${machines.saidArrival} < excluded.said_arrival
        or ${speaksOver(machines)}`,
    })
}

const outright = (entry: EntryOf<'customer-set'> | EntryOf<'machine-set'>, arrivalOf: ArrivalOf) => ({
  saidBy: SAID_BY.outright,
  saidFor: entry.at,
  saidArrival: arrivalOf(entry as Entry),
  saidVisit: null,
})

async function saySites(db: Db, ids: readonly string[], said: readonly EntryOf<'site-set'>[]): Promise<void> {
  await db.delete(sites).where(isAnyOf(sites.id, ids))
  const newest = new Map(said.map(({ body: { site } }) => [site.id, site]))
  if (newest.size === 0) return
  await db
    .insert(sites)
    .values([...newest.values()].map((site) => ({ id: site.id, customerId: site.customerId, site })))
}

async function sayRetired(db: Db, ids: readonly string[], said: readonly EntryOf<'machine-retired'>[]): Promise<void> {
  await db.update(machines).set({ retired: null }).where(isAnyOf(machines.id, ids))
  for (const {
    body: { machineId, ...retired },
  } of said)
    await db.update(machines).set({ retired }).where(eq(machines.id, machineId))
}

/**
 * Says anew, from their lines, all that lists know of these customers, machines and visits: the lines were changed in
 * their places, which none that arrives does.
 */
export async function sayAnew(
  db: Db,
  changed: { customers: ReadonlySet<string>; machines: ReadonlySet<string>; visits: ReadonlySet<string> },
): Promise<void> {
  const [ofCustomers, ofMachines] = [[...changed.customers], [...changed.machines]]
  await db.update(customers).set(UNSAID).where(isAnyOf(customers.id, ofCustomers))
  await db.update(machines).set(UNSAID).where(isAnyOf(machines.id, ofMachines))
  await projectVisits(db, [...changed.visits])
  const places = await db.select({ id: sites.id }).from(sites).where(isAnyOf(sites.customerId, ofCustomers))
  await projectRegister(db, [...ofCustomers, ...ofMachines, ...places.map(({ id }) => id)])
}

const UNSAID = { saidBy: SAID_BY.file, saidFor: 'epoch', saidArrival: 0, saidVisit: null }

/** What the register said of these is forgotten, and what visits say of them speaks again. */
async function forget(db: Db, ids: readonly string[]): Promise<void> {
  await db
    .update(customers)
    .set(UNSAID)
    .where(and(isAnyOf(customers.id, ids), isNull(customers.saidVisit)))
  await db
    .update(machines)
    .set(UNSAID)
    .where(and(isAnyOf(machines.id, ids), isNull(machines.saidVisit)))
  const theirs = await db
    .select({ id: visits.id })
    .from(visits)
    .where(sql`${isAnyOf(visits.customerId, ids)} or ${isAnyOf(visits.machineId, ids)}`)
  await projectVisits(
    db,
    theirs.map(({ id }) => id),
  )
}

/** A machine or a customer that nothing says any more is not in the register: its only line was taken back. */
async function dropUnsaid(db: Db, ids: readonly string[]): Promise<void> {
  const isUnsaid = (table: typeof customers | typeof machines) =>
    and(isAnyOf(table.id, ids), eq(table.saidBy, SAID_BY.file), eq(table.saidArrival, 0), isNull(table.saidVisit))
  await db
    .delete(machines)
    .where(
      and(
        isUnsaid(machines),
        notExists(db.select({ id: visits.id }).from(visits).where(eq(visits.machineId, machines.id))),
      ),
    )
  await db
    .delete(customers)
    .where(
      and(
        isUnsaid(customers),
        notExists(db.select({ id: machines.id }).from(machines).where(eq(machines.customerId, customers.id))),
        notExists(db.select({ id: visits.id }).from(visits).where(eq(visits.customerId, customers.id))),
      ),
    )
}

/** What is merged into what, through all that was merged on the way, written at each record. */
async function resolveMerges(db: Db): Promise<void> {
  const all = await db.select().from(merges).orderBy(asc(merges.arrival))
  const ends = mergedEnds(all)
  for (const [what, table] of [
    ['customer', customers],
    ['machine', machines],
  ] as const) {
    const marked = await db
      .select({ id: table.id, into: table.mergedInto })
      .from(table)
      .where(sql`${table.mergedInto} is not null`)
    const wanted = new Map(
      all
        .filter((each) => each.what === what && ends.has(each.gone))
        .map(({ gone }) => [gone, ends.get(gone) as string]),
    )
    const idle = marked.filter(({ id }) => !wanted.has(id)).map(({ id }) => id)
    if (idle.length > 0) await db.update(table).set({ mergedInto: null }).where(inArray(table.id, idle))
    const known = new Map(marked.map(({ id, into }) => [id, into]))
    for (const [gone, into] of wanted)
      if (known.get(gone) !== into) await db.update(table).set({ mergedInto: into }).where(eq(table.id, gone))
  }
}

/**
 * For each record that is gone the one that stands for it at the end of all merges. One that would lead back to itself
 * says nothing.
 *
 * @param all in the order in which they arrived
 */
export function mergedEnds(all: readonly { gone: string; into: string }[]): Map<string, string> {
  const into = new Map<string, string>()
  const endOf = (id: string): string => {
    const next = into.get(id)
    return next === undefined ? id : endOf(next)
  }
  for (const merge of all) if (endOf(merge.into) !== merge.gone) into.set(merge.gone, merge.into)
  return new Map([...into.keys()].map((gone) => [gone, endOf(gone)]))
}
