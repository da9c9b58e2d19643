/** One thing that runs: watts and hours a day. */
export interface Load {
  watts: number
  hoursPerDay: number
}

/** Energy of a year and what it costs. */
export function runningCost(
  items: readonly Load[],
  pricePerKwh: number,
  daysPerYear: number,
): { kwhPerYear: number; costPerYear: number } {
  const kwhPerYear = items.reduce((sum, { watts, hoursPerDay }) => sum + (watts / 1000) * hoursPerDay * daysPerYear, 0)
  return { kwhPerYear, costPerYear: kwhPerYear * pricePerKwh }
}
