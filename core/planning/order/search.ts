import { chance } from '../../quantity/random'
import { exactOrder, MOST_EXACT } from './exact'
import type { DayPlan, Routes, Stop, Van } from './stop'
import { Driver, isInOrder } from './walk'

export interface SearchOptions {
  /** Orders that are at hand: what is found is never worse than the best of them. */
  known?: readonly Routes[]
  /** How many changes are tried. */
  tries?: number
  seed?: number
}
export interface Found {
  routes: Routes
  cost: number
  /** Proved to be the best: one van, few stops. */
  isProved: boolean
}

/** Where nothing is said: by how many pairs of stops there are, up to so many. */
const TRIES_PER_PAIR = 150
const MOST_TRIES = 24_000
/** Before the best is proved: the better what is at hand, the less is left to prove. */
const FEW_TRIES = 800
const BETWEEN_REPORTS = 400
const LONGEST_PIECE = 3
/** How much worse a change may be to be taken, minutes: at the beginning, and at the end. */
const WARM = 40
const COLD = 0.4

interface Driven {
  van: Van
  stops: Stop[]
  cost: number
}

/**
 * The cheapest orders of all vans: proved for one van with few stops, else searched for by taking stops out and
 * putting them in elsewhere, at first also where it is worse.
 *
 * Yields how much of it is done, 0 to 1, so that the caller can show it and stop. The same seed finds the same.
 *
 * @source Kirkpatrick, Gelatt and Vecchi, Optimization by Simulated Annealing, Science 220 (1983)
 */
export function* bestOrders(plan: DayPlan, options: SearchOptions = {}): Generator<number, Found> {
  const { known = [], seed = 1 } = options
  const driver = new Driver(plan)
  const { stops, vans } = plan
  const tries = options.tries ?? Math.min(MOST_TRIES, TRIES_PER_PAIR * stops.length ** 2)
  const [only, ...others] = vans
  if (!only) return { routes: {}, cost: 0, isProved: true }
  const isProved = others.length === 0 && stops.length <= MOST_EXACT
  const turns = isProved ? FEW_TRIES : tries
  const starts = [...known.map((routes) => drivenOf(plan, driver, routes)), inserted(plan, driver)]
  let best = starts.reduce((one, other) => (sum(other) < sum(one) ? other : one))
  let at = best
  let [cost, least] = [sum(best), sum(best)]
  const random = chance(seed).next
  for (let turn = 0; turn < turns && stops.length > 1; turn++) {
    if (turn % BETWEEN_REPORTS === 0) yield turn / turns
    const heat = WARM * (COLD / WARM) ** (turn / turns)
    const changed = change(driver, at, random)
    if (!changed) continue
    const next = sum(changed)
    if (next > cost && random() >= Math.exp((cost - next) / heat)) continue
    at = changed
    cost = next
    if (cost < least - 1e-9) {
      best = at
      least = cost
    }
  }
  best = best.map(({ van, stops: route, cost: before }) => {
    const exact = route.length <= MOST_EXACT ? exactOrder(plan, driver, van, route, before) : undefined
    if (!exact) return { van, stops: route, cost: before }
    const byId = new Map(route.map((stop) => [stop.id, stop]))
    return { van, stops: exact.order.map((id) => byId.get(id) as Stop), cost: exact.cost }
  })
  yield 1
  return {
    routes: Object.fromEntries(best.map(({ van, stops: route }) => [van.id, route.map(({ id }) => id)])),
    cost: sum(best),
    isProved,
  }
}

const sum = (driven: readonly Driven[]) => driven.reduce((total, { cost }) => total + cost, 0)

/** Orders that are at hand, driven. What they do not name comes last on the first van. */
function drivenOf({ stops, vans }: DayPlan, driver: Driver, routes: Routes): Driven[] {
  const byId = new Map(stops.map((stop) => [stop.id, stop]))
  const named = new Set(Object.values(routes).flat())
  return vans.map((van, index) => {
    const route = [
      ...(routes[van.id] ?? []).flatMap((id) => byId.get(id) ?? []),
      ...(index === 0 ? stops.filter(({ id }) => !named.has(id)) : []),
    ]
    return { van, stops: route, cost: driver.cost(van, route) }
  })
}

/** One stop after the other where it costs least, the urgent and the promised first. */
function inserted({ stops, vans }: DayPlan, driver: Driver): Driven[] {
  const driven: Driven[] = vans.map((van) => ({ van, stops: [], cost: 0 }))
  const hurry = ({ urgency, window }: Stop) => urgency * 10 + (window?.until === undefined ? 0 : 2000 - window.until)
  for (const stop of [...stops].sort((a, b) => hurry(b) - hurry(a))) {
    let least: { index: number; route: Stop[]; cost: number; more: number } | undefined
    for (const [index, { van, stops: route, cost }] of driven.entries())
      for (let place = 0; place <= route.length; place++) {
        const longer = route.toSpliced(place, 0, stop)
        if (!isInOrder(longer)) continue
        const after = driver.cost(van, longer)
        if (!least || after - cost < least.more) least = { index, route: longer, cost: after, more: after - cost }
      }
    if (least) driven[least.index] = { ...(driven[least.index] as Driven), stops: least.route, cost: least.cost }
  }
  return driven
}

/** A piece of one order taken out, perhaps turned round, and put in elsewhere; or two stops changed for each other. */
function change(driver: Driver, driven: readonly Driven[], random: () => number): Driven[] | undefined {
  const below = (count: number) => Math.floor(random() * count)
  const filled = driven.flatMap(({ stops }, index) => (stops.length > 0 ? [index] : []))
  const from = filled[below(filled.length)] as number
  const to = below(driven.length)
  const source = driven[from] as Driven
  const target = driven[to] as Driven
  const place = below(source.stops.length)
  if (random() < 0.3 && target.stops.length > 0) {
    const other = below(target.stops.length)
    const [one, two] = [source.stops[place] as Stop, target.stops[other] as Stop]
    if (from === to) return replaced({ [from]: source.stops.with(place, two).with(other, one) })
    return replaced({ [from]: source.stops.with(place, two), [to]: target.stops.with(other, one) })
  }
  const piece = source.stops.slice(place, place + 1 + below(LONGEST_PIECE))
  if (random() < 0.5) piece.reverse()
  const left = source.stops.toSpliced(place, piece.length)
  const into = from === to ? left : target.stops
  const whole = into.toSpliced(below(into.length + 1), 0, ...piece)
  return replaced(from === to ? { [from]: whole } : { [from]: left, [to]: whole })

  function replaced(routes: Readonly<Record<number, Stop[]>>): Driven[] | undefined {
    const entries = Object.entries(routes)
    if (!entries.every(([, route]) => isInOrder(route))) return undefined
    const next = [...driven]
    for (const [index, route] of entries) {
      const { van } = driven[Number(index)] as Driven
      next[Number(index)] = { van, stops: route, cost: driver.cost(van, route) }
    }
    return next
  }
}
