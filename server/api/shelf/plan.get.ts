import { useShopApp } from '../../utils/app'
import { daySpan } from '../../utils/day-span'
import { api } from '../../utils/problem'

/** How much to keep of what, what goes into which van, and what that does for the visits of these days. */
export default api('look', async (event) => {
  const app = await useShopApp()
  return app.shelves.of(app, daySpan(event))
})
