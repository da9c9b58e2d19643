import { setResponseHeaders } from 'h3'
import { visitCalendar } from '../services/calendar'
import { plannedVisits } from '../services/planned-visits'
import { serverNow, useShopApp } from '../utils/app'
import { daySpan } from '../utils/day-span'
import { api } from '../utils/problem'

/** A day in its order as a calendar file: each visit with the hours that are reckoned for it. */
export default api('look', async (event) => {
  const span = daySpan(event)
  const app = await useShopApp()
  setResponseHeaders(event, {
    'content-type': 'text/calendar; charset=utf-8',
    'content-disposition': `attachment; filename="day-${span.on}.ics"`,
  })
  return visitCalendar(await plannedVisits(app, span), new Date(serverNow()))
})
