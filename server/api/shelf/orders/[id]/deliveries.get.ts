import { getRouterParam } from 'h3'
import { deliveriesOf } from '../../../../services/buying'
import { useShopApp } from '../../../../utils/app'
import { api } from '../../../../utils/problem'
import { pathId } from '../../../../utils/views'

/** What the supplier says that it sent of an order, held against it line by line. */
export default api('look', async (event) =>
  deliveriesOf(await useShopApp(), pathId(getRouterParam(event, 'id'), 'order')),
)
