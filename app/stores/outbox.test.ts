import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Entry } from '#core/visit/entry'
import { opened, reading } from '#core/visit/test-journal'
import { freshBrowser } from '~/utils/browser.fixture'
import { useOutbox } from './outbox'

/** What the server was sent, batch by batch, by the last figures of each id. */
let sent: string[][]
function server(answer: (ids: readonly string[]) => Response | Promise<Response>): void {
  vi.stubGlobal('fetch', async (_: string, { body }: { body: string }) => {
    const ids = (JSON.parse(body) as { entries: Entry[] }).entries.map(({ id }) => id)
    sent.push(ids)
    return answer(ids)
  })
}
const accepted = () => Response.json({ accepted: [] })
const refused = () =>
  Response.json(
    { title: 'Not so.', problems: [{ field: 'entries.0.body.value', value: 1, expected: 'less' }] },
    { status: 422 },
  )
const [first, bad, last] = [opened(), reading('supply-voltage', 236), reading('running-current', 7)] as [
  Entry,
  Entry,
  Entry,
]
const idsOf = (entries: readonly Entry[]) => entries.map(({ id }) => id)

beforeEach(() => {
  sent = []
  freshBrowser()
  setActivePinia(createPinia())
})
afterEach(() => {
  vi.useRealTimers()
})

describe('lines on their way', () => {
  it('go together, and are forgotten once they are acknowledged', async () => {
    server(accepted)
    const outbox = useOutbox()
    await outbox.add([first, bad, last])
    expect(sent).toEqual([idsOf([first, bad, last])])
    expect(outbox.waiting).toBe(0)
  })
  it('are sent singly where one is refused, which is kept with its reason and holds nothing up', async () => {
    server((ids) => (ids.includes(bad.id) ? refused() : accepted()))
    const outbox = useOutbox()
    await outbox.add([first, bad, last])
    expect(sent.map(({ length }) => length)).toEqual([3, 1, 1, 1])
    expect([outbox.waiting, outbox.refused.length]).toEqual([0, 1])
    expect(outbox.refused[0]).toMatchObject({ entry: { id: bad.id }, refusal: { title: 'Not so.' } })
    await outbox.flush()
    expect(sent.length, 'a refused line is not sent again by itself').toBe(4)
  })
  it('wait where nobody answers, and are tried again, each time later', async () => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
    server(() => Promise.reject(new TypeError('fetch failed')))
    const outbox = useOutbox()
    await outbox.ready
    await outbox.add([first])
    expect([outbox.reach.is, outbox.waiting, sent.length]).toEqual(['unreachable', 1, 1])
    await vi.advanceTimersByTimeAsync(799)
    expect(sent.length).toBe(1)
    await vi.advanceTimersByTimeAsync(1)
    expect(sent.length).toBe(2)
    await vi.advanceTimersByTimeAsync(1279)
    expect(sent.length).toBe(2)
    server(accepted)
    await vi.advanceTimersByTimeAsync(1)
    await vi.waitFor(() => expect(outbox.waiting).toBe(0))
    expect(outbox.reach.is).toBe('answers')
  })
  it('tells a server that answers and cannot from one that is away', async () => {
    server(() => Response.json({ title: 'The disk is full' }, { status: 507 }))
    const outbox = useOutbox()
    await outbox.add([first, last])
    expect(outbox.reach).toEqual({ is: 'failing', title: 'The disk is full' })
    expect([outbox.waiting, sent.length]).toEqual([2, 1])
  })
  it('are sent by a later page too', async () => {
    server(() => Promise.reject(new TypeError('fetch failed')))
    await useOutbox().add([first])
    server(accepted)
    setActivePinia(createPinia())
    const later = useOutbox()
    await vi.waitFor(() => expect(sent.at(-1)).toEqual([first.id]))
    await vi.waitFor(() => expect(later.waiting).toBe(0))
  })
})

describe('a refused line', () => {
  const withRefused = async () => {
    server((ids) => (ids.includes(bad.id) ? refused() : accepted()))
    const outbox = useOutbox()
    await outbox.add([bad])
    return outbox
  }
  it('goes on its way again as it was changed', async () => {
    const outbox = await withRefused()
    server(accepted)
    await outbox.change(bad.id, { ...bad, body: { ...bad.body, value: 230 } } as Entry)
    expect([outbox.refused.length, outbox.waiting]).toEqual([0, 0])
    expect(sent.at(-1)).toEqual([bad.id])
  })
  it('leaves its place to a line of another id', async () => {
    const outbox = await withRefused()
    await outbox.change(bad.id, last)
    expect([outbox.refused.length, outbox.waiting]).toEqual([0, 0])
    expect(sent.at(-1)).toEqual([last.id])
  })
  it('is dropped, and had back until the page is left', async () => {
    const outbox = await withRefused()
    outbox.drop('of no line')
    expect(outbox.refused.length).toBe(1)
    outbox.drop(bad.id)
    expect([outbox.refused.length, outbox.dropped.length]).toEqual([0, 1])
    outbox.takeBack()
    expect([outbox.refused.length, outbox.dropped.length]).toEqual([1, 0])
    expect(outbox.refused[0]?.refusal.title).toBe('Not so.')
  })
})
