import { and, asc, eq, isNull, or, sql, type SQL } from 'drizzle-orm'
import type { Verdict } from '../../core/judgement/judgement'

import type { CustomerKeys, KnownCustomer } from '../../core/pumps/register-import'
import type { Customer, Machine, Registered, Site } from '../../core/visit/entry'
import type { AnyPgColumn } from 'drizzle-orm/pg-core'
import type { Db } from './connect'
import { customerOf } from './repository'
import { isAnyOf, known, whose } from './rows'
import { customers, machines, sites, visits } from './schema'

/** A machine as lists of the register show it. */
export interface MachineRow {
  machine: Machine
  customerId: string
  verdict?: Verdict
  dueOn?: string
  retired?: { on: string; why: string }
  visits: number
  lastVisit?: string
}

/** A file that was taken in: its name, when, and how much of what it wrote still speaks. */
export interface TakenIn {
  act: string
  line: string
  at: string
  lines: number
  standing: number
}
const MOST_TAKEN_IN = 20
/** So many pairs that may be one customer are shown at once. */
const MOST_TWINS = 20

/** Customers, places and machines as the shop finds them again. */
export class Register {
  constructor(private readonly db: Db) {}

  /** How many there are. */
  async counts(): Promise<{ customers: number; machines: number }> {
    const [row] = await this.db
      .select({
        customers: sql<number>`(select count(*)::int from ${customers} where merged_into is null)`,
        machines: sql<number>`(select count(*)::int from ${machines} where merged_into is null and retired is null)`,
      })
      .from(sql`(values (1)) as one`)
    return row ?? { customers: 0, machines: 0 }
  }

  /** Customers by id, each as the record that stands for it. */
  async customer(id: string): Promise<Customer | undefined> {
    const [row] = await this.db
      .select()
      .from(customers)
      .where(sql`${customers.id} = (select coalesce(merged_into, id) from ${customers} own where own.id = ${id})`)
    return row && customerOf(row)
  }

  /** The records that were merged into one, with the lines that did so. */
  async mergedInto(
    what: Registered,
    id: string,
  ): Promise<{ id: string; name: string; entryId: string; into: string }[]> {
    const table = what === 'customer' ? customers : machines
    const rows = await this.db.execute(sql`
      select m.gone as id, t.name, m.entry_id, m.into from merges m join ${table} t on t.id = m.gone
      where t.merged_into = ${id} order by m.arrival`)
    return (rows as unknown as { rows: { id: string; name: string; entry_id: string; into: string }[] }).rows.map(
      ({ id: gone, name, entry_id, into }) => ({ id: gone, name, entryId: entry_id, into }),
    )
  }

  /** What is known of the place where a machine stands. */
  async siteOf({ siteId, customerId }: Pick<Machine, 'siteId' | 'customerId'>): Promise<Site | undefined> {
    const [row] = await this.db
      .select({ site: sites.site })
      .from(sites)
      .where(eq(sites.id, siteId ?? customerId))
    return row?.site
  }

  /** Whoever may be meant by these: by id, telephone, address, or a name alone; with their places and machines. */
  async meant(keys: readonly CustomerKeys[]): Promise<KnownCustomer[]> {
    const each = (of: (key: CustomerKeys) => string | undefined) => [...new Set(keys.flatMap((key) => of(key) ?? []))]
    const texts = (list: readonly string[]) => sql`(select jsonb_array_elements_text(${JSON.stringify(list)}::jsonb))`
    const rows = await this.db.execute(sql`
      select distinct coalesce(merged_into, id) as id from ${customers}
      where ${isAnyOf(
        customers.id,
        each(({ id }) => id),
      )}
        or phone_key in ${texts(each(({ phone }) => phone))}
        or address_key in ${texts(each(({ address }) => address))}
        or lower(name) in ${texts(each(({ name }) => name?.toLowerCase()))}`)
    return this.knownCustomers((rows as unknown as { rows: { id: string }[] }).rows.map(({ id }) => id))
  }

  /** Customers with their places and machines, what was retired left out; all of them where none are named. */
  async knownCustomers(ids?: readonly string[]): Promise<KnownCustomer[]> {
    const among = (column: AnyPgColumn) => (ids ? isAnyOf(column, ids) : undefined)
    const owner = sql<string>`coalesce(${whose.mergedInto}, ${whose.id})`
    const people = await this.db
      .select()
      .from(customers)
      .where(and(among(customers.id), isNull(customers.mergedInto)))
      .orderBy(asc(customers.name), asc(customers.id))
    const places = await this.db
      .select({ site: sites.site, owner })
      .from(sites)
      .innerJoin(whose, eq(whose.id, sites.customerId))
      .where(ids ? sql`${owner} = any(${`{${ids.join(',')}}`}::uuid[])` : undefined)
    const pumps = await this.db
      .select({ machine: machines.machine, owner })
      .from(machines)
      .innerJoin(whose, eq(whose.id, machines.customerId))
      .where(
        and(
          isNull(machines.mergedInto),
          isNull(machines.retired),
          ids ? sql`${owner} = any(${`{${ids.join(',')}}`}::uuid[])` : undefined,
        ),
      )
      .orderBy(asc(machines.name), asc(machines.id))
    const found = new Map(
      people.map((row) => [
        row.id,
        { customer: customerOf(row), sites: [] as Site[], machines: [] as Machine[] } satisfies KnownCustomer,
      ]),
    )
    for (const { site, owner: id } of places) found.get(id)?.sites.push(site)
    for (const { machine, owner: id } of pumps) found.get(id)?.machines.push(machine)
    return [...found.values()]
  }

  /** What was taken in from files, the newest first: how many lines each wrote, and how many of them still speak. */
  async takenIn(): Promise<TakenIn[]> {
    const rows = await this.db.execute(sql`
      select e.entry #>> '{said,act}' as act, min(e.entry #>> '{said,line}') as line, min(e.entry ->> 'at') as at,
        count(*)::int as lines, count(*) filter (where not exists (
          select 1 from entries gone where gone.visit_id is null and gone.kind = 'retracted'
            and (gone.entry ->> 'supersedes') = e.id::text))::int as standing
      from entries e
      where e.visit_id is null and e.kind in ('customer-set', 'site-set', 'machine-set')
        and e.entry #>> '{said,act}' is not null
      group by 1 order by 3 desc limit ${MOST_TAKEN_IN}`)
    return (rows as unknown as { rows: TakenIn[] }).rows.map((row) => ({
      ...row,
      line: row.line.replace(/, line \d+$/, ''),
    }))
  }

  /** The lines that a file wrote and that still speak, the last first. */
  async standingOf(act: string): Promise<string[]> {
    const rows = await this.db.execute(sql`
      select e.id from entries e
      where e.visit_id is null and e.entry #>> '{said,act}' = ${act} and not exists (
        select 1 from entries gone where gone.visit_id is null and gone.kind = 'retracted'
          and (gone.entry ->> 'supersedes') = e.id::text)
      order by e.arrival desc`)
    return (rows as unknown as { rows: { id: string }[] }).rows.map(({ id }) => id)
  }

  /** The places of a customer, the own address first. */
  async sitesOf(customerId: string): Promise<Site[]> {
    const rows = await this.db
      .select({ site: sites.site })
      .from(sites)
      .innerJoin(customers, eq(customers.id, sites.customerId))
      .where(or(eq(customers.id, customerId), eq(customers.mergedInto, customerId)))
    return rows
      .map(({ site }) => site)
      .sort(
        (a, b) =>
          Number(b.id === customerId) - Number(a.id === customerId) || ((a.address ?? '') < (b.address ?? '') ? -1 : 1),
      )
  }

  /** The machines of customers, their records that were merged included; retired ones last. */
  async machinesOf(customerIds: readonly string[]): Promise<MachineRow[]> {
    if (customerIds.length === 0) return []
    return this.machineRows(
      sql`${machines.customerId} in (
        select id from ${customers}
        where ${isAnyOf(customers.id, customerIds)} or ${isAnyOf(customers.mergedInto, customerIds)})`,
    )
  }

  /** One machine, as the record that stands for it. */
  async machine(id: string): Promise<MachineRow | undefined> {
    const [row] = await this.machineRows(
      sql`${machines.id} = (select coalesce(merged_into, id) from ${machines} own where own.id = ${id})`,
    )
    return row
  }

  private async machineRows(where: SQL): Promise<MachineRow[]> {
    const owner = sql<string>`(
      select coalesce(merged_into, id) from ${customers} where ${customers.id} = ${machines.customerId})`
    const its = sql`${visits.machineId} = ${machines.id} or ${visits.machineId} in (
      select id from ${machines} gone where gone.merged_into = ${machines.id})`
    const rows = await this.db
      .select({
        machine: machines.machine,
        customerId: owner,
        verdict: machines.verdict,
        dueOn: machines.dueOn,
        retired: machines.retired,
        visits: sql<number>`(select count(*)::int from ${visits} where ${its})`,
        lastVisit: sql<string | null>`(select max(scheduled_at) from ${visits} where ${its})`,
      })
      .from(machines)
      .where(and(where, isNull(machines.mergedInto)))
      .orderBy(sql`${machines.retired} is not null`, asc(machines.name), asc(machines.id))
    return rows.map(({ lastVisit, ...row }) => ({
      ...(known(row) as unknown as MachineRow),
      ...(lastVisit ? { lastVisit: new Date(lastVisit).toISOString() } : {}),
    }))
  }

  /** Customers that share a telephone or an address with one of these and are not known to be two. */
  async twinsOf(
    customerIds: readonly string[],
  ): Promise<{ one: Customer; other: Customer; because: ('phone' | 'place')[] }[]> {
    if (customerIds.length === 0) return []
    // A limit for each keeps the engine with the indexes: many at one street and number let it read the whole table.
    const like = (alike: SQL) => sql`(select b.id, b.phone_key, b.address_key from customers b
      where ${alike} and b.id <> a.id and b.merged_into is null and not exists (select 1 from kept_apart k
        where (k.one = a.id and k.other = b.id) or (k.one = b.id and k.other = a.id)) limit ${MOST_TWINS})`
    const rows = await this.db.execute(sql`
      select a.id as one, b.id as other, coalesce(a.phone_key = b.phone_key, false) as phone,
        coalesce(a.address_key = b.address_key, false) as place
      from customers a cross join lateral (
        ${like(sql`b.phone_key = a.phone_key`)}
        union ${like(sql`b.address_key = a.address_key and a.address_key ~ '[0-9]'`)}
      ) b
      where ${isAnyOfIds('a.id', customerIds)} and a.merged_into is null
      limit ${MOST_TWINS}`)
    const pairs = (rows as unknown as { rows: { one: string; other: string; phone: boolean; place: boolean }[] }).rows
    const seen = new Set<string>()
    const whole = await this.customersById([...new Set(pairs.flatMap(({ one, other }) => [one, other]))])
    return pairs.flatMap(({ one, other, phone, place }) => {
      const key = [one, other].sort().join()
      if (seen.has(key)) return []
      seen.add(key)
      return [
        {
          one: whole.get(one) as Customer,
          other: whole.get(other) as Customer,
          because: [...(phone ? ['phone' as const] : []), ...(place ? ['place' as const] : [])],
        },
      ]
    })
  }

  private async customersById(ids: readonly string[]): Promise<Map<string, Customer>> {
    const rows = await this.db.select().from(customers).where(isAnyOf(customers.id, ids))
    return new Map(rows.map((row) => [row.id, customerOf(row)]))
  }

  /** A customer's visits that are not handed over: what a correction has to reach. */
  async openVisitsOf(customerId: string): Promise<string[]> {
    const rows = await this.db
      .select({ id: visits.id })
      .from(visits)
      .where(and(eq(visits.handedOver, false), isNull(visits.cancelled), eq(visits.customerId, customerId)))
    return rows.map(({ id }) => id)
  }
}

const isAnyOfIds = (column: string, ids: readonly string[]) =>
  sql`${sql.raw(column)} = any(${`{${ids.join(',')}}`}::uuid[])`
