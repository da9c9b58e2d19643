import { randomGamma, randomPoisson } from 'd3-random'
import { gammaln } from 'simple-statistics'
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

/**
 * What is believed of a shop: the factor that all of its rates share, and how far each group's own lies about it, as
 * the shape of a gamma. Weights over a grid of both.
 */
export interface ShopFactor {
  cells: readonly { factor: number; shape: number; weight: number }[]
  /** Of the factor. */
  mean: number
}

const GRID_STEPS = 20
/** So many standard deviations the grid reaches to each side. */
const GRID_REACH = 3
/** The same futures at every look: nothing on the screen moves that nobody moved. */
const SEED = 1

/**
 * What a shop's own failures say of it. Each group's own factor is averaged over, and how far groups lie apart is
 * learned too.
 *
 * @source negative binomial marginal of the gamma-Poisson model: Gelman et al., Bayesian Data Analysis (3rd ed.), 2.6,
 *   on a grid as there in 3.7
 */
export function shopFactor(groups: readonly Seen[]): ShopFactor {
  const logs = FORECAST.partShapes.flatMap((shape) =>
    Array.from({ length: 2 * GRID_STEPS + 1 }, (_, index) => {
      const deviations = ((index - GRID_STEPS) / GRID_STEPS) * GRID_REACH
      // Shops are as the tables say on the average, not at the median.
      const factor = Math.exp(deviations * FORECAST.shopSpread - FORECAST.shopSpread ** 2 / 2)
      const log = groups.reduce((sum, seen) => sum + logLikelihood(seen, factor, shape), -(deviations ** 2) / 2)
      return { factor, shape, log }
    }),
  )
  const most = Math.max(...logs.map(({ log }) => log))
  const sum = logs.reduce((total, { log }) => total + Math.exp(log - most), 0)
  const cells = logs.map(({ factor, shape, log }) => ({ factor, shape, weight: Math.exp(log - most) / sum }))
  return { cells, mean: cells.reduce((total, { factor, weight }) => total + factor * weight, 0) }
}

/** Of a count whose expectation varies as a gamma about what the tables and the shop's factor say. */
function logLikelihood({ failed, expected }: Seen, factor: number, shape: number): number {
  const all = shape + factor * expected
  const counted =
    failed === 0 ? 0 : gammaln(failed + shape) - gammaln(shape) + failed * Math.log((factor * expected) / all)
  return counted + shape * Math.log(shape / all)
}

/** By how much a group fails more often here than the tables say, once its own failures are counted too. */
export function groupFactor({ failed, expected }: Seen, { cells }: ShopFactor): number {
  return cells.reduce(
    (sum, { factor, shape, weight }) => sum + (weight * factor * (shape + failed)) / (shape + factor * expected),
    0,
  )
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
  const { draws } = FORECAST
  const source = chance(SEED)
  const weights = shop.cells.map(({ weight }) => weight)
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
    const { factor, shape } = shop.cells[source.weighted(weights)] as ShopFactor['cells'][number]
    const own = seen.map(({ failed, expected }) => gamma(shape + failed, 1 / (shape + factor * expected))())
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
