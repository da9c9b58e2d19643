import { subDays } from 'date-fns'
import { compactLines } from '../../../core/shelf/compact'
import type { ToldOfShelf } from '../../../core/shelf/told-of-shelf'
import { shopOf } from '../../../core/visit/visit-view'
import { serverNow, useShopApp } from '../../utils/app'
import { api } from '../../utils/problem'

/** So far back what moved is told line by line; older lines are put together. */
const DAYS_TOLD = 60

/** What lies on the shop’s shelves, as the lines that it follows from. */
export default api('look', async (): Promise<ToldOfShelf> => {
  const { repository } = await useShopApp()
  const lines = await repository.shelfLines()
  const { vans = [], rates } = shopOf((await repository.shopEntries()).map(({ entry }) => entry))
  return { lines: compactLines(lines, subDays(serverNow(), DAYS_TOLD).toISOString()), vans, currency: rates.currency }
})
