import type { Basis } from '../judgement/judgement'
import type { SeenRow } from './model-types'
import { CAN_IN_REACH, SUBMERGED, SURFACE } from './vocabulary'

const shop: Basis = { kind: 'shop', name: 'shop estimate' }
const cp: Basis = { kind: 'common-practice', name: 'what the trade expects to see' }

/** What is seen of supply, wiring, capacitors, switches and windings. */
export const SEEN_ELECTRICAL: readonly SeenRow[] = [
  {
    check: 'breaker', order: ['on', 'tripped', 'trips-again'], leak: { 'trips-again': 0.01, tripped: 0.04 }, basis: shop,
    effects: {
      'winding-to-ground': { 'trips-again': 0.55 }, 'cable-to-ground': { 'trips-again': 0.6 }, 'lead-connector-leaking': { 'trips-again': 0.4 }, 'winding-shorted': { 'trips-again': 0.5 }, 'no-supply': { 'trips-again': 0.03, tripped: 0.65 },
      'motor-seized': { 'trips-again': 0.3 }, 'stages-bound': { 'trips-again': 0.3 }, 'water-in-motor': { 'trips-again': 0.4 }, 'start-capacitor-failed': { 'trips-again': 0.1 }, 'start-relay-failed': { 'trips-again': 0.1 },
    },
  },
  {
    check: 'gfci', silent: ['tripped'], kinds: ['pool', 'booster', 'spa', 'sump', 'circulation', 'utility'], leak: { 'trips-again': 0.01, tripped: 0.03 }, basis: shop,
    effects: { 'winding-to-ground': { 'trips-again': 0.88 }, 'water-in-motor': { 'trips-again': 0.85 }, 'lead-connector-leaking': { 'trips-again': 0.8 }, 'drive-electronics-failed': { 'trips-again': 0.12 } },
  },
  { check: 'interlock', kinds: ['pool', 'booster', 'spa'], leak: { open: 0.02 }, basis: shop, effects: { 'timer-failed': { open: 0.88 }, 'no-supply': { open: 0.5 } } },
  { check: 'selector-setting', kinds: SURFACE, leak: { mismatched: 0.002 }, basis: cp, effects: { 'wrong-voltage-selected': { mismatched: 0.98 } } },
  {
    check: 'wiring-look', leak: { loose: 0.025, burnt: 0.01 }, basis: cp,
    effects: { 'loose-connection': { loose: 0.5, burnt: 0.42 }, 'low-supply-voltage': { burnt: 0.06, loose: 0.06 }, 'bonding-missing': { loose: 0.9 } },
  },
  { check: 'capacitor-look', part: 'run-capacitor', needs: 'run-capacitor', kinds: CAN_IN_REACH, leak: { bulged: 0.01, leaking: 0.005, burnt: 0.002 }, basis: cp, effects: { 'run-capacitor-failed': { bulged: 0.3, leaking: 0.1, burnt: 0.05 } } },
  { check: 'capacitor-look', part: 'start-capacitor', needs: 'start-capacitor', kinds: CAN_IN_REACH, leak: { bulged: 0.01, leaking: 0.005, burnt: 0.002 }, basis: cp, effects: { 'start-capacitor-failed': { bulged: 0.22, leaking: 0.14, burnt: 0.14 }, 'start-switch-failed': { burnt: 0.08 }, 'start-relay-failed': { burnt: 0.08 } } },
  {
    check: 'start-switch-look', needs: 'start-switch', kinds: SURFACE, order: ['sound', 'pitted', 'stuck-closed', 'stuck-open'], leak: { pitted: 0.06, 'stuck-open': 0.004, 'stuck-closed': 0.004 }, basis: cp,
    effects: { 'start-switch-failed': { 'stuck-open': 0.62, 'stuck-closed': 0.25, pitted: 0.1 } },
  },
  { check: 'control-box-swap', kinds: ['well-three-wire'], order: ['no-change', 'cures'], leak: { cures: 0.01 }, basis: cp, effects: { 'start-capacitor-failed': { cures: 0.95 }, 'start-relay-failed': { cures: 0.95 }, 'run-capacitor-failed': { cures: 0.9 } } },
  { check: 'relay-look', kinds: ['well-three-wire'], needs: 'start-switch', order: ['sound', 'stuck', 'burnt'], leak: { burnt: 0.02, stuck: 0.01 }, basis: shop, effects: { 'start-relay-failed': { burnt: 0.55, stuck: 0.35 } } },
  { check: 'thermal-protector-continuity', kinds: SURFACE, silent: ['open-hot'], leak: { open: 0.005 }, basis: cp, effects: { 'thermal-protector-open': { open: 0.97 } } },
  { check: 'ground-ohmmeter', silent: ['open'], leak: { shorted: 0.003 }, basis: cp, effects: { 'winding-to-ground': { shorted: 0.5 }, 'water-in-motor': { shorted: 0.35 }, 'cable-to-ground': { shorted: 0.5 }, 'lead-connector-leaking': { shorted: 0.3 } } },
  {
    check: 'winding-smell', kinds: [...SURFACE, 'sump'], leak: { burnt: 0.06 }, basis: shop,
    effects: { 'winding-shorted': { burnt: 0.55 }, 'run-winding-open': { burnt: 0.35 }, 'start-winding-open': { burnt: 0.25 }, 'wrong-voltage-selected': { burnt: 0.3 }, 'winding-to-ground': { burnt: 0.2 }, 'motor-seized': { burnt: 0.25 } },
  },
  { check: 'winding-look', kinds: SURFACE, leak: { darkened: 0.06, burnt: 0.01 }, basis: shop, effects: { 'winding-shorted': { darkened: 0.35, burnt: 0.5 }, 'run-winding-open': { darkened: 0.3, burnt: 0.25 }, 'start-winding-open': { darkened: 0.3, burnt: 0.25 }, 'wrong-voltage-selected': { darkened: 0.4 } } },
  { check: 'connector-look', kinds: SUBMERGED, leak: { cracked: 0.02, wet: 0.02 }, basis: cp, effects: { 'lead-connector-leaking': { cracked: 0.5, wet: 0.43 } } },
  { check: 'motor-fill-look', kinds: SUBMERGED, order: ['clean', 'wet', 'empty', 'water'], leak: { wet: 0.03, water: 0.005, empty: 0.005 }, basis: cp, effects: { 'water-in-motor': { wet: 0.2, water: 0.7, empty: 0.05 }, 'lead-connector-leaking': { wet: 0.2 } } },
  { check: 'drive-error', needs: 'electronics', leak: { shown: 0.03 }, basis: shop, effects: { 'drive-electronics-failed': { shown: 0.6 }, 'winding-to-ground': { shown: 0.6 }, 'motor-seized': { shown: 0.85 }, 'low-supply-voltage': { shown: 0.5 }, 'water-in-motor': { shown: 0.5 }, 'winding-shorted': { shown: 0.5 } } },
  {
    check: 'spin-start', byType: { 'capacitor-start-run': { 'run-capacitor-failed': { starts: 0.05 } } }, order: ['no-change', 'starts'], kinds: SURFACE, leak: { starts: 0.02 }, basis: cp,
    effects: { 'run-capacitor-failed': { starts: 0.8 }, 'start-capacitor-failed': { starts: 0.88 }, 'start-switch-failed': { starts: 0.75 }, 'start-winding-open': { starts: 0.8 }, 'low-supply-voltage': { starts: 0.2 } },
  },
  {
    check: 'float-bypass', kinds: ['sump'], order: ['runs', 'hums', 'silent'], leak: { silent: 0.01, hums: 0.01 }, basis: cp,
    effects: {
      'no-supply': { silent: 0.98 }, 'outlet-dead': { silent: 0.98 }, 'run-winding-open': { silent: 0.65, hums: 0.3 }, 'thermal-protector-open': { silent: 0.97 }, 'loose-connection': { silent: 0.6, hums: 0.05 }, 'motor-seized': { hums: 0.93 }, 'start-winding-open': { hums: 0.95 },
      'start-capacitor-failed': { hums: 0.93 }, 'run-capacitor-failed': { hums: 0.75 }, 'start-switch-failed': { hums: 0.75 }, 'impeller-clogged': { hums: 0.2 }, 'low-supply-voltage': { hums: 0.35 }, 'winding-shorted': { silent: 0.3, hums: 0.15 }, 'winding-to-ground': { silent: 0.6 }, 'water-in-motor': { silent: 0.6 }, 'lead-connector-leaking': { silent: 0.55 },
    },
  },
]
