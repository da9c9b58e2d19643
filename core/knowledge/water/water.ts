import type { Basis } from '../../judgement/judgement'

export const GRAVITY = 9.80665
/** Fresh water at 15 °C, kg/m³, where nobody asks for its temperature. */
export const USUAL_DENSITY = 999.1

/** Standard atmosphere below 11 km: p = p₀ · (1 − L·h / T₀)^(g·M / R·L). */
export const ATMOSPHERE = {
  seaLevelKpa: 101.325,
  lapseKelvinPerMetre: 0.0065,
  seaLevelKelvin: 288.15,
  exponent: 5.25588,
  validMetres: [-500, 5000] as const,
  basis: { kind: 'standard', name: 'ISA standard atmosphere' } as Basis,
}

/** Saturation pressure of water: the ten coefficients of IAPWS-IF97, region 4. */
export const SATURATION = {
  n: [
    0.11670521452767e4, -0.72421316703206e6, -0.17073846940092e2, 0.1202082470247e5, -0.32325550322333e7,
    0.1491510861353e2, -0.48232657361591e4, 0.40511340542057e6, -0.23855557567849, 0.65017534844798e3,
  ] as const,
  validCelsius: [0.01, 100] as const,
  basis: { kind: 'standard', name: 'IAPWS-IF97, region 4: saturation pressure' } as Basis,
}
/** Kell's formula for the density of air-free water at one atmosphere, kg/m³. */
export const KELL = {
  numerator: [999.83952, 16.945176, -7.9870401e-3, -46.170461e-6, 105.56302e-9, -280.54253e-12] as const,
  denominator: 16.87985e-3,
  basis: { kind: 'standard', name: 'Kell 1975: density of water 0 to 100 °C' } as Basis,
}
/** Viscosity of water at one atmosphere: IAPWS 2008, the correlation for 0.1 MPa, micropascal seconds. */
export const VISCOSITY = {
  a: [280.68, 511.45, 61.131, 0.45903] as const,
  b: [-1.9, -7.7, -19.6, -40] as const,
  basis: { kind: 'standard', name: 'IAPWS 2008: viscosity of liquid water at 0.1 MPa' } as Basis,
}

/** The method of Hazen and Williams, SI form. */
export const HAZEN_WILLIAMS = {
  constant: 10.67,
  flowExponent: 1.852,
  diameterExponent: 4.8704,
  usualC: 150,
  validC: [60, 160] as const,
  basis: { kind: 'handbook', name: 'Hazen–Williams, SI form 10.67·L·Q^1.852 / (C^1.852·d^4.8704)' } as Basis,
}
export const DARCY = {
  laminarBelow: 2000,
  turbulentAbove: 4000,
  basis: { kind: 'handbook', name: 'Darcy–Weisbach with Colebrook’s friction factor; 64/Re below 2000' } as Basis,
}
export const USUAL_ROUGHNESS_MILLIMETRES = {
  value: 0.0015,
  basis: { kind: 'handbook', name: 'smooth plastic pipe, 0.0015 mm' } as Basis,
}

/** Water past a submersible's motor: 4-inch motors want a quarter foot a second. */
export const COOLING_FLOW = {
  metresPerSecond: 0.0762,
  basis: { kind: 'common-practice', name: 'at least 0.25 ft/s past a 4-inch motor, a flow sleeve otherwise' } as Basis,
}
export const NPSH_BASIS: Basis = {
  kind: 'handbook',
  name: 'NPSH available = (atmosphere − vapour pressure) / ρg − lift − friction',
}
/** Kept in hand above what the pump asks for. */
export const NPSH_MARGIN = {
  metres: 0.6,
  basis: { kind: 'common-practice', name: 'two feet (0.6 m) of suction head kept in hand' } as Basis,
}
export const BOYLE_BASIS: Basis = {
  kind: 'handbook',
  name: 'Boyle: absolute pressure × air volume is constant, tank at one temperature',
}
export const MASS_BALANCE: Basis = { kind: 'handbook', name: 'what flows in, out and back: mass balance' }
export const AFFINITY_BASIS: Basis = {
  kind: 'handbook',
  name: 'affinity laws: flow with speed, head with its square, power with its cube; the same for a trimmed wheel',
}
