import { getQuery } from 'h3'
import { badField } from '../../core/validation/input-error'
import { isCalendarDay } from '../../core/validation/rules'
import { useShopApp } from '../utils/app'
import { api } from '../utils/problem'

/** What comes due up to a day. */
export default api(async (event) => {
  const { until } = getQuery(event)
  if (!isCalendarDay(until)) throw badField('until', until, 'a day, such as 2026-05-12')
  const app = await useShopApp()
  return { due: await app.repository.dueUntil(until as string) }
})
