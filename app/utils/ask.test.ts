import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { WindowLine } from '#core/pumps/device-window'
import { opened, reading, VISIT } from '#core/visit/test-journal'
import { rowOf } from '#core/visit/visit-row'
import { listingOf } from '#core/visit/listing'
import { useLive } from '~/stores/live'
import { useDevice } from '~/stores/device'
import { ask, askAhead } from './ask'
import { freshBrowser, Stream } from './browser.fixture'
import { DeviceStore } from './device-store'

const PATH = `/api/visits/${VISIT}`
const journal = [opened(), reading('supply-voltage', 236)]
const kept: WindowLine = {
  is: 'visit',
  visit: {
    row: rowOf(listingOf(journal) as NonNullable<ReturnType<typeof listingOf>>),
    entries: journal,
    history: [],
    experience: {},
    pace: {},
    lastReadings: [],
  },
}
const answered = (entries: readonly object[]) => Response.json({ entries }, { headers: { 'x-arrival': '40' } })
const lines = async (response: Response) => ((await response.json()) as { entries: object[] }).entries.length

/** A device that has read the shop's window before. */
async function keepWindow(): Promise<void> {
  const store = new DeviceStore()
  await store.take([kept])
  const span = { from: '2026-05-05T00:00:00.000Z', to: '2026-05-20T00:00:00.000Z' }
  const window = { since: 30, heard: 31, at: new Date().toISOString(), ...span, visits: [VISIT], shop: [] }
  expect(await store.closeWindow(window, { visits: [VISIT], machines: [], customers: [] })).toBe(true)
}

beforeEach(() => {
  freshBrowser()
  setActivePinia(createPinia())
})
afterEach(() => {
  vi.useRealTimers()
})

describe('asking the shop', () => {
  it('hears the shop, and listens from what this device has heard', async () => {
    await keepWindow()
    vi.stubGlobal('fetch', async () => answered([...journal, {}]))
    expect(await lines(await ask(PATH))).toBe(3)
    await vi.waitFor(() => expect(Stream.opened).toEqual(['/api/live?after=31']))
  })

  it('what was asked for ahead is taken once, and asked for again after', async () => {
    await keepWindow()
    const fetched = vi.fn(async () => answered(journal))
    vi.stubGlobal('fetch', fetched)
    askAhead(PATH)
    expect(await lines(await ask(PATH))).toBe(2)
    expect(fetched).toHaveBeenCalledOnce()
    await ask(PATH)
    expect(fetched).toHaveBeenCalledTimes(2)
  })

  it('without a way this device says what it knows, and goes on from there', async () => {
    await keepWindow()
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('fetch failed')))
    expect(await lines(await ask(PATH))).toBe(2)
    await vi.waitFor(() => expect(Stream.opened).toEqual(['/api/live?after=31']))
    await expect(ask('/api/visits/0197a000-0003-7000-8000-000000000099')).rejects.toThrow('fetch failed')
    await expect(ask('/api/ledger?month=2026-05')).rejects.toThrow('fetch failed')
  })

  it('a way that carries nothing is not waited for; what comes late after all is what is said next', async () => {
    await keepWindow()
    const device = useDevice()
    // What the store holds is read before the clock stands still.
    await device.answer(PATH)
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
    let answer: (response: Response) => void = () => undefined
    vi.stubGlobal('fetch', () => new Promise<Response>((done) => (answer = done)))
    const missed = vi.fn()
    useLive().onMissed(missed)
    const asking = ask(PATH)
    await vi.advanceTimersByTimeAsync(4_000)
    vi.useRealTimers()
    expect(await lines(await asking)).toBe(2)
    expect(missed).not.toHaveBeenCalled()
    answer(answered([...journal, {}, {}]))
    await vi.waitFor(() => expect(missed).toHaveBeenCalledOnce())
    expect(await lines(await ask(PATH))).toBe(4)
  })

  it('in a tunnel it does not wait at all', async () => {
    await keepWindow()
    vi.stubGlobal('navigator', { onLine: false })
    vi.stubGlobal('fetch', () => new Promise(() => undefined))
    expect(await lines(await ask(PATH))).toBe(2)
  })
})
