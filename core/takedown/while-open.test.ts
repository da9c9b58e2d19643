import { describe, expect, it } from 'vitest'
import { DEFAULT_RATES } from '../knowledge/shop/rates'
import { chanceOfFailing, whileOpenSums } from './while-open'

const POOL = { kind: 'pool' } as const

describe('what lies open anyway', () => {
  it('an old seal is worth doing while the wet end is open, a new one is not', () => {
    const sums = (age: number) => whileOpenSums([{ part: 'shaft-seal', minutes: 20 }], 90, age, DEFAULT_RATES, POOL)[0]
    expect(sums(7)).toMatchObject({ worth: true })
    expect(sums(0.5)).toMatchObject({ worth: false })
  })

  it('the sum is the one that is said: part and minutes now, against chance × (journey, take-down, part) later', () => {
    const [sum] = whileOpenSums(
      [{ part: 'bearings', minutes: 30 }],
      60,
      5,
      { ...DEFAULT_RATES, hourly: 100, trip: 80, partsMarkup: 0.5, partPrices: { bearings: 20 } },
      POOL,
    )
    expect(sum?.now).toBeCloseTo(30 + 50, 9)
    expect(sum?.later).toBeCloseTo((sum?.chance ?? 0) * (80 + 150 + 30), 9)
  })

  it('chance grows with age and with the years looked ahead, and stays between nothing and certainty', () => {
    expect(chanceOfFailing([3, 8], 0, 0)).toBe(0)
    expect(chanceOfFailing([3, 8], 6, 3)).toBeGreaterThan(chanceOfFailing([3, 8], 2, 3))
    expect(chanceOfFailing([3, 8], 2, 6)).toBeGreaterThan(chanceOfFailing([3, 8], 2, 3))
    expect(chanceOfFailing([3, 8], 60, 30)).toBeLessThanOrEqual(1)
  })

  it('what reads tired is the likelier to fail, what reads failed is sure to', () => {
    const chance = (verdict?: 'sound' | 'tired' | 'failed') =>
      whileOpenSums(
        [{ part: 'run-capacitor', minutes: 6 }],
        60,
        2,
        DEFAULT_RATES,
        POOL,
        new Map(verdict ? [['run-capacitor', verdict]] : []),
      )[0]?.chance ?? 0
    expect(chance('sound')).toBe(chance())
    expect(1 - chance('tired')).toBeCloseTo((1 - chance()) ** 3, 12)
    expect(chance('failed')).toBe(1)
  })

  it('says nothing of a part without a price', () =>
    expect(whileOpenSums([{ part: 'volute', minutes: 5 }], 60, 5, DEFAULT_RATES, POOL)).toEqual([]))
})
