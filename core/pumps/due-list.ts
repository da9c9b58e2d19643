import { DUE_MINUTES, SEASONS, TREND_AHEAD, type SeasonDays, type SeasonJob } from '../knowledge/shop/seasons'
import { seasonDues } from '../planning/season'
import { monthWords } from '../quantity/day'
import { formatReading } from '../quantity/reading'
import { US_READER, type Reader } from '../quantity/sentence'
import { isUnit } from '../quantity/units'
import { after } from '../visit/due'
import type { Customer, Due, Machine } from '../visit/entry'
import { streetOf } from './words'
import type { MachineTrend } from './machine-trends'

/**
 * What a machine comes due for: what a visit left to come back for, a line that meets its limit, the year's round, or
 * that it is likely to fail.
 */
export type DueKind = Due['kind'] | 'crossing' | 'ahead' | SeasonJob

/** A machine with whose it is and where it stands. */
export interface DueMachine {
  machineId: string
  machine: Pick<Machine, 'name' | 'kind'>
  customer: Pick<Customer, 'id' | 'name' | 'place' | 'phone'>
  /** Of the place it stands at. */
  address: string
}

/** Something that comes due at a machine. */
export interface DueItem extends DueMachine {
  key: string
  kind: DueKind
  /** ISO date. */
  on: string
  what: string
  /** What coming back for it takes. */
  minutes: number
  /** The visit that left it. */
  visitId?: string
}

/** What a visit has left to come back for. */
export function leftDue(of: DueMachine, visitId: string, { kind, on, what }: Due): DueItem {
  return { ...of, key: [visitId, kind, on].join(' '), kind, on, what, minutes: DUE_MINUTES[kind], visitId }
}

/**
 * A machine whose readings stand past a limit, or meet it within a season: the first of them, with the others named.
 *
 * @param today ISO date
 */
export function trendDue(
  of: DueMachine,
  trends: readonly MachineTrend[],
  today: string,
  { system }: Pick<Reader, 'system'> = US_READER,
): DueItem[] {
  const until = after(today, { days: TREND_AHEAD.days })
  const asked = trends.filter(({ on, last }) => (on ?? last.at.slice(0, 10)) <= until)
  const [first, ...others] = asked
  if (!first) return []
  const unit = isUnit(first.last.unit) ? first.last.unit : undefined
  const figure = (value: number) => formatReading(value, unit, system, 3)
  const read = first.last.value === null ? '' : ` ${figure(first.last.value)}`
  const words =
    first.on === undefined
      ? `${first.label}${read}, past its limit`
      : `${first.label}${read}, meets ${figure(first.limit as number)} ${spanWords(first)}`
  return [
    {
      ...of,
      key: `${of.machineId} crossing`,
      kind: 'crossing',
      // What stands past its limit is due since it was read.
      on: first.on ?? first.last.at.slice(0, 10),
      what: [words, ...others.map(({ label }) => label)].join('; also '),
      minutes: DUE_MINUTES.crossing,
      visitId: first.last.visitId,
    },
  ]
}

/** Between when and when a line meets its limit, by the month. */
function spanWords({ on = '', earliest, latest }: MachineTrend): string {
  if (earliest === undefined && latest === undefined) return `about ${monthWords(on)}`
  const to = latest === undefined ? 'much later' : monthWords(latest)
  const from = monthWords(earliest ?? on)
  return from === to ? `in ${from}` : `between ${from} and ${to}`
}

/** What of the year's round comes due at a machine. */
export function roundDue(
  of: DueMachine,
  asked: { today: string; until: string; visited?: string },
  days: SeasonDays,
): DueItem[] {
  return seasonDues(of.machine.kind, asked, days).map(({ job, on }) => ({
    ...of,
    key: [of.machineId, job, on].join(' '),
    kind: job,
    on,
    what: SEASONS[job].what,
    minutes: SEASONS[job].minutes,
  }))
}

/** A machine that is likely to fail in the coming season, to be looked at before. */
export function aheadDue(of: DueMachine, on: string, likeliest: string): DueItem {
  return {
    ...of,
    key: `${of.machineId} ahead`,
    kind: 'ahead',
    on,
    what: `Look at it before it fails: most likely ${likeliest}`,
    minutes: DUE_MINUTES.ahead,
  }
}

/** The road that an address is on; an address that names none stands for itself. */
export const roadOf = (address: string): string => streetOf(address) ?? address.trim()

/** One road with what comes due on it. */
export interface DueRoad {
  road: string
  items: DueItem[]
}

/** What comes due, road by road, each in the order of its days; the road with the earliest day first. */
export function byRoad(items: readonly DueItem[]): DueRoad[] {
  const roads = new Map<string, DueItem[]>()
  for (const item of items.toSorted(byDay)) {
    const road = roadOf(item.address)
    roads.set(road, [...(roads.get(road) ?? []), item])
  }
  return [...roads].map(([road, own]) => ({ road, items: own }))
}

export const byDay = (a: DueItem, b: DueItem): number => (a.on < b.on ? -1 : a.on > b.on ? 1 : a.key < b.key ? -1 : 1)

/** A call that is to be written down: one for each machine, whatever it comes due for. */
export interface DueCall {
  machineId: string
  customerId: string
  says: string
  minutes: number
}

const EACH_MORE_MINUTES = 10

/** The calls that chosen things make: what is due at one machine is one journey to it. */
export function callsOf(chosen: readonly DueItem[]): DueCall[] {
  const machines = new Map<string, DueItem[]>()
  for (const item of chosen.toSorted(byDay))
    machines.set(item.machineId, [...(machines.get(item.machineId) ?? []), item])
  return [...machines].map(([machineId, items]) => ({
    machineId,
    customerId: (items[0] as DueItem).customer.id,
    says: [...new Set(items.map(({ what }) => what))].join('. '),
    minutes: Math.max(...items.map(({ minutes }) => minutes)) + EACH_MORE_MINUTES * (items.length - 1),
  }))
}
