import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Supplier, SupplierOffer } from '../visit/buying'
import { bestCount, buyingList, freightOf, type Wanted } from './buying-list'

const supplier = (id: string, more: Partial<Supplier> = {}): Supplier => ({ id, name: id, ...more })
const offer = (article: string, of: string, price: number, more: Partial<SupplierOffer> = {}): SupplierOffer => ({
  article,
  supplier: of,
  code: `${of} ${article}`,
  prices: [{ from: 1, price }],
  pricedOn: '2026-05-01',
  ...more,
})
function offersOf(...all: SupplierOffer[]): Map<string, SupplierOffer[]> {
  const map = new Map<string, SupplierOffer[]>()
  for (const each of all) map.set(each.article, [...(map.get(each.article) ?? []), each])
  return map
}
const want = (article: string, count = 1): Wanted => ({ article, count })

describe('how many are bought', () => {
  it('whole packs, and a step further where more costs less', () => {
    expect(bestCount({ prices: [{ from: 1, price: 100 }], pack: 5 }, 7)).toMatchObject({ count: 10, isMore: 'pack' })
    const steps = [
      { from: 1, price: 100 },
      { from: 10, price: 70 },
    ]
    expect(bestCount({ prices: steps }, 8)).toMatchObject({ count: 10, amount: 700, isMore: 'cheaper' })
    expect(bestCount({ prices: steps }, 6)).toMatchObject({ count: 6, amount: 600 })
    expect(bestCount({ prices: [{ from: 4, price: 25 }] }, 2)).toMatchObject({ count: 4, amount: 100 })
  })
})

describe('from whom', () => {
  it('the cheapest, unless another freight costs more than it saves', () => {
    const [near, far] = [supplier('near', { freight: 900, freeFrom: 5000 }), supplier('far', { freight: 900 })]
    const offers = offersOf(offer('a', 'near', 2000), offer('b', 'near', 1500), offer('b', 'far', 1000))
    const list = buyingList([want('a'), want('b')], [near, far], offers)
    expect(list.from.map(({ supplier: { id }, lines }) => [id, lines.length])).toEqual([['near', 2]])
    expect(list.total).toBe(3500 + 900)
  })

  it('says what nobody sells and what is missing to the least order, and asks no supplier that is gone', () => {
    const offers = offersOf(offer('a', 'one', 400), offer('b', 'old', 100))
    const list = buyingList(
      [want('a'), want('b'), want('c')],
      [supplier('one', { minimum: 2500 }), supplier('old', { gone: true })],
      offers,
    )
    expect(list.nowhere.map(({ article }) => article)).toEqual(['b', 'c'])
    expect(list.from[0]?.short).toBe(2100)
  })

  it('no other way of buying costs less: every way tried', () => {
    const SUPPLIERS = ['p', 'q', 'r']
    const terms = fc.record({
      freight: fc.integer({ min: 0, max: 1500 }),
      freeFrom: fc.option(fc.integer({ min: 500, max: 6000 }), { nil: undefined }),
    })
    const prices = fc.array(fc.option(fc.integer({ min: 50, max: 3000 }), { nil: undefined }), {
      minLength: 3,
      maxLength: 3,
    })
    let [runs, exact] = [0, 0]
    fc.assert(
      fc.property(
        fc.array(terms, { minLength: 3, maxLength: 3 }),
        fc.array(prices, { minLength: 1, maxLength: 5 }),
        (all, sold) => {
          const suppliers = SUPPLIERS.map((id, index) => supplier(id, all[index]))
          const able = sold
            .map((each, at) => ({ id: `a${at}`, each }))
            .filter(({ each }) => each.some((price) => price !== undefined))
          const offers = offersOf(
            ...able.flatMap(({ id, each }) =>
              each.flatMap((price, index) =>
                price === undefined ? [] : [offer(id, SUPPLIERS[index] as string, price)],
              ),
            ),
          )
          const got = buyingList(
            able.map(({ id }) => want(id)),
            suppliers,
            offers,
          ).total
          let least = Number.POSITIVE_INFINITY
          const choose = (at: number, goods: number[]): void => {
            const next = able[at]
            if (!next) {
              const cost = goods.reduce(
                (sum, amount, index) =>
                  sum + amount + (amount > 0 ? freightOf(suppliers[index] as Supplier, amount) : 0),
                0,
              )
              least = Math.min(least, cost)
              return
            }
            next.each.forEach((price, index) => {
              if (price !== undefined) choose(at + 1, goods.with(index, (goods[index] as number) + price))
            })
          }
          choose(0, [0, 0, 0])
          if (able.length === 0) return
          runs++
          if (got === least) exact++
          expect(got).toBeGreaterThanOrEqual(least)
          expect(got).toBeLessThanOrEqual(least * 1.25)
        },
      ),
      { numRuns: 500, seed: 11 },
    )
    expect(exact / runs).toBeGreaterThan(0.95)
  })
})
