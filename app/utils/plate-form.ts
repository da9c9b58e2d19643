import type { Nameplate } from '#core/motor/nameplate'

/** The numbers of a plate as a form shows them. */
export interface PlateField {
  key: keyof Nameplate
  label: string
  range?: boolean
  max: number
}
export const PLATE_FIELDS: readonly PlateField[] = [
  { key: 'volts', label: 'Volts', max: 700 },
  { key: 'hertz', label: 'Hertz', max: 60 },
  { key: 'horsepower', label: 'Horsepower', max: 100 },
  { key: 'serviceFactor', label: 'Service factor', max: 3 },
  { key: 'fullLoadAmps', label: 'Full-load amps', max: 500 },
  { key: 'serviceFactorAmps', label: 'SF amps', max: 500 },
  { key: 'runCapacitorMicrofarads', label: 'Run cap μF', max: 2000 },
  { key: 'runCapacitorVolts', label: 'Run cap volts', max: 2000 },
  { key: 'startCapacitorMicrofarads', label: 'Start cap μF', range: true, max: 2000 },
  { key: 'capacitorTolerancePercent', label: 'Cap tolerance %', max: 50 },
  { key: 'runWindingOhms', label: 'Run winding Ω', range: true, max: 1000 },
  { key: 'startWindingOhms', label: 'Start winding Ω', range: true, max: 1000 },
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
  for (const { key, label, range, max } of PLATE_FIELDS) {
    const written = (text[key] ?? '').trim().replace(/(\d),(\d)/g, '$1.$2')
    if (!written) {
      if (key === 'volts') problems[key] = 'Volts are needed: 115, 230, or what the supply is'
      continue
    }
    const numbers = written.split(/\s*(?:to|–|-|\s)\s*/).map(Number)
    const wrong = numbers.some((number) => !Number.isFinite(number) || number <= 0 || number > max)
    if (
      wrong ||
      numbers.length > (range ? 2 : 1) ||
      (numbers.length === 2 && (numbers[0] as number) > (numbers[1] as number))
    ) {
      problems[key] = range
        ? `${label}: one number, or two such as 161 to 193`
        : `${label}: a number above 0 and up to ${max}`
    } else if (key === 'hertz' && ![50, 60].includes(numbers[0] as number)) problems[key] = 'Hertz: 50 or 60'
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
