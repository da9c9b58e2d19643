/** What is asked for while a delivery is under way, as chances of 0, 1, 2, … uses. */
export interface AskedFor {
  /** Uses in this time, by the rate. */
  mean: number
  /** How unsure rate and time are: the standard deviation of their product as a share of it. */
  spread: number
  /** Visits that are planned in it, each with the chance that it is used there. */
  planned: readonly number[]
}

/** Chances that are left when the tail is cut. */
const TAIL = 1e-9
const MOST = 400

/**
 * Chances of 0, 1, 2, … uses: a count whose rate is not known for certain, and the planned visits each with its own.
 *
 * @source gamma-Poisson mixture, a negative binomial: Gelman et al., Bayesian Data Analysis (3rd ed.), 2.6
 * @returns at least one chance; they add up to 1 but for the tail
 */
export function usesChances({ mean, spread, planned }: AskedFor): number[] {
  let chances = rateChances(mean, spread)
  for (const chance of planned)
    chances = Array.from(
      { length: chances.length + 1 },
      (_, count) => (chances[count] ?? 0) * (1 - chance) + (chances[count - 1] ?? 0) * chance,
    )
  return chances
}

function rateChances(mean: number, spread: number): number[] {
  if (mean <= 0) return [1]
  const shape = spread > 0 ? 1 / spread ** 2 : Number.POSITIVE_INFINITY
  const isPoisson = !Number.isFinite(shape)
  const share = isPoisson ? 0 : mean / (mean + shape)
  let chance = isPoisson ? Math.exp(-mean) : (1 - share) ** shape
  const chances: number[] = []
  let covered = 0
  for (let count = 0; count < MOST; count++) {
    chances.push(chance)
    covered += chance
    if (1 - covered < TAIL && count >= mean) break
    chance *= isPoisson ? mean / (count + 1) : ((count + shape) / (count + 1)) * share
  }
  return chances
}

/** How unsure a product is of two things that are each unsure by a share. */
export function spreadOfProduct(one: number, other: number): number {
  return Math.sqrt((1 + one ** 2) * (1 + other ** 2) - 1)
}

/** How likely more than so many are used. */
export function chanceOfMore(chances: readonly number[], count: number): number {
  return Math.max(0, 1 - chances.slice(0, count + 1).reduce((sum, chance) => sum + chance, 0))
}
