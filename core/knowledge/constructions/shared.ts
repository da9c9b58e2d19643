import { COOLING_MINUTES } from '../repairs/cures'
import type { Joint, Minutes } from './joint'

/** Three points about a likely time: trades run late more often than early. */
export const about = (likely: number): Minutes => [likely * 0.6, likely, likely * 2]
export const both = (down: number, back: number): Joint['minutes'] => ({ down: about(down), back: about(back) })
/** Right-handed: opened counter-clockwise. */
export const RIGHT = { hand: 'right', turn: 'counter-clockwise' } as const
export const STAR = { pattern: 'star', rounds: 3, until: 'seated, and no further: it is plastic' } as const
export const CROSSWISE = {
  pattern: 'crosswise',
  rounds: 2,
  until: 'snug, the shaft spinning free after each round',
} as const
export const LUBE = 'silicone or PTFE lubricant, a film that shines; never petroleum grease'
export const HOLD = [
  'wrench on the rear flats or slot behind the thermal protector',
  'screwdriver in a slotted shaft end',
  'fan off and the end gripped',
  'grip jaws on a protected shaft',
] as const

/** One punch mark at the drive end, a pair at the far end. */
export const MARKS: Pick<Joint, 'count' | 'places'> = {
  count: 3,
  places: [
    { place: 'drive end', count: 1 },
    { place: 'far end', count: 2 },
  ],
}
/** Where a stud was eaten away, washers were packed under its nut: they go back under it. */
export const THROUGH_BOLTS: Pick<Joint, 'count' | 'countNote' | 'places'> = {
  count: 4,
  countNote: 'look for washers packed under a nut',
  places: [
    { place: 'bolts', count: 4 },
    { place: 'washers under nuts', count: 0 },
  ],
}

const SHOCK = 'Power off, locked, each line proved dead at the terminals. Local codes and licensed practice decide.'

export const makeDead: Joint = {
  id: 'make-dead',
  part: 'breaker',
  type: 'gate',
  after: [],
  gates: [],
  caution: SHOCK,
  tool: 'meter, lock',
  down: '{isolate}',
  back: 'Covers and guards on, stand clear, {reenergise}',
  minutes: both(4, 1),
  temporary: true,
}
export const discharge: Joint = {
  id: 'discharge',
  part: 'run-capacitor',
  type: 'gate',
  after: ['make-dead'],
  gates: ['power-off', 'proved-dead'],
  tool: 'bleed resistor 20 kΩ 5 W, meter',
  caution: 'A capacitor holds its charge with the power off: resistor, then meter, never a short.',
  down: 'Bleed each capacitor for the time shown under Safe and prove it below a few volts',
  minutes: both(2, 0),
}
export const bonding: Joint = {
  id: 'bonding',
  part: 'bonding-lug',
  type: 'screw',
  ...RIGHT,
  count: 1,
  after: ['make-dead'],
  gates: ['power-off', 'proved-dead'],
  tool: 'screwdriver',
  down: 'Bonding wire off its lug',
  back: 'Bonding wire on and tugged: the last connection before the breaker',
  minutes: both(1, 1),
}
export const terminals: Joint = {
  id: 'terminals',
  part: 'terminal-board',
  type: 'wire-terminal',
  count: 3,
  countNote: 'two hots and ground; photograph first',
  after: ['make-dead', 'discharge', 'rear-cover'],
  gates: ['power-off', 'proved-dead', 'discharged'],
  tool: 'screwdriver, pliers',
  caution: 'Only after each line is proved dead and the capacitors are bled.',
  down: 'Photograph, then take the supply wires off; back off the conduit nut and guide them past the edge',
  back: 'Wires on as photographed, one at a time, no stray strand; tug each, nip the conduit nut',
  minutes: both(6, 8),
}
export const rearCover: Joint = {
  id: 'rear-cover',
  part: 'rear-cap',
  type: 'screw',
  ...RIGHT,
  count: 2,
  countNote: 'small screws',
  after: ['make-dead'],
  gates: ['power-off'],
  tool: 'small nut driver',
  down: 'Rear cap off',
  back: 'Rear cap on, no wire under its rim',
  minutes: both(2, 2),
  exposes: ['start-switch', 'thermal-protector', 'terminal-board', 'selector'],
}
export const capacitorCover: Joint = {
  id: 'capacitor-cover',
  part: 'run-capacitor',
  type: 'screw',
  ...RIGHT,
  count: 2,
  after: ['make-dead'],
  gates: ['power-off'],
  tool: 'screwdriver',
  down: 'Capacitor cover off',
  back: 'Capacitor cover on, no wire under its rim',
  minutes: both(2, 2),
}
export const capacitorLeads: Joint = {
  id: 'capacitor-leads',
  part: 'run-capacitor',
  type: 'wire-terminal',
  count: 2,
  countNote: 'leads; photograph first',
  after: ['capacitor-cover', 'discharge'],
  gates: ['power-off', 'proved-dead', 'discharged'],
  tool: 'insulated pliers',
  caution: 'Only after it is proved discharged.',
  down: 'Photograph, then pull the leads off the capacitor',
  back: 'Leads on: run capacitors have no polarity',
  minutes: both(2, 2),
}
export const valves: Joint = {
  id: 'valves',
  part: 'discharge-pipe',
  type: 'gate',
  after: ['make-dead'],
  gates: ['power-off'],
  caution: 'Pressure first: open the relief before any clamp, lid or union.',
  down: 'Valves shut, relief open, gauge at zero',
  back: 'Valves open, relief open until a steady stream, then shut',
  minutes: both(3, 4),
  temporary: true,
}
export const drain: Joint = {
  id: 'drain',
  part: 'volute',
  type: 'thread',
  ...RIGHT,
  count: 2,
  countNote: 'drain plugs',
  after: ['valves'],
  gates: ['valves-shut', 'depressurised'],
  caution: 'Undrained halves let go a rush of water.',
  down: 'Drain plugs out, let the wet end empty',
  back: 'Drain plugs in, hand-tight: {threads}',
  minutes: both(4, 2),
}
export const support: Joint = {
  id: 'support',
  part: 'foot',
  type: 'support',
  after: ['make-dead'],
  down: 'Block up the motor before its bolts leave',
  back: 'Blocks out once the foot bolts hold',
  minutes: both(2, 1),
  temporary: true,
  caution: 'A motor that drops cracks the diffuser, or a foot.',
}
export const cool: Joint = {
  id: 'cool',
  part: 'motor',
  type: 'gate',
  after: ['make-dead'],
  down: 'Feel the shell: if a hand cannot rest on it, let it cool',
  minutes: { down: [0.5, 1, 2], back: [0, 0, 0] },
  wait: { minutes: COOLING_MINUTES, what: 'the motor cools', gate: 'cool', by: 'heat' },
  caution: 'Motor shells burn. About half an hour.',
}
