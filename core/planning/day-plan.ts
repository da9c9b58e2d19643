import { USUAL_DAY } from '../knowledge/shop/day'
import type { ShopVan } from '../knowledge/shop/van'
import type { MapPoint, MapSketch, TravelTable } from './map'
import type { DayVisit } from './day'
import { Driver, isInOrder } from './order/walk'
import { later, spreadOf, workMoment } from './order/moment'
import type { DayPlan, Routes, Spread, Stop, Van } from './order/stop'
import type { Urgency } from './urgency'

/** What is known of a visit's work: from its journal, the shop's times and where it is. */
export interface DayWork {
  minutes: Spread
  urgency: Urgency
  people: number
  byDaylight: boolean
  /** Its row in the travel table. */
  place: number
  /** Its street, or its whole address, is on no map. */
  isRough?: boolean
  isUnknown?: boolean
  /** When somebody first did something there, and last. */
  startedAt?: string
  workedAt?: string
  doneAt?: string
}

/** What several visits that are one stop ask of their day together. */
export function workTogether(of: readonly DayWork[]): DayWork {
  const first = of[0] as DayWork
  if (of.length === 1) return first
  const urgent = of.reduce((most, each) => (each.urgency.perHour > most.urgency.perHour ? each : most))
  const instants = (which: 'startedAt' | 'workedAt' | 'doneAt') => of.flatMap((each) => each[which] ?? []).sort()
  const [startedAt, workedAt, doneAt] = [instants('startedAt')[0], instants('workedAt').at(-1), instants('doneAt')]
  return {
    ...first,
    minutes: spreadOf([{ weight: 1, moment: of.map(({ minutes }) => workMoment(minutes)).reduce(later) }]),
    urgency: urgent.urgency,
    people: Math.max(...of.map(({ people }) => people)),
    byDaylight: of.some(({ byDaylight }) => byDaylight),
    ...(startedAt ? { startedAt } : {}),
    ...(workedAt ? { workedAt } : {}),
    // One of them that is still open keeps the stop open.
    doneAt: doneAt.length === of.length ? doneAt.at(-1) : undefined,
  }
}

/** All that a day is planned from, beside the visits themselves. */
export interface DayGrounds {
  work: Readonly<Record<string, DayWork>>
  travel: TravelTable
  /** The shop's row in the travel table. */
  shop: number
  /** Where each row is; undefined where it is on no map. */
  places: (MapPoint | undefined)[]
  sketch?: MapSketch
}

/** What the shop says of its days. */
export interface ShopDay {
  vans?: readonly ShopVan[]
  day?: { start: number; end: number; breakFrom: number; breakMinutes: number }
}

/** The shop's vans: one with one in it where it has said nothing. */
export function vansOf({ vans }: ShopDay): readonly ShopVan[] {
  return vans && vans.length > 0 ? vans : [{ id: 'van-1', name: 'Van', people: USUAL_DAY.people }]
}

/** The hours of a working day. */
export function hoursOf({ day }: ShopDay): NonNullable<ShopDay['day']> {
  const { start, end, breakFrom, breakMinutes } = day ?? USUAL_DAY
  return { start, end, breakFrom, breakMinutes }
}

/** A day taken apart: what is behind, what is under way, what is ahead and in which order. */
export interface DaySplit {
  plan: DayPlan
  /** What is ahead, by van, as it stands. */
  routes: Routes
  /** Done or gone on elsewhere, by van, in the order of their hours. */
  behind: Readonly<Record<string, string[]>>
  /** Where somebody is now, by van, and when that is likely to end. */
  underway: Readonly<Record<string, { id: string; endsAt: number }>>
}

const MINUTE = 60_000
/** So long after its hour the break is taken to be behind, minutes. */
const BREAK_SURELY_OVER = 60
/** Fetching parts at the shop. */
const FETCHING: Spread = { p50: 5, p90: 8 }
const ERRAND = 'parts:'

/** The visit whose parts a stop fetches at the shop; undefined for a visit itself. */
export function errandOf(stopId: string): string | undefined {
  return stopId.startsWith(ERRAND) ? stopId.slice(ERRAND.length) : undefined
}

/**
 * A day as it can be planned on from now.
 *
 * @param visits of the day, and calls that are to be tried in it
 * @param orders by van, as they were decided; what no order names comes after by its hour, in the first van
 * @param midnight of the day, as milliseconds; `now` only on the day itself
 * @param dark minutes from midnight
 */
export function splitDay(
  visits: readonly DayVisit[],
  orders: Routes,
  shop: ShopDay,
  grounds: DayGrounds,
  { midnight, now, dark }: { midnight: number; now?: number; dark?: number },
): DaySplit {
  const hours = hoursOf(shop)
  const minuteOf = (instant: string | number) =>
    ((typeof instant === 'string' ? Date.parse(instant) : instant) - midnight) / MINUTE
  const byId = new Map(visits.map((visit) => [visit.id, visit]))
  const tours = toursOf(visits, orders, vansOf(shop))
  const nowMinute = now === undefined ? Number.NEGATIVE_INFINITY : minuteOf(now)
  const behind: Record<string, string[]> = {}
  const underway: Record<string, { id: string; endsAt: number }> = {}
  const routes: Record<string, string[]> = {}
  const vans = vansOf(shop).map(({ id, people }): Van => {
    const tour = tours[id] as string[]
    const isBehind = (visit: string) => byId.get(visit)?.done === true || isElsewhere(byId.get(visit), midnight)
    const done = tour
      .filter(isBehind)
      .sort((a, b) => endOf(grounds.work[a], byId.get(a)) - endOf(grounds.work[b], byId.get(b)))
    behind[id] = done
    const ahead = tour.filter((visit) => !isBehind(visit))
    const current = now === undefined ? undefined : latestOf(ahead.filter((visit) => isUnderway(visit)))
    routes[id] = ahead.filter((visit) => visit !== current)
    const last = done.at(-1)
    const base = Math.max(hours.start, nowMinute)
    if (current !== undefined) {
      const { minutes, place } = grounds.work[current] as DayWork
      const left = workMoment(minutes)
      const from = Math.max(nowMinute, hours.start) + left.mean
      underway[id] = { id: current, endsAt: from }
      return { id, people, place, from, fromSpread: Math.sqrt(left.variance), home: grounds.shop, ...rested(from) }
    }
    const left = last === undefined ? grounds.shop : (grounds.work[last]?.place ?? grounds.shop)
    return { id, people, place: left, from: base, home: grounds.shop, ...rested(base) }
  })
  const stops: Stop[] = []
  for (const [van, route] of Object.entries(routes))
    for (const id of route) {
      const { errand, stop } = stopOf(byId.get(id) as DayVisit, vans.find((each) => each.id === van) as Van)
      if (errand) stops.push(errand)
      stops.push(stop)
    }
  const plan: DayPlan = {
    stops,
    vans,
    travel: grounds.travel,
    rules: { end: hours.end, dark, breakFrom: hours.breakFrom, breakMinutes: hours.breakMinutes },
  }
  return {
    plan,
    routes: Object.fromEntries(Object.entries(routes).map(([van, route]) => [van, withErrands(plan, van, route)])),
    behind,
    underway,
  }

  /** Somebody has been at it today, and it is not done. */
  function isUnderway(id: string): boolean {
    const { workedAt } = grounds.work[id] ?? {}
    return workedAt !== undefined && Date.parse(workedAt) >= midnight
  }

  function latestOf(ids: readonly string[]): string | undefined {
    const at = (id: string) => Date.parse(grounds.work[id]?.workedAt ?? '')
    return ids.toSorted((a, b) => at(b) - at(a))[0]
  }

  function rested(from: number): { hadBreak?: true } {
    return from >= hours.breakFrom + BREAK_SURELY_OVER ? { hadBreak: true } : {}
  }

  function stopOf({ id, arranged }: DayVisit, van: Van): { stop: Stop; errand?: Stop } {
    const { minutes, urgency, people, byDaylight, place } = grounds.work[id] as DayWork
    const from = arranged.from === undefined ? undefined : minuteOf(arranged.from)
    const until = arranged.until === undefined ? undefined : minuteOf(arranged.until)
    const stop: Stop = {
      id,
      place,
      minutes,
      urgency: urgency.perHour,
      people,
      ...(byDaylight ? { byDaylight } : {}),
      ...(from === undefined && until === undefined ? {} : { window: { from, until } }),
    }
    const partsAt = arranged.partsAt === undefined ? undefined : minuteOf(arranged.partsAt)
    // What lies at the shop when the van leaves it is in the van.
    const isAtShop = van.place === grounds.shop && partsAt !== undefined && partsAt <= van.from
    if (partsAt === undefined || isAtShop) return { stop }
    const errand: Stop = {
      id: `${ERRAND}${id}`,
      place: grounds.shop,
      minutes: FETCHING,
      window: { from: partsAt },
      urgency: 0,
      people: 1,
    }
    return { stop: { ...stop, after: errand.id }, errand }
  }
}

/** Every visit in one tour: as ordered, the others after it by their hour. */
function toursOf(visits: readonly DayVisit[], orders: Routes, vans: readonly ShopVan[]): Record<string, string[]> {
  const known = new Set(visits.map(({ id }) => id))
  const named = new Set<string>()
  const tours: Record<string, string[]> = {}
  for (const { id } of vans) {
    tours[id] = (orders[id] ?? []).filter((visit) => known.has(visit) && !named.has(visit))
    for (const visit of tours[id]) named.add(visit)
  }
  const first = tours[(vans[0] as ShopVan).id] as string[]
  const others = visits.filter(({ id }) => !named.has(id))
  first.push(...others.toSorted((a, b) => (a.scheduledAt < b.scheduledAt ? -1 : 1)).map(({ id }) => id))
  return tours
}

/** It was begun on this day, and goes on on another. */
function isElsewhere(visit: DayVisit | undefined, midnight: number): boolean {
  return visit?.beganAt !== undefined && Date.parse(visit.scheduledAt) >= midnight + 24 * 60 * MINUTE
}

function endOf(work: DayWork | undefined, visit: DayVisit | undefined): number {
  return Date.parse(work?.doneAt ?? visit?.scheduledAt ?? '') || 0
}

/** A tour with the ways to the shop that its parts ask for, each where it costs least. */
function withErrands(plan: DayPlan, vanId: string, route: readonly string[]): string[] {
  const driver = new Driver(plan)
  const van = plan.vans.find(({ id }) => id === vanId) as Van
  const byId = new Map(plan.stops.map((stop) => [stop.id, stop]))
  let tour = route.map((id) => byId.get(id) as Stop)
  for (const errand of plan.stops.filter(({ id }) => route.includes(errandOf(id) ?? ''))) {
    const tries = tour.map((_, place) => tour.toSpliced(place, 0, errand)).filter(isInOrder)
    tour = tries.reduce((best, each) => (driver.cost(van, each) < driver.cost(van, best) ? each : best))
  }
  return tour.map(({ id }) => id)
}
