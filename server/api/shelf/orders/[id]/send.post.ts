import { getRouterParam } from 'h3'
import { sendOrder } from '../../../../services/buying'
import { useShopApp } from '../../../../utils/app'
import { api } from '../../../../utils/problem'
import { pathId } from '../../../../utils/views'

/** Tells the supplier of an order; the same order told twice is one. */
export default api('write', async (event) =>
  sendOrder(await useShopApp(), pathId(getRouterParam(event, 'id'), 'order')),
)
