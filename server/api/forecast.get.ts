import { getQuery } from 'h3'
import { badField } from '../../core/validation/input-error'
import { isCalendarDay } from '../../core/validation/rules'
import { serverNow, useShopApp } from '../utils/app'
import { api } from '../utils/problem'

/** How many failures of which kind the coming season brings among the shop's own machines. */
export default api('look', async (event) => {
  const { today = serverNow().slice(0, 10) } = getQuery(event)
  if (!isCalendarDay(today)) throw badField('today', today, 'a day, such as 2026-05-12')
  const app = await useShopApp()
  return app.forecasts.of(app, today)
})
