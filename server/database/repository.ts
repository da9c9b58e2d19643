import { and, asc, count, desc, eq, gt, gte, inArray, isNotNull, isNull, lt, ne, or, sql, type SQL } from 'drizzle-orm'
import { compareEntries, type Entry, type Machine } from '../../core/visit/entry'
import type { Fault, Kind } from '../../core/knowledge/vocabulary'
import { causeTaught, foldVisit } from '../../core/visit/fold'
import type { TickedStep } from '../../core/takedown/own-times'
import { liveEntries, newestOf, ofKind } from '../../core/visit/live-entries'
import type { Db } from './connect'
import { customers, entries, files, machines, visits } from './schema'

/** Steps further back than this no longer teach: the shop has changed since. */
const MOST_STEPS = 20_000
type Reader = Pick<Db, 'select'>

/** Rows of a list query: what the Day needs to know of a visit without its journal. */
export interface VisitRow {
  id: string; machineId: string; scheduledAt: string; plannedMinutes: number; callerSays: string; complaints: string[]; joint: string; handedOver: boolean
  customer: { name: string; place: string }; machine: Machine
}

/** The only place that speaks SQL. */
export class Repository {
  constructor(private readonly db: Db) {}

  /** Entries by id. */
  async entriesById(ids: readonly string[]): Promise<Map<string, Entry>> {
    const rows = ids.length === 0 ? [] : await this.db.select({ entry: entries.entry }).from(entries).where(inArray(entries.id, [...ids]))
    return new Map(rows.map(({ entry }) => [entry.id, entry]))
  }

  /** The journal of one visit in its own order. */
  async entriesOfVisit(visitId: string): Promise<Entry[]> {
    return journalOf(this.db, [visitId])
  }

  async entriesOfVisits(visitIds: readonly string[]): Promise<Map<string, Entry[]>> {
    return journalsOf(this.db, visitIds)
  }

  /** The shop's own entries. */
  async shopEntries(): Promise<Entry[]> {
    const rows = await this.db.select({ entry: entries.entry }).from(entries).where(isNull(entries.visitId))
    return rows.map(({ entry }) => entry).sort(compareEntries)
  }

  /** Steps as they were ticked in all visits but one, the newest first: what the shop's own times are learned from. */
  async tickedSteps(exceptVisit?: string): Promise<TickedStep[]> {
    const rows = await this.db.select({ entry: entries.entry }).from(entries).where(and(inArray(entries.kind, ['step', 'retracted']), ...(exceptVisit ? [or(isNull(entries.visitId), ne(entries.visitId, exceptVisit))] : []))).orderBy(desc(entries.at)).limit(MOST_STEPS)
    return ofKind(liveEntries(rows.map(({ entry }) => entry)), 'step').map(({ visitId, at, body: { step, done, estimate } }) => ({ visitId: visitId as string, step, at, done, ...(estimate === undefined ? {} : { estimate }) }))
  }

  /** Which of these ids the database has. */
  async knownIds(ids: readonly string[]): Promise<Set<string>> {
    const rows = ids.length === 0 ? [] : await this.db.select({ id: entries.id }).from(entries).where(inArray(entries.id, [...ids]))
    return new Set(rows.map(({ id }) => id))
  }

  async visitIdsAmong(ids: readonly string[]): Promise<Set<string>> {
    const rows = ids.length === 0 ? [] : await this.db.select({ id: visits.id }).from(visits).where(inArray(visits.id, [...ids]))
    return new Set(rows.map(({ id }) => id))
  }

  /** Adds entries and brings the lists up to date, in one transaction. Ids that are there already are left alone. */
  async insert(added: readonly Entry[]): Promise<void> {
    if (added.length === 0) return
    await this.db.transaction(async (tx) => {
      for (let start = 0; start < added.length; start += 500) {
        await tx.insert(entries).values(added.slice(start, start + 500).map((entry) => ({
          id: entry.id, visitId: entry.visitId, kind: entry.kind, at: entry.at, author: entry.author, supersedes: entry.supersedes ?? null, entry,
        }))).onConflictDoNothing()
      }
      await this.project(tx as unknown as Db, [...new Set(added.flatMap(({ visitId }) => visitId ?? []))])
    })
  }

  /** Rebuilds the list rows of these visits from their journals. */
  private async project(tx: Db, visitIds: readonly string[]): Promise<void> {
    const states = [...(await journalsOf(tx, visitIds)).values()].flatMap((journal) => {
      const state = foldVisit(journal)
      return state ? [{ state, saidAt: saidOfMachine(journal) }] : []
    })
    if (states.length === 0) return
    const newest = [...new Map(states.sort((a, b) => (a.saidAt < b.saidAt ? -1 : 1)).map((item) => [item.state.machine.id, item])).values()]
    await tx.insert(customers).values([...new Map(states.map(({ state }) => [state.customer.id, { ...state.customer, phone: state.customer.phone ?? null }])).values()])
      .onConflictDoUpdate({ target: customers.id, set: { name: sql`excluded.name`, place: sql`excluded.place`, phone: sql`excluded.phone` } })
    await tx.insert(machines).values(newest.map(({ state: { machine }, saidAt }) => ({ id: machine.id, customerId: machine.customerId, name: machine.name, kind: machine.kind, construction: machine.construction, machine, saidAt })))
      .onConflictDoUpdate({ target: machines.id, set: { name: sql`excluded.name`, kind: sql`excluded.kind`, construction: sql`excluded.construction`, machine: sql`excluded.machine`, saidAt: sql`excluded.said_at` }, setWhere: sql`${machines.saidAt} <= excluded.said_at` })
    await tx.insert(visits).values(states.map(({ state }) => ({
      id: state.id, machineId: state.machine.id, customerId: state.customer.id, scheduledAt: state.scheduledAt, plannedMinutes: state.plannedMinutes, callerSays: state.call.callerSays,
      complaints: state.call.complaints, joint: state.joint, handedOver: state.handedOver !== undefined, cause: causeTaught(state) ?? null,
    }))).onConflictDoUpdate({ target: visits.id, set: { scheduledAt: sql`excluded.scheduled_at`, plannedMinutes: sql`excluded.planned_minutes`, callerSays: sql`excluded.caller_says`, complaints: sql`excluded.complaints`, joint: sql`excluded.joint`, handedOver: sql`excluded.handed_over`, cause: sql`excluded.cause` } })
  }

  /** Confirmed causes of a kind's visits after an instant, counted. */
  async causesOf(kind: Kind, { after, exceptVisit }: { after?: string; exceptVisit?: string } = {}): Promise<Partial<Record<Fault, number>>> {
    const rows = await this.db.select({ cause: visits.cause, times: count() }).from(visits).innerJoin(machines, eq(machines.id, visits.machineId))
      .where(and(eq(machines.kind, kind), isNotNull(visits.cause), after ? gt(visits.scheduledAt, after) : undefined, exceptVisit ? ne(visits.id, exceptVisit) : undefined)).groupBy(visits.cause)
    return Object.fromEntries(rows.map(({ cause, times }) => [cause as string, times]))
  }

  /** Visits written before causes were kept in the list get theirs. Those that teach none, by `causeTaught`, are not folded again at every start. */
  async backfillCauses(): Promise<void> {
    const rows = await this.db.selectDistinct({ id: visits.id }).from(visits).innerJoin(entries, eq(entries.visitId, visits.id))
      .where(and(isNull(visits.cause), or(eq(entries.kind, 'post-mortem'), and(eq(visits.handedOver, true), eq(entries.kind, 'cause-said'), sql`${entries.entry} #>> '{body,verdict}' = 'it-was-this'`))))
    if (rows.length > 0) await this.db.transaction((tx) => this.project(tx as unknown as Db, rows.map(({ id }) => id)))
  }

  /** Visits scheduled within [from, to), and those of earlier days that were never handed over. */
  async visitsBetween(from: string, to: string): Promise<VisitRow[]> {
    return this.visitRows(or(and(gte(visits.scheduledAt, from), lt(visits.scheduledAt, to)), and(lt(visits.scheduledAt, from), eq(visits.handedOver, false))))
  }

  /** The visits of a machine, oldest first. */
  async visitsOfMachine(machineId: string): Promise<VisitRow[]> {
    return this.visitRows(eq(visits.machineId, machineId))
  }

  private async visitRows(where: SQL | undefined): Promise<VisitRow[]> {
    const rows = await this.db.select({ visit: visits, customer: customers, machine: machines.machine }).from(visits)
      .innerJoin(customers, eq(customers.id, visits.customerId)).innerJoin(machines, eq(machines.id, visits.machineId)).where(where).orderBy(asc(visits.scheduledAt), asc(visits.id))
    return rows.map(({ visit, customer, machine }) => ({
      id: visit.id, machineId: visit.machineId, scheduledAt: new Date(visit.scheduledAt).toISOString(), plannedMinutes: visit.plannedMinutes, callerSays: visit.callerSays, complaints: visit.complaints,
      joint: visit.joint, handedOver: visit.handedOver, customer: { name: customer.name, place: customer.place }, machine,
    }))
  }

  /** For each machine the newest handed-over visit before an instant. */
  async lastVisitOf(machineIds: readonly string[], before: string): Promise<Map<string, string>> {
    if (machineIds.length === 0) return new Map()
    const rows = await this.db.selectDistinctOn([visits.machineId], { machineId: visits.machineId, id: visits.id }).from(visits)
      .where(and(inArray(visits.machineId, [...machineIds]), lt(visits.scheduledAt, before), eq(visits.handedOver, true))).orderBy(visits.machineId, desc(visits.scheduledAt))
    return new Map(rows.map(({ machineId, id }) => [machineId, id]))
  }

  async machine(id: string): Promise<Machine | undefined> {
    const [row] = await this.db.select({ machine: machines.machine }).from(machines).where(eq(machines.id, id))
    return row?.machine
  }

  /** Every machine with its customer, for the choice when a visit is opened. */
  async allMachines(): Promise<{ machine: Machine; customer: { id: string; name: string; place: string; phone?: string } }[]> {
    const rows = await this.db.select({ machine: machines.machine, customer: customers }).from(machines).innerJoin(customers, eq(customers.id, machines.customerId)).orderBy(asc(customers.name), asc(machines.name))
    return rows.map(({ machine, customer }) => ({ machine, customer: { id: customer.id, name: customer.name, place: customer.place, ...(customer.phone ? { phone: customer.phone } : {}) } }))
  }

  async addFile(file: { hash: string; type: string; bytes: number }): Promise<void> {
    await this.db.insert(files).values(file).onConflictDoNothing()
  }

  async fileOf(hash: string): Promise<{ hash: string; type: string; bytes: number } | undefined> {
    const [row] = await this.db.select().from(files).where(eq(files.hash, hash))
    return row
  }

  async filesAmong(hashes: readonly string[]): Promise<Set<string>> {
    const rows = hashes.length === 0 ? [] : await this.db.select({ hash: files.hash }).from(files).where(inArray(files.hash, [...hashes]))
    return new Set(rows.map(({ hash }) => hash))
  }

  /** How many entries there are. */
  async count(): Promise<number> {
    const [row] = await this.db.select({ count: sql<number>`count(*)::int` }).from(entries)
    return row?.count ?? 0
  }
}

async function journalOf(reader: Reader, visitIds: readonly string[]): Promise<Entry[]> {
  if (visitIds.length === 0) return []
  const rows = await reader.select({ entry: entries.entry }).from(entries).where(inArray(entries.visitId, [...visitIds]))
  return rows.map(({ entry }) => entry).sort(compareEntries)
}

/** The journals of several visits, each in its own order. */
async function journalsOf(reader: Reader, visitIds: readonly string[]): Promise<Map<string, Entry[]>> {
  const grouped = new Map<string, Entry[]>()
  for (const entry of await journalOf(reader, visitIds)) {
    const journal = grouped.get(entry.visitId as string)
    if (journal) journal.push(entry)
    else grouped.set(entry.visitId as string, [entry])
  }
  return grouped
}

function saidOfMachine(journal: readonly Entry[]): string {
  const said = newestOf(journal, 'machine-set') ?? newestOf(journal, 'visit-opened')
  return said?.at ?? ''
}
