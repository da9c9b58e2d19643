import type { Basis } from '../judgement/judgement'
import { ELECTRICAL, HAND_TOOLS } from './actions-supply'
import type { ActionRow } from './model-types'
import { SURFACE, type Fault, type Kind } from './vocabulary'

const shop: Basis = { kind: 'shop', name: 'shop estimate; the shop’s own times take over' }
const cp: Basis = { kind: 'common-practice', name: 'usual times and parts of the trade' }

/** What lives inside the motor: a new motor, or a return, cures these. */
const INSIDE_MOTOR: readonly Fault[] = [
  'run-winding-open', 'start-winding-open', 'winding-shorted', 'winding-to-ground', 'water-in-motor', 'thermal-protector-open', 'bearings-worn', 'bearing-loose-on-shaft',
  'shaft-bent', 'rotor-rubbing', 'motor-seized', 'start-switch-failed', 'start-capacitor-failed', 'run-capacitor-failed', 'cooling-blocked', 'drive-electronics-failed',
]
const SEALS: readonly Fault[] = ['shaft-seal-leaking', 'shaft-o-ring-leaking', 'housing-seal-leaking']
const WET_END: readonly Fault[] = [...SEALS, 'seal-plate-cracked', 'impeller-clogged', 'impeller-worn', 'impeller-broken', 'impeller-rubbing', 'lost-prime', 'coupling-sheared', 'undersized-pump']
const SEAL_TOOLS = ['sockets', 'thin 7/16 in open-end', 'hex keys', 'socket or pipe for the seal shell', 'lint-free pad', 'silicone lubricant', 'soft mallet']
const PRIMES: readonly Kind[] = ['pool', 'spa', 'booster', 'jet', 'circulation', 'utility']

/** Motor and wet end of a pump that stands above ground. */
export const ACTIONS_SURFACE: readonly ActionRow[] = [
  { id: 'replace-shaft-seal', label: 'Replace the shaft seal and its O-rings', kinds: SURFACE, access: 'wet-end-open', cures: SEALS, parts: ['shaft-seal', 'housing-o-ring', 'diffuser-o-ring'], minutes: 55, tools: SEAL_TOOLS, reason: 'The motor is sound; the wet end comes open once and gets every ring it disturbs.', basis: cp },
  { id: 'bearings-and-seal', label: 'Bearings and seal, on the bench', kinds: SURFACE, access: 'wet-end-open', cures: [...SEALS, 'bearings-worn'], parts: ['bearings', 'shaft-seal', 'housing-o-ring', 'diffuser-o-ring'], minutes: 130, tools: [...SEAL_TOOLS, 'bearing puller', 'pipe for the inner ring'], reason: 'Good where windings and insulation are sound and the shaft is true.', basis: cp },
  { id: 'swap-motor', label: 'Swap the motor, with a new seal', kinds: SURFACE, access: 'wet-end-open', cures: [...INSIDE_MOTOR, 'shaft-seal-leaking', 'shaft-o-ring-leaking', 'housing-seal-leaking'], parts: ['motor', 'shaft-seal', 'housing-o-ring', 'diffuser-o-ring'], minutes: 70, tools: [...SEAL_TOOLS, ...ELECTRICAL], reason: 'A new motor on the old wet end: everything that turns is new, with a warranty.', basis: cp },
  { id: 'swap-pump', label: 'Swap the whole pump', kinds: SURFACE, cures: [...INSIDE_MOTOR, ...WET_END], parts: ['pump'], minutes: 105, tools: [...HAND_TOOLS, 'pipe saw', 'primer and cement', ...ELECTRICAL], reason: 'Everything new, longest warranty, highest price.', basis: cp },
  { id: 'return-under-warranty', label: 'Send back under warranty', kinds: SURFACE, cures: [...INSIDE_MOTOR, 'seal-plate-cracked', 'impeller-broken'], parts: [], minutes: 70, tools: HAND_TOOLS, onlyUnderWarranty: true, reason: 'An internal fault under warranty goes back unopened.', basis: cp },
  { id: 'clear-impeller', label: 'Clear the impeller', kinds: ['pool', 'utility'], cures: ['impeller-clogged'], parts: ['lid-o-ring'], minutes: 30, tools: ['bent wire', 'lamp', ...HAND_TOOLS], reason: 'Through the pot first; no part is needed.', basis: cp },
  { id: 'open-and-clear-impeller', label: 'Open the wet end and clear the impeller', kinds: ['booster', 'spa', 'jet', 'circulation'], access: 'wet-end-open', cures: ['impeller-clogged'], parts: ['housing-o-ring'], minutes: 20, tools: ['bent wire', 'lamp', ...HAND_TOOLS], reason: 'No strainer to reach through: the wet end opens, and gets its ring.', basis: cp },
  { id: 'replace-impeller', label: 'Replace the impeller', kinds: SURFACE, access: 'wet-end-open', cures: ['impeller-worn', 'impeller-broken', 'impeller-rubbing', 'impeller-clogged'], parts: ['impeller', 'shaft-seal', 'housing-o-ring', 'diffuser-o-ring'], minutes: 60, tools: SEAL_TOOLS, reason: 'The wet end is open anyway, so the seal is renewed with it.', basis: shop },
  { id: 'set-impeller-gap', label: 'Reset the impeller gap', kinds: ['utility'], access: 'wet-end-open', cures: ['impeller-rubbing'], parts: ['shims'], minutes: 35, tools: ['feeler gauge', ...HAND_TOOLS], reason: 'Shims back to a measured gap; nothing is worn.', basis: cp },
  { id: 'replace-coupling', label: 'Replace the coupling', kinds: ['utility'], access: 'wet-end-open', cures: ['coupling-sheared'], parts: ['coupling'], minutes: 40, tools: HAND_TOOLS, reason: 'The motor turns and the impeller does not.', basis: shop },
  { id: 'replace-seal-plate', label: 'Replace the seal plate and seal', kinds: ['pool', 'spa', 'booster'], access: 'wet-end-open', cures: [...SEALS, 'seal-plate-cracked'], parts: ['seal-plate', 'shaft-seal', 'housing-o-ring', 'diffuser-o-ring'], minutes: 75, tools: SEAL_TOOLS, reason: 'A cracked plate never seals again.', basis: shop },
  { id: 'renew-housing-o-ring', label: 'Renew the housing O-ring', kinds: SURFACE, access: 'wet-end-open', cures: ['housing-seal-leaking'], parts: ['housing-o-ring', 'diffuser-o-ring'], minutes: 15, tools: [...HAND_TOOLS, 'silicone lubricant'], reason: 'Clean groove, new ring, a film that shines.', basis: shop },
  { id: 'remake-joint', label: 'Remake the leaking joint', kinds: [...SURFACE, 'sump'], cures: ['joint-leaking'], parts: ['union'], minutes: 35, tools: ['pipe saw', 'PTFE tape', 'primer and cement'], reason: 'Only the joint leaks; the pump stays shut.', basis: shop },
  { id: 'clear-suction', label: 'Clear basket, intake and line', kinds: SURFACE, cures: ['suction-blocked', 'cavitation'], parts: ['lid-o-ring'], minutes: 30, tools: ['hose', ...HAND_TOOLS], reason: 'Nothing is broken; water cannot get in.', basis: shop },
  { id: 'reprime', label: 'Prime, and renew the lid O-ring', kinds: PRIMES, cures: ['lost-prime'], parts: ['lid-o-ring'], minutes: 25, tools: ['silicone lubricant', 'bucket'], reason: 'Fill, bleed, watch it hold.', basis: shop },
  { id: 'seal-suction', label: 'Find and seal the air leak', kinds: SURFACE, cures: ['suction-air-leak', 'lost-prime'], parts: ['lid-o-ring', 'union'], minutes: 50, tools: ['foam', 'PTFE tape', 'silicone lubricant'], reason: 'Lid ring first, then unions, then the threads.', basis: shop },
  { id: 'open-discharge', label: 'Open the discharge, wash the filter', kinds: ['pool', 'booster', 'spa', 'circulation', 'utility'], cures: ['discharge-blocked'], parts: [], minutes: 30, tools: HAND_TOOLS, reason: 'Pressure is there; flow is throttled behind the pump.', basis: shop },
  { id: 'clear-cooling', label: 'Clear the vents and fan', kinds: SURFACE, cures: ['cooling-blocked'], parts: ['fan'], minutes: 20, tools: HAND_TOOLS, reason: 'The motor only lacks air.', basis: shop },
  { id: 'refill-source', label: 'Bring the water up', kinds: ['circulation'], cures: ['low-water'], parts: [], minutes: 20, tools: ['hose'], reason: 'The intake draws air because the water stands too low.', basis: shop },
  { id: 'replace-check-valve', label: 'Replace the check valve', kinds: ['circulation', 'sump'], cures: ['check-valve-failed'], parts: ['check-valve'], minutes: 30, tools: [...HAND_TOOLS, 'bucket'], reason: 'A bucket under it first: the riser is full.', basis: cp },
]
