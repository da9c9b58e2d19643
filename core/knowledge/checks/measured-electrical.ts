import type { Basis } from '../../judgement/judgement'
import type { Component, MeasuredRow } from '../faults/model-types'
import { CAN_IN_REACH, CORDED, SUBMERGED, SURFACE, WELLS, type Fault, type Kind } from '../vocabulary'

const shop: Basis = { kind: 'shop', name: 'shop estimate' }
const cp: Basis = { kind: 'common-practice', name: 'what the trade expects to read' }
const one = (mean: number, sd: number): readonly Component[] => [{ weight: 1, mean, sd }]
const NOTHING = one(0, 0.02)
/** What arrives of sound volts at rest; a few feeders lie low without being a fault. */
const AT_REST: readonly Component[] = [
  { weight: 0.985, mean: 1.02, sd: 0.03 },
  { weight: 0.015, mean: 0.95, sd: 0.1 },
]
const LOW_AT_REST: readonly Component[] = [
  { weight: 0.4, mean: 0.86, sd: 0.03 },
  { weight: 0.2, mean: 0.94, sd: 0.03 },
  { weight: 0.4, mean: 1.02, sd: 0.03 },
]
/** Another can than the plate asks: mostly the next sizes, seldom half. */
const WRONG_RUN_CAN: readonly Component[] = [
  { weight: 0.42, mean: 0.76, sd: 0.1 },
  { weight: 0.46, mean: 1.35, sd: 0.15 },
  { weight: 0.12, mean: 0.5, sd: 0.08 },
]
const WRONG_START_CAN: readonly Component[] = [
  { weight: 0.4, mean: 0.62, sd: 0.12 },
  { weight: 0.6, mean: 1.7, sd: 0.35 },
]
const STALLED = one(5, 1)
const stalledOr = (weight: number, mean: number, sd: number): readonly Component[] => [
  { weight, mean: 5, sd: 1 },
  { weight: 1 - weight, mean, sd },
]
const nothingOr = (weight: number, mean: number, sd: number): readonly Component[] => [
  { weight, mean: 0, sd: 0.02 },
  { weight: 1 - weight, mean, sd },
]
const LINED: readonly Kind[] = [...SURFACE, ...WELLS]

/** With one of these nothing turns, whatever else is wrong. */
export const STANDSTILL: readonly Fault[] = [
  'motor-seized',
  'run-winding-open',
  'start-winding-open',
  'thermal-protector-open',
  'start-capacitor-failed',
  'stages-bound',
  'cable-open',
  'outlet-dead',
]

/** A weak capacitor: open, faded, or just under its limit. Ratio to the rating. */
const WEAK_CAPACITOR: readonly Component[] = [
  { weight: 0.5, mean: 0.012, sd: 0.012 },
  { weight: 0.25, mean: 0.45, sd: 0.14 },
  { weight: 0.14, mean: 0.74, sd: 0.1 },
  { weight: 0.09, mean: 0.89, sd: 0.03 },
  { weight: 0.02, mean: 4, sd: 1.5 },
]
const SHORTED_TURNS: readonly Component[] = [
  { weight: 0.65, mean: 0.65, sd: 0.13 },
  { weight: 0.35, mean: 0.9, sd: 0.07 },
]
const OPEN: readonly Component[] = [
  { weight: 0.97, open: true },
  { weight: 0.03, mean: 1, sd: 'band' },
]
const HEALTHY_WINDING: readonly Component[] = [
  { weight: 0.993, mean: 1, sd: 'band' },
  { weight: 0.004, mean: 1.6, sd: 0.4 },
  { weight: 0.003, open: true },
]
const PROTECTOR_IN_LINE: readonly Component[] = [
  { weight: 0.85, open: true },
  { weight: 0.15, mean: 1, sd: 'band' },
]
const GROUND_PATH: readonly Component[] = [
  { weight: 0.5, mean: -2.2, sd: 0.7 },
  { weight: 0.5, mean: -0.5, sd: 0.5 },
]
/** Behind a GFCI nothing is drawn for long enough to be read. */
const GROUND_TRIPS: readonly Component[] = [
  { weight: 0.65, mean: 0, sd: 0.02 },
  { weight: 0.35, mean: 5.2, sd: 1.2 },
]
/** A motor without a run capacitor hardly draws less when it runs dry. */
const DRY: readonly Component[] = [
  { weight: 0.5, mean: 0.55, sd: 0.1 },
  { weight: 0.5, mean: 0.78, sd: 0.1 },
]
const WELL_GROUND_PATH: readonly Component[] = [
  { weight: 0.55, mean: -1.9, sd: 0.7 },
  { weight: 0.45, mean: -0.7, sd: 0.4 },
]

const insulation = { check: 'insulation-resistance', statistic: 'log-megohms', meterSd: 0.05, basis: cp } as const

/** What meters say of supply, current, capacitors, windings and insulation. */
export const MEASURED_ELECTRICAL: readonly MeasuredRow[] = [
  {
    check: 'supply-voltage',
    kinds: LINED,
    statistic: 'supply-ratio',
    meterSd: 0.008,
    cuts: [0.1, 'low', 'high'],
    basis: cp,
    normal: AT_REST,
    effects: {
      'no-supply': NOTHING,
      'outlet-dead': NOTHING,
      'timer-failed': nothingOr(0.9, 1.02, 0.03),
      // Low at the panel, or sound at rest on a line that is too long or too thin.
      'low-supply-voltage': LOW_AT_REST,
      'loose-connection': [
        { weight: 0.32, mean: 0, sd: 0.02 },
        { weight: 0.05, mean: 0.5, sd: 0.2 },
        { weight: 0.63, mean: 1.01, sd: 0.03 },
      ],
      'wrong-voltage-selected': [
        { weight: 0.6, mean: 1.02, sd: 0.03 },
        { weight: 0.2, mean: 0.52, sd: 0.02 },
        { weight: 0.2, mean: 2.04, sd: 0.06 },
      ],
    },
  },
  {
    check: 'outlet-voltage',
    kinds: CORDED,
    statistic: 'supply-ratio',
    meterSd: 0.008,
    cuts: [0.1, 'low', 'high'],
    basis: cp,
    normal: AT_REST,
    effects: { 'no-supply': NOTHING, 'outlet-dead': NOTHING, 'low-supply-voltage': LOW_AT_REST },
  },
  {
    check: 'breaker-voltage',
    statistic: 'supply-ratio',
    meterSd: 0.008,
    cuts: [0.1, 'low', 'high'],
    basis: cp,
    normal: AT_REST,
    effects: { 'no-supply': NOTHING, 'low-supply-voltage': LOW_AT_REST },
  },
  {
    check: 'supply-voltage-loaded',
    kinds: [...LINED, 'sump'],
    statistic: 'supply-ratio',
    meterSd: 0.008,
    cuts: [0.1, 'low', 'high'],
    basis: cp,
    normal: one(1, 0.032),
    effects: {
      'no-supply': NOTHING,
      'outlet-dead': NOTHING,
      // Under a rotor that stands, a long or thin line loses five times what it loses under one that runs.
      'low-supply-voltage': [
        { weight: 0.75, mean: 0.82, sd: 0.05 },
        { weight: 0.25, mean: 0.58, sd: 0.13 },
      ],
      'loose-connection': [
        { weight: 0.3, mean: 0.8, sd: 0.09 },
        { weight: 0.3, mean: 0, sd: 0.02 },
        { weight: 0.25, mean: 0.48, sd: 0.16 },
        { weight: 0.15, mean: 0.98, sd: 0.04 },
      ],
      'timer-failed': nothingOr(0.9, 1, 0.03),
      // A rotor that stands draws five times as much, and the line gives way under it.
      'motor-seized': one(0.92, 0.035),
      'stages-bound': one(0.89, 0.05),
      'run-capacitor-failed': one(0.95, 0.03),
      'start-capacitor-failed': one(0.92, 0.035),
      'start-switch-failed': one(0.93, 0.045),
      'start-relay-failed': one(0.92, 0.045),
      'start-winding-open': one(0.92, 0.045),
      'leads-swapped': one(0.94, 0.04),
      'winding-shorted': one(0.96, 0.04),
    },
    // Over the volts at rest: what the line and its joints lose. What is low at the panel loses no more than usual.
    besideRest: {
      normal: one(0.98, 0.012),
      effects: {
        'no-supply': one(1, 0.02),
        'outlet-dead': one(1, 0.02),
        'low-supply-voltage': [
          { weight: 0.4, mean: 0.975, sd: 0.015 },
          { weight: 0.15, mean: 0.91, sd: 0.03 },
          { weight: 0.25, mean: 0.85, sd: 0.05 },
          { weight: 0.2, mean: 0.58, sd: 0.13 },
        ],
        'loose-connection': [
          { weight: 0.35, mean: 0.8, sd: 0.09 },
          { weight: 0.2, mean: 0, sd: 0.02 },
          { weight: 0.25, mean: 0.48, sd: 0.16 },
          { weight: 0.2, mean: 0.97, sd: 0.03 },
        ],
        'motor-seized': one(0.92, 0.03),
        'stages-bound': one(0.88, 0.045),
        'run-capacitor-failed': one(0.95, 0.03),
        'start-capacitor-failed': one(0.92, 0.03),
        'start-switch-failed': one(0.93, 0.03),
        'start-relay-failed': one(0.91, 0.045),
        'start-winding-open': one(0.92, 0.03),
        'winding-shorted': one(0.95, 0.025),
      },
    },
  },
  {
    check: 'drop-test',
    kinds: [...LINED, 'sump'],
    statistic: 'volts-share',
    meterSd: 0.003,
    cuts: ['high'],
    basis: cp,
    normal: one(0.006, 0.005),
    effects: {
      'loose-connection': [
        { weight: 0.6, mean: 0.12, sd: 0.07 },
        { weight: 0.25, mean: 0.5, sd: 0.25 },
        { weight: 0.15, mean: 0.006, sd: 0.005 },
      ],
      'low-supply-voltage': [
        { weight: 0.25, mean: 0.07, sd: 0.03 },
        { weight: 0.75, mean: 0.007, sd: 0.006 },
      ],
    },
  },
  {
    check: 'load-side-voltage',
    kinds: [...LINED, 'sump'],
    statistic: 'supply-ratio',
    meterSd: 0.008,
    cuts: [0.1, 'low', 'high'],
    basis: cp,
    normal: one(1.01, 0.035),
    effects: {
      'no-supply': NOTHING,
      'outlet-dead': NOTHING,
      'low-supply-voltage': LOW_AT_REST,
      'timer-failed': nothingOr(0.96, 1.01, 0.035),
      'pressure-switch-failed': nothingOr(0.72, 1.01, 0.035),
      'pressure-switch-blocked': nothingOr(0.5, 1.01, 0.035),
      'float-switch-failed': nothingOr(0.8, 1.01, 0.035),
      'float-stuck': nothingOr(0.65, 1.01, 0.035),
      'loose-connection': nothingOr(0.25, 1.01, 0.035),
    },
  },
  {
    check: 'running-current',
    dominant: STANDSTILL,
    byType: { 'capacitor-start-run': { 'run-capacitor-failed': one(1.32, 0.14) } },
    statistic: 'load-ratio',
    meterSd: 0.03,
    cuts: [0.08, 'low', 'high', 3],
    basis: shop,
    normal: one(0.93, 0.1),
    effects: {
      'no-supply': NOTHING,
      'outlet-dead': NOTHING,
      'timer-failed': nothingOr(0.93, 0.93, 0.1),
      'thermal-protector-open': NOTHING,
      'run-winding-open': [
        { weight: 0.55, mean: 0, sd: 0.03 },
        { weight: 0.45, mean: 1.6, sd: 0.7 },
      ],
      'cable-open': [
        { weight: 0.75, mean: 0, sd: 0.02 },
        { weight: 0.25, mean: 4, sd: 1.5 },
      ],
      'drive-electronics-failed': one(0, 0.05),
      'pressure-switch-failed': nothingOr(0.72, 0.93, 0.1),
      'pressure-switch-blocked': nothingOr(0.5, 0.93, 0.1),
      'float-switch-failed': nothingOr(0.8, 0.93, 0.1),
      'float-stuck': nothingOr(0.6, 0.93, 0.1),
      'motor-seized': STALLED,
      'stages-bound': STALLED,
      'start-capacitor-failed': STALLED,
      'start-winding-open': STALLED,
      'leads-swapped': STALLED,
      'start-switch-failed': stalledOr(0.7, 4.5, 2),
      'start-relay-failed': stalledOr(0.7, 4.5, 2),
      'run-capacitor-failed': stalledOr(0.65, 1.08, 0.14),
      'wrong-voltage-selected': [
        { weight: 0.5, mean: 2.5, sd: 0.4 },
        { weight: 0.5, mean: 6, sd: 3 },
      ],
      'low-supply-voltage': stalledOr(0.25, 1.15, 0.1),
      'winding-shorted': stalledOr(0.3, 1.7, 0.4),
      'rotor-rubbing': stalledOr(0.12, 1.3, 0.18),
      'bearings-worn': one(1, 0.11),
      'impeller-rubbing': one(1.1, 0.11),
      'thrust-bearing-worn': one(1.1, 0.12),
      'impeller-clogged': one(0.84, 0.09),
      'suction-blocked': one(0.86, 0.08),
      'lost-prime': DRY,
      'impeller-broken': DRY,
      'coupling-sheared': [
        { weight: 0.5, mean: 0.45, sd: 0.1 },
        { weight: 0.5, mean: 0.74, sd: 0.1 },
      ],
      'stages-broken': one(0.74, 0.12),
      'discharge-blocked': one(0.83, 0.1),
      'impeller-worn': one(0.85, 0.09),
      'stages-worn': one(0.85, 0.09),
      'suction-air-leak': one(0.8, 0.11),
      cavitation: one(0.86, 0.1),
      'low-water': one(0.82, 0.1),
      'foot-valve-leaking': [
        { weight: 0.5, mean: 0.68, sd: 0.14 },
        { weight: 0.5, mean: 0.92, sd: 0.1 },
      ],
      'loose-connection': [
        { weight: 0.6, mean: 0, sd: 0.02 },
        { weight: 0.2, mean: 2.6, sd: 1 },
        { weight: 0.2, mean: 1.05, sd: 0.2 },
      ],
      'check-valve-failed': one(0.93, 0.11),
      'wrong-capacitor-fitted': stalledOr(0.2, 1.15, 0.14),
      'wrong-frequency': stalledOr(0.1, 1.25, 0.15),
      'bearing-misfitted': one(1.08, 0.12),
      'air-bound': DRY,
      'water-level-low': one(0.8, 0.11),
      'house-filter-clogged': one(0.86, 0.1),
      // Once it has let go nothing is drawn.
      'gfci-worn': nothingOr(0.92, 0.93, 0.1),
      'supply-wiring-wet': nothingOr(0.7, 0.93, 0.1),
      'winding-to-ground': [
        { weight: 0.6, mean: 0, sd: 0.02 },
        { weight: 0.4, mean: 1, sd: 0.2 },
      ],
      'water-in-motor': [
        { weight: 0.6, mean: 0, sd: 0.02 },
        { weight: 0.4, mean: 0.98, sd: 0.14 },
      ],
      'lead-connector-leaking': [
        { weight: 0.5, mean: 0, sd: 0.02 },
        { weight: 0.5, mean: 0.95, sd: 0.1 },
      ],
    },
  },
  {
    check: 'locked-current',
    kinds: LINED,
    needs: 'start-winding',
    statistic: 'load-ratio',
    meterSd: 0.1,
    cuts: [0.2, 2.6, 7],
    basis: shop,
    normal: one(5.2, 1.2),
    effects: {
      'no-supply': NOTHING,
      'outlet-dead': NOTHING,
      'timer-failed': NOTHING,
      'thermal-protector-open': NOTHING,
      'cable-open': [
        { weight: 0.75, mean: 0, sd: 0.02 },
        { weight: 0.25, mean: 4, sd: 1.5 },
      ],
      'pressure-switch-failed': nothingOr(0.7, 5.2, 0.9),
      'pressure-switch-blocked': nothingOr(0.5, 5.2, 0.9),
      'loose-connection': [
        { weight: 0.6, mean: 0, sd: 0.02 },
        { weight: 0.4, mean: 2.8, sd: 1 },
      ],
      'run-winding-open': [
        { weight: 0.55, mean: 0, sd: 0.03 },
        { weight: 0.45, mean: 1.6, sd: 0.7 },
      ],
      'winding-shorted': one(6.6, 1.3),
      'wrong-voltage-selected': [
        { weight: 0.5, mean: 2.6, sd: 0.4 },
        { weight: 0.5, mean: 9.5, sd: 1.5 },
      ],
      'low-supply-voltage': one(3, 0.9),
      'leads-swapped': one(2.6, 1.2),
      'winding-to-ground': GROUND_TRIPS,
      'water-in-motor': GROUND_TRIPS,
      'gfci-worn': nothingOr(0.9, 5.2, 1.2),
      'supply-wiring-wet': nothingOr(0.7, 5.2, 1.2),
    },
  },
  {
    check: 'capacitance',
    part: 'run-capacitor',
    needs: 'run-capacitor',
    kinds: CAN_IN_REACH,
    statistic: 'run-capacitor-ratio',
    meterSd: 0.01,
    cuts: [0.05, 'low', 'high'],
    basis: cp,
    normal: [
      { weight: 0.985, mean: 0.99, sd: 0.022 },
      { weight: 0.015, mean: 0.92, sd: 0.03 },
    ],
    effects: { 'run-capacitor-failed': WEAK_CAPACITOR, 'wrong-capacitor-fitted': WRONG_RUN_CAN },
  },
  {
    check: 'capacitance',
    part: 'start-capacitor',
    needs: 'start-capacitor',
    kinds: CAN_IN_REACH,
    statistic: 'start-capacitor-ratio',
    meterSd: 0.015,
    cuts: [0.05, 'low', 'high'],
    basis: cp,
    normal: [
      { weight: 0.985, mean: 1.09, sd: 0.045 },
      { weight: 0.015, mean: 0.95, sd: 0.05 },
    ],
    effects: { 'start-capacitor-failed': WEAK_CAPACITOR, 'wrong-capacitor-fitted': WRONG_START_CAN },
  },
  {
    check: 'capacitance',
    part: 'run-capacitor',
    needs: 'run-capacitor',
    kinds: ['well-two-wire'],
    constructions: ['submersible-sealed'],
    statistic: 'run-capacitor-ratio',
    meterSd: 0.01,
    cuts: [0.05, 'low', 'high'],
    basis: cp,
    normal: [
      { weight: 0.985, mean: 0.99, sd: 0.022 },
      { weight: 0.015, mean: 0.92, sd: 0.03 },
    ],
    effects: { 'run-capacitor-failed': WEAK_CAPACITOR },
  },
  {
    check: 'winding-resistance',
    leads: 'run-common',
    dominant: ['run-winding-open', 'cable-open'],
    statistic: 'run-winding-ratio',
    meterSd: 0.03,
    cuts: ['low', 'high'],
    openLabel: 'reads open',
    basis: cp,
    normal: HEALTHY_WINDING,
    effects: {
      'run-winding-open': OPEN,
      'cable-open': [
        { weight: 0.85, open: true },
        { weight: 0.15, mean: 1.4, sd: 0.4 },
      ],
      'thermal-protector-open': PROTECTOR_IN_LINE,
      'winding-shorted': SHORTED_TURNS,
      'leads-swapped': [
        { weight: 0.6, mean: 2.4, sd: 0.5 },
        { weight: 0.4, mean: 3.6, sd: 0.6 },
      ],
      'loose-connection': [
        { weight: 0.08, open: true },
        { weight: 0.15, mean: 1.5, sd: 0.3 },
        { weight: 0.77, mean: 1, sd: 'band' },
      ],
    },
  },
  {
    check: 'winding-resistance',
    leads: 'start-common',
    kinds: [...SURFACE, 'well-three-wire'],
    dominant: ['start-winding-open'],
    needs: 'start-winding',
    statistic: 'start-winding-ratio',
    meterSd: 0.03,
    cuts: ['low', 'high'],
    openLabel: 'reads open',
    basis: cp,
    normal: HEALTHY_WINDING,
    effects: {
      'start-winding-open': OPEN,
      'cable-open': [
        { weight: 0.45, open: true },
        { weight: 0.55, mean: 1, sd: 'band' },
      ],
      'thermal-protector-open': PROTECTOR_IN_LINE,
      'winding-shorted': [
        { weight: 0.25, mean: 0.65, sd: 0.13 },
        { weight: 0.75, mean: 1, sd: 'band' },
      ],
      'leads-swapped': [
        { weight: 0.6, mean: 0.42, sd: 0.08 },
        { weight: 0.4, mean: 1.4, sd: 0.15 },
      ],
    },
  },
  {
    check: 'winding-resistance',
    leads: 'run-common',
    half: 'motor',
    kinds: WELLS,
    dominant: ['run-winding-open'],
    statistic: 'run-winding-ratio',
    meterSd: 0.03,
    cuts: ['low', 'high'],
    openLabel: 'reads open',
    basis: cp,
    normal: HEALTHY_WINDING,
    effects: {
      'run-winding-open': OPEN,
      'thermal-protector-open': PROTECTOR_IN_LINE,
      'winding-shorted': SHORTED_TURNS,
    },
  },
  {
    check: 'winding-resistance',
    leads: 'start-common',
    half: 'motor',
    kinds: ['well-three-wire'],
    dominant: ['start-winding-open'],
    needs: 'start-winding',
    statistic: 'start-winding-ratio',
    meterSd: 0.03,
    cuts: ['low', 'high'],
    openLabel: 'reads open',
    basis: cp,
    normal: HEALTHY_WINDING,
    effects: { 'start-winding-open': OPEN, 'thermal-protector-open': PROTECTOR_IN_LINE },
  },
  {
    ...insulation,
    kinds: SURFACE,
    setup: 'surface-motor',
    cuts: ['low', 2],
    normal: [
      { weight: 0.94, mean: 2.6, sd: 0.45 },
      { weight: 0.06, mean: 1.4, sd: 0.4 },
    ],
    effects: {
      'winding-to-ground': GROUND_PATH,
      'water-in-motor': one(-0.4, 0.6),
      'shaft-seal-leaking': [
        { weight: 0.88, mean: 2.45, sd: 0.5 },
        { weight: 0.12, mean: 1.3, sd: 0.4 },
      ],
    },
  },
  {
    ...insulation,
    kinds: SUBMERGED,
    setup: 'motor-and-cable',
    cuts: ['low', 'high'],
    normal: [
      { weight: 0.95, mean: 1.7, sd: 0.45 },
      { weight: 0.05, mean: 0.5, sd: 0.35 },
    ],
    effects: {
      'winding-to-ground': WELL_GROUND_PATH,
      'cable-to-ground': WELL_GROUND_PATH,
      'lead-connector-leaking': one(-1, 0.6),
      'water-in-motor': one(-0.9, 0.5),
    },
  },
  {
    ...insulation,
    kinds: WELLS,
    setup: 'cable-alone',
    cuts: ['low', 'high'],
    normal: one(3, 0.4),
    effects: { 'cable-to-ground': WELL_GROUND_PATH },
  },
  {
    ...insulation,
    kinds: WELLS,
    setup: 'motor-alone',
    cuts: ['low', 'high'],
    normal: [
      { weight: 0.95, mean: 2, sd: 0.4 },
      { weight: 0.05, mean: 1.1, sd: 0.3 },
    ],
    effects: {
      'winding-to-ground': WELL_GROUND_PATH,
      'lead-connector-leaking': one(-0.9, 0.7),
      'water-in-motor': one(-0.8, 0.6),
    },
  },
]
