import { CAPACITOR } from '../knowledge/electrical/limits'

export interface StockCapacitor {
  microfarads: number
  volts: number
}
export interface Substitute extends StockCapacitor {
  of: StockCapacitor[]
  deviationPercent: number
}

/** Capacitors in parallel add; the weakest voltage rating holds for all. */
export function inParallel(of: readonly StockCapacitor[]): StockCapacitor {
  return {
    microfarads: of.reduce((sum, { microfarads }) => sum + microfarads, 0),
    volts: Math.min(...of.map(({ volts }) => volts)),
  }
}

/**
 * Capacitors in series: reciprocals add, and the volts divide inversely to the capacitance, so the smallest bears most.
 */
export function inSeries(of: readonly StockCapacitor[]): StockCapacitor {
  const microfarads = 1 / of.reduce((sum, each) => sum + 1 / each.microfarads, 0)
  return { microfarads, volts: Math.min(...of.map((each) => (each.volts * each.microfarads) / microfarads)) }
}

/** Volts across each of several capacitors in series. */
export function seriesVolts(microfarads: readonly number[], volts: number): number[] {
  const total = 1 / microfarads.reduce((sum, each) => sum + 1 / each, 0)
  return microfarads.map((each) => (volts * total) / each)
}

/** At most this many capacitors are put together in the field. */
const MOST_TOGETHER = 3
const MOST_SHOWN = 8

/**
 * What can be made from the capacitors at hand: within the run tolerance of the wanted value, never below its voltage,
 * nearest first.
 *
 * Each capacitor of the stock is there once.
 */
export function substitutes(
  wanted: StockCapacitor,
  stock: readonly StockCapacitor[],
  tolerancePercent = CAPACITOR.runTolerancePercent,
): { single?: Substitute; parallel: Substitute[]; series: Substitute[] } {
  const fits = (of: readonly StockCapacitor[], made: StockCapacitor): Substitute[] => {
    const deviationPercent = (100 * (made.microfarads - wanted.microfarads)) / wanted.microfarads
    return Math.abs(deviationPercent) <= tolerancePercent && made.volts >= wanted.volts
      ? [{ ...made, of: [...of], deviationPercent }]
      : []
  }
  const nearest = (list: Substitute[]) =>
    list.sort((a, b) => Math.abs(a.deviationPercent) - Math.abs(b.deviationPercent) || a.of.length - b.of.length)
  const groups = combinations(stock)
  const single = nearest(stock.flatMap((each) => fits([each], each)))[0]
  return {
    ...(single ? { single } : {}),
    parallel: nearest(groups.flatMap((group) => fits(group, inParallel(group)))).slice(0, MOST_SHOWN),
    series: nearest(groups.flatMap((group) => fits(group, inSeries(group)))).slice(0, MOST_SHOWN),
  }
}

/** Every group of two to three different capacitors of the stock. */
function combinations(stock: readonly StockCapacitor[]): StockCapacitor[][] {
  let grown: number[][] = stock.map((_, index) => [index])
  const groups: number[][] = []
  for (let size = 2; size <= MOST_TOGETHER; size++) {
    grown = grown.flatMap((group) =>
      stock.flatMap((_, index) => (index > (group.at(-1) as number) ? [[...group, index]] : [])),
    )
    groups.push(...grown)
  }
  const seen = new Set<string>()
  return groups
    .map((group) => group.map((index) => stock[index] as StockCapacitor))
    .filter((group) => {
      const key = group
        .map(({ microfarads, volts }) => `${microfarads}/${volts}`)
        .sort()
        .join('+')
      return !seen.has(key) && seen.add(key)
    })
}
