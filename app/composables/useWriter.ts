import { computed, type ComputedRef } from 'vue'
import { useSelf } from '~/stores/self'
import type { Writer } from '#core/visit/entry'

/** Who writes on this device now. */
export function useWriter(): ComputedRef<Writer> {
  const self = useSelf()
  return computed(() => ({ author: self.author, ...(self.by ? { by: self.by } : {}) }))
}
