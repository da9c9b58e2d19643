import { useShopApp } from '../../utils/app'
import { api } from '../../utils/problem'
import { mustBeSomebody } from '../../utils/signed-in'

/** A way in for another device of whoever asks, good once and for some minutes. */
export default api('practice', async (event) => {
  const { person } = await mustBeSomebody(event)
  return (await useShopApp()).people.invite(person.id, { person: person.id })
})
