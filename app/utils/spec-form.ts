import { asMeasure, numbersIn, plainText } from '#core/fits/written'
import type { NumberField } from '#core/knowledge/fits/family'
import { formatNumber } from '#core/quantity/format'
import { fromShown, toShown, type UnitSystem } from '#core/quantity/measures'

/**
 * A measure as it was typed, in core's unit: with a unit of its own, as a fraction, or a number in the reader's unit.
 * Nothing where it is empty; not a number where it is none.
 */
export function readMeasure(typed: string, { measure }: NumberField, system: UnitSystem): number | undefined {
  if (typed.trim() === '') return undefined
  const numbers = numbersIn(plainText(typed))
  const [number] = numbers
  if (!number || numbers.length > 1) return Number.NaN
  return number.unit === '' ? fromShown(number.value, measure, system) : (asMeasure(number, measure) ?? Number.NaN)
}

/** A measure as it stands in a field, in the reader’s unit. */
export function shownMeasure(value: number, { measure, significant }: NumberField, system: UnitSystem): string {
  return formatNumber(toShown(value, measure, system), significant ?? 4)
}
