import { describe, expect, it } from 'vitest'
import type { Part } from '../knowledge/vocabulary'
import { lifeLeft } from './life'

const parts = (...names: [Part, number][]) => names.map(([part, price]) => ({ part, price }))
const seal = parts(['shaft-seal', 40], ['housing-o-ring', 14])
const years = (...asked: Parameters<typeof lifeLeft>) => lifeLeft(...asked)?.years ?? Number.NaN

describe('how long what is paid for serves', () => {
  it('a new machine as long as its kind does: as likely longer as shorter, and the middle half around it', () => {
    const life = lifeLeft(parts(['pump', 800], ['union', 15]), { kind: 'pool' }, 14)
    // Median of a Weibull law of shape 3 whose mean is the middle of 7 to 12 years: 9.5 / 0.893 · ln 2 ^ (1/3).
    expect(life?.years).toBeCloseTo((9.5 / 0.893) * Math.log(2) ** (1 / 3), 3)
    expect(life?.from).toBeCloseTo((9.5 / 0.893) * Math.log(4 / 3) ** (1 / 3), 3)
    expect(life?.to).toBeCloseTo((9.5 / 0.893) * Math.log(4) ** (1 / 3), 3)
  })
  it('a seal no longer than the motor that it sits on, and the less the older that is', () => {
    const at = (age: number) => years(seal, { kind: 'pool' }, age)
    expect(at(0)).toBeLessThan(years(parts(['shaft-seal', 40], ['motor', 400]), { kind: 'pool' }, 0))
    expect(at(12)).toBeLessThan(at(6))
    expect(at(6)).toBeLessThan(at(0))
    // A motor has an age of its own where it is not as old as the machine.
    expect(years(seal, { kind: 'pool', partAges: { motor: 1 } }, 12)).toBeCloseTo(at(1), 6)
  })
  it('longer on a motor that reads sound, shorter on one that reads tired', () => {
    const read = (verdict?: 'sound' | 'tired') =>
      years(seal, { kind: 'pool' }, 9, verdict ? { insulation: verdict } : {})
    expect(read('sound')).toBeGreaterThan(read())
    expect(read('tired')).toBeLessThan(read())
    // The worse of two speaks.
    expect(years(seal, { kind: 'pool' }, 9, { insulation: 'sound', bearings: 'failed' })).toBeCloseTo(read('tired'), 6)
  })
  it('a switch on the wall outlives the motor beside it; what no table knows has no life', () => {
    const wall = parts(['pressure-switch', 40])
    expect(years(wall, { kind: 'jet' }, 30)).toBeCloseTo(years(wall, { kind: 'jet' }, 1), 6)
    expect(lifeLeft(parts(['breaker', 40]), { kind: 'pool' }, 5)).toBeUndefined()
    // Nothing bought: as long as the machine around it.
    expect(years([], { kind: 'pool' }, 2)).toBeGreaterThan(years([], { kind: 'pool' }, 8))
  })
})
