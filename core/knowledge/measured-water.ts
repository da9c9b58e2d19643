import type { Basis } from '../judgement/judgement'
import type { Component, MeasuredRow } from './model-types'
import { HOUSE_WATER, SURFACE, WELLS } from './vocabulary'

const shop: Basis = { kind: 'shop', name: 'shop estimate' }
const cp: Basis = { kind: 'common-practice', name: 'what the trade expects to read' }
const one = (mean: number, sd: number): readonly Component[] => [{ weight: 1, mean, sd }]
const STILL = one(0, 0.5)
/** Never reached: the pump cannot make it, or nothing turns. */
const NEVER: readonly Component[] = [{ weight: 0.97, open: true }, { weight: 0.03, mean: 0, sd: 3 }]
const neverOr = (weight: number, mean: number, sd: number): readonly Component[] => [{ weight, open: true }, { weight: 1 - weight, mean, sd }]

/** What gauges, rules and watches say of the water side. */
export const MEASURED_WATER: readonly MeasuredRow[] = [
  {
    check: 'suction-vacuum', kinds: ['pool', 'utility', 'circulation'], still: one(0.1, 0.3), statistic: 'plain', meterSd: 0.5, cuts: ['low', 'high'], basis: shop, normal: one(5, 2),
    effects: { 'suction-blocked': one(16, 4), 'lost-prime': one(0.5, 0.5), 'suction-air-leak': one(2, 1.2), 'impeller-clogged': one(2.4, 1.1), 'impeller-broken': one(0.8, 0.7), 'coupling-sheared': one(0.2, 0.3), 'discharge-blocked': one(1.9, 1), 'impeller-worn': one(3.2, 1.3), cavitation: one(13, 4), 'low-water': one(2, 1.5) },
  },
  {
    check: 'suction-vacuum', kinds: ['jet'], still: one(0.3, 1), statistic: 'plain', meterSd: 0.5, cuts: ['low', 'high'], basis: shop, normal: one(15, 3),
    effects: { 'suction-blocked': one(24, 2.5), 'lost-prime': one(2, 2), 'suction-air-leak': one(8, 4), 'impeller-clogged': one(10, 3), 'impeller-broken': one(3, 2.5), 'impeller-worn': one(11.5, 3), 'foot-valve-leaking': [{ weight: 0.5, mean: 3, sd: 3 }, { weight: 0.5, mean: 15, sd: 3 }], 'low-water': one(21, 4), cavitation: one(23, 2.5) },
  },
  {
    check: 'filter-pressure', kinds: ['pool'], still: STILL, statistic: 'plain', meterSd: 1, cuts: [7, 'high'], basis: shop, normal: one(14, 4),
    effects: { 'discharge-blocked': one(27, 6), 'suction-blocked': one(5, 2.5), 'lost-prime': one(0.5, 1), 'suction-air-leak': one(7, 3), 'impeller-clogged': one(6, 2.5), 'impeller-broken': one(1, 1.5), 'impeller-worn': one(9, 3), cavitation: one(8, 3),  },
  },
  {
    check: 'discharge-pressure', kinds: ['booster', 'circulation', 'utility'], still: STILL, statistic: 'plain', meterSd: 1, cuts: [3, 28], basis: shop, normal: [{ weight: 0.5, mean: 22, sd: 9 }, { weight: 0.5, mean: 10, sd: 4 }],
    effects: { 'lost-prime': one(0.5, 1), 'low-water': one(1, 1.5), 'impeller-broken': one(1.2, 1.5), 'coupling-sheared': one(0, 0.5), 'suction-blocked': one(4, 3), 'impeller-clogged': one(3.5, 3), 'impeller-worn': one(9, 4), 'suction-air-leak': one(8, 4), 'discharge-blocked': [{ weight: 0.5, mean: 38, sd: 8 }, { weight: 0.5, mean: 19, sd: 5 }] },
  },
  {
    check: 'flow', kinds: HOUSE_WATER, still: STILL, statistic: 'plain', meterSd: 0.4, cuts: [2, 7], basis: cp, normal: one(11, 3),
    effects: { 'suction-blocked': one(4, 2.5), 'impeller-clogged': one(4, 2.5), 'stages-worn': one(6.5, 3), 'impeller-worn': one(6.5, 3), 'stages-broken': one(3, 2.5), 'impeller-broken': one(0.6, 1), 'coupling-sheared': STILL, 'lost-prime': one(0.3, 0.6), 'low-water': one(5, 3), 'suction-air-leak': one(6, 3), 'discharge-blocked': one(4.5, 2.5), 'undersized-pump': one(7, 2.5), 'thrust-bearing-worn': one(8.5, 3), 'foot-valve-leaking': [{ weight: 0.5, mean: 0.5, sd: 0.8 }, { weight: 0.5, mean: 11, sd: 3 }] },
  },
  {
    check: 'flow', kinds: ['sump'], still: STILL, statistic: 'plain', meterSd: 1.5, cuts: [6, 25], basis: cp, normal: one(37, 8),
    effects: { 'impeller-clogged': one(14, 8), 'impeller-worn': one(22, 8), 'impeller-broken': one(1, 2), 'lost-prime': one(0.5, 1), 'discharge-blocked': one(12, 9), 'undersized-pump': one(24, 7) },
  },
  { check: 'tank-precharge', kinds: HOUSE_WATER, statistic: 'precharge-gap', meterSd: 0.7, cuts: [-8, -3, 3], basis: cp, normal: [{ weight: 0.93, mean: -0.6, sd: 1.6 }, { weight: 0.07, mean: -5, sd: 3 }], effects: { 'tank-waterlogged': [{ weight: 0.6, mean: -26, sd: 6 }, { weight: 0.4, mean: -16, sd: 5 }], 'pressure-switch-misset': [{ weight: 0.5, mean: -0.6, sd: 1.6 }, { weight: 0.5, mean: 0, sd: 7 }] } },
  {
    check: 'cut-in', kinds: HOUSE_WATER, still: NEVER, statistic: 'cut-in-gap', meterSd: 1, cuts: [-4, 4], openLabel: 'never cuts in', basis: shop, normal: one(0, 1.5),
    effects: { 'pressure-switch-misset': [{ weight: 0.5, mean: -9, sd: 4 }, { weight: 0.5, mean: 7, sd: 4 }], 'pressure-switch-blocked': neverOr(0.55, -6, 6), 'pressure-switch-failed': neverOr(0.65, 0, 4),  },
  },
  {
    check: 'cut-out', kinds: HOUSE_WATER, still: NEVER, statistic: 'cut-out-gap', meterSd: 1, cuts: [-4, 4], openLabel: 'never reached', basis: shop, normal: one(0, 1.5),
    effects: {
      'pressure-switch-misset': [{ weight: 0.35, mean: -9, sd: 4 }, { weight: 0.3, mean: 8, sd: 4 }, { weight: 0.35, open: true }], 'pressure-switch-blocked': neverOr(0.5, 8, 8), 'pressure-switch-failed': neverOr(0.85, 4, 6), 'stages-worn': neverOr(0.75, 0, 1.5), 'impeller-worn': neverOr(0.75, 0, 1.5), 'stages-broken': neverOr(0.85, 0, 1.5), 'impeller-broken': NEVER, 'impeller-clogged': neverOr(0.6, 0, 1.5), 'coupling-sheared': NEVER,
      'lost-prime': NEVER, 'low-water': neverOr(0.7, 0, 1.5), 'suction-air-leak': neverOr(0.6, 0, 1.5), 'suction-blocked': neverOr(0.6, 0, 1.5), 'foot-valve-leaking': neverOr(0.5, 0, 1.5), 'system-leak': neverOr(0.4, 0, 1.5), 'relief-valve-failed': neverOr(0.45, 0, 1.5), 'undersized-pump': neverOr(0.5, 0, 1.5), 'thrust-bearing-worn': neverOr(0.5, 0, 1.5), 'low-supply-voltage': neverOr(0.4, 0, 1.5),
    },
  },
  {
    check: 'shutoff-pressure', kinds: HOUSE_WATER, still: STILL, statistic: 'shutoff-ratio', meterSd: 0.02, cuts: [0.15, 0.85], basis: cp, normal: one(0.99, 0.04),
    effects: { 'stages-worn': one(0.72, 0.12), 'impeller-worn': one(0.74, 0.12), 'stages-broken': one(0.35, 0.2), 'impeller-broken': one(0.05, 0.06), 'impeller-clogged': one(0.9, 0.1), 'coupling-sheared': one(0, 0.02), 'lost-prime': one(0, 0.05), 'thrust-bearing-worn': one(0.85, 0.12), 'undersized-pump': one(0.99, 0.04), 'low-water': one(0.5, 0.35), 'suction-air-leak': one(0.65, 0.25) },
  },
  { check: 'cycle-time', kinds: HOUSE_WATER, still: NEVER, statistic: 'log-seconds', meterSd: 0.05, cuts: [1.2, 1.55], openLabel: 'never cycles', basis: shop, normal: [{ weight: 0.9, mean: 2.05, sd: 0.25 }, { weight: 0.1, open: true }], effects: { 'tank-waterlogged': [{ weight: 0.4, mean: 0.85, sd: 0.25 }, { weight: 0.6, mean: 1.4, sd: 0.12 }], 'check-valve-failed': one(1.7, 0.4), 'stages-worn': neverOr(0.7, 2.1, 0.25), 'impeller-worn': neverOr(0.7, 2.1, 0.25), 'stages-broken': neverOr(0.9, 2.1, 0.25), 'impeller-broken': NEVER, 'coupling-sheared': NEVER, 'lost-prime': NEVER, 'low-water': neverOr(0.75, 2.1, 0.25), 'undersized-pump': neverOr(0.7, 2.1, 0.25), 'suction-blocked': neverOr(0.4, 2.2, 0.3), 'suction-air-leak': neverOr(0.5, 2.2, 0.3), 'foot-valve-leaking': neverOr(0.5, 2.3, 0.4), 'impeller-clogged': neverOr(0.4, 2.2, 0.3), 'pressure-switch-blocked': [{ weight: 0.3, mean: 0.8, sd: 0.4 }, { weight: 0.5, open: true }, { weight: 0.2, mean: 2, sd: 0.3 }], 'system-leak': neverOr(0.4, 1.9, 0.3) } },
  { check: 'cycle-time', kinds: ['sump'], still: NEVER, statistic: 'log-seconds', meterSd: 0.05, cuts: [1.55], openLabel: 'never cycles', basis: shop, normal: [{ weight: 0.95, mean: 2.3, sd: 0.3 }, { weight: 0.05, open: true }], effects: { 'check-valve-failed': one(1.35, 0.2), 'impeller-broken': NEVER, 'lost-prime': NEVER, 'impeller-clogged': neverOr(0.3, 2.3, 0.3), 'discharge-blocked': neverOr(0.5, 2.3, 0.3) } },
  { check: 'battery-voltage', kinds: ['sump'], statistic: 'battery-cell', meterSd: 0.01, cuts: [1.95, 2.05], basis: cp, normal: one(2.12, 0.04), effects: { 'backup-battery-failed': [{ weight: 0.7, mean: 1.75, sd: 0.15 }, { weight: 0.3, mean: 0.8, sd: 0.5 }] } },
  { check: 'pumping-water-level', kinds: WELLS, statistic: 'water-over-intake', meterSd: 0.02, cuts: ['low'], basis: shop, normal: one(0.45, 0.17), effects: { 'low-water': one(0.02, 0.025) } },
  { check: 'well-recovery', kinds: HOUSE_WATER, statistic: 'plain', meterSd: 0.3, cuts: [2], basis: shop, normal: one(9, 3), effects: { 'low-water': one(0.9, 0.6) } },
  { check: 'end-play', kinds: WELLS, statistic: 'plain', meterSd: 0.003, cuts: ['low', 'high'], basis: cp, normal: one(0.025, 0.008), effects: { 'thrust-bearing-worn': one(0.085, 0.025) } },
  { check: 'shaft-height', kinds: WELLS, statistic: 'plain', meterSd: 0.001, cuts: ['low', 'high'], basis: cp, normal: one(1.503, 0.002), effects: { 'thrust-bearing-worn': one(1.47, 0.012) } },
  { check: 'shaft-runout', kinds: SURFACE, statistic: 'plain', meterSd: 0.0005, cuts: ['high'], basis: shop, normal: one(0.0015, 0.0008), effects: { 'shaft-bent': one(0.012, 0.004), 'bearing-loose-on-shaft': one(0.004, 0.0015), 'bearings-worn': one(0.0022, 0.001) } },
  { check: 'impeller-gap', kinds: ['utility'], statistic: 'plain', meterSd: 0.001, cuts: [0.006], basis: shop, normal: one(0.016, 0.004), effects: { 'impeller-rubbing': one(0.002, 0.002) } },
]
