import { getRouterParam, setResponseHeaders } from 'h3'
import { attachedIn } from '../../../../core/visit/attached'
import { useShopApp } from '../../../utils/app'
import { api } from '../../../utils/problem'
import { noteFile } from '../../../utils/signed-in'
import { pathId, visitView } from '../../../utils/views'

/** The whole visit as one file: journal, pictures and recordings. */
export default api('look', async (event) => {
  const id = pathId(getRouterParam(event, 'id'), 'visit')
  const app = await useShopApp()
  const view = await visitView(app, id)
  const file = await app.work.run('visitJson', {
    view,
    pictures: await app.photos.bytesOfAll(attachedIn(view.entries)),
  })
  await noteFile(event, 'visit')
  setResponseHeaders(event, {
    'content-type': 'application/json',
    'content-disposition': `attachment; filename="${id.slice(0, 8)}.visit.json"`,
  })
  return file
})
