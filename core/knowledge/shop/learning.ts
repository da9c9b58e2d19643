import type { Basis } from '../../judgement/judgement'

/**
 * How much the printed estimate of a step weighs, in steps of the shop's own, how far a step may stand from it before
 * it counts no further (as a factor), and what is no step at all but a break or a ticking off afterwards.
 */
export const LEARNING = {
  estimateSteps: 4,
  clipFactor: 1.6,
  shortestMinutes: 0.2,
  longestOverEstimate: 5,
  basis: { kind: 'shop', name: 'the estimate counts as four steps; shop default' } as Basis,
}
