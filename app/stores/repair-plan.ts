import { defineStore } from 'pinia'
import { computed } from 'vue'
import { graphOf, planTakeDown } from '#core/takedown/plan'
import { stepPlan } from '#core/takedown/step-plan'
import { useVisit } from './visit'

/** The chosen repair's plan, one for all who show it: worked out again when what it follows from changes, not at every line of the journal. */
export const useRepairPlan = defineStore('repair-plan', () => {
  const visit = useVisit()
  const asked = computed(() => {
    const state = visit.state
    return state?.decision === undefined ? undefined : JSON.stringify([state.machine.kind, state.machine.construction, state.decision, { machineCorrections: state.machine.joints, found: state.takeDownFound }])
  })
  const plan = computed(() => (asked.value === undefined ? undefined : stepPlan(...(JSON.parse(asked.value) as Parameters<typeof stepPlan>))))
  const construction = computed(() => visit.state?.machine.construction)
  /** A spare put in at once, and this one mended on the bench: how long the water is off. Nothing where the pump does not leave as one. */
  const swapFirst = computed(() => (construction.value !== undefined && graphOf(construction.value).reach.pump ? planTakeDown(construction.value, ['pump']).minutes : undefined))
  return { plan, swapFirst }
})
