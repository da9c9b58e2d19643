import { errorFunction } from 'simple-statistics'
import type { Spread } from './stop'

/** A point of time that is not sure: its mean and variance, minutes. */
export interface Moment {
  mean: number
  variance: number
}

/** How many standard deviations the ninth tenth lies above the middle of a normal distribution. */
const NINE_TENTHS = 1.2815515655446004

/**
 * Mean and variance of minutes that are given by their half and their nine tenths, as a lognormal distribution: work
 * runs long more often than short.
 */
export function workMoment({ p50, p90 }: Spread): Moment {
  if (p50 <= 0) return { mean: 0, variance: 0 }
  const sigma = Math.log(Math.max(p90, p50) / p50) / NINE_TENTHS
  const mean = p50 * Math.exp((sigma * sigma) / 2)
  return { mean, variance: mean * mean * (Math.exp(sigma * sigma) - 1) }
}

/** One after the other. */
export function later(moment: Moment, by: Moment): Moment {
  return { mean: moment.mean + by.mean, variance: moment.variance + by.variance }
}

/**
 * The later of an unsure hour and a fixed one, as mean and variance.
 *
 * @source Clark, The Greatest of a Finite Set of Random Variables, Operations Research 9 (1961), with one of two fixed
 */
export function notBefore(moment: Moment, hour: number): Moment {
  const { mean, variance } = moment
  const deviation = Math.sqrt(variance)
  if (deviation < 1e-9) return { mean: Math.max(mean, hour), variance: 0 }
  const z = (mean - hour) / deviation
  const [above, density] = [normalBelow(z), normalDensity(z)]
  const first = hour + (mean - hour) * above + deviation * density
  const square = (mean * mean + variance) * above + hour * hour * (1 - above) + (mean + hour) * deviation * density
  return { mean: first, variance: Math.max(0, square - first * first) }
}

/** The chance that an unsure hour comes after a fixed one. */
export function chanceAfter({ mean, variance }: Moment, hour: number): number {
  const deviation = Math.sqrt(variance)
  if (deviation < 1e-9) return mean > hour ? 1 : 0
  return normalBelow((mean - hour) / deviation)
}

/** By how many minutes an unsure hour comes after a fixed one, on average over all days: never below nothing. */
export function expectedAfter(moment: Moment, hour: number): number {
  return notBefore(moment, hour).mean - hour
}

/**
 * Half and nine tenths of what may be one of several, each with its weight: whole minutes, a day at most.
 */
export function spreadOf(cases: readonly { weight: number; moment: Moment }[]): Spread {
  const total = cases.reduce((sum, { weight }) => sum + weight, 0)
  const shareAfter = (minutes: number) =>
    cases.reduce((sum, { weight, moment }) => sum + weight * chanceAfter(moment, minutes), 0) / total
  const quantile = (share: number): number => {
    let [low, high] = [0, LONGEST_VISIT]
    while (high - low > 0.5) {
      const middle = (low + high) / 2
      if (shareAfter(middle) > 1 - share) low = middle
      else high = middle
    }
    return Math.round(high)
  }
  return { p50: quantile(0.5), p90: quantile(0.9) }
}
/** No work is planned for longer, minutes. */
const LONGEST_VISIT = 1440

function normalDensity(z: number): number {
  return Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)
}

function normalBelow(z: number): number {
  return (1 + errorFunction(z / Math.SQRT2)) / 2
}
