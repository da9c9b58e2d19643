import { computed } from 'vue'
import { withFound } from '#core/decision/found-extra'
import { jobOptions } from '#core/decision/job-options'
import type { VisitState } from '#core/visit/fold'
import { useVisit } from '~/stores/visit'

/** The open visit's state for components that live inside it, where it is always there. */
export function useVisitContext() {
  const visit = useVisit()
  const state = computed(() => visit.state as VisitState)
  const diagnosis = computed(() => visit.thought?.diagnosis)
  const options = computed(() => visit.thought?.options ?? [])
  /** Work that no fault asks for; read only where it is chosen or offered. */
  const jobs = computed(() =>
    jobOptions(state.value.pump, state.value.plate, visit.shop.rates, {
      schools: visit.shop.schools,
      pace: visit.pace,
    }),
  )
  /** The repair or the job that was chosen, with what was found damaged on the way. */
  const chosen = computed(() => {
    const option =
      state.value.decision === undefined
        ? undefined
        : [...options.value, ...jobs.value].find(({ id }) => id === state.value.decision)
    const { machine, takeDownFound: found } = state.value
    return (
      option &&
      withFound(option, machine.kind, machine.construction, visit.shop.rates, {
        found,
        schools: visit.shop.schools,
        pace: visit.pace,
      })
    )
  })
  return { visit, state, diagnosis, options, jobs, chosen, preparation: computed(() => visit.thought?.preparation) }
}
