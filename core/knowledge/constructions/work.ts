import type { JointType, PartWork, WorkStep } from './joint'
import { about } from './shared'

const SHAFT: WorkStep[] = [
  {
    id: 'look-shaft',
    text:
      'Look at the shaft under the seal: rust comes off by hand with 320 to 400 abrasive, pitting is a reason to ' +
      'stop',
    tool: 'fine abrasive by hand',
    minutes: about(5),
    caution: 'Never polish a shaft under power.',
  },
  {
    id: 'old-sleeve',
    text: 'Old seal out, ring and cup both; look for the old inner sleeve left on the shaft',
    tool: 'pick',
    minutes: about(5),
  },
]
const SEAT = {
  id: 'seat',
  tool: 'lint-free pad',
  minutes: about(5),
  orientation: 'polished ceramic faces smooth carbon; faces never touched, greased or struck',
}
const SPRING = {
  id: 'spring',
  tool: 'socket of the rim’s size',
  minutes: about(6),
  orientation: 'carbon faces the ceramic',
}
const OTHER_HALF: WorkStep = { id: 'other-half', text: 'Look at the other half: {halves}', minutes: about(1) }
const FIT_MOTOR: WorkStep[] = [
  {
    id: 'match',
    text:
      'Match the new motor: frame, flange, shaft, volts, phase, rpm; horsepower × service factor at least that of ' +
      'the old',
    minutes: about(5),
  },
  {
    id: 'selector',
    text: 'Set the voltage selector: a new motor usually arrives set to the higher voltage',
    minutes: about(3),
    caution: '115 V selection on 230 V destroys the motor.',
  },
]

/** What is done at a part once it is reached; a row for one construction goes before the common one. */
export const PART_WORK: readonly PartWork[] = [
  {
    part: 'run-capacitor',
    steps: [
      {
        id: 'measure',
        text: 'Measure the new capacitor before it is fitted, and log it',
        tool: 'meter on μF',
        minutes: about(2),
      },
      {
        id: 'fit',
        text: 'Fit it: same microfarads, never fewer volts; wedge a thinner one so that it cannot chafe',
        minutes: about(4),
        caution: 'A start capacitor never replaces a run capacitor.',
      },
    ],
  },
  {
    part: 'start-capacitor',
    steps: [
      { id: 'measure', text: 'Measure the new start capacitor, and log it', tool: 'meter on μF', minutes: about(2) },
      { id: 'fit', text: 'Fit it within the printed range', minutes: about(4) },
    ],
  },
  {
    part: 'shaft-seal',
    in: ['band-clamp'],
    steps: [
      ...SHAFT,
      { ...SEAT, text: 'Ceramic seat into the plate, its cup {cup}, pressed with a lint-free pad' },
      { ...SPRING, text: 'Spring half onto the impeller hub, carbon outward' },
    ],
  },
  {
    part: 'shaft-seal',
    steps: [
      ...SHAFT,
      {
        ...SPRING,
        text:
          'Spring half into the plate or bracket: on its metal rim only, dead square, the plate resting on a ' +
          'hollow ring, {shell}',
      },
      { ...SEAT, text: 'Ceramic seat into the impeller, its cup {cup}, pressed with a lint-free pad' },
    ],
  },
  {
    part: 'motor',
    in: ['submersible-joined'],
    steps: [
      {
        id: 'height',
        text: 'Measure shaft height and end play of the new motor before it is joined',
        tool: 'shaft gauge',
        minutes: about(4),
      },
      { id: 'caps', text: 'Shipping caps stay on to the last step', minutes: about(1) },
      OTHER_HALF,
    ],
  },
  {
    part: 'motor',
    in: ['band-clamp', 'bolted-seal-plate', 'bracket-booster', 'jet-end'],
    steps: [
      ...FIT_MOTOR,
      {
        ...SPRING,
        id: 'new-seal',
        text: 'A new shaft seal with it, both halves: it was disturbed',
        spends: ['shaft-seal'],
      },
    ],
  },
  { part: 'motor', steps: FIT_MOTOR },
  {
    part: 'bearings',
    steps: [
      { id: 'pull', text: 'Draw both bearings by the inner ring', tool: 'bearing puller', minutes: about(8) },
      {
        id: 'fit-check',
        text: 'Try old and new on the shaft: if both are loose, the shaft is worn; measure the clearance',
        tool: 'feeler gauge',
        minutes: about(4),
      },
      {
        id: 'press',
        text: 'Press the new ones on by the inner ring only, square, to the shoulder',
        tool: 'pipe or socket on the inner ring',
        minutes: about(8),
      },
    ],
  },
  {
    part: 'start-switch',
    steps: [
      { id: 'clean', text: 'Contacts clean and closed at rest, weights free, springs both on', minutes: about(6) },
    ],
  },
  { part: 'switch-springs', steps: [{ id: 'fit', text: 'New springs, both', minutes: about(4) }] },
  {
    part: 'impeller',
    steps: [
      {
        id: 'clean',
        text: 'Clear the vanes; the new one must suit the motor: horsepower × service factor',
        minutes: about(5),
      },
    ],
  },
  {
    part: 'housing-o-ring',
    steps: [{ id: 'groove', text: 'Clean the groove; new ring, silicone or PTFE lubricant only', minutes: about(3) }],
  },
  {
    part: 'diffuser-o-ring',
    steps: [{ id: 'groove', text: 'New ring on the diffuser, a film of lubricant', minutes: about(2) }],
  },
  { part: 'diffuser', steps: [{ id: 'fit', text: 'New diffuser, its top stamp up', minutes: about(3) }] },
  {
    part: 'seal-plate',
    steps: [
      { id: 'fit', text: 'New plate; the old seal is not carried over', minutes: about(4), spends: ['shaft-seal'] },
    ],
  },
  {
    part: 'bracket',
    steps: [
      { id: 'fit', text: 'New bracket; the old seal is not carried over', minutes: about(4), spends: ['shaft-seal'] },
    ],
  },
  { part: 'lid-o-ring', steps: [{ id: 'ring', text: 'New lid ring, wiped and lubricated', minutes: about(2) }] },
  { part: 'lock-screw', steps: [{ id: 'fit', text: 'New lock screw, its small ring with it', minutes: about(2) }] },
  {
    part: 'lock-screw-gasket',
    steps: [
      { id: 'ring', text: 'New ring under the lock screw: it does not come with a new impeller', minutes: about(1) },
    ],
  },
  {
    part: 'thermal-protector',
    steps: [{ id: 'fit', text: 'New protector of the same number and class', minutes: about(10) }],
  },
  {
    part: 'selector',
    steps: [
      {
        id: 'set',
        text: 'Set the selector to the supply',
        minutes: about(2),
        caution: '115 V selection on 230 V destroys the motor.',
      },
    ],
  },
  {
    part: 'pump',
    in: ['sump-sealed'],
    steps: [
      {
        id: 'height',
        text: 'Measure the new pump’s outlet against the old: pipe to cut off, or to add',
        tool: 'rule',
        minutes: about(4),
      },
      {
        id: 'hole',
        text: 'A 3 mm relief hole below the check valve where its sheet asks for one',
        tool: 'drill',
        minutes: about(2),
      },
    ],
  },
  {
    part: 'pump',
    steps: [{ id: 'match', text: 'The new pump by duty: flow and head, volts, ports', minutes: about(6) }],
  },
  {
    part: 'pump-end',
    steps: [
      {
        id: 'match',
        text: 'The new head for this motor: same spline, no more horsepower than the motor carries',
        minutes: about(5),
      },
      OTHER_HALF,
    ],
  },
  {
    part: 'stages',
    steps: [
      {
        id: 'kit',
        text: 'Stage kit in its order; turn the stack by hand after each: it must stay free',
        minutes: about(20),
        caution: 'Some pump ends are potted or pressed: ask before pricing a kit.',
      },
    ],
  },
  { part: 'stack-clip', steps: [{ id: 'clip', text: 'New clip, closed tight', minutes: about(2) }] },
  { part: 'coupling', steps: [{ id: 'fit', text: 'New coupling, its screw on the flat', minutes: about(5) }] },
  {
    part: 'thrust-bearing',
    steps: [
      {
        id: 'measure',
        text: 'Shaft height and end play: a thrust bearing that has dropped sends the motor back',
        tool: 'shaft gauge',
        minutes: about(5),
      },
    ],
  },
  {
    part: 'check-valve',
    steps: [
      {
        id: 'fit',
        text: 'New check valve, arrow with the flow; count one built into the pump before adding another',
        minutes: about(4),
      },
    ],
  },
  {
    part: 'float-switch',
    steps: [
      { id: 'fit', text: 'New float at the old height; lift it by hand: it starts and stops', minutes: about(4) },
    ],
  },
  {
    part: 'backup-float',
    steps: [{ id: 'set', text: 'Backup float above the main, below the floor', minutes: about(3) }],
  },
  { part: 'battery', steps: [{ id: 'fit', text: 'New battery, red first on, last off', minutes: about(6) }] },
  {
    part: 'discharge-pipe',
    steps: [
      {
        id: 'join',
        text: 'Dry-fit, mark, then primer on both and cement on both',
        tool: 'primer, cement',
        minutes: about(10),
        caution: 'Vapours: air the place, no flame.',
      },
    ],
  },
  { part: 'intake-screen', steps: [{ id: 'clean', text: 'Clear the screen', minutes: about(3) }] },
  { part: 'cable-guard', steps: [{ id: 'fit', text: 'New guard, leads flat under it', minutes: about(3) }] },
  { part: 'lead-connector', steps: [{ id: 'fit', text: 'New lead connector, dry, straight', minutes: about(5) }] },
  { part: 'cable', steps: [{ id: 'fit', text: 'New cable by its length and amps: see Workings', minutes: about(15) }] },
  {
    part: 'splice',
    steps: [
      {
        id: 'splice',
        text: 'New splices {splice}; {ground}',
        tool: 'crimp tool, heat gun, megohmmeter',
        minutes: about(20),
      },
      {
        id: 'read',
        text: 'Before it is lowered: motor, splice and cable together read to ground, the splice under water',
        tool: 'megohmmeter, bucket',
        minutes: about(5),
        caution: 'Hands off the leads: the megohmmeter puts out 500 V. Discharge afterwards.',
      },
    ],
  },
  { part: 'drop-pipe', steps: [{ id: 'fit', text: 'New pipe: {threads}', minutes: about(15) }] },
  {
    part: 'foot-valve',
    steps: [
      {
        id: 'fit',
        text:
          'New foot valve, its flap free, its screen clean; the line filled through the prime plug before it is ' +
          'started',
        minutes: about(6),
        caution: 'Never started dry: the seal burns.',
      },
    ],
  },
  { part: 'control-box', steps: [{ id: 'fit', text: 'New box of the same horsepower and volts', minutes: about(6) }] },
  { part: 'start-relay', steps: [{ id: 'fit', text: 'New relay of the box’s own number', minutes: about(8) }] },
  { part: 'union', steps: [{ id: 'ring', text: 'New rings in both unions', minutes: about(3) }] },
  { part: 'hose-connector', steps: [{ id: 'fit', text: 'New connectors: {threads}', minutes: about(4) }] },
  {
    part: 'ejector',
    steps: [{ id: 'clean', text: 'Nozzle and throat cleared, worn ones replaced', minutes: about(8) }],
  },
  { part: 'fan', steps: [{ id: 'fit', text: 'New fan', minutes: about(2) }] },
  {
    part: 'shims',
    steps: [
      {
        id: 'gap',
        text: 'Measure the impeller gap; same shims only if nothing that sets the stack changed',
        tool: 'feeler gauge',
        minutes: about(8),
      },
    ],
  },
  {
    part: 'pressure-switch',
    steps: [{ id: 'fit', text: 'New switch; cut-in and cut-out set and tried against the gauge', minutes: about(8) }],
  },
  { part: 'pressure-gauge', steps: [{ id: 'fit', text: 'New gauge, reading zero', minutes: about(2) }] },
  { part: 'relief-valve', steps: [{ id: 'fit', text: 'New relief valve below the tank’s rating', minutes: about(3) }] },
  {
    part: 'tank',
    steps: [
      {
        id: 'charge',
        text: 'Charge to 2 psi below cut-in while it is empty of water',
        tool: 'tyre gauge, air pump',
        minutes: about(6),
      },
    ],
  },
  { part: 'tank-tee', steps: [{ id: 'fit', text: 'New tee: {threads}', minutes: about(10) }] },
  { part: 'wave-washer', steps: [{ id: 'fit', text: 'New wave washer in its bell', minutes: about(2) }] },
  { part: 'rotor', steps: [{ id: 'look', text: 'Look for rub marks on rotor and bore', minutes: about(3) }] },
  {
    part: 'shaft',
    steps: [{ id: 'runout', text: 'Runout at the seal with a dial gauge', tool: 'dial gauge', minutes: about(6) }],
  },
  {
    part: 'through-bolts',
    steps: [
      {
        id: 'clean',
        text: 'Threads cleaned; where one is eaten away, washers so that the nut bites sound thread',
        minutes: about(5),
      },
    ],
  },
]

export interface Freeing {
  text: string
  tool: string
  minutes: readonly [number, number, number]
  caution: string
  giveUp?: true
}
const HEAT: Freeing = {
  text: 'It will not open: penetrating oil, then gentle heat at the threaded end and steady torque',
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
const STRAP: Freeing = {
  text: 'It will not turn: strap wrench on it, the shaft held from behind, steady',
  tool: 'strap wrench',
  minutes: [4, 10, 25],
  caution: 'Hand-tight and stuck warns of corrosion under it.',
}
const MALLET: Freeing = {
  text: 'The halves stick: soft mallet all round, evenly',
  tool: 'soft mallet',
  minutes: [3, 6, 15],
  caution: 'Never a pry on one side; a plate that cracks is bought new.',
}
const PULLER: Freeing = {
  text: 'It sticks on its fit: puller on the inner ring, or bumped on wood',
  tool: 'puller',
  minutes: [4, 10, 25],
  caution: 'Never levered on the shaft.',
}
const NEW_PLATE: Freeing = {
  text: 'It is not saved: broken off its fit, and bought new',
  tool: 'soft mallet, saw',
  minutes: [8, 15, 40],
  caution: 'The shaft and the motor’s rim are what must stay whole.',
  giveUp: true,
}

/** What is tried when a joint of a kind will not open, in this order; the last gives the part up. */
export const STUCK: { bolt: readonly Freeing[] } & Partial<Record<JointType, readonly Freeing[]>> = {
  bolt: [HEAT, CUT],
  screw: [HEAT, CUT],
  thread: [
    STRAP,
    {
      ...HEAT,
      text: 'Strap alone does not turn it: penetrating oil, left to work, and gentle heat',
      caution: `${HEAT.caution} A plastic impeller takes no heat.`,
    },
    { ...CUT, text: 'It is broken off its thread and bought new; the shaft’s thread is looked over' },
  ],
  'o-ring-seat': [MALLET, NEW_PLATE],
  'press-fit': [
    PULLER,
    { ...HEAT, text: 'The puller alone does not move it: gentle heat on the outer part, then the puller again' },
    NEW_PLATE,
  ],
  union: [
    {
      ...STRAP,
      text: 'The union will not turn: strap wrench on its nut, the pipe held',
      caution: 'A pipe that turns with it breaks at the next joint.',
    },
    { ...CUT, text: 'The union is cut out and a new one glued in' },
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
