import { getRouterParam } from 'h3'
import { useShopApp } from '../../../utils/app'
import { api } from '../../../utils/problem'
import { mustBeSomebody } from '../../../utils/signed-in'
import { pathId } from '../../../utils/views'

/** Somebody works here no more. */
export default api('people', async (event) => {
  const { person } = await mustBeSomebody(event)
  await (await useShopApp()).people.remove(person.id, pathId(getRouterParam(event, 'id'), 'person'))
  return { is: 'removed' }
})
