import type { Basis } from '../../judgement/judgement'
import { WELLS, type Complaint, type Fault, type Kind, type MotorType } from '../vocabulary'

/** Probability of each complaint given the fault alone. */
export type ComplaintTable = Partial<Record<Fault, Partial<Record<Complaint, number>>>>
export const COMPLAINT_BASIS: Basis = { kind: 'shop', name: 'what callers say, shop estimate' }

/** How often a complaint is made that no fault accounts for: seldom of a thing that happened, oftener of a feeling. */
export const COMPLAINT_LEAK: { usual: number } & Partial<Record<Complaint, number>> = {
  usual: 0.008,
  'trips-gfci': 0.0005,
  'trips-breaker': 0.001,
  dead: 0.001,
  'leak-under-motor': 0.003,
  'leak-at-joint': 0.004,
  'pit-flooded': 0.001,
  'alarm-sounding': 0.001,
  'hums-no-start': 0.004,
}

/** Pumps that circulate: pool, spa, booster, livestock tank, utility. */
const CIRCULATING: ComplaintTable = {
  'no-supply': { dead: 0.95, 'no-water': 0.1 },
  'outlet-dead': { dead: 0.95, 'no-water': 0.1, 'trips-gfci': 0.05 },
  'timer-failed': { dead: 0.8, 'never-stops': 0.15, 'one-speed-only': 0.5 },
  'low-supply-voltage': {
    'hums-no-start': 0.3,
    'runs-hot': 0.4,
    'cuts-out-hot': 0.35,
    'trips-breaker': 0.12,
    'low-flow': 0.1,
    'noise-buzz': 0.1,
  },
  'wrong-voltage-selected': {
    'hums-no-start': 0.5,
    'runs-hot': 0.2,
    'trips-breaker': 0.4,
    'smell-burnt': 0.2,
    'cuts-out-hot': 0.2,
  },
  'loose-connection': {
    dead: 0.4,
    'noise-buzz': 0.15,
    'cuts-out-hot': 0.2,
    'smell-burnt': 0.2,
    'hums-no-start': 0.15,
    'trips-breaker': 0.05,
    'one-speed-only': 0.25,
  },
  'run-capacitor-failed': {
    'hums-no-start': 0.7,
    'runs-hot': 0.15,
    'cuts-out-hot': 0.2,
    'trips-breaker': 0.15,
    'noise-buzz': 0.15,
    'low-flow': 0.05,
    'one-speed-only': 0.08,
  },
  'start-capacitor-failed': { 'hums-no-start': 0.85, 'trips-breaker': 0.25, 'cuts-out-hot': 0.15, 'smell-burnt': 0.05 },
  'start-switch-failed': {
    'hums-no-start': 0.65,
    'trips-breaker': 0.25,
    'runs-hot': 0.15,
    'noise-buzz': 0.1,
    'smell-burnt': 0.1,
    'cuts-out-hot': 0.15,
  },
  'run-winding-open': {
    dead: 0.5,
    'hums-no-start': 0.35,
    'smell-burnt': 0.35,
    'trips-breaker': 0.1,
    'one-speed-only': 0.35,
  },
  'start-winding-open': { 'hums-no-start': 0.92, 'trips-breaker': 0.2, 'smell-burnt': 0.2 },
  'winding-shorted': {
    'trips-breaker': 0.5,
    'smell-burnt': 0.5,
    'runs-hot': 0.4,
    'cuts-out-hot': 0.3,
    'hums-no-start': 0.2,
    'noise-buzz': 0.1,
  },
  'winding-to-ground': { 'trips-gfci': 0.7, 'trips-breaker': 0.5, 'smell-burnt': 0.15, dead: 0.05 },
  'water-in-motor': { 'trips-gfci': 0.75, 'trips-breaker': 0.3, 'leak-under-motor': 0.2, 'noise-grind': 0.12 },
  'thermal-protector-open': { dead: 0.9, 'cuts-out-hot': 0.2 },
  'bearings-worn': {
    'noise-whine': 0.55,
    'noise-squeal': 0.25,
    'noise-grind': 0.3,
    'noise-buzz': 0.25,
    'runs-hot': 0.2,
    vibrates: 0.15,
    'hums-no-start': 0.02,
    'cuts-out-hot': 0.06,
  },
  'bearing-loose-on-shaft': {
    'noise-rattle': 0.3,
    vibrates: 0.5,
    'noise-grind': 0.25,
    'noise-whine': 0.35,
    'runs-hot': 0.2,
  },
  'shaft-bent': { vibrates: 0.75, 'leak-under-motor': 0.2, 'noise-grind': 0.12 },
  'rotor-rubbing': { 'noise-grind': 0.6, 'hums-no-start': 0.15, 'runs-hot': 0.3, 'trips-breaker': 0.15 },
  'motor-seized': { 'hums-no-start': 0.85, 'trips-breaker': 0.4, 'smell-burnt': 0.15 },
  'cooling-blocked': { 'runs-hot': 0.6, 'cuts-out-hot': 0.7, 'noise-rattle': 0.06 },
  'shaft-seal-leaking': { 'leak-under-motor': 0.93, 'loses-prime': 0.04, 'noise-squeal': 0.03 },
  'shaft-o-ring-leaking': { 'leak-under-motor': 0.93 },
  'housing-seal-leaking': { 'leak-at-joint': 0.75, 'leak-under-motor': 0.3, 'loses-prime': 0.08 },
  'joint-leaking': { 'leak-at-joint': 0.95 },
  'seal-plate-cracked': { 'leak-under-motor': 0.6, 'leak-at-joint': 0.4, 'loses-prime': 0.08 },
  'impeller-clogged': {
    'low-flow': 0.85,
    'no-water': 0.15,
    'noise-rattle': 0.2,
    // A pebble between wheel and volute holds the shaft.
    'hums-no-start': 0.08,
    'trips-breaker': 0.03,
    'low-pressure': 0.4,
  },
  'impeller-worn': { 'low-flow': 0.9, 'low-pressure': 0.5 },
  'impeller-broken': { 'no-water': 0.7, 'noise-rattle': 0.35, 'low-flow': 0.3 },
  'impeller-rubbing': { 'noise-grind': 0.6, 'noise-squeal': 0.25, 'hums-no-start': 0.06, 'runs-hot': 0.1 },
  'coupling-sheared': { 'no-water': 0.95, 'noise-rattle': 0.2 },
  'suction-air-leak': {
    'loses-prime': 0.75,
    'low-flow': 0.35,
    'low-pressure': 0.2,
    'no-water': 0.1,
    'noise-rattle': 0.12,
  },
  'suction-blocked': {
    'low-flow': 0.8,
    'no-water': 0.15,
    'noise-grind': 0.08,
    'noise-rattle': 0.2,
    'low-pressure': 0.5,
  },
  'lost-prime': { 'no-water': 0.9, 'loses-prime': 0.45 },
  'discharge-blocked': { 'low-flow': 0.9, 'low-pressure': 0.35, 'runs-hot': 0.06, 'no-water': 0.1 },
  'check-valve-failed': { 'low-flow': 0.35, 'loses-prime': 0.3, 'noise-rattle': 0.15 },
  'low-water': { 'no-water': 0.4, 'loses-prime': 0.35, 'low-flow': 0.3, 'noise-rattle': 0.2 },
  cavitation: { 'noise-grind': 0.4, 'noise-rattle': 0.5, 'low-flow': 0.4 },
  'drive-electronics-failed': { dead: 0.8, 'trips-gfci': 0.1, 'cuts-out-hot': 0.15, 'one-speed-only': 0.1 },
  'bonding-missing': { 'trips-gfci': 0.05 },
  'wrong-frequency': { 'runs-hot': 0.45, 'cuts-out-hot': 0.4, 'trips-breaker': 0.2, 'noise-buzz': 0.2 },
  'wrong-capacitor-fitted': {
    'runs-hot': 0.4,
    'cuts-out-hot': 0.35,
    'noise-buzz': 0.3,
    'hums-no-start': 0.25,
    'trips-breaker': 0.1,
  },
  'supply-wiring-wet': { 'trips-gfci': 0.75, 'trips-breaker': 0.35, dead: 0.1 },
  'gfci-worn': { 'trips-gfci': 0.95, dead: 0.1 },
  'water-level-low': { 'loses-prime': 0.5, 'low-flow': 0.35, 'no-water': 0.15, 'noise-rattle': 0.2 },
  'bearing-misfitted': { 'noise-whine': 0.5, 'noise-grind': 0.3, 'runs-hot': 0.35, vibrates: 0.25 },
  'seal-misfitted': { 'leak-under-motor': 0.93 },
  'adapter-leaking': { 'leak-at-joint': 0.95 },
  'nothing-wrong': {
    'low-flow': 0.2,
    'low-pressure': 0.12,
    'high-bill': 0.3,
    'noise-buzz': 0.15,
    'noise-whine': 0.08,
    'trips-gfci': 0.08,
    dead: 0.02,
    'runs-hot': 0.15,
    'leak-under-motor': 0.02,
  },
}

/** House water: wells and jet pumps with a switch and a tank. A pump that stands still is told as "no water". */
const HOUSE_WATER: ComplaintTable = {
  'no-supply': { 'no-water': 0.85, dead: 0.5 },
  'low-supply-voltage': {
    'hums-no-start': 0.15,
    'trips-breaker': 0.25,
    'low-pressure': 0.25,
    'no-water': 0.3,
    'runs-hot': 0.35,
    'cuts-out-hot': 0.25,
  },
  'wrong-voltage-selected': {
    'hums-no-start': 0.5,
    'trips-breaker': 0.4,
    'smell-burnt': 0.2,
    'no-water': 0.4,
    'cuts-out-hot': 0.2,
  },
  'loose-connection': { 'no-water': 0.6, dead: 0.4, 'trips-breaker': 0.1, 'low-pressure': 0.1, 'noise-buzz': 0.1 },
  'run-capacitor-failed': {
    'no-water': 0.6,
    'hums-no-start': 0.4,
    'trips-breaker': 0.3,
    'low-pressure': 0.15,
    'cuts-out-hot': 0.15,
  },
  'start-capacitor-failed': { 'no-water': 0.7, 'hums-no-start': 0.45, 'trips-breaker': 0.4, 'cuts-out-hot': 0.12 },
  'start-relay-failed': { 'no-water': 0.6, 'hums-no-start': 0.3, 'trips-breaker': 0.4, 'cuts-out-hot': 0.2 },
  'start-switch-failed': { 'no-water': 0.6, 'hums-no-start': 0.45, 'trips-breaker': 0.35, 'cuts-out-hot': 0.12 },
  'run-winding-open': { 'no-water': 0.85, dead: 0.4, 'hums-no-start': 0.2, 'trips-breaker': 0.12, 'smell-burnt': 0.1 },
  'start-winding-open': { 'no-water': 0.7, 'hums-no-start': 0.5, 'trips-breaker': 0.35, 'smell-burnt': 0.1 },
  'winding-shorted': {
    'trips-breaker': 0.65,
    'no-water': 0.35,
    'low-pressure': 0.12,
    'high-bill': 0.1,
    'smell-burnt': 0.15,
    'cuts-out-hot': 0.35,
    'runs-hot': 0.15,
  },
  'winding-to-ground': { 'trips-breaker': 0.8, 'no-water': 0.4, 'trips-gfci': 0.2, 'high-bill': 0.05 },
  'cable-to-ground': { 'trips-breaker': 0.8, 'no-water': 0.4, 'trips-gfci': 0.2, 'high-bill': 0.05 },
  'cable-open': { 'no-water': 0.9, dead: 0.4, 'hums-no-start': 0.25, 'trips-breaker': 0.15 },
  'leads-swapped': { 'hums-no-start': 0.6, 'trips-breaker': 0.5, 'no-water': 0.6 },
  'lead-connector-leaking': { 'trips-breaker': 0.75, 'no-water': 0.35, 'trips-gfci': 0.2 },
  'water-in-motor': { 'trips-breaker': 0.75, 'no-water': 0.4, 'trips-gfci': 0.3 },
  'thermal-protector-open': { 'no-water': 0.9, dead: 0.4 },
  'bearings-worn': { 'noise-whine': 0.5, 'noise-grind': 0.35, 'noise-squeal': 0.2, vibrates: 0.15 },
  'bearing-loose-on-shaft': { 'noise-rattle': 0.3, vibrates: 0.5, 'noise-grind': 0.25 },
  'shaft-bent': { vibrates: 0.75, 'noise-grind': 0.15, 'leak-under-motor': 0.2 },
  'rotor-rubbing': { 'noise-grind': 0.6, 'hums-no-start': 0.15, 'trips-breaker': 0.15 },
  'motor-seized': { 'no-water': 0.75, 'trips-breaker': 0.45, 'hums-no-start': 0.5 },
  'thrust-bearing-worn': {
    'low-pressure': 0.35,
    'noise-grind': 0.3,
    'no-water': 0.15,
    'trips-breaker': 0.15,
    'high-bill': 0.15,
    vibrates: 0.15,
  },
  'cooling-blocked': { 'cuts-out-hot': 0.7, 'runs-hot': 0.5 },
  'shaft-seal-leaking': { 'leak-under-motor': 0.93, 'loses-prime': 0.1 },
  'shaft-o-ring-leaking': { 'leak-under-motor': 0.93 },
  'housing-seal-leaking': { 'leak-at-joint': 0.75, 'leak-under-motor': 0.3 },
  'joint-leaking': { 'leak-at-joint': 0.95 },
  'impeller-clogged': {
    'low-pressure': 0.75,
    'low-flow': 0.5,
    'never-stops': 0.35,
    'no-water': 0.1,
    'hums-no-start': 0.05,
  },
  'impeller-worn': { 'low-pressure': 0.75, 'never-stops': 0.5, 'low-flow': 0.4, 'high-bill': 0.2 },
  'impeller-broken': { 'no-water': 0.75, 'never-stops': 0.4, 'low-pressure': 0.3 },
  'impeller-rubbing': { 'noise-grind': 0.65, 'noise-squeal': 0.25 },
  'stages-worn': { 'low-pressure': 0.7, 'never-stops': 0.5, 'low-flow': 0.45, 'high-bill': 0.25, 'dirty-water': 0.15 },
  'stages-bound': { 'no-water': 0.7, 'trips-breaker': 0.4, 'hums-no-start': 0.4, 'low-pressure': 0.12 },
  'stages-broken': { 'no-water': 0.7, 'low-pressure': 0.35, 'never-stops': 0.4 },
  'coupling-sheared': { 'no-water': 0.95, 'never-stops': 0.45 },
  'suction-air-leak': {
    'loses-prime': 0.6,
    'air-at-taps': 0.55,
    'low-pressure': 0.3,
    'no-water': 0.25,
    'never-stops': 0.25,
  },
  'suction-blocked': { 'low-pressure': 0.6, 'low-flow': 0.6, 'no-water': 0.25, 'never-stops': 0.4 },
  'foot-valve-leaking': { 'loses-prime': 0.7, 'no-water': 0.45, 'short-cycles': 0.2 },
  'lost-prime': { 'no-water': 0.9, 'never-stops': 0.4, 'loses-prime': 0.35 },
  'discharge-blocked': { 'low-flow': 0.7, 'low-pressure': 0.5, 'short-cycles': 0.3 },
  'check-valve-failed': { 'short-cycles': 0.6, 'air-at-taps': 0.15, 'no-water': 0.05, 'high-bill': 0.15 },
  'pressure-switch-failed': { 'no-water': 0.65, dead: 0.3, 'never-stops': 0.25, 'low-pressure': 0.05 },
  'pressure-switch-blocked': { 'no-water': 0.45, 'never-stops': 0.4, 'short-cycles': 0.3, dead: 0.15 },
  'pressure-switch-misset': { 'low-pressure': 0.5, 'never-stops': 0.45, 'short-cycles': 0.1 },
  'tank-waterlogged': { 'short-cycles': 0.93, 'low-pressure': 0.08, 'high-bill': 0.1 },
  'system-leak': {
    'short-cycles': 0.4,
    'never-stops': 0.35,
    'high-bill': 0.4,
    'low-pressure': 0.25,
    'air-at-taps': 0.1,
  },
  'relief-valve-failed': {
    'leak-at-joint': 0.6,
    'short-cycles': 0.4,
    'high-bill': 0.3,
    'low-pressure': 0.3,
    'never-stops': 0.3,
  },
  'low-water': { 'no-water': 0.5, 'air-at-taps': 0.5, 'dirty-water': 0.25, 'low-pressure': 0.3, 'never-stops': 0.2 },
  'undersized-pump': { 'low-pressure': 0.85, 'never-stops': 0.5, 'low-flow': 0.4 },
  cavitation: { 'noise-rattle': 0.5, 'noise-grind': 0.4, 'low-flow': 0.3 },
  'wrong-frequency': { 'runs-hot': 0.45, 'cuts-out-hot': 0.4, 'trips-breaker': 0.3 },
  'wrong-capacitor-fitted': {
    'cuts-out-hot': 0.4,
    'trips-breaker': 0.25,
    'no-water': 0.3,
    'hums-no-start': 0.25,
    'noise-buzz': 0.2,
  },
  'house-filter-clogged': { 'low-flow': 0.75, 'low-pressure': 0.6, 'short-cycles': 0.1 },
  'tank-air-low': { 'short-cycles': 0.9, 'low-pressure': 0.05, 'high-bill': 0.08 },
  'drop-pipe-leaking': {
    'low-pressure': 0.5,
    'never-stops': 0.45,
    'no-water': 0.3,
    'short-cycles': 0.3,
    'low-flow': 0.3,
    'high-bill': 0.3,
    'air-at-taps': 0.2,
  },
  'supply-wiring-wet': { 'trips-breaker': 0.7, 'trips-gfci': 0.3, 'no-water': 0.3 },
  'bearing-misfitted': { 'noise-whine': 0.5, 'noise-grind': 0.3, 'runs-hot': 0.35, vibrates: 0.25 },
  'seal-misfitted': { 'leak-under-motor': 0.93 },
  'adapter-leaking': { 'leak-at-joint': 0.95 },
  'nothing-wrong': {
    'low-pressure': 0.2,
    'high-bill': 0.3,
    'low-flow': 0.2,
    'short-cycles': 0.05,
    'dirty-water': 0.12,
    'air-at-taps': 0.03,
    'trips-gfci': 0.05,
    'noise-buzz': 0.1,
    'noise-whine': 0.05,
    'runs-hot': 0.05,
  },
}

/** A pit in a cellar: water that stands is the complaint, and the alarm. */
const PIT: ComplaintTable = {
  'no-supply': { dead: 0.6, 'pit-flooded': 0.6, 'alarm-sounding': 0.45 },
  'outlet-dead': { dead: 0.6, 'pit-flooded': 0.6, 'alarm-sounding': 0.45 },
  'low-supply-voltage': { 'hums-no-start': 0.45, 'pit-flooded': 0.4, 'alarm-sounding': 0.3, 'cuts-out-hot': 0.3 },
  'loose-connection': { dead: 0.55, 'pit-flooded': 0.4, 'alarm-sounding': 0.3 },
  'run-capacitor-failed': { 'hums-no-start': 0.75, 'pit-flooded': 0.5, 'alarm-sounding': 0.35, 'trips-breaker': 0.15 },
  'start-capacitor-failed': { 'hums-no-start': 0.85, 'pit-flooded': 0.5, 'alarm-sounding': 0.35, 'trips-breaker': 0.2 },
  'start-switch-failed': { 'hums-no-start': 0.7, 'pit-flooded': 0.45, 'alarm-sounding': 0.3, 'trips-breaker': 0.2 },
  'run-winding-open': { dead: 0.55, 'pit-flooded': 0.55, 'alarm-sounding': 0.4 },
  'start-winding-open': { 'hums-no-start': 0.9, 'pit-flooded': 0.5 },
  'winding-shorted': { 'trips-breaker': 0.7, 'pit-flooded': 0.4, 'smell-burnt': 0.3 },
  'winding-to-ground': { 'trips-gfci': 0.75, 'trips-breaker': 0.4, 'pit-flooded': 0.35 },
  'lead-connector-leaking': { 'trips-gfci': 0.8, 'trips-breaker': 0.35, 'pit-flooded': 0.3 },
  'water-in-motor': { 'trips-gfci': 0.8, 'trips-breaker': 0.4, 'pit-flooded': 0.3 },
  'thermal-protector-open': { dead: 0.65, 'pit-flooded': 0.55, 'alarm-sounding': 0.4 },
  'bearings-worn': { 'noise-grind': 0.5, 'noise-whine': 0.45, vibrates: 0.15 },
  'motor-seized': { 'hums-no-start': 0.75, 'pit-flooded': 0.5, 'trips-breaker': 0.35, 'alarm-sounding': 0.35 },
  'impeller-clogged': {
    'pit-flooded': 0.55,
    'low-flow': 0.55,
    'never-stops': 0.45,
    'hums-no-start': 0.2,
    'trips-breaker': 0.06,
    'alarm-sounding': 0.35,
    'noise-rattle': 0.2,
  },
  'impeller-worn': { 'low-flow': 0.7, 'never-stops': 0.5, 'pit-flooded': 0.35 },
  'impeller-broken': {
    'no-water': 0.6,
    'never-stops': 0.55,
    'pit-flooded': 0.6,
    'noise-rattle': 0.35,
    'alarm-sounding': 0.35,
  },
  'check-valve-failed': { 'short-cycles': 0.85, 'noise-rattle': 0.15, 'never-stops': 0.1, 'high-bill': 0.1 },
  'discharge-blocked': {
    'pit-flooded': 0.6,
    'never-stops': 0.6,
    'no-water': 0.4,
    'low-flow': 0.4,
    'alarm-sounding': 0.4,
  },
  'joint-leaking': { 'leak-at-joint': 0.95 },
  'float-switch-failed': { dead: 0.5, 'pit-flooded': 0.6, 'alarm-sounding': 0.45, 'never-stops': 0.2 },
  'float-stuck': { 'pit-flooded': 0.55, 'alarm-sounding': 0.45, dead: 0.35, 'never-stops': 0.35 },
  'float-heights-wrong': { 'alarm-sounding': 0.85, 'pit-flooded': 0.1, 'short-cycles': 0.12 },
  'backup-battery-failed': { 'alarm-sounding': 0.95 },
  'undersized-pump': { 'pit-flooded': 0.7, 'never-stops': 0.6, 'alarm-sounding': 0.4 },
  'lost-prime': { 'no-water': 0.7, 'never-stops': 0.55, 'pit-flooded': 0.6, 'alarm-sounding': 0.4 },
  'air-bound': { 'no-water': 0.7, 'never-stops': 0.55, 'pit-flooded': 0.6, 'alarm-sounding': 0.4 },
  'supply-wiring-wet': { 'trips-gfci': 0.8, 'trips-breaker': 0.3, 'pit-flooded': 0.3 },
  'gfci-worn': { 'trips-gfci': 0.95, 'pit-flooded': 0.4, 'alarm-sounding': 0.3, dead: 0.3 },
  'adapter-leaking': { 'leak-at-joint': 0.95 },
  'nothing-wrong': {
    'alarm-sounding': 0.2,
    'high-bill': 0.25,
    'low-flow': 0.15,
    'noise-buzz': 0.12,
    'trips-gfci': 0.05,
    dead: 0.02,
  },
}

const FAMILY: Record<Kind, ComplaintTable> = {
  pool: CIRCULATING,
  booster: CIRCULATING,
  spa: CIRCULATING,
  circulation: CIRCULATING,
  utility: CIRCULATING,
  'well-two-wire': HOUSE_WATER,
  'well-three-wire': HOUSE_WATER,
  jet: HOUSE_WATER,
  sump: PIT,
}

/** Where a kind says something else than its family: a booster that starves rattles. */
const OWN: Partial<Record<Kind, ComplaintTable>> = {
  booster: {
    'suction-blocked': { 'low-flow': 0.75, 'low-pressure': 0.55, 'noise-rattle': 0.5, 'no-water': 0.15 },
    'lost-prime': { 'no-water': 0.85, 'noise-rattle': 0.4, 'loses-prime': 0.3, 'low-pressure': 0.3 },
    cavitation: { 'noise-rattle': 0.65, 'noise-grind': 0.3, 'low-flow': 0.4, 'low-pressure': 0.4 },
  },
}

/** Where water must not stop an alarm watches it: half of those without water tell of it, fewer who have little. */
const ALARM_TELLS: Partial<Record<Complaint, number>> = {
  dead: 0.5,
  'no-water': 0.5,
  'hums-no-start': 0.5,
  'trips-breaker': 0.5,
  'trips-gfci': 0.5,
  'low-flow': 0.3,
}
const ALARMS_OF_ITSELF = 0.1

/**
 * A pump down a well is out of hearing: what hums there, or has thrown its breaker unnoticed, is told as dead by one in
 * four of those who tell of it otherwise.
 */
const UNHEARD: readonly Complaint[] = ['hums-no-start', 'trips-breaker']
const UNHEARD_TELLS = 0.25

function unheard(said: Partial<Record<Complaint, number>>): Partial<Record<Complaint, number>> {
  const told = UNHEARD_TELLS * Math.max(...UNHEARD.map((complaint) => said[complaint] ?? 0))
  return told > (said.dead ?? 0) ? { ...said, dead: told } : said
}

/** What the caller then says, for a fault of a kind. */
export function complaintsOf(kind: Kind, fault: Fault): Partial<Record<Complaint, number>> {
  const told = OWN[kind]?.[fault] ?? FAMILY[kind][fault] ?? {}
  const said = WELLS.includes(kind) ? unheard(told) : told
  if (kind !== 'circulation') return said
  if (fault === 'nothing-wrong') return { ...said, 'alarm-sounding': ALARMS_OF_ITSELF }
  const alarmed = Object.entries(ALARM_TELLS).map(([complaint, share]) => share * (said[complaint as Complaint] ?? 0))
  const alarm = Math.max(...alarmed)
  return alarm > 0 ? { ...said, 'alarm-sounding': alarm } : said
}

/** A run capacitor that fails beside a start capacitor: the motor starts, and runs hot. */
const RUNS_HOT: Partial<Record<Complaint, number>> = {
  'runs-hot': 0.45,
  'cuts-out-hot': 0.6,
  'trips-breaker': 0.2,
  'noise-buzz': 0.2,
  'hums-no-start': 0.05,
  'high-bill': 0.1,
}

/** Electronics that miss their volts switch off and say so; nothing hums. */
const SWITCHES_OFF: Partial<Record<Complaint, number>> = { dead: 0.5, 'cuts-out-hot': 0.15, 'no-water': 0.3 }

/** Where the motor type makes the caller say something else. */
export function complaintsByType(
  fault: Fault,
): Partial<Record<MotorType, Partial<Record<Complaint, number>>>> | undefined {
  if (fault === 'run-capacitor-failed') return { 'capacitor-start-run': RUNS_HOT }
  return fault === 'low-supply-voltage' ? { electronic: SWITCHES_OFF } : undefined
}
