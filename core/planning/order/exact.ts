import { Bound } from './bound'
import type { DayPlan, Stop, Van } from './stop'
import type { Driver, Underway } from './walk'

/** From here on the best order is searched for and no longer proved. */
export const MOST_EXACT = 10

interface Label extends Underway {
  last: number
  before?: Label
}

/**
 * The cheapest order of one van's stops, proved: dynamic programming over what has been visited and where the van is,
 * keeping of each only what no other reaches both earlier and cheaper.
 *
 * Exact since nothing is won by coming later: every cost rises with the hour and with how unsure it is.
 *
 * @source Held and Karp, A Dynamic Programming Approach to Sequencing Problems, SIAM 10 (1962); with dominance as in
 *   Desrochers and Soumis, INFOR 26 (1988)
 * @param stops up to {@link MOST_EXACT} of them
 * @param atMost the cost of an order that is at hand: what cannot come below it is not followed
 * @returns undefined where none costs less than what is at hand
 */
export function exactOrder(
  plan: DayPlan,
  driver: Driver,
  van: Van,
  stops: readonly Stop[],
  atMost = Number.POSITIVE_INFINITY,
): { order: string[]; cost: number } | undefined {
  if (stops.length === 0) return { order: [], cost: 0 }
  const bound = new Bound(plan, van, stops)
  const { breakMinutes } = plan.rules
  const index = new Map(stops.map(({ id }, place) => [id, place]))
  const needs = stops.map(({ after }) =>
    after !== undefined && index.has(after) ? 1 << (index.get(after) as number) : 0,
  )
  const all = (1 << stops.length) - 1
  const reached: (Label[][] | undefined)[] = Array.from({ length: all + 1 })
  const begin = driver.start(van)
  for (let next = 0; next < stops.length; next++) if (needs[next] === 0) goOn(begin, 0, next)
  for (let visited = 1; visited < all; visited++) {
    const byLast = reached[visited]
    if (!byLast) continue
    for (const labels of byLast)
      for (const label of labels)
        for (let next = 0; next < stops.length; next++)
          if (!(visited & (1 << next)) && ((needs[next] as number) & visited) === needs[next])
            goOn(label, visited, next, label)
  }
  let best: { label: Label; cost: number } | undefined
  for (const label of (reached[all] ?? []).flat()) {
    const { cost } = driver.home(van, label)
    if (cost < (best?.cost ?? atMost)) best = { label, cost }
  }
  if (!best) return undefined
  const order: string[] = []
  for (let label: Label | undefined = best.label; label; label = label.before)
    order.unshift((stops[label.last] as Stop).id)
  return { order, cost: best.cost }

  /** Keeps a way on, unless it cannot come below what is at hand, or another is there both earlier and cheaper. */
  function goOn(from: Underway, visited: number, next: number, before?: Label): void {
    const to = driver.visit(van, from, stops[next] as Stop)
    const reaches = visited | (1 << next)
    if (to.cost + bound.leastCost(to, all & ~reaches) >= atMost) return
    const byLast = (reached[reaches] ??= stops.map(() => []))
    const others = byLast[next] as Label[]
    if (others.some((other) => dominates(other, to, breakMinutes))) return
    const left = others.filter((other) => !dominates(to, other, breakMinutes))
    byLast[next] = left
    left.push({ ...to, last: next, ...(before ? { before } : {}) })
  }
}

/** Is there nothing that the other could still do better? Whoever has the break ahead is taken to have it at once. */
function dominates(one: Underway, other: Underway, breakMinutes: number): boolean {
  const ahead = other.hadBreak && !one.hadBreak ? breakMinutes : 0
  return one.cost <= other.cost && one.at.mean + ahead <= other.at.mean && one.at.variance <= other.at.variance
}
