import { getRouterParam } from 'h3'
import { customerView } from '../../../services/register-views'
import { useShopApp } from '../../../utils/app'
import { api, Problem } from '../../../utils/problem'
import { pathId } from '../../../utils/views'

/** A customer with places and machines, who may be the same, what was merged, and what is still open. */
export default api('look', async (event) => {
  const asked = pathId(getRouterParam(event, 'id'), 'customer')
  const app = await useShopApp()
  await app.index.caughtUpSoon()
  const view = await customerView(app, asked)
  if (!view) throw new Problem(404, `There is no customer with the id ${asked}.`)
  return view
})
