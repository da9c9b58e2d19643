import { and, asc, eq, isNull, or, sql, type SQL } from 'drizzle-orm'
import type { Verdict } from '../../core/judgement/judgement'

import type { Customer, Machine, Registered, Site } from '../../core/visit/entry'
import type { Db } from './connect'
import { customerOf } from './repository'
import { isAnyOf, known } from './rows'
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
    const rows = await this.db.execute(sql`
      select a.id as one, b.id as other, coalesce(a.phone_key = b.phone_key, false) as phone,
        coalesce(a.address_key = b.address_key, false) as place
      from customers a join (
        select a.id as of, b.id from customers a join customers b on b.phone_key = a.phone_key
        where ${isAnyOfIds('a.id', customerIds)}
        union select a.id as of, b.id from customers a join customers b on b.address_key = a.address_key
        where ${isAnyOfIds('a.id', customerIds)} and a.address_key ~ '[0-9]'
      ) like_it on like_it.of = a.id join customers b on b.id = like_it.id
      where b.id <> a.id and a.merged_into is null and b.merged_into is null
        and not exists (select 1 from kept_apart k
          where (k.one = a.id and k.other = b.id) or (k.one = b.id and k.other = a.id))
      limit 20`)
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
