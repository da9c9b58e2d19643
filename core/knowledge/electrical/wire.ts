import type { Basis } from '../../judgement/judgement'

/** Copper wire by gauge, thinnest first, with the ampacity of its 60 °C column. */
export interface WireSize {
  awg: string
  ampacity: number
}
export const WIRE_SIZES: readonly WireSize[] = [
  { awg: '14', ampacity: 15 },
  { awg: '12', ampacity: 20 },
  { awg: '10', ampacity: 30 },
  { awg: '8', ampacity: 40 },
  { awg: '6', ampacity: 55 },
  { awg: '4', ampacity: 70 },
  { awg: '3', ampacity: 85 },
  { awg: '2', ampacity: 95 },
  { awg: '1', ampacity: 110 },
  { awg: '1/0', ampacity: 125 },
  { awg: '2/0', ampacity: 145 },
  { awg: '3/0', ampacity: 165 },
  { awg: '4/0', ampacity: 195 },
]
/** Wire that is met in a box or on a lead, thinnest first: the two thinnest carry signals and cords. */
export const WIRE_GAUGES: readonly string[] = ['18', '16', ...WIRE_SIZES.map(({ awg }) => awg)]
export const AMPACITY_BASIS: Basis = {
  kind: 'standard',
  name: 'NEC table 310.16, copper, 60 °C column, no derating (from memory); local code decides',
}
/**
 * A loaded conductor as hot as its insulation allows, for its resistance: the drop is judged at its worst, on the page
 * and in the working alike.
 */
export const WIRE_CELSIUS = {
  value: 75,
  basis: { kind: 'standard', name: 'NEC chapter 9, tables 8 and 9: resistance at 75 °C (from memory)' } as Basis,
}
/** Motor branch conductors carry 125 % of the full-load current of the table. */
export const MOTOR_BRANCH = {
  factor: 1.25,
  basis: { kind: 'standard', name: 'NEC 430.22(A): 125 % of full-load current (from memory)' } as Basis,
}

export const CONDUCTOR = {
  /** Resistivity of annealed copper at 20 °C, Ω·mm²/m, and what stranding adds to the length of each strand. */
  copperOhmSquareMillimetresPerMetre: 1 / 58,
  aluminiumOhmSquareMillimetresPerMetre: 0.028264,
  strandedFactor: 1.02,
  /** ASTM B258: diameter = 0.127 mm × 92^((36 − n) / 39). */
  gaugeMillimetres: 0.127,
  gaugeRatio: 92,
  gaugeAt: 36,
  gaugeSteps: 39,
  /** Gauges that the rule is used for here: 40 to 4/0. */
  thinnest: 40,
  thickest: -3,
  basis: { kind: 'standard', name: 'ASTM B258 gauge, IEC 60028 copper 1/58 Ω·mm²/m at 20 °C' } as Basis,
}

/** Temperature-rise limits of a winding by the resistance method, K. */
export const RISE_LIMITS = {
  kelvin: { A: 60, B: 80, F: 105, H: 125 } as const,
  basis: { kind: 'standard', name: 'IEC 60034-1, rise by resistance (from memory)' } as Basis,
}
export type ThermalClass = keyof typeof RISE_LIMITS.kelvin

/** Locked-rotor kVA per horsepower by code letter: from, and below. */
export const CODE_LETTERS: Readonly<Record<string, readonly [low: number, below: number | null]>> = {
  A: [0, 3.15],
  B: [3.15, 3.55],
  C: [3.55, 4],
  D: [4, 4.5],
  E: [4.5, 5],
  F: [5, 5.6],
  G: [5.6, 6.3],
  H: [6.3, 7.1],
  J: [7.1, 8],
  K: [8, 9],
  L: [9, 10],
  M: [10, 11.2],
  N: [11.2, 12.5],
  P: [12.5, 14],
  R: [14, 16],
  S: [16, 18],
  T: [18, 20],
  U: [20, 22.4],
  V: [22.4, null],
}
export const CODE_LETTER_BASIS: Basis = {
  kind: 'standard',
  name: 'NEC table 430.7(B), NEMA MG 1 code letters (from memory)',
}

/** Absorption and polarization of insulation. Above `meaningfulMegohms` at one minute the ratios say nothing. */
export const ABSORPTION = {
  indexMinimum: { A: 1.5, B: 2, F: 2, H: 2 } as const,
  ratioSound: 1.25,
  ratioFailed: 1,
  meaningfulMegohms: 5000,
  basis: {
    kind: 'standard',
    name: 'IEEE 43: polarization index at least 2.0 (1.5 in class A); not judged above 5 GΩ',
  } as Basis,
  ratioBasis: { kind: 'common-practice', name: 'absorption ratio 60 s / 30 s: below 1 wet, from 1.25 sound' } as Basis,
}
