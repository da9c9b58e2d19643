import { describe, expect, it } from 'vitest'
import type { InputError } from '../validation/input-error'
import { ENTRY_VERSION } from './entry'
import { validEntry } from './entry-rules'

const ID = '019e0000-0000-7000-8000-00000000000a'
const ARTICLE = { id: ID, name: '6203 2RS', part: 'bearings', family: 'bearing', spec: { bore: 17, closure: 'seals' } }
const MOVED = { article: ID, count: 2, from: 'supplier', to: 'bay:c', why: 'received' }
const COUNTED = { article: ID, place: 'van:van-1', counted: 0 }
const problem = (kind: string, body: object, visitId: string | null = null) => {
  try {
    validEntry({ id: ID, v: ENTRY_VERSION, visitId, kind, at: '2026-05-12T08:00:00.000Z', author: 'Ida', body })
    return undefined
  } catch (error) {
    return (error as InputError).problems[0]?.field
  }
}

describe('lines of the shelf', () => {
  it('are the shop’s own, and taken as they are', () => {
    expect(problem('article-set', { article: { ...ARTICLE, price: 1200, pricedOn: '2026-05-12' } })).toBeUndefined()
    expect(problem('stock-moved', { ...MOVED, until: '2030-01-01' })).toBeUndefined()
    expect(problem('stock-counted', COUNTED)).toBeUndefined()
    expect(problem('bay-set', { bay: 'k', name: 'K' })).toBeUndefined()
    expect(problem('stock-counted', COUNTED, ID)).toBe('visitId')
  })

  it.each([
    ['stock-counted', { ...COUNTED, counted: -1 }, 'body.counted'],
    ['stock-counted', { ...COUNTED, place: 'supplier' }, 'body.place'],
    ['stock-moved', { ...MOVED, count: 0 }, 'body.count'],
    ['stock-moved', { ...MOVED, count: Number.NaN }, 'body.count'],
    ['stock-moved', { ...MOVED, from: 'bay:c' }, 'body.from'],
    ['stock-moved', { ...MOVED, to: 'machine' }, 'body.to'],
    ['stock-moved', { ...MOVED, why: 'loaded', from: 'bay:c' }, 'body.to'],
    ['stock-moved', { ...MOVED, to: 'Bay C' }, 'body.to'],
    ['stock-moved', { ...MOVED, why: 'used', from: 'van:van-1', to: 'machine', use: 'bearings' }, 'body.visit'],
    ['article-set', { article: { ...ARTICLE, spec: { bore: -17 } } }, 'body.article.spec.bore'],
    ['article-set', { article: { ...ARTICLE, spec: { size: 17 } } }, 'body.article.spec.size'],
    ['article-set', { article: { ...ARTICLE, spec: { closure: 'tin' } } }, 'body.article.spec.closure'],
    ['article-set', { article: { ...ARTICLE, price: 1200 } }, 'body.article.pricedOn'],
    ['article-set', { article: { ...ARTICLE, family: 'gasket' } }, 'body.article.family'],
    ['bay-set', { bay: 'Bay K', name: 'K' }, 'body.bay'],
  ])('%s %j is refused at %s', (kind, body, field) => {
    expect(problem(kind, body)).toBe(field)
  })
})

describe('what the shop buys', () => {
  const OFFER = { article: ID, supplier: ID, code: 'W-1', prices: [{ from: 1, price: 610 }], pricedOn: '2026-05-01' }
  const ORDER = { order: ID, supplier: ID, number: '26-1', lines: [{ line: 1, article: ID, count: 4 }] }
  it('is taken as it is', () => {
    expect(
      problem('supplier-set', { supplier: { id: ID, name: 'Wharf', service: 'http://127.0.0.1:4177' } }),
    ).toBeUndefined()
    expect(problem('offer-set', { offer: OFFER })).toBeUndefined()
    expect(problem('order-placed', ORDER)).toBeUndefined()
    expect(problem('order-moved', { order: ID, to: 'confirmed', expectedOn: '2026-05-16' })).toBeUndefined()
    expect(problem('level-set', { article: ID, level: 0 })).toBeUndefined()
    expect(problem('level-set', { article: ID })).toBeUndefined()
    expect(problem('keeping-set', { most: 400_000 })).toBeUndefined()
    expect(problem('stock-moved', { ...MOVED, order: ID, line: 1, delivery: 'D1' })).toBeUndefined()
  })

  it.each([
    ['supplier-set', { supplier: { id: ID, name: '' } }, 'body.supplier.name'],
    ['supplier-set', { supplier: { id: ID, name: 'W', service: 'http://prices.example' } }, 'body.supplier.service'],
    [
      'supplier-set',
      { supplier: { id: ID, name: 'W', service: 'https://a:b@prices.example' } },
      'body.supplier.service',
    ],
    ['supplier-set', { supplier: { id: ID, name: 'W', freight: -1 } }, 'body.supplier.freight'],
    ['offer-set', { offer: { ...OFFER, prices: [] } }, 'body.offer.prices'],
    [
      'offer-set',
      {
        offer: {
          ...OFFER,
          prices: [
            { from: 5, price: 1 },
            { from: 2, price: 1 },
          ],
        },
      },
      'body.offer.prices.1.from',
    ],
    ['order-placed', { ...ORDER, lines: [] }, 'body.lines'],
    ['order-placed', { ...ORDER, lines: [ORDER.lines[0], ORDER.lines[0]] }, 'body.lines.1.line'],
    ['order-placed', { ...ORDER, lines: [{ line: 1, article: ID, count: 0 }] }, 'body.lines.0.count'],
    ['order-moved', { order: ID, to: 'lost' }, 'body.to'],
    ['level-set', { article: ID, level: -1 }, 'body.level'],
    ['keeping-set', { most: 0.5 }, 'body.most'],
    ['stock-moved', { ...MOVED, order: ID }, 'body.line'],
  ])('%s %j is refused at %s', (kind, body, field) => {
    expect(problem(kind, body)).toBe(field)
  })
})
