import { COOLING_MINUTES } from '../repairs/cures'
import type { FinishStep, Joint, Minutes } from './joint'

/** Three points about a likely time: trades run late more often than early. */
export const about = (likely: number): Minutes => [likely * 0.7, likely, likely * 1.7]
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
  site: true,
  after: [],
  gates: [],
  shuts: ['power-off', 'proved-dead'],
  caution: SHOCK,
  tool: 'meter, lock',
  down: '{isolate}',
  back: 'Covers and guards on, stand clear, {reenergise}',
  tags: { back: ['powers'] },
  minutes: both(3, 1),
  temporary: true,
}
export const discharge: Joint = {
  id: 'discharge',
  part: 'run-capacitor',
  type: 'gate',
  only: { motor: 'capacitor' },
  after: ['make-dead', 'capacitor-cover'],
  gates: ['power-off', 'proved-dead'],
  shuts: ['discharged'],
  tool: 'bleed resistor 20 kΩ 5 W, meter',
  caution: 'A capacitor holds its charge with the power off: resistor, then meter, never a short.',
  down: 'Bleed each capacitor for the time shown under Safe and prove it below a few volts',
  minutes: both(2, 0),
}
/** A drive keeps its charge for minutes: it is waited for, never bled. */
export const driveWait: Joint = {
  id: 'drive-wait',
  part: 'drive-electronics',
  type: 'gate',
  only: { motor: 'electronics' },
  after: ['make-dead'],
  gates: ['power-off'],
  shuts: ['drive-discharged'],
  caution: 'The drive’s own capacitors stay charged: its label gives the minutes.',
  down: 'Wait out the time on the drive’s label before its cover is touched',
  minutes: both(5, 0),
}
export const bonding: Joint = {
  id: 'bonding',
  part: 'bonding-lug',
  type: 'screw',
  site: true,
  ...RIGHT,
  count: 1,
  countNote: 'one screw, as many wires as lie under it',
  after: ['make-dead'],
  gates: ['power-off', 'proved-dead'],
  tool: 'screwdriver',
  caution: 'It guards the hand until dead is proved: only after that.',
  down: 'Bonding wire off its lug',
  back: 'Bonding wire on and tugged: the last connection before the breaker',
  tags: { back: ['bonds'] },
  minutes: both(1, 1),
}
export const photograph: Joint = {
  id: 'photograph',
  part: 'terminal-board',
  type: 'gate',
  site: true,
  after: ['rear-cover'],
  gates: ['power-off', 'proved-dead'],
  down: 'Photograph the terminals: which wire on which',
  minutes: both(0.5, 0),
}
export const terminals: Joint = {
  id: 'terminals',
  part: 'terminal-board',
  type: 'wire-terminal',
  site: true,
  count: 3,
  countNote: 'two hots and ground',
  after: ['make-dead', 'discharge', 'drive-wait', 'rear-cover', 'photograph'],
  gates: ['power-off', 'proved-dead', 'discharged'],
  tool: 'screwdriver, pliers',
  caution: 'Only after each line is proved dead and the capacitors are bled.',
  down: 'Supply wires off their terminals',
  back: 'Wires on as photographed, one at a time, no stray strand; tug each',
  tags: { back: ['connects'] },
  minutes: both(2, 4),
}
export const conduit: Joint = {
  id: 'conduit',
  part: 'conduit-fitting',
  type: 'thread',
  site: true,
  ...RIGHT,
  count: 1,
  countNote: 'elbow or straight adapter',
  after: ['terminals'],
  gates: ['power-off', 'proved-dead'],
  tool: 'hand',
  down: 'Conduit nut backed off, wires guided past the edge one by one; elbow out and kept',
  back: 'Elbow on, wires fed in one at a time, its nut nipped',
  tags: { back: ['feeds-wires'] },
  minutes: both(2, 2),
}
export const rearCover: Joint = {
  id: 'rear-cover',
  part: 'rear-cap',
  type: 'screw',
  ...RIGHT,
  count: 2,
  countNote: 'small screws',
  after: ['make-dead', 'drive-wait'],
  gates: ['power-off'],
  tool: 'small nut driver',
  down: 'Rear cap off',
  back: 'Rear cap on, no wire under its rim',
  tags: { back: ['caps-grip', 'covers-wires', 'last-cover'] },
  minutes: both(1, 1),
  exposes: ['start-switch', 'thermal-protector', 'terminal-board', 'selector'],
}
export const capacitorCover: Joint = {
  id: 'capacitor-cover',
  part: 'run-capacitor',
  type: 'screw',
  only: { motor: 'capacitor' },
  ...RIGHT,
  count: 2,
  countNote: 'its hump on the shell; where it sits behind the rear cap, that is its cover',
  after: ['make-dead'],
  gates: ['power-off'],
  tool: 'screwdriver',
  down: 'Capacitor cover off, hands clear of the terminals',
  back: 'Capacitor cover on, no wire under its rim',
  tags: { back: ['covers-wires'] },
  minutes: both(1, 1),
}
export const capacitorLeads: Joint = {
  id: 'capacitor-leads',
  part: 'run-capacitor',
  type: 'wire-terminal',
  only: { motor: 'capacitor' },
  count: 2,
  countNote: 'leads; photograph first',
  after: ['capacitor-cover', 'discharge'],
  gates: ['power-off', 'proved-dead', 'discharged'],
  tool: 'insulated pliers',
  caution: 'Only after it is proved discharged.',
  down: 'Photograph, then pull the leads off the capacitor',
  back: 'Leads on: run capacitors have no polarity',
  tags: { back: ['connects'] },
  minutes: both(1, 2),
}
export const valves: Joint = {
  id: 'valves',
  part: 'discharge-pipe',
  type: 'gate',
  site: true,
  after: ['make-dead'],
  gates: ['power-off'],
  shuts: ['valves-shut', 'depressurised'],
  caution: 'Pressure first: open the relief before any clamp, lid or union.',
  down: 'Valves shut, relief open, gauge at zero',
  back: 'Valves open, the relief left open',
  tags: { back: ['water-back', 'primes'] },
  minutes: both(2, 1),
  temporary: true,
}
/** The house’s tank pushes back: let down before anything of its line is opened. */
export const relieve: Joint = {
  id: 'relieve',
  part: 'tank',
  type: 'gate',
  site: true,
  after: ['make-dead'],
  gates: ['power-off'],
  shuts: ['depressurised'],
  temporary: true,
  down: 'Tank valve shut, a tap open until the gauge reads zero',
  back: 'Tank valve open, a tap left open for the air',
  tags: { back: ['water-back'] },
  caution: 'The tank pushes the water back out: zero first.',
  minutes: both(3, 5),
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
  shuts: ['drained'],
  caution: 'Undrained halves let go a rush of water.',
  down: 'Drain plugs out, let the wet end empty',
  back: 'Drain plugs in, hand-tight: {threads}',
  minutes: both(3, 1),
}
export const support: Joint = {
  id: 'support',
  part: 'foot',
  type: 'support',
  site: true,
  after: ['make-dead'],
  shuts: ['motor-supported'],
  down: 'Block up the motor before its bolts leave',
  back: 'Blocks out once the foot bolts hold',
  minutes: both(1, 1),
  temporary: true,
  caution: 'A motor that drops cracks the diffuser, or a foot.',
}
export const cool: Joint = {
  id: 'cool',
  part: 'motor',
  type: 'gate',
  site: true,
  after: ['make-dead'],
  shuts: ['cool'],
  down: 'Feel the shell: if a hand cannot rest on it, let it cool',
  minutes: { down: [0.5, 1, 2], back: [0, 0, 0] },
  wait: { minutes: COOLING_MINUTES, what: 'the motor cools', gate: 'cool', by: 'heat' },
  caution: 'Motor shells burn. About half an hour.',
}
/** A cord in an outlet: unplugged with the rest dead, plugged last. */
export const unplug: Joint = {
  id: 'unplug',
  part: 'outlet',
  type: 'cord-plug',
  site: true,
  count: 1,
  after: ['make-dead'],
  gates: ['power-off', 'proved-dead'],
  down: 'Cord out of its plug',
  back: 'Cord into its plug until it clicks',
  tags: { back: ['plugs-main'] },
  minutes: both(1, 1),
}

/** Turned by hand before the last cover and before power, wherever the shaft’s way was open. */
export const turnedByHand = (when: readonly string[]): FinishStep[] => [
  {
    id: 'turn',
    part: 'shaft',
    phase: 'back',
    when,
    text: 'Turn the shaft by hand before the last cover: free all round, no rub',
    minutes: about(1),
    tags: ['turns-by-hand'],
  },
  {
    id: 'turn-again',
    part: 'shaft',
    phase: 'back',
    when,
    text: 'Turn it again as it stands, before any power',
    minutes: about(1),
    tags: ['turns-again'],
    only: { standing: ['installed'] },
  },
]
/** Water goes in before the power; the steady stream comes after it. */
export const primed = (when: readonly string[], fill: string, stream: string): FinishStep[] => [
  {
    id: 'prime',
    part: 'volute',
    phase: 'back',
    when,
    text: fill,
    minutes: about(3),
    caution: 'A sealed wet end never runs dry.',
    after: ['back:valves', 'back:drain', 'back:unions'],
    tags: ['primes'],
    only: { standing: ['installed'] },
  },
  {
    id: 'stream',
    part: 'discharge-pipe',
    phase: 'commission',
    when,
    text: stream,
    minutes: about(3),
    caution: 'Stand clear of lid and filter at the restart.',
    tags: ['streams'],
    only: { standing: ['installed'] },
  },
]
