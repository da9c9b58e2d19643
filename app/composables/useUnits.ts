import type { UnitSystem } from '#core/quantity/measures'
import type { Reader } from '#core/quantity/sentence'
import type { Shop } from '#core/visit/shop'
import { useVisit } from '~/stores/visit'
import { useLocalStorageRef } from './useLocalStorageRef'

/** How the shop reads, as it was last heard: a page that knows no visit must not fall back to other units. */
function useShopUnits() {
  return useLocalStorageRef<UnitSystem | ''>('pike-lamp.shop-units', '')
}

/** Remembers how the shop reads, wherever it is heard. */
export function rememberShopUnits({ units }: Pick<Shop, 'units'>): void {
  useShopUnits().value = units
}

/** US or metric: the switch when it was used, else as the shop is set. */
export function useUnits() {
  const visit = useVisit()
  const chosen = useLocalStorageRef<UnitSystem | ''>('pike-lamp.units', '')
  const shops = useShopUnits()
  const system = computed<UnitSystem>(() => chosen.value || shops.value || visit.shop.units)
  const other = computed<UnitSystem>(() => (system.value === 'us' ? 'metric' : 'us'))
  return {
    system,
    other,
    toggle: () => {
      chosen.value = other.value
    },
    reader: computed<Reader>(() => ({ system: system.value, currency: visit.shop.rates.currency })),
  }
}
