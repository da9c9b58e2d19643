import { getRouterParam } from 'h3'
import { useShopApp } from '../../../utils/app'
import { readJson } from '../../../utils/body'
import { peopleAsked } from '../../../services/people/asked'
import { api } from '../../../utils/problem'
import { mustBeSomebody } from '../../../utils/signed-in'
import { pathId } from '../../../utils/views'

/** Another role for somebody. */
export default api('people', async (event) => {
  const { person } = await mustBeSomebody(event)
  const { role } = peopleAsked.roleChanged(await readJson(event))
  await (await useShopApp()).people.changeRole(person.id, pathId(getRouterParam(event, 'id'), 'person'), role)
  return { is: 'changed' }
})
