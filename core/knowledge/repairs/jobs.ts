import type { Basis } from '../../judgement/judgement'
import type { WorkStep } from '../constructions/joint'
import { about } from '../constructions/shared'
import { SURFACE, WELLS, type Construction, type Kind, type Part, type Standing } from '../vocabulary'
import { doneToMotorAlone } from './motor-alone'
import { BARREL_TRIAL, BENCH_TRIAL, FETCH_MOTOR, POST_MORTEM, STRIP_MOTOR } from './bench-work'

/**
 * Work that no fault asks for: an upgrade, a wearing part in its turn. It is chosen by hand, and planned like a repair.
 */
export interface JobRow {
  id: string
  label: string
  kinds: readonly Kind[]
  constructions?: readonly Construction[]
  parts: readonly Part[]
  /** Where the machine stands for it; anywhere where nothing is said. */
  standing?: readonly Standing[]
  extra?: readonly WorkStep[]
  /** Nothing is put together again for it: what was taken apart is sorted, and stays apart. */
  endsOpen?: true
  because: string
  basis: Basis
}

const AT_THE_BENCH: readonly Standing[] = ['bench', 'barrel']
const cp: Basis = { kind: 'common-practice', name: 'usual work of the trade' }

const VARIABLE_SPEED: readonly WorkStep[] = [
  {
    id: 'flange',
    text:
      'Variable-speed motor against the old: same flange, square or C-face, same shaft, keyed or threaded; volts, ' +
      'and the breaker that it asks for',
    minutes: about(2),
    early: true,
  },
  {
    id: 'relay',
    text: 'Auxiliary relay fitted for whatever may only run with flow: chlorinator, heater, cleaner booster',
    tool: 'screwdriver, meter',
    minutes: about(8),
    caution: 'A chlorinator that runs without flow gasses. Local codes and licensed practice decide.',
    tags: ['connects'],
    at: 'terminal-board',
    mounted: ['terminals', 'conduit', 'motor-out'],
  },
  {
    id: 'display',
    text: 'Breaker on: the display shows no error before anything is set',
    minutes: about(2),
    phase: 'commission',
    tags: ['commissions'],
  },
  {
    id: 'minimum',
    text: 'Lowest speed found at which the heater’s flow switch and the cell still hold; written down as the floor',
    minutes: about(5),
    phase: 'commission',
    tags: ['commissions'],
  },
  {
    id: 'schedule',
    text: 'Schedule set: full speed to prime, then long and slow for the turnover; hours from the workings',
    minutes: about(5),
    phase: 'commission',
    tags: ['commissions'],
  },
]

export const JOBS: readonly JobRow[] = [
  {
    id: 'variable-speed-motor',
    label: 'Change to a variable-speed motor',
    kinds: ['pool'],
    parts: ['motor', 'drive-electronics'],
    extra: VARIABLE_SPEED,
    because: 'Half the speed takes an eighth of the power; the schedule and the minimum speeds come with it.',
    basis: cp,
  },
  {
    id: 'sealed-capacitor',
    label: 'Renew the capacitor inside the sealed pump',
    kinds: ['well-two-wire'],
    constructions: ['submersible-sealed'],
    parts: ['run-capacitor'],
    because: 'It sits in the can: the string comes up, the base off, and the splices are made new.',
    basis: cp,
  },
  {
    id: 'stage-kit',
    label: 'Fit a stage kit',
    kinds: ['well-two-wire', 'well-three-wire'],
    parts: ['stages'],
    because: 'A sound motor under worn stages. Some pump ends are potted or pressed: ask first.',
    basis: cp,
  },
  {
    id: 'lid-ring',
    label: 'Renew the strainer lid’s ring',
    kinds: ['pool'],
    constructions: ['band-clamp'],
    parts: ['lid-o-ring'],
    because: 'A flattened ring draws air.',
    basis: cp,
  },
  {
    id: 'diffuser',
    label: 'Renew the diffuser',
    kinds: ['pool'],
    parts: ['diffuser'],
    because: 'Cracked or warped, it lets the water round.',
    basis: cp,
  },
  {
    id: 'hose-connectors',
    label: 'Renew the hose connectors',
    kinds: ['booster'],
    parts: ['hose-connector'],
    because: 'They crack at the thread.',
    basis: cp,
  },
  {
    id: 'switch-springs',
    label: 'Renew the start switch’s springs',
    kinds: SURFACE,
    constructions: ['band-clamp', 'bolted-seal-plate', 'bracket-booster', 'jet-end', 'motor-bench'],
    parts: ['switch-springs'],
    because: 'One weak spring lets the switch close late.',
    basis: cp,
  },
  {
    id: 'pressure-gauge',
    label: 'Renew the pressure gauge',
    kinds: ['well-two-wire', 'well-three-wire', 'jet'],
    parts: ['pressure-gauge'],
    because: 'A gauge that lies misleads every later reading.',
    basis: cp,
  },
  {
    id: 'new-foot',
    label: 'Fit a new foot',
    kinds: ['booster'],
    parts: ['foot'],
    because: 'A foot broken on one side holds for now: cheap while the bracket is off.',
    basis: cp,
  },
  {
    id: 'fetch-motor',
    label: 'Fetch the motor to the shop',
    kinds: ['pool', 'jet'],
    constructions: ['band-clamp', 'bolted-seal-plate', 'jet-end'],
    parts: [],
    extra: FETCH_MOTOR,
    because: 'What is pressed and pulled is bench work; the site stays dead, capped and covered.',
    basis: cp,
  },
  {
    id: 'strip-motor',
    label: 'Open the motor and read its bearings',
    kinds: SURFACE,
    standing: AT_THE_BENCH,
    parts: [],
    extra: STRIP_MOTOR,
    because: 'Rings are read, windings looked at; it is closed when the bearings arrive.',
    basis: cp,
  },
  {
    id: 'barrel-trial',
    label: 'Try the pump in the barrel',
    kinds: WELLS,
    standing: AT_THE_BENCH,
    parts: [],
    extra: BARREL_TRIAL,
    because: 'Insulation first, then water: a short to the shell would put mains on it.',
    basis: cp,
  },
  {
    id: 'bench-trial',
    label: 'Reproduce the complaint on the bench',
    kinds: ['jet'],
    constructions: ['jet-end'],
    standing: AT_THE_BENCH,
    parts: [],
    extra: BENCH_TRIAL,
    because: 'A complaint is heard before it is explained, primed before the water is judged.',
    basis: cp,
  },
  {
    id: 'post-mortem',
    label: 'Open the old pump to find its cause',
    kinds: WELLS,
    constructions: ['submersible-joined'],
    standing: AT_THE_BENCH,
    parts: [],
    extra: POST_MORTEM,
    endsOpen: true,
    because: 'Nothing is repaired: the cause is written back, and what is worth keeping is kept.',
    basis: cp,
  },
]

/** The jobs that can be chosen on a kind of machine of a construction. */
export function jobsFor(kind: Kind, construction: Construction): JobRow[] {
  return JOBS.filter(
    ({ kinds, constructions }) =>
      kinds.includes(kind) && (!constructions || constructions.some((each) => each === construction)),
  ).filter((job) => construction !== 'motor-bench' || doneToMotorAlone(job, []))
}
