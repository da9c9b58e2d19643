import { describe, expect, it } from 'vitest'
import type { Entry, EntryBodies, EntryKind } from '../visit/entry'
import { boughtFrom, isOpenOrder, leadSeen, onOrderOf } from './bought'
import { compactLines } from './compact'
import { countOf, stockFrom } from './stock'

const id = (group: number, index: number) => `019e000${group}-0000-7000-8000-${index.toString(16).padStart(12, '0')}`
const [SEAL, RING, OTHER, WHARF, ORDER] = [id(1, 1), id(1, 2), id(1, 3), id(2, 1), id(3, 1)]
let count = 0
function line<K extends EntryKind>(kind: K, day: number, body: EntryBodies[K], more: Partial<Entry> = {}): Entry {
  const at = new Date(Date.parse('2026-05-01T08:00:00Z') + day * 86_400_000).toISOString()
  return { id: id(9, count++), visitId: null, kind, at, author: 'Ida', lamport: count, body, ...more } as Entry
}
const placed = line('order-placed', 1, {
  order: ORDER,
  supplier: WHARF,
  number: '26-1',
  lines: [
    { line: 1, article: SEAL, count: 4, price: 1420 },
    { line: 2, article: RING, count: 10 },
  ],
})
const came = (article: string, of: number, pieces: number, day: number, delivery = 'D1') =>
  line('stock-moved', day, {
    article,
    count: pieces,
    from: 'supplier',
    to: 'bay:b',
    why: 'received',
    order: ORDER,
    line: of,
    delivery,
  })
const state = (...lines: Entry[]) => boughtFrom([placed, ...lines]).orders[0]

describe('what is ordered', () => {
  it('goes from ordered to all there, and what is missing is still to come', () => {
    expect(state()?.state).toBe('placed')
    const confirmed = line('order-moved', 1, { order: ORDER, to: 'confirmed', expectedOn: '2026-05-05' })
    expect(state(confirmed)).toMatchObject({ state: 'confirmed', expectedOn: '2026-05-05' })
    const partly = state(confirmed, came(SEAL, 1, 4, 4))
    expect(partly?.state).toBe('partly')
    expect(partly?.lines.map(({ received, missing }) => [received, missing])).toEqual([
      [4, 0],
      [0, 10],
    ])
    expect(onOrderOf(partly ? [partly] : [])).toEqual({ [SEAL]: 0, [RING]: 10 })
    expect(state(confirmed, came(SEAL, 1, 4, 4), came(RING, 2, 10, 6, 'D2'))?.state).toBe('whole')
  })

  it('what came in place of something else is wrong until it goes back, and what was ordered is still to come', () => {
    const wrong = came(OTHER, 1, 4, 4)
    expect(state(wrong)).toMatchObject({ state: 'wrong' })
    expect(state(wrong)?.lines[0]).toMatchObject({ received: 0, missing: 4, wrong: [{ article: OTHER, count: 4 }] })
    const back = line('stock-moved', 5, {
      article: OTHER,
      count: 4,
      from: 'bay:b',
      to: 'supplier',
      why: 'returned',
      order: ORDER,
      line: 1,
      delivery: 'R1',
    })
    expect(state(wrong, back)?.state).toBe('placed')
    expect(countOf(stockFrom([placed, wrong, back]), OTHER)).toBe(0)
  })

  it('a delivery that two devices take in came once', () => {
    const twice = [came(SEAL, 1, 2, 4), came(SEAL, 1, 2, 4)]
    expect(state(...twice)?.lines[0]).toMatchObject({ received: 2, missing: 2 })
    expect(countOf(stockFrom([placed, ...twice]), SEAL)).toBe(2)
    expect(countOf(stockFrom([placed, ...twice, came(SEAL, 1, 2, 5, 'D2')]), SEAL)).toBe(4)
  })

  it('what the supplier does not bring is not waited for, and what is ended is over', () => {
    const less = line('order-moved', 2, { order: ORDER, to: 'confirmed', lines: [{ line: 2, count: 0 }] })
    expect(state(less, came(SEAL, 1, 4, 4))?.state).toBe('whole')
    const closed = state(came(SEAL, 1, 1, 4), line('order-moved', 9, { order: ORDER, to: 'closed' }))
    expect(closed).toMatchObject({ state: 'closed' })
    expect(closed && isOpenOrder(closed)).toBe(false)
    expect(onOrderOf(closed ? [closed] : [])).toEqual({})
  })

  it('suppliers, prices and levels are as they were said last', () => {
    const offer = {
      article: SEAL,
      supplier: WHARF,
      code: 'W-1',
      prices: [{ from: 1, price: 900 }],
      pricedOn: '2026-05-01',
    }
    const bought = boughtFrom([
      line('supplier-set', 1, { supplier: { id: WHARF, name: 'Wharf' } }),
      line('supplier-set', 2, { supplier: { id: WHARF, name: 'Wharf Supplies' } }),
      line('offer-set', 1, { offer }),
      line('offer-set', 2, { offer: { ...offer, prices: [{ from: 1, price: 950 }] } }),
      line('level-set', 1, { article: SEAL, level: 4 }),
      line('level-set', 1, { article: RING, level: 9 }),
      line('level-set', 2, { article: RING }),
      line('keeping-set', 1, { most: 500 }),
      line('keeping-set', 2, {}),
    ])
    expect(bought.suppliers.get(WHARF)?.name).toBe('Wharf Supplies')
    expect(bought.offers.get(SEAL)?.map(({ prices }) => prices[0]?.price)).toEqual([950])
    expect(bought.fixed).toEqual({ [SEAL]: 4 })
    expect(bought.most).toBeUndefined()
  })

  it('how long deliveries take is learned once enough came', () => {
    const orders = Array.from({ length: 5 }, (_, index) => {
      const order = id(4, index)
      return [
        line('order-placed', index, {
          order,
          supplier: WHARF,
          number: `26-${index}`,
          lines: [{ line: 1, article: SEAL, count: 1 }],
        }),
        line('stock-moved', index + 3 + (index % 2) * 2, {
          article: SEAL,
          count: 1,
          from: 'supplier',
          to: 'bay:b',
          why: 'received',
          order,
          line: 1,
          delivery: 'D',
        }),
      ]
    })
    expect(leadSeen(boughtFrom(orders.slice(0, 3).flat()).orders)).toBeUndefined()
    expect(leadSeen(boughtFrom(orders.flat()).orders)?.days).toBeCloseTo(3.8, 9)
  })

  it('an order that is open stays told whole, however old; one that is over is put together with the rest', () => {
    const part = came(SEAL, 1, 3, 4)
    const open = compactLines([placed, part], '2026-06-30T00:00:00.000Z')
    expect(boughtFrom(open).orders[0]?.lines[0]).toMatchObject({ received: 3, missing: 1 })
    expect(countOf(stockFrom(open), SEAL)).toBe(3)
    const over = compactLines([placed, came(SEAL, 1, 4, 4), came(RING, 2, 10, 4)], '2026-06-30T00:00:00.000Z')
    expect(boughtFrom(over).orders).toEqual([])
    expect(countOf(stockFrom(over), RING)).toBe(10)
  })
})
