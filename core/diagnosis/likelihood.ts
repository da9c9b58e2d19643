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
 * @returns probabilities over `states`, summing to 1
 */
export function noisyMax(states: readonly string[], causes: readonly Distribution[]): number[] {
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
  return withFloor(raw)
}

/** Probabilities lifted off zero and brought back to a sum of one. */
export function withFloor(probabilities: readonly number[]): number[] {
  const lifted = probabilities.map((probability) => Math.max(probability, 0) + LIKELIHOOD.floor)
  const sum = lifted.reduce((total, probability) => total + probability, 0)
  return lifted.map((probability) => probability / sum)
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

/**
 * Resolves a row's components.
 *
 * @param bandSd what `sd: 'band'` stands for on this machine
 * @param meterSd the instrument's own spread, in the statistic's terms
 */
export function resolveMixture(components: readonly Component[], bandSd: number, meterSd: number): Mixture {
  const normals = components.flatMap((component) =>
    'open' in component
      ? []
      : [
          {
            weight: component.weight,
            mean: component.mean,
            sd: Math.hypot(component.sd === 'band' ? bandSd : component.sd, meterSd),
          },
        ],
  )
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

/**
 * Density of a value (null: open) under a mixture, on a broad background: an odd value is unlikely, never impossible.
 */
export function mixtureDensity(mixture: Mixture, value: number | null): number {
  if (value === null) return mixture.open + LIKELIHOOD.floor
  const width = 2 * LIKELIHOOD.backgroundSd
  const background = (LIKELIHOOD.floor * Math.exp(-((value / width) ** 2) / 2)) / width + 1e-9
  return mixture.normals.reduce(
    (sum, { weight, mean, sd }) =>
      sum + (weight * Math.exp(-(((value - mean) / sd) ** 2) / 2)) / (sd * Math.sqrt(2 * Math.PI)),
    background,
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
