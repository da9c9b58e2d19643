import { useShopApp } from '../../utils/app'
import { api } from '../../utils/problem'

/** Who works here, on which devices. */
export default api('people', async () => (await useShopApp()).people.all())
