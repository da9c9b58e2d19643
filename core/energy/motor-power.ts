import { POWER_FACTORS } from '../knowledge/electrical/motors'
import type { CompletePlate } from '../motor/nameplate'
import { runningCost } from './running-cost'

const DAYS_PER_YEAR = 365

/**
 * What a motor takes from the mains, watts: volts times amps times the power factor of its type.
 *
 * @param amps as read while it ran; at full load where nobody read them
 */
export function motorWatts(
  { volts, fullLoadAmps, motorType }: Pick<CompletePlate, 'volts' | 'fullLoadAmps' | 'motorType'>,
  amps: number = fullLoadAmps,
): number {
  return volts * amps * POWER_FACTORS[motorType]
}

/** What a year of running costs, in the currency of the price: at its hours a day, every day. */
export function powerPerYear(watts: number, hoursPerDay: number, pricePerKwh: number): number {
  return runningCost([{ watts, hoursPerDay }], pricePerKwh, DAYS_PER_YEAR).costPerYear
}
