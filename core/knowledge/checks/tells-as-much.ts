import type { Basis } from '../../judgement/judgement'
import type { Complaint } from '../vocabulary'
import type { Check } from './checks'

/** After a finding of the first, the others would tell the same by another name, or nothing more. */
export interface TellsAsMuch {
  after: {
    check: Check
    outcomes?: readonly string[]
    notZero?: boolean
    samePart?: boolean
    half?: 'whole' | 'a half'
  }
  not: readonly Check[]
}

export const TELLS_AS_MUCH: readonly TellsAsMuch[] = [
  { after: { check: 'insulation-resistance' }, not: ['ground-ohmmeter'] },
  {
    after: { check: 'supply-voltage', notZero: true },
    not: ['outlet-voltage', 'breaker-voltage', 'interlock', 'load-side-voltage'],
  },
  { after: { check: 'outlet-voltage', notZero: true }, not: ['supply-voltage', 'breaker-voltage'] },
  { after: { check: 'breaker-voltage' }, not: ['breaker'] },
  {
    after: { check: 'running-current', notZero: true },
    not: [
      'outlet-voltage',
      'breaker-voltage',
      'interlock',
      'load-side-voltage',
      'breaker',
      'locked-current',
      'float-bypass',
    ],
  },
  {
    after: { check: 'supply-voltage-loaded', notZero: true },
    not: ['supply-voltage', 'outlet-voltage', 'breaker-voltage', 'interlock'],
  },
  { after: { check: 'capacitance', samePart: true }, not: ['capacitor-look'] },
  {
    after: { check: 'capacitor-look', outcomes: ['bulged', 'leaking', 'burnt'], samePart: true },
    not: ['capacitance'],
  },
  { after: { check: 'control-box-swap' }, not: ['capacitance', 'capacitor-look', 'relay-look'] },
  // Where it leaks was asked, and found.
  { after: { check: 'weep-hole', outcomes: ['dripping'] }, not: ['joint-look', 'thread-look'] },
  { after: { check: 'joint-look', outcomes: ['dripping'] }, not: ['weep-hole'] },
  { after: { check: 'seal-look' }, not: ['weep-hole'] },
  {
    after: { check: 'tank-look', outcomes: ['waterlogged', 'water-at-air-valve'] },
    not: ['tank-air', 'tank-precharge'],
  },
  { after: { check: 'tank-air' }, not: ['tank-look'] },
  { after: { check: 'float-bypass', outcomes: ['silent', 'hums'] }, not: ['float-run', 'float-move'] },
  { after: { check: 'float-run' }, not: ['float-bypass'] },
  // What hums has its float closed.
  { after: { check: 'listen', outcomes: ['hum'] }, not: ['motor-alone-listen', 'float-bypass'] },
  { after: { check: 'float-bypass' }, not: ['listen', 'wiring-look', 'load-side-voltage'] },
  // What turns free as a whole turns free in each half; and where a half was turned, the whole says no more.
  { after: { check: 'shaft-turn', outcomes: ['free'], half: 'whole' }, not: ['shaft-turn'] },
  { after: { check: 'shaft-turn', outcomes: ['gritty', 'tight', 'seized'], half: 'a half' }, not: ['shaft-turn'] },
  {
    after: { check: 'barrel-run' },
    not: [
      'dry-bump',
      'running-current',
      'supply-voltage-loaded',
      'flow',
      'discharge-pressure',
      'shutoff-pressure',
      'locked-current',
    ],
  },
  { after: { check: 'bucket-run', outcomes: ['pumps', 'weak'] }, not: ['dry-bump'] },
  { after: { check: 'thrust-gauge' }, not: ['shaft-height', 'end-play'] },
  { after: { check: 'shaft-height' }, not: ['thrust-gauge'] },
  { after: { check: 'winding-smell', outcomes: ['burnt'] }, not: ['winding-look'] },
  { after: { check: 'winding-look' }, not: ['winding-smell'] },
]
export const TELLS_AS_MUCH_BASIS: Basis = {
  kind: 'common-practice',
  name: 'what was looked at is not looked at again by another name',
}

/** Measured only after an easier look has said that it is worth it: no panel is opened over a tripped breaker. */
export const ONLY_AFTER: Readonly<Partial<Record<Check, { check: Check; outcome: string }>>> = {
  'breaker-voltage': { check: 'breaker', outcome: 'on' },
}

/** Looks that only what was told of a leak, of air or of lost water makes worth a look. */
export const ONLY_FOR: Readonly<Partial<Record<Check, readonly Complaint[]>>> = {
  'weep-hole': ['leak-under-motor', 'leak-at-joint'],
  'joint-look': ['leak-under-motor', 'leak-at-joint', 'loses-prime', 'air-at-taps', 'high-bill', 'short-cycles'],
  'thread-look': ['leak-under-motor', 'leak-at-joint', 'loses-prime', 'air-at-taps'],
}
