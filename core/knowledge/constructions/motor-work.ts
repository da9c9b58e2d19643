import type { Assembly, PartWork, Reads, WorkStep } from './joint'
import { about } from './shared'

const WET_END: readonly Assembly[] = [
  'band-clamp',
  'bolted-seal-plate',
  'bracket-booster',
  'jet-end',
  'spa-cabinet',
  'flooded-circulation',
  'vertical-shimmed',
]
const MATCH: WorkStep = {
  id: 'match',
  text:
    'Match the new motor: frame, flange, shaft, volts, phase, rpm; horsepower × service factor at least that of ' +
    'the old',
  minutes: about(3),
  early: true,
}
const NEW_INSULATION: Reads = { check: 'insulation-resistance', of: 'new' }
const READ_NEW: WorkStep = {
  id: 'read-new',
  text: 'Read the new motor to ground before it is fitted, each lead',
  tool: 'megohmmeter',
  minutes: about(3),
  caution: 'The megohmmeter puts out 500 V: hands off, discharged after.',
  tags: ['measures-part', 'reads-insulation'],
  reads: NEW_INSULATION,
  early: true,
}
const FIT_MOTOR: readonly WorkStep[] = [
  MATCH,
  READ_NEW,
  {
    id: 'selector',
    text: 'Set the voltage selector to the supply: a new motor usually arrives set to the higher voltage',
    minutes: about(1),
    caution: '115 V selection on 230 V destroys the motor.',
  },
  { id: 'sleeve', text: 'Shaft sleeve and conduit plug out of the new motor', minutes: about(1) },
]
const capacitor = (id: 'run-capacitor' | 'start-capacitor', fit: WorkStep): PartWork => ({
  part: id,
  steps: [
    {
      id: 'measure',
      text: 'Measure the new capacitor before it is fitted, and log it',
      tool: 'meter on μF',
      minutes: about(2),
      tags: ['measures-part'],
      reads: { check: 'capacitance', part: id, of: 'new' },
    },
    fit,
  ],
})
const press = { tool: 'pipe or socket on the inner ring', minutes: about(4), bench: true, count: 1 } as const
const pull = { tool: 'bearing puller', minutes: about(4), bench: true, count: 1 } as const

/** The motor, and what is inside it. */
export const MOTOR_WORK: readonly PartWork[] = [
  {
    part: 'run-capacitor',
    in: ['submersible-sealed'],
    steps: [
      {
        id: 'measure',
        text: 'Measure the new capacitor before it is fitted, and log it',
        tool: 'meter on μF',
        minutes: about(2),
        tags: ['measures-part'],
        reads: { check: 'capacitance', part: 'run-capacitor', of: 'new' },
      },
      {
        id: 'match',
        text: 'Same microfarads, run type, never fewer volts, the same body or smaller: it must fit its clamp',
        minutes: about(1),
      },
      {
        id: 'trial',
        text: 'Temporary leads, one second of power, no longer: the shaft must kick; leads off, capacitor bled',
        tool: 'test leads',
        minutes: about(4),
        caution: 'The shell lies open: hands clear, ground clipped on, power off before a lead is touched.',
        mounted: ['capacitor-leads'],
        tags: ['trial'],
      },
    ],
  },
  capacitor('run-capacitor', {
    id: 'fit',
    text: 'Fit it: same microfarads, never fewer volts; wedge a thinner one so that it cannot chafe',
    minutes: about(4),
    caution: 'A start capacitor never replaces a run capacitor.',
    tags: ['fits-part'],
  }),
  capacitor('start-capacitor', {
    id: 'fit',
    text: 'Fit it within the printed range, never fewer volts',
    minutes: about(4),
    tags: ['fits-part'],
  }),
  {
    part: 'motor',
    in: ['submersible-joined'],
    steps: [
      {
        id: 'match',
        text: 'Match the new motor: horsepower, volts, wires, flange; the head’s horsepower no more than its own',
        minutes: about(3),
        early: true,
      },
      {
        id: 'read-new',
        text: 'Read the new motor to ground before it is joined, each lead: below 200 MΩ it goes back',
        tool: 'megohmmeter',
        minutes: about(4),
        caution: 'The megohmmeter puts out 500 V: hands off, discharged after.',
        tags: ['measures-part', 'reads-insulation'],
        reads: { ...NEW_INSULATION, setup: 'motor-alone' },
        early: true,
      },
      {
        id: 'height',
        text: 'Measure shaft height and end play of the new motor before it is joined',
        tool: 'shaft gauge',
        minutes: about(4),
        tags: ['measures-part'],
        reads: { check: 'shaft-height', of: 'new' },
      },
      { id: 'caps', text: 'Shipping caps stay on until it goes into the well', minutes: about(1) },
      { id: 'other-half', text: 'Look at the other half: {halves}', minutes: about(1), unless: 'pump-end' },
    ],
  },
  { part: 'motor', in: WET_END, brings: ['shaft-seal'], steps: FIT_MOTOR },
  { part: 'motor', steps: FIT_MOTOR },
  {
    part: 'bearings',
    steps: [
      {
        ...pull,
        id: 'pull-drive',
        text: 'Draw the drive-end bearing by its inner ring; read its number',
        identifies: 'bearings',
      },
      {
        ...pull,
        id: 'pull-far',
        text: 'Draw the far-end bearing by its inner ring; read its number',
        identifies: 'bearings',
      },
      {
        id: 'fit-check',
        text:
          'Try old and new on the shaft, each end for itself: slack on both is the shaft, on the old alone the ' +
          'bearing; measure the clearance',
        tool: 'feeler gauge',
        minutes: about(4),
        bench: true,
        decides: 'bearingClearanceMm',
      },
      {
        ...press,
        id: 'press-drive',
        text: 'Press the new drive-end bearing on by the inner ring only, square, to the shoulder',
      },
      {
        ...press,
        id: 'press-far',
        text: 'Press the new far-end bearing on by the inner ring only, square, to its snap ring',
      },
    ],
  },
  {
    part: 'start-switch',
    steps: [
      { id: 'clean', text: 'Contacts clean and closed at rest, weights free, springs both on', minutes: about(6) },
    ],
  },
  { part: 'wave-washer', steps: [{ id: 'fit', text: 'New wave washer in its bell', minutes: about(2) }] },
  {
    part: 'insulation',
    steps: [
      {
        id: 'dry',
        text: 'Windings looked at and smelled; dried where they are wet',
        minutes: about(5),
        reads: { check: 'winding-look' },
      },
    ],
  },
  {
    part: 'thrust-bearing',
    steps: [
      {
        id: 'measure',
        text: 'Shaft height and end play: a thrust bearing that has dropped sends the motor back',
        tool: 'shaft gauge',
        minutes: about(5),
        reads: { check: 'shaft-height' },
      },
    ],
  },
]
