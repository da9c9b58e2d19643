import type { CustomerView } from '~/utils/register-views'

/** A customer of the register as the server has them. */
export function useCustomer(id: Ref<string>) {
  return useServed<CustomerView>(() => `/api/customers/${id.value}`)
}
