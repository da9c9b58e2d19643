import { ATMOSPHERE, GRAVITY, KELL, SATURATION, USUAL_DENSITY, VISCOSITY } from '../knowledge/water/water'
import { q, say } from '../quantity/sentence'
import { badField } from '../validation/input-error'

const KELVIN = 273.15

export interface WaterProperties {
  densityKgPerM3: number
  viscosityPascalSeconds: number
  vapourPressureKpa: number
}

/**
 * Density, viscosity and vapour pressure of air-free water at one atmosphere.
 *
 * @source Kell 1975; IAPWS 2008 at 0.1 MPa; IAPWS-IF97 region 4
 * @throws InputError outside 0.01 to 100 °C
 */
export function waterProperties(celsius: number): WaterProperties {
  const [low, high] = SATURATION.validCelsius
  if (!(celsius >= low && celsius <= high))
    throw badField(
      'celsius',
      celsius,
      say`from ${q(low, 'temperature')} to ${q(high, 'temperature')}: liquid water at one atmosphere`,
    )
  const numerator = KELL.numerator.reduceRight((sum, coefficient) => sum * celsius + coefficient, 0)
  const t = (celsius + KELVIN) / 300
  return {
    densityKgPerM3: numerator / (1 + KELL.denominator * celsius),
    vapourPressureKpa: vapourPressureKpa(celsius),
    viscosityPascalSeconds:
      VISCOSITY.a.reduce<number>((sum, a, index) => sum + a * t ** (VISCOSITY.b[index] as number), 0) / 1e6,
  }
}

/** Saturation pressure, kPa, by the backward quadratic of region 4. */
function vapourPressureKpa(celsius: number): number {
  const [n1, n2, n3, n4, n5, n6, n7, n8, n9, n10] = SATURATION.n
  const kelvin = celsius + KELVIN
  const theta = kelvin + n9 / (kelvin - n10)
  const a = theta ** 2 + n1 * theta + n2
  const b = n3 * theta ** 2 + n4 * theta + n5
  const c = n6 * theta ** 2 + n7 * theta + n8
  return 1000 * ((2 * c) / (-b + Math.sqrt(b ** 2 - 4 * a * c))) ** 4
}

/**
 * Atmospheric pressure at an altitude, kPa.
 *
 * @source ISA standard atmosphere
 * @throws InputError outside its lowest layer as used here
 */
export function atmosphereKpa(altitudeMetres: number): number {
  const {
    seaLevelKpa,
    lapseKelvinPerMetre,
    seaLevelKelvin,
    exponent,
    validMetres: [low, high],
  } = ATMOSPHERE
  if (!(altitudeMetres >= low && altitudeMetres <= high))
    throw badField('altitudeMetres', altitudeMetres, say`from ${q(low, 'length', 4)} to ${q(high, 'length', 4)}`)
  return seaLevelKpa * (1 - (lapseKelvinPerMetre * altitudeMetres) / seaLevelKelvin) ** exponent
}

/** Metres of water of a density that a pressure holds up. */
export function metresOf(kpa: number, densityKgPerM3: number = USUAL_DENSITY): number {
  return (1000 * kpa) / (densityKgPerM3 * GRAVITY)
}

/** Pressure under metres of water, kPa. */
export function kpaOf(metres: number, densityKgPerM3: number = USUAL_DENSITY): number {
  return (metres * densityKgPerM3 * GRAVITY) / 1000
}

/** Power that a flow carries at a head, watts: ρ g Q H. */
export function waterWatts(flowLitresPerSecond: number, headMetres: number): number {
  return (flowLitresPerSecond / 1000) * headMetres * USUAL_DENSITY * GRAVITY
}
