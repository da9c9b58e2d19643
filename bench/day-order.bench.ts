import { bench, describe } from 'vitest'
import { randomDay } from '../core/planning/order/random-day.fixture'
import { bestOrders, type SearchOptions } from '../core/planning/order/search'
import { Driver } from '../core/planning/order/walk'
import type { DayPlan, Van } from '../core/planning/order/stop'

const run = (plan: DayPlan, options?: SearchOptions) => {
  const searching = bestOrders(plan, options)
  while (!searching.next().done);
}
const tens = Array.from({ length: 20 }, (_, seed) => randomDay(seed + 1, 10))
const sixty = randomDay(9, 60, 4)
let turn = 0

describe('the order of a day', () => {
  // The reference: what one order of the same day costs to reckon, ten thousand times.
  const driver = new Driver(tens[0] as DayPlan)
  bench('ten thousand orders of ten stops, reckoned', () => {
    for (let count = 0; count < 10_000; count++)
      driver.cost((tens[0] as DayPlan).vans[0] as Van, (tens[0] as DayPlan).stops)
  })
  bench('ten stops of one van, proved (3,628,800 orders)', () => run(tens[turn++ % tens.length] as DayPlan))
  bench('sixty stops of four vans', () => run(sixty), { iterations: 3, time: 100 })
})
