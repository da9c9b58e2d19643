import {
  and,
  asc,
  count,
  desc,
  eq,
  gt,
  gte,
  inArray,
  isNotNull,
  isNull,
  lt,
  lte,
  max,
  ne,
  or,
  sql,
  type SQL,
} from 'drizzle-orm'
import type { AnyPgColumn } from 'drizzle-orm/pg-core'
import type { Fault, Kind } from '../../core/knowledge/vocabulary'
import { firstOf, journeyAround } from '../../core/planning/stops'
import type { StepRatio } from '../../core/takedown/own-times'
import {
  PRACTICE_KINDS,
  BUYING_KINDS,
  SHELF_KINDS,
  type Customer,
  type Entry,
  type EntryBodies,
  type EntryKind,
  type HeardInRecording,
  type Machine,
} from '../../core/visit/entry'
import { togetherInLedger, type LedgerRow } from '../../core/visit/ledger'
import { liftEntry, liftJournal } from '../../core/visit/lift'
import type { VisitRow } from '../../core/visit/visit-row'
import type { Forgotten } from '../../core/visit/forgotten'
import type { Db } from './connect'
import {
  allForgotten,
  forgottenUpTo,
  linesAbout,
  ofNobodyElse,
  recordsOf,
  removeForgotten,
  type Left,
} from './forgetting'
import { LOCKS } from './locks'
import { isListed, projectVisits } from './projection'
import { recordedOf } from './recorded-levels'
import { aboutOf, projectRegister } from './register-projection'
import { byVisit, isAnyOf, STANDS_FOR, whose } from './rows'
import { customers, entries, files, machines, meta, ORDERED_DAY, pictures, sites, visits } from './schema'

/** The channel on which servers of one shop tell each other that lines have arrived. */
export const ARRIVED = 'pike_lamp_arrived'
const ROWS_AT_ONCE = 2_000
/** Lines in which the shop speaks of itself, and those that take one of them back. */
const OF_ITSELF: readonly EntryKind[] = ['shop-set', 'shop-forget', 'article-set', 'retracted']

/** What one visit's steps teach, and how new it is. */
export interface PacedVisit {
  id: string
  scheduledAt: string
  lastArrival: number
  paced: StepRatio[]
}

/** Since when a kind's visits count: what arrived after this. */
export type CountedAfter = Partial<Record<Kind, number>>

/** The only place that speaks SQL, with projection.ts. */
export class Repository {
  constructor(private readonly db: Db) {}

  /** Runs all that is done in one transaction: all or none. */
  transaction<T>(work: (repository: Repository) => Promise<T>): Promise<T> {
    return this.db.transaction(async (tx) => work(new Repository(tx as unknown as Db)))
  }

  /** Reads all that is done of one moment, whatever is written meanwhile. */
  snapshot<T>(work: (repository: Repository) => Promise<T>): Promise<T> {
    return this.db.transaction(async (tx) => work(new Repository(tx as unknown as Db)), {
      isolationLevel: 'repeatable read',
      accessMode: 'read only',
    })
  }

  /** What the journal says was removed, and the arrival of the newest line that says so. */
  forgotten(): ReturnType<typeof forgottenUpTo> {
    return forgottenUpTo(this.db)
  }
  /** The same, with visits that were opened at theirs since. */
  allForgotten(): Promise<Forgotten> {
    return allForgotten(this.db)
  }
  /** Everything that the shop has of a customer. */
  recordsOf(customerId: string): ReturnType<typeof recordsOf> {
    return recordsOf(this.db, customerId)
  }
  /** The lines that speak of these, the register's and those of visits. */
  linesAbout(whom: Forgotten): Promise<Entry[]> {
    return linesAbout(this.db, whom)
  }
  /** Takes what was theirs out of their lines and lists. @returns what hung on those lines alone */
  removeForgotten(forgotten: Forgotten): Promise<Left> {
    return removeForgotten(this.db, forgotten)
  }
  /** Those of these pictures that no line speaks of. */
  picturesOfNobody(hashes: readonly string[]): Promise<string[]> {
    return ofNobodyElse(this.db, hashes)
  }

  /** Waits until no other server of this shop is appending; given back at the end of the transaction. */
  async holdAppends(): Promise<void> {
    await this.db.execute(sql`select pg_advisory_xact_lock(${LOCKS.append})`)
  }

  /** Tells every server of this shop that lines have arrived, as soon as the transaction holds. */
  async tellArrival(): Promise<void> {
    await this.db.execute(sql`select pg_notify(${ARRIVED}, '')`)
  }

  /** Entries by id, in today's shape and as they were accepted. */
  async entriesById(ids: readonly string[]): Promise<Map<string, Entry>> {
    if (ids.length === 0) return new Map()
    const rows = await this.db.select({ entry: entries.entry }).from(entries).where(isAnyOf(entries.id, ids))
    return new Map(rows.map(({ entry }) => [entry.id, liftEntry(entry) as Entry]))
  }

  /** The journal of one visit in its own order. */
  async entriesOfVisit(visitId: string): Promise<Entry[]> {
    return (await this.entriesOfVisits([visitId])).get(visitId) ?? []
  }

  /** The journals of several visits, each in its own order. */
  async entriesOfVisits(visitIds: readonly string[]): Promise<Map<string, Entry[]>> {
    if (visitIds.length === 0) return new Map()
    const rows = await this.db
      .select({ entry: entries.entry, visitId: entries.visitId })
      .from(entries)
      .where(isAnyOf(entries.visitId, visitIds))
      .orderBy(asc(entries.arrival))
    return new Map([...byVisit(rows)].map(([id, journal]) => [id, liftJournal(journal.map(({ entry }) => entry))]))
  }

  /** What the shop says of itself, its register left out, with the order of arrival. */
  async shopEntries(): Promise<{ entry: Entry; arrival: number }[]> {
    const rows = await this.db
      .select({ entry: entries.entry, arrival: entries.arrival })
      .from(entries)
      .where(and(isNull(entries.visitId), inArray(entries.kind, [...OF_ITSELF])))
      .orderBy(asc(entries.arrival))
    return liftJournal(rows.map(({ entry }) => entry)).map((entry, index) => ({
      entry,
      arrival: rows[index]?.arrival as number,
    }))
  }

  /** What was said of practice, in order of arrival. */
  practiceLines = () => this.shopLines(PRACTICE_KINDS)

  /** What was said of the shop's shelves, in order of arrival. */
  shelfLines = () => this.shopLines([...SHELF_KINDS, ...BUYING_KINDS, 'retracted'])

  private async shopLines(kinds: readonly EntryKind[]): Promise<Entry[]> {
    const rows = await this.db
      .select({ entry: entries.entry })
      .from(entries)
      .where(and(isNull(entries.visitId), inArray(entries.kind, [...kinds])))
      .orderBy(asc(entries.arrival))
    return liftJournal(rows.map(({ entry }) => entry))
  }

  /** Entries in order of arrival, after one of them. */
  async entriesAfter(arrival: number, most: number): Promise<{ entry: Entry; arrival: number }[]> {
    return this.db
      .select({ entry: entries.entry, arrival: entries.arrival })
      .from(entries)
      .where(gt(entries.arrival, arrival))
      .orderBy(asc(entries.arrival))
      .limit(most)
  }

  /**
   * Visits whose steps teach the shop's own times and that changed after an arrival, oldest first; among the changed
   * also those that teach nothing any more.
   */
  async pacedVisits(after: number): Promise<PacedVisit[]> {
    return this.db
      .select({ id: visits.id, scheduledAt: visits.scheduledAt, lastArrival: visits.lastArrival, paced: visits.paced })
      .from(visits)
      .where(after === 0 ? sql`${visits.paced} <> '[]'::jsonb` : gt(visits.lastArrival, after))
      .orderBy(asc(visits.scheduledAt), asc(visits.id))
  }

  /** The arrival of the newest entry, 0 where there is none. */
  async newestArrival(): Promise<number> {
    const [row] = await this.db.select({ newest: max(entries.arrival) }).from(entries)
    return row?.newest ?? 0
  }

  /** For visits among these that are open: whose they are and which machine they speak of. */
  async openedVisits(ids: readonly string[]): Promise<Map<string, { customerId: string; machineId: string }>> {
    const rows =
      ids.length === 0
        ? []
        : await this.db
            .select({ id: visits.id, customerId: visits.customerId, machineId: visits.machineId })
            .from(visits)
            .where(isAnyOf(visits.id, ids))
    return new Map(rows.map(({ id, ...visit }) => [id, visit]))
  }

  /** Which of these ids are those of customers, and which of machines. */
  async registeredAmong(ids: readonly string[]): Promise<{ customers: Set<string>; machines: Set<string> }> {
    if (ids.length === 0) return { customers: new Set(), machines: new Set() }
    const [ofCustomers, ofMachines] = [
      await this.db.select({ id: customers.id }).from(customers).where(isAnyOf(customers.id, ids)),
      await this.db.select({ id: machines.id }).from(machines).where(isAnyOf(machines.id, ids)),
    ]
    return { customers: new Set(ofCustomers.map(({ id }) => id)), machines: new Set(ofMachines.map(({ id }) => id)) }
  }

  /** Every visit's and every customer's id: what a journal that is read again is checked against. */
  async knownThings(): Promise<{ visits: Set<string>; customers: Set<string> }> {
    const [ofVisits, ofCustomers] = [
      await this.db.select({ id: visits.id }).from(visits),
      await this.db.select({ id: customers.id }).from(customers),
    ]
    return { visits: new Set(ofVisits.map(({ id }) => id)), customers: new Set(ofCustomers.map(({ id }) => id)) }
  }

  /**
   * Adds entries in their order, without bringing the lists up to date. Ids that are there already are left alone.
   *
   * @param entriesJson each entry as JSON
   * @returns how many were new
   */
  async insertJson(entriesJson: readonly string[]): Promise<number> {
    let fresh = 0
    for (let start = 0; start < entriesJson.length; start += ROWS_AT_ONCE) {
      const json = `[${entriesJson.slice(start, start + ROWS_AT_ONCE).join(',')}]`
      const done = (await this.db.execute(sql`
        insert into ${entries} (id, visit_id, kind, entry)
        select (e->>'id')::uuid, (e->>'visitId')::uuid, e->>'kind', e
        from json_array_elements(${json}::json) with ordinality as given(e, place) order by place
        on conflict do nothing`)) as unknown as { affectedRows?: number; rowCount?: number }
      fresh += done.affectedRows ?? done.rowCount ?? 0
      // A long list lets others have their turn between two parts of it.
      if (entriesJson.length > ROWS_AT_ONCE) await new Promise(setImmediate)
    }
    return fresh
  }

  /** Adds entries and brings up to date the lists that they change. */
  async insert(added: readonly Entry[]): Promise<void> {
    if (added.length === 0) return
    await this.insertJson(added.map((entry) => JSON.stringify(entry)))
    await this.projectVisits([...new Set(added.filter(isListed).flatMap(({ visitId }) => visitId ?? []))])
    const about = await aboutOf(
      this.db,
      added.filter(({ visitId }) => visitId === null),
    )
    if (about.length > 0) await projectRegister(this.db, about)
  }

  /** Rebuilds the list rows of these visits from their journals. */
  async projectVisits(visitIds: readonly string[]): Promise<void> {
    await projectVisits(this.db, visitIds)
  }

  /** Rebuilds what the shop said outright of its customers, their places and machines. */
  async projectRegister(): Promise<void> {
    await projectRegister(this.db)
  }

  /** Every visit that has entries, whether it is listed or not. */
  async visitIdsWithEntries(): Promise<string[]> {
    const rows = await this.db.selectDistinct({ id: entries.visitId }).from(entries).where(isNotNull(entries.visitId))
    return rows.flatMap(({ id }) => id ?? [])
  }

  /** Confirmed causes of all kinds, counted. */
  async causes({ after = {}, exceptVisit }: { after?: CountedAfter; exceptVisit?: string } = {}): Promise<
    Map<Kind, Partial<Record<Fault, number>>>
  > {
    const since = Object.entries(after).map(([kind, arrival]) =>
      and(eq(machines.kind, kind), sql`${visits.causeArrival} <= ${arrival}`),
    )
    const rows = await this.db
      .select({ kind: machines.kind, cause: visits.cause, times: count() })
      .from(visits)
      .innerJoin(machines, eq(machines.id, visits.machineId))
      .where(
        and(
          isNotNull(visits.cause),
          since.length > 0 ? sql`not (${or(...since)})` : undefined,
          exceptVisit ? ne(visits.id, exceptVisit) : undefined,
        ),
      )
      .groupBy(machines.kind, visits.cause)
    const counted = new Map<Kind, Partial<Record<Fault, number>>>()
    for (const { kind, cause, times } of rows)
      counted.set(kind as Kind, { ...counted.get(kind as Kind), [cause as string]: times })
    return counted
  }

  /** Confirmed causes of one kind, counted. */
  async causesOf(
    kind: Kind,
    options: { after?: CountedAfter; exceptVisit?: string } = {},
  ): Promise<Partial<Record<Fault, number>>> {
    return (await this.causes(options)).get(kind) ?? {}
  }

  /** What nothing speaks against in the recordings of machines of a kind, one of each. */
  recordedOf(kind: Kind, side: EntryBodies['recording']['side']): Promise<HeardInRecording[]> {
    return recordedOf(this.db, kind, side)
  }

  /** Visits that stand in [from, to), and those that were begun there and go on later. */
  async visitsBetween(from: string, to: string): Promise<VisitRow[]> {
    return this.visitRows(
      and(
        or(
          and(gte(visits.scheduledAt, from), lt(visits.scheduledAt, to)),
          and(gte(visits.beganAt, from), lt(visits.beganAt, to)),
        ),
        eq(visits.waits, false),
        isNull(visits.cancelled),
      ),
    )
  }

  /** Calls that have no day, oldest first. */
  async waiting(): Promise<VisitRow[]> {
    return this.visitRows(and(sql`${visits.waits} and not ${visits.handedOver}`, isNull(visits.cancelled)))
  }

  /** Visits of before an instant that were never handed over: each has to be said what becomes of it. */
  async leftOver(before: string): Promise<VisitRow[]> {
    return this.visitRows(
      and(
        lt(visits.scheduledAt, before),
        sql`not ${visits.handedOver}`,
        eq(visits.waits, false),
        isNull(visits.cancelled),
      ),
    )
  }

  /** The visits of a visit's journey in the order of its sheet, itself among them: all of the same customer. */
  async journeyOf(visitId: string): Promise<VisitRow[]> {
    const [own] = await this.visitRows(eq(visits.id, visitId))
    if (!own) return []
    const first = firstOf(own)
    const rows = await this.visitRows(or(eq(visits.id, first), eq(visits.together, first)))
    return journeyAround(
      own,
      rows.filter(({ customer }) => customer.id === own.customer.id),
    )
  }

  /** The lines that order a day's tours, oldest first. */
  async orderLines(on: string): Promise<Entry[]> {
    const rows = await this.db
      .select({ entry: entries.entry })
      .from(entries)
      .where(and(eq(entries.kind, 'day-order'), sql`${ORDERED_DAY} = ${on}`))
      .orderBy(asc(entries.arrival))
    return liftJournal(rows.map(({ entry }) => entry))
  }

  /** The lines that order the tours of days between two instants, oldest first; days of the edges among them. */
  async orderLinesBetween(from: string, to: string): Promise<Entry[]> {
    const rows = await this.db
      .select({ entry: entries.entry })
      .from(entries)
      .where(
        and(eq(entries.kind, 'day-order'), sql`${ORDERED_DAY} between ${from.slice(0, 10)} and ${to.slice(0, 10)}`),
      )
      .orderBy(asc(entries.arrival))
    return liftJournal(rows.map(({ entry }) => entry))
  }

  /** The visits of a machine, oldest first. */
  async visitsOfMachine(machineId: string): Promise<VisitRow[]> {
    const records = await this.recordsOfMachine(machineId)
    return this.visitRows(inArray(visits.machineId, records))
  }

  /** All records that a machine has: the one that stands for it, and those that were merged into it. */
  private async recordsOfMachine(machineId: string): Promise<string[]> {
    const [own] = await this.db
      .select({ mergedInto: machines.mergedInto })
      .from(machines)
      .where(eq(machines.id, machineId))
    const into = own?.mergedInto ?? machineId
    const gone = await this.db.select({ id: machines.id }).from(machines).where(eq(machines.mergedInto, into))
    return [into, ...gone.map(({ id }) => id)]
  }

  /** The newest visits at a customer's machines, those of records that were merged among them, newest first. */
  async visitsOfCustomer(customerId: string, most: number): Promise<VisitRow[]> {
    const rows = await this.db
      .select({ id: visits.id })
      .from(visits)
      .innerJoin(customers, eq(customers.id, visits.customerId))
      .where(or(eq(customers.id, customerId), eq(customers.mergedInto, customerId)))
      .orderBy(desc(visits.scheduledAt))
      .limit(most)
    const ids = rows.map(({ id }) => id)
    return (await this.visitRows(isAnyOf(visits.id, ids))).reverse()
  }

  private async visitRows(where: SQL | undefined): Promise<VisitRow[]> {
    const rows = await this.db
      .select({ visit: visits, customer: customers, machine: machines.machine, site: sites.site })
      .from(visits)
      .innerJoin(customers, eq(customers.id, visits.customerId))
      .innerJoin(machines, eq(machines.id, visits.machineId))
      .leftJoin(sites, eq(sites.id, sql`coalesce((${machines.machine}->>'siteId')::uuid, ${visits.customerId})`))
      .where(where)
      .orderBy(asc(visits.scheduledAt), asc(visits.id))
    return rows.map(({ visit, customer, machine, site }) => ({
      id: visit.id,
      machineId: visit.machineId,
      scheduledAt: new Date(visit.scheduledAt).toISOString(),
      plannedMinutes: visit.plannedMinutes,
      callerSays: visit.callerSays,
      complaints: visit.complaints,
      stage: visit.joint,
      handedOver: visit.handedOver,
      waits: visit.waits,
      ...(visit.beganAt ? { beganAt: new Date(visit.beganAt).toISOString() } : {}),
      ...(visit.cancelled === null ? {} : { cancelled: visit.cancelled }),
      ...(visit.together === null ? {} : { together: visit.together }),
      arranged: visit.arranged,
      customer: customerOf(customer),
      ...(site ? { site } : {}),
      machine,
    }))
  }

  /** The accounts of a month, as YYYY-MM, in the order of their days. */
  async ledgerOf(month: string): Promise<LedgerRow[]> {
    const rows = await this.db
      .select({ account: visits.account })
      .from(visits)
      .where(
        and(gte(sql`(${visits.account}->>'on')`, `${month}-01`), lte(sql`(${visits.account}->>'on')`, `${month}-31`)),
      )
    return inOrder(rows)
  }

  /** Accounts of before a day that are not paid, or paid too much. */
  async openAccounts(before: string): Promise<LedgerRow[]> {
    // What one payment paid of several visits is open in none of them: a journey is looked at whole.
    const journey = (visit: { together: AnyPgColumn; id: AnyPgColumn }) => sql`coalesce(${visit.together}, ${visit.id})`
    const isOpen = sql`(${visits.account}->>'open')::numeric <> 0`
    const isBefore = lt(sql`(${visits.account}->>'on')`, before)
    const open = this.db
      .select({ id: journey(visits) })
      .from(visits)
      .where(and(isBefore, isOpen))
    const rows = await this.db
      .select({ account: visits.account })
      .from(visits)
      .where(and(isBefore, inArray(journey(visits), open)))
    return inOrder(rows).filter((row) => row.open !== 0)
  }

  /** For each machine the newest handed-over visit before an instant. */
  async lastVisitOf(machineIds: readonly string[], before: string): Promise<Map<string, string>> {
    if (machineIds.length === 0) return new Map()
    const rows = await this.db
      .selectDistinctOn([visits.machineId], { machineId: visits.machineId, id: visits.id })
      .from(visits)
      .where(
        and(inArray(visits.machineId, [...machineIds]), lt(visits.scheduledAt, before), eq(visits.handedOver, true)),
      )
      .orderBy(visits.machineId, desc(visits.scheduledAt))
    return new Map(rows.map(({ machineId, id }) => [machineId, id]))
  }

  async machine(id: string): Promise<Machine | undefined> {
    const [row] = await this.db.select({ machine: machines.machine }).from(machines).where(eq(machines.id, id))
    return row?.machine
  }

  async customer(id: string): Promise<Customer | undefined> {
    const [row] = await this.db.select().from(customers).where(eq(customers.id, id))
    return row && customerOf(row)
  }

  /** Every machine with its customer, for the choice when a visit is opened. */
  async allMachines(): Promise<{ machine: Machine; customer: Customer }[]> {
    const rows = await this.db
      .select({ machine: machines.machine, customer: customers })
      .from(machines)
      .innerJoin(whose, eq(whose.id, machines.customerId))
      .innerJoin(customers, STANDS_FOR)
      .where(and(isNull(machines.mergedInto), isNull(machines.retired)))
      .orderBy(asc(customers.name), asc(machines.name))
    return rows.map(({ machine, customer }) => ({ machine, customer: customerOf(customer) }))
  }

  async addFile(file: { hash: string; type: string; bytes: number }): Promise<void> {
    await this.db.insert(files).values(file).onConflictDoNothing()
  }

  async fileOf(hash: string): Promise<{ hash: string; type: string; bytes: number } | undefined> {
    const [row] = await this.db.select().from(files).where(eq(files.hash, hash))
    return row
  }

  /** The bytes of a picture that is kept in the database. */
  async pictureOf(hash: string): Promise<Buffer | undefined> {
    const [row] = await this.db.select({ content: pictures.content }).from(pictures).where(eq(pictures.hash, hash))
    return row && Buffer.from(row.content)
  }

  async hasPicture(hash: string): Promise<boolean> {
    const rows = await this.db.select({ hash: pictures.hash }).from(pictures).where(eq(pictures.hash, hash))
    return rows.length > 0
  }

  async pictureHashes(): Promise<string[]> {
    return (await this.db.select({ hash: pictures.hash }).from(pictures)).map(({ hash }) => hash)
  }

  async fileHashes(): Promise<string[]> {
    return (await this.db.select({ hash: files.hash }).from(files)).map(({ hash }) => hash)
  }

  async dropPicture(hash: string): Promise<void> {
    await this.db.delete(pictures).where(eq(pictures.hash, hash))
  }

  /** @returns whether it was new */
  async addPicture(hash: string, content: Buffer): Promise<boolean> {
    const added = await this.db
      .insert(pictures)
      .values({ hash, content })
      .onConflictDoNothing()
      .returning({ hash: pictures.hash })
    return added.length > 0
  }

  async filesAmong(hashes: readonly string[]): Promise<Set<string>> {
    const rows =
      hashes.length === 0
        ? []
        : await this.db
            .select({ hash: files.hash })
            .from(files)
            .where(inArray(files.hash, [...hashes]))
    return new Set(rows.map(({ hash }) => hash))
  }

  /** How many entries there are. */
  async count(): Promise<number> {
    const [row] = await this.db.select({ count: sql<number>`count(*)::int` }).from(entries)
    return row?.count ?? 0
  }

  /** Something the shop's data knows of itself. */
  async meta<T>(key: string): Promise<T | undefined> {
    const [row] = await this.db.select({ value: meta.value }).from(meta).where(eq(meta.key, key))
    return row?.value as T | undefined
  }

  async setMeta(key: string, value: unknown): Promise<void> {
    await this.db
      .insert(meta)
      .values({ key, value })
      .onConflictDoUpdate({ target: meta.key, set: { value: sql`excluded.value` } })
  }
}

function inOrder(rows: readonly { account: LedgerRow | null }[]): LedgerRow[] {
  return togetherInLedger(rows.flatMap(({ account }) => account ?? [])).sort((a, b) =>
    a.on < b.on ? -1 : a.on > b.on ? 1 : a.number < b.number ? -1 : 1,
  )
}

export function customerOf({ id, name, place, phone, mail }: typeof customers.$inferSelect): Customer {
  return { id, name, place, ...(phone ? { phone } : {}), ...(mail ? { mail } : {}) }
}
