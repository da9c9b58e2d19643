import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick, ref, shallowRef } from 'vue'
import { DEFAULT_RATES } from '#core/knowledge/shop/rates'
import type { Entry } from '#core/visit/entry'
import { considered } from '#core/visit/journey'
import { UNNAMED_SHOP } from '#core/visit/shop'
import { entry, opened, VISIT } from '#core/visit/test-journal'
import { freshBrowser } from '~/utils/browser.fixture'
import { useOutbox } from './outbox'
import { visitJourney } from './visit-journey'

const SECOND = '0197a000-0009-7000-8000-000000000002'
const SHOP = { ...UNNAMED_SHOP, rates: { ...DEFAULT_RATES, minimum: 5_000 } }
const of = (visitId: string, ...entries: Entry[]) =>
  entries.map((each, index) => ({ ...each, visitId, lamport: index + 1 }) as Entry)
const first = () => of(VISIT, opened(), entry('decision', { option: 'replace-run-capacitor' }))
const second = (...more: Entry[]) =>
  of(SECOND, opened(), entry('together', { with: VISIT }), entry('decision', { option: 'replace-shaft-seal' }), ...more)
const part = (visitId: string, entries: Entry[]) => ({ visitId, entries, history: [], experience: {}, pace: {} })

beforeEach(() => {
  freshBrowser()
  setActivePinia(createPinia())
  vi.stubGlobal('fetch', async () => Response.json({ accepted: [] }))
})

function openAt(visitId: string, own: Entry[], others: ReturnType<typeof part>[]) {
  const entries = shallowRef(own)
  const consider = vi.fn(async (visit: Parameters<typeof considered>[0], shop: typeof SHOP) => considered(visit, shop))
  const journey = visitJourney(
    { visitId: ref(visitId), entries, writer: ref({ author: 'test' }), shop: shallowRef(SHOP) },
    consider as never,
  )
  journey.parts.value = others
  return { journey, entries, consider }
}

describe('the journey of the open visit', () => {
  it('is itself alone until another is known, and nothing before its journal is', () => {
    expect(openAt(VISIT, [], []).journey.order.value).toEqual([])
    const { journey } = openAt(VISIT, first(), [])
    expect(journey.order.value).toEqual([VISIT])
    expect(journey.known.value).toEqual([])
    expect(journey.place.value).toEqual({ rides: false, beside: [] })
  })
  it('bears the least charge for all, once what the others come to is known', async () => {
    const { journey, consider } = openAt(VISIT, first(), [part(SECOND, second())])
    expect(journey.order.value).toEqual([VISIT, SECOND])
    expect(journey.known.value).toBeUndefined()
    await vi.waitFor(() => expect(journey.known.value).toHaveLength(1))
    const [beside] = journey.place.value?.beside ?? []
    // Its own least charge is not among it: that is the first’s to bear.
    expect(beside?.net).toBeGreaterThan(20)
    expect(beside?.net).toBeLessThan(1_000)
    expect(consider).toHaveBeenCalledOnce()
  })
  it('goes along where another is the first', () =>
    expect(openAt(SECOND, second(), [part(VISIT, first())]).journey.place.value).toEqual({ rides: true, beside: [] }))
  it('writes on another visit after all that is there, and considers it anew', async () => {
    const { journey, consider } = openAt(VISIT, first(), [part(SECOND, second())])
    await vi.waitFor(() => expect(consider).toHaveBeenCalledOnce())
    journey.appendTo(SECOND, 'note', { text: 'dry since', seenAndLeft: false })
    const [other] = journey.others.value
    expect(other?.entries.at(-1)).toMatchObject({ kind: 'note', visitId: SECOND, lamport: 4 })
    await vi.waitFor(() => expect(consider).toHaveBeenCalledTimes(2))
  })
  it('says nothing of a line that the shop has refused', async () => {
    vi.stubGlobal('fetch', async () => Response.json({ title: 'Not so.' }, { status: 422 }))
    const { journey } = openAt(VISIT, first(), [part(SECOND, second())])
    journey.appendTo(SECOND, 'note', { text: 'refused', seenAndLeft: false })
    expect(journey.others.value[0]?.entries).toHaveLength(4)
    await vi.waitFor(() => expect(useOutbox().refused).toHaveLength(1))
    expect(journey.others.value[0]?.entries).toHaveLength(3)
  })
  it('hears what another tab wrote there, once, and lets go what leaves', async () => {
    const { journey, entries } = openAt(SECOND, second(), [part(VISIT, first())])
    const [line] = of(VISIT, entry('note', { text: 'heard', seenAndLeft: false }))
    journey.hear([{ ...(line as Entry), lamport: 9 }])
    journey.hear([{ ...(line as Entry), lamport: 9 }])
    expect(journey.others.value[0]?.entries).toHaveLength(3)
    entries.value = second(entry('together', {}))
    await nextTick()
    expect(journey.order.value).toEqual([SECOND])
    expect(journey.place.value).toEqual({ rides: false, beside: [] })
  })
})
