import type { Basis } from '../judgement/judgement'
import type { ActionRow } from './model-types'
import type { Fault } from './vocabulary'

const shop: Basis = { kind: 'shop', name: 'shop estimate; the shop’s own times take over' }
const cp: Basis = { kind: 'common-practice', name: 'usual times and parts of the trade' }

/** What lives inside the motor: a new motor, or a return, cures these. */
const INSIDE_MOTOR: readonly Fault[] = [
  'run-winding-open', 'start-winding-open', 'winding-shorted', 'winding-to-ground', 'water-in-motor', 'thermal-protector-open', 'bearings-worn', 'bearing-loose-on-shaft',
  'shaft-bent', 'rotor-rubbing', 'motor-seized', 'start-switch-failed', 'start-capacitor-failed', 'run-capacitor-failed', 'cooling-blocked', 'drive-electronics-failed',
]
const SEALS: readonly Fault[] = ['shaft-seal-leaking', 'shaft-o-ring-leaking', 'housing-seal-leaking']
const WET_END: readonly Fault[] = [...SEALS, 'seal-plate-cracked', 'impeller-clogged', 'impeller-worn', 'impeller-broken', 'impeller-rubbing', 'lost-prime']
const HAND_TOOLS = ['screwdrivers', 'nut drivers', 'adjustable wrench']
const ELECTRICAL = ['meter', 'bleed resistor 20 kΩ 5 W', 'insulated screwdriver']
const SEAL_TOOLS = ['sockets', 'thin 7/16 in open-end', 'hex keys', 'socket or pipe for the seal shell', 'lint-free pad', 'silicone lubricant', 'soft mallet']

export const POOL_ACTIONS: readonly ActionRow[] = [
  { id: 'replace-run-capacitor', label: 'Replace the run capacitor', cures: ['run-capacitor-failed'], parts: ['run-capacitor'], minutes: 15, tools: ELECTRICAL, needs: 'run-capacitor', plan: 'capacitor', reason: 'A few dollars, and the usual reason why a good motor is thrown away.', basis: cp },
  { id: 'replace-start-capacitor', label: 'Replace the start capacitor', cures: ['start-capacitor-failed'], parts: ['start-capacitor'], minutes: 15, tools: ELECTRICAL, needs: 'start-capacitor', plan: 'capacitor', reason: 'Cheap, and without it the motor cannot start. Watch the switch: it may have cooked the old one.', basis: cp },
  { id: 'service-start-switch', label: 'Free or replace the start switch', cures: ['start-switch-failed'], parts: ['start-switch'], minutes: 40, tools: [...ELECTRICAL, ...HAND_TOOLS], needs: 'start-switch', reason: 'Weights free, springs both on, contacts clean: the rest of the motor can go on.', basis: cp },
  { id: 'replace-shaft-seal', label: 'Replace the shaft seal and its O-rings', cures: SEALS, parts: ['shaft-seal', 'housing-o-ring', 'diffuser-o-ring'], minutes: 75, tools: SEAL_TOOLS, plan: 'shaft-seal', reason: 'The motor is sound; the wet end comes open once and gets every ring it disturbs.', basis: cp },
  { id: 'bearings-and-seal', label: 'Bearings and seal, on the bench', cures: [...SEALS, 'bearings-worn'], parts: ['bearings', 'shaft-seal', 'housing-o-ring', 'diffuser-o-ring'], minutes: 150, tools: [...SEAL_TOOLS, 'bearing puller', 'pipe for the inner ring'], reason: 'Good where windings and insulation are sound and the shaft is true.', basis: cp },
  { id: 'swap-motor', label: 'Swap the motor, with a new seal', cures: [...INSIDE_MOTOR, 'shaft-seal-leaking', 'shaft-o-ring-leaking', 'housing-seal-leaking'], parts: ['motor', 'shaft-seal', 'housing-o-ring', 'diffuser-o-ring'], minutes: 90, tools: [...SEAL_TOOLS, ...ELECTRICAL], plan: 'motor-swap', reason: 'A new motor on the old wet end: everything that turns is new, with a warranty.', basis: cp },
  { id: 'swap-pump', label: 'Swap the whole pump', cures: [...INSIDE_MOTOR, ...WET_END], parts: ['pump'], minutes: 105, tools: [...HAND_TOOLS, 'pipe saw', 'primer and cement', ...ELECTRICAL], reason: 'Everything new, longest warranty, highest price.', basis: cp },
  { id: 'return-under-warranty', label: 'Send back under warranty', cures: [...INSIDE_MOTOR, 'seal-plate-cracked', 'impeller-broken'], parts: [], minutes: 70, tools: HAND_TOOLS, onlyUnderWarranty: true, reason: 'An internal fault under warranty goes back unopened.', basis: cp },
  { id: 'clear-impeller', label: 'Clear the impeller', cures: ['impeller-clogged'], parts: ['lid-o-ring'], minutes: 30, tools: ['bent wire', 'lamp', ...HAND_TOOLS], reason: 'Through the pot first; no part is needed.', basis: cp },
  { id: 'replace-impeller', label: 'Replace the impeller', cures: ['impeller-worn', 'impeller-broken', 'impeller-rubbing', 'impeller-clogged'], parts: ['impeller', 'shaft-seal', 'housing-o-ring', 'diffuser-o-ring'], minutes: 80, tools: SEAL_TOOLS, reason: 'The wet end is open anyway, so the seal is renewed with it.', basis: shop },
  { id: 'replace-seal-plate', label: 'Replace the seal plate and seal', cures: [...SEALS, 'seal-plate-cracked'], parts: ['seal-plate', 'shaft-seal', 'housing-o-ring', 'diffuser-o-ring'], minutes: 95, tools: SEAL_TOOLS, reason: 'A cracked plate never seals again.', basis: shop },
  { id: 'renew-housing-o-ring', label: 'Renew the housing O-ring', cures: ['housing-seal-leaking'], parts: ['housing-o-ring', 'diffuser-o-ring'], minutes: 35, tools: [...HAND_TOOLS, 'silicone lubricant'], reason: 'Clean groove, new ring, a film that shines.', basis: shop },
  { id: 'remake-joint', label: 'Remake the leaking joint', cures: ['joint-leaking'], parts: ['union'], minutes: 35, tools: ['pipe saw', 'PTFE tape', 'primer and cement'], reason: 'Only the joint leaks; the pump stays shut.', basis: shop },
  { id: 'clear-suction', label: 'Clear basket, skimmer and line', cures: ['suction-blocked', 'cavitation'], parts: ['lid-o-ring'], minutes: 30, tools: ['hose', ...HAND_TOOLS], reason: 'Nothing is broken; water cannot get in.', basis: shop },
  { id: 'reprime', label: 'Prime, and renew the lid O-ring', cures: ['lost-prime'], parts: ['lid-o-ring'], minutes: 25, tools: ['silicone lubricant', 'bucket'], reason: 'Fill, bleed, watch it hold.', basis: shop },
  { id: 'seal-suction', label: 'Find and seal the air leak', cures: ['suction-air-leak', 'lost-prime'], parts: ['lid-o-ring', 'union'], minutes: 50, tools: ['foam', 'PTFE tape', 'silicone lubricant'], reason: 'Lid ring first, then unions, then the threads.', basis: shop },
  { id: 'open-discharge', label: 'Open the discharge, wash the filter', cures: ['discharge-blocked'], parts: [], minutes: 30, tools: HAND_TOOLS, reason: 'Pressure is there; flow is throttled behind the pump.', basis: shop },
  { id: 'restore-supply', label: 'Restore the supply', cures: ['no-supply'], parts: ['breaker'], minutes: 35, tools: ELECTRICAL, reason: 'The motor has had no power. Licensed practice decides who works in the panel.', basis: shop },
  { id: 'replace-timer', label: 'Replace the timer', cures: ['timer-failed'], parts: ['timer'], minutes: 35, tools: ELECTRICAL, reason: 'Power reaches the timer and does not leave it.', basis: shop },
  { id: 'mend-wiring', label: 'Remake the connections, set the selector', cures: ['loose-connection', 'wrong-voltage-selected', 'bonding-missing'], parts: ['terminal-board'], minutes: 30, tools: ELECTRICAL, reason: 'Cut back to bright copper, tight, tugged, bonded.', basis: shop },
  { id: 'mend-supply', label: 'Mend the low supply', cures: ['low-supply-voltage'], parts: ['conduit-fitting'], minutes: 60, tools: ELECTRICAL, reason: 'Wire size, length or a poor joint upstream; the utility if it is low at the panel.', basis: shop },
  { id: 'clear-cooling', label: 'Clear the vents and fan', cures: ['cooling-blocked'], parts: ['fan'], minutes: 20, tools: HAND_TOOLS, reason: 'The motor only lacks air.', basis: shop },
  { id: 'replace-drive', label: 'Replace the drive', cures: ['drive-electronics-failed'], parts: ['drive-electronics'], minutes: 60, tools: ELECTRICAL, needs: 'electronics', reason: 'The motor behind it measures sound.', basis: shop },
  { id: 'leave-it', label: 'Leave it as it is', cures: ['nothing-wrong'], parts: [], minutes: 5, tools: [], reason: 'Nothing found that is worth a repair.', basis: shop },
]
