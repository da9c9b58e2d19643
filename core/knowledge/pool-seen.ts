import type { Basis } from '../judgement/judgement'
import type { SeenRow } from './model-types'

const shop: Basis = { kind: 'shop', name: 'shop estimate' }
const cp: Basis = { kind: 'common-practice', name: 'what the trade expects to see' }

export const POOL_SEEN: readonly SeenRow[] = [
  {
    check: 'shaft-turn', leak: { gritty: 0.04, tight: 0.02, seized: 0.005 }, basis: cp,
    effects: {
      'bearings-worn': { gritty: 0.6, tight: 0.15, seized: 0.03 }, 'motor-seized': { tight: 0.06, seized: 0.92 }, 'impeller-clogged': { gritty: 0.1, tight: 0.2, seized: 0.07 },
      'impeller-rubbing': { gritty: 0.3, tight: 0.4, seized: 0.06 }, 'rotor-rubbing': { gritty: 0.35, tight: 0.35, seized: 0.2 }, 'shaft-bent': { gritty: 0.3, tight: 0.2 },
      'water-in-motor': { gritty: 0.3, tight: 0.08, seized: 0.05 }, 'impeller-broken': { gritty: 0.15, seized: 0.03 },
    },
  },
  {
    check: 'shaft-rock', leak: { rocks: 0.03 }, basis: cp,
    effects: { 'bearings-worn': { rocks: 0.55 }, 'bearing-loose-on-shaft': { rocks: 0.9 }, 'shaft-bent': { rocks: 0.15 } },
  },
  {
    check: 'listen', order: ['quiet', 'hiss', 'buzz', 'whine', 'rattle', 'squeal', 'grind', 'rub', 'hum'],
    leak: { hiss: 0.02, buzz: 0.04, whine: 0.04, rattle: 0.02, hum: 0.005 }, basis: cp,
    effects: {
      'run-capacitor-failed': { hum: 0.78, buzz: 0.1 }, 'start-capacitor-failed': { hum: 0.9 }, 'start-switch-failed': { hum: 0.72, buzz: 0.1 }, 'start-winding-open': { hum: 0.95 },
      'motor-seized': { hum: 0.9 }, 'run-winding-open': { hum: 0.3 }, 'winding-shorted': { hum: 0.25, buzz: 0.4 }, 'wrong-voltage-selected': { hum: 0.45, buzz: 0.2 }, 'low-supply-voltage': { hum: 0.3, buzz: 0.3 },
      'loose-connection': { buzz: 0.2, hum: 0.15 }, 'bearings-worn': { whine: 0.5, squeal: 0.15, grind: 0.25, hum: 0.03 }, 'bearing-loose-on-shaft': { rattle: 0.3, grind: 0.3, whine: 0.2 },
      'shaft-bent': { rub: 0.3, grind: 0.15, rattle: 0.15 }, 'rotor-rubbing': { rub: 0.6, grind: 0.2, hum: 0.15 }, 'impeller-rubbing': { rub: 0.75, squeal: 0.1, hum: 0.05 },
      'impeller-clogged': { rattle: 0.35, hum: 0.07, hiss: 0.05 }, 'impeller-broken': { rattle: 0.5 }, 'suction-blocked': { rattle: 0.2, hiss: 0.4, grind: 0.1 }, cavitation: { hiss: 0.55, grind: 0.25, rattle: 0.15 },
      'suction-air-leak': { hiss: 0.15, rattle: 0.3 }, 'lost-prime': { rattle: 0.1, hiss: 0.1 }, 'shaft-seal-leaking': { squeal: 0.08 }, 'cooling-blocked': { rattle: 0.1 },
    },
  },
  {
    check: 'weep-hole', leak: { dripping: 0.02 }, basis: cp,
    effects: { 'shaft-seal-leaking': { dripping: 0.93 }, 'shaft-o-ring-leaking': { dripping: 0.85 }, 'seal-plate-cracked': { dripping: 0.4 }, 'housing-seal-leaking': { dripping: 0.06 }, 'shaft-bent': { dripping: 0.25 } },
  },
  {
    check: 'joint-look', leak: { dripping: 0.03 }, basis: cp,
    effects: { 'housing-seal-leaking': { dripping: 0.9 }, 'joint-leaking': { dripping: 0.93 }, 'seal-plate-cracked': { dripping: 0.55 }, 'suction-air-leak': { dripping: 0.12 }, 'shaft-seal-leaking': { dripping: 0.05 } },
  },
  {
    check: 'basket-look', leak: { clogged: 0.06, broken: 0.02 }, basis: cp,
    effects: { 'suction-blocked': { clogged: 0.55 }, 'impeller-clogged': { clogged: 0.12, broken: 0.4 }, cavitation: { clogged: 0.2 } },
  },
  {
    check: 'impeller-look', order: ['clear', 'worn', 'rubbed', 'loose', 'broken', 'clogged'], leak: { worn: 0.05, clogged: 0.03 }, basis: shop,
    effects: { 'impeller-clogged': { clogged: 0.95 }, 'impeller-worn': { worn: 0.85 }, 'impeller-broken': { broken: 0.6, loose: 0.35 }, 'impeller-rubbing': { rubbed: 0.85 }, cavitation: { worn: 0.3 } },
  },
  { check: 'intake-look', order: ['clear', 'worn', 'broken', 'clogged'], leak: { clogged: 0.05 }, basis: shop, effects: { 'suction-blocked': { clogged: 0.4 }, 'suction-air-leak': { clogged: 0.03 } } },
  {
    check: 'pot-look', leak: { bubbling: 0.05, empty: 0.01 }, basis: cp,
    effects: { 'suction-air-leak': { bubbling: 0.85, empty: 0.08 }, 'lost-prime': { bubbling: 0.2, empty: 0.75 }, 'suction-blocked': { bubbling: 0.15, empty: 0.05 }, 'housing-seal-leaking': { bubbling: 0.1 } },
  },
  { check: 'prime-hold', leak: { falls: 0.05 }, basis: shop, effects: { 'lost-prime': { falls: 0.5 }, 'suction-air-leak': { falls: 0.8 }, 'housing-seal-leaking': { falls: 0.25 }, 'seal-plate-cracked': { falls: 0.25 }, 'shaft-seal-leaking': { falls: 0.1 } } },
  { check: 'air-leak-test', leak: { found: 0.02 }, basis: shop, effects: { 'suction-air-leak': { found: 0.85 }, 'housing-seal-leaking': { found: 0.2 } } },
  { check: 'valve-position', leak: { throttled: 0.05, shut: 0.005 }, basis: shop, effects: { 'discharge-blocked': { throttled: 0.25, shut: 0.2 }, 'suction-blocked': { throttled: 0.1, shut: 0.1 }, cavitation: { throttled: 0.25 } } },
  {
    check: 'capacitor-look', part: 'run-capacitor', needs: 'run-capacitor', leak: { bulged: 0.01, leaking: 0.005, burnt: 0.002 }, basis: cp,
    effects: { 'run-capacitor-failed': { bulged: 0.3, leaking: 0.1, burnt: 0.05 } },
  },
  {
    check: 'capacitor-look', part: 'start-capacitor', needs: 'start-capacitor', leak: { bulged: 0.01, leaking: 0.005, burnt: 0.002 }, basis: cp,
    effects: { 'start-capacitor-failed': { bulged: 0.25, leaking: 0.15, burnt: 0.15 }, 'start-switch-failed': { burnt: 0.1 } },
  },
  {
    check: 'start-switch-look', needs: 'start-switch', order: ['sound', 'pitted', 'stuck-closed', 'stuck-open'], leak: { pitted: 0.06, 'stuck-open': 0.004, 'stuck-closed': 0.004 }, basis: cp,
    effects: { 'start-switch-failed': { 'stuck-open': 0.62, 'stuck-closed': 0.23, pitted: 0.12 } },
  },
  { check: 'wiring-look', leak: { loose: 0.03, burnt: 0.01 }, basis: cp, effects: { 'loose-connection': { loose: 0.5, burnt: 0.42 }, 'low-supply-voltage': { burnt: 0.06, loose: 0.06 }, 'bonding-missing': { loose: 0.9 } } },
  { check: 'selector-setting', leak: { mismatched: 0.002 }, basis: cp, effects: { 'wrong-voltage-selected': { mismatched: 0.98 } } },
  { check: 'interlock', leak: { open: 0.02 }, basis: shop, effects: { 'timer-failed': { open: 0.85 }, 'no-supply': { open: 0.5 } } },
  { check: 'breaker', silent: ['tripped'], leak: { 'trips-again': 0.01, tripped: 0.03 }, basis: shop, effects: { 'winding-to-ground': { 'trips-again': 0.5 }, 'winding-shorted': { 'trips-again': 0.45 }, 'no-supply': { 'trips-again': 0.05, tripped: 0.5 }, 'motor-seized': { 'trips-again': 0.35 }, 'water-in-motor': { 'trips-again': 0.3 } } },
  { check: 'gfci', silent: ['tripped'], leak: { 'trips-again': 0.01, tripped: 0.03 }, basis: shop, effects: { 'winding-to-ground': { 'trips-again': 0.85 }, 'water-in-motor': { 'trips-again': 0.8 }, 'drive-electronics-failed': { 'trips-again': 0.15 } } },
  { check: 'thermal-protector-continuity', silent: ['open-hot'], leak: { open: 0.005 }, basis: cp, effects: { 'thermal-protector-open': { open: 0.97 }, 'run-winding-open': { open: 0.15 } } },
  { check: 'ground-ohmmeter', silent: ['open'], leak: { shorted: 0.003 }, basis: cp, effects: { 'winding-to-ground': { shorted: 0.55 }, 'water-in-motor': { shorted: 0.35 } } },
  { check: 'winding-smell', leak: { burnt: 0.08 }, basis: shop, effects: { 'winding-shorted': { burnt: 0.55 }, 'run-winding-open': { burnt: 0.4 }, 'start-winding-open': { burnt: 0.25 }, 'wrong-voltage-selected': { burnt: 0.3 }, 'winding-to-ground': { burnt: 0.2 }, 'motor-seized': { burnt: 0.25 } } },
  { check: 'fan-look', order: ['sound', 'worn', 'corroded', 'cracked', 'missing', 'broken'], leak: { corroded: 0.08, worn: 0.05 }, basis: shop, effects: { 'cooling-blocked': { broken: 0.45, missing: 0.2, cracked: 0.15 } } },
  { check: 'plate-look', order: ['sound', 'corroded', 'worn', 'missing', 'broken', 'cracked'], leak: { cracked: 0.01, worn: 0.05 }, basis: shop, effects: { 'seal-plate-cracked': { cracked: 0.85 } } },
  { check: 'seal-look', order: ['sound', 'corroded', 'missing', 'worn', 'cracked', 'broken'], leak: { worn: 0.1 }, basis: shop, effects: { 'shaft-seal-leaking': { worn: 0.6, cracked: 0.25, broken: 0.05 } } },
  { check: 'motor-alone-listen', order: ['quiet', 'hiss', 'buzz', 'whine', 'rattle', 'squeal', 'grind', 'rub', 'hum', 'same-noise'], leak: { whine: 0.03, buzz: 0.03 }, basis: shop, effects: { 'bearings-worn': { 'same-noise': 0.88 }, 'bearing-loose-on-shaft': { 'same-noise': 0.8 }, 'rotor-rubbing': { 'same-noise': 0.9 }, 'shaft-bent': { 'same-noise': 0.6 }, 'run-capacitor-failed': { 'same-noise': 0.8 } } },
  { check: 'drive-error', needs: 'electronics', leak: { shown: 0.03 }, basis: shop, effects: { 'drive-electronics-failed': { shown: 0.6 }, 'winding-to-ground': { shown: 0.6 }, 'motor-seized': { shown: 0.8 }, 'low-supply-voltage': { shown: 0.5 } } },
  {
    check: 'spin-start', order: ['no-change', 'starts'], leak: { starts: 0.02 }, basis: cp,
    effects: { 'run-capacitor-failed': { starts: 0.8 }, 'start-capacitor-failed': { starts: 0.88 }, 'start-switch-failed': { starts: 0.75 }, 'start-winding-open': { starts: 0.8 }, 'low-supply-voltage': { starts: 0.2 } },
  },
]
