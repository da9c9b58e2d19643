import { computed } from 'vue'
import { storeToRefs } from 'pinia'
import { splitStep } from '#core/takedown/step-plan'
import { trayOf } from '#core/takedown/tray'
import { whileOpenSums } from '#core/takedown/while-open'
import { useRepairPlan } from '~/stores/repair-plan'

/** The plan of the chosen repair, where in it the work stands, and what lies in the tray. */
export function useRepair() {
  const { visit, state } = useVisitContext()
  const { plan, swapFirst } = storeToRefs(useRepairPlan())
  const steps = computed(() => (plan.value?.steps ?? []).map((step, index) => ({ ...step, ...splitStep(step.text), number: index + 1, record: state.value.steps.get(step.id) })))
  const current = computed(() => steps.value.find(({ record }) => !record?.done))
  const lastDone = computed(() => steps.value.findLast(({ record }) => record?.done))
  const tray = computed(() => trayOf(plan.value?.steps ?? [], state.value.steps))
  /** What came out at this opening on the way down, for the way back. */
  const cameOut = (id: string) => state.value.steps.get(id.replace(/^back:/, 'down:'))?.count
  const minutesLeft = computed(() => steps.value.filter(({ record }) => !record?.done).reduce((sum, { minutes }) => sum + minutes, 0))
  const whileOpen = computed(() => (plan.value ? whileOpenSums(plan.value.whileOpen, plan.value.minutes.p50, state.value.plate.ageYears, visit.shop.rates) : []))
  const joint = (id: string) => id.replace(/^(down|back):/, '').replace(/:free$/, '').replace(/^.*\./, '')
  function tick(step: string, done: boolean, count?: number, reason?: string): void {
    visit.append('step', { step, done, ...(count === undefined ? {} : { count }), ...(reason ? { reason } : {}) })
    const planned = steps.value.find(({ id }) => id === step)
    // Counted otherwise than its construction: the machine remembers, for next time.
    if (done && planned?.phase === 'down' && count !== undefined && count !== planned.count) {
      const { machine } = state.value
      visit.append('machine-set', { machine: { ...machine, joints: [...(machine.joints ?? []).filter((each) => each.joint !== joint(step)), { joint: joint(step), count }] } })
    }
  }
  const stuck = (step: string) => visit.append('take-down-found', { joint: joint(step), what: 'stuck' })
  const damaged = (part: string) => visit.append('take-down-found', { part: part as never, what: 'damaged' })
  return { plan, steps, current, lastDone, tray, cameOut, minutesLeft, whileOpen, swapFirst, tick, stuck, damaged }
}
