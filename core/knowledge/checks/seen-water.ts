import type { Basis } from '../../judgement/judgement'
import type { SeenRow } from '../faults/model-types'
import { HOUSE_WATER, SURFACE, WELLS, type Kind } from '../vocabulary'

const shop: Basis = { kind: 'shop', name: 'shop estimate' }
const cp: Basis = { kind: 'common-practice', name: 'what the trade expects to see' }
const PRIMED: readonly Kind[] = ['pool', 'jet', 'utility', 'spa']

/** What is seen of the water: prime, leaks of air, valves, tank, switch, floats, pit. */
export const SEEN_WATER: readonly SeenRow[] = [
  {
    check: 'basket-look',
    kinds: ['pool', 'utility'],
    order: ['clear', 'worn', 'rubbed', 'fused', 'loose', 'broken', 'clogged'],
    shows: { clogged: 'suction-blocked' },
    leak: { clogged: 0.05, broken: 0.02 },
    basis: cp,
    effects: {
      'suction-blocked': { clogged: 0.55 },
      'impeller-clogged': { clogged: 0.01, broken: 0.35 },
      cavitation: { clogged: 0.05 },
    },
  },
  {
    check: 'intake-look',
    kinds: ['pool', 'spa', 'booster', 'circulation', 'utility'],
    order: ['clear', 'worn', 'broken', 'clogged'],
    shows: { clogged: 'suction-blocked' },
    leak: { clogged: 0.03 },
    basis: shop,
    effects: { 'suction-blocked': { clogged: 0.5 }, cavitation: { clogged: 0.05 } },
  },
  {
    // A pump that stands in its water has no suction pipe: what blocks it sits on its screen.
    check: 'intake-look',
    kinds: WELLS,
    order: ['clear', 'worn', 'broken', 'clogged'],
    shows: { clogged: 'suction-blocked' },
    leak: { clogged: 0.03 },
    basis: cp,
    effects: { 'suction-blocked': { clogged: 0.95 }, cavitation: { clogged: 0.05 } },
  },
  {
    check: 'pot-look',
    kinds: ['pool'],
    leak: { bubbling: 0.04, empty: 0.01 },
    basis: cp,
    effects: {
      'suction-air-leak': { bubbling: 0.85, empty: 0.08 },
      'water-level-low': { bubbling: 0.7, empty: 0.15 },
      'lost-prime': { bubbling: 0.12, empty: 0.85 },
      'suction-blocked': { bubbling: 0.12, empty: 0.05 },
      'housing-seal-leaking': { bubbling: 0.05 },
      'impeller-broken': { empty: 0.1 },
    },
  },
  {
    check: 'prime-hold',
    kinds: PRIMED,
    leak: { falls: 0.03 },
    basis: shop,
    effects: {
      'lost-prime': { falls: 0.3 },
      'suction-air-leak': { falls: 0.7 },
      'foot-valve-leaking': { falls: 0.93 },
      'housing-seal-leaking': { falls: 0.15 },
      'seal-plate-cracked': { falls: 0.2 },
      'shaft-seal-leaking': { falls: 0.1 },
    },
  },
  {
    check: 'air-leak-test',
    kinds: [...PRIMED, 'circulation'],
    shows: { found: 'suction-air-leak' },
    leak: { found: 0.02 },
    basis: shop,
    effects: { 'suction-air-leak': { found: 0.85 }, 'housing-seal-leaking': { found: 0.12 } },
  },
  {
    check: 'valve-position',
    kinds: [...SURFACE, ...WELLS],
    leak: { throttled: 0.04, shut: 0.004 },
    basis: shop,
    effects: {
      'discharge-blocked': { throttled: 0.3, shut: 0.22 },
      'suction-blocked': { throttled: 0.08, shut: 0.08 },
      cavitation: { throttled: 0.3 },
    },
  },
  {
    check: 'water-look',
    kinds: HOUSE_WATER,
    leak: { sandy: 0.03, 'air-bubbles': 0.03, dirty: 0.05 },
    basis: shop,
    effects: {
      'low-water': { 'air-bubbles': 0.5, dirty: 0.12, sandy: 0.1 },
      'pressure-switch-blocked': { dirty: 0.4 },
      'drop-pipe-leaking': { 'air-bubbles': 0.15 },
      'stages-worn': { sandy: 0.25 },
      'suction-air-leak': { 'air-bubbles': 0.75 },
      'system-leak': { 'air-bubbles': 0.08 },
      'foot-valve-leaking': { 'air-bubbles': 0.15 },
    },
  },
  {
    check: 'tank-look',
    kinds: HOUSE_WATER,
    shows: { waterlogged: 'tank-waterlogged', 'water-at-air-valve': 'tank-waterlogged' },
    leak: { waterlogged: 0.03, 'water-at-air-valve': 0.01 },
    basis: cp,
    effects: { 'tank-waterlogged': { waterlogged: 0.5, 'water-at-air-valve': 0.4 } },
  },
  {
    check: 'pressure-switch-contacts',
    kinds: HOUSE_WATER,
    order: ['clean', 'pitted', 'burnt', 'not-closing', 'welded'],
    shows: { burnt: 'pressure-switch-failed', welded: 'pressure-switch-failed' },
    leak: { pitted: 0.1, burnt: 0.01, 'not-closing': 0.01, welded: 0.002 },
    basis: cp,
    effects: {
      'pressure-switch-failed': { 'not-closing': 0.33, burnt: 0.32, welded: 0.28, pitted: 0.05 },
      'pressure-switch-blocked': { 'not-closing': 0.45 },
      'pressure-switch-misset': { 'not-closing': 0.05 },
    },
  },
  {
    check: 'switch-nipple',
    kinds: HOUSE_WATER,
    shows: { blocked: 'pressure-switch-blocked' },
    leak: { blocked: 0.02 },
    basis: cp,
    effects: { 'pressure-switch-blocked': { blocked: 0.96 } },
  },
  {
    check: 'relief-valve',
    kinds: HOUSE_WATER,
    leak: { missing: 0.15, stuck: 0.02 },
    silent: ['missing'],
    shows: { stuck: 'relief-valve-failed' },
    basis: shop,
    effects: { 'relief-valve-failed': { stuck: 0.85 } },
  },
  {
    check: 'check-valve',
    kinds: [...HOUSE_WATER, 'sump', 'circulation'],
    shows: { 'stuck-shut': 'check-valve-failed' },
    leak: { 'falls-back': 0.03, 'stuck-shut': 0.003 },
    basis: cp,
    effects: {
      'check-valve-failed': { 'falls-back': 0.9, 'stuck-shut': 0.06 },
      // A hole above the check at the pump lets the gauge fall, unless a second check stands at the tee.
      'drop-pipe-leaking': { 'falls-back': 0.75 },
      'foot-valve-leaking': { 'falls-back': 0.9 },
      'system-leak': { 'falls-back': 0.15 },
      'relief-valve-failed': { 'falls-back': 0.3 },
    },
  },
  {
    check: 'house-leak',
    kinds: HOUSE_WATER,
    leak: { falls: 0.03 },
    basis: cp,
    effects: {
      'system-leak': { falls: 0.92 },
      'drop-pipe-leaking': { falls: 0.1 },
      'relief-valve-failed': { falls: 0.6 },
      'joint-leaking': { falls: 0.3 },
      'check-valve-failed': { falls: 0.06 },
      'foot-valve-leaking': { falls: 0.06 },
    },
  },
  {
    check: 'pit-look',
    kinds: ['sump'],
    leak: { debris: 0.15 },
    basis: shop,
    effects: { 'impeller-clogged': { debris: 0.6 }, 'float-stuck': { debris: 0.35 } },
  },
  {
    check: 'float-move',
    kinds: ['sump'],
    shows: { stuck: 'float-stuck' },
    leak: { stuck: 0.02 },
    basis: cp,
    effects: { 'float-stuck': { stuck: 0.95 } },
  },
  {
    check: 'float-heights',
    kinds: ['sump'],
    leak: { 'backup-below-main': 0.02, 'above-floor': 0.01 },
    basis: cp,
    effects: { 'float-heights-wrong': { 'backup-below-main': 0.8, 'above-floor': 0.15 } },
  },
]
