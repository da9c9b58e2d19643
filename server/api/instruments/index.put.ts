import { useShopApp } from '../../utils/app'
import { readJson } from '../../utils/body'
import { api } from '../../utils/problem'

/** Keeps another list of instruments: `{ "instruments": [...] }`, each on this machine or on a private network. */
export default api('settings', async (event) => {
  const body = await readJson(event)
  return { instruments: await (await useShopApp()).instruments.set(body) }
})
