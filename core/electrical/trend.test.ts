import { describe, expect, it } from 'vitest'
import { fitTrend } from './trend'

const YEAR = 365.25 * 24 * 3600 * 1000
const START = Date.UTC(2020, 0, 1)
const yearly = (values: readonly number[]) => values.map((value, index) => ({ at: START + index * YEAR, value }))
const yearOf = (instant: number | undefined) => ((instant as number) - START) / YEAR

describe('a line through a machine’s own readings', () => {
  it('finds the year in which insulation that halves every year meets its limit', () => {
    const trend = fitTrend(yearly([800, 400, 200, 100]), { logarithmic: true, limit: 5, now: START })
    // 800 · 2^−t = 5 at t = log2(160) = 7.32 years.
    expect(yearOf(trend?.crossesAt)).toBeCloseTo(7.32, 1)
    expect(trend?.at(START + 2 * YEAR)).toBeCloseTo(200, 6)
  })

  it('is straight for a capacitor: a microfarad a year from 30 meets 28.2 in 1.8 years', () => {
    const trend = fitTrend(yearly([30, 29.5, 29]), { logarithmic: false, limit: 28.2, now: START })
    expect(yearOf(trend?.crossesAt)).toBeCloseTo(3.6, 1)
  })

  it('widens with scatter, and its band holds the line', () => {
    const calm = fitTrend(yearly([100, 80.2, 63.8, 51.3, 40.9]), { logarithmic: true, limit: 5, now: START })
    const rough = fitTrend(yearly([100, 60, 85, 40, 45]), { logarithmic: true, limit: 5, now: START })
    const width = (trend: typeof calm, year: number) =>
      Math.log((trend?.band?.(START + year * YEAR).high as number) / (trend?.band?.(START + year * YEAR).low as number))
    expect(width(rough, 6)).toBeGreaterThan(width(calm, 6))
    expect(width(rough, 9)).toBeGreaterThan(width(rough, 5))
    for (const year of [0, 4, 8]) {
      const { low, high } = rough?.band?.(START + year * YEAR) as { low: number; high: number }
      expect(low).toBeLessThan(rough?.at(START + year * YEAR) as number)
      expect(high).toBeGreaterThan(rough?.at(START + year * YEAR) as number)
    }
    expect(rough?.earliest).toBeLessThan(rough?.crossesAt ?? Infinity)
    expect(rough?.because).toMatch(/between \d{4}-\d\d and/)
  })

  it(
    'equals the textbook’s band of the mean response for a worked example (from memory: t × s × √(1/n + ' +
      '(x−x̄)²/Sxx))',
    () => {
      const points = [
        { at: START, value: 10 },
        { at: START + YEAR, value: 8 },
        { at: START + 2 * YEAR, value: 7 },
      ]
      const trend = fitTrend(points, { logarithmic: false, limit: 1, now: START })
      // Slope −1.5, mean 8.333, residuals ±0.167, −0.333: s = √(1/6) = 0.408;
      // at the mean t·s/√3 = 3.078 · 0.408 / 1.732 = 0.7255.
      const { low, high } = trend?.band?.(START + YEAR) as { low: number; high: number }
      expect(high - low).toBeCloseTo(2 * 0.7255, 3)
    },
  )

  it('foretells nothing it cannot: one reading, two readings, a rising line, no limit', () => {
    expect(fitTrend(yearly([100]), { logarithmic: true, limit: 5, now: START })).toBeUndefined()
    expect(
      fitTrend(
        [
          { at: START, value: 3 },
          { at: START, value: 2 },
        ],
        { logarithmic: false, limit: 1, now: START },
      ),
    ).toBeUndefined()
    expect(fitTrend(yearly([100, 0]), { logarithmic: true, limit: 5, now: START })).toBeUndefined()
    const two = fitTrend(yearly([100, 50]), { logarithmic: true, limit: 5, now: START })
    expect(two?.band).toBeUndefined()
    expect(two?.because).toContain('no telling how sure')
    expect(fitTrend(yearly([20, 40, 80]), { logarithmic: true, limit: 5, now: START })?.because).toContain(
      'not falling',
    )
    expect(fitTrend(yearly([20, 19, 18]), { logarithmic: false, now: START })?.crossesAt).toBeUndefined()
    expect(fitTrend(yearly([20, 12, 4]), { logarithmic: false, limit: 5, now: START + 3 * YEAR })?.because).toBe(
      'it stands at its limit now',
    )
    expect(fitTrend(yearly([20, 19.99, 19.98]), { logarithmic: false, limit: 5, now: START })?.because).toContain(
      'stays clear',
    )
  })
})
