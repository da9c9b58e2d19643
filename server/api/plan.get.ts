import { useShopApp } from '../utils/app'
import { daySpan } from '../utils/day-span'
import { api } from '../utils/problem'
import { dayGrounds } from '../services/day-work'
import { dayRows } from '../services/day-view'

/** What a day is planned from: minutes, urgency, places, driving, and what to load for it. */
export default api('look', async (event) => {
  const app = await useShopApp()
  const { visits, waiting } = await dayRows(app, daySpan(event))
  return dayGrounds(app, visits, waiting)
})
