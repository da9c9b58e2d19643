import { isInOrder, Driver, type Walk } from './walk'
import type { DayPlan, Routes, Stop } from './stop'

/** A whole day in one order: what each van's tour comes to. */
export interface DayWalk {
  walks: Readonly<Record<string, Walk>>
  cost: number
  driving: number
  km: number
  /** The likeliest to be late, and how likely. */
  latest?: { id: string; late: number }
  /** When the last van is back, minutes. */
  home: number
}

/** Drives all vans of a day in these orders; what they name and the day does not have is passed by. */
export function walkDay(plan: DayPlan, routes: Routes, driver = new Driver(plan)): DayWalk {
  const byId = new Map(plan.stops.map((stop) => [stop.id, stop]))
  const walks = Object.fromEntries(
    plan.vans.map((van) => [van.id, driver.walk(van, stopsOf(byId, routes[van.id] ?? []))]),
  )
  const all = Object.values(walks)
  const visited = all.flatMap(({ stops }) => stops)
  const latest = visited.reduce<DayWalk['latest']>(
    (worst, { id, late }) => (late > (worst?.late ?? 0) ? { id, late } : worst),
    undefined,
  )
  return {
    walks,
    cost: all.reduce((sum, { cost }) => sum + cost, 0),
    driving: all.reduce((sum, { driving }) => sum + driving, 0),
    km: all.reduce((sum, { km }) => sum + km, 0),
    ...(latest ? { latest } : {}),
    home: Math.max(...all.map(({ home }) => home.mean)),
  }
}

/** One place where a call could go, and what it would come to there. */
export interface Fit {
  van: string
  /** How many stops of the van come before it. */
  place: number
  /** When somebody would come. */
  arrives: number
  /** What it adds: minutes of driving, and in all. */
  driving: number
  cost: number
  /** Who would then be likeliest to be late. */
  latest?: DayWalk['latest']
  home: number
}

/**
 * Where a call would fit into a day, cheapest first: each place of each van, what stands in the day left in its order.
 *
 * @param plan has the call among its stops
 * @param routes do not name it
 */
export function fitsFor(plan: DayPlan, routes: Routes, id: string): Fit[] {
  const driver = new Driver(plan)
  const byId = new Map(plan.stops.map((stop) => [stop.id, stop]))
  const before = walkDay(plan, routes, driver)
  return plan.vans
    .flatMap(({ id: van }) =>
      Array.from({ length: (routes[van] ?? []).length + 1 }, (_, place) => {
        const route = (routes[van] ?? []).toSpliced(place, 0, id)
        if (!isInOrder(stopsOf(byId, route))) return []
        const after = walkDay(plan, { ...routes, [van]: route }, driver)
        const own = after.walks[van]?.stops[place]
        return [
          {
            van,
            place,
            arrives: own?.arrives.mean as number,
            driving: after.driving - before.driving,
            cost: after.cost - before.cost,
            ...(after.latest ? { latest: after.latest } : {}),
            home: after.home,
          },
        ]
      }).flat(),
    )
    .sort((a, b) => a.cost - b.cost)
}

/** Why a stop stands where it does: what would rise most if it came one later. */
export type Because = 'urgent' | 'promised' | 'on-the-way' | 'daylight' | 'parts' | 'day-ends'

/** For each stop of a van the reason for its place; none where nothing speaks for it before the next. */
export function reasonsOf(plan: DayPlan, vanId: string, route: readonly string[]): Map<string, Because> {
  const driver = new Driver(plan)
  const van = plan.vans.find(({ id }) => id === vanId)
  const stops = stopsOf(new Map(plan.stops.map((stop) => [stop.id, stop])), route)
  const reasons = new Map<string, Because>()
  if (!van) return reasons
  const now = driver.walk(van, stops)
  for (let place = 0; place + 1 < stops.length; place++) {
    const [one, two] = [stops[place] as Stop, stops[place + 1] as Stop]
    const turned = stops.with(place, two).with(place + 1, one)
    if (!isInOrder(turned)) {
      reasons.set(one.id, 'parts')
      continue
    }
    const { costs } = driver.walk(van, turned)
    const rises = (
      [
        ['urgent', costs.waiting - now.costs.waiting],
        ['promised', costs.late - now.costs.late],
        ['on-the-way', costs.driving - now.costs.driving + costs.away - now.costs.away],
        ['daylight', costs.dark - now.costs.dark],
        ['day-ends', costs.over - now.costs.over],
      ] as const
    ).toSorted(([, a], [, b]) => b - a)
    const [because, rise] = rises[0] as [Because, number]
    if (rise > WORTH_SAYING) reasons.set(one.id, because)
  }
  return reasons
}

/** Less than a minute behind the wheel is no reason. */
const WORTH_SAYING = 1

const stopsOf = (byId: ReadonlyMap<string, Stop>, route: readonly string[]): Stop[] =>
  route.flatMap((id) => byId.get(id) ?? [])
