import { getRouterParam } from 'h3'
import { cardView } from '../../../services/register-views'
import { serverNow, useShopApp } from '../../../utils/app'
import { api, Problem } from '../../../utils/problem'
import { pathId } from '../../../utils/views'

/** Everything the shop remembers of one machine. */
export default api('look', async (event) => {
  const asked = pathId(getRouterParam(event, 'id'), 'machine')
  const view = await cardView(await useShopApp(), asked, serverNow())
  if (!view) throw new Problem(404, `There is no machine with the id ${asked}.`)
  return view
})
