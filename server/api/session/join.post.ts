import { useShopApp } from '../../utils/app'
import { readJson } from '../../utils/body'
import { peopleAsked } from '../../services/people/asked'
import { api } from '../../utils/problem'
import { fromOf, letIn } from '../../utils/signed-in'

/** Takes an invitation up; somebody new says the passphrase that they will sign in with. */
export default api('anyone', async (event) => {
  const { token, passphrase } = peopleAsked.joining(await readJson(event))
  const { people } = await useShopApp()
  const signedIn = await people.join(token, { passphrase, from: fromOf(event) })
  return letIn(event, signedIn)
})
