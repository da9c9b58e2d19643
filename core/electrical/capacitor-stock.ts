import { groupedBy } from '../quantity/grouped'
import { CAPACITOR } from '../knowledge/electrical/limits'

export interface StockCapacitor {
  microfarads: number
  volts: number
}
export interface Substitute<T extends StockCapacitor = StockCapacitor> extends StockCapacitor {
  of: T[]
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
export function substitutes<T extends StockCapacitor>(
  wanted: StockCapacitor,
  stock: readonly T[],
  tolerancePercent = CAPACITOR.runTolerancePercent,
): { single?: Substitute<T>; parallel: Substitute<T>[]; series: Substitute<T>[] } {
  const fits = (of: readonly T[], made: StockCapacitor): Substitute<T>[] => {
    const deviationPercent = (100 * (made.microfarads - wanted.microfarads)) / wanted.microfarads
    return Math.abs(deviationPercent) <= tolerancePercent && made.volts >= wanted.volts
      ? [{ ...made, of: [...of], deviationPercent }]
      : []
  }
  const nearest = (list: Substitute<T>[]) =>
    list.sort((a, b) => Math.abs(a.deviationPercent) - Math.abs(b.deviationPercent) || a.of.length - b.of.length)
  const groups = combinations(stock)
  const single = nearest(stock.flatMap((each) => fits([each], each)))[0]
  return {
    ...(single ? { single } : {}),
    parallel: nearest(groups.flatMap((group) => fits(group, inParallel(group)))).slice(0, MOST_SHOWN),
    series: nearest(groups.flatMap((group) => fits(group, inSeries(group)))).slice(0, MOST_SHOWN),
  }
}

/** Every group of two to three capacitors of the stock; of those that are alike, each number of them once. */
function combinations<T extends StockCapacitor>(stock: readonly T[]): T[][] {
  const alike = [...groupedBy(stock, ({ microfarads, volts }) => `${microfarads}/${volts}`).values()]
  let grown: { group: T[]; kind: number; taken: number }[] = [{ group: [], kind: 0, taken: 0 }]
  const groups: T[][] = []
  for (let size = 1; size <= MOST_TOGETHER; size++) {
    grown = grown.flatMap(({ group, kind, taken }) =>
      alike.slice(kind).flatMap((of, further) => {
        const before = further === 0 ? taken : 0
        const next = of[before]
        return next ? [{ group: [...group, next], kind: kind + further, taken: before + 1 }] : []
      }),
    )
    if (size > 1) groups.push(...grown.map(({ group }) => group))
  }
  return groups
}
