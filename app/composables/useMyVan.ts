import { computed } from 'vue'
import { vanOf, type ShelfPlace } from '#core/fits/shelf-place'
import { useShelf } from '~/stores/shelf'
import { useLocalStorageRef } from './useLocalStorageRef'

/** The van that whoever holds this device rides in: chosen here, else the shop's first. */
export function useMyVan() {
  const shelf = useShelf()
  const chosen = useLocalStorageRef<string>('pike-lamp.van', '')
  // Not one that the shop has no longer, though something was left in it.
  const vans = computed(() => shelf.places.filter(({ id }) => shelf.vans.some((own) => own.id === vanOf(id))))
  const van = computed({
    get: (): ShelfPlace => (vans.value.find(({ id }) => id === chosen.value) ?? vans.value[0])?.id ?? 'van:van-1',
    set: (place) => {
      chosen.value = place
    },
  })
  return { van, vans }
}
