import type { CurvePoint } from '#core/hydraulics/pump-curve'
import type { StockCapacitor } from '#core/electrical/capacitor-stock'
import type { Bounds } from '#core/motor/plate-bounds'
import type { Field } from '#core/questions/fields'
import { readNumber } from '#core/quantity/read-number'
import { fromShown, toShown, unitOf, type Measure, type UnitSystem } from '#core/quantity/measures'

/** A number as it stands in a field: four figures, no noise. */
export const shortNumber = (value: number) => String(Number(value.toPrecision(4)))

/** What a field takes, in the units it is written in: "a number above 0 and up to 3281", "a number from 0.5 to 3". */
export function boundsWords(
  { above, min = 0, max = Infinity }: Bounds,
  quantity?: Measure,
  system: UnitSystem = 'us',
): string {
  const shown = (value: number) => shortNumber(quantity ? toShown(value, quantity, system) : value)
  const most = Number.isFinite(max) ? shown(max) : undefined
  if (above !== undefined) return `a number above ${shown(above)}${most ? ` and up to ${most}` : ''}`
  return most ? `a number from ${shown(min)} to ${most}` : `a number of ${shown(min)} or more`
}

/** A curve as text: `0 at 260, 10 at 180`, flow at head, in the units shown. */
export function curveText(points: readonly CurvePoint[], system: UnitSystem): string {
  return points
    .map(
      (point) =>
        `${shortNumber(toShown(point.flowLitresPerSecond, 'flow', system))} at ` +
        `${shortNumber(toShown(point.headMetres, 'head', system))}`,
    )
    .join(', ')
}

/** Reads such a text; nothing where a point is no point or the head does not fall. */
export function readCurve(written: string, system: UnitSystem): CurvePoint[] | undefined {
  const points = written
    .split(/\s*[,;]\s*/)
    .map((point) => /^(\d+(?:\.\d+)?)\s*(?:at|@|\/|\s)\s*(\d+(?:\.\d+)?)$/.exec(point.trim()))
  const known = points.flatMap((found): CurvePoint[] =>
    found
      ? [
          {
            flowLitresPerSecond: fromShown(Number(found[1]), 'flow', system),
            headMetres: fromShown(Number(found[2]), 'head', system),
          },
        ]
      : [],
  )
  const falls = known.every(
    (point, index) =>
      index === 0 ||
      (point.flowLitresPerSecond > (known[index - 1]?.flowLitresPerSecond ?? 0) &&
        point.headMetres < (known[index - 1]?.headMetres ?? 0)),
  )
  return known.length === points.length && known.length > 0 && falls ? known : undefined
}

/** Capacitors as text: `20/440, 10/370`. */
export function stockText(stock: readonly StockCapacitor[]): string {
  return stock.map(({ microfarads, volts }) => `${shortNumber(microfarads)}/${shortNumber(volts)}`).join(', ')
}

export function readStock(written: string): StockCapacitor[] | undefined {
  if (written.trim() === '') return []
  const cans = written.split(/\s*[,;]\s*/).map((can) => /^(\d+(?:\.\d+)?)\s*\/\s*(\d+(?:\.\d+)?)$/.exec(can.trim()))
  return cans.every((can) => can !== null)
    ? cans.map((can) => ({ microfarads: Number(can[1]), volts: Number(can[2]) }))
    : undefined
}

/** What a question's field holds, as its text. */
export function fieldText(field: Field, value: unknown, system: UnitSystem): string {
  if (value === undefined) return ''
  if (field.as === 'number') return shortNumber(toShown(value as number, field.measure, system))
  if (field.as === 'curve') return curveText(value as CurvePoint[], system)
  return field.as === 'stock' ? stockText(value as StockCapacitor[]) : String(value)
}

/**
 * Reads a field back into core's units; a problem says what would be right. An empty field is left out where it may be.
 */
export function readField(field: Field, written: string, system: UnitSystem): { value?: unknown; problem?: string } {
  if (written.trim() === '' && field.usual === undefined) return {}
  if (field.as === 'choice') return { value: written }
  if (field.as === 'curve') {
    const value = readCurve(written, system)
    return value && value.length > 1
      ? { value }
      : {
          problem:
            `Two points or more as ${unitOf('flow', system)} at ${unitOf('head', system)}, head falling: 0 at 260, ` +
            '10 at 180',
        }
  }
  if (field.as === 'stock') {
    const value = readStock(written)
    return value ? { value } : { problem: 'Cans as μF/V with commas between: 20/440, 10/370' }
  }
  const number = readNumber(written)
  const value = number === undefined ? undefined : fromShown(number, field.measure, system)
  const fits =
    value !== undefined &&
    value <= field.max &&
    (field.min === undefined || value >= field.min - 1e-12) &&
    (field.above === undefined || value > field.above) &&
    (!field.whole || Number.isInteger(value))
  return fits ? { value } : { problem: rangeWords(field, system) }
}

function rangeWords({ min, above, max, measure, whole }: Extract<Field, { as: 'number' }>, system: UnitSystem): string {
  const shown = (value: number) => shortNumber(toShown(value, measure as Measure, system))
  const unit = unitOf(measure, system)
  return (
    `${whole ? 'A whole number' : 'A number'} ` +
    `${above === undefined ? `from ${shown(min ?? -max)}` : `above ${shown(above)}`} to ` +
    `${shown(max)}${unit ? ` ${unit}` : ''}`
  )
}
