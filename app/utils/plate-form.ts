import { boundsWords } from './field-text'
import type { Nameplate } from '#core/motor/nameplate'
import { MAINS_HERTZ, PLATE_BOUNDS, within, type Bounds } from '#core/motor/plate-bounds'

/** The numbers of a plate as a form shows them. */
export interface PlateField {
  key: keyof Nameplate
  label: string
  /** One number or two; the rules ask only that they are above 0. */
  range?: true
  /** A designation, and no number. */
  text?: true
}

const ABOVE_NOTHING: Bounds = { above: 0 }
export const PLATE_FIELDS: readonly PlateField[] = [
  { key: 'volts', label: 'Volts' },
  { key: 'otherVolts', label: 'Or, by its selector' },
  { key: 'hertz', label: 'Hertz' },
  { key: 'horsepower', label: 'Horsepower' },
  { key: 'serviceFactor', label: 'Service factor' },
  { key: 'fullLoadAmps', label: 'Full-load amps' },
  { key: 'serviceFactorAmps', label: 'SF amps' },
  { key: 'rpm', label: 'Speed rpm' },
  { key: 'frame', label: 'Frame', text: true },
  { key: 'flange', label: 'Flange', text: true },
  { key: 'runCapacitorMicrofarads', label: 'Run cap μF' },
  { key: 'runCapacitorVolts', label: 'Run cap volts' },
  { key: 'startCapacitorMicrofarads', label: 'Start cap μF', range: true },
  { key: 'capacitorTolerancePercent', label: 'Cap tolerance %' },
  { key: 'runWindingOhms', label: 'Run winding Ω', range: true },
  { key: 'startWindingOhms', label: 'Start winding Ω', range: true },
]

/** A plate as the text of its fields. */
export function plateText(plate: Nameplate): Record<string, string> {
  return Object.fromEntries(
    PLATE_FIELDS.map(({ key }) => {
      const value = plate[key]
      return [key, value === undefined ? '' : Array.isArray(value) ? value.join(' to ') : String(value)]
    }),
  )
}

/**
 * Reads the fields back; each problem says what would be right. Empty means “cannot be read”, which is a normal case.
 */
export function readPlate(text: Record<string, string>): {
  plate: Partial<Nameplate>
  problems: Record<string, string>
} {
  const plate: Record<string, unknown> = {}
  const problems: Record<string, string> = {}
  for (const { key, label, range, text: isText } of PLATE_FIELDS) {
    const bounds: Bounds = key in PLATE_BOUNDS ? PLATE_BOUNDS[key as keyof typeof PLATE_BOUNDS] : ABOVE_NOTHING
    const written = (text[key] ?? '').trim().replace(/(\d),(\d)/g, '$1.$2')
    if (!written) {
      if (key === 'volts') problems[key] = 'Volts are needed: 115, 230, or what the supply is'
      continue
    }
    if (isText) {
      plate[key] = (text[key] ?? '').trim()
      continue
    }
    const numbers = written.split(/\s*(?:to|–|-|\s)\s*/).map(Number)
    const wrong = numbers.some((number) => !within(number, bounds))
    if (
      wrong ||
      numbers.length > (range ? 2 : 1) ||
      (numbers.length === 2 && (numbers[0] as number) > (numbers[1] as number))
    ) {
      problems[key] = range ? `${label}: one number, or two such as 161 to 193` : `${label}: ${boundsWords(bounds)}`
    } else if (key === 'hertz' && !(MAINS_HERTZ as readonly number[]).includes(numbers[0] as number))
      problems[key] = `Hertz: ${MAINS_HERTZ.join(' or ')}`
    else if (range)
      plate[key] =
        numbers.length === 2 ? numbers : key === 'startCapacitorMicrofarads' ? numbers[0] : [numbers[0], numbers[0]]
    else plate[key] = numbers[0]
  }
  return { plate, problems }
}

/** Empty strings out of a form are fields that were not given. */
export function emptyToUndefined<T extends object>(value: T): T {
  return JSON.parse(JSON.stringify(value, (_, each: unknown) => (each === '' ? undefined : each))) as T
}
