import { randomGamma, randomPoisson } from 'd3-random'
import { FORECAST } from '../knowledge/shop/forecast'
import { chance } from '../quantity/random'

/** What failed of one group, and what the tables had led to expect. */
export interface Seen {
  failed: number
  expected: number
}

/** How many: as expected, and between which counts four futures of five lie. */
export interface Span {
  mean: number
  low: number
  high: number
  /** What share of the futures really lies there: counts are whole, and so it is rarely four of five to the point. */
  share: number
}

/** The factor that all of a shop's rates share, as weights over a grid. */
export interface ShopFactor {
  values: readonly number[]
  weights: readonly number[]
  mean: number
}

const GRID_STEPS = 20
/** So many standard deviations the grid reaches to each side. */
const GRID_REACH = 3
/** The same futures at every look: nothing on the screen moves that nobody moved. */
const SEED = 1

/**
 * What a shop's own failures say of the factor that its rates share. Each group's own factor is gamma about it and is
 * averaged over, so that a group that is odd by itself does not speak for all.
 *
 * @source negative binomial marginal of the gamma-Poisson model: Gelman et al., Bayesian Data Analysis (3rd ed.), 2.6,
 *   on a grid as there in 3.7
 */
export function shopFactor(groups: readonly Seen[]): ShopFactor {
  const { shopSpread, partShape } = FORECAST
  const logs = Array.from({ length: 2 * GRID_STEPS + 1 }, (_, index) => {
    const deviations = ((index - GRID_STEPS) / GRID_STEPS) * GRID_REACH
    const value = Math.exp(deviations * shopSpread)
    const likely = groups.reduce(
      (sum, { failed, expected }) =>
        sum + failed * Math.log(value) - (failed + partShape) * Math.log(partShape + value * expected),
      0,
    )
    return { value, log: likely - deviations ** 2 / 2 }
  })
  const most = Math.max(...logs.map(({ log }) => log))
  const raw = logs.map(({ log }) => Math.exp(log - most))
  const sum = raw.reduce((total, weight) => total + weight, 0)
  const weights = raw.map((weight) => weight / sum)
  const values = logs.map(({ value }) => value)
  return {
    values,
    weights,
    mean: values.reduce((total, value, index) => total + value * (weights[index] as number), 0),
  }
}

/** A group's own factor beside its shop's, as expected once its own failures are counted. */
export function groupFactor({ failed, expected }: Seen, shop: number): number {
  return (FORECAST.partShape + failed) / (FORECAST.partShape + shop * expected)
}

/** A count that is to come: to which group it belongs, under what it is summed up, and what the tables expect. */
export interface Coming {
  group: string
  /** Sums it is part of. */
  under: readonly string[]
  expected: number
}

/**
 * Draws futures: the shop's factor, each group's own, then the counts; each sum over all of them as a span.
 *
 * @returns a span for every name in `under`
 */
export function futures(
  coming: readonly Coming[],
  shop: ShopFactor,
  seenOf: (group: string) => Seen,
): Map<string, Span> {
  const { draws, partShape } = FORECAST
  const source = chance(SEED)
  const gamma = randomGamma.source(source.next)
  const poisson = randomPoisson.source(source.next)
  const names = [...new Set(coming.flatMap(({ under }) => under))]
  const sums = new Map(names.map((name) => [name, new Float64Array(draws)]))
  const groups = [...new Set(coming.map(({ group }) => group))]
  const seen = groups.map(seenOf)
  const cells = coming.map(({ group, under, expected }) => ({
    at: groups.indexOf(group),
    expected,
    counts: under.map((name) => sums.get(name) as Float64Array),
  }))
  for (let draw = 0; draw < draws; draw++) {
    const factor = shop.values[source.weighted(shop.weights)] as number
    const own = seen.map(({ failed, expected }) => gamma(partShape + failed, 1 / (partShape + factor * expected))())
    for (const { at, expected, counts } of cells) {
      const count = poisson(factor * (own[at] as number) * expected)()
      if (count > 0) for (const each of counts) each[draw] = (each[draw] as number) + count
    }
  }
  return new Map([...sums].map(([name, counts]) => [name, spanOf(counts)]))
}

/** The narrowest span in which so large a share of the futures lies. */
function spanOf(counts: Float64Array): Span {
  const sorted = counts.sort()
  const inside = Math.ceil(FORECAST.share * sorted.length)
  let best = { low: sorted[0] as number, high: sorted[inside - 1] as number }
  for (let start = 1; start + inside <= sorted.length; start++) {
    const [low, high] = [sorted[start] as number, sorted[start + inside - 1] as number]
    if (high - low < best.high - best.low) best = { low, high }
  }
  const held = sorted.reduce((sum, count) => sum + Number(count >= best.low && count <= best.high), 0)
  return { mean: sorted.reduce((sum, count) => sum + count, 0) / sorted.length, ...best, share: held / sorted.length }
}
