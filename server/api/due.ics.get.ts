import { setResponseHeaders } from 'h3'
import { calendarOf } from '../services/calendar'
import { dueItems } from '../services/due-book'
import { serverNow, useShopApp } from '../utils/app'
import { askedDue } from '../utils/asked-due'
import { api } from '../utils/problem'

/** What comes due up to a day, as a calendar file. */
export default api('look', async (event) => {
  const asked = askedDue(event)
  const app = await useShopApp()
  setResponseHeaders(event, {
    'content-type': 'text/calendar; charset=utf-8',
    'content-disposition': `attachment; filename="due-until-${asked.until}.ics"`,
  })
  return calendarOf(await dueItems(app, asked), new Date(serverNow()))
})
