import { getRouterParam } from 'h3'
import { priceListOf } from '../../../../services/buying'
import { serverNow, useShopApp } from '../../../../utils/app'
import { readJson } from '../../../../utils/body'
import { priceRequest } from '../../../../utils/price-request'
import { api } from '../../../../utils/problem'
import { pathId } from '../../../../utils/views'

const MOST_FILE_BYTES = 16 * 1024 * 1024

/** What a price list of a supplier would change: one that is sent, or the one that it answers with. */
export default api('write', async (event) => {
  const supplier = pathId(getRouterParam(event, 'id'), 'supplier')
  const file = priceRequest(await readJson(event, MOST_FILE_BYTES))
  const today = serverNow().slice(0, 10)
  return priceListOf(await useShopApp(), { supplier, today, ...(file ? { file } : {}) })
})
