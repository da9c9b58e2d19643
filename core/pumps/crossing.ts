import { fitTrend, type TrendPoint } from '../electrical/trend'
import { MILLISECONDS_PER_YEAR } from '../quantity/conversions'

/** A handful of yearly readings foretells no day that is farther off than this. Shop estimate. */
const FORETOLD_YEARS = 8

/** Between which bounds a reading is sound, in its own unit. */
export interface Bounds {
  low?: number
  high?: number
}

/** When a machine's own readings meet their limit. */
export type Crossing =
  | { is: 'past' }
  /** Milliseconds, and which limit; an absent end of the span lies beyond what is foretold, or two readings only. */
  | { is: 'ahead'; at: number; limit: number; earliest?: number; latest?: number }
  | { is: 'clear'; earliest?: number }
  | { is: 'untold' }

/**
 * When the line through these readings meets the nearer of their limits, by least squares as in `fitTrend`.
 *
 * @param logarithmic for what changes by shares, as insulation does
 * @param now milliseconds
 * @returns `untold` with fewer than two readings, or without a limit
 */
export function crossingOf(
  points: readonly TrendPoint[],
  { low, high }: Bounds,
  { logarithmic, now }: { logarithmic: boolean; now: number },
): Crossing {
  const last = points.at(-1)?.value
  if (last === undefined || (low === undefined && high === undefined)) return { is: 'untold' }
  if ((low !== undefined && last < low) || (high !== undefined && last > high)) return { is: 'past' }
  const down = low === undefined ? undefined : fitTrend(points, { logarithmic, limit: low, now })
  // Towards an upper limit is towards a lower one, seen from below; nothing that changes by shares has an upper one.
  const up =
    high === undefined || logarithmic
      ? undefined
      : fitTrend(
          points.map(({ at, value }) => ({ at, value: -value })),
          { logarithmic, limit: -high, now },
        )
  const trends = [
    ...(down ? [{ ...down, limit: low as number }] : []),
    ...(up ? [{ ...up, limit: high as number }] : []),
  ]
  if (trends.length === 0) return { is: 'untold' }
  const first = (instants: readonly (number | undefined)[]) => {
    const known = instants.filter((instant) => instant !== undefined)
    return known.length > 0 ? Math.min(...known) : undefined
  }
  const nearest = trends
    .filter(({ crossesAt }) => crossesAt !== undefined && crossesAt <= now + FORETOLD_YEARS * MILLISECONDS_PER_YEAR)
    .sort((a, b) => (a.crossesAt as number) - (b.crossesAt as number))[0]
  const at = nearest?.crossesAt
  const edge = first(trends.map((trend) => trend.earliest))
  // What has not been read for a while may be there already: it is found there now at the earliest.
  const earliest = edge !== undefined && (at === undefined || at > now) ? Math.max(edge, now) : edge
  if (!nearest || at === undefined) return { is: 'clear', ...(earliest === undefined ? {} : { earliest }) }
  const { limit, latest } = nearest
  return {
    is: 'ahead',
    at,
    limit,
    ...(earliest === undefined ? {} : { earliest }),
    ...(latest === undefined ? {} : { latest }),
  }
}
