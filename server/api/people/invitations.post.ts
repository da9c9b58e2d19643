import { useShopApp } from '../../utils/app'
import { readJson } from '../../utils/body'
import { peopleAsked } from '../../services/people/asked'
import { api } from '../../utils/problem'
import { mustBeSomebody } from '../../utils/signed-in'

/** A way in for somebody new, good once and for three days. */
export default api('people', async (event) => {
  const { person } = await mustBeSomebody(event)
  const asked = peopleAsked.invited(await readJson(event))
  return (await useShopApp()).people.invite(person.id, asked)
})
