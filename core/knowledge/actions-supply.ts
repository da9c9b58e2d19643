import type { Basis } from '../judgement/judgement'
import type { ActionRow } from './model-types'
import { CORDED, SUBMERGED, SURFACE, type Kind } from './vocabulary'

const shop: Basis = { kind: 'shop', name: 'shop estimate; the shop’s own times take over' }
const cp: Basis = { kind: 'common-practice', name: 'usual times and parts of the trade' }

export const HAND_TOOLS = ['screwdrivers', 'nut drivers', 'adjustable wrench']
export const ELECTRICAL = ['meter', 'bleed resistor 20 kΩ 5 W', 'insulated screwdriver']
const TIMED: readonly Kind[] = ['pool', 'booster', 'spa']

/** Supply, wiring and what can be changed with the pump left where it stands. */
export const ACTIONS_SUPPLY: readonly ActionRow[] = [
  { id: 'restore-supply', label: 'Restore the supply', cures: ['no-supply'], parts: ['breaker'], minutes: 35, tools: ELECTRICAL, reason: 'The motor has had no power. Licensed practice decides who works in the panel.', basis: shop },
  { id: 'replace-outlet', label: 'Replace the outlet', kinds: CORDED, cures: ['outlet-dead'], parts: ['outlet'], minutes: 25, tools: ELECTRICAL, reason: 'Power stops at the outlet; the pump behind it is not to blame.', basis: shop },
  { id: 'replace-timer', label: 'Replace the timer', kinds: TIMED, cures: ['timer-failed'], parts: ['timer'], minutes: 35, tools: ELECTRICAL, reason: 'Power reaches the timer and does not leave it.', basis: shop },
  { id: 'mend-wiring', label: 'Remake the connections, set the selector', kinds: SURFACE, cures: ['loose-connection', 'wrong-voltage-selected', 'bonding-missing'], parts: ['terminal-board'], minutes: 30, tools: ELECTRICAL, reason: 'Cut back to bright copper, tight, tugged, bonded.', basis: shop },
  { id: 'remake-surface-wiring', label: 'Remake the connections above ground', kinds: SUBMERGED, cures: ['loose-connection'], parts: ['terminal-board'], minutes: 25, tools: ELECTRICAL, reason: 'Switch, box and junction: bright copper, tight, tugged.', basis: shop },
  { id: 'mend-supply', label: 'Mend the low supply', cures: ['low-supply-voltage'], parts: ['conduit-fitting'], minutes: 60, tools: ELECTRICAL, reason: 'Wire size, length or a poor joint upstream; the utility if it is low at the panel.', basis: shop },
  { id: 'replace-run-capacitor', label: 'Replace the run capacitor', kinds: [...SURFACE, 'well-three-wire'], cures: ['run-capacitor-failed'], parts: ['run-capacitor'], minutes: 15, tools: ELECTRICAL, needs: 'run-capacitor', reason: 'A few dollars, and the usual reason why a good motor is thrown away.', basis: cp },
  { id: 'replace-start-capacitor', label: 'Replace the start capacitor', kinds: [...SURFACE, 'well-three-wire'], cures: ['start-capacitor-failed'], parts: ['start-capacitor'], minutes: 15, tools: ELECTRICAL, needs: 'start-capacitor', reason: 'Cheap, and without it the motor cannot start. Watch what opens it: that may have cooked the old one.', basis: cp },
  { id: 'service-start-switch', label: 'Free or replace the start switch', kinds: SURFACE, cures: ['start-switch-failed'], parts: ['start-switch'], minutes: 40, tools: [...ELECTRICAL, ...HAND_TOOLS], needs: 'start-switch', reason: 'Weights free, springs both on, contacts clean: the rest of the motor can go on.', basis: cp },
  { id: 'replace-relay', label: 'Replace the start relay', kinds: ['well-three-wire'], cures: ['start-relay-failed'], parts: ['start-relay'], minutes: 20, tools: ELECTRICAL, needs: 'start-switch', reason: 'The box is opened, not the well.', basis: cp },
  { id: 'replace-control-box', label: 'Replace the control box', kinds: ['well-three-wire'], cures: ['start-relay-failed', 'start-capacitor-failed', 'run-capacitor-failed'], parts: ['control-box'], minutes: 25, tools: ELECTRICAL, reason: 'Everything above ground new at once, for the same horsepower.', basis: cp },
  { id: 'replace-drive', label: 'Replace the drive', kinds: SURFACE, cures: ['drive-electronics-failed'], parts: ['drive-electronics'], minutes: 60, tools: ELECTRICAL, needs: 'electronics', reason: 'The motor behind it measures sound.', basis: shop },
  { id: 'leave-it', label: 'Leave it as it is', cures: ['nothing-wrong'], parts: [], minutes: 5, tools: [], reason: 'Nothing found that is worth a repair.', basis: shop },
]
