import type { Basis } from '../../judgement/judgement'
import type { ConstructionGraph } from './joint'
import { both, CROSSWISE, discharge, makeDead, MARKS, RIGHT, THROUGH_BOLTS } from './shared'

const CP: Basis = { kind: 'common-practice', name: 'usual make-up of this assembly: count your own' }
const { after: _, gates: __, ...bleed } = discharge

export const motorBench: ConstructionGraph = {
  id: 'motor-bench', label: 'a motor on the bench', basis: CP,
  joints: [{ ...bleed, after: [], gates: [] },
    { id: 'rear-cover', part: 'rear-cap', type: 'screw', ...RIGHT, count: 2, after: [], tool: 'small nut driver', down: 'Rear cap off', back: 'Rear cap on', minutes: both(1, 2), exposes: ['start-switch', 'thermal-protector'] },
    { id: 'capacitor-leads', part: 'run-capacitor', type: 'wire-terminal', count: 2, countNote: 'photograph first', after: ['discharge'], gates: ['discharged'], tool: 'insulated pliers', caution: 'Only after it is proved discharged.', down: 'Photograph, then leads off the capacitor', back: 'Leads on', minutes: both(2, 2) },
    { id: 'springs', part: 'switch-springs', type: 'snap', count: 2, after: ['rear-cover', 'discharge'], gates: ['discharged'], tool: 'spring hook', caution: 'They fly: cover them. Bag them.', down: 'Both springs off the switch, into the bag', back: 'Springs both on, weights free', minutes: both(3, 4) },
    { id: 'switch-rotor', part: 'start-switch', type: 'screw', ...RIGHT, count: 1, after: ['springs'], tool: 'screwdriver', hold: ['grip jaws on a protected shaft'], caution: 'It sits in slots of the shaft: never hammer the shaft end.', down: 'Tabs free, shaft held, screw out, rotating part off', back: 'Rotating part in its slots, screw in; contacts clean and closed at rest', minutes: both(4, 5) },
    { id: 'index', part: 'end-bell', type: 'gate', after: [], ...MARKS, tool: 'punch', down: 'Index marks: one punch at the drive end, a pair at the far end', back: 'Marks meet again', minutes: both(2, 1) },
    { id: 'through-bolts', part: 'through-bolts', type: 'bolt', ...RIGHT, ...THROUGH_BOLTS, after: ['index'], tool: 'small hex socket', caution: 'Corroded ones get gentle heat at the drive end and steady torque, never a snap; capacitors off before any flame.', down: 'Through-bolts out', back: 'Threads cleaned; through-bolts in crosswise, spinning the shaft after each round', minutes: both(5, 8), tighten: CROSSWISE },
    { id: 'drive-bell', part: 'end-bell', type: 'press-fit', count: 1, after: ['through-bolts'], tool: 'soft mallet', down: 'Drive-end bell off, tapped round evenly', back: 'Bell on to its marks, light grease where the outer ring slides', minutes: both(4, 5), orientation: 'to its index marks' },
    { id: 'retainer', part: 'bearing-retainer', type: 'screw', ...RIGHT, count: 2, after: ['drive-bell'], tool: 'screwdriver', down: 'Retainer and its dog off', back: 'Retainer dog and its screw in', minutes: both(2, 3) },
    { id: 'rotor-out', part: 'rotor', type: 'press-fit', count: 1, after: ['drive-bell', 'switch-rotor'], caution: 'Shaft upright: the wave washer can drop into the windings.', down: 'Rotor drawn straight out, shaft upright; wave washer found and bagged', back: 'Wave washer back in its bell, rotor in straight, dust blown out first', minutes: both(3, 5), exposes: ['wave-washer', 'insulation', 'shaft'] }],
  reach: { 'run-capacitor': [['capacitor-leads']], 'start-capacitor': [['capacitor-leads']], 'start-switch': [['switch-rotor']], 'switch-springs': [['springs']], 'thermal-protector': [['rear-cover', 'discharge']], bearings: [['rotor-out', 'retainer']], 'wave-washer': [['rotor-out']], rotor: [['rotor-out']], shaft: [['rotor-out']], 'through-bolts': [['through-bolts']] },
}

export const pressureTee: ConstructionGraph = {
  id: 'pressure-tee', label: 'pressure switch, gauge and tank tee', basis: CP,
  joints: [makeDead,
    { id: 'relieve', part: 'tank', type: 'gate', after: ['make-dead'], gates: ['power-off'], temporary: true, down: 'A tap open until the gauge reads zero and the tank is empty of water', back: 'Tap shut once the air is out', minutes: both(4, 3), caution: 'The tank pushes the water back out: zero first.' },
    { id: 'switch-cover', part: 'pressure-switch', type: 'screw', ...RIGHT, count: 1, after: ['make-dead'], gates: ['power-off', 'proved-dead'], tool: 'nut driver', down: 'Switch cover off', back: 'Switch cover on: the cable through its clamp, or it will not close', minutes: both(1, 1) },
    { id: 'switch-wires', part: 'pressure-switch', type: 'wire-terminal', count: 6, countNote: 'line on one side, motor on the other, two grounds; photograph first', after: ['switch-cover'], gates: ['proved-dead'], tool: 'screwdriver', down: 'Photograph, then wires off: line one side, motor the other', back: 'Line one side, motor the other, grounds on their lug; tug each', minutes: both(4, 6) },
    { id: 'nipple', part: 'pressure-switch', type: 'thread', ...RIGHT, count: 1, after: ['relieve', 'switch-wires'], gates: ['depressurised'], tool: 'two wrenches', down: 'Switch off its nipple, the nipple held; look through the nipple', back: 'Switch on its nipple: {threads}', minutes: both(3, 4) },
    { id: 'gauge', part: 'pressure-gauge', type: 'thread', ...RIGHT, count: 1, after: ['relieve'], gates: ['depressurised'], tool: 'open wrench', down: 'Gauge off by its flats', back: 'Gauge on: {threads}', minutes: both(2, 2) },
    { id: 'relief', part: 'relief-valve', type: 'thread', ...RIGHT, count: 1, after: ['relieve'], gates: ['depressurised'], tool: 'open wrench', down: 'Relief valve off', back: 'Relief valve on, its outlet led where water may go: {threads}', minutes: both(3, 3) },
    { id: 'tank-union', part: 'tank', type: 'union', ...RIGHT, count: 1, after: ['relieve'], gates: ['depressurised'], tool: 'pipe wrench', down: 'Tank off at its union', back: 'Tank on, precharge set while it is empty', minutes: both(6, 8) }],
  reach: { 'pressure-switch': [['nipple']], 'pressure-gauge': [['gauge']], 'relief-valve': [['relief']], tank: [['tank-union']], 'tank-tee': [['tank-union', 'gauge', 'nipple']] },
}
