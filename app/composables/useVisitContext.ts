import { computed } from 'vue'
import { chosenOf, priceOf, stepsBefore, visitAccount, type Job } from '#core/visit/job'
import type { VisitState } from '#core/visit/fold'
import { placedTogether, type Considered } from '#core/visit/journey'
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
  /** What the visit comes to: its jobs, what was put on it by hand, and what the shop charges besides. */
  const account = computed(() => visitAccount(state.value, bill.value, visit.shop))
  /** As the sheet and its PDF have it; undefined for the moment in which it is being thought. */
  const job = computed(
    (): Job | undefined =>
      visit.thought && {
        ...visit.thought,
        chosen: chosen.value,
        repair: repair.plan,
        before: stepsBefore(state.value, visit.shop, visit.pace),
        account: account.value,
        price: priceOf(state.value, account.value),
      },
  )
  /** All visits of the journey as its one sheet has them; undefined while one of them is still being thought of. */
  const journey = computed((): Considered[] | undefined => {
    const own = job.value && { state: state.value, job: job.value }
    const all = own && visit.beside && new Map([own, ...visit.beside].map((each) => [each.state.id, each]))
    return (
      all &&
      placedTogether(
        visit.order.flatMap((id) => all.get(id) ?? []),
        visit.shop,
      )
    )
  })
  return {
    visit,
    journey,
    state,
    diagnosis,
    options,
    wishes,
    chosen,
    bill,
    account,
    job,
    preparation: computed(() => visit.thought?.preparation),
  }
}
