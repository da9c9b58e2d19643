import type { Stage } from '../knowledge/vocabulary'
import { toldOf, type DayVisit } from '../planning/day'
import type { Customer, EntryBodies, Machine, Site } from './entry'
import type { HistoryReading } from './history'
import type { VisitListing } from './listing'

/** What the Day needs to know of a visit without its journal. */
export interface VisitRow {
  id: string
  machineId: string
  scheduledAt: string
  plannedMinutes: number
  callerSays: string
  complaints: string[]
  stage: string
  handedOver: boolean
  /** It has no day. */
  waits: boolean
  /** It was begun on an earlier day, and goes on on this one. */
  beganAt?: string
  cancelled?: string
  /** The first visit of its journey, where that is another. */
  together?: string
  arranged: EntryBodies['arranged']
  customer: Customer
  /** What is known of the place where the machine stands. */
  site?: Site
  machine: Machine
}

/** A day between its two midnights, as instants. */
export interface DaySpan {
  from: string
  to: string
}

/** The lists of a Day: what stands in it, what waits for a day, and what nobody has said of what becomes of it. */
export const DAY_LISTS = ['visits', 'waiting', 'left'] as const
export type DayList = (typeof DAY_LISTS)[number]

/**
 * A visit's row from its journal.
 *
 * @param known what the shop's register says of its customer, place and machine, which speaks over the visit's own word
 */
export function rowOf(
  listing: VisitListing,
  known: Partial<Pick<VisitRow, 'customer' | 'machine' | 'site'>> = {},
): VisitRow {
  const { schedule, together, machine } = listing
  return {
    id: listing.id,
    machineId: machine.id,
    scheduledAt: new Date(schedule.scheduledAt).toISOString(),
    plannedMinutes: listing.plannedMinutes,
    callerSays: listing.callerSays,
    complaints: listing.complaints,
    stage: listing.stage,
    handedOver: listing.handedOver,
    waits: schedule.waits,
    ...(schedule.beganAt ? { beganAt: new Date(schedule.beganAt).toISOString() } : {}),
    ...(schedule.cancelled === undefined ? {} : { cancelled: schedule.cancelled }),
    ...(together === undefined ? {} : { together }),
    arranged: schedule.arranged,
    customer: known.customer ?? listing.customer,
    ...(known.site ? { site: known.site } : {}),
    machine: known.machine ?? machine,
  }
}

/** A visit as its customer's page tells it. */
export interface ToldVisit {
  id: string
  scheduledAt: string
  /** What its machine is called. */
  machine: string
  words: string
  handedOver: boolean
  stage: Stage
  cancelled?: string
}

export function toldVisitOf(row: VisitRow): ToldVisit {
  const { id, scheduledAt, machine, handedOver, stage, cancelled } = row
  return {
    id,
    scheduledAt,
    machine: machine.name,
    words: toldOf(row),
    handedOver,
    stage: stage as Stage,
    ...(cancelled === undefined ? {} : { cancelled }),
  }
}

/** In which lists of a Day a visit stands: in several where it goes on from one day to another. */
export function listsOf(row: VisitRow, { from, to }: DaySpan): DayList[] {
  if (row.cancelled !== undefined) return []
  if (row.waits) return row.handedOver ? [] : ['waiting']
  const isWithin = (at: string | undefined) => at !== undefined && at >= from && at < to
  return [
    ...(isWithin(row.scheduledAt) || isWithin(row.beganAt) ? (['visits'] as const) : []),
    ...(row.scheduledAt < from && !row.handedOver ? (['left'] as const) : []),
  ]
}

/** A row as the Day shows it. */
export function dayVisitOf(row: VisitRow, lastReadings: HistoryReading[]): DayVisit<HistoryReading> {
  const wayIn = wayInOf(row)
  const { machine, site } = row
  return {
    id: row.id,
    scheduledAt: row.scheduledAt,
    ...(row.beganAt ? { beganAt: row.beganAt } : {}),
    ...(row.together ? { together: row.together } : {}),
    arranged: row.arranged,
    plannedMinutes: row.plannedMinutes,
    customer: row.customer,
    ...(site?.address ? { address: site.address } : {}),
    ...(wayIn ? { wayIn } : {}),
    complaints: row.complaints,
    callerSays: row.callerSays,
    stage: row.stage,
    done: row.handedOver,
    machine: { id: row.machineId, name: machine.name, kind: machine.kind, construction: machine.construction },
    lastReadings,
  }
}

/** What one must know before one stands at the gate. */
function wayInOf({ site }: VisitRow): string | undefined {
  const { gate, key, dog } = site ?? {}
  return [gate, key && `key: ${key}`, dog && `dog: ${dog}`].filter(Boolean).join('; ') || undefined
}
