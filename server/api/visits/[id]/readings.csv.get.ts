import { getRouterParam, setResponseHeaders } from 'h3'
import { useShopApp } from '../../../utils/app'
import { askedUnits } from '../../../utils/units'
import { api } from '../../../utils/problem'
import { pathId, visitView } from '../../../utils/views'

/** Every reading of the visit as CSV, RFC 4180. */
export default api('look', async (event) => {
  const id = pathId(getRouterParam(event, 'id'), 'visit')
  const units = askedUnits(event)
  const app = await useShopApp()
  const rows = await app.work.run('readings', { view: await visitView(app, id), units })
  setResponseHeaders(event, {
    'content-type': 'text/csv; charset=utf-8',
    'content-disposition': `attachment; filename="readings-${id.slice(0, 8)}.csv"`,
  })
  return rows
})
