import { linearRegression } from 'simple-statistics'
import { CONDUCTOR } from '../knowledge/electrical/wire'
import { METALS } from '../knowledge/electrical/limits'
import { q, say } from '../quantity/sentence'
import { badField } from '../validation/input-error'

/**
 * Temperature of a winding from its cold and hot resistance: T = R₂/R₁ · (k + T₁) − k.
 *
 * @source IEC 60034-1, resistance method, k = 235 for copper
 */
export function windingTemperature(coldOhms: number, coldCelsius: number, hotOhms: number, constant = 235): number {
  return (hotOhms / coldOhms) * (constant + coldCelsius) - constant
}

/**
 * Newton cooling fitted to temperatures read after a stop: T = Ta + (T₀ − Ta)·e^(−t/τ), by least squares on the
 * logarithm.
 *
 * @param readings seconds since the stop and °C, at least two at different times
 * @throws InputError when a reading is not above the ambient, or the winding does not cool
 */
export function fitCooling(
  ambientCelsius: number,
  readings: readonly { seconds: number; celsius: number }[],
): { timeConstantSeconds: number; celsiusAtStop: number } {
  const points = readings.map(({ seconds, celsius }, index) => {
    if (celsius <= ambientCelsius)
      throw badField(
        `readings.${index}`,
        celsius,
        say`above the ambient ${q(ambientCelsius, 'temperature')}: a winding cools towards it, never below`,
      )
    return [seconds, Math.log(celsius - ambientCelsius)]
  })
  if (new Set(readings.map(({ seconds }) => seconds)).size < 2)
    throw badField('readings', readings.length, 'at least two readings at different times')
  const { m: slope, b: atStop } = linearRegression(points)
  // Times too near for the sums leave no slope at all.
  if (!(slope < 0)) throw badField('readings', readings.length, 'readings that fall with time: these do not cool')
  return { timeConstantSeconds: -1 / slope, celsiusAtStop: ambientCelsius + Math.exp(atStop) }
}

/**
 * How fast a stalled winding heats: all heat stays in the copper, whose resistance rises with it.
 *
 * @returns K per second at 20 °C, and the seconds from start to limit
 */
export function stallHeating({
  amps,
  wireMillimetres,
  startCelsius,
  limitCelsius,
}: {
  amps: number
  wireMillimetres: number
  startCelsius: number
  limitCelsius: number
}): { kelvinPerSecond: number; seconds: number } {
  const alpha = METALS.copper.alphaPer20
  const density = amps / ((Math.PI / 4) * wireMillimetres ** 2)
  // A/mm² squared times Ω·mm²/m is 10⁶ W/m³.
  const kelvinPerSecond =
    (density ** 2 * CONDUCTOR.copperOhmSquareMillimetresPerMetre * 1e6) /
    (METALS.copper.density * METALS.copper.specificHeat)
  const at = (celsius: number) => 1 + alpha * (celsius - 20)
  return { kelvinPerSecond, seconds: Math.log(at(limitCelsius) / at(startCelsius)) / (alpha * kelvinPerSecond) }
}
