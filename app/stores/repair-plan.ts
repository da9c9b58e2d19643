import { defineStore } from 'pinia'
import { computed, shallowRef, watch } from 'vue'
import type { Construction, Kind } from '#core/knowledge/vocabulary'
import type { Installation } from '#core/motor/nameplate'
import { repairSteps, type RepairOptions } from '#core/takedown/step-plan'
import { useRepairClock } from '~/composables/useRepairClock'
import type { RepairClock } from '~/workers/repair.worker'
import { useVisit } from './visit'

type Asked = [kind: Kind, construction: Construction, option: string, options: RepairOptions, installation: Installation | null]

/** The chosen repair's plan, one for all who show it: worked out again when what it follows from changes, not at every line of the journal. Its clock is read in a worker and comes a moment later. */
export const useRepairPlan = defineStore('repair-plan', () => {
  const visit = useVisit()
  const asked = computed(() => {
    const { state } = visit
    if (state?.decision === undefined) return undefined
    const { machine, takeDownFound: found, measured: conditions, spareFirst } = state
    const options: RepairOptions = { machineCorrections: machine.joints, found, conditions, spareFirst, schools: visit.shop.schools, pace: visit.pace }
    return JSON.stringify([machine.kind, machine.construction, state.decision, options, machine.installation ?? null] satisfies Asked)
  })
  const plan = computed(() => {
    if (asked.value === undefined) return undefined
    const [kind, construction, option, options] = JSON.parse(asked.value) as Asked
    return repairSteps(kind, construction, option, options)
  })
  const clock = shallowRef<RepairClock>()
  watch(asked, async (key) => {
    clock.value = undefined
    if (key === undefined) return
    const [kind, construction, option, options, installation] = JSON.parse(key) as Asked
    const read = await useRepairClock().read(kind, construction, option, options, installation ?? undefined)
    // A newer plan overtakes an older clock.
    if (key === asked.value) clock.value = read
  }, { immediate: true })
  return { plan, clock }
})
