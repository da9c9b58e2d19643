import { getRouterParam, setResponseHeaders } from 'h3'
import { toVisitFile } from '../../../../core/visit/visit-file'
import { ofKind } from '../../../../core/visit/live-entries'
import { useShopApp } from '../../../utils/app'
import { api } from '../../../utils/problem'
import { pathId, visitView } from '../../../utils/views'

/** The whole visit as one file: journal and pictures. */
export default api(async (event) => {
  const app = await useShopApp()
  const id = pathId(getRouterParam(event, 'id'), 'visit')
  const { entries } = await visitView(app, id)
  const hashes = [...new Set(ofKind(entries, 'photo').map(({ body }) => body.hash))]
  const photos = (await Promise.all(hashes.map((hash) => app.photos.get(hash)))).flatMap((photo) => (photo ? [{ hash: photo.hash, type: photo.type, base64: photo.content.toString('base64') }] : []))
  setResponseHeaders(event, { 'content-type': 'application/json', 'content-disposition': `attachment; filename="${id.slice(0, 8)}.visit.json"` })
  return JSON.stringify(toVisitFile(id, entries, photos), null, 1)
})
