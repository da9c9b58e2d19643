import type { Basis } from '../judgement/judgement'
import type { Component, MeasuredRow } from './model-types'
import type { Fault } from './vocabulary'

const shop: Basis = { kind: 'shop', name: 'shop estimate' }
const cp: Basis = { kind: 'common-practice', name: 'what the trade expects to read' }
const one = (mean: number, sd: number): readonly Component[] => [{ weight: 1, mean, sd }]
const NO_SUPPLY = one(0, 0.02)
const STALLED = one(5, 1)
const stalledOr = (weight: number, mean: number, sd: number): readonly Component[] => [{ weight, mean: 5, sd: 1 }, { weight: 1 - weight, mean, sd }]

/** With one of these nothing turns, whatever else is wrong. */
const STANDSTILL: readonly Fault[] = ['motor-seized', 'run-winding-open', 'start-winding-open', 'thermal-protector-open', 'start-capacitor-failed']

/** A weak capacitor: open, faded, or just under its limit. Ratio to the rating. */
const WEAK_CAPACITOR: readonly Component[] = [{ weight: 0.3, mean: 0.015, sd: 0.012 }, { weight: 0.55, mean: 0.72, sd: 0.12 }, { weight: 0.13, mean: 0.9, sd: 0.025 }, { weight: 0.02, mean: 4, sd: 1.5 }]
const SHORTED_TURNS: readonly Component[] = [{ weight: 0.6, mean: 0.6, sd: 0.14 }, { weight: 0.4, mean: 0.9, sd: 0.08 }]
const OPEN: readonly Component[] = [{ weight: 0.96, open: true }, { weight: 0.04, mean: 1, sd: 'band' }]
const HEALTHY_WINDING: readonly Component[] = [{ weight: 0.993, mean: 1, sd: 'band' }, { weight: 0.004, mean: 1.6, sd: 0.4 }, { weight: 0.003, open: true }]

export const POOL_MEASURED: readonly MeasuredRow[] = [
  {
    check: 'supply-voltage', statistic: 'supply-ratio', meterSd: 0.008, cuts: [0.1, 'low', 'high'], basis: cp,
    normal: [{ weight: 0.985, mean: 1.02, sd: 0.03 }, { weight: 0.015, mean: 0.95, sd: 0.1 }],
    effects: {
      'no-supply': NO_SUPPLY, 'timer-failed': [{ weight: 0.75, mean: 0, sd: 0.02 }, { weight: 0.25, mean: 1.02, sd: 0.03 }],
      'low-supply-voltage': [{ weight: 0.6, mean: 0.86, sd: 0.03 }, { weight: 0.4, mean: 0.95, sd: 0.03 }],
      'loose-connection': [{ weight: 0.3, mean: 0, sd: 0.05 }, { weight: 0.15, mean: 0.5, sd: 0.2 }, { weight: 0.55, mean: 1.01, sd: 0.03 }],
      'wrong-voltage-selected': [{ weight: 0.5, mean: 1.02, sd: 0.03 }, { weight: 0.25, mean: 0.52, sd: 0.02 }, { weight: 0.25, mean: 2.04, sd: 0.06 }],
    },
  },
  {
    check: 'supply-voltage-loaded', statistic: 'supply-ratio', meterSd: 0.008, cuts: [0.1, 'low', 'high'], basis: cp,
    normal: one(1, 0.032),
    effects: {
      'no-supply': NO_SUPPLY, 'low-supply-voltage': one(0.82, 0.05), 'loose-connection': [{ weight: 0.6, mean: 0.8, sd: 0.09 }, { weight: 0.4, mean: 0.3, sd: 0.2 }],
      'motor-seized': one(0.95, 0.03), 'run-capacitor-failed': one(0.96, 0.03), 'start-capacitor-failed': one(0.95, 0.03), 'start-switch-failed': one(0.96, 0.03), 'start-winding-open': one(0.96, 0.03),
    },
  },
  {
    check: 'running-current', dominant: STANDSTILL, statistic: 'load-ratio', meterSd: 0.03, cuts: [0.08, 'low', 'high', 3], basis: shop,
    normal: one(0.93, 0.1),
    effects: {
      'no-supply': one(0, 0.02), 'timer-failed': one(0, 0.02), 'thermal-protector-open': one(0, 0.02), 'run-winding-open': one(0, 0.05), 'drive-electronics-failed': one(0, 0.05),
      'motor-seized': STALLED, 'start-capacitor-failed': STALLED, 'start-winding-open': STALLED, 'start-switch-failed': stalledOr(0.75, 1.6, 0.3), 'run-capacitor-failed': stalledOr(0.65, 1.12, 0.12),
      'wrong-voltage-selected': stalledOr(0.5, 1.6, 0.4), 'low-supply-voltage': stalledOr(0.25, 1.18, 0.12), 'winding-shorted': stalledOr(0.3, 1.7, 0.4), 'rotor-rubbing': stalledOr(0.2, 1.35, 0.2),
      'bearings-worn': one(1, 0.13), 'impeller-rubbing': one(1.25, 0.15), 'impeller-clogged': one(0.66, 0.1), 'suction-blocked': one(0.64, 0.1), 'lost-prime': one(0.5, 0.08), 'impeller-broken': one(0.5, 0.1),
      'discharge-blocked': one(0.68, 0.1), 'impeller-worn': one(0.82, 0.1), 'suction-air-leak': one(0.74, 0.12), cavitation: one(0.82, 0.12), 'loose-connection': [{ weight: 0.4, mean: 0, sd: 0.05 }, { weight: 0.6, mean: 1.05, sd: 0.2 }],
    },
  },
  {
    check: 'capacitance', part: 'run-capacitor', needs: 'run-capacitor', statistic: 'run-capacitor-ratio', meterSd: 0.01, cuts: [0.05, 'low', 'high'], basis: cp,
    normal: [{ weight: 0.985, mean: 0.99, sd: 0.022 }, { weight: 0.015, mean: 0.92, sd: 0.03 }],
    effects: { 'run-capacitor-failed': WEAK_CAPACITOR },
  },
  {
    check: 'capacitance', part: 'start-capacitor', needs: 'start-capacitor', statistic: 'start-capacitor-ratio', meterSd: 0.015, cuts: [0.05, 'low', 'high'], basis: cp,
    normal: [{ weight: 0.985, mean: 1.09, sd: 0.045 }, { weight: 0.015, mean: 0.95, sd: 0.05 }],
    effects: { 'start-capacitor-failed': WEAK_CAPACITOR },
  },
  {
    check: 'winding-resistance', leads: 'run-common', dominant: ['run-winding-open'], statistic: 'run-winding-ratio', meterSd: 0.03, cuts: ['low', 'high'], basis: cp,
    normal: HEALTHY_WINDING,
    effects: { 'run-winding-open': OPEN, 'thermal-protector-open': [{ weight: 0.85, open: true }, { weight: 0.15, mean: 1, sd: 'band' }], 'winding-shorted': SHORTED_TURNS, 'loose-connection': [{ weight: 0.1, open: true }, { weight: 0.2, mean: 1.5, sd: 0.3 }, { weight: 0.7, mean: 1, sd: 'band' }] },
  },
  {
    check: 'winding-resistance', leads: 'start-common', dominant: ['start-winding-open'], needs: 'start-winding', statistic: 'start-winding-ratio', meterSd: 0.03, cuts: ['low', 'high'], basis: cp,
    normal: HEALTHY_WINDING,
    effects: { 'start-winding-open': OPEN, 'thermal-protector-open': [{ weight: 0.85, open: true }, { weight: 0.15, mean: 1, sd: 'band' }], 'winding-shorted': [{ weight: 0.25, mean: 0.6, sd: 0.14 }, { weight: 0.75, mean: 1, sd: 'band' }], 'start-switch-failed': [{ weight: 0.35, open: true }, { weight: 0.65, mean: 1, sd: 'band' }] },
  },
  {
    check: 'insulation-resistance', statistic: 'log-megohms', meterSd: 0.05, cuts: ['low', 2], basis: cp,
    normal: [{ weight: 0.94, mean: 2.6, sd: 0.45 }, { weight: 0.06, mean: 1.4, sd: 0.4 }],
    effects: { 'winding-to-ground': [{ weight: 0.5, mean: -2.2, sd: 0.7 }, { weight: 0.5, mean: -0.4, sd: 0.5 }], 'water-in-motor': one(-0.3, 0.6), 'shaft-seal-leaking': [{ weight: 0.85, mean: 2.4, sd: 0.5 }, { weight: 0.15, mean: 1.2, sd: 0.4 }] },
  },
  {
    check: 'suction-vacuum', statistic: 'plain', meterSd: 0.5, cuts: ['low', 'high'], basis: shop,
    normal: one(5, 2),
    effects: { 'suction-blocked': one(17, 4), 'lost-prime': one(0.5, 0.5), 'suction-air-leak': one(2, 1.2), 'impeller-clogged': one(2.2, 1), 'impeller-broken': one(0.8, 0.7), 'discharge-blocked': one(1.8, 0.9), 'impeller-worn': one(3.2, 1.3), cavitation: one(14, 4) },
  },
  {
    check: 'filter-pressure', dominant: STANDSTILL, statistic: 'plain', meterSd: 1, cuts: [7, 'high'], basis: shop,
    normal: one(14, 4),
    effects: { 'discharge-blocked': one(28, 6), 'suction-blocked': one(4, 2.5), 'lost-prime': one(0.5, 1), 'suction-air-leak': one(6, 3), 'impeller-clogged': one(5, 2.5), 'impeller-broken': one(1, 1.5), 'impeller-worn': one(9, 3), cavitation: one(8, 3), 'no-supply': one(0, 0.5), 'timer-failed': one(0, 0.5), 'loose-connection': [{ weight: 0.6, mean: 0, sd: 0.5 }, { weight: 0.4, mean: 14, sd: 4 }], 'motor-seized': one(0, 0.5), 'run-capacitor-failed': [{ weight: 0.7, mean: 0, sd: 0.5 }, { weight: 0.3, mean: 13, sd: 4 }], 'start-capacitor-failed': one(0, 0.5), 'start-switch-failed': [{ weight: 0.75, mean: 0, sd: 0.5 }, { weight: 0.25, mean: 14, sd: 4 }], 'start-winding-open': one(0, 0.5), 'run-winding-open': one(0, 0.5), 'thermal-protector-open': one(0, 0.5) },
  },
]
