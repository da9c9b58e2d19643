/**
 * An amount of money in whole cents, as it is printed, paid and added up.
 *
 * @param amount in the currency’s main unit
 * @returns the same, rounded half away from zero to a hundredth
 */
export function cents(amount: number): number {
  // Halves such as 1.005 stand a hair below themselves in binary.
  return withoutMinusZero((Math.sign(amount) * Math.round(Math.abs(amount) * 100 * (1 + Number.EPSILON))) / 100)
}

/** What amounts in whole cents come to, in whole cents. */
export function sumOfCents(amounts: readonly number[]): number {
  return withoutMinusZero(amounts.reduce((sum, amount) => sum + Math.round(amount * 100), 0) / 100)
}

/** Nobody is charged minus nothing. */
const withoutMinusZero = (amount: number) => amount + 0
