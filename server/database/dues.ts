import { and, eq, gt, isNull, notExists, sql } from 'drizzle-orm'
import { alias } from 'drizzle-orm/pg-core'
import type { Kind } from '../../core/knowledge/vocabulary'
import type { FleetFailure } from '../../core/planning/forecast'
import { leftDue, type DueItem, type DueMachine } from '../../core/pumps/due-list'
import type { MachineTrend } from '../../core/pumps/machine-trends'
import type { Machine } from '../../core/visit/entry'
import type { Db } from './connect'
import { isAnyOf, STANDS_FOR, whose } from './rows'
import { customers, machines, sites, visits } from './schema'

/** A machine that is watched for what is never written down as due: the year's round, and lines that meet a limit. */
export interface WatchedMachine {
  of: DueMachine
  trends: MachineTrend[]
  /** ISO date of its last visit; absent where it never had one. */
  visited?: string
}

/** A machine of the shop as its failing is reckoned with: ISO dates and instants. */
export interface FleetRow {
  machine: Machine
  trends: MachineTrend[]
  /** Its first visit. */
  first?: string
  retiredOn?: string
}

/** What machines come due for, and what they have failed of. */
export class Dues {
  constructor(private readonly db: Db) {}

  /** What visits have left to come back for up to a day; a later visit at the machine has answered it. */
  async left(until: string): Promise<DueItem[]> {
    const later = alias(visits, 'later')
    const rows = await this.db
      .select({ ...OF_MACHINE, id: visits.id, due: visits.due })
      .from(visits)
      .innerJoin(machines, eq(machines.id, visits.machineId))
      .innerJoin(whose, eq(whose.id, machines.customerId))
      .innerJoin(customers, STANDS_FOR)
      .leftJoin(sites, STANDS_AT)
      .where(
        and(
          sql`${visits.due} <> '[]'::jsonb`,
          isNull(machines.retired),
          notExists(
            this.db
              .select({ id: later.id })
              .from(later)
              .where(
                and(
                  eq(later.machineId, visits.machineId),
                  gt(later.scheduledAt, visits.scheduledAt),
                  isNull(later.cancelled),
                ),
              ),
          ),
        ),
      )
    return rows.flatMap(({ id, due, ...of }) =>
      due.filter(({ on }) => on <= until).map((each) => leftDue(machineOf(of), id, each)),
    )
  }

  /** Machines of these kinds, and those with a reading to be made again; not those whose visit is still open. */
  async watched(kinds: readonly Kind[]): Promise<WatchedMachine[]> {
    const visited = this.db
      .select({
        id: sql<string>`coalesce(${machines.mergedInto}, ${machines.id})`.as('visited_id'),
        last: sql<string>`max(${visits.scheduledAt})`.as('last'),
        isOpen: sql<boolean>`bool_or(not ${visits.handedOver})`.as('is_open'),
      })
      .from(visits)
      .innerJoin(machines, eq(machines.id, visits.machineId))
      .where(isNull(visits.cancelled))
      .groupBy(sql`1`)
      .as('visited')
    const rows = await this.db
      .select({ ...OF_MACHINE, trends: machines.trends, last: visited.last })
      .from(machines)
      .innerJoin(whose, eq(whose.id, machines.customerId))
      .innerJoin(customers, STANDS_FOR)
      .leftJoin(sites, STANDS_AT)
      .leftJoin(visited, eq(visited.id, machines.id))
      .where(
        and(
          isNull(machines.retired),
          isNull(machines.mergedInto),
          sql`(${machines.kind} = any(${`{${kinds.join(',')}}`}::text[]) or ${machines.trends} <> '[]'::jsonb)`,
          sql`${visited.isOpen} is not true`,
        ),
      )
    return rows.map(({ trends, last, ...of }) => ({
      of: machineOf(of),
      trends,
      ...(last ? { visited: new Date(last).toISOString().slice(0, 10) } : {}),
    }))
  }

  /** Every machine that is or was there, and what visits found to have failed. */
  async fleet(): Promise<{ machines: FleetRow[]; failures: FleetFailure[] }> {
    const standing = sql<string>`coalesce(${machines.mergedInto}, ${machines.id})`
    const first = await this.db
      .select({ id: standing, first: sql<string>`min(${visits.scheduledAt})` })
      .from(visits)
      .innerJoin(machines, eq(machines.id, visits.machineId))
      .where(isNull(visits.cancelled))
      .groupBy(sql`1`)
    const firsts = new Map(first.map((row) => [row.id, row.first]))
    const rows = await this.db
      .select({ machine: machines.machine, trends: machines.trends, retired: machines.retired })
      .from(machines)
      .where(isNull(machines.mergedInto))
    const failures = await this.db
      .select({ machineId: standing, fault: visits.cause, at: visits.scheduledAt })
      .from(visits)
      .innerJoin(machines, eq(machines.id, visits.machineId))
      .where(and(isNull(visits.cancelled), sql`${visits.cause} is not null`))
    return {
      machines: rows.map(({ machine, trends, retired }) => {
        const since = firsts.get(machine.id)
        return { machine, trends, ...(since ? { first: since } : {}), ...(retired ? { retiredOn: retired.on } : {}) }
      }),
      failures: failures.map(({ machineId, fault, at }) => ({ machineId, fault: fault as string, at: Date.parse(at) })),
    }
  }

  /** Which of these machines have a visit that is still open. */
  async withOpenVisit(ids: readonly string[]): Promise<Set<string>> {
    const rows = await this.db
      .select({ id: sql<string>`coalesce(${machines.mergedInto}, ${machines.id})` })
      .from(visits)
      .innerJoin(machines, eq(machines.id, visits.machineId))
      .where(and(eq(visits.handedOver, false), isNull(visits.cancelled)))
    const open = new Set(rows.map(({ id }) => id))
    return new Set(ids.filter((id) => open.has(id)))
  }

  /** Machines by id, with whose they are and where they stand. */
  async machines(ids: readonly string[]): Promise<Map<string, DueMachine>> {
    const rows = await this.db
      .select(OF_MACHINE)
      .from(machines)
      .innerJoin(whose, eq(whose.id, machines.customerId))
      .innerJoin(customers, STANDS_FOR)
      .leftJoin(sites, STANDS_AT)
      .where(isAnyOf(machines.id, ids))
    return new Map(rows.map((row) => [row.machineId, machineOf(row)]))
  }
}

const STANDS_AT = sql`${sites.id} = coalesce((${machines.machine}->>'siteId')::uuid, ${customers.id})`
const OF_MACHINE = {
  machineId: sql<string>`coalesce(${machines.mergedInto}, ${machines.id})`,
  name: machines.name,
  kind: machines.kind,
  customerId: customers.id,
  customerName: customers.name,
  place: customers.place,
  phone: customers.phone,
  address: sql<string | null>`${sites.site}->>'address'`,
}

interface MachineColumns {
  machineId: string
  name: string
  kind: string
  customerId: string
  customerName: string
  place: string
  phone: string | null
  address: string | null
}

function machineOf({
  machineId,
  name,
  kind,
  customerId,
  customerName,
  place,
  phone,
  address,
}: MachineColumns): DueMachine {
  return {
    machineId,
    machine: { name, kind: kind as Kind },
    customer: { id: customerId, name: customerName, place, ...(phone ? { phone } : {}) },
    address: address ?? place,
  }
}
