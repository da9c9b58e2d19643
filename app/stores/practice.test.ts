import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { drawPractice } from '#core/practice/practice-case'
import { UNNAMED_SHOP } from '#core/visit/shop'
import { freshBrowser } from '~/utils/browser.fixture'
import { keptTries } from '~/utils/kept-tries'
import { useOutbox } from './outbox'
import { usePractice } from './practice'
import { useVisit } from './visit'

vi.mock('~/composables/useLooker', () => ({ useLooker: () => ({ draw: async (code: never) => drawPractice(code) }) }))
vi.mock('~/composables/useThinker', () => ({ useThinker: () => ({ think: async () => undefined }) }))

const sent: string[] = []
beforeEach(() => {
  freshBrowser()
  sent.length = 0
  vi.stubGlobal('fetch', async (url: string) => {
    sent.push(url)
    return Response.json({ accepted: [] })
  })
  setActivePinia(createPinia())
})

/** Comes to a pump, its visit open. */
async function come(code = 'pool.one.2') {
  const [practice, visit] = [usePractice(), useVisit()]
  const id = await practice.begin(code, 'off', { ...UNNAMED_SHOP, name: 'Weir Lane Pumps' })
  visit.openBook(id, practice.book, practice.state!.entries, practice.state!.begun.body.shop)
  return { practice, visit, id }
}

describe('a try', () => {
  it('is worked on as a visit is, and nothing of it is on its way to the shop', async () => {
    const { practice, visit } = await come()
    expect(visit.isPractice).toBe(true)
    expect(visit.help).toBe('off')
    visit.append('gate', { gate: 'power-off', shut: true })
    expect(visit.state?.gates.has('power-off')).toBe(true)
    expect(practice.state?.hands.power).toBe(false)
    expect(practice.state?.minutes).toBeGreaterThanOrEqual(2)
    const outbox = useOutbox()
    await outbox.flush()
    expect(outbox.pending).toEqual([])
    expect(sent.filter((url) => url.includes('/api/entries'))).toEqual([])
  })

  it('goes on from what the device keeps of it', async () => {
    const { practice, visit, id } = await come()
    visit.append('gate', { gate: 'power-off', shut: true })
    practice.wait(10)
    const before = structuredClone(practice.lines.map((line) => ({ ...line })))
    const own = async () => (await practice.kept()).filter(({ tryId }) => tryId === id)
    await expect.poll(async () => (await own()).length).toBe(before.length)
    setActivePinia(createPinia())
    const again = usePractice()
    await again.open(id)
    expect(again.lines.map(({ id: line }) => line)).toEqual(before.map((line) => line.id))
    expect(again.state?.visit.gates.has('power-off')).toBe(true)
    expect(keptTries(await own())).toMatchObject([{ id, title: 'pool pump, one fault', harms: 0 }])
    await again.drop(id)
    expect(await own()).toEqual([])
  })

  it('says when there is none of that name', async () => {
    const practice = usePractice()
    await practice.open('nothing')
    expect(practice.problem).toMatch(/no such try/)
    await expect(practice.begin('boat.one.4', 'off')).rejects.toThrow(/no case/)
  })

  it('a reading by hand is offered, and is in the journal once it is taken', async () => {
    const { practice, visit } = await come()
    practice.doByHand({ check: 'weep-hole' })
    expect(visit.offered).toMatchObject({ source: 'by hand', finding: { check: 'weep-hole' } })
    expect(visit.state?.findings).toEqual([])
    visit.append('finding', { ...visit.offered!.finding, stage: 'test' })
    visit.settleOffer()
    expect(visit.offered).toBeUndefined()
    expect(visit.state?.findings).toHaveLength(1)
    expect(practice.state?.harms).toEqual([])
  })

  it('stands still while it is held, and what had gone by stays gone by', async () => {
    vi.useFakeTimers({ now: new Date('2026-05-12T08:00:00Z'), toFake: ['Date'] })
    const { practice } = await come()
    vi.setSystemTime(new Date('2026-05-12T08:01:00Z'))
    practice.hold(true)
    const held = practice.clockAt(Date.now())
    vi.setSystemTime(new Date('2026-05-12T09:00:00Z'))
    expect(practice.clockAt(Date.now())).toBe(held)
    expect(practice.state?.minutes).toBeCloseTo(6, 1)
    practice.hold(false)
    vi.setSystemTime(new Date('2026-05-12T09:01:00Z'))
    expect(practice.clockAt(Date.now()) - held).toBe(6 * 60_000)
    vi.useRealTimers()
  })

  it('a real visit that is opened after it is the shop’s again', async () => {
    const { visit } = await come()
    await visit.open('other')
    expect(visit.isPractice).toBe(false)
    expect(visit.help).toBe('on')
    expect(visit.entries).toEqual([])
  })
})
