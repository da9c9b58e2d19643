import { getRouterParam, setResponseHeaders } from 'h3'
import { useShopApp } from '../../../utils/app'
import { askedUnits } from '../../../utils/units'
import { api } from '../../../utils/problem'
import { pathId, photoPaths, visitView } from '../../../utils/views'

/** The sheet as PDF, fonts embedded. */
export default api(async (event) => {
  const id = pathId(getRouterParam(event, 'id'), 'visit')
  const units = askedUnits(event)
  const app = await useShopApp()
  const view = await visitView(app, id)
  const { pdf, date } = await app.work.run('sheet', { view, paths: photoPaths(app, view), units })
  setResponseHeaders(event, {
    'content-type': 'application/pdf',
    'content-disposition': `inline; filename="sheet-${date}-${id.slice(0, 8)}.pdf"`,
    'cache-control': 'no-store',
  })
  return Buffer.from(pdf)
})
