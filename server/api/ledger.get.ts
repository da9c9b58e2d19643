import { ledgerSums } from '../../core/visit/ledger'
import { useShopApp } from '../utils/app'
import { askedMonth } from '../utils/month'
import { api } from '../utils/problem'

/** The accounts of a month, their sums, and what is still open from before. */
export default api('money', async (event) => {
  const month = askedMonth(event)
  const { repository } = await useShopApp()
  const rows = await repository.ledgerOf(month)
  return { rows, sums: ledgerSums(rows), open: await repository.openAccounts(`${month}-01`) }
})
