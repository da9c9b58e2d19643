import { setResponseHeaders } from 'h3'
import { useShopApp } from '../utils/app'
import { api } from '../utils/problem'
import { noteFile } from '../utils/signed-in'

/** The register as a table: a line for each machine. */
export default api('files', async (event) => {
  await noteFile(event, 'register')
  const { register, work } = await useShopApp()
  setResponseHeaders(event, {
    'content-type': 'text/csv; charset=utf-8',
    'content-disposition': 'attachment; filename="customers.csv"',
    'cache-control': 'no-store',
  })
  return work.run('registerTable', { known: await register.knownCustomers(), as: 'csv' })
})
