import { useShopApp } from '../../utils/app'
import { api } from '../../utils/problem'

/** Every machine with its customer, for opening a visit. */
export default api('look', async () => ({ machines: await (await useShopApp()).repository.allMachines() }))
