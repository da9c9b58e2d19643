import { and, eq, inArray, isNotNull, isNull, or, sql, type SQL } from 'drizzle-orm'
import type { Verdict } from '../../core/judgement/judgement'
import { searchWords } from '../../core/pumps/words'
import { SEARCH_GROUPS, type SearchGroup, type SearchLine } from '../../core/pumps/search-lines'
import type { MachineTrend } from '../../core/pumps/machine-trends'
import type { Customer, Machine, Site } from '../../core/visit/entry'
import { forgottenIn, type Forgotten } from '../../core/visit/forgotten'
import type { Db } from './connect'
import { customerOf } from './repository'
import { isAnyOf, known, STANDS_FOR, whose } from './rows'
import {
  ABOUT,
  IS_OF_REGISTER,
  IS_SAID,
  IS_WHO,
  SAID,
  WHO,
  customers,
  entries,
  machines,
  searchLines,
  sites,
  visits,
} from './schema'

/** Which machines are asked for; what is left out is any. */
export interface MachineFilter {
  kind?: string
  /** ISO date: installed on it or before. */
  installedBy?: string
  /** ISO date: something due on it or before. */
  dueBy?: string
  verdict?: Verdict | 'none'
  retired?: boolean
}

/** A line that was found. */
export interface FoundLine extends Omit<SearchLine, 'words'> {
  what: SearchGroup
}
export interface FoundGroup {
  what: SearchGroup
  count: number
  lines: FoundLine[]
}
/** What was found, and whether there is more than was looked through. */
export interface Found {
  groups: FoundGroup[]
  /** Streets among the customers and places that are found, where the street itself is what was asked for. */
  streets: string[]
  isCut: boolean
}
export interface FoundStreet {
  street: string
  machines: number
}

/** What can be found, and what it is made of: the search's own lines, and where they come from. */
export class Search {
  constructor(private readonly db: Db) {}

  /**
   * Brings the engine's own figures up to date, by which it asks which index serves, and gives back the room of rows
   * that were written over: the embedded engine does neither by itself.
   */
  async measure(): Promise<void> {
    for (const table of [customers, machines, visits, searchLines, sites])
      await this.db.execute(sql`vacuum analyze ${table}`)
  }

  /**
   * Lines that have every one of these words, each as the beginning of one of theirs, by group: how many, and the
   * first. Where there are very many, as many are counted as are looked through.
   *
   * @param words lower case, no accents; without any, the customers and machines by their names
   * @param most lines of each group
   */
  async find(words: readonly string[], filter: MachineFilter, most: number): Promise<Found> {
    const among = this.among(filter)
    const hits =
      words.length === 0 && machineConditions(filter).length === 0
        ? byName(most)
        : sql`${hitsIn('who', words, among)} union all ${hitsIn('said', words, among)}`
    const rows = await this.db.execute(sql`
      with hits as materialized (${hits}),
      placed as (
        select id, what, row_number() over (
          partition by what order by on_day desc nulls last, label collate "C", id) as place,
          count(*) over (partition by what) as count
        from hits
      )
      select l.what, l.label, l.about, l.customer_id as "customerId", l.machine_id as "machineId",
        l.visit_id as "visitId", l.on_day as "on", l.reading, p.count,
        case when l.what = 'machine' then m.verdict else l.verdict end as verdict
      from placed p join search_lines l on l.id = p.id left join machines m on m.id = l.machine_id
      where p.place <= ${most}
      union all select 'street', street, '', null, null, null, null, null, 0, null
        from (select distinct street from hits where what in ('customer', 'place') and street is not null) as streets`)
    const groups = new Map<SearchGroup, FoundGroup>()
    const streets: string[] = []
    for (const { count, ...line } of (rows as unknown as { rows: FoundRow[] }).rows) {
      if (line.what === 'street') {
        streets.push(line.label)
        continue
      }
      const group = groups.get(line.what) ?? { what: line.what, count: Number(count), lines: [] }
      group.lines.push(known(line) as FoundLine)
      groups.set(group.what, group)
    }
    for (const { lines } of groups.values()) lines.sort(inOrder)
    const counted = (of: readonly SearchGroup[]) => of.reduce((sum, what) => sum + (groups.get(what)?.count ?? 0), 0)
    return {
      groups: SEARCH_GROUPS.flatMap((what) => groups.get(what) ?? []),
      streets: streets.filter((street) => isAskedFor(street, words)).sort(),
      isCut: counted(WHO) >= MOST_HITS || counted(SAID) >= MOST_HITS,
    }
  }

  /** Lines of machines that are asked for, and customers that have one. */
  private among(filter: MachineFilter): SQL {
    const of = machineConditions(filter)
    if (of.length === 0)
      return sql`(what not in ('machine', 'plate') or machine_id <> all(array(
        select id from machines where retired is not null)))`
    const conditions = and(...of) as SQL
    return sql`(machine_id = any(array(select id from machines where ${conditions}))
      or (machine_id is null and customer_id = any(array(select customer_id from machines where ${conditions}))))`
  }

  /** How many machines stand in each of these streets. */
  async machinesIn(streets: readonly string[]): Promise<FoundStreet[]> {
    if (streets.length === 0) return []
    const rows = await this.db
      .select({ street: searchLines.street, machines: sql<number>`count(*)::int` })
      .from(searchLines)
      .where(and(inArray(searchLines.street, [...streets]), eq(searchLines.what, 'machine'), this.among({})))
      .groupBy(searchLines.street)
    const counted = new Map(rows.map(({ street, machines: count }) => [street, count]))
    return streets.map((street) => ({ street, machines: counted.get(street) ?? 0 }))
  }

  /** What has changed after an arrival: visits with a new line, and what new lines of the register are about. */
  async changedAfter(arrival: number): Promise<{ visitIds: string[]; about: string[]; newest: number }> {
    const rows = await this.db
      .select({
        visitId: entries.visitId,
        about: sql<string | null>`case when ${IS_OF_REGISTER} then ${ABOUT} end`,
        arrival: entries.arrival,
        replaced: sql<string | null>`entry ->> 'supersedes'`,
      })
      .from(entries)
      .where(sql`${entries.arrival} > ${arrival}`)
    const replaced = rows.flatMap(({ visitId, replaced: id }) => (visitId === null && id ? [id] : []))
    const before =
      replaced.length === 0
        ? []
        : await this.db
            .select({ about: ABOUT })
            .from(entries)
            .where(and(IS_OF_REGISTER, isAnyOf(entries.id, replaced)))
    const removed = await this.removedAfter(arrival)
    return {
      visitIds: [...new Set([...rows.flatMap(({ visitId }) => visitId ?? []), ...removed.visits])],
      about: [
        ...new Set([
          ...[...rows.filter(({ visitId }) => visitId === null), ...before].flatMap(({ about }) => about ?? []),
          ...removed.customers,
          ...removed.machines,
        ]),
      ],
      newest: rows.reduce((most, row) => Math.max(most, row.arrival), arrival),
    }
  }

  /** Whose data were removed since: their lines changed in their places. */
  private async removedAfter(arrival: number): Promise<Forgotten> {
    const rows = await this.db
      .select({ entry: entries.entry })
      .from(entries)
      .where(and(isNull(entries.visitId), eq(entries.kind, 'customer-forgotten'), sql`${entries.arrival} > ${arrival}`))
    return forgottenIn(rows.map(({ entry }) => entry))
  }

  /** Every visit's, customer's and machine's id. */
  async everything(): Promise<{ visitIds: string[]; about: string[] }> {
    const [ofVisits, ofCustomers, ofMachines] = [
      await this.db.select({ id: visits.id }).from(visits),
      await this.db.select({ id: customers.id }).from(customers),
      await this.db.select({ id: machines.id }).from(machines),
    ]
    return { visitIds: ofVisits.map(({ id }) => id), about: [...ofCustomers, ...ofMachines].map(({ id }) => id) }
  }

  /** The customers and machines that these visits are of. */
  async subjectsOf(visitIds: readonly string[]): Promise<string[]> {
    const rows = await this.db
      .select({ customerId: visits.customerId, machineId: visits.machineId })
      .from(visits)
      .where(isAnyOf(visits.id, visitIds))
    return [...new Set(rows.flatMap(({ customerId, machineId }) => [customerId, machineId]))]
  }

  /** Customers among these ids, those whose place is among them, and all machines of either, for their lines. */
  async sourcesOf(
    ids: readonly string[],
  ): Promise<{
    customers: { customer: Customer; sites: Site[] }[]
    machines: { machine: Machine; customer: Customer; site?: Site }[]
  }> {
    const ofSites = await this.db.select({ customerId: sites.customerId }).from(sites).where(isAnyOf(sites.id, ids))
    const wanted = [...new Set([...ids, ...ofSites.map(({ customerId }) => customerId)])]
    const customerRows = await this.db.select().from(customers).where(isAnyOf(customers.id, wanted))
    const theirs = await this.db
      .select()
      .from(sites)
      .where(
        isAnyOf(
          sites.customerId,
          customerRows.map(({ id }) => id),
        ),
      )
    const machineRows = await this.db
      .select({ machine: machines.machine, customer: customers })
      .from(machines)
      .innerJoin(whose, eq(whose.id, machines.customerId))
      .innerJoin(customers, STANDS_FOR)
      .where(
        or(
          isAnyOf(machines.id, wanted),
          isAnyOf(machines.customerId, wanted),
          // Whose owner was merged into one of these.
          isAnyOf(customers.id, wanted),
        ),
      )
    const sitesById = new Map(
      (
        await this.db
          .select()
          .from(sites)
          .where(
            isAnyOf(
              sites.id,
              machineRows.flatMap(({ machine }) => machine.siteId ?? []),
            ),
          )
      ).map(({ id, site }) => [id, site]),
    )
    return {
      customers: customerRows.map((row) => ({
        customer: customerOf(row),
        sites: theirs.filter(({ customerId }) => customerId === row.id).map(({ site }) => site),
      })),
      machines: machineRows.map(({ machine, customer }) => {
        const site = machine.siteId ? sitesById.get(machine.siteId) : undefined
        return { machine, customer: customerOf(customer), ...(site ? { site } : {}) }
      }),
    }
  }

  /** Puts the lines of these subjects in the place of those that were there. */
  async replaceLines(lines: ReadonlyMap<string, readonly SearchLine[]>): Promise<void> {
    await this.db.delete(searchLines).where(isAnyOf(searchLines.subject, [...lines.keys()]))
    const all = [...lines].flatMap(([subject, own]) => own.map((line) => ({ subject, ...line })))
    for (let start = 0; start < all.length; start += LINES_AT_ONCE)
      await this.db.execute(sql`
        insert into search_lines (
          subject, what, label, about, customer_id, machine_id, visit_id, on_day, verdict, reading, street, words)
        select (l->>'subject')::uuid, l->>'what', l->>'label', l->>'about', (l->>'customerId')::uuid,
          (l->>'machineId')::uuid, (l->>'visitId')::uuid, l->>'on', l->>'verdict', (l->'reading')::jsonb, l->>'street',
          array_to_tsvector(array(select json_array_elements_text(l->'words')))
        from json_array_elements(${JSON.stringify(all.slice(start, start + LINES_AT_ONCE))}::json) l`)
  }

  /**
   * Machines with the visits at them and at records that were merged into them, oldest first: those among these ids,
   * or all that were visited more than once, without which there is no line through readings.
   */
  async visitedOften(ids?: readonly string[]): Promise<{ machine: Machine; visitIds: string[] }[]> {
    const asked = ids
      ? sql`m.id in (select coalesce(merged_into, id) from machines where ${isAnyOf(machines.id, ids)})`
      : sql`true`
    const rows = await this.db.execute(sql`
      with visited as (
        select coalesce(m.merged_into, m.id) as id, v.id as visit, v.scheduled_at
        from visits v join machines m on m.id = v.machine_id where v.cancelled is null)
      select m.machine, array_agg(visited.visit order by visited.scheduled_at, visited.visit) as visits
      from visited join machines m on m.id = visited.id
      where ${asked}
      group by m.id having count(*) >= ${ids ? 1 : FEWEST_VISITS}`)
    return (rows as unknown as { rows: { machine: Machine; visits: string[] }[] }).rows.map(
      ({ machine, visits: visitIds }) => ({ machine, visitIds }),
    )
  }

  /** What of these machines' readings asks to be read again. */
  async keepTrends(trends: ReadonlyMap<string, readonly MachineTrend[]>): Promise<void> {
    const each = [...trends].map(([id, of]) => ({ id, trends: of }))
    await this.db.execute(sql`
      update machines set trends = (t.value->'trends')::jsonb
      from json_array_elements(${JSON.stringify(each)}::json) t
      where machines.id = (t.value->>'id')::uuid and machines.trends is distinct from (t.value->'trends')::jsonb`)
  }

  /** What visits say at their end, and so what their machines last read and next have due. */
  async keepVerdicts(verdicts: ReadonlyMap<string, Verdict | undefined>): Promise<void> {
    const ids = [...verdicts.keys()]
    await this.db.execute(sql`
      update visits set verdict = v.value->>'verdict'
      from json_array_elements(${JSON.stringify([...verdicts].map(([id, verdict]) => ({ id, verdict })))}::json) v
      where visits.id = (v.value->>'id')::uuid`)
    await this.db.execute(sql`
      update machines set
        verdict = (select verdict from visits v where v.machine_id = machines.id and v.verdict is not null
          order by v.scheduled_at desc limit 1),
        due_on = (select (select min(d->>'on') from jsonb_array_elements(v.due) d) from visits v
          where v.machine_id = machines.id order by v.scheduled_at desc limit 1)
      where machines.id in (select machine_id from visits where visits.id = any(${`{${ids.join(',')}}`}::uuid[]))`)
  }
}

const FEWEST_VISITS = 2

const LINES_AT_ONCE = 2_000
/** So many answers of a kind are looked through and counted; whoever has more types on. */
const MOST_HITS = 400

/** What is part of another record is found under that one. */
const STANDS_FOR_ITSELF = sql`subject <> all(array(
  select id from customers where merged_into is not null
  union all select id from machines where merged_into is not null))`

/**
 * Who and what there is, and what was said and read of it: each has an index of its own, and the second does not crowd
 * out the first.
 */
const GROUPED = { who: IS_WHO, said: IS_SAID }

/** The lines of some groups that have these words. */
function hitsIn(groups: keyof typeof GROUPED, words: readonly string[], among: SQL): SQL {
  const asked =
    words.length > 0 ? sql`words @@ ${queryOf(words)}::tsquery` : inArray(sql`what`, ['customer', 'machine'])
  return sql`(select id, what, on_day, label, street from search_lines
    where ${asked} and ${GROUPED[groups]} and ${among} and ${STANDS_FOR_ITSELF} limit ${MOST_HITS})`
}

/** Nothing is asked: the first customers and machines by their names. */
function byName(most: number): SQL {
  const first = (what: SearchGroup) => sql`(select id, what, on_day, label, street from search_lines
    where what = ${what} and ${STANDS_FOR_ITSELF} order by label collate "C" limit ${most})`
  return sql`${first('customer')} union all ${first('machine')}`
}

interface FoundRow extends Omit<FoundLine, 'what'> {
  what: SearchGroup | 'street'
  count: number
}

/** The newest first, what has no day by its name. */
function inOrder(a: FoundLine, b: FoundLine): number {
  return (b.on ?? '') < (a.on ?? '') ? -1 : (b.on ?? '') > (a.on ?? '') ? 1 : a.label < b.label ? -1 : 1
}

/** Is a street itself what was asked for, and not the name of somebody who lives there? */
function isAskedFor(street: string, words: readonly string[]): boolean {
  const own = searchWords(street)
  return words.length > 0 && words.every((word) => own.some((each) => each.startsWith(word)))
}

/** What every word must begin, as the database asks for it. */
const queryOf = (words: readonly string[]) => words.map((word) => `'${word.replaceAll("'", "''")}':*`).join(' & ')

function machineConditions({ kind, installedBy, dueBy, verdict, retired }: MachineFilter): SQL[] {
  const asked = [
    kind ? eq(machines.kind, kind) : undefined,
    installedBy ? sql`${machines.installedOn} <= ${installedBy}` : undefined,
    dueBy ? sql`${machines.dueOn} <= ${dueBy}` : undefined,
    verdict === 'none' ? isNull(machines.verdict) : verdict ? eq(machines.verdict, verdict) : undefined,
  ].filter((condition) => condition !== undefined)
  if (asked.length === 0 && !retired) return []
  return [...asked, retired ? isNotNull(machines.retired) : isNull(machines.retired)]
}
