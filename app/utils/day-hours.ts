import { addDays, format } from 'date-fns'
import { getTimes } from 'suncalc'
import { formatMinutes } from '#core/quantity/format'

const MINUTE = 60_000
const MINUTES_PER_DEGREE = 4
const NOON = 12 * 60

/** Minutes from midnight as a clock shows them; past midnight they go on. */
export function clock(minutes: number): string {
  return formatMinutes(minutes)
}

/** The two midnights of a day as instants, and its date, as the server takes them. */
export function spanOf(day: Date, on: string, days = 1): string {
  return `from=${day.toISOString()}&to=${addDays(day, days).toISOString()}&on=${on}`
}

/** What a day is asked of the shop by. @param day its midnight */
export function dayPath(day: Date): string {
  return `/api/day?${spanOf(day, format(day, 'yyyy-MM-dd'))}`
}

/**
 * When the sun sets on a day, minutes from its midnight. The longitude is the one at which the zone's standard noon is
 * the sun's.
 *
 * @param day its midnight
 * @param latitude degrees
 * @source suncalc, after Meeus, Astronomical Algorithms
 */
export function sunset(day: Date, latitude: number): number | undefined {
  const standard = -new Date(day.getFullYear(), 0, 1).getTimezoneOffset()
  const noon = new Date(noonOf(day))
  const at = getTimes(noon, latitude, standard / MINUTES_PER_DEGREE).sunset.getTime()
  return Number.isNaN(at) ? undefined : (at - day.getTime()) / MINUTE
}

/** An hour of a day, as a form has it, as an instant; undefined where none is entered. */
export function instantAt(on: string, hour: string): string | undefined {
  if (!hour) return undefined
  const at = new Date(`${on}T${hour}`)
  return Number.isNaN(at.getTime()) ? undefined : at.toISOString()
}

/** The noon of a day: an instant that is surely within it. */
export function noonOf(midnight: Date): string {
  return new Date(midnight.getTime() + NOON * MINUTE).toISOString()
}
