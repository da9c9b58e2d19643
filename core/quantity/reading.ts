import { convert } from 'convert'
import { formatNumber } from './format'
import type { UnitSystem } from './measures'
import { UNIT_LABELS, type Unit } from './units'

interface Shown {
  label: string
  of: (value: number) => number
}

const factor = (one: number): ((value: number) => number) => {
  const exact = Number(one.toPrecision(15))
  return (value) => value * exact
}

/** Units that one system's reader does not read. The others, electrical ones above all, are everybody's. */
const OTHERWISE: Record<UnitSystem, Partial<Record<Unit, Shown>>> = {
  us: {},
  metric: {
    psi: { label: 'kPa', of: factor(convert(1, 'psi').to('kPa')) },
    inHg: { label: 'kPa', of: factor(convert(1, 'inHg').to('kPa')) },
    ft: { label: 'm', of: factor(convert(1, 'foot').to('m')) },
    in: { label: 'mm', of: factor(convert(1, 'inch').to('mm')) },
    gpm: { label: 'L/s', of: factor(convert(1, 'gallon').to('liter') / 60) },
  },
}

/**
 * A reading as somebody sees it: kept in one unit of its check, shown in the reader's.
 *
 * @returns the number in the shown unit, and how that unit is printed
 */
export function shownReading(value: number, unit: Unit, system: UnitSystem): { value: number; label: string } {
  const other = OTHERWISE[system][unit]
  return { value: other ? other.of(value) : value, label: readingUnit(unit, system) }
}

/** How a reading's unit is printed for this reader. */
export function readingUnit(unit: Unit, system: UnitSystem): string {
  return OTHERWISE[system][unit]?.label ?? UNIT_LABELS[unit]
}

/** Limits with their unit, said once: "38 to 42 psi", "at least 60 s". Nothing where there are none. */
export function formatRange(
  { low, high }: { low?: number; high?: number },
  unit: Unit | '%' | undefined,
  system: UnitSystem,
): string {
  const amount = (value: number) => formatReading(value, unit, system)
  if (low === undefined) return high === undefined ? '' : `at most ${amount(high)}`
  if (high === undefined) return `at least ${amount(low)}`
  const from = unit === undefined || unit === '%' ? low : shownReading(low, unit, system).value
  return `${formatNumber(from)} to ${amount(high)}`
}

/** A reading with its unit. `null` is how a meter's over-range is kept: "open". */
export function formatReading(
  value: number | null,
  unit: Unit | '%' | undefined,
  system: UnitSystem,
  significant?: number,
): string {
  if (value === null) return 'open'
  if (unit === undefined) return formatNumber(value, significant)
  if (unit === '%') return `${formatNumber(value, significant)} %`
  const shown = shownReading(value, unit, system)
  return `${formatNumber(shown.value, significant)} ${shown.label}`
}
