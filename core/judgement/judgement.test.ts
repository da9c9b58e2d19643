import { describe, expect, it } from 'vitest'
import { InputError } from '../validation/input-error'
import { judgeRange, worstVerdict } from './judgement'

describe('judging against a range', () => {
  it('fails outside, tires next to a limit, is sound otherwise', () => {
    const limits = { low: 207, high: 253, tiredFraction: 0.2 }
    expect(judgeRange(206.9, limits).verdict).toBe('failed')
    expect(judgeRange(207, limits).verdict).toBe('tired')
    expect(judgeRange(230, limits).verdict).toBe('sound')
    expect(judgeRange(252, limits).verdict).toBe('tired')
    expect(judgeRange(253.1, limits).verdict).toBe('failed')
  })

  it('gives the margin as a fraction of the nearest limit, negative outside', () => {
    expect(judgeRange(220, { low: 200 }).margin).toBeCloseTo(0.1)
    expect(judgeRange(12, { high: 10 }).margin).toBeCloseTo(-0.2)
  })

  it('takes the worst of several verdicts', () => {
    expect(worstVerdict(['sound', 'tired', 'unclear'])).toBe('tired')
    expect(worstVerdict(['sound', 'unclear'])).toBe('unclear')
    expect(worstVerdict([])).toBeUndefined()
  })

  it('says field, value and what would be right in an input error', () => {
    const error = new InputError([
      { field: 'volts', value: -3, expected: 'above 0' },
      { field: 'name', value: undefined, expected: 'needed' },
    ])
    expect(error.message).toBe('volts: -3 given, above 0; name: nothing given, needed')
  })
})
