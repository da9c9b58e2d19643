import { describe, expect, it } from 'vitest'
import { ENTRY_VERSION, type Entry } from './entry'
import { validEntry } from './entry-rules'
import { liftEntry, liftJournal, MOST_LAMPORT_AHEAD } from './lift'

const line = (more: object = {}) => ({
  id: '0197a000-00aa-7000-8000-000000000001',
  visitId: '0197A000-0009-7000-8000-0000000000AB',
  kind: 'handed-over',
  at: '2026-05-12T10:20:00Z',
  author: 'test',
  body: { watch: '' },
  ...more,
})

describe('a line of an older version', () => {
  it('is lifted until today’s rules take it: ids in lower case, a next date that exists', () => {
    for (const [given, kept] of [
      ['2026-02-30', '2026-02-28'],
      ['2024-02-31', '2024-02-29'],
      ['2026-04-31', '2026-04-30'],
      ['2026-05-12', '2026-05-12'],
    ]) {
      const lifted = validEntry(liftEntry(line({ body: { watch: '', nextDate: given } })))
      expect(lifted).toMatchObject({
        v: ENTRY_VERSION,
        visitId: '0197a000-0009-7000-8000-0000000000ab',
        body: { nextDate: kept },
      })
    }
    expect(
      validEntry(liftEntry(line({ body: { watch: '', nextDate: '2026-13-01' } }))).body,
      'a month that does not exist is no date at all',
    ).toEqual({ watch: '' })
  })
  it.each([-1e300, Number.MAX_VALUE * -1, -1, 0, 0.5, 5e-324, Number.NaN])(
    'of version %s there never was one: it is given back as it is, and refused',
    (v) => {
      expect(liftEntry(line({ v }))).toEqual(line({ v }))
      expect(() => validEntry(liftEntry(line({ v })))).toThrow(/v/)
    },
  )
  it('keeps what it says of customer and machine, under ids in lower case', () => {
    const opened = { customer: { id: 'AB', name: 'X' }, machine: { id: 'CD', customerId: 'AB', name: 'pump' } }
    expect(liftEntry(line({ kind: 'visit-opened', body: opened }))).toMatchObject({
      body: { customer: { id: 'ab', name: 'X' }, machine: { id: 'cd', customerId: 'ab', name: 'pump' } },
    })
  })
  it('of the second version loses prices that are none, or stand for nothing', () => {
    const partPrices = { motor: 310, 'motor:pool': 290, pump: '640', tank: -1, 'motor:boat': 5, gold: 3, union: 1e9 }
    const rates = { currency: 'USD', hourly: 90, trip: 50, partsMarkup: 0.2, downtime: 50, partPrices }
    const shop = line({
      v: 2,
      visitId: null,
      kind: 'shop-set',
      body: { name: 'Millrace Pumps', place: '', units: 'us', rates },
    })
    expect(validEntry(liftEntry(shop)).body).toMatchObject({
      rates: { hourly: 90, partPrices: { motor: 310, 'motor:pool': 290 } },
    })
    expect(() => validEntry({ ...shop, v: ENTRY_VERSION }), 'and the edge refuses them').toThrow(/partPrices/)
  })
  it('of today is left as it is, and so is what is no entry at all', () => {
    const today = line({ v: ENTRY_VERSION })
    expect(liftEntry(today)).toBe(today)
    for (const nothing of [null, 7, 'text', [], {}]) expect(() => liftEntry(nothing)).not.toThrow()
    expect(liftEntry({ body: null })).toMatchObject({ v: ENTRY_VERSION, body: null })
  })
})

describe('a journal as it arrived', () => {
  const times = (lamports: (number | undefined)[]) =>
    liftJournal(
      lamports.map((lamport, index) =>
        line({ id: String(index), v: ENTRY_VERSION, ...(lamport === undefined ? {} : { lamport }) }),
      ),
    ).map((entry) => entry.lamport)

  it('gives each line without a logical time the one after all that came before', () => {
    expect(times([undefined, undefined, 7, undefined, 3])).toEqual([1, 2, 7, 8, 3])
  })
  it('brings back a line that claims to stand absurdly far ahead, so that there is always a next', () => {
    expect(times([1, 2 ** 50, undefined])).toEqual([1, 1 + MOST_LAMPORT_AHEAD, 2 + MOST_LAMPORT_AHEAD])
  })
  it('puts a correction after what it corrects, whatever it says', () => {
    const [, second] = liftJournal([line({ id: 'a', lamport: 9 }), line({ id: 'b', lamport: 2, supersedes: 'a' })]) as [
      Entry,
      Entry,
    ]
    expect(second.lamport).toBe(10)
  })
})
