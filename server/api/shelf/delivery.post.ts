import { deliveryIn } from '../../services/buying'
import { serverNow, useShopApp } from '../../utils/app'
import { readJson } from '../../utils/body'
import { deliveryRequest } from '../../utils/price-request'
import { api } from '../../utils/problem'

/** A delivery note as a file, held against the order that it names. Nothing is written. */
export default api('write', async (event) => {
  const text = deliveryRequest(await readJson(event))
  return deliveryIn(await useShopApp(), text, serverNow().slice(0, 10))
})
