import { setResponseHeaders } from 'h3'
import { useShopApp } from '../utils/app'
import { api } from '../utils/problem'

/** The customers of the register as vCards. */
export default api(async (event) => {
  const { register, work } = await useShopApp()
  setResponseHeaders(event, {
    'content-type': 'text/vcard; charset=utf-8',
    'content-disposition': 'attachment; filename="customers.vcf"',
    'cache-control': 'no-store',
  })
  return work.run('registerTable', { known: await register.knownCustomers(), as: 'vcf' })
})
