import { getRouterParam, setResponseHeaders } from 'h3'
import Papa from 'papaparse'
import { READING_COLUMNS, readingRows } from '../../../../core/visit/readings-table'
import { useShopApp } from '../../../utils/app'
import { api } from '../../../utils/problem'
import { pathId, stateOf, visitView } from '../../../utils/views'

/** Every reading of the visit as CSV, RFC 4180. */
export default api(async (event) => {
  const id = pathId(getRouterParam(event, 'id'), 'visit')
  const rows = readingRows(stateOf(await visitView(await useShopApp(), id)))
  setResponseHeaders(event, { 'content-type': 'text/csv; charset=utf-8', 'content-disposition': `attachment; filename="readings-${id.slice(0, 8)}.csv"` })
  // A cell that begins like a formula would be run by a spreadsheet.
  return Papa.unparse(rows, { columns: [...READING_COLUMNS], escapeFormulae: true })
})
