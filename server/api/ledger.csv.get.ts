import { setResponseHeaders } from 'h3'
import Papa from 'papaparse'
import { LEDGER_COLUMNS } from '../../core/visit/ledger'
import { useShopApp } from '../utils/app'
import { askedMonth } from '../utils/month'
import { api } from '../utils/problem'
import { noteFile } from '../utils/signed-in'

/** The accounts of a month as CSV. */
export default api('money', async (event) => {
  const month = askedMonth(event)
  await noteFile(event, 'ledger')
  const { repository } = await useShopApp()
  setResponseHeaders(event, {
    'content-type': 'text/csv; charset=utf-8',
    'content-disposition': `attachment; filename="ledger-${month}.csv"`,
    'cache-control': 'no-store',
  })
  // A cell that begins like a formula would be run by a spreadsheet.
  return Papa.unparse(await repository.ledgerOf(month), { columns: [...LEDGER_COLUMNS], escapeFormulae: true })
})
