import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { ShelfPlace } from '../fits/shelf-place'
import { MOVES, type MoveWhy } from '../knowledge/shelf/moves'
import { ENTRY_VERSION, type Entry, type EntryBodies, type EntryKind } from '../visit/entry'
import { validEntry } from '../visit/entry-rules'
import { USUAL_BAYS } from './bays'
import { countOf, stockFrom, stockKey } from './stock'

const BEARING = '019e0000-0000-7000-8000-00000000000a'
const CAN = '019e0000-0000-7000-8000-00000000000b'
const VISIT = '019e0000-0000-7000-8000-0000000000ff'
let made = 0
const line = <K extends EntryKind>(kind: K, body: EntryBodies[K], minute: number, more: Partial<Entry> = {}): Entry =>
  validEntry({
    id: `019e0000-0000-7000-8000-${String(++made).padStart(12, '0')}`,
    v: ENTRY_VERSION,
    lamport: made,
    visitId: null,
    kind,
    at: new Date(Date.UTC(2026, 4, 12, 8) + minute * 60_000).toISOString(),
    author: 'Ida',
    body,
    ...more,
  })
const moved = (
  why: MoveWhy,
  from: EntryBodies['stock-moved']['from'],
  to: EntryBodies['stock-moved']['to'],
  count: number,
  minute: number,
  more: Partial<EntryBodies['stock-moved']> = {},
) => line('stock-moved', { article: BEARING, count, from, to, why, ...more }, minute)
const counted = (place: ShelfPlace, pieces: number, minute: number, more: object = {}) =>
  line('stock-counted', { article: BEARING, place, counted: pieces }, minute, more)
const VAN = 'van:van-1'
const received = (count: number, minute: number, until?: string) =>
  moved('received', 'supplier', 'bay:c', count, minute, until ? { until } : {})

describe('what lies where', () => {
  it('is the sum of what came and went', () => {
    const stock = stockFrom([
      received(6, 0),
      moved('loaded', 'bay:c', VAN, 2, 1),
      moved('used', VAN, 'machine', 1, 2, { visit: VISIT, use: 'bearings' }),
    ])
    expect([countOf(stock, BEARING, 'bay:c'), countOf(stock, BEARING, VAN), countOf(stock, BEARING)]).toEqual([4, 1, 5])
    expect(countOf(stock, CAN)).toBe(0)
  })

  it('a count speaks of what was done before it; its difference is kept with who counted, and explained by its reason', () => {
    const count = counted(VAN, 1, 10)
    const lines = [received(6, 0), moved('loaded', 'bay:c', VAN, 3, 1), count, moved('loaded', 'bay:c', VAN, 1, 20)]
    const stock = stockFrom(lines)
    expect(countOf(stock, BEARING, VAN)).toBe(2)
    expect(stock.differences).toMatchObject([{ place: VAN, expected: 3, counted: 1, author: 'Ida' }])
    const why = line('stock-counted', { ...(count.body as object), why: 'lent to the orchard' } as never, 30, {
      supersedes: count.id,
    })
    const explained = stockFrom([...lines, why])
    expect(countOf(explained, BEARING, VAN)).toBe(2)
    expect(explained.differences).toMatchObject([{ expected: 3, counted: 1, why: 'lent to the orchard' }])
  })

  it('what a van used before the count, and told later, explains the difference and is not taken off twice', () => {
    const before = [received(6, 0), moved('loaded', 'bay:c', VAN, 3, 1), counted(VAN, 1, 10)]
    const late = moved('used', VAN, 'machine', 2, 5, { visit: VISIT, use: 'bearings' })
    const stock = stockFrom([...before, late])
    expect(countOf(stock, BEARING, VAN)).toBe(1)
    expect(stock.differences).toEqual([])
  })

  it('a part of a visit is used once, whichever of two devices says it, and comes back when it is taken back', () => {
    const use = (minute: number) => moved('used', VAN, 'machine', 2, minute, { visit: VISIT, use: 'bearings' })
    const [first, second] = [use(5), use(6)]
    const base = [received(6, 0), moved('loaded', 'bay:c', VAN, 4, 1)]
    const both = stockFrom([...base, second, first])
    expect([countOf(both, BEARING, VAN), both.twice]).toEqual([2, [second.id]])
    const undone = line('retracted', {} as never, 9, { supersedes: first.id })
    expect(countOf(stockFrom([...base, first, undone]), BEARING, VAN)).toBe(4)
    // The other still says that it was used.
    expect(countOf(stockFrom([...base, first, second, undone]), BEARING, VAN)).toBe(2)
  })

  it('what is too old first is used first, moves with its day, and more than there is leaves less than nothing', () => {
    const lots = [received(2, 0, '2028-01-01'), received(2, 1, '2027-01-01'), received(1, 2)]
    const stock = stockFrom([...lots, moved('loaded', 'bay:c', VAN, 3, 3)])
    expect(stock.at.get(stockKey(VAN, BEARING))?.lots).toEqual([
      { count: 2, until: '2027-01-01' },
      { count: 1, until: '2028-01-01' },
    ])
    expect(stock.at.get(stockKey('bay:c', BEARING))?.lots).toEqual([{ count: 1, until: '2028-01-01' }, { count: 1 }])
    const old = moved('expired', 'bay:c', 'scrap', 1, 4, { until: '2028-01-01' })
    expect(stockFrom([...lots, old]).at.get(stockKey('bay:c', BEARING))?.lots[1]).toEqual({
      count: 1,
      until: '2028-01-01',
    })
    const short = stockFrom([moved('loaded', 'bay:c', VAN, 1, 0), received(3, 1)])
    expect(countOf(short, BEARING, 'bay:c')).toBe(2)
    expect(short.at.get(stockKey('bay:c', BEARING))?.lots).toEqual([{ count: 2 }])
  })

  it('articles and bays are as they were said last', () => {
    const article = (name: string, minute: number) =>
      line('article-set', { article: { id: CAN, name, family: 'run-capacitor', spec: { microfarads: 30 } } }, minute)
    const stock = stockFrom([
      article('30 uF 440 V', 9),
      article('30 uF', 1),
      line('bay-set', { bay: 'k', name: 'K, odd' }, 1),
      line('bay-set', { bay: 'l', name: 'L' }, 1),
      line('bay-set', { bay: 'l', name: 'L', gone: true }, 2),
    ])
    expect(stock.articles.get(CAN)?.name).toBe('30 uF 440 V')
    expect([...stock.bays.values()].slice(USUAL_BAYS.length)).toEqual([{ bay: 'k', name: 'K, odd' }])
    const own = stockFrom([
      line('bay-set', { bay: 'a', name: 'A, cans' }, 1),
      line('bay-set', { bay: 'b', name: 'B', gone: true }, 1),
    ])
    expect([own.bays.get('a')?.name, own.bays.has('b'), own.bays.has('c')]).toEqual(['A, cans', false, true])
  })
})

/** A shop and two vans that are out of reach now and then: what each does, and when its lines arrive. */
const PLACES: readonly ShelfPlace[] = ['bay:c', 'van:van-1', 'van:van-2']
const sorted = <V>(known: ReadonlyMap<string, V>) => [...known].sort(([a], [b]) => (a < b ? -1 : 1))
const anyDeed = fc.record({
  article: fc.constantFrom(BEARING, CAN),
  why: fc.constantFrom<MoveWhy | 'count'>('received', 'loaded', 'used', 'used', 'broken', 'found', 'count'),
  place: fc.constantFrom(...PLACES),
  other: fc.constantFrom(...PLACES),
  count: fc.integer({ min: 1, max: 5 }),
  visit: fc.integer({ min: 0, max: 3 }),
  minute: fc.integer({ min: 0, max: 200 }),
  isTold: fc.integer({ min: 0, max: 9 }),
})

describe('ten thousand histories with two vans out of reach', () => {
  it('stock is the sum of its entries whatever arrives when, and nothing is used twice', () => {
    let doubled = 0
    fc.assert(
      fc.property(fc.array(anyDeed, { maxLength: 30 }), fc.infiniteStream(fc.nat()), (deeds, chance) => {
        made = 0
        const lines = deeds.flatMap((deed): Entry[] => {
          const { why, place, other, article, count, minute } = deed
          if (why === 'count') return [line('stock-counted', { article, place, counted: count }, minute)]
          const { from, to } = MOVES[why]
          const away = from === 'inside' ? place : (from[0] as 'supplier')
          const there = to === 'inside' ? (from === 'inside' ? other : place) : (to[0] as 'machine')
          if (away === there) return []
          const visit = why === 'used' ? { visit: `${VISIT.slice(0, -1)}${deed.visit}`, use: 'bearings' } : {}
          return [line('stock-moved', { article, count, from: away, to: there, why, ...visit }, minute)]
        })
        const stock = stockFrom(lines)
        doubled += stock.twice.length
        // The order of arrival, and what arrives twice, change nothing.
        const mixed = [...lines, ...lines.slice(0, 3)]
          .map((each) => ({ each, at: chance.next().value as number }))
          .sort((a, b) => a.at - b.at)
          .map(({ each }) => each)
        const again = stockFrom(mixed)
        expect(sorted(again.at)).toEqual(sorted(stock.at))
        const twice = new Set(stock.twice)
        for (const { place, article, count, lots } of stock.at.values()) {
          const sum = lines.reduce((total, { id, kind, body }) => {
            if (kind !== 'stock-moved' || twice.has(id)) return total
            const move = body as EntryBodies['stock-moved']
            if (move.article !== article) return total
            return total + (move.to === place ? move.count : 0) - (move.from === place ? move.count : 0)
          }, 0)
          const off = stock.differences
            .filter((each) => each.place === place && each.article === article)
            .reduce((total, difference) => total + difference.counted - difference.expected, 0)
          expect(count).toBe(sum + off)
          expect(lots.reduce((total, lot) => total + lot.count, 0)).toBe(Math.max(0, count))
        }
        const uses = lines
          .filter(({ id, kind }) => kind === 'stock-moved' && !twice.has(id))
          .map(({ body }) => body as EntryBodies['stock-moved'])
          .filter(({ why }) => why === 'used')
          .map(({ visit, use, article }) => `${visit} ${use} ${article}`)
        expect(new Set(uses).size).toBe(uses.length)
      }),
      { numRuns: 10_000 },
    )
    expect(doubled).toBeGreaterThan(1000)
  }, 120_000)
})
