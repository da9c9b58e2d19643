import { describe, expect, it } from 'vitest'
import type { Article } from '../fits/article'
import type { PartWant } from '../fits/for-part'
import type { ShelfPlace } from '../fits/shelf-place'
import { broughtBy, lyingFor, takenFrom, vanLoad, vanLoads } from './lying'
import { emptyStock, stockKey, type Stock } from './stock'

const WANT: PartWant = {
  part: 'run-capacitor',
  kind: 'pool',
  use: 'run-capacitor',
  family: 'run-capacitor',
  spec: { microfarads: 30, volts: 370 },
  needed: 1,
}
const can = (id: string, microfarads: number, volts: number): Article => ({
  id,
  name: `${microfarads} μF ${volts} V`,
  part: 'run-capacitor',
  family: 'run-capacitor',
  spec: { microfarads, volts },
})
function stockOf(...lying: [article: Article, place: ShelfPlace, count: number][]): Stock {
  const stock = emptyStock()
  for (const [article, place, count] of lying) {
    stock.articles.set(article.id, article)
    stock.at.set(stockKey(place, article.id), { place, article: article.id, count, lots: [] })
  }
  return stock
}
const [RIGHT, HIGHER, SMALL] = [can('right', 30, 370), can('higher', 30, 440), can('small', 5, 440)]
const VAN = 'van:van-1'

describe('what lies there for a part', () => {
  it('is what fits and lies somewhere', () => {
    const lying = lyingFor(WANT, stockOf([RIGHT, 'bay:a', 2], [SMALL, VAN, 5], [HIGHER, VAN, 0]))
    expect(lying.map(({ article, places }) => [article.id, places])).toEqual([
      ['right', [{ place: 'bay:a', count: 2 }]],
    ])
  })

  it('a van is filled from the shop as far as it lacks, never out of another van', () => {
    const stock = stockOf([RIGHT, 'bay:a', 1], [HIGHER, 'bench', 4], [RIGHT, 'van:van-2', 3], [HIGHER, VAN, 1])
    const load = vanLoad(lyingFor(WANT, stock), 4, VAN)
    expect(load.inVan).toBe(1)
    expect(load.bring.map(({ lying, from, count }) => [lying.article.id, from, count])).toEqual([
      ['right', 'bay:a', 1],
      ['higher', 'bench', 2],
    ])
    expect(load.elsewhere.map(({ place, count }) => [place, count])).toEqual([['van:van-2', 3]])
    expect(load.missing).toBe(0)
    expect(vanLoad(lyingFor(WANT, stock), 9, VAN).missing).toBe(3)
  })

  it('two wants do not count the same piece twice', () => {
    const stock = stockOf([RIGHT, 'bay:a', 2], [RIGHT, VAN, 1])
    const [first, second] = vanLoads([WANT, { ...WANT, use: 'another', needed: 2 }], stock, VAN)
    expect(first).toMatchObject({ inVan: 1, bring: [], missing: 0 })
    expect(second).toMatchObject({ inVan: 0, bring: [{ from: 'bay:a', count: 2 }], missing: 0 })
    expect(vanLoads([WANT, WANT], stock, VAN, 2).map(({ missing }) => missing)).toEqual([0, 1])
    expect(stock.at.get(stockKey('bay:a', RIGHT.id))?.count).toBe(2)
    // One line of the shelf: two of the same visit, thing, article and places would be taken for one said twice.
    const apart = vanLoads([WANT, WANT], stockOf([RIGHT, 'bay:a', 2]), VAN)
    expect(broughtBy(apart)).toEqual([{ article: 'right', from: 'bay:a', count: 2 }])
  })

  it('a repair takes what fits and lies in its van; where it would be a guess nothing is taken', () => {
    expect(takenFrom(lyingFor(WANT, stockOf([HIGHER, VAN, 1], [RIGHT, 'bay:a', 9])), VAN, 1)?.article.id).toBe('higher')
    expect(takenFrom(lyingFor(WANT, stockOf([RIGHT, 'bay:a', 9])), VAN, 1)).toBeUndefined()
    expect(takenFrom(lyingFor(WANT, stockOf([RIGHT, VAN, 1])), VAN, 2)).toBeUndefined()
    const unread: PartWant = { part: 'shaft-seal', kind: 'pool', use: 'shaft-seal', spec: {}, needed: 1 }
    const seal = (id: string): Article => ({ id, name: id, part: 'shaft-seal', spec: {} })
    expect(takenFrom(lyingFor(unread, stockOf([seal('one'), VAN, 1])), VAN, 1)?.article.id).toBe('one')
    expect(takenFrom(lyingFor(unread, stockOf([seal('one'), VAN, 1], [seal('two'), VAN, 1])), VAN, 1)).toBeUndefined()
  })
})
