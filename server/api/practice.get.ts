import { may } from '../../core/people/roles'
import type { Entry } from '../../core/visit/entry'
import { useShopApp } from '../utils/app'
import { api } from '../utils/problem'
import { whoAsks } from '../utils/signed-in'

/**
 * What came of tries at practice pumps, and the courses that are set: one’s own, and all of it for whoever sees to the
 * people of the shop, with their names.
 */
export default api('practice', async (event): Promise<{ lines: Entry[]; people: string[] }> => {
  const { repository, people } = await useShopApp()
  const lines = await repository.practiceLines()
  const who = await whoAsks(event)
  if (!who || who.isAlone) return { lines, people: [] }
  const { person } = who
  if (may(person.role, 'people')) return { lines, people: (await people.all()).people.map(({ name }) => name) }
  const isTheirs = (line: Entry) =>
    line.kind === 'course-set'
      ? line.body.for.length === 0 || line.body.for.includes(person.name)
      : line.by?.person === person.id
  return { lines: lines.filter(isTheirs), people: [] }
})
