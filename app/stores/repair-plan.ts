import { defineStore } from 'pinia'
import { computed, shallowRef, watch } from 'vue'
import type { Construction, Kind } from '#core/knowledge/vocabulary'
import type { Installation } from '#core/motor/nameplate'
import { countingRecords } from '#core/takedown/progress'
import { repairSteps, type RepairOptions } from '#core/takedown/step-plan'
import { repairOptions } from '#core/visit/job'
import { useRepairClock } from '~/composables/useRepairClock'
import type { RepairClock } from '~/workers/repair.worker'
import { useVisit } from './visit'

type Asked = [
  kind: Kind,
  construction: Construction,
  jobs: string[],
  options: RepairOptions,
  installation: Installation | null,
]

/**
 * The plan of the agreed jobs, one for all who show it: worked out again when what it follows from changes, not at
 * every line of the journal. Its clock is read in a worker and comes a moment later.
 */
export const useRepairPlan = defineStore('repair-plan', () => {
  const visit = useVisit()
  const asked = computed(() => {
    const { state } = visit
    if (!state || state.agreed.length === 0) return undefined
    const { machine } = state
    const options = repairOptions(state, visit.shop, visit.pace)
    return JSON.stringify([
      machine.kind,
      machine.construction,
      state.agreed,
      options,
      machine.installation ?? null,
    ] satisfies Asked)
  })
  const plan = computed(() => {
    if (asked.value === undefined) return undefined
    const [kind, construction, jobs, options] = JSON.parse(asked.value) as Asked
    return repairSteps(kind, construction, jobs, options)
  })
  /** The ticks that count for it: what is to be opened again is not done. */
  const records = computed(() => {
    const steps = visit.state?.steps ?? new Map<string, never>()
    return plan.value ? countingRecords(plan.value, steps) : steps
  })
  const done = computed(() => [...records.value].filter(([, step]) => step.done).map(([id]) => id))
  const clock = shallowRef<RepairClock>()
  const clockAsked = computed(() =>
    asked.value === undefined ? undefined : JSON.stringify([...(JSON.parse(asked.value) as Asked), done.value]),
  )
  // Another visit's or another repair's clock is not this one's; this one's stands until the next is read.
  watch([() => visit.visitId, () => visit.state?.agreed.join(), () => visit.state?.spareFirst], () => {
    clock.value = undefined
  })
  watch(
    clockAsked,
    async (key) => {
      if (key === undefined) return
      const [kind, construction, jobs, options, installation, ticked] = JSON.parse(key) as [...Asked, string[]]
      const read = await useRepairClock().read(kind, construction, jobs, options, installation ?? undefined, ticked)
      // A newer plan overtakes an older clock.
      if (key === clockAsked.value) clock.value = read
    },
    { immediate: true },
  )
  return { plan, records, clock }
})
