import { getQuery, setResponseHeaders } from 'h3'
import { badField } from '../../core/validation/input-error'
import { isCalendarDay } from '../../core/validation/rules'
import { calendarOf } from '../services/calendar'
import { serverNow, useShopApp } from '../utils/app'
import { api } from '../utils/problem'

/** What comes due up to a day, as a calendar file. */
export default api(async (event) => {
  const { until } = getQuery(event)
  if (!isCalendarDay(until)) throw badField('until', until, 'a day, such as 2026-05-12')
  const app = await useShopApp()
  setResponseHeaders(event, {
    'content-type': 'text/calendar; charset=utf-8',
    'content-disposition': `attachment; filename="due-until-${until as string}.ics"`,
  })
  return calendarOf(await app.repository.dueUntil(until as string), new Date(serverNow()))
})
