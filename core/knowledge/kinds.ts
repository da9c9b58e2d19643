import type { KindKnowledge } from './model-types'
import { POOL_ACTIONS } from './pool-actions'
import { POOL_FAULTS, POOL_NOTHING_WRONG, POOL_PAIRS, POOL_REPLACEMENT } from './pool-faults'
import { POOL_MEASURED } from './pool-measured'
import { POOL_SEEN } from './pool-seen'
import type { Kind } from './vocabulary'

/** What is known of each kind. A kind without a row is measured, judged and kept, and its causes are not ranked. */
export const KIND_KNOWLEDGE: Partial<Record<Kind, KindKnowledge>> = {
  pool: {
    faults: POOL_FAULTS, complaintLeak: 0.003, nothingWrong: POOL_NOTHING_WRONG, pairs: POOL_PAIRS, replacement: POOL_REPLACEMENT,
    unnoticed: 0.3, blocking: ['no-supply', 'timer-failed'],
    standstill: {
      complaints: ['dead', 'hums-no-start'],
      checks: ['pot-look', 'suction-vacuum', 'filter-pressure', 'air-leak-test', 'running-current', 'motor-alone-listen', 'water-look', 'flow', 'discharge-pressure'],
      basis: { kind: 'common-practice', name: 'what needs a turning shaft is not asked of one that stands still' },
    },
    seen: POOL_SEEN, measured: POOL_MEASURED, actions: POOL_ACTIONS,
  },
}
