import { expose } from 'comlink'
import { fitsFor, type Fit } from '#core/planning/order/day-order'
import { bestOrders, type Found } from '#core/planning/order/search'
import type { DayPlan, Routes } from '#core/planning/order/stop'

/** The newest question: an older one is given up as soon as a newer one comes. */
let asked = 0

const orderer = {
  /**
   * The best order of a day. It lets newer questions in between, and is given up for them.
   *
   * @param progress hears how much of it is done, 0 to 1
   * @returns undefined where a newer question came
   */
  async best(plan: DayPlan, known: readonly Routes[], progress: (share: number) => void): Promise<Found | undefined> {
    const own = ++asked
    const searching = bestOrders(plan, { known })
    for (;;) {
      const next = searching.next()
      if (next.done) return next.value
      progress(next.value)
      await new Promise((resolve) => setTimeout(resolve))
      if (own !== asked) return undefined
    }
  },

  fits: (plan: DayPlan, routes: Routes, id: string): Fit[] => fitsFor(plan, routes, id),
}
export type Orderer = typeof orderer

expose(orderer)
