import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { MILLISECONDS_PER_YEAR } from '../quantity/conversions'
import { crossingOf } from './crossing'

const year = (years: number) => years * MILLISECONDS_PER_YEAR
const points = (...values: number[]) => values.map((value, index) => ({ at: year(index), value }))
const now = year(10)

describe('when readings meet their limit', () => {
  it('follows a falling line to its lower limit', () => {
    // 101, 97, 93: four a year down; 88 is met five fourths of a year after the last.
    const crossing = crossingOf(points(101, 97, 93), { low: 88, high: 106 }, { logarithmic: false, now })
    expect(crossing).toMatchObject({ is: 'ahead', limit: 88 })
    expect((crossing as { at: number }).at / MILLISECONDS_PER_YEAR).toBeCloseTo(3.25, 1)
  })

  it('follows a rising line to its upper limit', () => {
    const crossing = crossingOf(points(7, 7.5, 8), { high: 9 }, { logarithmic: false, now })
    expect(crossing).toMatchObject({ is: 'ahead', limit: 9 })
    expect((crossing as { at: number }).at / MILLISECONDS_PER_YEAR).toBeCloseTo(4, 1)
  })

  it('is straight in the logarithm for what falls by shares', () => {
    const crossing = crossingOf(points(800, 400, 200), { low: 100 }, { logarithmic: true, now })
    expect((crossing as { at: number }).at / MILLISECONDS_PER_YEAR).toBeCloseTo(3, 1)
  })

  it('foretells no day that is farther off than a few readings reach', () => {
    const slow = [100, 99.9, 99.8].map((value, index) => ({ at: year(8 + index), value }))
    expect(crossingOf(slow, { low: 99 }, { logarithmic: false, now })).toMatchObject({ is: 'ahead' })
    expect(crossingOf(slow, { low: 98.8 }, { logarithmic: false, now })).toMatchObject({ is: 'clear' })
  })

  it('is found now at the earliest where nobody has read it for long', () => {
    // Rough readings round 14, of 25 at most: the edge of the band is there within a year of the last.
    const rough = points(18, 12, 14)
    const found = (at: number) => crossingOf(rough, { high: 25 }, { logarithmic: false, now: at })
    expect(found(year(2))).toMatchObject({ is: 'clear' })
    const { earliest } = found(year(2)) as { earliest: number }
    expect(earliest).toBeLessThan(year(4))
    expect(found(year(4))).toEqual({ is: 'clear', earliest: year(4) })
  })

  it('says what is past, what stays clear, and what cannot be told', () => {
    expect(crossingOf(points(92, 87), { low: 88 }, { logarithmic: false, now })).toEqual({ is: 'past' })
    expect(crossingOf(points(92, 92), { low: 88 }, { logarithmic: false, now })).toEqual({ is: 'clear' })
    expect(crossingOf(points(92), { low: 88 }, { logarithmic: false, now })).toEqual({ is: 'untold' })
    expect(crossingOf(points(92, 90), {}, { logarithmic: false, now })).toEqual({ is: 'untold' })
  })

  it('never foretells a day before its last reading, and keeps the day inside its span', () =>
    fc.assert(
      fc.property(fc.array(fc.double({ min: 90, max: 110, noNaN: true }), { minLength: 3, maxLength: 9 }), (values) => {
        const read = points(...values)
        const crossing = crossingOf(read, { low: 80, high: 120 }, { logarithmic: false, now })
        if (crossing.is !== 'ahead') return
        expect(crossing.at).toBeGreaterThanOrEqual(read.at(-1)?.at as number)
        if (crossing.earliest !== undefined) expect(crossing.earliest).toBeLessThanOrEqual(crossing.at)
        if (crossing.latest !== undefined) expect(crossing.latest).toBeGreaterThanOrEqual(crossing.at)
      }),
    ))
})
