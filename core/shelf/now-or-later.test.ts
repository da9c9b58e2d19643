import { describe, expect, it } from 'vitest'
import type { PartWant } from '../fits/for-part'
import type { ShelfPlace } from '../fits/shelf-place'
import type { Lying } from './lying'
import { nowOrLater, sourcesOf, type PartSource } from './now-or-later'

const WANT: PartWant = { part: 'run-capacitor', kind: 'pool', use: 'run-capacitor', spec: {}, needed: 1 }
const lying = (id: string, ...places: [ShelfPlace, number][]): Lying => ({
  article: { id, name: `${id} can`, spec: {} },
  verdict: 'fits',
  needs: [],
  places: places.map(([place, count]) => ({ place, count })),
})
const scene = {
  van: 'van:one' as const,
  reach: { shop: 20, vans: { two: { minutes: 9, at: 'Quarry House' } } },
  suppliers: new Map([
    ['wharf', { id: 'wharf', name: 'Wharf Supplies', leadDays: 3 }],
    ['counter', { id: 'counter', name: 'Trade Counter', leadDays: 0 }],
    ['old', { id: 'old', name: 'Old', gone: true }],
  ]),
  offers: new Map([
    [
      'right',
      ['wharf', 'counter', 'old'].map((supplier) => ({
        article: 'right',
        supplier,
        code: 'c',
        prices: [{ from: 1, price: 900 }],
        pricedOn: '2026-05-01',
      })),
    ],
  ]),
  serving: [{ article: { id: 'right', name: 'right can' }, verdict: 'fits' as const, needs: [] }],
  today: '2026-05-12',
}

describe('where a part can be had from', () => {
  it('this van, another and how far, the shop, a supplier and by when: the soonest first', () => {
    const all = sourcesOf(WANT, [lying('right', ['bay:a', 1], ['van:two', 1], ['van:one', 1])], scene)
    expect(all.map(({ from, minutes, at, on, supplier }) => [from, minutes, at ?? supplier, on])).toEqual([
      ['van', 0, undefined, undefined],
      ['other-van', 18, 'Quarry House', undefined],
      ['shop', 40, undefined, undefined],
      ['supplier', undefined, 'Trade Counter', '2026-05-12'],
      ['supplier', undefined, 'Wharf Supplies', '2026-05-15'],
    ])
  })

  it('too few of it are none, what is on no map comes after all that is, and nowhere is said', () => {
    expect(sourcesOf({ ...WANT, needed: 2 }, [lying('right', ['van:one', 1])], { ...scene, serving: [] })).toEqual([
      { from: 'nowhere', needs: [] },
    ])
    const lost = { ...scene, reach: { vans: {} } }
    expect(sourcesOf(WANT, [lying('right', ['bay:a', 1])], lost)[0]).toMatchObject({ from: 'shop' })
    expect(sourcesOf(WANT, [lying('right', ['bay:a', 1])], lost)[0]?.minutes).toBeUndefined()
  })
})

it('what nobody has held against the old one is said to be unsure', () => {
  const unread: Lying = { ...lying('right', ['van:one', 1]), verdict: 'not-read' }
  expect(sourcesOf(WANT, [unread], { ...scene, serving: [] })[0]).toMatchObject({ from: 'van', isUnsure: true })
})

describe('now or later', () => {
  const rates = { hourly: 90, trip: 60, downtime: 50 }
  const from = (source: Partial<PartSource> & Pick<PartSource, 'from'>): PartSource => ({ needs: [], ...source })
  const option = (id: string, expectedCost: number, ...sources: PartSource[]) => ({
    id,
    expectedCost,
    parts: sources.map((source, index) => ({ part: `part ${index}`, sources: [source] })),
  })

  it('what can be finished now stands before what is cheaper but comes later', () => {
    const [first, second] = nowOrLater(
      [
        option('right', 150, from({ from: 'supplier', supplier: 'Wharf', on: '2026-05-15' })),
        option('now', 260, from({ from: 'van', minutes: 0 })),
      ],
      rates,
    )
    expect(first).toMatchObject({ option: 'now', isNow: true, total: 260, missing: [] })
    expect(second).toMatchObject({ option: 'right', isNow: false, later: { on: '2026-05-15', cost: 155 }, total: 305 })
    expect(second?.fetch).toBeUndefined()
  })

  it('fetching costs its minutes once for all that lies at one place', () => {
    const shop = from({ from: 'shop', place: 'bay:a', minutes: 40 })
    const [only] = nowOrLater([option('right', 100, shop, shop)], rates)
    expect(only).toMatchObject({ fetch: { minutes: 40, cost: 60 }, total: 160 })
    const [far] = nowOrLater([option('right', 100, from({ from: 'shop', place: 'bay:a', minutes: 200 }))], rates)
    expect(far?.fetch).toBeUndefined()
    expect(far?.total).toBe(255)
  })

  it('what is to be had nowhere has no day', () => {
    const [lost] = nowOrLater([option('right', 100, from({ from: 'nowhere' }))], rates)
    expect(lost?.later).toEqual({ cost: 155 })
  })
})
