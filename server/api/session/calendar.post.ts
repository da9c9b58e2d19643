import { useShopApp } from '../../utils/app'
import { api } from '../../utils/problem'
import { mustBeSomebody } from '../../utils/signed-in'

/** An address for a calendar of whoever asks, told once: a calendar cannot sign in. */
export default api('look', async (event) => {
  const { person } = await mustBeSomebody(event)
  return { path: `/api/calendar.ics?key=${await (await useShopApp()).people.giveKey(person.id)}` }
})
