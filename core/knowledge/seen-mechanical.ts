import type { Basis } from '../judgement/judgement'
import type { SeenRow } from './model-types'
import { SUBMERGED, SURFACE, WELLS } from './vocabulary'

const shop: Basis = { kind: 'shop', name: 'shop estimate' }
const cp: Basis = { kind: 'common-practice', name: 'what the trade expects to see' }

/** What hands, eyes and ears say of shaft, bearings, seals and wet end. */
export const SEEN_MECHANICAL: readonly SeenRow[] = [
  {
    check: 'shaft-turn', leak: { gritty: 0.03, tight: 0.015, seized: 0.004 }, basis: cp,
    effects: {
      'bearings-worn': { gritty: 0.6, tight: 0.12, seized: 0.02 }, 'motor-seized': { tight: 0.05, seized: 0.93 }, 'impeller-clogged': { gritty: 0.12, tight: 0.18, seized: 0.06 }, 'impeller-rubbing': { gritty: 0.3, tight: 0.42, seized: 0.05 },
      'rotor-rubbing': { gritty: 0.4, tight: 0.35, seized: 0.12 }, 'shaft-bent': { gritty: 0.3, tight: 0.2 }, 'water-in-motor': { gritty: 0.25, tight: 0.05, seized: 0.03 }, 'impeller-broken': { gritty: 0.12, seized: 0.02 },
      'stages-bound': { tight: 0.12, seized: 0.82 }, 'thrust-bearing-worn': { gritty: 0.4, tight: 0.3 }, 'bearing-loose-on-shaft': { gritty: 0.25 },
    },
  },
  { check: 'shaft-turn', half: 'motor', kinds: [...SURFACE, ...WELLS], leak: { gritty: 0.03, tight: 0.015, seized: 0.004 }, basis: cp, effects: { 'bearings-worn': { gritty: 0.62, tight: 0.12, seized: 0.02 }, 'motor-seized': { tight: 0.05, seized: 0.93 }, 'rotor-rubbing': { gritty: 0.42, tight: 0.35, seized: 0.12 }, 'shaft-bent': { gritty: 0.3, tight: 0.2 }, 'water-in-motor': { gritty: 0.25, tight: 0.05 }, 'thrust-bearing-worn': { gritty: 0.45, tight: 0.3 }, 'bearing-loose-on-shaft': { gritty: 0.25 } } },
  { check: 'shaft-turn', half: 'pump-end', kinds: WELLS, leak: { gritty: 0.03, tight: 0.015, seized: 0.004 }, basis: cp, effects: { 'stages-bound': { tight: 0.12, seized: 0.85 }, 'stages-worn': { gritty: 0.15 }, 'stages-broken': { gritty: 0.4, tight: 0.1 } } },
  { check: 'shaft-rock', kinds: SURFACE, leak: { rocks: 0.03 }, basis: cp, effects: { 'bearings-worn': { rocks: 0.55 }, 'bearing-loose-on-shaft': { rocks: 0.9 }, 'shaft-bent': { rocks: 0.12 } } },
  { check: 'bearing-fit', kinds: SURFACE, leak: { loose: 0.02 }, basis: cp, effects: { 'bearing-loose-on-shaft': { loose: 0.95 } } },
  { check: 'shaft-look', kinds: SURFACE, order: ['clean', 'rusty', 'grooved', 'pitted', 'bent'], leak: { rusty: 0.15, grooved: 0.03, pitted: 0.02 }, basis: shop, effects: { 'shaft-bent': { bent: 0.75 }, 'shaft-seal-leaking': { rusty: 0.3, grooved: 0.15, pitted: 0.1 }, 'water-in-motor': { rusty: 0.5 } } },
  {
    check: 'listen', kinds: [...SURFACE, 'sump'], order: ['quiet', 'hiss', 'buzz', 'whine', 'rattle', 'squeal', 'grind', 'rub', 'hum'],
    leak: { hiss: 0.02, buzz: 0.04, whine: 0.03, rattle: 0.02, hum: 0.004 }, basis: cp, byType: { 'capacitor-start-run': { 'run-capacitor-failed': { buzz: 0.6, hum: 0.05 } } },
    effects: {
      'run-capacitor-failed': { hum: 0.76, buzz: 0.12 }, 'start-capacitor-failed': { hum: 0.93 }, 'start-switch-failed': { hum: 0.7, buzz: 0.15 }, 'start-winding-open': { hum: 0.95 }, 'motor-seized': { hum: 0.93 }, 'run-winding-open': { hum: 0.35 }, 'winding-shorted': { hum: 0.2, buzz: 0.45 },
      'wrong-voltage-selected': { hum: 0.5, buzz: 0.2 }, 'low-supply-voltage': { hum: 0.3, buzz: 0.3 }, 'loose-connection': { buzz: 0.2, hum: 0.12 }, 'bearings-worn': { whine: 0.5, squeal: 0.18, grind: 0.25 }, 'bearing-loose-on-shaft': { rattle: 0.4, grind: 0.35, whine: 0.1 },
      'shaft-bent': { rub: 0.3, grind: 0.15, rattle: 0.2 }, 'rotor-rubbing': { rub: 0.62, grind: 0.2, hum: 0.12 }, 'impeller-rubbing': { rub: 0.75, squeal: 0.1, hum: 0.05 }, 'impeller-clogged': { rattle: 0.3, hum: 0.06, hiss: 0.05 }, 'impeller-broken': { rattle: 0.5 },
      'suction-blocked': { rattle: 0.15, hiss: 0.55, grind: 0.05 }, cavitation: { hiss: 0.45, grind: 0.25, rattle: 0.2 }, 'suction-air-leak': { hiss: 0.12, rattle: 0.55 }, 'lost-prime': { rattle: 0.55, hiss: 0.08 }, 'low-water': { hiss: 0.2, rattle: 0.35 }, 'shaft-seal-leaking': { squeal: 0.06 },
      'cooling-blocked': { rattle: 0.08 }, 'coupling-sheared': { rattle: 0.2 }, 'check-valve-failed': { rattle: 0.15 }, 'foot-valve-leaking': { rattle: 0.12 },
    },
  },
  {
    check: 'motor-alone-listen', kinds: SURFACE, order: ['quiet', 'hiss', 'buzz', 'whine', 'rattle', 'squeal', 'grind', 'rub', 'hum', 'same-noise'], leak: { whine: 0.03, buzz: 0.03 }, basis: shop,
    effects: { 'bearings-worn': { 'same-noise': 0.9 }, 'bearing-loose-on-shaft': { 'same-noise': 0.85 }, 'rotor-rubbing': { 'same-noise': 0.92 }, 'shaft-bent': { 'same-noise': 0.7 }, 'run-capacitor-failed': { hum: 0.45, buzz: 0.35 }, 'start-capacitor-failed': { hum: 0.9 }, 'start-switch-failed': { hum: 0.55, buzz: 0.3 }, 'start-winding-open': { hum: 0.95 }, 'motor-seized': { hum: 0.93 }, 'winding-shorted': { buzz: 0.55, hum: 0.15 } },
    byType: { 'capacitor-start-run': { 'run-capacitor-failed': { buzz: 0.6 } } },
  },
  {
    check: 'weep-hole', kinds: SURFACE, leak: { dripping: 0.015 }, basis: cp,
    effects: { 'shaft-seal-leaking': { dripping: 0.93 }, 'shaft-o-ring-leaking': { dripping: 0.88 }, 'seal-plate-cracked': { dripping: 0.4 }, 'housing-seal-leaking': { dripping: 0.05 }, 'shaft-bent': { dripping: 0.2 } },
  },
  {
    check: 'joint-look', kinds: [...SURFACE, ...SUBMERGED], leak: { dripping: 0.02 }, basis: cp,
    effects: { 'housing-seal-leaking': { dripping: 0.9 }, 'joint-leaking': { dripping: 0.94 }, 'seal-plate-cracked': { dripping: 0.55 }, 'suction-air-leak': { dripping: 0.08 }, 'shaft-seal-leaking': { dripping: 0.03 }, 'system-leak': { dripping: 0.35 }, 'relief-valve-failed': { dripping: 0.6 } },
  },
  { check: 'seal-look', kinds: SURFACE, order: ['sound', 'corroded', 'missing', 'worn', 'cracked', 'broken'], leak: { worn: 0.1 }, basis: shop, effects: { 'shaft-seal-leaking': { worn: 0.62, cracked: 0.25, broken: 0.05 } } },
  { check: 'o-ring-look', kinds: SURFACE, part: 'housing-o-ring', order: ['sound', 'corroded', 'worn', 'missing', 'broken', 'cracked'], leak: { worn: 0.1 }, basis: shop, effects: { 'housing-seal-leaking': { worn: 0.5, cracked: 0.35, missing: 0.05 } } },
  { check: 'o-ring-look', kinds: ['pool', 'spa', 'circulation'], part: 'shaft-o-ring', order: ['sound', 'corroded', 'worn', 'missing', 'broken', 'cracked'], leak: { worn: 0.08 }, basis: shop, effects: { 'shaft-o-ring-leaking': { worn: 0.5, cracked: 0.35, missing: 0.05 } } },
  { check: 'o-ring-look', kinds: ['pool'], part: 'lid-o-ring', order: ['sound', 'corroded', 'worn', 'missing', 'broken', 'cracked'], leak: { worn: 0.1 }, basis: shop, effects: { 'suction-air-leak': { worn: 0.35, cracked: 0.2 } } },
  { check: 'plate-look', kinds: ['pool', 'spa', 'booster'], order: ['sound', 'corroded', 'worn', 'missing', 'broken', 'cracked'], leak: { cracked: 0.01, worn: 0.05 }, basis: shop, effects: { 'seal-plate-cracked': { cracked: 0.85 } } },
  { check: 'thread-look', kinds: SURFACE, order: ['sound', 'corroded', 'worn', 'missing', 'broken', 'cracked'], leak: { worn: 0.05, corroded: 0.05, cracked: 0.01 }, basis: shop, effects: { 'joint-leaking': { worn: 0.25, cracked: 0.4 } } },
  { check: 'fan-look', kinds: SURFACE, order: ['sound', 'worn', 'corroded', 'cracked', 'missing', 'broken'], leak: { corroded: 0.06, worn: 0.04 }, basis: shop, effects: { 'cooling-blocked': { broken: 0.5, missing: 0.25, cracked: 0.15 } } },
  {
    check: 'impeller-look', kinds: [...SURFACE, 'sump'], order: ['clear', 'worn', 'rubbed', 'fused', 'loose', 'broken', 'clogged'], leak: { worn: 0.05, clogged: 0.02 }, basis: shop,
    effects: { 'impeller-clogged': { clogged: 0.95 }, 'impeller-worn': { worn: 0.88 }, 'impeller-broken': { broken: 0.6, loose: 0.35 }, 'impeller-rubbing': { rubbed: 0.85 }, cavitation: { worn: 0.35 } },
  },
  { check: 'stack-look', kinds: WELLS, order: ['sound', 'worn', 'scaled', 'broken', 'fused'], leak: { worn: 0.12, scaled: 0.05 }, basis: shop, effects: { 'stages-worn': { worn: 0.88 }, 'stages-bound': { fused: 0.55, scaled: 0.35 }, 'stages-broken': { broken: 0.9 } } },
  { check: 'coupling-turn', kinds: [...WELLS, 'utility'], leak: { slips: 0.01 }, basis: cp, effects: { 'coupling-sheared': { slips: 0.96 } } },
]
