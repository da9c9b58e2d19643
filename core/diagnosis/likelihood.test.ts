import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { LIKELIHOOD } from '../knowledge/faults/thresholds'
import {
  backgroundOf,
  mixtureDensity,
  mixtureStates,
  noisyMax,
  normalCumulative,
  resolveMixture,
  shares,
} from './likelihood'
import { ageFactor } from './model'

it('shares are the weights brought to a sum of one', () =>
  expect([...shares(Float64Array.from([1, 0, 3]))]).toEqual([0.25, 0, 0.75]))

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
  const volts = { normals: [{ weight: 1, mean: 230, sd: 5 }], open: 0 }
  it('stand on a background that sums to the floor, over all that the check’s own rows foresee', () => {
    const nothing = { normals: [], open: 0 }
    const background = backgroundOf([volts, { normals: [{ weight: 1, mean: 0, sd: 2 }], open: 0 }])
    expect(background).toEqual({ middle: 118, halfWidth: 122 })
    let sum = 0
    for (let value = -60_000; value < 60_000; value += 5) sum += mixtureDensity(nothing, value, background) * 5
    expect(sum / LIKELIHOOD.floor).toBeCloseTo(1, 2)
    expect(mixtureDensity(nothing, 1e6, background)).toBeGreaterThan(0)
  })
  it('weigh an odd value the same in any unit', () => {
    const odds = (scale: number) => {
      const of = (mean: number, sd: number) => ({
        normals: [{ weight: 1, mean: mean * scale, sd: sd * scale }],
        open: 0,
      })
      const [sound, failed] = [of(230, 5), of(190, 10)]
      const background = backgroundOf([sound, failed])
      return mixtureDensity(sound, 120 * scale, background) / mixtureDensity(failed, 120 * scale, background)
    }
    expect(odds(1000)).toBeCloseTo(odds(1), 9)
    expect(odds(1 / 230)).toBeCloseTo(odds(1), 9)
  })
  it('spread as far as what they are compared with is a guess', () => {
    const rated = resolveMixture([{ weight: 1, mean: 1, sd: 0.02 }], 0, 0)
    const guessed = resolveMixture([{ weight: 1, mean: 1, sd: 0.02 }], 0, 0, { share: 0.3 })
    expect(rated.normals[0]?.sd).toBeCloseTo(0.02, 12)
    expect(guessed.normals[0]?.sd).toBeCloseTo(Math.hypot(0.02, 0.3), 12)
    const either = resolveMixture([{ weight: 1, mean: 1.1, sd: 0.1 }], 0, 0, { alsoTimes: 2 })
    expect(either.normals.map(({ weight, mean }) => [weight, mean])).toEqual([
      [0.5, 1.1],
      [0.5, 2.2],
    ])
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
    const background = backgroundOf([mixture])
    let integral = 0
    for (let value = -1; value < 0.94; value += 0.0005) integral += mixtureDensity(mixture, value, background) * 0.0005
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
    const background = backgroundOf([mixture])
    expect(Math.log(mixtureDensity(mixture, 40, background))).toBeGreaterThan(-30)
    expect(mixtureDensity(mixture, null, background)).toBeGreaterThan(0)
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
