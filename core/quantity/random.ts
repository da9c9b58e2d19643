import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64'
import { mersenne } from 'pure-rand/generator/mersenne'

/** A seeded source of chance: the same seed gives the same machine, everywhere. */
export interface Chance {
  /** From 0 up to, not including, 1. */
  next: () => number
  between: (low: number, high: number) => number
  /** Normal with mean and standard deviation. */
  normal: (mean: number, sd: number) => number
  hit: (probability: number) => boolean
  pick: <T>(items: readonly T[]) => T
  /** Index drawn in proportion to the weights. */
  weighted: (weights: ArrayLike<number>) => number
}

/** The same draws for the same seed, from a Mersenne twister. */
export function chance(seed: number): Chance {
  const generator = mersenne(seed)
  const next = (): number => uniformFloat64(generator)
  return {
    next,
    between: (low, high) => low + (high - low) * next(),
    // Box and Muller.
    normal: (mean, sd) => mean + sd * Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next()),
    hit: (probability) => next() < probability,
    pick: (items) => items[Math.floor(next() * items.length)] as (typeof items)[number],
    weighted: (weights) => {
      let total = 0
      for (let index = 0; index < weights.length; index++) total += weights[index] as number
      let left = next() * total
      for (let index = 0; index < weights.length; index++) {
        left -= weights[index] as number
        if (left < 0) return index
      }
      return weights.length - 1
    },
  }
}
