import { api } from '../utils/problem'
import { serverNow, useShopApp } from '../utils/app'

export default api(async () => {
  const app = await useShopApp()
  return { ok: true, database: app.kind, entries: await app.repository.count(), now: serverNow() }
})
