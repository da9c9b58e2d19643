import type { UnitSystem } from '#core/quantity/measures'
import { useVisit } from '~/stores/visit'
import { useLocalStorageRef } from './useLocalStorageRef'

/** US or metric: the switch when it was used, else as the shop is set. */
export function useUnits() {
  const visit = useVisit()
  const chosen = useLocalStorageRef<UnitSystem | ''>('pike-lamp.units', '')
  const system = computed<UnitSystem>(() => chosen.value || visit.shop.units)
  const other = computed<UnitSystem>(() => (system.value === 'us' ? 'metric' : 'us'))
  return {
    system,
    other,
    toggle: () => {
      chosen.value = other.value
    },
    reader: computed(() => ({ system: system.value, currency: visit.shop.rates.currency })),
  }
}
