import type { Unit } from '../quantity/units'
import type { Verdict } from '../judgement/judgement'
import { HOUSE_WATER, WELLS, type Gate, type Kind, type Part } from './vocabulary'

/** One thing that can be measured or seen. */
export interface CheckInfo {
  label: string
  /** How the lamp asks for it. */
  ask: string
  unit?: Unit
  /** For checks that are seen: the outcomes in order from normal to abnormal, each with its verdict. */
  outcomes?: Readonly<Record<string, Verdict>>
  /** Trade words that name it in the reading line, longest first when they overlap. */
  words: readonly string[]
  /** The part the finding is about, when it does not say so itself. */
  part?: Part
  /** The parts a finding of this check can be about, the first being usual. */
  parts?: readonly Part[]
  gates: readonly Gate[]
  /** Minutes for the check alone, gates not counted. Common practice. */
  minutes: number
  tool: string
  caution?: string
  /** History only: taken from the owner's words, never offered. */
  historyOnly?: boolean
  /** Plausible span of the value; beyond it the reading line asks. */
  plausible?: readonly [low: number, high: number]
  kinds?: readonly Kind[]
}

const DEAD: readonly Gate[] = ['power-off', 'proved-dead']
const DEAD_DISCHARGED: readonly Gate[] = ['power-off', 'proved-dead', 'discharged']
const RUNNING: readonly Gate[] = ['primed', 'guards-on', 'power-on']
const OPEN_WET_END: readonly Gate[] = ['power-off', 'proved-dead', 'valves-shut', 'depressurised', 'wet-end-open']
const LIVE = 'Live test: only by qualified people with rated meter, leads and gloves.'

const LOOK: Readonly<Record<string, Verdict>> = { sound: 'sound', worn: 'tired', cracked: 'failed', broken: 'failed', missing: 'failed', corroded: 'tired' }
const FLOW_LOOK: Readonly<Record<string, Verdict>> = { clear: 'sound', clogged: 'failed', worn: 'tired', broken: 'failed', loose: 'failed', rubbed: 'tired', fused: 'failed' }
const SOUNDS: Readonly<Record<string, Verdict>> = { quiet: 'sound', hum: 'failed', buzz: 'tired', whine: 'tired', squeal: 'failed', grind: 'failed', rattle: 'failed', rub: 'failed', hiss: 'tired' }

export const CHECKS = {
  'supply-voltage': { label: 'supply at rest', ask: 'Measure the supply at rest', unit: 'V', words: ['supply at rest', 'supply', 'volts', 'voltage', 'rest'], part: 'terminal-board', gates: ['power-on'], minutes: 2, tool: 'Meter on V AC, line to line at the terminals', caution: LIVE, plausible: [0, 700] },
  'supply-voltage-loaded': { label: 'supply under load', ask: 'Measure the supply under load', unit: 'V', words: ['supply under load', 'supply loaded', 'loaded supply', 'under load', 'volts loaded', 'loaded'], part: 'terminal-board', gates: RUNNING, minutes: 4, tool: 'Meter on V AC at the motor terminals, motor energised', caution: LIVE, plausible: [0, 700] },
  'outlet-voltage': { label: 'outlet', ask: 'Prove the outlet', unit: 'V', words: ['outlet voltage', 'outlet'], part: 'outlet', gates: ['power-on'], minutes: 1, tool: 'Meter on V AC, or a lamp', caution: LIVE, plausible: [0, 700] },
  'battery-voltage': { label: 'backup battery', ask: 'Measure the backup battery', unit: 'V', words: ['battery voltage', 'battery'], part: 'battery', gates: [], minutes: 1, tool: 'Meter on V DC', plausible: [0, 60], kinds: ['sump'] },
  'running-current': { label: 'running current', ask: 'Measure the running current', unit: 'A', words: ['running current', 'running amps', 'running', 'amps', 'current', 'run amps'], part: 'motor', gates: RUNNING, minutes: 3, tool: 'Clamp meter round one line', caution: LIVE, plausible: [0, 100] },
  'locked-current': { label: 'locked-rotor current', ask: 'Read the locked-rotor current', unit: 'A', words: ['locked rotor current', 'locked current', 'locked amps', 'locked rotor', 'locked'], part: 'motor', gates: ['guards-on', 'power-on'], minutes: 2, tool: 'Clamp meter on inrush; energise for two seconds at most', caution: LIVE, plausible: [0, 400] },
  'lead-current': { label: 'lead current', ask: 'Measure each lead’s current', unit: 'A', words: ['lead current', 'lead amps'], part: 'cable', gates: RUNNING, minutes: 3, tool: 'Clamp meter round each lead', caution: LIVE, plausible: [0, 100] },
  capacitance: { label: 'capacitance', ask: 'Measure the capacitor', unit: 'uF', words: ['capacitance', 'run capacitor', 'start capacitor', 'run cap', 'start cap', 'capacitor', 'cap'], parts: ['run-capacitor', 'start-capacitor'], gates: DEAD_DISCHARGED, minutes: 4, tool: 'Meter on µF, one lead off the capacitor', caution: 'Prove it discharged before a hand goes near the terminals.', plausible: [0, 2000] },
  'capacitor-look': { label: 'capacitor, look', ask: 'Look at the capacitor', outcomes: { normal: 'sound', bulged: 'failed', leaking: 'failed', burnt: 'failed' }, words: ['capacitor look', 'cap look', 'run capacitor', 'start capacitor', 'run cap', 'start cap', 'can', 'capacitor', 'cap'], parts: ['run-capacitor', 'start-capacitor'], gates: DEAD, minutes: 2, tool: 'Cover off, eyes and a lamp' },
  'winding-resistance': { label: 'winding', ask: 'Measure the windings', unit: 'ohm', words: ['winding resistance', 'run winding', 'start winding', 'winding', 'ohms'], parts: ['run-winding', 'start-winding'], gates: DEAD_DISCHARGED, minutes: 5, tool: 'Meter on Ω, zeroed, leads off the supply and the capacitor', plausible: [0, 1e6] },
  'thermal-protector-continuity': { label: 'thermal protector', ask: 'Check the thermal protector', outcomes: { closed: 'sound', open: 'failed', 'open-hot': 'unclear' }, words: ['thermal protector', 'protector', 'thermal'], part: 'thermal-protector', gates: DEAD, minutes: 4, tool: 'Meter on continuity across the protector' },
  'insulation-resistance': { label: 'insulation', ask: 'Measure the insulation', unit: 'Mohm', words: ['insulation resistance', 'insulation', 'megohmmeter', 'megger', 'meg'], part: 'insulation', gates: ['power-off', 'proved-dead', 'discharged', 'electronics-disconnected', 'hands-clear'], minutes: 5, tool: 'Megohmmeter at 500 V DC, winding lead to frame', caution: 'The instrument puts out 500 V. Discharge the winding afterwards.', plausible: [0, 1e6] },
  'ground-ohmmeter': { label: 'ohmmeter to ground', ask: 'Ohmmeter to ground', outcomes: { open: 'unclear', shorted: 'failed' }, words: ['ground ohmmeter', 'ohmmeter to ground', 'ohm to ground', 'ohmmeter'], part: 'insulation', gates: DEAD, minutes: 2, tool: 'Meter on Ω, winding lead to frame. It can only condemn, never clear.' },
  'shaft-turn': { label: 'shaft, by hand', ask: 'Turn the shaft by hand', outcomes: { free: 'sound', gritty: 'tired', tight: 'failed', seized: 'failed' }, words: ['shaft turn', 'shaft turns', 'shaft by hand', 'shaft'], part: 'bearings', gates: DEAD, minutes: 2, tool: 'Fingers on the rear shaft end or a wrench on its flats', caution: 'Power locked off: a thermal protector can restart the motor by itself.' },
  'shaft-rock': { label: 'shaft rock', ask: 'Rock the shaft', outcomes: { none: 'sound', rocks: 'failed' }, words: ['shaft rock', 'shaft', 'rock'], part: 'bearings', gates: DEAD, minutes: 2, tool: 'Hand on the shaft, push and pull across it' },
  'bearing-fit': { label: 'bearing on shaft', ask: 'Try the bearing on its shaft', outcomes: { tight: 'sound', loose: 'failed' }, words: ['bearing fit', 'bearing'], part: 'bearings', gates: OPEN_WET_END, minutes: 5, tool: 'Feeler gauge; try old and new bearing on the shaft' },
  'shaft-look': { label: 'shaft, look', ask: 'Look at the shaft', outcomes: { clean: 'sound', rusty: 'tired', grooved: 'failed', pitted: 'failed', bent: 'failed' }, words: ['shaft look', 'shaft'], part: 'shaft', gates: OPEN_WET_END, minutes: 2, tool: 'Eyes and a lamp, a straight edge' },
  'spin-start': { label: 'owner says: starts when spun', ask: 'Ask whether it ever started when spun', outcomes: { starts: 'unclear', 'no-change': 'unclear' }, words: ['spin start', 'when spun', 'spun'], gates: [], minutes: 0, tool: 'The owner’s words', historyOnly: true },
  listen: { label: 'listen', ask: 'Start it and listen', outcomes: SOUNDS, words: ['listen', 'sound', 'noise'], part: 'motor', gates: RUNNING, minutes: 2, tool: 'Ears; a screwdriver shaft on the bearing bosses', caution: 'Guards on. Stop at once if it hums without turning.' },
  'motor-alone-listen': { label: 'motor alone, listen', ask: 'Run the motor alone and listen', outcomes: { ...SOUNDS, 'same-noise': 'failed' }, words: ['motor alone listen', 'motor alone'], part: 'motor', gates: ['wet-end-open', 'guards-on', 'power-on'], minutes: 6, tool: 'Wet end off; one short run', caution: 'Motor strapped down, shaft guarded, one short run.' },
  'weep-hole': { label: 'weep hole', ask: 'Look at the weep hole', outcomes: { dry: 'sound', dripping: 'failed' }, words: ['weep hole', 'weep'], part: 'shaft-seal', gates: [], minutes: 1, tool: 'Lamp, dry tissue under the weep hole' },
  'joint-look': { label: 'joints', ask: 'Look at the joints', outcomes: { dry: 'sound', dripping: 'failed' }, words: ['joint look', 'joints', 'joint', 'clamp', 'lid', 'union', 'thread', 'hose'], part: 'housing-o-ring', gates: [], minutes: 2, tool: 'Lamp, dry tissue round lid, clamp and threads' },
  'seal-look': { label: 'seal, look', ask: 'Look at the seal faces', outcomes: LOOK, words: ['seal look', 'shaft seal', 'seal'], part: 'shaft-seal', gates: OPEN_WET_END, minutes: 3, tool: 'Wet end open; lamp on both faces' },
  'o-ring-look': { label: 'O-ring, look', ask: 'Look at the O-rings', outcomes: LOOK, words: ['o-ring look', 'oring look', 'o-ring', 'oring'], parts: ['housing-o-ring', 'lid-o-ring', 'diffuser-o-ring', 'shaft-o-ring'], gates: OPEN_WET_END, minutes: 3, tool: 'Fingers along the groove' },
  'plate-look': { label: 'seal plate, look', ask: 'Look at the seal plate', outcomes: LOOK, words: ['plate look', 'seal plate', 'plate'], part: 'seal-plate', gates: [], minutes: 2, tool: 'Lamp along the plate’s rim' },
  'thread-look': { label: 'threads, look', ask: 'Look at the threads', outcomes: LOOK, words: ['thread look', 'threads'], part: 'union', gates: [], minutes: 2, tool: 'Lamp on both threads' },
  'fan-look': { label: 'fan, look', ask: 'Look at the fan and vents', outcomes: LOOK, words: ['fan look', 'vents', 'fan'], part: 'fan', gates: DEAD, minutes: 2, tool: 'Rear cap off, lamp' },
  'basket-look': { label: 'basket', ask: 'Look into the basket', outcomes: FLOW_LOOK, words: ['basket look', 'basket', 'strainer'], part: 'strainer', gates: ['power-off', 'depressurised'], minutes: 2, tool: 'Lid off, valves shut where the pump is below water' },
  'impeller-look': { label: 'impeller, look', ask: 'Look into the impeller eye', outcomes: FLOW_LOOK, words: ['impeller look', 'impeller'], part: 'impeller', gates: OPEN_WET_END, minutes: 5, tool: 'Through the pot with a lamp and a bent wire, or the wet end off' },
  'intake-look': { label: 'intake', ask: 'Look at the intake', outcomes: FLOW_LOOK, words: ['intake look', 'intake', 'skimmer'], part: 'intake-screen', gates: [], minutes: 3, tool: 'Eyes on skimmer, main drain cover, or screen', caution: 'A pool does not restart with a drain cover missing or broken.' },
  'stack-look': { label: 'stack, look', ask: 'Look at the stack', outcomes: { sound: 'sound', worn: 'tired', scaled: 'tired', fused: 'failed', broken: 'failed' }, words: ['stack look', 'stack', 'stages'], part: 'stages', gates: OPEN_WET_END, minutes: 10, tool: 'Stack out on the bench', kinds: WELLS },
  'impeller-gap': { label: 'impeller gap', ask: 'Measure the impeller gap', unit: 'in', words: ['impeller gap', 'gap'], part: 'impeller', gates: OPEN_WET_END, minutes: 5, tool: 'Feeler gauge', plausible: [0, 1] },
  'shaft-height': { label: 'shaft height', ask: 'Measure the shaft height', unit: 'in', words: ['shaft height'], part: 'thrust-bearing', gates: OPEN_WET_END, minutes: 4, tool: 'Depth gauge over the flange', plausible: [0, 5], kinds: WELLS },
  'end-play': { label: 'end play', ask: 'Measure the end play', unit: 'in', words: ['end play', 'endplay'], part: 'thrust-bearing', gates: OPEN_WET_END, minutes: 4, tool: 'Dial indicator on the shaft end', plausible: [0, 1] },
  'shaft-runout': { label: 'shaft runout', ask: 'Measure the shaft runout', unit: 'in', words: ['shaft runout', 'runout'], part: 'shaft', gates: OPEN_WET_END, minutes: 8, tool: 'Dial indicator on the shaft, turn by hand', plausible: [0, 0.5] },
  'coupling-turn': { label: 'coupling', ask: 'Turn shaft and impeller together', outcomes: { 'turns-together': 'sound', slips: 'failed' }, words: ['coupling turn', 'coupling'], part: 'coupling', gates: OPEN_WET_END, minutes: 3, tool: 'Hold the impeller, turn the shaft' },
  'prime-hold': { label: 'prime', ask: 'Does it hold its prime?', outcomes: { holds: 'sound', falls: 'failed' }, words: ['prime hold', 'prime holds', 'prime'], part: 'suction-pipe', gates: ['power-off'], minutes: 5, tool: 'Fill, mark the level, wait five minutes' },
  'pot-look': { label: 'pot', ask: 'Look into the pot while it runs', outcomes: { full: 'sound', bubbling: 'failed', empty: 'failed' }, words: ['pot look', 'pot'], part: 'strainer', gates: RUNNING, minutes: 2, tool: 'Through the lid, pump running' },
  'air-leak-test': { label: 'air leak', ask: 'Hunt the suction air leak', outcomes: { none: 'sound', found: 'failed' }, words: ['air leak test', 'air leak'], part: 'suction-pipe', gates: RUNNING, minutes: 8, tool: 'Foam or water over each joint while it runs, watch the bubbles' },
  'suction-vacuum': { label: 'suction vacuum', ask: 'Read the suction vacuum', unit: 'inHg', words: ['suction vacuum', 'vacuum'], part: 'suction-pipe', gates: RUNNING, minutes: 5, tool: 'Vacuum gauge at the pot drain plug', plausible: [0, 30] },
  'filter-pressure': { label: 'filter pressure', ask: 'Read the filter pressure', unit: 'psi', words: ['filter pressure', 'filter'], part: 'discharge-pipe', gates: RUNNING, minutes: 1, tool: 'The filter’s own gauge; tap it first', plausible: [0, 150] },
  'shutoff-pressure': { label: 'shut-off pressure', ask: 'Read the shut-off pressure', unit: 'psi', words: ['shutoff pressure', 'shut-off pressure', 'shutoff', 'shut-off'], part: 'impeller', gates: RUNNING, minutes: 5, tool: 'Rated valve and gauge, for a moment only', caution: 'Only where the computed shut-off pressure is below the rating of everything upstream; never against a filter or a plastic tank.', plausible: [0, 500] },
  'discharge-pressure': { label: 'discharge pressure', ask: 'Read the discharge pressure', unit: 'psi', words: ['discharge pressure', 'discharge'], part: 'discharge-pipe', gates: RUNNING, minutes: 1, tool: 'Gauge on the discharge', plausible: [0, 500] },
  'cut-in': { label: 'cut-in', ask: 'Read the cut-in pressure', unit: 'psi', words: ['cut-in', 'cut in'], part: 'pressure-switch', gates: RUNNING, minutes: 3, tool: 'Gauge at the tank tee, open a tap', plausible: [0, 200], kinds: HOUSE_WATER },
  'cut-out': { label: 'cut-out', ask: 'Read the cut-out pressure', unit: 'psi', words: ['cut-out', 'cut out'], part: 'pressure-switch', gates: RUNNING, minutes: 3, tool: 'Gauge at the tank tee, taps shut', plausible: [0, 200], kinds: HOUSE_WATER },
  'tank-precharge': { label: 'tank precharge', ask: 'Measure the tank precharge', unit: 'psi', words: ['tank precharge', 'precharge', 'pre-charge'], part: 'tank', gates: ['power-off', 'depressurised'], minutes: 6, tool: 'Tyre gauge at the air valve, tank empty of water', plausible: [0, 150], kinds: HOUSE_WATER },
  flow: { label: 'flow', ask: 'Measure the flow', unit: 'gpm', words: ['flow'], part: 'discharge-pipe', gates: RUNNING, minutes: 5, tool: 'Flow meter, or bucket and watch', plausible: [0, 2000] },
  'cycle-time': { label: 'cycle time', ask: 'Time one cycle', unit: 's', words: ['cycle time', 'cycle'], part: 'tank', gates: RUNNING, minutes: 5, tool: 'Watch', plausible: [0, 86400] },
  'tank-look': { label: 'tank', ask: 'Look at the tank', outcomes: { 'dry-air': 'sound', waterlogged: 'failed', 'water-at-air-valve': 'failed' }, words: ['tank look', 'tank'], part: 'tank', gates: [], minutes: 2, tool: 'Knock, and press the air valve for a moment', kinds: HOUSE_WATER },
  'pressure-switch-contacts': { label: 'pressure switch contacts', ask: 'Look at the switch contacts', outcomes: { clean: 'sound', pitted: 'tired', burnt: 'failed', welded: 'failed', 'not-closing': 'failed' }, words: ['pressure switch contacts', 'switch contacts', 'contacts'], part: 'pressure-switch', gates: DEAD, minutes: 3, tool: 'Cover off, lamp', kinds: HOUSE_WATER },
  'switch-nipple': { label: 'switch nipple', ask: 'Look through the switch nipple', outcomes: { clear: 'sound', blocked: 'failed' }, words: ['switch nipple', 'nipple'], part: 'pressure-switch', gates: ['power-off', 'depressurised'], minutes: 10, tool: 'Nipple off, wire through it', kinds: HOUSE_WATER },
  'relief-valve': { label: 'relief valve', ask: 'Look for the relief valve', outcomes: { present: 'sound', missing: 'failed', stuck: 'failed' }, words: ['relief valve', 'relief'], part: 'relief-valve', gates: [], minutes: 1, tool: 'Eyes; lift the lever for a moment' },
  'valve-position': { label: 'valves', ask: 'Look at the valves', outcomes: { open: 'sound', throttled: 'tired', shut: 'failed' }, words: ['valve position', 'valves', 'valve'], part: 'discharge-pipe', gates: [], minutes: 1, tool: 'Eyes on every handle' },
  'float-bypass': { label: 'float bypassed', ask: 'Plug the pump straight in', outcomes: { runs: 'unclear', silent: 'failed', hums: 'failed' }, words: ['float bypass', 'bypass'], part: 'float-switch', gates: ['power-on'], minutes: 2, tool: 'Piggyback plug out, pump plugged straight in', kinds: ['sump'] },
  'float-move': { label: 'float', ask: 'Lift the float', outcomes: { free: 'sound', stuck: 'failed' }, words: ['float move', 'float'], part: 'float-switch', gates: ['power-off', 'battery-disconnected'], minutes: 2, tool: 'A stick through the lid', kinds: ['sump'] },
  'float-heights': { label: 'float heights', ask: 'Compare the float heights', outcomes: { right: 'sound', 'backup-below-main': 'failed', 'above-floor': 'failed' }, words: ['float heights'], part: 'float-switch', gates: ['power-off', 'battery-disconnected'], minutes: 4, tool: 'Rule down the pit', kinds: ['sump'] },
  'check-valve': { label: 'check valve', ask: 'See whether the check valve holds', outcomes: { holds: 'sound', 'falls-back': 'failed', 'stuck-shut': 'failed' }, words: ['check valve'], part: 'check-valve', gates: ['power-on'], minutes: 3, tool: 'Stop the pump, shut the valve to the house, watch gauge or level for two minutes' },
  'house-leak': { label: 'house leak', ask: 'Does the house hold its pressure?', outcomes: { holds: 'sound', falls: 'failed' }, words: ['house leak', 'house holds', 'house'], part: 'discharge-pipe', gates: ['power-on'], minutes: 4, tool: 'Pump stopped at cut-out, every tap shut: watch the gauge with the valve to the house open, then shut', kinds: HOUSE_WATER },
  'pit-look': { label: 'pit', ask: 'Look into the pit', outcomes: { clean: 'sound', debris: 'tired' }, words: ['pit look', 'pit'], part: 'pump', gates: [], minutes: 1, tool: 'Lamp', kinds: ['sump'] },
  'control-box-swap': { label: 'control box swapped', ask: 'Swap the control box', outcomes: { cures: 'failed', 'no-change': 'sound' }, words: ['control box swap', 'box swap', 'control box'], part: 'control-box', gates: DEAD_DISCHARGED, minutes: 10, tool: 'A known-good box of the same horsepower', kinds: ['well-three-wire'] },
  'relay-look': { label: 'relay, look', ask: 'Look at the relay', outcomes: { sound: 'sound', burnt: 'failed', stuck: 'failed' }, words: ['relay look', 'relay'], part: 'start-relay', gates: DEAD, minutes: 4, tool: 'Box cover off, lamp' },
  breaker: { label: 'breaker', ask: 'Look at the breaker', outcomes: { on: 'sound', tripped: 'unclear', 'trips-again': 'failed' }, words: ['breaker'], part: 'breaker', gates: ['guards-on', 'power-on'], minutes: 3, tool: 'Eyes; one reset at most' },
  gfci: { label: 'GFCI', ask: 'Look at the GFCI', outcomes: { on: 'sound', tripped: 'unclear', 'trips-again': 'failed' }, words: ['gfci'], part: 'gfci', gates: ['guards-on', 'power-on'], minutes: 3, tool: 'Eyes; one reset at most' },
  interlock: { label: 'timer and interlock', ask: 'Follow the timer and interlock', outcomes: { satisfied: 'sound', open: 'failed' }, words: ['interlock', 'timer'], part: 'timer', gates: ['power-on'], minutes: 3, tool: 'Meter on V AC behind the timer contacts', caution: LIVE },
  'selector-setting': { label: 'voltage selector', ask: 'Read the voltage selector', outcomes: { matches: 'sound', mismatched: 'failed' }, words: ['selector setting', 'selector'], part: 'selector', gates: DEAD, minutes: 2, tool: 'Rear cap off; read the plug, dial or jumper' },
  'wiring-look': { label: 'wiring', ask: 'Look at the wiring', outcomes: { sound: 'sound', loose: 'failed', burnt: 'failed' }, words: ['wiring look', 'wiring', 'terminals'], part: 'terminal-board', gates: DEAD, minutes: 3, tool: 'Cover off; tug every wire' },
  'connector-look': { label: 'lead connector', ask: 'Look at the lead connector', outcomes: { sound: 'sound', cracked: 'failed', wet: 'failed' }, words: ['connector look', 'connector'], part: 'lead-connector', gates: DEAD, minutes: 5, tool: 'Lamp' },
  'motor-fill-look': { label: 'motor filling', ask: 'Look at the motor’s filling', outcomes: { clean: 'sound', wet: 'failed', water: 'failed', empty: 'failed' }, words: ['motor fill', 'filling'], part: 'motor', gates: DEAD, minutes: 5, tool: 'Tip the motor, look at what runs out' },
  'start-switch-look': { label: 'start switch', ask: 'Look at the start switch', outcomes: { sound: 'sound', 'stuck-open': 'failed', 'stuck-closed': 'failed', pitted: 'tired' }, words: ['start switch look', 'start switch', 'centrifugal switch', 'switch'], part: 'start-switch', gates: DEAD_DISCHARGED, minutes: 10, tool: 'Rear cover off; move the weights by hand' },
  'winding-smell': { label: 'winding, smell', ask: 'Smell the winding', outcomes: { normal: 'sound', burnt: 'failed' }, words: ['winding smell', 'smell'], part: 'run-winding', gates: DEAD, minutes: 2, tool: 'Nose at the vents' },
  'winding-look': { label: 'winding, look', ask: 'Look at the winding', outcomes: { sound: 'sound', darkened: 'tired', burnt: 'failed' }, words: ['winding look'], part: 'run-winding', gates: DEAD, minutes: 5, tool: 'Lamp through the vents' },
  'drive-error': { label: 'drive error', ask: 'Read the drive’s display', outcomes: { none: 'sound', shown: 'failed' }, words: ['drive error', 'error'], part: 'drive-electronics', gates: ['power-on'], minutes: 1, tool: 'The drive’s own display' },
  'static-water-level': { label: 'static water level', ask: 'Sound the water level at rest', unit: 'ft', words: ['static water level', 'static level'], part: 'pump', gates: [], minutes: 5, tool: 'Level sounder', plausible: [0, 2000], kinds: HOUSE_WATER },
  'pumping-water-level': { label: 'pumping water level', ask: 'Sound the water level while pumping', unit: 'ft', words: ['pumping water level', 'pumping level'], part: 'pump', gates: RUNNING, minutes: 15, tool: 'Level sounder', plausible: [0, 2000], kinds: HOUSE_WATER },
  'well-recovery': { label: 'well recovery', ask: 'Measure the recovery', unit: 'gpm', words: ['well recovery', 'recovery'], part: 'pump', gates: [], minutes: 30, tool: 'Level sounder and watch', plausible: [0, 500], kinds: HOUSE_WATER },
  'water-look': { label: 'water', ask: 'Look at the water', outcomes: { clear: 'sound', sandy: 'failed', 'air-bubbles': 'failed', dirty: 'tired' }, words: ['water look', 'water'], part: 'discharge-pipe', gates: RUNNING, minutes: 2, tool: 'A clear glass' },
} as const satisfies Record<string, CheckInfo>

export type Check = keyof typeof CHECKS

/** The check's row with its optional columns visible, or undefined for an unknown id. */
export function checkInfo(id: string): CheckInfo | undefined {
  return Object.hasOwn(CHECKS, id) ? CHECKS[id as Check] : undefined
}

/** Outcome ids read as words: `stuck-open` is "stuck open". */
export function outcomeLabel(outcome: string): string {
  return outcome.replaceAll('-', ' ')
}

/** The part a finding speaks about. */
export function partOfFinding(finding: { check: string; part?: string; leads?: string }): string | undefined {
  if (finding.part) return finding.part
  const info = checkInfo(finding.check)
  if (finding.check === 'winding-resistance') return finding.leads?.includes('start') ? 'start-winding' : 'run-winding'
  return info?.part ?? info?.parts?.[0]
}

/** Tired, failed and the rest of an outcome, by the table. */
export function outcomeVerdict(check: string, outcome: string): Verdict | undefined {
  const outcomes = checkInfo(check)?.outcomes
  return outcomes && Object.hasOwn(outcomes, outcome) ? outcomes[outcome] : undefined
}
