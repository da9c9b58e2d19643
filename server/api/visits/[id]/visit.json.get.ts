import { getRouterParam, setResponseHeaders } from 'h3'
import { useShopApp } from '../../../utils/app'
import { api } from '../../../utils/problem'
import { noteFile } from '../../../utils/signed-in'
import { pathId, picturesIn, visitView } from '../../../utils/views'

/** The whole visit as one file: journal and pictures. */
export default api('look', async (event) => {
  const id = pathId(getRouterParam(event, 'id'), 'visit')
  const app = await useShopApp()
  const view = await visitView(app, id)
  const file = await app.work.run('visitJson', { view, pictures: await picturesIn(app, view) })
  await noteFile(event, 'visit')
  setResponseHeaders(event, {
    'content-type': 'application/json',
    'content-disposition': `attachment; filename="${id.slice(0, 8)}.visit.json"`,
  })
  return file
})
