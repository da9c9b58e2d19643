import { KPA_PER_PSI } from '../quantity/conversions'
import type { Logged } from './logs'

/** A virtual log as a logger's file: by its clock from an hour on, or in seconds since it began. */
export function logCsv(
  log: readonly Logged[],
  column: 'pressure (psi)' | 'pressure (kPa)' | 'current (A)',
  from?: string,
): string {
  const perUnit = column === 'pressure (kPa)' ? KPA_PER_PSI : 1
  const start = from === undefined ? undefined : Date.parse(`${from}Z`)
  const time = (seconds: number) =>
    start === undefined ? String(seconds) : new Date(start + seconds * 1000).toISOString().slice(0, 19)
  return [
    `${start === undefined ? 'seconds' : 'time'},${column}`,
    ...log.map(({ seconds, value }) => `${time(seconds)},${(value * perUnit).toFixed(3)}`),
    '',
  ].join('\n')
}
