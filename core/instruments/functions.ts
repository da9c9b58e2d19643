import type { Basis } from '../judgement/judgement'
import { KPA_PER_PSI } from '../quantity/conversions'
import type { Unit } from '../quantity/units'

/** How far a reading may be off: a share of it, and so much beside, in its unit. */
export interface Accuracy {
  share: number
  floor: number
}

export interface MeterFunction {
  label: string
  /** The unit that the program keeps. */
  unit: Unit
  /** How many of that unit one of the SI unit is in which the instrument sends. */
  perSi: number
  accuracy: Accuracy
}

/**
 * What an instrument can be set to, by the name that it has in SCPI (1999, volume 2); `INS` is not in it and is the
 * name of insulation testers that speak in its manner.
 */
export const FUNCTIONS = {
  'VOLT:AC': { label: 'volts', unit: 'V', perSi: 1, accuracy: { share: 0.006, floor: 0.3 } },
  'VOLT:DC': { label: 'volts, direct', unit: 'V', perSi: 1, accuracy: { share: 0.003, floor: 0.02 } },
  'CURR:AC': { label: 'amps', unit: 'A', perSi: 1, accuracy: { share: 0.015, floor: 0.05 } },
  RES: { label: 'ohms', unit: 'ohm', perSi: 1, accuracy: { share: 0.008, floor: 0.06 } },
  CAP: { label: 'microfarads', unit: 'uF', perSi: 1e6, accuracy: { share: 0.01, floor: 0.1 } },
  INS: { label: 'insulation', unit: 'Mohm', perSi: 1e-6, accuracy: { share: 0.05, floor: 0.001 } },
  PRES: { label: 'pressure', unit: 'psi', perSi: 1e-3 / KPA_PER_PSI, accuracy: { share: 0.01, floor: 0.4 } },
  TEMP: { label: 'temperature', unit: 'celsius', perSi: 1, accuracy: { share: 0.005, floor: 0.5 } },
} as const satisfies Record<string, MeterFunction>
export type FunctionName = keyof typeof FUNCTIONS

/** Where nobody entered the accuracy of an instrument. */
export const ACCURACY_BASIS: Basis = { kind: 'common-practice', name: 'usual accuracy of handheld instruments' }

export const isFunction = (name: string): name is FunctionName => Object.hasOwn(FUNCTIONS, name)

/** Wider than the rest. */
export const meterFunction = (name: FunctionName): MeterFunction => FUNCTIONS[name]

/** By how much a value may be off, in its unit. */
export function errorOf(value: number, { share, floor }: Accuracy): number {
  return Math.hypot(share * value, floor)
}
