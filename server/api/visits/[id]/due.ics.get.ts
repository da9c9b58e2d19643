import { getRouterParam, setResponseHeaders } from 'h3'
import { visitDues } from '../../../services/due-book'
import { calendarOf } from '../../../services/calendar'
import { stateOf } from '../../../../core/visit/visit-view'
import { serverNow, useShopApp } from '../../../utils/app'
import { api } from '../../../utils/problem'
import { pathId, visitView } from '../../../utils/views'

/** What this visit has made due, as a calendar file. */
export default api('look', async (event) => {
  const id = pathId(getRouterParam(event, 'id'), 'visit')
  const state = stateOf(await visitView(await useShopApp(), id))
  setResponseHeaders(event, {
    'content-type': 'text/calendar; charset=utf-8',
    'content-disposition': `attachment; filename="due-${id.slice(0, 8)}.ics"`,
  })
  return calendarOf(visitDues(state), new Date(serverNow()))
})
