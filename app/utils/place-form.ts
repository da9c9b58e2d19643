import { formatReading } from '#core/quantity/reading'
import { gaugeArea } from '#core/electrical/conductor'
import { HOUSE_WATER, KINDS, WELLS, type Kind } from '#core/knowledge/vocabulary'
import type { Installation } from '#core/motor/nameplate'
import { PLACE_BOUNDS, within, type Bounds } from '#core/motor/plate-bounds'
import { fromShown, toShown, unitOf, type Measure as Quantity, type UnitSystem } from '#core/quantity/measures'
import { readNumber } from '#core/quantity/read-number'
import { boundsWords, curveText, readCurve, shortNumber } from './field-text'

type Measure = 'length' | 'short-length' | 'volume' | 'pressure' | 'hours' | 'gauge' | 'curve'
export interface PlaceField {
  key: Exclude<keyof Installation, 'onlySupply' | 'livestock'>
  label: string
  measure: Measure
  kinds: readonly Kind[]
  /** More than this is taken for a slip of the pen, in core's unit, where the rules set no bound. */
  most?: number
}

const ALL = Object.keys(KINDS) as Kind[]

/** What is known of the place, kind by kind: cable and depth of a well, switch and tank of a house, a pit's width. */
export const PLACE_FIELDS: readonly PlaceField[] = [
  { key: 'cutInPsi', label: 'Cut-in, psi', measure: 'pressure', kinds: HOUSE_WATER },
  { key: 'cutOutPsi', label: 'Cut-out, psi', measure: 'pressure', kinds: HOUSE_WATER },
  { key: 'tankLitres', label: 'Tank', measure: 'volume', kinds: HOUSE_WATER, most: 20000 },
  { key: 'wellDepthMetres', label: 'Well depth', measure: 'length', kinds: WELLS, most: 1000 },
  { key: 'liftMetres', label: 'Lift', measure: 'length', kinds: [...HOUSE_WATER, 'sump'], most: 1000 },
  { key: 'cableAwg', label: 'Drop cable, AWG', measure: 'gauge', kinds: WELLS },
  { key: 'cableMetres', label: 'Drop cable', measure: 'length', kinds: WELLS, most: 1500 },
  { key: 'pumpCurve', label: 'Curve', measure: 'curve', kinds: HOUSE_WATER },
  { key: 'pitDiameterMetres', label: 'Pit across', measure: 'short-length', kinds: ['sump'], most: 10 },
  { key: 'dutyHoursPerDay', label: 'Hours a day', measure: 'hours', kinds: ALL },
]

/** Which of core's measures a field is written in; a metric pit is written in metres. */
const measured = (measure: Measure, units: UnitSystem): Quantity | undefined =>
  measure === 'length'
    ? 'length'
    : measure === 'volume'
      ? 'volume'
      : measure === 'short-length'
        ? units === 'us'
          ? 'level'
          : 'length'
        : undefined
const CURVE_UNITS = (units: UnitSystem) => `${unitOf('flow', units)} at ${unitOf('head', units)}`

/** The field's label with the unit it is written in. */
export function placeLabel({ label, measure }: PlaceField, units: UnitSystem): string {
  const quantity = measured(measure, units)
  const unit = measure === 'curve' ? CURVE_UNITS(units) : quantity && unitOf(quantity, units)
  return unit ? `${label}, ${unit}` : label
}

/** The place as the text of its fields. */
export function placeText(installation: Installation | undefined, units: UnitSystem): Record<string, string> {
  return Object.fromEntries(
    PLACE_FIELDS.map(({ key, measure }) => {
      const value = installation?.[key]
      if (value === undefined) return [key, '']
      if (Array.isArray(value)) return [key, curveText(value, units)]
      const quantity = measured(measure, units)
      return [key, typeof value === 'string' ? value : shortNumber(quantity ? toShown(value, quantity, units) : value)]
    }),
  )
}

/** Reads the fields back; each problem says what would be right. What stands there unchanged keeps its exact value. */
export function readPlace(
  text: Record<string, string>,
  kind: Kind,
  units: UnitSystem,
  before: Installation = {},
): { installation: Installation; problems: Record<string, string> } {
  const problems: Record<string, string> = {}
  const unchanged = placeText(before, units)
  const changed = PLACE_FIELDS.filter(
    ({ key, kinds }) => kinds.includes(kind) && (text[key] ?? '').trim() !== unchanged[key],
  )
  const rewritten = new Set<string>(changed.map(({ key }) => key))
  const installation: Record<string, unknown> = Object.fromEntries(
    Object.entries(before).filter(([key]) => !rewritten.has(key)),
  )
  for (const field of changed) {
    const { key, measure } = field
    const written = (text[key] ?? '').trim()
    if (!written) continue
    const read =
      measure === 'gauge'
        ? readGauge(written)
        : measure === 'curve'
          ? readCurve(written, units)
          : readSize(written, measured(measure, units), units, boundsOf(field))
    if (read === undefined)
      problems[key] =
        measure === 'gauge'
          ? 'A gauge from 40 to 1, or 1/0 to 4/0'
          : measure === 'curve'
            ? `Points as ${CURVE_UNITS(units)}, head falling: 0 at 260, 10 at 180`
            : `${placeLabel(field, units)}: ${boundsWords(boundsOf(field), measured(measure, units), units)}`
    else installation[key] = read
  }
  if (
    typeof installation.cutInPsi === 'number' &&
    typeof installation.cutOutPsi === 'number' &&
    installation.cutOutPsi <= installation.cutInPsi
  )
    problems.cutOutPsi = `Above the cut-in of ${formatReading(installation.cutInPsi, 'psi', units)}`
  return { installation: installation as Installation, problems }
}

function readSize(
  written: string,
  quantity: Quantity | undefined,
  units: UnitSystem,
  bounds: Bounds,
): number | undefined {
  const number = readNumber(written)
  const value = number !== undefined && quantity ? fromShown(number, quantity, units) : number
  return value !== undefined && within(value, bounds) ? value : undefined
}

/** What a field takes: what can be, and no slips of the pen. */
function boundsOf({ key, most }: PlaceField): Bounds {
  const rules: Bounds = PLACE_BOUNDS[key as keyof typeof PLACE_BOUNDS]
  return { ...rules, max: rules.max ?? most }
}

function readGauge(written: string): string | undefined {
  try {
    gaugeArea(written)
    return written
  } catch {
    return undefined
  }
}
