import { IDBObjectStore } from 'fake-indexeddb'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { reactive } from 'vue'
import type { Entry } from '#core/visit/entry'
import { freshBrowser, textStorage } from './browser.fixture'
import { mendableFields, refusalWords, withField } from './entry-field'
import { sendEntries } from './send-entries'
import { WaitingLines, type WaitingLine } from './waiting-lines'

/** One tab's view of what waits, once the device's store has been read. */
async function tab(left = textStorage()) {
  const lines = new WaitingLines(() => undefined, left)
  await lines.ready
  return lines
}
/** The store takes nothing more, as on a device that is full. */
function full() {
  const put = IDBObjectStore.prototype.put
  IDBObjectStore.prototype.put = () => {
    throw new DOMException('no room', 'QuotaExceededError')
  }
  return () => {
    IDBObjectStore.prototype.put = put
  }
}
const line = (tail: number, lamport: number, text = 'x') =>
  ({
    id: `0197a000-00aa-7000-8000-${String(tail).padStart(12, '0')}`,
    v: 2,
    lamport,
    visitId: null,
    kind: 'note',
    at: '2026-05-12T10:20:00Z',
    author: 'test',
    body: { text, seenAndLeft: false },
  }) as unknown as Entry
const ids = (lines: WaitingLines) => lines.all().map(({ entry }) => Number(entry.id.slice(-3)))
const refusal = {
  title: 'no',
  status: 422,
  problems: [{ field: 'entries.0.body.text', value: 'x', expected: 'something else' }],
}

describe('what waits on this device', () => {
  beforeEach(freshBrowser)
  it('is in the order of its journal, and the same for all tabs', async () => {
    const [one, other] = [await tab(), await tab()]
    await one.keep({ entry: line(2, 5) })
    await other.keep({ entry: line(1, 7) })
    await vi.waitFor(() =>
      expect([ids(one), ids(other)]).toEqual([
        [2, 1],
        [2, 1],
      ]),
    )
    await other.forget(line(2, 5).id)
    await vi.waitFor(() => expect([ids(one), ids(other)]).toEqual([[1], [1]]))
    expect(ids(await tab()), 'and on the device').toEqual([1])
  })
  it('waits from the moment it is written, before the device has taken it', async () => {
    const lines = new WaitingLines(() => undefined, textStorage())
    const kept = lines.keep({ entry: line(1, 1) })
    expect([ids(lines), lines.onlyHere]).toEqual([[1], 0])
    await kept
  })
  it('keeps a refused line with its reason over a reload, and a changed one goes on its way again', async () => {
    await (await tab()).keep({ entry: line(1, 1), refusal })
    expect((await tab()).all()).toEqual([{ entry: line(1, 1), refusal }])
    await (await tab()).keep({ entry: line(1, 1, 'better') })
    expect((await tab()).all()).toEqual([{ entry: line(1, 1, 'better') }])
  })
  it('keeps what a form made reactive', async () => {
    await (await tab()).keep(reactive({ entry: line(1, 1) }) as WaitingLine)
    expect((await tab()).all()).toEqual([{ entry: line(1, 1) }])
  })
  it('does not bring back what was sent while the store was being read', async () => {
    await (await tab()).keep({ entry: line(1, 1) })
    const lines = new WaitingLines(() => undefined, textStorage())
    await Promise.all([lines.forget(line(1, 1).id), lines.ready])
    expect(ids(lines)).toEqual([])
  })
  it('says truly what a full device did not take, and puts it there when there is room', async () => {
    const lines = await tab()
    await lines.keep({ entry: line(1, 1) })
    const widen = full()
    await lines.keep({ entry: line(2, 2) })
    expect([ids(lines), lines.onlyHere, ids(await tab())]).toEqual([[1, 2], 1, [1]])
    widen()
    await lines.forget(line(1, 1).id)
    expect([lines.onlyHere, ids(await tab())]).toEqual([0, [2]])
  })
  it('holds all lines on the page where there is no store at all', async () => {
    vi.stubGlobal('indexedDB', {
      open: () => {
        throw new DOMException('not here', 'SecurityError')
      },
    })
    const lines = await tab()
    await lines.keep({ entry: line(1, 1) })
    expect([ids(lines), lines.onlyHere]).toEqual([[1], 1])
    await lines.forget(line(1, 1).id)
    expect([ids(lines), lines.onlyHere]).toEqual([[], 0])
  })
  it('tells the page whenever other lines wait', async () => {
    const changed = vi.fn()
    const lines = new WaitingLines(changed, textStorage())
    await lines.ready
    changed.mockClear()
    const kept = lines.keep({ entry: line(1, 1) })
    expect(changed, 'at once').toHaveBeenCalled()
    await kept
    changed.mockClear()
    await lines.forget(line(1, 1).id)
    expect(changed).toHaveBeenCalled()
  })
  it('takes over what an older app had left, and what is no line is left alone', async () => {
    const left = textStorage({
      'pike-lamp.outbox': JSON.stringify([line(1, 1), line(2, 2)]),
      [`pike-lamp.waiting.${line(3, 3).id}`]: JSON.stringify({ entry: line(3, 3), refusal }),
      'pike-lamp.waiting.x': 'not json',
      'pike-lamp.units': 'metric',
    })
    const lines = await tab(left)
    expect(ids(lines)).toEqual([1, 2, 3])
    expect(lines.all()[2]?.refusal).toEqual(refusal)
    expect([...left.kept.keys()]).toEqual(['pike-lamp.waiting.x', 'pike-lamp.units'])
    expect(ids(await tab()), 'they are in the store now').toEqual([1, 2, 3])
  })
  it('leaves them in their old place while the device is full', async () => {
    const left = textStorage({ 'pike-lamp.outbox': JSON.stringify([line(1, 1)]) })
    const widen = full()
    expect(ids(await tab(left))).toEqual([1])
    expect(left.kept.size).toBe(1)
    widen()
    await tab(left)
    expect(left.kept.size).toBe(0)
  })
})

describe('sending lines', () => {
  const answer = (status: number, body: unknown) =>
    sendEntries([line(1, 1)], () =>
      Promise.resolve(new Response(typeof body === 'string' ? body : JSON.stringify(body), { status })),
    )
  it.each<[number, string]>([
    [200, 'accepted'],
    [422, 'refused'],
    [409, 'refused'],
    [400, 'refused'],
    [413, 'refused'],
    [500, 'failing'],
    [503, 'failing'],
    [507, 'failing'],
    [421, 'failing'],
    [403, 'failing'],
    [404, 'failing'],
  ])('an answer of %i is %s', async (status, is) => {
    expect((await answer(status, { title: 'said so', problems: [] })).is).toBe(is)
  })
  it('tells nobody there from somebody who cannot, and takes words that are no JSON', async () => {
    expect(await sendEntries([line(1, 1)], () => Promise.reject(new TypeError('fetch failed')))).toEqual({
      is: 'unreachable',
    })
    expect(await answer(502, '<html>')).toEqual({ is: 'failing', title: 'answer 502' })
    expect(await answer(507, { title: 'The disk is full' })).toEqual({ is: 'failing', title: 'The disk is full' })
  })
})

describe('putting a refused line right', () => {
  const entry = {
    ...line(1, 1),
    kind: 'finding',
    body: { check: 'supply-voltage', value: -3, lines: [{ volts: 7 }] },
  } as unknown as Entry
  it('opens the fields that the refusal is about, and no others', () => {
    const fields = mendableFields(entry, [
      { field: 'entries.0.body.value', value: -3, expected: 'at least 0' },
      { field: 'entries.0.body.lines.0.volts', value: 7, expected: 'less' },
      { field: 'entries.0.id', value: '', expected: '' },
      { field: 'entries.0.body.lines', value: [], expected: '' },
    ])
    expect(fields.map(({ path, label, text, wasNumber }) => [path, label, text, wasNumber])).toEqual([
      ['body.value', 'value', '-3', true],
      ['body.lines.0.volts', 'lines 0 volts', '7', true],
    ])
    expect((withField(entry, fields[0]!, '236,5').body as unknown as { value: unknown }).value).toBe(236.5)
    expect((withField(entry, fields[1]!, '8').body as unknown as { lines: unknown }).lines).toEqual([{ volts: 8 }])
    expect(
      (withField(entry, fields[0]!, 'lots').body as unknown as { value: unknown }).value,
      'the server says again what is wrong',
    ).toBe('lots')
    expect((entry.body as unknown as { value: unknown }).value, 'the line itself is left').toBe(-3)
  })
  it('writes a field that was not there, and says the refusal in words', () => {
    expect(
      (withField(entry, { path: 'body.unit', wasNumber: false }, 'V').body as unknown as { unit: unknown }).unit,
    ).toBe('V')
    expect(refusalWords('title', refusal.problems)).toBe('text: something else')
    expect(refusalWords('title', [])).toBe('title')
  })
})
