import { useLocalStorageRef } from './useLocalStorageRef'
import { computed, watchEffect } from 'vue'

export type Scheme = 'daylight' | 'cellar'

/** Daylight or cellar: the switch when it was used, else what the system prefers. */
export function useScheme() {
  const chosen = useLocalStorageRef<Scheme | ''>('pike-lamp.scheme', '')
  const preferred: Scheme = window.matchMedia('(prefers-color-scheme: dark)').matches ? 'cellar' : 'daylight'
  const scheme = computed<Scheme>(() => chosen.value || preferred)
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
