import { computed } from 'vue'
import type { ProofOutcome } from '#core/visit/entry'
import { nextProof, proofListOf, type ProofList } from '#core/visit/proving'

const NONE: ProofList = { rows: [], open: [], failed: [], left: [], isProved: false }
const LOOK_AGAIN = 5_000

/** What this visit has to prove, what comes next, and what is said of it. */
export function useProofs() {
  const { visit, state, job } = useVisitContext()
  const now = useVisitNow(LOOK_AGAIN)
  const list = computed(() => (job.value ? proofListOf(state.value, job.value) : NONE))
  const next = computed(() => nextProof(list.value, new Date(now.value).toISOString()))
  /** The one at hand that still has to run: from when its look counts. */
  const waitsUntil = computed(() => {
    const ready = next.value?.readyAt
    return ready !== undefined && Date.parse(ready) > now.value ? new Date(ready) : undefined
  })
  const say = (proof: string, outcome: ProofOutcome, why = '') =>
    visit.append('proof', { proof, outcome, ...(why.trim() ? { why: why.trim() } : {}) })
  const comeBack = () => visit.append('comeback', { failed: list.value.failed.map(({ id }) => id) })
  return { list, next, waitsUntil, say, comeBack }
}
