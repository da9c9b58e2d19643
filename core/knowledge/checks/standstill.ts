import type { Basis } from '../../judgement/judgement'
import type { Check } from './checks'

/** What a seen outcome says of the shaft: it turns, or it stands. What is not here says nothing of it. */
export const TURNING_SEEN: Readonly<Partial<Record<Check, Readonly<Record<string, boolean>>>>> = {
  listen: {
    hum: false,
    buzz: true,
    whine: true,
    squeal: true,
    grind: true,
    rattle: true,
    rub: true,
    hiss: true,
    quiet: true,
  },
  'float-bypass': { runs: true, silent: false, hums: false },
  'float-run': { 'starts-and-stops': true, 'starts-only': true },
  'bucket-run': { pumps: true, weak: true },
  'barrel-run': { holds: true, weak: true },
  'dry-bump': { turns: true, hums: false, silent: false },
  'pot-look': { bubbling: true },
  'air-leak-test': { found: true },
}

/** Running amps as shares of full load: under the first nothing is drawn, over the second the rotor stands. */
export const TURNING_AMPS = { nothingUnder: 0.08, stalledFrom: 3 }

/** Nothing of these is there without power at the terminals: what lies upstream of it is asked instead. */
export const UPSTREAM: ReadonlySet<string> = new Set<Check>([
  'supply-voltage',
  'outlet-voltage',
  'breaker-voltage',
  'load-side-voltage',
  'interlock',
  'breaker',
  'gfci',
])

/** What needs a turning shaft is not asked of one that stands still; what is dead draws nothing either. */
export const STANDSTILL_CHECKS: { turning: readonly Check[]; drawing: readonly Check[]; basis: Basis } = {
  turning: [
    'pot-look',
    'suction-vacuum',
    'filter-pressure',
    'air-leak-test',
    'running-current',
    'motor-alone-listen',
    'water-look',
    'flow',
    'discharge-pressure',
    'shutoff-pressure',
    'pumping-water-level',
    'cycle-time',
    'cut-out',
    'house-filter',
  ],
  drawing: ['supply-voltage-loaded', 'locked-current', 'drop-test'],
  basis: { kind: 'common-practice', name: 'what needs a turning shaft is not asked of one that stands still' },
}
