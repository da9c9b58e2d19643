import { useShopApp } from '../../utils/app'
import { readJson } from '../../utils/body'
import { peopleAsked } from '../../services/people/asked'
import { api } from '../../utils/problem'
import { fromOf, letIn } from '../../utils/signed-in'

/** Signs in by name and passphrase. */
export default api('anyone', async (event) => {
  const { name, passphrase } = peopleAsked.named(await readJson(event))
  const { people } = await useShopApp()
  const signedIn = await people.signIn({ name, passphrase, from: fromOf(event) })
  return letIn(event, signedIn)
})
