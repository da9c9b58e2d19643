import { describe, expect, it } from 'vitest'
import { METRIC_READER, US_READER } from '../quantity/sentence'
import type { Entry } from '../visit/entry'
import { compactLines } from './compact'
import { byCode, codeOf, countWords, listArticles } from './listing'
import { bayHolds, bayNamed } from './bays'
import { homeOf, placesOf } from './places'
import { countOf, emptyStock, stockFrom } from './stock'

const [BEARING, RING] = ['019e0000-0000-7000-8000-00000000000a', '019e0000-0000-7000-8000-00000000000b']
let made = 0
const line = (kind: Entry['kind'], day: number, body: object, more: object = {}): Entry =>
  ({
    id: `l${++made}`,
    lamport: made,
    visitId: null,
    kind,
    at: `2026-05-${String(day).padStart(2, '0')}T08:00:00.000Z`,
    author: 'Ida',
    body,
    ...more,
  }) as unknown as Entry
const lines = [
  line('article-set', 1, {
    article: {
      id: BEARING,
      name: '6203 2RS',
      family: 'bearing',
      part: 'bearings',
      spec: { bore: 17, outside: 40, width: 12 },
    },
  }),
  line('article-set', 1, {
    article: {
      id: RING,
      name: '-242',
      family: 'o-ring',
      spec: { inside: 101.19, section: 3.53 },
      codes: ['4012345678901'],
    },
  }),
  line('bay-set', 1, { bay: 'k', name: 'K' }),
  line('stock-moved', 2, { article: BEARING, count: 6, from: 'supplier', to: 'bay:k', why: 'received' }),
  line('stock-moved', 2, {
    article: RING,
    count: 4,
    from: 'supplier',
    to: 'bay:k',
    why: 'received',
    until: '2026-06-20',
  }),
  line('stock-moved', 3, { article: RING, count: 2, from: 'bay:k', to: 'van:van-1', why: 'loaded' }),
  line('stock-moved', 3, { article: BEARING, count: 1, from: 'van:van-1', to: 'machine', why: 'used' }),
  line('stock-counted', 9, { article: BEARING, place: 'bay:k', counted: 5 }),
]
const stock = stockFrom(lines)
const today = '2026-05-12'

describe('the shelf as it is read', () => {
  it('lists by family and name, in the reader’s units, with where it lies and what grows old', () => {
    const list = listArticles(stock, { today, reader: METRIC_READER })
    expect(list.map(({ article, total }) => [article.name, total])).toEqual([
      ['6203 2RS', 4],
      ['-242', 4],
    ])
    expect(list[0]?.told).toBe('bore 17 mm, outside 40 mm, width 12 mm')
    expect(list[0]?.places).toEqual([
      { place: 'bay:k', count: 5 },
      { place: 'van:van-1', count: -1 },
    ])
    expect(list[1]?.oldOn).toBe('2026-06-20')
    expect(listArticles(stock, { today: '2026-03-01', reader: METRIC_READER })[1]?.oldOn).toBeUndefined()
    expect(listArticles(stock, { today, reader: US_READER })[1]?.told).toMatch(/inside 3\.984 in/)
  })

  it('is found by its words, its measures, its code, and by place', () => {
    const found = (words: string) =>
      listArticles(stock, { words, today, reader: METRIC_READER }).map(({ article }) => article.id)
    expect([found('6203'), found('ring 101'), found('4012345678901'), found('nothing')]).toEqual([
      [BEARING],
      [RING],
      [RING],
      [],
    ])
    expect(listArticles(stock, { place: 'bench', today, reader: METRIC_READER })).toEqual([])
    expect(byCode(stock, codeOf(BEARING))?.id).toBe(BEARING)
    expect(byCode(stock, ' 4012345678901 ')?.id).toBe(RING)
    expect(byCode(stock, '6203 2rs')?.id).toBe(BEARING)
    expect(byCode(stock, '7')).toBeUndefined()
    expect([countWords(120.25), countWords(0.1 + 0.2), countWords(-1)]).toEqual(['120.25', '0.3', '-1'])
  })

  const vans = [{ id: 'van-1', name: 'the blue van' }]
  it('has the shop’s vans, its bench, and the usual bays with its own', () => {
    const ids = placesOf(stock, vans).map(({ id }) => id)
    expect(ids.slice(0, 3)).toEqual(['van:van-1', 'bench', 'bay:a'])
    expect(ids).toContain('bay:k')
    expect(placesOf(emptyStock(), []).map(({ id }) => id)).not.toContain('bay:k')
  })

  it('shows what lies in a bay that somebody took away meanwhile', () => {
    const gone = stockFrom([...lines, line('bay-set', 30, { bay: 'k', name: 'K', gone: true })])
    expect(placesOf(gone, vans).find(({ id }) => id === 'bay:k')).toEqual({
      id: 'bay:k',
      name: 'bay K, no longer kept',
      short: 'bay K',
    })
    const empty = stockFrom([line('bay-set', 30, { bay: 'k', name: 'K', gone: true })])
    expect(placesOf(empty, vans).map(({ id }) => id)).not.toContain('bay:k')
  })

  it('knows where a thing is put: where it lies, where its like lies, where such parts usually lie', () => {
    expect(homeOf({ id: BEARING, part: 'bearings' }, stock)).toBe('bay:k')
    const bearings = stockFrom([
      line('article-set', 1, { article: { id: BEARING, name: '6203', part: 'bearings', spec: {} } }),
      line('stock-moved', 2, { article: BEARING, count: 6, from: 'supplier', to: 'bay:f', why: 'received' }),
      line('stock-moved', 2, { article: BEARING, count: 9, from: 'supplier', to: 'van:van-1', why: 'received' }),
    ])
    expect(homeOf({ id: 'another', part: 'bearings' }, bearings)).toBe('bay:f')
    expect(homeOf({ id: 'another', part: 'run-capacitor' }, bearings)).toBe('bay:a')
    const without = stockFrom([line('bay-set', 1, { bay: 'a', name: 'A', gone: true })])
    expect(homeOf({ id: 'another', part: 'run-capacitor' }, without)).toBe('bench')
    expect(homeOf({ id: 'another' }, bearings)).toBe('bench')
  })

  it('a bay’s name is its mark and what lies in it', () => {
    expect(bayNamed(' k ', 'floats and cords ')).toEqual({ bay: 'k', name: 'K, floats and cords' })
    expect(bayHolds({ bay: 'k', name: 'K, floats and cords' })).toBe('floats and cords')
    expect([bayNamed('k', ' ').name, bayHolds({ bay: 'k', name: 'K' })]).toEqual(['K', ''])
    expect(bayHolds({ bay: 'k', name: 'behind the door' })).toBe('behind the door')
  })
})

describe('lines put together', () => {
  it('come to the same, with fewer of them, and with what follows', () => {
    const later = [line('stock-moved', 20, { article: RING, count: 1, from: 'van:van-1', to: 'scrap', why: 'broken' })]
    const together = compactLines(lines, '2026-05-12T00:00:00.000Z')
    expect(together.length).toBeLessThan(lines.length)
    const [whole, short] = [stockFrom([...lines, ...later]), stockFrom([...together, ...later])]
    const lying = (of: typeof whole) => new Map([...of.at].filter(([, { count }]) => count !== 0))
    expect(lying(short)).toEqual(lying(whole))
    expect([...short.articles]).toEqual([...whole.articles])
    expect([...short.bays]).toEqual([...whole.bays])
    const gone = [...lines, line('bay-set', 3, { bay: 'b', name: 'B', gone: true })]
    const bays = (of: readonly Entry[]) => [...stockFrom(of).bays.keys()]
    expect(bays(compactLines(gone, '2026-05-12T00:00:00.000Z'))).toEqual(bays(gone))
    expect(bays(gone)).not.toContain('b')
  })

  const older = (all: readonly Entry[]) => all.filter(({ id }) => !id.startsWith('together ')).length
  const right = (day: number, of: Entry) =>
    line('stock-counted', day, { article: BEARING, place: 'bay:k', counted: 3 }, { supersedes: of.id })

  it('what was put right long ago is put together like the rest', () => {
    const together = compactLines([...lines, right(10, lines.at(-1) as Entry)], '2026-05-12T00:00:00.000Z')
    expect(older(together)).toBe(0)
    expect(countOf(stockFrom(together), BEARING, 'bay:k')).toBe(3)
  })

  it('what is put right or taken back since keeps its line, and all that was done after it', () => {
    const count = lines.at(-1) as Entry
    const [old, fresh] = [right(10, count), right(20, count)]
    const together = compactLines([...lines, fresh], '2026-05-12T00:00:00.000Z')
    expect(together.map(({ id }) => id)).toEqual(expect.arrayContaining([count.id, fresh.id]))
    expect(countOf(stockFrom(together), BEARING, 'bay:k')).toBe(3)
    const back = line('retracted', 30, {}, { supersedes: old.id })
    const taken = compactLines([...lines, old, back], '2026-05-12T00:00:00.000Z')
    expect(countOf(stockFrom(taken), BEARING, 'bay:k')).toBe(5)
    expect(older(taken)).toBe(3)
  })
})
