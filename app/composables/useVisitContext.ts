import { computed } from 'vue'
import { chosenOf, priceOf, stepsBefore, type Job } from '#core/visit/job'
import type { VisitState } from '#core/visit/fold'
import { useRepairPlan } from '~/stores/repair-plan'
import { useVisit } from '~/stores/visit'

/** The open visit's state for components that live inside it, where it is always there. */
export function useVisitContext() {
  const visit = useVisit()
  const repair = useRepairPlan()
  const state = computed(() => visit.state as VisitState)
  const diagnosis = computed(() => visit.thought?.diagnosis)
  const options = computed(() => visit.thought?.options ?? [])
  const wishes = computed(() => visit.thought?.wishes ?? [])
  const chosen = computed(() => visit.thought && chosenOf(visit.thought, state.value))
  /** All agreed jobs as one plan: its minutes and its price. */
  const bill = computed(() => visit.thought?.bill)
  /** As the sheet and its PDF have it; undefined for the moment in which it is being thought. */
  const job = computed(
    (): Job | undefined =>
      visit.thought && {
        ...visit.thought,
        chosen: chosen.value,
        repair: repair.plan,
        before: stepsBefore(state.value, visit.shop, visit.pace),
        price: priceOf(state.value, bill.value),
      },
  )
  return {
    visit,
    state,
    diagnosis,
    options,
    wishes,
    chosen,
    bill,
    job,
    preparation: computed(() => visit.thought?.preparation),
  }
}
