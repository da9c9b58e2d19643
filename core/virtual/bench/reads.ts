import { SUBMERGED } from '../../knowledge/vocabulary'
import type { Answer, Question } from '../answer'
import { houseWater, type VirtualMachine } from '../machine'
import { isAsked } from './circuit'
import type { Hands } from './hands'
import { stateUnder, TEST_VOLTS, type MeterShows, type Probing } from './meter'

/** What a display is a reading of, as a check and its answer. */
export interface BenchRead {
  question: Question
  answer: Answer
}

/** Under this an ohmmeter to ground sounds. */
const SOUNDS_OHMS = 0.3e6
/** A closed protector is a piece of wire. */
const CLOSED_OHMS = 10
/** Above what the insulation tester has figures for, it is written down as that much. */
const MOST_MEGOHMS = 20_000
const GROUNDED: ReadonlySet<string> = new Set(['ground', 'paint'])
/** Ends of the wiring that are the pump’s, and no wiring before it. */
const OF_MOTOR = /^([hmx][12]|[ykr][2xm]?|[ps])$/

/** Two points of one line: between them it loses what its joints and contacts take. */
const ALONG_ONE_LINE: readonly (readonly [string, string])[] = [
  ['b1', 'c1'],
  ['b1', 't1'],
  ['b1', 'h1'],
  ['b1', 'm1'],
  ['o1', 'c1'],
  ['o1', 't1'],
  ['o1', 'h1'],
  ['o1', 'm1'],
  ['c1', 't1'],
  ['t1', 'h1'],
  ['t1', 'm1'],
  ['b2', 't2'],
  ['o2', 't2'],
  ['t2', 'm2'],
]

/** Pairs of terminals between which a winding is read. */
const WINDINGS: readonly { pair: readonly [string, string]; leads: string; half?: 'motor'; wells: boolean }[] = [
  { pair: ['m1', 'm2'], leads: 'run-common', wells: false },
  { pair: ['p', 'm2'], leads: 'run-common', wells: false },
  { pair: ['h1', 'h2'], leads: 'run-common', wells: false },
  { pair: ['m1', 's'], leads: 'start-common', wells: false },
  { pair: ['p', 's'], leads: 'start-common', wells: false },
  { pair: ['h1', 'h2'], leads: 'run-common', wells: true },
  { pair: ['m1', 'm2'], leads: 'run-common', half: 'motor', wells: true },
  { pair: ['y', 'k'], leads: 'run-common', wells: true },
  { pair: ['y2', 'k2'], leads: 'run-common', wells: true },
  { pair: ['y', 'r'], leads: 'start-common', wells: true },
  { pair: ['y2', 'r2'], leads: 'start-common', wells: true },
  { pair: ['ym', 'km'], leads: 'run-common', half: 'motor', wells: true },
  { pair: ['ym', 'rm'], leads: 'start-common', half: 'motor', wells: true },
]

/**
 * What a display can be a reading of, the likeliest first: which of them it is, the lit check decides.
 *
 * @returns nothing where the leads lie between two points that no check is read at
 */
export function benchReads(machine: VirtualMachine, hands: Hands, probing: Probing, shows: MeterShows): BenchRead[] {
  const { dial, a = '', b = '', peak } = probing
  if (shows.is !== 'figure' && shows.is !== 'over') return []
  const value = shows.is === 'figure' ? shows.value : null
  const between = (one: string, other: string) => (a === one && b === other) || (a === other && b === one)
  const plain = (check: string, more: Partial<Question> = {}): BenchRead => ({
    question: { check, ...more },
    answer: { value },
  })
  if (dial === 'amps') {
    if (a !== 'jaw-one') return []
    return [plain(peak ? 'locked-current' : 'running-current')]
  }
  if (dial === 'volts') return voltsReads(machine, hands, between).map((check) => plain(check))
  if (dial === 'microfarads') {
    if (between('rc1', 'rc2')) return [plain('capacitance', { part: 'run-capacitor' })]
    return between('sc1', 'sc2') ? [plain('capacitance', { part: 'start-capacitor' })] : []
  }
  const lead = GROUNDED.has(a) ? b : GROUNDED.has(b) ? a : undefined
  const testVolts = TEST_VOLTS[dial]
  if (testVolts !== undefined) {
    if (lead === undefined || !OF_MOTOR.test(lead)) return []
    return [
      {
        question: { check: 'insulation-resistance', setup: setupAt(machine, hands, lead) },
        answer: { value: value ?? MOST_MEGOHMS, testVolts },
      },
    ]
  }
  if (lead !== undefined)
    return OF_MOTOR.test(lead)
      ? [
          {
            question: { check: 'ground-ohmmeter' },
            answer: { outcome: value !== null && value < SOUNDS_OHMS ? 'shorted' : 'open' },
          },
        ]
      : []
  if (between('m1', 'p'))
    return [
      {
        question: { check: 'thermal-protector-continuity' },
        answer: { outcome: value !== null && value < CLOSED_OHMS ? 'closed' : 'open' },
      },
    ]
  const inWell = machine.kind.startsWith('well')
  const winding = WINDINGS.find(({ pair, wells }) => wells === inWell && between(...pair))
  return winding ? [plain('winding-resistance', { leads: winding.leads, half: winding.half })] : []
}

function voltsReads(machine: VirtualMachine, hands: Hands, between: (a: string, b: string) => boolean): string[] {
  if (between('battery-plus', 'battery-minus')) return ['battery-voltage']
  if (between('b1', 'b2')) return ['breaker-voltage']
  const isOn = hands.power && isAsked(machine, hands)
  const draws = isOn && !hands.tripped && stateUnder(machine, hands).energised
  // A sealed pump is read under load where its plug is.
  if (between('o1', 'o2'))
    return machine.kind === 'sump' && isOn
      ? draws
        ? ['supply-voltage-loaded', 'outlet-voltage']
        : ['outlet-voltage', 'supply-voltage-loaded']
      : ['outlet-voltage']
  // What runs has its volts through the switch: they are its volts under load.
  if (draws)
    return ['c1 c2', 't1 t2', 'h1 h2', 't1 h2', 'm1 m2'].some((pair) =>
      between(...(pair.split(' ') as [string, string])),
    )
      ? ['supply-voltage-loaded']
      : dropReads()
  const atPump = isOn ? ['supply-voltage', 'supply-voltage-loaded'] : []
  if (between('c1', 'c2')) return ['supply-voltage', ...(isOn ? ['supply-voltage-loaded'] : [])]
  if (between('t1', 't2'))
    return houseWater(machine.kind)
      ? ['load-side-voltage', ...atPump]
      : ['supply-voltage', 'load-side-voltage', ...(isOn ? ['supply-voltage-loaded'] : [])]
  // The plug of a sump pump is where its float hands the power on.
  if (between('h1', 'h2') || between('t1', 'h2')) return machine.kind === 'sump' ? ['load-side-voltage'] : atPump
  if (between('m1', 'm2')) return atPump
  return dropReads()

  function dropReads(): string[] {
    return isOn && ALONG_ONE_LINE.some(([from, to]) => between(from, to)) ? ['drop-test'] : []
  }
}

/** Which of motor and cable a meter meets from a lead. */
function setupAt({ kind }: VirtualMachine, { parted }: Hands, lead: string): string {
  if (!SUBMERGED.includes(kind)) return 'surface-motor'
  if (!parted.has('splice')) return 'motor-and-cable'
  return /m/.test(lead) ? 'motor-alone' : 'cable-alone'
}
