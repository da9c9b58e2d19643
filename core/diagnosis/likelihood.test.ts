import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { LIKELIHOOD } from '../knowledge/faults/thresholds'
import { mixtureDensity, mixtureStates, noisyMax, normalCumulative, resolveMixture } from './likelihood'
import { ageFactor } from './model'

describe('noisy-max', () => {
  const states = ['quiet', 'buzz', 'hum']
  const distribution = fc
    .tuple(fc.double({ min: 0, max: 0.5, noNaN: true }), fc.double({ min: 0, max: 0.5, noNaN: true }))
    .map(([buzz, hum]) => ({ buzz, hum }))

  it('sums to one and never makes the normal state likelier by adding a cause', () => {
    fc.assert(
      fc.property(distribution, distribution, (leak, cause) => {
        const alone = noisyMax(states, [leak])
        const both = noisyMax(states, [leak, cause])
        expect(both.reduce((sum, value) => sum + value, 0)).toBeCloseTo(1, 9)
        expect(both[0]).toBeLessThanOrEqual((alone[0] as number) + 1e-9)
      }),
    )
  })

  it('is the highest of independent draws', () => {
    const [quiet, buzz, hum] = noisyMax(states, [{ buzz: 0.1 }, { buzz: 0.2, hum: 0.5 }]) as [number, number, number]
    expect(quiet).toBeCloseTo(0.9 * 0.3, 2)
    expect(hum).toBeCloseTo(0.5, 2)
    expect(buzz).toBeCloseTo(0.5 - 0.27, 2)
  })
})

describe('measured likelihoods', () => {
  it('stand on a broad background that falls off with the value', () => {
    const nothing = { normals: [], open: 0 }
    const width = 2 * LIKELIHOOD.backgroundSd
    expect(mixtureDensity(nothing, 0)).toBeCloseTo(LIKELIHOOD.floor / width, 8)
    expect(mixtureDensity(nothing, width) / mixtureDensity(nothing, 0)).toBeCloseTo(Math.exp(-0.5), 4)
    expect(mixtureDensity(nothing, -width)).toBe(mixtureDensity(nothing, width))
    expect(mixtureDensity(nothing, 1e6)).toBeGreaterThan(0)
  })

  it('agree between density and ranges', () => {
    const mixture = resolveMixture(
      [
        { weight: 0.7, mean: 1, sd: 0.05 },
        { weight: 0.3, mean: 0.6, sd: 0.1 },
      ],
      0.05,
      0.01,
    )
    const [below, inside, above] = mixtureStates(mixture, [0.94, 1.06], false) as [number, number, number]
    let integral = 0
    for (let value = -1; value < 0.94; value += 0.0005) integral += mixtureDensity(mixture, value) * 0.0005
    expect(below).toBeCloseTo(integral, 1)
    expect(below + inside + above).toBeCloseTo(1, 9)
  })

  it('of an open reading share what the figures leave', () => {
    const mixture = resolveMixture(
      [
        { weight: 0.3, mean: 1, sd: 0.1 },
        { weight: 0.3, mean: 2, sd: 0.1 },
        { weight: 0.4, open: true },
      ],
      0.05,
      0.01,
    )
    const [low, high, open] = mixtureStates(mixture, [1.5], true) as [number, number, number]
    // The floor under every state takes a little of each.
    expect(low).toBeCloseTo(high, 9)
    expect(open / low).toBeGreaterThan(1.25)
    expect(low + high + open).toBeCloseTo(1, 12)
  })
  it('never takes an odd value as impossible', () => {
    const mixture = resolveMixture([{ weight: 1, mean: 1, sd: 0.02 }], 0.05, 0)
    expect(Math.log(mixtureDensity(mixture, 40))).toBeGreaterThan(-30)
    expect(mixtureDensity(mixture, null)).toBeGreaterThan(0)
  })

  it('uses a normal distribution function good to six places', () => {
    expect(normalCumulative(0)).toBeCloseTo(0.5, 6)
    expect(normalCumulative(1.959964)).toBeCloseTo(0.975, 5)
    expect(normalCumulative(-3)).toBeCloseTo(0.0013499, 5)
  })
})

describe('age', () => {
  it('raises wear-out, lowers infant failures, leaves chance alone', () => {
    expect(ageFactor({ shape: 2, atYears: 7 }, 14)).toBeCloseTo(2)
    expect(ageFactor({ shape: 0.6, atYears: 6 }, 12)).toBeLessThan(1)
    expect(ageFactor({ shape: 1, atYears: 6 }, 30)).toBe(1)
    expect(ageFactor({ shape: 3, atYears: 5 }, 60)).toBe(5)
  })
})
