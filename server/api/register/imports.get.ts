import { useShopApp } from '../../utils/app'
import { api } from '../../utils/problem'

/** What was taken in from files, the newest first. */
export default api('files', async () => {
  const { register } = await useShopApp()
  return { imports: await register.takenIn() }
})
