import { useShopApp } from '../../utils/app'
import { readJson } from '../../utils/body'
import { peopleAsked } from '../../services/people/asked'
import { api, Problem } from '../../utils/problem'
import { fromOf, letIn, whoAsks } from '../../utils/signed-in'

/** Writes down the first of all, who owns the shop: from the server's own machine alone. */
export default api('anyone', async (event) => {
  const who = await whoAsks(event)
  if (!who?.isAlone) throw new Problem(403, 'The first is written down at the server’s own machine, once.')
  const { name, passphrase } = peopleAsked.named(await readJson(event))
  const { people } = await useShopApp()
  const signedIn = await people.begin({ name, passphrase, from: fromOf(event) })
  return letIn(event, signedIn)
})
