import type { Basis } from '../../judgement/judgement'
import type { Needs } from './model-types'
import type { Fault, MotorType, Part } from '../vocabulary'

/**
 * What is true of a fault on every machine: how age shapes it, which part it lives in, what the motor must have for it.
 */
export interface FaultTraits {
  /** Weibull shape: below 1 infant, 1 random, above 1 wear-out. */
  shape: number
  part?: Part
  needs?: Needs
}

export const TRAITS_BASIS: Basis = { kind: 'shop', name: 'shape by the way the part wears, shop estimate' }

export const FAULT_TRAITS: Record<Exclude<Fault, 'nothing-wrong'>, FaultTraits> = {
  'no-supply': { shape: 1, part: 'breaker' },
  'outlet-dead': { shape: 1, part: 'outlet' },
  'timer-failed': { shape: 1.3, part: 'timer' },
  'low-supply-voltage': { shape: 1 },
  'wrong-voltage-selected': { shape: 0.6, part: 'selector' },
  'loose-connection': { shape: 1, part: 'terminal-board' },
  'run-capacitor-failed': { shape: 1.8, part: 'run-capacitor', needs: 'run-capacitor' },
  'start-capacitor-failed': { shape: 1.6, part: 'start-capacitor', needs: 'start-capacitor' },
  'start-switch-failed': { shape: 1.6, part: 'start-switch', needs: 'start-switch' },
  'start-relay-failed': { shape: 1.4, part: 'start-relay', needs: 'start-switch' },
  'run-winding-open': { shape: 2, part: 'run-winding' },
  'start-winding-open': { shape: 2, part: 'start-winding', needs: 'start-winding' },
  'winding-shorted': { shape: 2, part: 'run-winding' },
  'winding-to-ground': { shape: 2, part: 'insulation' },
  'cable-to-ground': { shape: 1.6, part: 'cable' },
  'cable-open': { shape: 1.2, part: 'splice' },
  'leads-swapped': { shape: 0.5, part: 'splice', needs: 'start-winding' },
  'lead-connector-leaking': { shape: 1.6, part: 'lead-connector' },
  'water-in-motor': { shape: 1.6, part: 'insulation' },
  // A drive guards its motor itself.
  'thermal-protector-open': { shape: 1.5, part: 'thermal-protector', needs: 'start-winding' },
  'bearings-worn': { shape: 2.2, part: 'bearings' },
  'bearing-loose-on-shaft': { shape: 1.5, part: 'shaft' },
  'shaft-bent': { shape: 1, part: 'shaft' },
  'rotor-rubbing': { shape: 2, part: 'rotor' },
  'motor-seized': { shape: 2, part: 'bearings' },
  'thrust-bearing-worn': { shape: 2, part: 'thrust-bearing' },
  'cooling-blocked': { shape: 1, part: 'fan' },
  'shaft-seal-leaking': { shape: 1.7, part: 'shaft-seal' },
  'shaft-o-ring-leaking': { shape: 1.2, part: 'shaft-o-ring' },
  'housing-seal-leaking': { shape: 1.5, part: 'housing-o-ring' },
  'joint-leaking': { shape: 1.2, part: 'union' },
  'seal-plate-cracked': { shape: 1.3, part: 'seal-plate' },
  'impeller-clogged': { shape: 1, part: 'impeller' },
  'impeller-worn': { shape: 2, part: 'impeller' },
  'impeller-broken': { shape: 1.2, part: 'impeller' },
  'impeller-rubbing': { shape: 0.8, part: 'impeller' },
  'stages-worn': { shape: 2, part: 'stages' },
  'stages-bound': { shape: 1, part: 'stages' },
  'stages-broken': { shape: 1.3, part: 'stages' },
  'coupling-sheared': { shape: 1.3, part: 'coupling' },
  'suction-air-leak': { shape: 1.2, part: 'suction-pipe' },
  'suction-blocked': { shape: 1, part: 'strainer' },
  'foot-valve-leaking': { shape: 1.4, part: 'foot-valve' },
  'lost-prime': { shape: 1, part: 'suction-pipe' },
  'discharge-blocked': { shape: 1, part: 'discharge-pipe' },
  'check-valve-failed': { shape: 1.4, part: 'check-valve' },
  'pressure-switch-failed': { shape: 1.5, part: 'pressure-switch' },
  'pressure-switch-blocked': { shape: 1.4, part: 'pressure-switch' },
  'pressure-switch-misset': { shape: 0.6, part: 'pressure-switch' },
  'tank-waterlogged': { shape: 1.8, part: 'tank' },
  'system-leak': { shape: 1.2, part: 'discharge-pipe' },
  'relief-valve-failed': { shape: 1.4, part: 'relief-valve' },
  'float-switch-failed': { shape: 1.6, part: 'float-switch' },
  'float-stuck': { shape: 1, part: 'float-switch' },
  'float-heights-wrong': { shape: 0.6, part: 'backup-float' },
  'backup-battery-failed': { shape: 2, part: 'battery' },
  'low-water': { shape: 1 },
  'undersized-pump': { shape: 0.6, part: 'pump' },
  cavitation: { shape: 1, part: 'suction-pipe' },
  'drive-electronics-failed': { shape: 1, part: 'drive-electronics', needs: 'electronics' },
  'bonding-missing': { shape: 1, part: 'bonding-lug' },
  'wrong-frequency': { shape: 0.6, part: 'motor' },
  'wrong-capacitor-fitted': { shape: 1, needs: 'capacitor' },
  'house-filter-clogged': { shape: 1, part: 'house-filter' },
  'supply-wiring-wet': { shape: 1.2, part: 'conduit' },
  'gfci-worn': { shape: 1.6, part: 'gfci' },
  'water-level-low': { shape: 1 },
  'drop-pipe-leaking': { shape: 1.6, part: 'drop-pipe' },
  'tank-air-low': { shape: 1.2 },
  'air-bound': { shape: 1 },
  'bearing-misfitted': { shape: 0.6 },
  'seal-misfitted': { shape: 0.6 },
  'adapter-leaking': { shape: 1.2, part: 'adapter' },
}

/** Faults that are heard and felt at the motor; the others at the pump. */
export const AT_MOTOR: ReadonlySet<string> = new Set<Fault>([
  'run-capacitor-failed',
  'start-capacitor-failed',
  'start-switch-failed',
  'start-relay-failed',
  'run-winding-open',
  'start-winding-open',
  'winding-shorted',
  'bearings-worn',
  'bearing-misfitted',
  'bearing-loose-on-shaft',
  'shaft-bent',
  'rotor-rubbing',
  'motor-seized',
  'cooling-blocked',
  'low-supply-voltage',
  'wrong-voltage-selected',
  'wrong-frequency',
  'wrong-capacitor-fitted',
  'loose-connection',
])
/** How often a noise is placed on the side where it is. */
export const SIDE_RIGHT = 0.85
export const SIDE_BASIS: Basis = { kind: 'shop', name: 'how well an ear places a noise, shop estimate' }

/** How surely nothing turns with the fault alone. A reading of the water, or of running amps, then shows only that. */
export const STANDS_STILL: Partial<Record<Fault, number>> = {
  'no-supply': 0.98,
  'outlet-dead': 0.98,
  'timer-failed': 0.85,
  'cable-open': 0.95,
  'run-winding-open': 0.97,
  'start-winding-open': 0.97,
  'thermal-protector-open': 0.98,
  'motor-seized': 0.98,
  'stages-bound': 0.98,
  'leads-swapped': 0.97,
  'start-capacitor-failed': 0.9,
  'start-switch-failed': 0.7,
  'start-relay-failed': 0.7,
  'run-capacitor-failed': 0.7,
  'loose-connection': 0.6,
  'winding-shorted': 0.2,
  'winding-to-ground': 0.4,
  'water-in-motor': 0.35,
  'cable-to-ground': 0.15,
  'lead-connector-leaking': 0.3,
  'pressure-switch-failed': 0.7,
  'pressure-switch-blocked': 0.5,
  'float-switch-failed': 0.8,
  'float-stuck': 0.65,
  'wrong-voltage-selected': 0.5,
  'low-supply-voltage': 0.1,
  'drive-electronics-failed': 0.9,
  'impeller-clogged': 0.06,
  'supply-wiring-wet': 0.6,
  'gfci-worn': 0.9,
  'wrong-capacitor-fitted': 0.2,
  'wrong-frequency': 0.1,
}
export const STANDS_STILL_BASIS: Basis = {
  kind: 'shop',
  name: 'how often nothing turns with this fault, shop estimate',
}
/**
 * Where the motor type decides: with a start capacitor beside it, a dead run capacitor still lets the motor start, and
 * it runs hot.
 */
export const STARTS_ALL_THE_SAME: Partial<Record<MotorType, Partial<Record<Fault, number>>>> = {
  'capacitor-start-run': { 'run-capacitor-failed': 0.06 },
}

/** How surely nothing turns, by motor type. */
export function standsStill(fault: Fault, type: MotorType): number {
  return STARTS_ALL_THE_SAME[type]?.[fault] ?? STANDS_STILL[fault] ?? 0
}
