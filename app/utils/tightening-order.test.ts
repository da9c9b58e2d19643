import { describe, expect, it } from 'vitest'
import { tighteningOrder } from './tightening-order'

describe('the order of tightening', () => {
  it('goes across the ring each time, and takes every bolt once', () => {
    expect(tighteningOrder(4, 'crosswise')).toEqual([0, 2, 1, 3])
    for (const count of [2, 3, 4, 5, 6, 7, 8, 12]) {
      const order = tighteningOrder(count, 'star')
      expect([...order].sort((a, b) => a - b)).toEqual(Array.from({ length: count }, (_, index) => index))
      expect(Math.abs((order[1] as number) - (order[0] as number))).toBe(Math.floor(count / 2))
    }
  })

  it('goes round one after the other where that is the rule', () =>
    expect(tighteningOrder(5, 'in order')).toEqual([0, 1, 2, 3, 4]))
})
