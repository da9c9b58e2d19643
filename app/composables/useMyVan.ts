import { computed } from 'vue'
import type { ShelfPlace } from '#core/fits/shelf-place'
import { useShelf } from '~/stores/shelf'
import { useLocalStorageRef } from './useLocalStorageRef'

/** The van that whoever holds this device rides in: chosen here, else the shop's first. */
export function useMyVan() {
  const shelf = useShelf()
  const chosen = useLocalStorageRef<string>('pike-lamp.van', '')
  const vans = computed(() => shelf.places.filter(({ id }) => id.startsWith('van:')))
  const van = computed({
    get: (): ShelfPlace => (vans.value.find(({ id }) => id === chosen.value) ?? vans.value[0])?.id ?? 'van:van-1',
    set: (place) => {
      chosen.value = place
    },
  })
  return { van, vans }
}
