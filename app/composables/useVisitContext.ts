import { computed } from 'vue'
import type { VisitState } from '#core/visit/fold'
import { useVisit } from '~/stores/visit'

/** The open visit's state for components that live inside it, where it is always there. */
export function useVisitContext() {
  const visit = useVisit()
  const state = computed(() => visit.state as VisitState)
  const diagnosis = computed(() => visit.thought?.diagnosis)
  return { visit, state, diagnosis, options: computed(() => visit.thought?.options ?? []), preparation: computed(() => visit.thought?.preparation) }
}
