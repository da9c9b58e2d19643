import { computed, type ComputedRef } from 'vue'
import type { UnitSystem } from '#core/quantity/measures'
import type { Reader } from '#core/quantity/sentence'
import { UNNAMED_SHOP, type Shop } from '#core/visit/shop'
import { useLocalStorageRef } from './useLocalStorageRef'

/** How the shop reads, as it was last heard: a page that knows no visit must not fall back to other units. */
function useShopUnits() {
  return useLocalStorageRef<UnitSystem | ''>('pike-lamp.shop-units', '')
}
/** What the shop reckons in, as it was last heard. */
function useShopCurrency() {
  return useLocalStorageRef<string>('pike-lamp.shop-currency', '')
}

/** Remembers how the shop reads and reckons, wherever it is heard. */
export function rememberShop({ units, rates }: Pick<Shop, 'units' | 'rates'>): void {
  useShopUnits().value = units
  useShopCurrency().value = rates.currency
}

function useChosenUnits() {
  return useLocalStorageRef<UnitSystem | ''>('pike-lamp.units', '')
}

/** US or metric: the switch when it was used, else as the shop is set. */
export function useUnitSystem(): ComputedRef<UnitSystem> {
  const [chosen, shops] = [useChosenUnits(), useShopUnits()]
  return computed(() => chosen.value || shops.value || UNNAMED_SHOP.units)
}

/** The units of whoever reads, and the switch between them. */
export function useUnits() {
  const [chosen, currency] = [useChosenUnits(), useShopCurrency()]
  const system = useUnitSystem()
  const other = computed<UnitSystem>(() => (system.value === 'us' ? 'metric' : 'us'))
  return {
    system,
    other,
    toggle: () => {
      chosen.value = other.value
    },
    reader: computed<Reader>(() => ({ system: system.value, currency: currency.value || UNNAMED_SHOP.rates.currency })),
  }
}
