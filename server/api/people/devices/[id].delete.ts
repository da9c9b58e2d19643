import { getRouterParam } from 'h3'
import { useShopApp } from '../../../utils/app'
import { api } from '../../../utils/problem'
import { mustBeSomebody } from '../../../utils/signed-in'
import { pathId } from '../../../utils/views'

/** Shuts a device out: one that was lost. */
export default api('people', async (event) => {
  const { person } = await mustBeSomebody(event)
  await (await useShopApp()).people.end(person.id, pathId(getRouterParam(event, 'id'), 'device'), 'shut-out')
  return { is: 'out' }
})
