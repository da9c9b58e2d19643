import type { Basis } from '../../judgement/judgement'
import type { Check } from '../checks/checks'
import { SURFACE, WELLS, type Kind, type Standing } from '../vocabulary'

/** What a repair must show before it is called proved. */
export interface ProofItem {
  id: string
  label: string
  ask: string
  check: Check
  line: string
  caution?: string
  /** Kinds that show it; all where nothing is said. */
  kinds?: readonly Kind[]
  /** Where the machine stands to show it; in its place where nothing is said. */
  standing?: readonly Standing[]
}

export const PROOFS_BASIS: Basis = {
  kind: 'common-practice',
  name: 'commissioning of a surface pump: free, full, bled, at its volts and amps, dry and quiet',
}

export const PROOFS: readonly ProofItem[] = [
  {
    id: 'turn',
    label: 'turn',
    ask: 'Turn the shaft by hand before any power',
    check: 'shaft-turn',
    line: 'shaft free',
  },
  {
    id: 'prime',
    label: 'prime',
    ask: 'Pot full, lid on its ring, valves open',
    check: 'prime-hold',
    line: 'prime holds',
  },
  {
    id: 'bleed',
    label: 'bleed',
    ask: 'Air relief open; start, stand clear, close it on a steady stream',
    check: 'pot-look',
    line: 'pot full',
    caution: 'Stand clear of lid and filter at the restart.',
  },
  { id: 'rest', label: 'volts at rest', ask: 'Supply at the terminals', check: 'supply-voltage', line: 'supply ' },
  {
    id: 'loaded',
    label: 'volts under load',
    ask: 'Supply under load',
    check: 'supply-voltage-loaded',
    line: 'loaded ',
  },
  { id: 'amps', label: 'amps', ask: 'Running current, against the plate', check: 'running-current', line: 'running ' },
  {
    id: 'drip',
    label: 'drip',
    ask: 'Wipe dry, run some minutes, look at the weep hole again',
    check: 'weep-hole',
    line: 'weep dry',
  },
  { id: 'listen', label: 'listen', ask: 'Listen at both bearings', check: 'listen', line: 'listen quiet' },
]

const BENCH: readonly Standing[] = ['bench', 'barrel']
const THROUGHOUT: readonly Standing[] = ['installed', 'bench', 'barrel']
/** What each kind shows, and what a machine on the bench can show. Common practice. */
const PROOFS_OF_KINDS: readonly ProofItem[] = [
  ...PROOFS.map((row): ProofItem =>
    row.id === 'turn' ? { ...row, standing: THROUGHOUT, kinds: SURFACE } : { ...row, kinds: SURFACE },
  ),
  {
    id: 'insulation',
    label: 'insulation',
    ask: 'Insulation to ground, before any power',
    check: 'insulation-resistance',
    line: 'meg ',
    standing: THROUGHOUT,
    kinds: [...WELLS, 'sump'],
    caution: 'The megohmmeter puts out 500 V: hands off, discharged after.',
  },
  {
    id: 'bench-insulation',
    label: 'insulation',
    ask: 'Insulation to ground, before any power',
    check: 'insulation-resistance',
    line: 'meg ',
    standing: BENCH,
    kinds: SURFACE,
    caution: 'The megohmmeter puts out 500 V: hands off, discharged after.',
  },
  {
    id: 'bump',
    label: 'one second',
    ask: 'One second of power, no longer: it starts and is quiet',
    check: 'dry-bump',
    line: 'bump turns',
    standing: ['bench'],
    caution: 'A sealed wet end never runs dry: bare motor or submersible only.',
  },
  {
    id: 'bucket',
    label: 'in water',
    ask: 'In the bucket or barrel, its intake covered: it starts at once and throws water',
    check: 'bucket-run',
    line: 'bucket pumps',
    standing: BENCH,
    kinds: [...WELLS, 'sump'],
  },
  {
    id: 'well-loaded',
    label: 'volts under load',
    ask: 'Supply under load',
    check: 'supply-voltage-loaded',
    line: 'loaded ',
    kinds: [...WELLS, 'sump'],
  },
  {
    id: 'well-amps',
    label: 'amps',
    ask: 'Running current, against the plate',
    check: 'running-current',
    line: 'running ',
    kinds: [...WELLS, 'sump'],
  },
  { id: 'cut-in', label: 'cut-in', ask: 'Pressure at which it starts', check: 'cut-in', line: 'cut-in ', kinds: WELLS },
  {
    id: 'cut-out',
    label: 'cut-out',
    ask: 'Pressure at which it stops',
    check: 'cut-out',
    line: 'cut-out ',
    kinds: WELLS,
  },
  {
    id: 'float',
    label: 'float',
    ask: 'Clean water poured in: it starts and stops by its own float',
    check: 'float-run',
    line: 'float starts and stops',
    kinds: ['sump'],
  },
  {
    id: 'valve',
    label: 'check valve',
    ask: 'Check valve holds, its joints dry',
    check: 'check-valve',
    line: 'check valve holds',
    kinds: ['sump'],
  },
]

/** What a machine of a kind shows where it stands before it is called proved. */
export function proofsFor(kind: Kind, standing: Standing = 'installed'): ProofItem[] {
  return PROOFS_OF_KINDS.filter(
    ({ kinds, standing: where = ['installed'] }) => (!kinds || kinds.includes(kind)) && where.includes(standing),
  )
}
