import { defineStore } from 'pinia'
import { computed, shallowRef, watch } from 'vue'
import type { Construction, Kind } from '#core/knowledge/vocabulary'
import type { Installation } from '#core/motor/nameplate'
import { repairSteps, type RepairOptions } from '#core/takedown/step-plan'
import { repairOptions } from '#core/visit/job'
import { useRepairClock } from '~/composables/useRepairClock'
import type { RepairClock } from '~/workers/repair.worker'
import { useVisit } from './visit'

type Asked = [
  kind: Kind,
  construction: Construction,
  option: string,
  options: RepairOptions,
  installation: Installation | null,
]

/**
 * The chosen repair's plan, one for all who show it: worked out again when what it follows from changes, not at every
 * line of the journal. Its clock is read in a worker and comes a moment later.
 */
export const useRepairPlan = defineStore('repair-plan', () => {
  const visit = useVisit()
  const done = computed(() => [...(visit.state?.steps ?? [])].filter(([, step]) => step.done).map(([id]) => id))
  const asked = computed(() => {
    const { state } = visit
    if (state?.decision === undefined) return undefined
    const { machine } = state
    const options = repairOptions(state, visit.shop, visit.pace)
    return JSON.stringify([
      machine.kind,
      machine.construction,
      state.decision,
      options,
      machine.installation ?? null,
    ] satisfies Asked)
  })
  const plan = computed(() => {
    if (asked.value === undefined) return undefined
    const [kind, construction, option, options] = JSON.parse(asked.value) as Asked
    return repairSteps(kind, construction, option, options)
  })
  const clock = shallowRef<RepairClock>()
  const clockAsked = computed(() =>
    asked.value === undefined ? undefined : JSON.stringify([...(JSON.parse(asked.value) as Asked), done.value]),
  )
  // Another visit's or another repair's clock is not this one's; this one's stands until the next is read.
  watch([() => visit.visitId, () => visit.state?.decision, () => visit.state?.spareFirst], () => {
    clock.value = undefined
  })
  watch(
    clockAsked,
    async (key) => {
      if (key === undefined) return
      const [kind, construction, option, options, installation, ticked] = JSON.parse(key) as [...Asked, string[]]
      const read = await useRepairClock().read(kind, construction, option, options, installation ?? undefined, ticked)
      // A newer plan overtakes an older clock.
      if (key === clockAsked.value) clock.value = read
    },
    { immediate: true },
  )
  return { plan, clock }
})
