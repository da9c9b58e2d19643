import { computed, ref, shallowRef, watch, type Ref } from 'vue'
import type { UnitSystem } from '#core/quantity/measures'
import type { Pace } from '#core/takedown/as-here'
import type { VisitState } from '#core/visit/fold'
import type { Consideration, Experience } from '#core/visit/job'
import type { Shop } from '#core/visit/shop'
import type { Thinker } from '~/workers/inference.worker'

/** What a visit's thought follows from. */
interface Grounds {
  state: Readonly<Ref<VisitState | undefined>>
  shop: Readonly<Ref<Shop>>
  pace: Readonly<Ref<Pace>>
  experience: Readonly<Ref<Experience>>
  /** In whose units it is put into words. */
  system: Readonly<Ref<UnitSystem>>
}
type Asked = Parameters<Thinker['think']>

/**
 * What is thought of the open visit, away from the page: anew whenever something changes that it follows from.
 *
 * @param think the worker's thinking, or something that stands in for it
 */
export function visitThought(
  { state, shop, pace, experience, system }: Grounds,
  think: (...asked: Asked) => Promise<Consideration>,
) {
  const thought = shallowRef<Consideration>()
  const thinking = ref(false)
  // As text: most lines of a journal change nothing of it, and what goes to a worker must be plain.
  const asked = computed(() => {
    if (!state.value) return undefined
    const { case: of, earlier, pump, plate, jobs, machine, decision, agreed, agreedStanding } = state.value
    const { spareFirst, takeDownFound, measured, rounds, workedOn, wished, grounds } = state.value
    const { rates, schools } = shop.value
    const question: Asked = [
      {
        case: of,
        earlier,
        pump,
        plate,
        jobs,
        machine,
        decision,
        agreed,
        agreedStanding,
        spareFirst,
        takeDownFound,
        measured,
        rounds,
        workedOn,
        wished,
        grounds,
      },
      { rates, schools },
      pace.value,
      experience.value,
      system.value,
    ]
    return JSON.stringify(question)
  })
  let latest = 0
  watch(
    asked,
    async (question) => {
      const turn = ++latest
      if (question === undefined) return
      thinking.value = true
      const result = await think(...(JSON.parse(question) as Asked))
      // A newer case overtakes an older answer.
      if (turn !== latest) return
      thought.value = result
      thinking.value = false
    },
    { immediate: true },
  )
  return { thought, thinking }
}
