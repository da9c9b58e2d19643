import { computed } from 'vue'
import { storeToRefs } from 'pinia'
import type { NewPart } from '#core/visit/entry'
import { fittedByNow, partsGoingIn, type PartGoingIn } from '#core/visit/new-parts'
import { useRepairPlan } from '~/stores/repair-plan'

/** The parts that go in with the agreed jobs, as far as they are known, and how they are written down. */
export function useNewParts() {
  const { visit, state } = useVisitContext()
  const { plan, records } = storeToRefs(useRepairPlan())
  const parts = computed(() => (plan.value ? partsGoingIn(plan.value, records.value, state.value) : []))

  /** In the hand it is read; in its place it judges. A second word on the same part corrects the first. */
  function keep({ part, isIn, isFitted }: PartGoingIn, body: NewPart): void {
    const before = state.value.entries.findLast((entry) => entry.kind === 'fitted' && entry.body.part === part)
    visit.append(isIn || isFitted ? 'fitted' : 'new-part', body, isFitted ? before?.id : undefined)
  }
  /** What was read and is in by now judges from now on. */
  function settle(): void {
    for (const body of fittedByNow(parts.value)) visit.append('fitted', body)
  }
  return { parts, keep, settle }
}
