import type { Act, Minutes, SelfRunning, StuckKind } from './joint'
import { about } from './shared'

/** One thing to try at a joint that will not open. */
export interface Freeing {
  text: string
  tool: string
  minutes: Minutes
  caution: string
  /** The joint is given up: its part is bought new. */
  giveUp?: true
  /** How the joint is made anew where it was given up: acts before it closes, what it spends, what it waits for. */
  remake?: { acts: readonly Act[]; materials: readonly string[]; wait?: SelfRunning }
}

const OIL_AND_HEAT: Freeing = {
  text: 'It will not open: penetrating oil, left to work, then gentle heat at the threaded end and steady torque',
  tool: 'penetrating oil, heat gun',
  minutes: [5, 12, 30],
  caution: 'Never a snap. Flame is kept from plastic, windings, solvent and capacitors.',
}
const CUT: Freeing = {
  text: 'It is cut or drilled out, and bought new',
  tool: 'saw, drill, extractor',
  minutes: [10, 25, 60],
  caution: 'Eye protection; chips are kept out of windings and bearings.',
  giveUp: true,
}
const MALLET: Freeing = {
  text: 'It sticks: soft mallet all round, evenly',
  tool: 'soft mallet',
  minutes: [3, 6, 15],
  caution: 'Never a pry on one side; a plate that cracks is bought new.',
}
const NEW_PLATE: Freeing = {
  text: 'It is not saved: broken off its fit, and bought new',
  tool: 'soft mallet, saw',
  minutes: [8, 15, 40],
  caution: 'The shaft and the motor’s rim are what must stay whole.',
  giveUp: true,
}

/** What is tried when a joint of a kind will not open, in this order; the last gives the part up. */
export const STUCK: Readonly<Record<StuckKind, readonly Freeing[]>> = {
  bolt: [OIL_AND_HEAT, CUT],
  'rusted-stud': [
    {
      text: 'The stud is rusted: wire brush, penetrating oil, eased back and forth by hand',
      tool: 'wire brush, penetrating oil',
      minutes: [4, 8, 20],
      caution: 'Never a snap: a broken stud costs more than the minutes.',
    },
    {
      ...OIL_AND_HEAT,
      text: 'Oil alone does not ease it: small flame at its threaded end while steady torque is held, until it gives',
      caution: 'Capacitors out, flame off windings and plastic. Never a snap.',
    },
    {
      ...CUT,
      text: 'It is cut at its nut and drilled out; where the thread is eaten, washers so that a nut bites sound thread',
    },
  ],
  'seized-screw': [
    {
      text: 'The screw is seized: its head cleaned, penetrating oil, a fitted bit pressed home, a short tap on it',
      tool: 'penetrating oil, fitted bit, hammer',
      minutes: [3, 7, 15],
      caution: 'A head that rounds is worse than one that waits.',
    },
    { ...CUT, text: 'Its head is drilled off, the stump turned out by pliers or an extractor; a new screw' },
  ],
  thread: [
    {
      text: 'It will not turn: strap wrench on it, the shaft held from behind, steady',
      tool: 'strap wrench',
      minutes: [4, 10, 25],
      caution: 'Hand-tight and stuck warns of corrosion under it.',
    },
    {
      ...OIL_AND_HEAT,
      text: 'Strap alone does not turn it: penetrating oil, left to work, and gentle heat',
      caution: `${OIL_AND_HEAT.caution} A plastic impeller takes no heat.`,
    },
    { ...CUT, text: 'It is broken off its thread and bought new; the shaft’s thread is looked over' },
  ],
  'galled-stainless': [
    {
      text: 'Stainless galls: stop, oil it, a quarter turn back, then on, slowly, no power tool',
      tool: 'penetrating oil, wrench',
      minutes: [4, 9, 20],
      caution: 'Speed and heat weld it: slow and cold.',
    },
    {
      ...CUT,
      text: 'Galled for good: the nut split or the bolt cut, and bought new; the new one lubricated',
      tool: 'nut splitter, saw',
    },
  ],
  'glued-adapter': [
    {
      text: 'The adapter will not turn: the pump held by hand, a long pipe wrench, steady',
      tool: 'long pipe wrench',
      minutes: [3, 6, 12],
      caution: 'A plastic outlet breaks before the adapter does.',
    },
    {
      text: 'It is glued or seized for good: the pipe sawn at the bottom, its length noted',
      tool: 'pipe saw',
      minutes: [3, 6, 12],
      caution: 'Chips are kept out of the pump and the pit.',
      giveUp: true,
      remake: {
        materials: ['primer and cement'],
        acts: [
          {
            id: 'dry-fit',
            text: 'New adapter dry-fitted on its pipe and marked: cement gives no second try',
            minutes: about(2),
          },
          {
            id: 'cement',
            text: 'Primer on both, over paper: it drips; cement on both, pushed home with a quarter turn and held',
            minutes: about(4),
            caution: 'Primer and cement vapours: air the cellar, no flame.',
          },
        ],
        wait: { minutes: 45, what: 'the cement cures', closes: 'unplug', by: 'cement' },
      },
    },
  ],
  'stuck-plate': [MALLET, NEW_PLATE],
  'press-fit': [
    {
      text: 'It sticks on its fit: puller on the inner ring, or bumped on wood',
      tool: 'puller',
      minutes: [4, 10, 25],
      caution: 'Never levered on the shaft.',
    },
    {
      ...OIL_AND_HEAT,
      text: 'The puller alone does not move it: gentle heat on the outer part, then the puller again',
    },
    NEW_PLATE,
  ],
  'pressed-cap': [
    {
      text: 'The cap holds: a thin blade tapped in at four places round its rim, a little at each',
      tool: 'thin flat blade, soft mallet',
      minutes: [2, 4, 10],
      caution: 'The blade goes no deeper than the rim: wires lie behind.',
    },
    {
      text: 'It is not saved: cut along its rim and bought new',
      tool: 'snips',
      minutes: [4, 8, 15],
      caution: 'Power is off and the capacitor bled: wires lie behind.',
      giveUp: true,
    },
  ],
  union: [
    {
      text: 'The union will not turn: strap wrench on its nut, the pipe held',
      tool: 'strap wrench',
      minutes: [4, 10, 25],
      caution: 'A pipe that turns with it breaks at the next joint.',
    },
    {
      ...CUT,
      text: 'The union is cut out and a new one glued in',
      remake: {
        materials: ['primer and cement'],
        acts: [
          { id: 'dry-fit', text: 'New union dry-fitted and marked', minutes: about(3) },
          {
            id: 'cement',
            text: 'Primer on both, cement on both, pushed home with a quarter turn and held',
            minutes: about(4),
            caution: 'Primer and cement vapours: air the place, no flame.',
          },
        ],
        wait: { minutes: 45, what: 'the cement cures', closes: 'valves', by: 'cement' },
      },
    },
  ],
  'clamp-band': [
    {
      ...MALLET,
      text: 'The band holds on: its knob off, tapped round with a soft mallet',
      caution: 'Pressure is off first: look at the gauge again.',
    },
    { ...CUT, text: 'The band’s bolt is cut, and the band bought new' },
  ],
}

/** How a joint of a type usually holds, where it says nothing of its own. */
export const USUAL_HOLD: Readonly<Record<string, StuckKind>> = {
  bolt: 'bolt',
  screw: 'bolt',
  thread: 'thread',
  'o-ring-seat': 'stuck-plate',
  'press-fit': 'press-fit',
  union: 'union',
  'clamp-band': 'clamp-band',
}
