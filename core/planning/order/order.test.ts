import { describe, expect, it } from 'vitest'
import { chance } from '../../quantity/random'
import { exactOrder } from './exact'
import { fitsFor, reasonsOf, walkDay } from './day-order'
import { randomDay } from './random-day.fixture'
import { bestOrders, type Found, type SearchOptions } from './search'
import type { DayPlan, Routes, Stop, Van } from './stop'
import { Driver, isInOrder } from './walk'

const found = (plan: DayPlan, options?: SearchOptions): Found => {
  const searching = bestOrders(plan, options)
  let next = searching.next()
  while (!next.done) next = searching.next()
  return next.value
}

function* permutations<T>(items: readonly T[]): Generator<T[]> {
  if (items.length === 0) yield []
  for (const [index, item] of items.entries())
    for (const rest of permutations(items.toSpliced(index, 1))) yield [item, ...rest]
}

const bruteForce = (plan: DayPlan): number => {
  const driver = new Driver(plan)
  let least = Number.POSITIVE_INFINITY
  for (const order of permutations(plan.stops))
    if (isInOrder(order)) least = Math.min(least, driver.cost(plan.vans[0] as Van, order))
  return least
}

/** As a day may come from the hand: any order that breaks no must. */
const anyOrder = ({ stops, vans }: DayPlan, seed: number): Routes => {
  const random = chance(seed).next
  const routes: Record<string, string[]> = Object.fromEntries(vans.map(({ id }) => [id, []]))
  const shuffled = [...stops].sort(() => random() - 0.5)
  const placed: Stop[] = []
  for (const stop of shuffled) {
    const first = stops.find(({ id }) => id === stop.after)
    for (const each of [first, stop]) if (each && !placed.includes(each)) placed.push(each)
  }
  // What must come before another is in its van.
  for (const stop of placed) {
    const van =
      vans[stop.after || stops.some(({ after }) => after === stop.id) ? 0 : Math.floor(random() * vans.length)]
    routes[(van as Van).id]?.push(stop.id)
  }
  return routes
}

describe('the order of one van', () => {
  it.each([2, 3, 4, 5, 6, 7])('is the best of all orders of %i stops', (count) => {
    for (let seed = 1; seed <= 12; seed++) {
      const plan = randomDay(seed * 31 + count, count)
      const best = found(plan)
      expect(best.isProved).toBe(true)
      expect(best.cost).toBeCloseTo(bruteForce(plan), 6)
      expect(walkDay(plan, best.routes).cost).toBeCloseTo(best.cost, 6)
    }
  })

  it('is the best of all 40,320 orders of eight stops', () => {
    for (const seed of [3, 17, 40]) {
      const plan = randomDay(seed, 8)
      expect(found(plan).cost).toBeCloseTo(bruteForce(plan), 6)
    }
  })

  it('needs nothing at hand to be proved', () => {
    const plan = randomDay(5, 6)
    const exact = exactOrder(plan, new Driver(plan), plan.vans[0] as Van, plan.stops)
    expect(exact?.cost).toBeCloseTo(bruteForce(plan), 6)
  })

  it('is never worse than the hand’s, on a thousand days', () => {
    for (let seed = 1; seed <= 1000; seed++) {
      const plan = randomDay(seed, 2 + (seed % 11), 1 + (seed % 3))
      const hand = anyOrder(plan, seed)
      const best = found(plan, { known: [hand], tries: 300, seed })
      expect(best.cost).toBeLessThanOrEqual(walkDay(plan, hand).cost + 1e-6)
      expect(Object.values(best.routes).flat().toSorted()).toEqual(plan.stops.map(({ id }) => id).toSorted())
    }
  })

  it('finds the same again, and says how far it is', () => {
    const plan = randomDay(2, 14, 2)
    expect(found(plan)).toEqual(found(plan))
    const said = [...bestOrders(plan)]
    expect(said[0]).toBe(0)
    expect(said.at(-1)).toBe(1)
    expect(said.length).toBeGreaterThan(10)
    expect(said.toSorted((a, b) => a - b)).toEqual(said)
  })
})

/** Three places on one road: the shop, ten minutes on, twenty minutes on. */
const ROAD = [0, 10, 20]
const LINE: DayPlan['travel'] = {
  minutes: ROAD.map((a) => ROAD.map((b) => Math.abs(a - b))),
  km: ROAD.map((a) => ROAD.map((b) => Math.abs(a - b))),
}
const stop = (id: string, place: number, more: Partial<Stop> = {}): Stop => ({
  id,
  place,
  minutes: { p50: 30, p90: 30 },
  urgency: 0,
  people: 1,
  ...more,
})
const day = (stops: Stop[], more: Partial<DayPlan> = {}): DayPlan => ({
  stops,
  vans: [{ id: 'van', people: 1, place: 0, from: 480, home: 0 }],
  travel: LINE,
  rules: { end: 1020, breakFrom: 720, breakMinutes: 30 },
  ...more,
})

describe('a day', () => {
  it('is driven hour by hour, waits for a window, and rests at the first departure after noon', () => {
    const plan = day([stop('near', 1, { window: { from: 690 } }), stop('far', 2)])
    const walk = walkDay(plan, { van: ['near', 'far'] }).walks.van
    expect(
      walk?.stops.map(({ arrives, begins, ends }) => [arrives.mean, begins.mean, ends.mean].map(Math.round)),
    ).toEqual([
      [490, 690, 720],
      [760, 760, 790],
    ])
    expect(walk?.stops[1]?.breakBefore).toBe(true)
    expect(Math.round(walk?.home.mean ?? 0)).toBe(810)
    expect(walk?.driving).toBe(40)
  })

  it('goes to whoever is without water before what lies on the way', () => {
    const plan = day([stop('near', 1), stop('far', 2, { urgency: 60 })])
    expect(found(plan).routes).toEqual({ van: ['far', 'near'] })
    expect(reasonsOf(plan, 'van', ['far', 'near']).get('far')).toBe('urgent')
  })

  it('keeps a promise, fetches parts first, and sends two where two are needed', () => {
    const promised = day([stop('near', 1), stop('far', 2, { window: { until: 505 } })])
    expect(found(promised).routes).toEqual({ van: ['far', 'near'] })
    expect(reasonsOf(promised, 'van', ['far', 'near']).get('far')).toBe('promised')
    const fetched = day([
      stop('a', 1, { after: 'shop' }),
      stop('shop', 0, { window: { from: 600 } }),
      stop('b', 2, { urgency: 10 }),
    ])
    expect(found(fetched).routes).toEqual({ van: ['b', 'shop', 'a'] })
    const vans = [1, 2].map((people) => ({ id: `of ${people}`, people, place: 0, from: 480, home: 0 }))
    const two = day([stop('well', 2, { people: 2 }), stop('pool', 1)], { vans })
    expect(found(two).routes['of 2']).toContain('well')
  })

  it('hoists before it is dark', () => {
    const plan = day([stop('near', 1), stop('far', 2, { byDaylight: true })], {
      rules: { end: 1020, breakFrom: 720, breakMinutes: 30, dark: 535 },
    })
    expect(found(plan).routes).toEqual({ van: ['far', 'near'] })
    expect(reasonsOf(plan, 'van', ['far', 'near']).get('far')).toBe('daylight')
  })

  it('says for each place of a call what it adds and who would be late', () => {
    const plan = day([stop('far', 2, { window: { until: 505 } }), stop('call', 1)])
    const fits = fitsFor(plan, { van: ['far'] }, 'call')
    expect(fits.map(({ place }) => place)).toEqual([1, 0])
    expect(fits[0]).toMatchObject({ driving: 0, arrives: 540 })
    expect(fits[1]?.latest).toMatchObject({ id: 'far' })
    expect(fits[1]?.latest?.late).toBeGreaterThan(0.9)
    for (const { place, cost } of fits)
      expect(
        walkDay(plan, { van: ['far'].toSpliced(place, 0, 'call') }).cost - walkDay(plan, { van: ['far'] }).cost,
      ).toBeCloseTo(cost, 6)
  })
})
