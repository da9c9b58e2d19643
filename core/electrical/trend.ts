import type { Basis } from '../judgement/judgement'
import { linearRegression, linearRegressionLine, mean, sum, sumNthPowerDeviations } from 'simple-statistics'
import { MILLISECONDS_PER_YEAR } from '../quantity/conversions'

export interface TrendPoint {
  at: number
  value: number
}

export interface Trend {
  /** The line at an instant, in the reading's own unit. */
  at: (instant: number) => number
  /** The band of the line at an instant; absent with fewer than three readings, which leave no error to judge by. */
  band?: (instant: number) => { low: number; high: number }
  /** Where the line meets the limit, milliseconds; absent where it never does within the horizon. */
  crossesAt?: number
  /** Between when and when the band lets it cross; an absent end lies beyond the horizon. */
  earliest?: number
  latest?: number
  /** The sentence beneath the chart. */
  because: string
}

/** No promise reaches farther than this. */
const HORIZON_YEARS = 15
/** Two-sided 80 % points of Student's t by degrees of freedom; beyond the table the normal's. */
const STUDENT_80 = [3.078, 1.886, 1.638, 1.533, 1.476, 1.44, 1.415, 1.397, 1.383, 1.372]
const NORMAL_80 = 1.282
export const TREND_BASIS: Basis = {
  kind: 'handbook',
  name: 'least squares through the readings, logarithmic for insulation; band of the line at 80 % by Student’s t',
}

/**
 * A straight line through a machine's own readings, and when it meets the limit.
 *
 * Insulation falls by shares, so its line is straight in the logarithm. With two readings there is a line and no band;
 * with one there is nothing.
 *
 * @param limit the lower limit in the reading's own unit; without it only the line is given
 * @param now milliseconds; a crossing before it is said to be past
 * @returns undefined with fewer than two readings at different times, or a value a logarithm cannot take
 * @source ordinary least squares; confidence band of the mean response
 */
export function fitTrend(
  points: readonly TrendPoint[],
  { logarithmic, limit, now }: { logarithmic: boolean; limit?: number; now: number },
): Trend | undefined {
  if (
    points.length < 2 ||
    (logarithmic && (points.some(({ value }) => value <= 0) || (limit !== undefined && limit <= 0)))
  )
    return undefined
  const to = logarithmic ? Math.log : (value: number) => value
  const from = logarithmic ? Math.exp : (value: number) => value
  const origin = (points[0] as TrendPoint).at
  const xs = points.map(({ at }) => (at - origin) / MILLISECONDS_PER_YEAR)
  const ys = points.map(({ value }) => to(value))
  const n = points.length
  const middle = mean(xs)
  const sxx = sumNthPowerDeviations(xs, 2)
  if (sxx === 0) return undefined
  const fitted = linearRegression(xs.map((x, index) => [x, ys[index] as number]))
  const line = linearRegressionLine(fitted)
  const residual =
    n > 2 ? Math.sqrt(sum(ys.map((y, index) => (y - line(xs[index] as number)) ** 2)) / (n - 2)) : undefined
  const t = STUDENT_80[n - 3] ?? NORMAL_80
  const half =
    residual === undefined ? undefined : (x: number) => t * residual * Math.sqrt(1 / n + (x - middle) ** 2 / sxx)
  const years = (instant: number) => (instant - origin) / MILLISECONDS_PER_YEAR
  const at = (instant: number) => from(line(years(instant)))
  const band =
    half === undefined
      ? undefined
      : (instant: number) => ({
          low: from(line(years(instant)) - half(years(instant))),
          high: from(line(years(instant)) + half(years(instant))),
        })
  if (limit === undefined)
    return { at, band, because: 'no limit is known for this reading: the line is drawn, and nothing is foretold' }
  const bound = to(limit)
  const start = Math.max(...xs)
  const meets = (value: (x: number) => number) => {
    for (let x = start; x <= start + HORIZON_YEARS; x += 1 / 24)
      if (value(x) <= bound) return origin + x * MILLISECONDS_PER_YEAR
    return undefined
  }
  const crossesAt = meets(line)
  const earliest = half && meets((x) => line(x) - half(x))
  const latest = half && meets((x) => line(x) + half(x))
  return {
    at,
    band,
    crossesAt,
    earliest,
    latest,
    because: sentence({ crossesAt, earliest, latest, banded: half !== undefined, slope: fitted.m, now }),
  }
}

function sentence({
  crossesAt,
  earliest,
  latest,
  banded,
  slope,
  now,
}: {
  crossesAt?: number
  earliest?: number
  latest?: number
  banded: boolean
  slope: number
  now: number
}): string {
  const month = (instant: number) => new Date(instant).toISOString().slice(0, 7)
  if (crossesAt !== undefined && crossesAt <= now) return 'it stands at its limit now'
  if (!banded)
    return crossesAt === undefined
      ? 'two readings give a line that stays clear of the limit; a third is wanted before anything is foretold'
      : `two readings give a line that would meet its limit about ${month(crossesAt)}; with two there is no ` +
          'telling how sure that is'
  if (crossesAt === undefined && earliest === undefined)
    return slope >= 0
      ? 'it is not falling'
      : `it falls, and stays clear of its limit for ${HORIZON_YEARS} years even at the edge of the band`
  if (crossesAt === undefined)
    return (
      `the line stays clear of its limit for ${HORIZON_YEARS} years; at the edge of the band it could be as early ` +
      `as ${month(earliest as number)}`
    )
  const from = earliest === undefined ? month(crossesAt) : month(Math.max(earliest, now))
  return (
    `it would meet its limit about ${month(crossesAt)}, between ${from} and ` +
    `${latest === undefined ? `later than ${HORIZON_YEARS} years from now` : month(latest)}`
  )
}
