import { useShopApp } from '../../utils/app'
import { api } from '../../utils/problem'

const MOST = 500

/** What was done that the owner may want to know of, the newest first. */
export default api('people', async () => ({ lines: await (await useShopApp()).people.noted(MOST) }))
