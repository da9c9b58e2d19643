import { getRouterParam, setResponseHeaders } from 'h3'
import { useShopApp } from '../../utils/app'
import { api, Problem } from '../../utils/problem'

/** A picture by its hash. It can never change, so it may be kept for good. */
export default api('look', async (event) => {
  const hash = getRouterParam(event, 'hash') ?? ''
  const photo = await (await useShopApp()).photos.get(hash)
  if (!photo) throw new Problem(404, 'There is no picture with that hash.')
  setResponseHeaders(event, {
    'content-type': photo.type,
    'cache-control': 'private, max-age=31536000, immutable',
    'content-security-policy': "default-src 'none'",
  })
  return photo.content
})
