import type { Basis } from '../judgement/judgement'
import { ELECTRICAL, HAND_TOOLS } from './actions-supply'
import type { ActionRow } from './model-types'
import type { Fault } from './vocabulary'

const shop: Basis = { kind: 'shop', name: 'shop estimate; the shop’s own times take over' }
const cp: Basis = { kind: 'common-practice', name: 'usual times and parts of the trade' }

const INSIDE: readonly Fault[] = [
  'run-capacitor-failed', 'start-capacitor-failed', 'start-switch-failed', 'run-winding-open', 'start-winding-open', 'winding-shorted', 'winding-to-ground', 'lead-connector-leaking', 'water-in-motor', 'thermal-protector-open',
  'bearings-worn', 'motor-seized', 'impeller-clogged', 'impeller-worn', 'impeller-broken', 'undersized-pump',
]

/** The pit in the cellar: a sealed pump, its floats, its backup. */
export const ACTIONS_PIT: readonly ActionRow[] = [
  { id: 'swap-sump-pump', label: 'Swap the sump pump', kinds: ['sump'], access: 'pulled', cures: [...INSIDE, 'float-switch-failed', 'float-stuck'], parts: ['pump'], minutes: 35, tools: [...HAND_TOOLS, 'bucket'], reason: 'Sealed: what is wrong inside is not opened, and a new one brings its own float.', basis: cp },
  { id: 'return-sump-pump', label: 'Send back under warranty', kinds: ['sump'], access: 'pulled', cures: INSIDE, parts: [], minutes: 45, tools: HAND_TOOLS, onlyUnderWarranty: true, reason: 'An internal fault under warranty goes back unopened; a spare keeps the cellar dry.', basis: cp },
  { id: 'replace-float-switch', label: 'Replace the float switch', kinds: ['sump'], cures: ['float-switch-failed', 'float-stuck'], parts: ['float-switch'], minutes: 25, tools: HAND_TOOLS, reason: 'Plugged straight in, the pump runs: the switch is at fault.', basis: cp },
  { id: 'free-float', label: 'Free the float and tie its cord', kinds: ['sump'], cures: ['float-stuck'], parts: [], minutes: 15, tools: ['cord ties'], reason: 'It hung on the wall or the pipe; nothing is broken.', basis: cp },
  { id: 'set-float-heights', label: 'Set the float heights', kinds: ['sump'], cures: ['float-heights-wrong'], parts: [], minutes: 20, tools: ['rule', 'cord ties'], reason: 'Main below backup, both below the floor.', basis: cp },
  { id: 'replace-battery', label: 'Replace the backup battery', kinds: ['sump'], cures: ['backup-battery-failed'], parts: ['battery'], minutes: 15, tools: ELECTRICAL, reason: 'The backup is there for the night when the mains is not.', basis: cp },
  { id: 'clear-sump-impeller', label: 'Clear the impeller and the pit', kinds: ['sump'], access: 'pulled', cures: ['impeller-clogged'], parts: [], minutes: 15, tools: HAND_TOOLS, reason: 'Stones and string out, pit clean; no part is needed.', basis: cp },
  { id: 'open-sump-discharge', label: 'Open the discharge', kinds: ['sump'], cures: ['discharge-blocked', 'check-valve-failed'], parts: ['check-valve'], minutes: 45, tools: [...HAND_TOOLS, 'bucket'], reason: 'Ice, roots or a flap that hangs: the water has nowhere to go.', basis: shop },
  { id: 'drill-air-hole', label: 'Clear the air hole and restart', kinds: ['sump'], cures: ['lost-prime'], parts: [], minutes: 20, tools: ['3 mm drill'], reason: 'Air stands in the volute under the check valve.', basis: cp },
]
