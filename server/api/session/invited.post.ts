import { useShopApp } from '../../utils/app'
import { readJson } from '../../utils/body'
import { peopleAsked } from '../../services/people/asked'
import { api, Problem } from '../../utils/problem'

/** For whom an invitation is, while it is good. Its secret is not in the address: addresses are written down. */
export default api('anyone', async (event) => {
  const { token } = peopleAsked.joining(await readJson(event))
  const invited = await (await useShopApp()).people.invited(token)
  if (!invited) throw new Problem(404, 'This invitation is not good any more. Ask for another.')
  return invited
})
