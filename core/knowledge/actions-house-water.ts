import type { Basis } from '../judgement/judgement'
import { ELECTRICAL, HAND_TOOLS } from './actions-supply'
import type { ActionRow } from './model-types'
import { HOUSE_WATER, WELLS, type Fault } from './vocabulary'

const shop: Basis = { kind: 'shop', name: 'shop estimate; the shop’s own times take over' }
const cp: Basis = { kind: 'common-practice', name: 'usual times and parts of the trade' }
const splice: Basis = { kind: 'common-practice', name: 'head to motor with splices in the shop 60–90 minutes' }

const IN_WELL_MOTOR: readonly Fault[] = ['run-winding-open', 'start-winding-open', 'winding-shorted', 'winding-to-ground', 'water-in-motor', 'thermal-protector-open', 'bearings-worn', 'motor-seized', 'thrust-bearing-worn', 'lead-connector-leaking']
const IN_TWO_WIRE: readonly Fault[] = [...IN_WELL_MOTOR, 'run-capacitor-failed', 'start-capacitor-failed', 'start-switch-failed']
const PUMP_END: readonly Fault[] = ['stages-worn', 'stages-bound', 'stages-broken', 'coupling-sheared', 'suction-blocked']
const PULL_TOOLS = ['pipe clamps', 'two pipe wrenches', 'strap wrench', 'safety rope', 'crimps and heat shrink', ...ELECTRICAL]
const PIPE_TOOLS = ['two pipe wrenches', 'PTFE tape', 'bucket']

/** Wells and jet pumps: what hangs in the well, and switch, tank and pipes above it. */
export const ACTIONS_HOUSE_WATER: readonly ActionRow[] = [
  { id: 'replace-pressure-switch', label: 'Replace the pressure switch and its nipple', kinds: HOUSE_WATER, cures: ['pressure-switch-failed', 'pressure-switch-blocked'], parts: ['pressure-switch'], minutes: 35, tools: [...ELECTRICAL, ...PIPE_TOOLS], reason: 'Contacts and nipple are both new; the well stays shut.', basis: cp },
  { id: 'clear-switch-nipple', label: 'Clear the switch nipple', kinds: HOUSE_WATER, cures: ['pressure-switch-blocked'], parts: [], minutes: 20, tools: PIPE_TOOLS, reason: 'The switch cannot feel the pressure; nothing is broken.', basis: cp },
  { id: 'set-pressure-switch', label: 'Set the pressure switch and the precharge', kinds: HOUSE_WATER, cures: ['pressure-switch-misset'], parts: [], minutes: 20, tools: ['nut driver', 'tyre gauge'], reason: 'Cut-in, cut-out and air brought together; no part is needed.', basis: cp },
  { id: 'recharge-tank', label: 'Replace the tank and set its air', kinds: HOUSE_WATER, cures: ['tank-waterlogged'], parts: ['tank'], minutes: 60, tools: [...PIPE_TOOLS, 'tyre gauge', 'air pump'], reason: 'Lost air, burst bladder: the pump starts for every glass of water.', basis: cp },
  { id: 'replace-check-valve-above', label: 'Replace the check valve', kinds: WELLS, access: 'pulled', cures: ['check-valve-failed'], parts: ['check-valve'], minutes: 30, tools: PULL_TOOLS, reason: 'It sits on the pump: it comes up with it.', basis: cp },
  { id: 'mend-system-leak', label: 'Mend the leak in the house or the line', kinds: HOUSE_WATER, cures: ['system-leak', 'joint-leaking'], parts: ['union'], minutes: 60, tools: PIPE_TOOLS, reason: 'The pump is paid for water that nobody drinks.', basis: shop },
  { id: 'replace-relief-valve', label: 'Replace the relief valve', kinds: HOUSE_WATER, cures: ['relief-valve-failed'], parts: ['relief-valve'], minutes: 25, tools: PIPE_TOOLS, reason: 'It leaks, or will not open when it must.', basis: shop },
  { id: 'rest-the-well', label: 'Throttle and time the pump to the well’s yield', kinds: HOUSE_WATER, cures: ['low-water'], parts: ['timer'], minutes: 60, tools: ['level sounder', ...ELECTRICAL], reason: 'The well gives less than the pump takes: it must be let recover.', basis: cp },
  { id: 'open-house-filter', label: 'Open the discharge: filter, softener, valve', kinds: ['jet'], cures: ['discharge-blocked'], parts: [], minutes: 25, tools: HAND_TOOLS, reason: 'Water is there before it and not behind it.', basis: shop },
  { id: 'replace-foot-valve', label: 'Replace the foot valve and prime', kinds: ['jet'], cures: ['foot-valve-leaking', 'lost-prime'], parts: ['foot-valve'], minutes: 80, tools: PIPE_TOOLS, reason: 'The line empties itself each time it stops.', basis: cp },
  { id: 'clear-ejector', label: 'Clear the ejector and the line', kinds: ['jet'], cures: ['suction-blocked', 'cavitation'], parts: ['ejector'], minutes: 75, tools: PIPE_TOOLS, reason: 'Nozzle or strainer is shut; the pump itself is sound.', basis: shop },
  { id: 'replace-well-motor', label: 'Pull, and replace the motor', kinds: ['well-three-wire'], access: 'pulled', cures: IN_WELL_MOTOR, parts: ['motor', 'splice'], minutes: 75, tools: PULL_TOOLS, reason: 'The pump end turns freely by hand and goes on with a new motor.', basis: splice },
  { id: 'replace-two-wire-motor', label: 'Pull, and replace the motor', kinds: ['well-two-wire'], access: 'pulled', cures: IN_TWO_WIRE, parts: ['motor', 'splice'], minutes: 75, tools: PULL_TOOLS, reason: 'Capacitor and switch sit inside: with them the motor is new.', basis: splice },
  { id: 'replace-pump-end', label: 'Pull, and replace the pump end', kinds: WELLS, access: 'pulled', constructions: ['submersible-joined'], cures: PUMP_END, parts: ['pump-end', 'splice'], minutes: 70, tools: PULL_TOOLS, reason: 'Ohms and insulation are sound: the motor gets a new head.', basis: splice },
  { id: 'replace-well-pump', label: 'Pull, and replace motor and pump end', kinds: ['well-three-wire'], access: 'pulled', cures: [...IN_WELL_MOTOR, ...PUMP_END, 'undersized-pump', 'check-valve-failed'], parts: ['pump', 'splice'], minutes: 80, tools: PULL_TOOLS, reason: 'The string comes up once: both halves are new, with the check valve in the head.', basis: splice },
  { id: 'replace-two-wire-pump', label: 'Pull, and replace motor and pump end', kinds: ['well-two-wire'], access: 'pulled', cures: [...IN_TWO_WIRE, ...PUMP_END, 'undersized-pump', 'check-valve-failed'], parts: ['pump', 'splice'], minutes: 80, tools: PULL_TOOLS, reason: 'The string comes up once: both halves are new, with the check valve in the head.', basis: splice },
  { id: 'replace-cable', label: 'Pull, and renew cable and splice', kinds: WELLS, access: 'pulled', cures: ['cable-to-ground', 'cable-open', 'leads-swapped'], parts: ['cable', 'splice'], minutes: 60, tools: PULL_TOOLS, reason: 'The motor alone measures sound.', basis: cp },
  { id: 'remake-splice', label: 'Pull, and remake the splice', kinds: WELLS, access: 'pulled', cures: ['cable-open', 'leads-swapped'], parts: ['splice'], minutes: 35, tools: PULL_TOOLS, reason: 'Colour to colour, crimped, shrunk, water-blocked.', basis: cp },
  { id: 'swap-leads-above', label: 'Swap the leads back at the box', kinds: ['well-three-wire'], cures: ['leads-swapped'], parts: [], minutes: 15, tools: ELECTRICAL, reason: 'The ohms name the leads: what was crossed below is crossed back above, and labelled.', basis: cp },
  { id: 'replace-lead-connector', label: 'Pull, and replace the lead connector', kinds: WELLS, access: 'pulled', cures: ['lead-connector-leaking'], parts: ['lead-connector', 'splice'], minutes: 45, tools: PULL_TOOLS, reason: 'Only the plug leaks; the winding behind it measures sound.', basis: cp },
  { id: 'clear-intake', label: 'Pull, and clear the intake', kinds: WELLS, access: 'pulled', cures: ['suction-blocked'], parts: ['intake-screen'], minutes: 25, tools: PULL_TOOLS, reason: 'The screen is shut; nothing turns that is worn.', basis: shop },
  { id: 'return-well-pump', label: 'Pull, and send back under warranty', kinds: WELLS, access: 'pulled', cures: [...IN_TWO_WIRE, 'stages-broken', 'coupling-sheared'], parts: [], minutes: 60, tools: PULL_TOOLS, onlyUnderWarranty: true, reason: 'An internal fault under warranty goes back unopened.', basis: cp },
]
