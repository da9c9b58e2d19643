import { getRouterParam, setResponseHeaders } from 'h3'
import { writeSheet } from '../../../../core/visit/sheet'
import { sheetPdf } from '../../../services/sheet-pdf'
import { useShopApp } from '../../../utils/app'
import { api } from '../../../utils/problem'
import { pathId, stateOf, visitView } from '../../../utils/views'

/** The sheet as PDF, fonts embedded. */
export default api(async (event) => {
  const app = await useShopApp()
  const id = pathId(getRouterParam(event, 'id'), 'visit')
  const view = await visitView(app, id)
  const sheet = writeSheet(stateOf(view), view.shop, view.experience)
  const photos = await Promise.all(sheet.photos.map(async ({ hash }) => app.photos.get(hash)))
  const pdf = await sheetPdf(sheet, photos)
  setResponseHeaders(event, { 'content-type': 'application/pdf', 'content-disposition': `inline; filename="sheet-${sheet.date}-${id.slice(0, 8)}.pdf"`, 'cache-control': 'no-store' })
  return pdf
})
