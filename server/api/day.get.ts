import { orderDay } from '../../core/planning/day'
import { asStops } from '../../core/planning/stops'
import { serverNow, useShopApp } from '../utils/app'
import { daySpan } from '../utils/day-span'
import { api } from '../utils/problem'
import { dayRows, dayVisits } from '../services/day-view'
import { shopOf } from '../../core/visit/visit-view'

/** The visits of one day, the calls that wait for one, and what is left over from before. */
export default api('look', async (event) => {
  const span = daySpan(event)
  const app = await useShopApp()
  const { visits, waiting, left, orders } = await dayRows(app, span)
  const all = await dayVisits(app, [...visits, ...waiting, ...left], span.from)
  const [waitFrom, leftFrom] = [visits.length, visits.length + waiting.length]
  return {
    visits: orderDay(asStops(all.slice(0, waitFrom))),
    waiting: asStops(all.slice(waitFrom, leftFrom)),
    left: orderDay(asStops(all.slice(leftFrom))),
    orders,
    shop: shopOf((await app.repository.shopEntries()).map(({ entry }) => entry)),
    now: serverNow(),
    empty: all.length === 0 && (await app.repository.newestArrival()) === 0,
  }
})
