import { useShopApp } from '../../utils/app'
import { readJson } from '../../utils/body'
import { peopleAsked } from '../../services/people/asked'
import { api } from '../../utils/problem'
import { mustBeSomebody } from '../../utils/signed-in'

/** Another passphrase for whoever asks; their other devices are signed out. */
export default api('practice', async (event) => {
  const who = await mustBeSomebody(event)
  const { was, passphrase } = peopleAsked.changed(await readJson(event))
  await (await useShopApp()).people.changePassphrase(who, was, passphrase)
  return { is: 'changed' }
})
