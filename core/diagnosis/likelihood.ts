import { errorFunction } from 'simple-statistics'
import type { Component, Distribution } from '../knowledge/faults/model-types'
import { LIKELIHOOD } from '../knowledge/faults/thresholds'

/**
 * Probability of each ordered state when several independent causes each push it upwards (noisy-max).
 *
 * Each cause and the leak draw a state; the observed one is the highest drawn, so cumulative probabilities multiply.
 *
 * @param states from normal to dominant
 * @param causes one distribution each, what is missing from 1 belonging to the first state
 * @param floors by state, where one is lifted less than the others
 * @returns probabilities over `states`, summing to 1
 */
export function noisyMax(
  states: readonly string[],
  causes: readonly Distribution[],
  floors?: readonly number[],
): number[] {
  const cumulative = states.map(() => 1)
  for (const cause of causes) {
    const given = states.slice(1).reduce((sum, state) => sum + (cause[state] ?? 0), 0)
    let reached = 1 - given
    cumulative[0]! *= reached
    for (let index = 1; index < states.length; index++) {
      reached += cause[states[index] as string] ?? 0
      cumulative[index]! *= reached
    }
  }
  const raw = cumulative.map((value, index) => value - (index === 0 ? 0 : (cumulative[index - 1] as number)))
  return withFloor(raw, floors)
}

/** Probabilities lifted off zero and brought back to a sum of one. */
export function withFloor(probabilities: readonly number[], floors?: readonly number[]): number[] {
  const lifted = probabilities.map(
    (probability, index) => Math.max(probability, 0) + (floors?.[index] ?? LIKELIHOOD.floor),
  )
  const sum = lifted.reduce((total, probability) => total + probability, 0)
  return lifted.map((probability) => probability / sum)
}

/** Weights brought to a sum of one. Weights of nothing at all have no shares: not a number. */
export function shares(weights: Float64Array): Float64Array {
  const sum = weights.reduce((total, weight) => total + weight, 0)
  return weights.map((weight) => weight / sum)
}

/** Standard normal distribution function (error below 1.5·10⁻⁷). */
export function normalCumulative(z: number): number {
  return (1 + errorFunction(z / Math.SQRT2)) / 2
}

/** A mixture made ready: widths resolved, meter error added in quadrature. */
export interface Mixture {
  normals: { weight: number; mean: number; sd: number }[]
  open: number
}

/** How unsure the figure is that a reading is compared with; absent where a plate or a card gave it. */
export interface Guess {
  /** Spread as a share of what should be read. */
  share?: number
  /** Spread in the statistic's own terms. */
  shift?: number
  /** The figure may as well be this many times as large. */
  alsoTimes?: number
}

/**
 * Resolves a row's components.
 *
 * @param bandSd what `sd: 'band'` stands for on this machine
 * @param meterSd the instrument's own spread, in the statistic's terms
 * @param guess the spread of what it is compared with, where that is a guess
 */
export function resolveMixture(
  components: readonly Component[],
  bandSd: number,
  meterSd: number,
  { share = 0, shift = 0, alsoTimes }: Guess = {},
): Mixture {
  const resolved = components.flatMap((component) =>
    'open' in component
      ? []
      : [
          {
            weight: component.weight,
            mean: component.mean,
            sd: Math.hypot(component.sd === 'band' ? bandSd : component.sd, meterSd, share * component.mean, shift),
          },
        ],
  )
  const normals =
    alsoTimes === undefined
      ? resolved
      : resolved.flatMap(({ weight, mean, sd }) => [
          { weight: weight / 2, mean, sd },
          { weight: weight / 2, mean: mean * alsoTimes, sd: sd * alsoTimes },
        ])
  const open = components.reduce((sum, component) => sum + ('open' in component ? component.weight : 0), 0)
  return { normals, open }
}

/** One mixture with a share of another. */
export function blend(one: Mixture, other: Mixture, share: number): Mixture {
  const part = (mixture: Mixture, weight: number) =>
    mixture.normals.map((component) => ({ ...component, weight: component.weight * weight }))
  return {
    normals: [...part(one, share), ...part(other, 1 - share)],
    open: one.open * share + other.open * (1 - share),
  }
}

/** Two causes that both speak about one measured value: half of each. */
export function mixHalves(one: Mixture, other: Mixture): Mixture {
  return blend(one, other, 0.5)
}

/** Where a check's readings lie, all causes taken together: middle and half width, in the statistic's terms. */
export interface Background {
  middle: number
  halfWidth: number
}

/** The background of one check, from everything its own rows foresee: so it is free of units. */
export function backgroundOf(mixtures: Iterable<Mixture>): Background {
  let low = Infinity
  let high = -Infinity
  for (const { normals } of mixtures)
    for (const { mean, sd } of normals) {
      low = Math.min(low, mean - 2 * sd)
      high = Math.max(high, mean + 2 * sd)
    }
  return low < high ? { middle: (low + high) / 2, halfWidth: (high - low) / 2 } : { middle: 0, halfWidth: 1 }
}

/**
 * Density of a value (null: open) under a mixture, with a small share of a broad background that itself sums to one: an
 * odd value is unlikely, never impossible, and as unlikely in one unit as in another. The background is a Cauchy
 * density: its tails outlast every normal.
 */
export function mixtureDensity(mixture: Mixture, value: number | null, { middle, halfWidth }: Background): number {
  const { floor } = LIKELIHOOD
  if (value === null) return (1 - floor) * mixture.open + floor
  const background = halfWidth / (Math.PI * (halfWidth ** 2 + (value - middle) ** 2))
  return mixture.normals.reduce(
    (sum, { weight, mean, sd }) =>
      sum + ((1 - floor) * weight * Math.exp(-(((value - mean) / sd) ** 2) / 2)) / (sd * Math.sqrt(2 * Math.PI)),
    floor * background,
  )
}

/** Probability of each range between the cuts, then of an open reading when `withOpen`. */
export function mixtureStates(mixture: Mixture, cuts: readonly number[], withOpen: boolean): number[] {
  const below = (cut: number) =>
    mixture.normals.reduce((sum, { weight, mean, sd }) => sum + weight * normalCumulative((cut - mean) / sd), 0)
  const total = mixture.normals.reduce((sum, { weight }) => sum + weight, 0)
  const edges = [0, ...cuts.map(below), total]
  const ranges = edges.slice(1).map((edge, index) => edge - (edges[index] as number))
  return withFloor(withOpen ? [...ranges, mixture.open] : ranges)
}
