import { useShopApp } from '../../utils/app'
import { api } from '../../utils/problem'
import { inView, whoAsks } from '../../utils/signed-in'

/** Who is signed in here; how one gets in where nobody is. */
export default api('anyone', async (event) => {
  const { people } = await useShopApp()
  const who = await whoAsks(event)
  if (!who) return { is: (await people.isAnybody()) ? 'out' : 'unclaimed' }
  if (who.isAlone) return { is: 'alone' }
  return inView(who)
})
