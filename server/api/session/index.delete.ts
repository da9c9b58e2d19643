import { useShopApp } from '../../utils/app'
import { api } from '../../utils/problem'
import { letOut, whoAsks } from '../../utils/signed-in'

/** Signs this browser out. */
export default api('anyone', async (event) => {
  const who = await whoAsks(event)
  if (who && !who.isAlone) await (await useShopApp()).people.end(who.person.id, who.device.id, 'signed-out')
  letOut(event)
  return { is: 'out' }
})
