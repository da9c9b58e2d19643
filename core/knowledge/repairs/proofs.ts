import type { Basis } from '../../judgement/judgement'
import type { Check } from '../checks/checks'
import { HOUSE_WATER, SURFACE, WELLS, type Construction, type Kind, type Part, type Standing } from '../vocabulary'

/** What a repair must show before it is called proved. */
export interface ProofItem {
  id: string
  label: string
  ask: string
  /** The reading that shows it; where there is none, it is said outright whether it holds. */
  check?: Check
  /** The reading line as it begins, to be finished. */
  line?: string
  caution?: string
  /** Minutes of running before the look counts. Other proofs are made meanwhile. */
  waitMinutes?: number
  /** What is no failure for now, as the owner is told: whatever it shows, or only where it is not quite sound. */
  allowed?: { text: string; when: 'always' | 'not-sound' }
  basis: Basis
}

interface ProofRow extends Omit<ProofItem, 'basis'> {
  kinds: readonly Kind[]
  /** Of these builds only. */
  constructions?: readonly Construction[]
  /** Where the machine stands to show it; in its place where nothing is said. */
  standing?: readonly Standing[]
  /** Parts that call for it when they are renewed or opened; whatever was done where nothing is said. */
  after?: readonly Part[]
  /** Only where such parts are renewed, not where they were only opened on the way. */
  renewedOnly?: true
  /** Only a machine of which one of these was told or read: it may have none. */
  told?: readonly string[]
  basis?: Basis
}

export const PROOFS_BASIS: Basis = {
  kind: 'common-practice',
  name: 'commissioning: free, full, bled, at its volts and amps, at its pressures, dry and quiet',
}
export const MINUTES_BASIS: Basis = {
  kind: 'common-practice',
  name: 'a leak shows after minutes of running: wipe, run five, feel again',
}
export const MEGGER_BASIS: Basis = {
  kind: 'standard',
  name: 'IEEE 43: insulation is read dead, before voltage is put on a winding that was disturbed',
}

const MEGGER = 'The megohmmeter puts out 500 V: hands off, discharged after.'
const CLEAR = 'Stand clear of lid and filter at the restart.'

const BENCH: readonly Standing[] = ['bench', 'barrel']
const ANYWHERE: readonly Standing[] = ['installed', ...BENCH]

/** What turns, and what it turns in. */
const TURNING: readonly Part[] = [
  'motor',
  'pump',
  'pump-end',
  'stages',
  'bearings',
  'rotor',
  'shaft',
  'through-bolts',
  'end-bell',
  'impeller',
  'shaft-seal',
  'shaft-o-ring',
  'diffuser',
  'seal-plate',
  'bracket',
  'coupling',
  'shims',
  'fan',
  'volute',
  'start-switch',
  'switch-springs',
]
/** The ways of the water that a repair opens. */
const WATERWAY: readonly Part[] = [
  'pump',
  'impeller',
  'shaft-seal',
  'shaft-o-ring',
  'housing-o-ring',
  'diffuser',
  'diffuser-o-ring',
  'seal-plate',
  'clamp-band',
  'bracket',
  'volute',
  'strainer',
  'lid-o-ring',
  'union',
  'hose-connector',
  'suction-pipe',
  'discharge-pipe',
  'foot-valve',
  'ejector',
  'check-valve',
  'shims',
]
const SEAL: readonly Part[] = ['pump', 'shaft-seal', 'shaft-o-ring', 'impeller', 'seal-plate', 'bracket', 'volute']
/** Between the meter and the motor. */
const SUPPLY: readonly Part[] = ['breaker', 'outlet', 'gfci', 'timer', 'conduit-fitting', 'conduit', 'terminal-board']
/** Windings, and what leads to them. */
const WINDING: readonly Part[] = [
  'motor',
  'pump',
  'pump-end',
  'cable',
  'splice',
  'drop-cable-splice',
  'lead-connector',
  'drop-pipe',
  'bearings',
  'run-winding',
  'start-winding',
  'insulation',
]
/** What sets or holds the pressure of a house. */
const PRESSURE: readonly Part[] = [
  'motor',
  'pump',
  'pump-end',
  'stages',
  'pressure-switch',
  'pressure-gauge',
  'relief-valve',
  'tank',
  'tank-tee',
  'check-valve',
  'foot-valve',
  'ejector',
  'impeller',
  'drop-pipe',
  'house-filter',
  'coupling',
  'intake-screen',
  'union',
]
const OUT_OF_THE_WELL: readonly Part[] = ['motor', 'pump', 'pump-end', 'cable', 'splice', 'drop-pipe', 'intake-screen']
const BACKUP = ['alarm-sounding', 'float-heights', 'battery-voltage', 'backup-float', 'backup-pump', 'battery', 'alarm']
const PIT: readonly Part[] = [
  'pump',
  'float-switch',
  'check-valve',
  'impeller',
  'backup-float',
  'backup-pump',
  'battery',
  'alarm',
  'discharge-pipe',
  'union',
]
const PRIMED: readonly Kind[] = ['pool', 'jet']

/** Every proof by kind, place and what was done. Common practice where a row names no basis of its own. */
const PROOFS: readonly ProofRow[] = [
  {
    id: 'turn',
    label: 'turn',
    ask: 'Turn the shaft by hand before any power',
    check: 'shaft-turn',
    line: 'shaft free',
    kinds: SURFACE,
    standing: ANYWHERE,
    after: TURNING,
  },
  {
    id: 'turn',
    label: 'turn',
    ask: 'Turn the shaft by hand before it goes down',
    check: 'shaft-turn',
    line: 'shaft free',
    kinds: WELLS,
    standing: BENCH,
    after: TURNING,
  },
  {
    id: 'insulation',
    label: 'insulation',
    ask: 'Insulation to ground, motor and cable, before any power',
    check: 'insulation-resistance',
    line: 'meg ',
    kinds: [...WELLS, 'sump'],
    after: WINDING,
    caution: MEGGER,
    basis: MEGGER_BASIS,
  },
  {
    id: 'insulation',
    label: 'insulation',
    ask: 'Insulation to ground, before any power',
    check: 'insulation-resistance',
    line: 'meg ',
    kinds: [...WELLS, 'sump'],
    standing: BENCH,
    caution: MEGGER,
    basis: MEGGER_BASIS,
  },
  {
    id: 'bench-insulation',
    label: 'insulation',
    ask: 'Insulation to ground, a whole pump full of water, before any power',
    check: 'insulation-resistance',
    line: 'meg ',
    kinds: SURFACE,
    standing: BENCH,
    caution: MEGGER,
    basis: MEGGER_BASIS,
  },
  {
    id: 'bump',
    label: 'one second',
    ask: 'One second of power, no longer: it starts and is quiet',
    check: 'dry-bump',
    line: 'bump turns',
    kinds: [...SURFACE, ...WELLS, 'sump'],
    constructions: ['motor-bench', 'submersible-sealed', 'sump-sealed'],
    standing: ['bench'],
    caution: 'A sealed wet end never runs dry: bare motor or submersible only.',
  },
  {
    id: 'bucket',
    label: 'in water',
    ask: 'In the bucket, its intake covered: it starts at once and throws water; volts and amps with it',
    kinds: [...WELLS, 'sump'],
    constructions: ['submersible-sealed', 'sump-sealed'],
    standing: ['bench'],
  },
  {
    id: 'barrel',
    label: 'in the barrel',
    ask: 'In the barrel, throttled by its valve: the pressure holds',
    check: 'barrel-run',
    line: 'barrel holds',
    kinds: WELLS,
    standing: ['barrel'],
    caution: 'A shut valve only for a moment, and only below the rating of the rig.',
  },
  {
    id: 'display',
    label: 'display',
    ask: 'Breaker on: the display shows no error',
    check: 'drive-error',
    line: 'drive no error',
    kinds: ['pool', 'spa', 'circulation'],
    after: ['drive-electronics'],
    renewedOnly: true,
  },
  {
    id: 'bleed',
    label: 'steady stream',
    ask: 'Pot full, lid on its ring, air relief open; start, stand clear; close it on a steady stream',
    check: 'pot-look',
    line: 'pot full',
    kinds: ['pool'],
    after: WATERWAY,
    caution: CLEAR,
  },
  {
    id: 'prime',
    label: 'prime',
    ask: 'Full before power; a steady stream; stopped for some minutes, the prime still holds',
    check: 'prime-hold',
    line: 'prime holds',
    kinds: PRIMED,
    after: ['lid-o-ring', 'strainer', 'union', 'suction-pipe', 'foot-valve', 'ejector', 'check-valve', 'pump'],
    renewedOnly: true,
  },
  {
    id: 'prime',
    label: 'prime',
    ask: 'Valves open, full before power, air bled: a steady stream',
    check: 'prime-hold',
    line: 'prime holds',
    kinds: ['spa', 'circulation', 'utility'],
    after: WATERWAY,
  },
  {
    id: 'rest',
    label: 'volts at rest',
    ask: 'Supply at the terminals',
    check: 'supply-voltage',
    line: 'supply ',
    kinds: [...SURFACE, ...WELLS, 'sump'],
    after: SUPPLY,
    renewedOnly: true,
  },
  {
    id: 'loaded',
    label: 'volts under load',
    ask: 'Supply under load',
    check: 'supply-voltage-loaded',
    line: 'loaded ',
    kinds: [...SURFACE, ...WELLS, 'sump'],
  },
  {
    id: 'amps',
    label: 'amps',
    ask: 'Running current, against the plate that is on it now',
    check: 'running-current',
    line: 'running ',
    kinds: SURFACE,
  },
  {
    id: 'amps',
    label: 'amps',
    ask: 'Running current all the way from cut-in to cut-out; on three leads, each',
    check: 'running-current',
    line: 'running ',
    kinds: WELLS,
  },
  {
    id: 'amps',
    label: 'amps',
    ask: 'Running current while the pit is pumped down',
    check: 'running-current',
    line: 'running ',
    kinds: ['sump'],
  },
  {
    id: 'air-out',
    label: 'air out',
    ask: 'Run it off at an outside tap until the air is out and the water clear',
    check: 'water-look',
    line: 'water clear',
    kinds: WELLS,
    after: OUT_OF_THE_WELL,
    caution: 'Licensed practice decides on disinfection before anybody drinks.',
  },
  {
    id: 'cut-in',
    label: 'cut-in',
    ask: 'Pressure at which it starts',
    check: 'cut-in',
    line: 'cut-in ',
    kinds: HOUSE_WATER,
    after: PRESSURE,
  },
  {
    id: 'cut-out',
    label: 'cut-out',
    ask: 'Pressure at which it stops',
    check: 'cut-out',
    line: 'cut-out ',
    kinds: HOUSE_WATER,
    after: PRESSURE,
  },
  {
    id: 'shut-off',
    label: 'it stays shut off',
    ask: 'Stopped at cut-out, every tap shut: the pressure stays',
    check: 'house-leak',
    line: 'house holds',
    waitMinutes: 5,
    kinds: HOUSE_WATER,
    after: PRESSURE,
  },
  {
    id: 'vacuum',
    label: 'vacuum',
    ask: 'Its own water on, never dry; the vacuum it makes, against before',
    check: 'suction-vacuum',
    line: 'vacuum ',
    kinds: ['utility'],
    after: WATERWAY,
  },
  {
    id: 'drip',
    label: 'drip',
    ask: 'Wipe dry, run some minutes, look at the weep hole again',
    check: 'weep-hole',
    line: 'weep dry',
    waitMinutes: 5,
    kinds: SURFACE.filter((kind) => kind !== 'booster'),
    after: SEAL,
    basis: MINUTES_BASIS,
  },
  {
    id: 'drip',
    label: 'drip',
    ask: 'Filter pump first, then the booster; five minutes; wipe the spill; a tissue under the hole, three times',
    check: 'weep-hole',
    line: 'weep dry',
    waitMinutes: 5,
    kinds: ['booster'],
    after: SEAL,
    allowed: { text: 'A little hose and rest water is normal today; a drip tomorrow is not.', when: 'always' },
    basis: MINUTES_BASIS,
  },
  {
    id: 'joints',
    label: 'joints dry',
    ask: 'Every joint that was opened, wiped and felt again',
    check: 'joint-look',
    line: 'joints dry',
    waitMinutes: 5,
    kinds: [...SURFACE, 'sump'],
    after: WATERWAY,
    basis: MINUTES_BASIS,
  },
  {
    id: 'listen',
    label: 'listen',
    ask: 'Listen at both bearings',
    check: 'listen',
    line: 'listen quiet',
    kinds: SURFACE,
    after: ['motor', 'pump', 'bearings', 'rotor', 'shaft', 'impeller', 'coupling', 'shims', 'fan'],
    allowed: { text: 'What is new may be a little loud for a day.', when: 'not-sound' },
  },
  {
    id: 'speeds',
    label: 'each speed',
    ask: 'Each speed of the schedule: amps and flow read, none above its limit',
    kinds: ['pool', 'spa', 'circulation'],
    after: ['drive-electronics'],
    renewedOnly: true,
  },
  {
    id: 'relay',
    label: 'relay',
    ask: 'What may only run with flow is on above its speed and off below it',
    kinds: ['pool'],
    after: ['drive-electronics'],
    renewedOnly: true,
    caution: 'A chlorinator that runs without flow gasses.',
  },
  {
    id: 'lowest-speed',
    label: 'lowest speed',
    ask: 'The lowest speed at which heater and cell still hold, written down as the floor',
    kinds: ['pool', 'spa'],
    after: ['drive-electronics'],
    renewedOnly: true,
  },
  {
    id: 'float',
    label: 'float',
    ask: 'Clean water poured in: it starts and stops by its own float, twice',
    check: 'float-run',
    line: 'float starts and stops',
    kinds: ['sump'],
  },
  {
    id: 'valve',
    label: 'check valve',
    ask: 'Stopped: the check valve holds and stays dry',
    check: 'check-valve',
    line: 'check valve holds',
    kinds: ['sump'],
    after: PIT,
  },
  {
    id: 'backup-silent',
    label: 'backup silent',
    ask: 'The backup stays silent while the main pump keeps up',
    kinds: ['sump'],
    told: BACKUP,
  },
  { id: 'alarm', label: 'alarm', ask: 'The alarm sounds by its own float, and stops', kinds: ['sump'], told: BACKUP },
]

/** What was done to a machine, as far as a proof hangs on it. */
export interface Done {
  /** Parts that are new. */
  renewed: readonly string[]
  /** Parts that were opened or taken off on the way. */
  opened: readonly string[]
  /** Complaints that were told, and checks that were read. */
  told?: readonly string[]
}

/**
 * What a machine of a kind shows where it stands before it is called proved.
 *
 * @param done what was done to it: only what that calls for is asked; without it, everything that its kind can show
 */
export function proofsFor(
  kind: Kind,
  construction: Construction | undefined,
  standing: Standing = 'installed',
  done?: Done,
): ProofItem[] {
  const isCalledFor = ({ after, renewedOnly, told }: ProofRow): boolean => {
    if (!done) return true
    if (told && !told.some((each) => [...(done.told ?? []), ...done.renewed, ...done.opened].includes(each)))
      return false
    const touched = renewedOnly ? done.renewed : [...done.renewed, ...done.opened]
    return !after || after.some((part) => touched.includes(part))
  }
  return PROOFS.filter(
    (row) =>
      row.kinds.includes(kind) &&
      (!row.constructions || !construction || row.constructions.includes(construction)) &&
      (row.standing ?? ['installed']).includes(standing) &&
      isCalledFor(row),
  ).map(({ id, label, ask, check, line, caution, waitMinutes, allowed, basis = PROOFS_BASIS }) => ({
    id,
    label,
    ask,
    basis,
    ...(check ? { check } : {}),
    ...(line ? { line } : {}),
    ...(caution ? { caution } : {}),
    ...(waitMinutes ? { waitMinutes } : {}),
    ...(allowed ? { allowed } : {}),
  }))
}

/** Jobs after which nothing is proved, and why. */
export const NOTHING_TO_PROVE: Readonly<Record<string, string>> = {
  'fetch-motor': 'The motor is away: the site stays dead, capped and covered, and its owner knows for how long.',
  'strip-motor': 'The motor stays open until its parts are here; it is proved when it is closed.',
  'post-mortem': 'Nothing is repaired: the cause is written back.',
  'barrel-trial': 'The trial was the proof: what it read stands on the sheet.',
  'bench-trial': 'The trial was the proof: what it read stands on the sheet.',
  'return-under-warranty': 'It goes back as it is: the replacement is proved when it is fitted.',
  'return-well-pump': 'It goes back as it is: the replacement is proved when it is fitted.',
  'return-sump-pump': 'It goes back as it is: the replacement is proved when it is fitted.',
  'leave-it': 'Nothing was changed.',
}
