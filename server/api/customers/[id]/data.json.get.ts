import { Readable } from 'node:stream'
import { getRouterParam, sendStream, setResponseHeaders } from 'h3'
import { customerData } from '../../../services/customer-data'
import { serverNow, useShopApp } from '../../../utils/app'
import { api, Problem } from '../../../utils/problem'
import { noteFile } from '../../../utils/signed-in'
import { pathId } from '../../../utils/views'

/** Everything that the shop has of one customer, as one file. */
export default api('files', async (event) => {
  const id = pathId(getRouterParam(event, 'id'), 'customer')
  const data = await customerData(await useShopApp(), id, serverNow())
  if (!data) throw new Problem(404, `There is no customer with the id ${id}.`)
  await noteFile(event, 'all of a customer')
  setResponseHeaders(event, {
    'content-type': 'application/json',
    'content-disposition': `attachment; filename="${id.slice(0, 8)}.customer.json"`,
    'cache-control': 'no-store',
  })
  return sendStream(event, Readable.from(data))
})
