import type { Basis } from '../../judgement/judgement'
import type { Part } from '../vocabulary'

/** What goes into the van on a complaint alone. */
export const LOADING = {
  /** Suspects less likely than this bring nothing into the van, unless nothing is likelier. */
  worthLoading: 0.04,
  /** Suspects less likely than this do not count where it is asked whether a visit can be finished. */
  worthCounting: 0.01,
  mostSuspects: 6,
  /** From here on a bulky part is carried on a suspicion. */
  bulkyFrom: 0.5,
  /** Parts that are ordered or fetched when wanted. */
  bulky: new Set<Part>([
    'motor',
    'pump',
    'seal-plate',
    'drive-electronics',
    'impeller',
    'pump-end',
    'tank',
    'cable',
    'battery',
    'ejector',
  ]) as ReadonlySet<Part>,
  everyVisit: ['meter', 'megohmmeter', 'lamp'],
  basis: { kind: 'shop', name: 'what is worth its place in the van, shop estimate' } as Basis,
}
