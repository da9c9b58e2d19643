import { orderDay } from '../../core/planning/day'
import { serverNow, useShopApp } from '../utils/app'
import { daySpan } from '../utils/day-span'
import { api } from '../utils/problem'
import { dayRows, dayStops } from '../services/day-view'
import { shopOf } from '../services/visit-view'

/** The visits of one day, the calls that wait for one, and what is left over from before. */
export default api(async (event) => {
  const span = daySpan(event)
  const app = await useShopApp()
  const { visits, waiting, left, orders } = await dayRows(app, span)
  const [inDay, inNone, before] = [
    await dayStops(app, visits, span.from),
    await dayStops(app, waiting, span.from),
    await dayStops(app, left, span.from),
  ]
  return {
    visits: orderDay(inDay),
    waiting: inNone,
    left: orderDay(before),
    orders,
    shop: shopOf((await app.repository.shopEntries()).map(({ entry }) => entry)),
    now: serverNow(),
    empty: inDay.length + inNone.length + before.length === 0 && (await app.repository.newestArrival()) === 0,
  }
})
