import type { Basis } from '../../judgement/judgement'
import type { Check } from '../checks/checks'
import type { Complaint } from '../vocabulary'

/**
 * What is found to be just what was told is one thing, and counts once: then the finding speaks in the complaint's
 * place.
 */
export const ECHOES: Partial<Record<Complaint, Partial<Record<Check, readonly string[]>>>> = {
  'hums-no-start': { listen: ['hum'], 'float-bypass': ['hums'], 'dry-bump': ['hums'] },
  'trips-breaker': { breaker: ['trips-again'], 'barrel-run': ['trips'] },
  'trips-gfci': { gfci: ['trips-again'] },
  'noise-whine': { listen: ['whine'] },
  'noise-squeal': { listen: ['squeal'] },
  'noise-grind': { listen: ['grind'] },
  'noise-rattle': { listen: ['rattle'] },
  'noise-buzz': { listen: ['buzz'] },
  'leak-under-motor': { 'weep-hole': ['dripping'] },
  'leak-at-joint': { 'joint-look': ['dripping'] },
  'smell-burnt': { 'winding-smell': ['burnt'] },
}
/** The same hum heard by two checks is one hum: the second, which says more, speaks for both. */
export const SPOKEN_FOR: readonly { check: Check; outcome: string; by: { check: Check; outcome: string } }[] = [
  { check: 'listen', outcome: 'hum', by: { check: 'float-bypass', outcome: 'hums' } },
]
export const ECHOES_BASIS: Basis = { kind: 'common-practice', name: 'a complaint that is found is one thing, not two' }
