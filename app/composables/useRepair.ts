import { computed } from 'vue'
import { splitStep, stepPlan } from '#core/takedown/step-plan'

/** The plan of the chosen repair and where in it the work stands. */
export function useRepair() {
  const { visit, state } = useVisitContext()
  const plan = computed(() => (state.value.decision ? stepPlan(state.value.machine.kind, state.value.machine.construction, state.value.decision) : undefined))
  const steps = computed(() => (plan.value?.steps ?? []).map((step, index) => ({ ...step, ...splitStep(step.text), number: index + 1, record: state.value.steps.get(step.id) })))
  const current = computed(() => steps.value.find(({ record }) => !record?.done))
  /** What came out at this opening on the way down, for the way back. */
  const cameOut = (id: string) => state.value.steps.get(id.replace(/^back:/, 'down:'))?.count
  const minutesLeft = computed(() => steps.value.filter(({ record }) => !record?.done).reduce((sum, { minutes }) => sum + minutes, 0))
  function tick(step: string, done: boolean, count?: number, reason?: string): void {
    visit.append('step', { step, done, ...(count === undefined ? {} : { count }), ...(reason ? { reason } : {}) })
  }
  return { plan, steps, current, cameOut, minutesLeft, tick }
}
