import type { Check } from './checks'

/** What cannot be read after what was found: it is asked whether something has changed. */
export interface Contradiction {
  before: { check: Check; outcome?: string; value?: number }
  /** Checks that then cannot show more than nothing. */
  now: readonly Check[]
  why: string
}

/** Common practice: what stands still draws no running current, and what has no supply runs not at all. */
export const CONTRADICTIONS: readonly Contradiction[] = [
  {
    before: { check: 'shaft-turn', outcome: 'seized' },
    now: ['running-current', 'flow'],
    why: 'The shaft was seized.',
  },
  {
    before: { check: 'outlet-voltage', value: 0 },
    now: ['running-current', 'supply-voltage-loaded', 'flow'],
    why: 'The outlet was dead.',
  },
  {
    before: { check: 'supply-voltage', value: 0 },
    now: ['running-current', 'supply-voltage-loaded', 'flow'],
    why: 'There was no supply.',
  },
]
