import type { Basis } from '../judgement/judgement'
import type { FaultRow, KindKnowledge, PairRow } from './model-types'

const shop: Basis = { kind: 'shop', name: 'shop estimate' }
const cp: Basis = { kind: 'common-practice', name: 'usual life in the trade: pool motor 5–10 years, seal 3–8, capacitor 5–10' }

export const POOL_FAULTS: readonly FaultRow[] = [
  { fault: 'no-supply', per1000: 14, shape: 1, atYears: 6, part: 'breaker', complaints: { dead: 0.95, 'no-water': 0.1 }, basis: shop },
  { fault: 'timer-failed', per1000: 9, shape: 1.3, atYears: 6, part: 'timer', complaints: { dead: 0.8, 'never-stops': 0.2 }, basis: shop },
  { fault: 'low-supply-voltage', per1000: 6, shape: 1, atYears: 6, complaints: { 'hums-no-start': 0.3, 'runs-hot': 0.3, 'cuts-out-hot': 0.35, 'trips-breaker': 0.15, 'low-flow': 0.1, 'noise-buzz': 0.1 }, basis: shop },
  { fault: 'wrong-voltage-selected', per1000: 1.5, shape: 0.6, atYears: 6, part: 'selector', complaints: { 'hums-no-start': 0.4, 'runs-hot': 0.3, 'trips-breaker': 0.4, 'smell-burnt': 0.2, 'low-flow': 0.2, 'cuts-out-hot': 0.2 }, basis: shop },
  { fault: 'loose-connection', per1000: 10, shape: 1, atYears: 6, part: 'terminal-board', complaints: { dead: 0.4, 'noise-buzz': 0.15, 'cuts-out-hot': 0.2, 'smell-burnt': 0.2, 'hums-no-start': 0.15, 'trips-breaker': 0.05 }, basis: shop },
  { fault: 'run-capacitor-failed', per1000: 38, shape: 1.8, atYears: 7, part: 'run-capacitor', needs: 'run-capacitor', complaints: { 'hums-no-start': 0.75, 'runs-hot': 0.2, 'cuts-out-hot': 0.2, 'trips-breaker': 0.15, 'noise-buzz': 0.15, 'low-flow': 0.05 }, basis: cp },
  { fault: 'start-capacitor-failed', per1000: 26, shape: 1.6, atYears: 7, part: 'start-capacitor', needs: 'start-capacitor', complaints: { 'hums-no-start': 0.85, 'trips-breaker': 0.25, 'cuts-out-hot': 0.15, 'smell-burnt': 0.05 }, basis: cp },
  { fault: 'start-switch-failed', per1000: 16, shape: 1.6, atYears: 7, part: 'start-switch', needs: 'start-switch', complaints: { 'hums-no-start': 0.7, 'trips-breaker': 0.25, 'runs-hot': 0.15, 'noise-buzz': 0.1, 'smell-burnt': 0.1, 'cuts-out-hot': 0.15 }, basis: shop },
  { fault: 'run-winding-open', per1000: 5, shape: 2, atYears: 8, part: 'run-winding', complaints: { dead: 0.6, 'hums-no-start': 0.3, 'smell-burnt': 0.4, 'trips-breaker': 0.1 }, basis: shop },
  { fault: 'start-winding-open', per1000: 5, shape: 2, atYears: 8, part: 'start-winding', needs: 'start-winding', complaints: { 'hums-no-start': 0.92, 'trips-breaker': 0.2, 'smell-burnt': 0.25 }, basis: shop },
  { fault: 'winding-shorted', per1000: 7, shape: 2, atYears: 8, part: 'run-winding', complaints: { 'trips-breaker': 0.5, 'smell-burnt': 0.5, 'runs-hot': 0.4, 'cuts-out-hot': 0.3, 'hums-no-start': 0.2, 'noise-buzz': 0.1 }, basis: shop },
  { fault: 'winding-to-ground', per1000: 10, shape: 2, atYears: 8, part: 'insulation', complaints: { 'trips-gfci': 0.7, 'trips-breaker': 0.5, 'smell-burnt': 0.15, dead: 0.05 }, basis: shop },
  { fault: 'water-in-motor', per1000: 8, shape: 1.6, atYears: 7, part: 'insulation', complaints: { 'trips-gfci': 0.7, 'trips-breaker': 0.3, 'leak-under-motor': 0.25, 'noise-grind': 0.15 }, basis: shop },
  { fault: 'thermal-protector-open', per1000: 3, shape: 1.5, atYears: 8, part: 'thermal-protector', complaints: { dead: 0.85, 'cuts-out-hot': 0.3 }, basis: shop },
  { fault: 'bearings-worn', per1000: 55, shape: 2.2, atYears: 7, part: 'bearings', complaints: { 'noise-whine': 0.6, 'noise-squeal': 0.3, 'noise-grind': 0.35, 'runs-hot': 0.15, vibrates: 0.2, 'hums-no-start': 0.03, 'cuts-out-hot': 0.08 }, basis: cp },
  { fault: 'bearing-loose-on-shaft', per1000: 2.5, shape: 1.5, atYears: 8, part: 'shaft', complaints: { 'noise-rattle': 0.3, vibrates: 0.5, 'noise-grind': 0.2, 'noise-whine': 0.2, 'leak-under-motor': 0.15 }, basis: shop },
  { fault: 'shaft-bent', per1000: 1, shape: 1, atYears: 8, part: 'shaft', complaints: { vibrates: 0.7, 'leak-under-motor': 0.3, 'noise-grind': 0.15 }, basis: shop },
  { fault: 'rotor-rubbing', per1000: 1.5, shape: 2, atYears: 9, part: 'rotor', complaints: { 'noise-grind': 0.5, 'hums-no-start': 0.3, 'runs-hot': 0.3, 'trips-breaker': 0.2 }, basis: shop },
  { fault: 'motor-seized', per1000: 9, shape: 2, atYears: 8, part: 'bearings', complaints: { 'hums-no-start': 0.85, 'trips-breaker': 0.4, 'smell-burnt': 0.15, dead: 0.05 }, basis: shop },
  { fault: 'cooling-blocked', per1000: 5, shape: 1, atYears: 6, part: 'fan', complaints: { 'runs-hot': 0.7, 'cuts-out-hot': 0.7, 'noise-rattle': 0.1 }, basis: shop },
  { fault: 'shaft-seal-leaking', per1000: 62, shape: 1.7, atYears: 6, part: 'shaft-seal', complaints: { 'leak-under-motor': 0.93, 'loses-prime': 0.05, 'noise-squeal': 0.05 }, basis: cp },
  { fault: 'shaft-o-ring-leaking', per1000: 3, shape: 1.2, atYears: 6, part: 'shaft-o-ring', complaints: { 'leak-under-motor': 0.9 }, basis: shop },
  { fault: 'housing-seal-leaking', per1000: 20, shape: 1.5, atYears: 6, part: 'housing-o-ring', complaints: { 'leak-at-joint': 0.7, 'leak-under-motor': 0.35, 'loses-prime': 0.15 }, basis: shop },
  { fault: 'joint-leaking', per1000: 18, shape: 1.2, atYears: 6, part: 'union', complaints: { 'leak-at-joint': 0.9 }, basis: shop },
  { fault: 'seal-plate-cracked', per1000: 3, shape: 1.3, atYears: 7, part: 'seal-plate', complaints: { 'leak-under-motor': 0.6, 'leak-at-joint': 0.4, 'loses-prime': 0.15 }, basis: shop },
  { fault: 'impeller-clogged', per1000: 24, shape: 1, atYears: 6, part: 'impeller', complaints: { 'low-flow': 0.8, 'no-water': 0.2, 'noise-rattle': 0.25, 'hums-no-start': 0.07, 'low-pressure': 0.4 }, basis: shop },
  { fault: 'impeller-worn', per1000: 5, shape: 2, atYears: 9, part: 'impeller', complaints: { 'low-flow': 0.85, 'low-pressure': 0.5 }, basis: shop },
  { fault: 'impeller-broken', per1000: 5, shape: 1.2, atYears: 7, part: 'impeller', complaints: { 'no-water': 0.6, 'noise-rattle': 0.4, 'low-flow': 0.3 }, basis: shop },
  { fault: 'impeller-rubbing', per1000: 3, shape: 0.8, atYears: 6, part: 'impeller', complaints: { 'noise-grind': 0.5, 'noise-squeal': 0.3, 'hums-no-start': 0.08, 'runs-hot': 0.1 }, basis: shop },
  { fault: 'suction-air-leak', per1000: 26, shape: 1.2, atYears: 6, part: 'lid-o-ring', complaints: { 'loses-prime': 0.75, 'low-flow': 0.3, 'no-water': 0.15, 'noise-rattle': 0.15 }, basis: shop },
  { fault: 'suction-blocked', per1000: 26, shape: 1, atYears: 6, part: 'strainer', complaints: { 'low-flow': 0.75, 'no-water': 0.2, 'noise-grind': 0.1, 'noise-rattle': 0.25, 'low-pressure': 0.5 }, basis: shop },
  { fault: 'lost-prime', per1000: 14, shape: 1, atYears: 6, part: 'lid-o-ring', complaints: { 'no-water': 0.85, 'loses-prime': 0.5 }, basis: shop },
  { fault: 'discharge-blocked', per1000: 20, shape: 1, atYears: 6, part: 'discharge-pipe', complaints: { 'low-flow': 0.85, 'runs-hot': 0.1, 'no-water': 0.1 }, basis: shop },
  { fault: 'cavitation', per1000: 4, shape: 1, atYears: 6, part: 'suction-pipe', complaints: { 'noise-grind': 0.4, 'noise-rattle': 0.5, 'low-flow': 0.4 }, basis: shop },
  { fault: 'drive-electronics-failed', per1000: 30, shape: 1, atYears: 5, part: 'drive-electronics', needs: 'electronics', complaints: { dead: 0.75, 'trips-gfci': 0.15, 'cuts-out-hot': 0.2, 'one-speed-only': 0.1 }, basis: shop },
  { fault: 'bonding-missing', per1000: 0.5, shape: 1, atYears: 6, part: 'bonding-lug', complaints: { 'trips-gfci': 0.05 }, basis: shop },
]

export const POOL_NOTHING_WRONG: KindKnowledge['nothingWrong'] = {
  per1000: 8,
  complaints: { 'low-flow': 0.25, 'high-bill': 0.25, 'noise-buzz': 0.15, 'noise-whine': 0.1, 'trips-gfci': 0.1, dead: 0.03, 'runs-hot': 0.15, 'leak-under-motor': 0.03 },
  basis: shop,
}

export const POOL_PAIRS: readonly PairRow[] = [
  { faults: ['shaft-seal-leaking', 'bearings-worn'], given: 0.18, basis: { kind: 'common-practice', name: 'a leaking seal wets the front bearing' } },
  { faults: ['low-supply-voltage', 'run-capacitor-failed'], given: 0.08, basis: { kind: 'shop', name: 'low volts cook a capacitor, shop estimate' } },
  { faults: ['lost-prime', 'shaft-seal-leaking'], given: 0.1, basis: { kind: 'common-practice', name: 'run dry, a seal is ruined' } },
  { faults: ['shaft-seal-leaking', 'water-in-motor'], given: 0.04, basis: shop },
  { faults: ['suction-air-leak', 'lost-prime'], given: 0.2, basis: { kind: 'common-practice', name: 'air in, prime out' } },
  { faults: ['run-capacitor-failed', 'bearings-worn'], given: 0.05, basis: shop },
  { faults: ['bearings-worn', 'bearing-loose-on-shaft'], given: 0.05, basis: shop },
  { faults: ['motor-seized', 'winding-shorted'], given: 0.05, basis: shop },
]

export const POOL_REPLACEMENT: KindKnowledge['replacement'] = {
  lowered: 0.3,
  raised: 1.6,
  masks: {
    'run-capacitor': ['start-switch-failed', 'start-winding-open', 'low-supply-voltage', 'motor-seized'],
    'start-capacitor': ['start-switch-failed', 'start-winding-open', 'motor-seized'],
    bearings: ['bearing-loose-on-shaft', 'shaft-bent', 'rotor-rubbing', 'impeller-rubbing'],
    'shaft-seal': ['shaft-o-ring-leaking', 'housing-seal-leaking', 'seal-plate-cracked', 'bearings-worn', 'shaft-bent'],
    impeller: ['suction-blocked', 'impeller-rubbing', 'discharge-blocked'],
    motor: ['low-supply-voltage', 'wrong-voltage-selected', 'loose-connection', 'impeller-clogged'],
    'lid-o-ring': ['suction-air-leak', 'housing-seal-leaking'],
  },
  basis: { kind: 'shop', name: 'new parts fail and wrong parts are fitted; shop estimate' },
}
