import type { Basis } from '../judgement/judgement'
import type { Fault, Kind, Part } from './vocabulary'

/** Failures per 1000 machine-years at `atYears`, kind by kind. What has no row here a machine of the kind cannot have. */
export interface KindRates {
  atYears: number
  per1000: Partial<Record<Fault, number>>
  /** Where the fault lives in another part than usual. */
  parts?: Partial<Record<Fault, Part>>
  basis: Basis
}

const shop: Basis = { kind: 'shop', name: 'shop estimate; the shop’s own closed visits move it' }
const pool: Basis = { kind: 'common-practice', name: 'usual lives in the trade: pool motor 5–10 years, seal 3–8, capacitor 5–10; else shop estimate' }
const well: Basis = { kind: 'common-practice', name: 'usual lives in the trade: submersible 8–15 years; else shop estimate' }
const sump: Basis = { kind: 'common-practice', name: 'usual lives in the trade: sump pump 7–10 years; else shop estimate' }

const WELL_COMMON: KindRates['per1000'] = {
  'no-supply': 12, 'low-supply-voltage': 6, 'loose-connection': 8, 'run-winding-open': 7, 'start-winding-open': 4, 'winding-shorted': 6, 'winding-to-ground': 14, 'cable-to-ground': 9, 'cable-open': 6,
  'lead-connector-leaking': 4, 'water-in-motor': 6, 'thermal-protector-open': 3, 'bearings-worn': 3, 'motor-seized': 6, 'thrust-bearing-worn': 6, 'stages-worn': 14, 'stages-bound': 6, 'stages-broken': 2, 'coupling-sheared': 3,
  'suction-blocked': 3, 'check-valve-failed': 12, 'pressure-switch-failed': 24, 'pressure-switch-blocked': 12, 'pressure-switch-misset': 6, 'tank-waterlogged': 40, 'system-leak': 14, 'relief-valve-failed': 2, 'low-water': 14, 'undersized-pump': 2,
}

export const FAULT_RATES: Record<Kind, KindRates> = {
  pool: {
    atYears: 6.5, basis: pool, parts: { 'suction-air-leak': 'lid-o-ring', 'lost-prime': 'lid-o-ring' },
    per1000: {
      'no-supply': 14, 'timer-failed': 9, 'low-supply-voltage': 6, 'wrong-voltage-selected': 1.5, 'loose-connection': 10, 'run-capacitor-failed': 36, 'start-capacitor-failed': 25, 'start-switch-failed': 15, 'run-winding-open': 4, 'start-winding-open': 4,
      'winding-shorted': 6, 'winding-to-ground': 8, 'water-in-motor': 8, 'thermal-protector-open': 3, 'bearings-worn': 50, 'bearing-loose-on-shaft': 2.5, 'shaft-bent': 1, 'rotor-rubbing': 1.5, 'motor-seized': 7.5, 'cooling-blocked': 5,
      'shaft-seal-leaking': 62, 'shaft-o-ring-leaking': 3, 'housing-seal-leaking': 20, 'joint-leaking': 18, 'seal-plate-cracked': 3, 'impeller-clogged': 24, 'impeller-worn': 4, 'impeller-broken': 5, 'impeller-rubbing': 3,
      'suction-air-leak': 26, 'suction-blocked': 26, 'lost-prime': 14, 'discharge-blocked': 20, cavitation: 4, 'drive-electronics-failed': 30, 'bonding-missing': 0.5,
    },
  },
  booster: {
    atYears: 6, basis: shop, parts: { 'joint-leaking': 'hose-connector', 'suction-blocked': 'intake-screen' },
    per1000: {
      'no-supply': 10, 'timer-failed': 9, 'low-supply-voltage': 5, 'wrong-voltage-selected': 1.5, 'loose-connection': 8, 'run-capacitor-failed': 25, 'start-capacitor-failed': 24, 'start-switch-failed': 15, 'run-winding-open': 4, 'start-winding-open': 4,
      'winding-shorted': 5, 'winding-to-ground': 8, 'water-in-motor': 8, 'thermal-protector-open': 3, 'bearings-worn': 40, 'bearing-loose-on-shaft': 2, 'shaft-bent': 0.8, 'rotor-rubbing': 1.2, 'motor-seized': 8, 'cooling-blocked': 3,
      'shaft-seal-leaking': 55, 'housing-seal-leaking': 12, 'joint-leaking': 22, 'impeller-clogged': 14, 'impeller-worn': 6, 'impeller-broken': 3, 'impeller-rubbing': 2, 'suction-blocked': 15, 'lost-prime': 8, 'discharge-blocked': 12, 'bonding-missing': 0.5,
    },
  },
  spa: {
    atYears: 6, basis: shop, parts: { 'suction-blocked': 'intake-screen', 'run-winding-open': 'run-winding' },
    per1000: {
      'no-supply': 9, 'outlet-dead': 5, 'timer-failed': 14, 'low-supply-voltage': 3, 'wrong-voltage-selected': 1.5, 'loose-connection': 14, 'run-capacitor-failed': 28, 'start-capacitor-failed': 12, 'start-switch-failed': 12, 'run-winding-open': 6, 'start-winding-open': 3,
      'winding-shorted': 6, 'winding-to-ground': 8, 'water-in-motor': 8, 'thermal-protector-open': 3, 'bearings-worn': 45, 'bearing-loose-on-shaft': 2, 'shaft-bent': 0.8, 'rotor-rubbing': 1, 'motor-seized': 10, 'cooling-blocked': 9,
      'shaft-seal-leaking': 55, 'shaft-o-ring-leaking': 3, 'housing-seal-leaking': 14, 'joint-leaking': 22, 'seal-plate-cracked': 2, 'impeller-clogged': 10, 'impeller-worn': 3, 'impeller-broken': 4, 'impeller-rubbing': 2,
      'suction-air-leak': 6, 'suction-blocked': 14, 'lost-prime': 18, 'discharge-blocked': 10, 'drive-electronics-failed': 12, 'bonding-missing': 0.5,
    },
  },
  'well-two-wire': { atYears: 10, basis: well, parts: { 'suction-blocked': 'intake-screen' }, per1000: { ...WELL_COMMON, 'run-capacitor-failed': 7, 'start-capacitor-failed': 9, 'start-switch-failed': 9 } },
  'well-three-wire': { atYears: 10, basis: well, parts: { 'suction-blocked': 'intake-screen' }, per1000: { ...WELL_COMMON, 'run-capacitor-failed': 11, 'start-capacitor-failed': 20, 'start-relay-failed': 11, 'leads-swapped': 1 } },
  jet: {
    atYears: 8, basis: shop, parts: { 'suction-blocked': 'ejector' },
    per1000: {
      'no-supply': 10, 'low-supply-voltage': 4, 'wrong-voltage-selected': 2, 'loose-connection': 7, 'run-capacitor-failed': 20, 'start-capacitor-failed': 22, 'start-switch-failed': 16, 'run-winding-open': 4, 'start-winding-open': 4,
      'winding-shorted': 5, 'winding-to-ground': 7, 'water-in-motor': 5, 'thermal-protector-open': 3, 'bearings-worn': 30, 'bearing-loose-on-shaft': 1.5, 'shaft-bent': 0.8, 'rotor-rubbing': 1, 'motor-seized': 8, 'cooling-blocked': 3,
      'shaft-seal-leaking': 35, 'housing-seal-leaking': 8, 'joint-leaking': 10, 'impeller-clogged': 8, 'impeller-worn': 10, 'impeller-broken': 2, 'impeller-rubbing': 1.5, 'suction-air-leak': 22, 'suction-blocked': 10, 'foot-valve-leaking': 28, 'lost-prime': 12,
      'pressure-switch-failed': 24, 'pressure-switch-blocked': 16, 'pressure-switch-misset': 7, 'tank-waterlogged': 40, 'system-leak': 12, 'relief-valve-failed': 2, 'low-water': 12, 'undersized-pump': 3, cavitation: 2,
    },
  },
  sump: {
    atYears: 7, basis: sump, parts: { 'suction-blocked': 'intake-screen' },
    per1000: {
      'no-supply': 8, 'outlet-dead': 14, 'low-supply-voltage': 2, 'loose-connection': 3, 'run-capacitor-failed': 14, 'start-capacitor-failed': 9, 'start-switch-failed': 10, 'run-winding-open': 6, 'start-winding-open': 2, 'winding-shorted': 5,
      'winding-to-ground': 9, 'lead-connector-leaking': 4, 'water-in-motor': 9, 'thermal-protector-open': 4, 'bearings-worn': 10, 'motor-seized': 12, 'impeller-clogged': 26, 'impeller-worn': 4, 'impeller-broken': 4,
      'check-valve-failed': 16, 'discharge-blocked': 12, 'joint-leaking': 6, 'float-switch-failed': 34, 'float-stuck': 22, 'float-heights-wrong': 10, 'backup-battery-failed': 24, 'undersized-pump': 8, 'lost-prime': 4,
    },
  },
  circulation: {
    atYears: 5, basis: shop, parts: { 'suction-blocked': 'intake-screen' },
    per1000: {
      'no-supply': 6, 'outlet-dead': 8, 'low-supply-voltage': 2, 'wrong-voltage-selected': 1, 'loose-connection': 6, 'run-capacitor-failed': 24, 'start-capacitor-failed': 12, 'start-switch-failed': 10, 'run-winding-open': 4, 'start-winding-open': 3,
      'winding-shorted': 5, 'winding-to-ground': 8, 'water-in-motor': 7, 'thermal-protector-open': 3, 'bearings-worn': 60, 'bearing-loose-on-shaft': 3, 'shaft-bent': 0.8, 'rotor-rubbing': 1.5, 'motor-seized': 8, 'cooling-blocked': 9,
      'shaft-seal-leaking': 60, 'shaft-o-ring-leaking': 2, 'housing-seal-leaking': 8, 'joint-leaking': 14, 'impeller-clogged': 12, 'impeller-worn': 5, 'impeller-broken': 2, 'impeller-rubbing': 2, 'suction-air-leak': 4, 'suction-blocked': 14, 'lost-prime': 8,
      'discharge-blocked': 14, 'check-valve-failed': 5, 'low-water': 5, cavitation: 2, 'drive-electronics-failed': 15,
    },
  },
  utility: {
    atYears: 7, basis: shop, parts: { 'suction-blocked': 'intake-screen', 'impeller-rubbing': 'shims' },
    per1000: {
      'no-supply': 6, 'outlet-dead': 6, 'low-supply-voltage': 2, 'wrong-voltage-selected': 1.5, 'loose-connection': 6, 'run-capacitor-failed': 20, 'start-capacitor-failed': 14, 'start-switch-failed': 12, 'run-winding-open': 4, 'start-winding-open': 3,
      'winding-shorted': 5, 'winding-to-ground': 5, 'water-in-motor': 4, 'thermal-protector-open': 3, 'bearings-worn': 45, 'bearing-loose-on-shaft': 3, 'shaft-bent': 1.2, 'rotor-rubbing': 2, 'motor-seized': 8, 'cooling-blocked': 6,
      'shaft-seal-leaking': 22, 'housing-seal-leaking': 6, 'joint-leaking': 6, 'impeller-clogged': 14, 'impeller-worn': 8, 'impeller-broken': 4, 'impeller-rubbing': 12, 'coupling-sheared': 5, 'suction-air-leak': 12, 'suction-blocked': 16, 'lost-prime': 5, 'discharge-blocked': 8,
    },
  },
}
