import type { Basis } from '../../judgement/judgement'
import type { PairRow, Replacement } from './model-types'

const shop: Basis = { kind: 'shop', name: 'shop estimate' }
const cp = (name: string): Basis => ({ kind: 'common-practice', name })

/** Faults that go together: the second follows from the first with the stated chance. */
export const FAULT_PAIRS: readonly PairRow[] = [
  { faults: ['shaft-seal-leaking', 'bearings-worn'], given: 0.18, basis: cp('a leaking seal wets the front bearing') },
  {
    faults: ['low-supply-voltage', 'run-capacitor-failed'],
    given: 0.08,
    basis: { kind: 'shop', name: 'low volts cook a capacitor, shop estimate' },
  },
  {
    faults: ['low-supply-voltage', 'start-capacitor-failed'],
    given: 0.06,
    basis: { kind: 'shop', name: 'long starts cook a start capacitor, shop estimate' },
  },
  {
    faults: ['start-switch-failed', 'start-capacitor-failed'],
    given: 0.12,
    basis: cp('a switch that stays closed cooks its capacitor'),
  },
  {
    faults: ['start-relay-failed', 'start-capacitor-failed'],
    given: 0.12,
    basis: cp('a relay that stays closed cooks its capacitor'),
  },
  { faults: ['lost-prime', 'shaft-seal-leaking'], given: 0.1, basis: cp('run dry, a seal is ruined') },
  { faults: ['shaft-seal-leaking', 'water-in-motor'], given: 0.04, basis: shop },
  { faults: ['suction-air-leak', 'lost-prime'], given: 0.2, basis: cp('air in, prime out') },
  { faults: ['foot-valve-leaking', 'lost-prime'], given: 0.3, basis: cp('the line empties through its foot valve') },
  { faults: ['run-capacitor-failed', 'bearings-worn'], given: 0.05, basis: shop },
  { faults: ['bearings-worn', 'bearing-loose-on-shaft'], given: 0.05, basis: shop },
  { faults: ['motor-seized', 'winding-shorted'], given: 0.05, basis: shop },
  {
    faults: ['stages-worn', 'thrust-bearing-worn'],
    given: 0.12,
    basis: cp('sand wears the stages and the thrust bearing with them'),
  },
  { faults: ['low-water', 'stages-bound'], given: 0.05, basis: cp('run dry, plastic stages fuse') },
  {
    faults: ['tank-waterlogged', 'pressure-switch-failed'],
    given: 0.06,
    basis: cp('short cycling burns the contacts'),
  },
  {
    faults: ['float-heights-wrong', 'backup-battery-failed'],
    given: 0.06,
    basis: { kind: 'shop', name: 'a backup that runs too often, shop estimate' },
  },
]

export const REPLACEMENT: Replacement = {
  lowered: 0.05,
  raised: 2,
  masks: {
    'run-capacitor': ['start-switch-failed', 'start-winding-open', 'low-supply-voltage', 'motor-seized'],
    'start-capacitor': ['start-switch-failed', 'start-relay-failed', 'start-winding-open', 'motor-seized'],
    bearings: ['bearing-loose-on-shaft', 'shaft-bent', 'rotor-rubbing', 'impeller-rubbing'],
    'shaft-seal': ['shaft-o-ring-leaking', 'housing-seal-leaking', 'seal-plate-cracked', 'bearings-worn', 'shaft-bent'],
    impeller: ['suction-blocked', 'impeller-rubbing', 'discharge-blocked'],
    motor: [
      'low-supply-voltage',
      'wrong-voltage-selected',
      'loose-connection',
      'impeller-clogged',
      'leads-swapped',
      'cable-to-ground',
      'stages-bound',
    ],
    pump: [
      'low-supply-voltage',
      'leads-swapped',
      'cable-to-ground',
      'cable-open',
      'low-water',
      'discharge-blocked',
      'check-valve-failed',
      'float-heights-wrong',
    ],
    'control-box': [
      'run-winding-open',
      'start-winding-open',
      'cable-open',
      'leads-swapped',
      'motor-seized',
      'stages-bound',
    ],
    'pressure-switch': ['pressure-switch-blocked', 'tank-waterlogged', 'low-supply-voltage'],
    tank: ['pressure-switch-blocked', 'check-valve-failed', 'system-leak'],
    'foot-valve': ['suction-air-leak', 'lost-prime'],
    'check-valve': ['system-leak', 'foot-valve-leaking', 'discharge-blocked'],
    'float-switch': ['float-stuck', 'outlet-dead', 'motor-seized', 'impeller-clogged'],
    battery: ['float-heights-wrong'],
    'lid-o-ring': ['suction-air-leak', 'housing-seal-leaking'],
  },
  brings: {
    'run-capacitor': { 'wrong-capacitor-fitted': 4 },
    'start-capacitor': { 'wrong-capacitor-fitted': 4 },
    'control-box': { 'wrong-capacitor-fitted': 1, 'leads-swapped': 4, 'loose-connection': 8 },
    bearings: { 'bearing-misfitted': 12, 'bearing-loose-on-shaft': 8 },
    'shaft-seal': { 'seal-misfitted': 4, 'shaft-o-ring-leaking': 10, 'housing-seal-leaking': 3 },
    motor: {
      'loose-connection': 8,
      'wrong-voltage-selected': 5,
      'seal-misfitted': 6,
      'leads-swapped': 12,
      'cable-to-ground': 6,
      'housing-seal-leaking': 5,
    },
    pump: {
      'loose-connection': 8,
      'wrong-voltage-selected': 5,
      'leads-swapped': 10,
      'cable-to-ground': 8,
      'joint-leaking': 6,
      'adapter-leaking': 4,
      'drop-pipe-leaking': 4,
      'undersized-pump': 4,
    },
    'check-valve': { 'air-bound': 8 },
    'pressure-switch': { 'pressure-switch-misset': 12 },
    tank: { 'tank-air-low': 15, 'pressure-switch-misset': 5 },
  },
  basis: { kind: 'shop', name: 'new parts fail, wrong parts are fitted, hands slip; shop estimate' },
}
