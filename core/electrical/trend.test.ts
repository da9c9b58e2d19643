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

  it('has its line and its band of the mean response away from the middle', () => {
    const trend = fitTrend(yearly([10, 8, 7]), { logarithmic: false, limit: 1, now: START })
    // Slope −1.5 through 8.333 at year 1; t·s·√(1/3 + 4/2) at year 3.
    const end = START + 3 * YEAR
    expect(trend?.at(end)).toBeCloseTo(8.3333 - 3, 3)
    const { low, high } = trend?.band?.(end) as { low: number; high: number }
    expect(high - low).toBeCloseTo(2 * 3.078 * Math.sqrt(1 / 6) * Math.sqrt(1 / 3 + 2), 2)
  })

  it('does not depend on which year is called the first', () => {
    const [early, late] = [START, START + 40 * YEAR].map((from) =>
      fitTrend(
        [10, 8, 7].map((value, index) => ({ at: from + index * YEAR, value })),
        { logarithmic: false, limit: 1, now: from },
      ),
    )
    expect((late?.crossesAt as number) - (early?.crossesAt as number)).toBeCloseTo(40 * YEAR, -3)
  })

  it('foretells from the last reading on, and no farther than fifteen years', () => {
    const flat = (fall: number) =>
      fitTrend(yearly([20, 20 - fall, 20 - 2 * fall]), { logarithmic: false, limit: 5, now: START })
    // 0.9 a year meets 5 after 16.7 years, 14.7 after the last reading; 0.88 after 15.05 more.
    expect(yearOf(flat(0.9)?.crossesAt)).toBeCloseTo(16.7, 1)
    expect(flat(0.88)?.crossesAt).toBeUndefined()
    expect(flat(0.88)?.because).toBe('it falls, and stays clear of its limit for 15 years even at the edge of the band')
    const past = fitTrend(yearly([6, 5, 4]), { logarithmic: false, limit: 5, now: START })
    expect(yearOf(past?.crossesAt), 'under its limit at the last reading').toBeCloseTo(2, 6)
  })

  it.each<[string, number[], number, string | RegExp]>([
    [
      'two',
      [30, 29],
      20,
      /^two readings give a line that would meet its limit about 2030-0\d; with two there is no telling/,
    ],
    ['two, level', [30, 30], 20, /^two readings give a line that stays clear of the limit; a third is wanted/],
    ['level', [30, 30, 30], 20, 'it is not falling'],
    ['steady', [30, 28, 26], 20, 'it would meet its limit about 2024-12, between 2024-12 and 2024-12'],
    [
      'rough',
      [30, 25, 29, 24, 27],
      20,
      /^it would meet its limit about 203\d-\d\d, between 20\d\d-\d\d and later than 15 years from now$/,
    ],
    [
      'wide',
      [30, 28, 30.5, 29, 29],
      25,
      /^the line stays clear of its limit for 15 years; at the edge of the band it could be as early as 20\d\d-\d\d$/,
    ],
  ])('says what can be said: %s', (_, values, limit, because) => {
    const told = fitTrend(yearly(values), { logarithmic: false, limit, now: START })?.because as string
    if (typeof because === 'string') expect(told).toBe(because)
    else expect(told).toMatch(because)
  })

  it('stands at its limit from the very instant, and its band begins at now', () => {
    const at = (now: number) => fitTrend(yearly([30, 28, 26]), { logarithmic: false, limit: 20, now })
    const crosses = at(START)?.crossesAt as number
    expect(at(crosses)?.because).toBe('it stands at its limit now')
    expect(at(crosses - 1)?.because).toContain('would meet')
    const rough = (now: number) => fitTrend(yearly([30, 24, 27, 22]), { logarithmic: false, limit: 20, now })
    const soon = (rough(START)?.earliest as number) + 10 * 24 * 3600 * 1000
    expect(rough(soon)?.because).toContain(`between ${new Date(soon).toISOString().slice(0, 7)} and`)
  })

  it('takes no logarithm of what has none, and draws a line alone where no limit is known', () => {
    for (const limit of [0, -1])
      expect(fitTrend(yearly([9, 8]), { logarithmic: true, limit, now: START })).toBeUndefined()
    expect(fitTrend(yearly([9, 8]), { logarithmic: false, limit: -1, now: START })).toBeDefined()
    expect(fitTrend(yearly([9, 8]), { logarithmic: true, now: START })).toMatchObject({
      because: 'no limit is known for this reading: the line is drawn, and nothing is foretold',
    })
    expect(fitTrend(yearly([9, 8, 7]), { logarithmic: true, now: START })?.band).toBeDefined()
    expect(fitTrend([], { logarithmic: false, now: START })).toBeUndefined()
  })
})
