import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Entry } from '#core/visit/entry'
import { opened, reading, VISIT } from '#core/visit/test-journal'
import { freshBrowser } from '~/utils/browser.fixture'
import { DeviceStore } from '~/utils/device-store'
import { readWindow } from '~/utils/read-window'
import { useDevice } from './device'
import { useOutbox } from './outbox'

const SPAN = { from: '2026-05-05T00:00:00.000Z', to: '2026-05-20T00:00:00.000Z' }
const DAY = '/api/day?from=2026-05-12T00:00:00.000Z&to=2026-05-13T00:00:00.000Z&on=2026-05-12'
const PATH = `/api/visits/${VISIT}`
const SAID = { visits: [], said: 'by the shop' }
const here: Entry[] = [opened(), reading('supply-voltage', 236)]
const kept = { visits: [], machines: [], customers: [] }

/** The shop as it answers: it takes every line, and its window is empty, taken in up to an arrival. */
function shop(arrival: number, since = arrival): void {
  const window = { is: 'window', arrival, since, ...kept, shop: [], of: 0 }
  vi.stubGlobal('fetch', async (path: string) =>
    path === '/api/device'
      ? new Response(`${JSON.stringify(window)}\n${JSON.stringify({ is: 'whole' })}\n`)
      : Response.json({ accepted: [] }),
  )
}
const read = (store: DeviceStore) => readWindow(store, SPAN, '2026-05-12T09:40:00.000Z', () => undefined)
const linesOf = async (path: string) => ((await useDevice().answer(path)) as { entries: object[] } | undefined)?.entries

let store: DeviceStore
beforeEach(async () => {
  freshBrowser()
  setActivePinia(createPinia())
  store = new DeviceStore()
  shop(31)
  await read(store)
})

describe('what a page opened with', () => {
  const opens = () => useDevice().opening(DAY)
  const answered = (arrival: number) => useDevice().keepOpening({ path: DAY, arrival, answer: SAID })

  it('stands until the shop answers anew', async () => {
    await answered(31)
    expect(await opens()).toEqual(SAID)
    expect(await useDevice().opening(DAY.replaceAll('05-12', '05-13')), 'another day').toBeUndefined()
  })
  it('is nothing any more once something was heard', async () => {
    await answered(31)
    await store.hear(32, here, () => false)
    setActivePinia(createPinia())
    expect(await opens()).toBeUndefined()
    await answered(32)
    expect(await opens()).toEqual(SAID)
  })
  it('nor while a line waits here, nor once it was sent', async () => {
    await answered(31)
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('fetch failed')))
    void useOutbox().add(here)
    expect(await opens()).toBeUndefined()
    shop(31)
    await useOutbox().flush()
    await vi.waitFor(() => expect(useOutbox().waiting).toBe(0))
    expect(await opens()).toBeUndefined()
    await answered(33)
    expect(await opens()).toEqual(SAID)
  })
  it('goes with the data of a customer who is removed', async () => {
    await answered(31)
    await store.drop({ customers: [], machines: [], visits: [] })
    expect(await store.opening()).toBeUndefined()
  })
})

describe('a line that the shop has acknowledged and not yet told of', () => {
  const send = async () => {
    useDevice()
    await useOutbox().add(here)
    expect(useOutbox().waiting).toBe(0)
  }
  it('is known here without a way, in another tab and after a reload too', async () => {
    await send()
    expect(await linesOf(PATH)).toHaveLength(2)
    setActivePinia(createPinia())
    expect(await linesOf(PATH)).toHaveLength(2)
  })
  it('is kept until the shop was read after it, and has taken it in', async () => {
    await send()
    shop(33, 31)
    await read(store)
    expect(await store.sent()).toHaveLength(2)
    shop(33)
    await read(store)
    expect(await store.sent()).toEqual([])
  })
  it('stays where it was sent while the shop was being read', async () => {
    const [first, second] = here as [Entry, Entry]
    await store.keepSent([first])
    await store.closeWindow({ heard: 33, at: '', ...SPAN, visits: [], shop: [] }, kept, [first])
    await store.keepSent([second])
    await store.closeWindow({ heard: 33, at: '', ...SPAN, visits: [], shop: [] }, kept, [first])
    expect(await store.sent()).toEqual([second])
  })
  it('goes with the data of a customer who is removed', async () => {
    await send()
    await store.drop({ customers: [], machines: [], visits: [VISIT] })
    expect(await store.sent()).toEqual([])
  })
})
