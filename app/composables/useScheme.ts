import { usePreferredDark } from '@vueuse/core'
import { computed, watchEffect } from 'vue'
import { useLocalStorageRef } from './useLocalStorageRef'

export type Scheme = 'daylight' | 'cellar'

/** Daylight or cellar: the switch when it was used, else what the system prefers. */
export function useScheme() {
  const chosen = useLocalStorageRef<Scheme | ''>('pike-lamp.scheme', '')
  const dark = usePreferredDark()
  const scheme = computed<Scheme>(() => chosen.value || (dark.value ? 'cellar' : 'daylight'))
  watchEffect(() => {
    document.documentElement.dataset.scheme = scheme.value
  })
  const other = computed<Scheme>(() => (scheme.value === 'daylight' ? 'cellar' : 'daylight'))
  return {
    scheme,
    other,
    toggle: () => {
      chosen.value = other.value
    },
  }
}
