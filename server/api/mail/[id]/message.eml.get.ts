import { getRouterParam, setResponseHeaders } from 'h3'
import { useShopApp } from '../../../utils/app'
import { api, Problem } from '../../../utils/problem'
import { pathId } from '../../../utils/views'

/** A mail that left, as the file it is. */
export default api('look', async (event) => {
  const id = pathId(getRouterParam(event, 'id'), 'mail')
  const { outlet } = await useShopApp()
  const message = await outlet.get(id)
  if (!message) throw new Problem(404, `There is no mail with the id ${id}.`)
  setResponseHeaders(event, {
    'content-type': 'message/rfc822',
    'content-disposition': `attachment; filename="${id}.eml"`,
    'cache-control': 'no-store',
  })
  return message
})
