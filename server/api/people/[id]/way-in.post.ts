import { getRouterParam } from 'h3'
import { useShopApp } from '../../../utils/app'
import { api } from '../../../utils/problem'
import { mustBeSomebody } from '../../../utils/signed-in'
import { pathId } from '../../../utils/views'

/** A way in for somebody who has forgotten their passphrase: they say another, and their devices sign in anew. */
export default api('people', async (event) => {
  const { person } = await mustBeSomebody(event)
  const id = pathId(getRouterParam(event, 'id'), 'person')
  return (await useShopApp()).people.invite(person.id, { person: id, isAnew: true })
})
