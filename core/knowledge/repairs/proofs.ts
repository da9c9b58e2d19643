import type { Basis } from '../../judgement/judgement'
import type { Check } from '../checks/checks'

/** What a repair must show before it is called proved. */
export interface ProofItem {
  id: string
  label: string
  ask: string
  check: Check
  line: string
  caution?: string
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
