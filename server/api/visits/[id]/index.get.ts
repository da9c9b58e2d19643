import { getRouterParam } from 'h3'
import { useShopApp } from '../../../utils/app'
import { api } from '../../../utils/problem'
import { pathId, visitView } from '../../../utils/views'

/** A visit's journal, its machine's history and the shop. The screen folds it itself. */
export default api(async (event) => visitView(await useShopApp(), pathId(getRouterParam(event, 'id'), 'visit')))
