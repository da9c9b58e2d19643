import { isFunction, type FunctionName } from './functions'

/**
 * The few commands that an instrument is asked with.
 *
 * @source IEEE 488.2 for common commands, SCPI 1999 for the others
 */
export const ASKS = {
  identity: '*IDN?',
  configuration: 'CONF?',
  reading: 'READ?',
  condition: 'STAT:QUES:COND?',
} as const
export const configure = (name: FunctionName): string => `CONF:${name}`

/** SCPI 1999, volume 1, 7.2.1.4 and .5: infinity, and not a number. */
export const [INFINITY, NOT_A_NUMBER] = [9.9e37, 9.91e37] as const
/** The questionable status’ bit that instruments of this protocol set on a flat battery. */
export const FLAT_BATTERY_BIT = 9

/** A decimal number as IEEE 488.2 lets instruments write it: NR1, NR2 or NR3. */
const NUMBER = /^[+-]?(?:\d+\.?\d*|\.\d+)(?:[eE][+-]?\d{1,3})?$/

/**
 * A reading in SI units.
 *
 * @returns null over range; undefined where the line is no reading
 */
export function readNumber(line: string): number | null | undefined {
  const text = line.trim()
  if (!NUMBER.test(text)) return undefined
  const value = Number(text)
  if (!Number.isFinite(value) || Math.abs(value) >= NOT_A_NUMBER) return undefined
  return Math.abs(value) >= INFINITY ? null : value
}

/** How an instrument is set. */
export interface Configuration {
  function: FunctionName
  /** In SI units. */
  range?: number
}

/** Reads the answer to `CONF?`, such as `"VOLT:AC 600,0.1"`. @returns undefined where it is none */
export function readConfiguration(line: string): Configuration | undefined {
  const [name = '', parameters = ''] = line.trim().replace(/^"|"$/g, '').split(/\s+/, 2)
  const short = name.toUpperCase().replace(/^(SENS:|FUNC:)/, '')
  const known = { VOLT: 'VOLT:AC', CURR: 'CURR:AC' }[short] ?? short
  if (!isFunction(known)) return undefined
  const range = readNumber(parameters.split(',')[0] ?? '')
  return { function: known, ...(typeof range === 'number' ? { range } : {}) }
}

/** Does the answer to `STAT:QUES:COND?` say that the battery is flat? */
export function isFlatBattery(line: string): boolean {
  const value = readNumber(line)
  return typeof value === 'number' && value >= 0 && (Math.floor(value) & (1 << FLAT_BATTERY_BIT)) !== 0
}

/** A number as an instrument sends it: NR3. */
export function writeNumber(value: number | null): string {
  return (value ?? INFINITY)
    .toExponential(6)
    .toUpperCase()
    .replace(/^(?!-)/, '+')
}
export const writeConfiguration = ({ function: name, range }: Configuration): string =>
  `"${name}${range === undefined ? '' : ` ${range}`}"`
