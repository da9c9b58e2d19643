import { createPinia, setActivePinia } from 'pinia'
import { v7 as uuidv7 } from 'uuid'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Entry, PracticeTried } from '#core/visit/entry'
import { validEntry } from '#core/visit/entry-rules'
import { freshBrowser } from '~/utils/browser.fixture'
import { useOutbox } from './outbox'
import { useSelf } from './self'
import { useSkills } from './skills'

const body: PracticeTried = {
  code: 'jet.one.2',
  ended: 'handed-over',
  found: true,
  minutes: 71,
  price: 16_400,
  lamp: 'off',
  harms: [],
  marks: [{ idea: 'pressure', right: 4, of: 4 }],
}
const ENDED = Date.parse('2026-05-12T09:00:00.000Z')

/** The shop, with the lines it was sent; nobody answers while it is away. */
const shop = { lines: [] as Entry[], isAway: false }
let [TRY, OTHER] = ['', '']
beforeEach(() => {
  freshBrowser()
  ;[TRY, OTHER] = [uuidv7(), uuidv7()]
  Object.assign(shop, { lines: [], isAway: false })
  vi.stubGlobal('fetch', async (url: string, init?: { body: string }) => {
    if (shop.isAway) throw new TypeError('fetch failed')
    if (url === '/api/practice') return Response.json({ lines: shop.lines, people: ['Ada', 'Bo'] })
    shop.lines.push(...(JSON.parse(init?.body ?? '{}') as { entries: Entry[] }).entries)
    return Response.json({ accepted: [] })
  })
  setActivePinia(createPinia())
})

describe('skills on a device', () => {
  it('a try that is over leaves one line, under its own id, however often it is told', async () => {
    const skills = useSkills()
    await skills.read()
    await skills.tell(TRY, body, ENDED)
    await skills.tell(TRY, body, ENDED)
    expect(shop.lines).toHaveLength(1)
    expect(validEntry(JSON.parse(JSON.stringify(shop.lines[0])))).toMatchObject({
      id: TRY,
      visitId: null,
      kind: 'practice-tried',
      at: '2026-05-12T09:00:00.000Z',
    })
    expect(skills.mine).toHaveLength(1)
    expect(skills.skills.ideas.pressure.tries).toBe(1)
    await skills.read()
    expect(skills.mine, 'told and here are one').toHaveLength(1)
  })

  it('what was tried without a signal counts at once, and is sent later', async () => {
    shop.isAway = true
    const skills = useSkills()
    await skills.read()
    expect(skills.isOld).toBe(true)
    void skills.tell(TRY, body, ENDED)
    await vi.waitFor(() => expect(skills.mine).toHaveLength(1))
    await vi.waitFor(() => expect(useOutbox().pending.map(({ id }) => id)).toEqual([TRY]))
    shop.isAway = false
    await vi.waitFor(async () => {
      await useOutbox().flush()
      expect(shop.lines).toHaveLength(1)
    })
    await skills.read()
    expect(skills.isOld).toBe(false)
    expect(skills.mine).toHaveLength(1)
  })

  it('a line that waited and is acknowledged while the shop is asked stays seen', async () => {
    shop.isAway = true
    void useSkills().tell(TRY, body, ENDED)
    await vi.waitFor(() => expect(useOutbox().pending).toHaveLength(1))
    // Another page of this device: what waited is all that it knows of it.
    setActivePinia(createPinia())
    const skills = useSkills()
    await useOutbox().ready
    shop.isAway = false
    const asked = skills.read()
    shop.lines = []
    await useOutbox().flush()
    await asked
    expect(useOutbox().pending).toEqual([])
    expect(skills.mine).toHaveLength(1)
  })

  it('what the shop told last is known without a signal, in another page too', async () => {
    const skills = useSkills()
    await skills.tell(TRY, body, ENDED)
    await skills.read()
    shop.isAway = true
    setActivePinia(createPinia())
    const later = useSkills()
    await later.read()
    expect(later.isOld).toBe(true)
    expect(later.mine).toHaveLength(1)
    expect(later.people).toEqual(['Ada', 'Bo'])
  })

  it('others’ tries are seen beside one’s own, and move none of it', async () => {
    const skills = useSkills()
    await skills.tell(TRY, body, ENDED)
    shop.lines.push({ ...(shop.lines[0] as Entry), id: OTHER, author: 'Bo' })
    await skills.read()
    expect(skills.everybody).toHaveLength(2)
    expect(skills.mine).toHaveLength(1)
  })

  it('a course is for those it names, until it is ended', async () => {
    useSelf().author = 'Ada'
    const skills = useSkills()
    const course = { course: TRY, title: 'Spring', cases: ['jet.one.2'], for: ['Bo'] }
    await skills.setCourse(course)
    expect(skills.courses).toHaveLength(1)
    expect(skills.mineToDo).toEqual([])
    await skills.setCourse({ ...course, for: [] })
    expect(skills.courses).toHaveLength(1)
    expect(skills.mineToDo.map(({ title }) => title)).toEqual(['Spring'])
    await skills.setCourse({ ...course, ended: true })
    expect(skills.courses).toEqual([])
  })
})
