import { describe, expect, it } from 'vitest'
import type { Entry } from '#core/visit/entry'
import { mendableFields, refusalWords, withField } from './entry-field'
import { sendEntries } from './send-entries'
import { WaitingLines } from './waiting-lines'

/** A browser's storage with a size: several tabs share one. */
class Room {
  private readonly texts = new Map<string, string>()
  constructor(private most = Infinity) {}
  get length() {
    return this.texts.size
  }
  key(index: number) {
    return [...this.texts.keys()][index] ?? null
  }
  getItem(key: string) {
    return this.texts.get(key) ?? null
  }
  setItem(key: string, text: string) {
    if ([...this.texts].reduce((sum, [name, each]) => sum + (name === key ? 0 : each.length), text.length) > this.most)
      throw new Error('QuotaExceededError')
    this.texts.set(key, text)
  }

  removeItem(key: string) {
    this.texts.delete(key)
  }
  widen(most: number) {
    this.most = most
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
  it('is in the order of its journal, and the same for all tabs', () => {
    const room = new Room()
    const [one, other] = [new WaitingLines(room), new WaitingLines(room)]
    one.keep({ entry: line(2, 5) })
    other.keep({ entry: line(1, 7) })
    expect([ids(one), ids(other)]).toEqual([
      [2, 1],
      [2, 1],
    ])
    other.forget(line(2, 5).id)
    expect(ids(one)).toEqual([1])
  })
  it('keeps a refused line with its reason over a reload, and a changed one goes on its way again', () => {
    const room = new Room()
    new WaitingLines(room).keep({ entry: line(1, 1), refusal })
    expect(new WaitingLines(room).all()).toEqual([{ entry: line(1, 1), refusal }])
    new WaitingLines(room).keep({ entry: line(1, 1, 'better') })
    expect(new WaitingLines(room).all()).toEqual([{ entry: line(1, 1, 'better') }])
  })
  it('says truly what a full storage did not take, and puts it there when there is room', () => {
    const room = new Room(400)
    const lines = new WaitingLines(room)
    lines.keep({ entry: line(1, 1) })
    lines.keep({ entry: line(2, 2, 'x'.repeat(300)) })
    expect([ids(lines), lines.onlyHere, ids(new WaitingLines(room))]).toEqual([[1, 2], 1, [1]])
    room.widen(5000)
    lines.forget(line(1, 1).id)
    expect([lines.onlyHere, ids(new WaitingLines(room))]).toEqual([0, [2]])
  })
  it('takes over what an older app had left together, and what is no line is left alone', () => {
    const room = new Room()
    room.setItem('pike-lamp.outbox', JSON.stringify([line(1, 1), line(2, 2)]))
    room.setItem('pike-lamp.waiting.x', 'not json')
    expect(ids(new WaitingLines(room))).toEqual([1, 2])
    expect(room.getItem('pike-lamp.outbox')).toBeNull()
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
