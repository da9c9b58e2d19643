import { mean, quantile, variance } from 'simple-statistics'
import { describe, expect, it } from 'vitest'
import { chance } from '../../quantity/random'
import { chanceAfter, expectedAfter, notBefore, workMoment } from './moment'

const TRIES = 60_000

describe('an hour that is not sure', () => {
  it('is not before a fixed one, as many tries have it', () => {
    for (const [hour, spread] of [
      [-20, 8],
      [0, 15],
      [12, 10],
    ] as const) {
      const { normal } = chance(7)
      const tries = Array.from({ length: TRIES }, () => Math.max(normal(600 + hour, spread), 600))
      const reckoned = notBefore({ mean: 600 + hour, variance: spread * spread }, 600)
      expect(reckoned.mean).toBeCloseTo(mean(tries), 0)
      expect(Math.sqrt(reckoned.variance)).toBeCloseTo(Math.sqrt(variance(tries)), 0)
    }
  })

  it('comes after another as often as a table of the normal distribution says', () => {
    // NIST/SEMATECH e-Handbook of Statistical Methods, 1.3.6.7.1: the area below 1 is 0.84134, below 1.96 0.97500.
    expect(chanceAfter({ mean: 610, variance: 100 }, 600)).toBeCloseTo(0.84134, 5)
    expect(chanceAfter({ mean: 600, variance: 100 }, 619.6)).toBeCloseTo(0.025, 4)
    expect(chanceAfter({ mean: 600, variance: 0 }, 600)).toBe(0)
    expect(chanceAfter({ mean: 601, variance: 0 }, 600)).toBe(1)
    expect(expectedAfter({ mean: 590, variance: 0 }, 600)).toBe(0)
  })

  it('takes work as half of such visits take it, and nine of ten', () => {
    const { normal } = chance(11)
    const sigma = Math.log(90 / 60) / 1.2815515655446004
    const tries = Array.from({ length: TRIES }, () => 60 * Math.exp(sigma * normal(0, 1)))
    expect(quantile(tries, 0.9)).toBeCloseTo(90, -0.5)
    expect(workMoment({ p50: 60, p90: 90 }).mean).toBeCloseTo(mean(tries), 0)
    expect(Math.sqrt(workMoment({ p50: 60, p90: 90 }).variance)).toBeCloseTo(Math.sqrt(variance(tries)), 0)
    expect(workMoment({ p50: 30, p90: 30 })).toEqual({ mean: 30, variance: 0 })
  })
})
