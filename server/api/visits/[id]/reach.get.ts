import { getRouterParam } from 'h3'
import { reachOf } from '../../../services/reach'
import { useShopApp } from '../../../utils/app'
import { daySpan } from '../../../utils/day-span'
import { api } from '../../../utils/problem'
import { pathId } from '../../../utils/views'

/** How far the shop and the other vans are from where this visit is. */
export default api('look', async (event) =>
  reachOf(await useShopApp(), pathId(getRouterParam(event, 'id'), 'visit'), daySpan(event)),
)
