import { computed, type ComputedRef } from 'vue'
import { useTimestamp } from '@vueuse/core'
import { useVisit } from '~/stores/visit'

/** The instant by the clock that the open visit is written by, milliseconds: that of practice goes faster. */
export function useVisitNow(interval: number): ComputedRef<number> {
  const visit = useVisit()
  const now = useTimestamp({ interval })
  return computed(() => visit.clockAt(now.value))
}
