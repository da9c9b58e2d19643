import { addDays, format, startOfDay } from 'date-fns'
import { setResponseHeaders } from 'h3'
import { visitCalendar } from '../services/calendar'
import { plannedVisits, type PlannedVisit } from '../services/planned-visits'
import { serverNow, useShopApp } from '../utils/app'
import { api } from '../utils/problem'

/** How many days the feed looks ahead, and back. */
const AHEAD = 21
const BACK = 3

/**
 * A calendar to subscribe to: the visits of the coming weeks in the order of their days, and what comes due. Days are
 * those of the server's own time zone.
 */
export default api('feed', async (event) => {
  const app = await useShopApp()
  const now = new Date(serverNow())
  const visits: PlannedVisit[] = []
  for (let away = -BACK; away <= AHEAD; away++) {
    const day = addDays(startOfDay(now), away)
    const span = { from: day.toISOString(), to: addDays(day, 1).toISOString(), on: format(day, 'yyyy-MM-dd') }
    visits.push(...(await plannedVisits(app, span)))
  }
  setResponseHeaders(event, { 'content-type': 'text/calendar; charset=utf-8', 'cache-control': 'no-cache' })
  return visitCalendar(visits, now, await app.dues.left(format(addDays(now, AHEAD), 'yyyy-MM-dd')))
})
