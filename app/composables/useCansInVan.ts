import { watch } from 'vue'
import { useSelf } from '~/stores/self'
import { useShelf } from '~/stores/shelf'
import { useMyVan } from './useMyVan'

/** More of one can than this are never put together. */
const MOST_OF_ONE = 3

/** The run capacitors that lie in the van of whoever asks, each as often as it can be used. */
export function useCansInVan(isAsked: () => boolean) {
  const [shelf, self] = [useShelf(), useSelf()]
  const { van } = useMyVan()
  watch(
    isAsked,
    (asked) => {
      if (asked && self.may('look')) void shelf.ensure()
    },
    { immediate: true },
  )
  const cans = () =>
    [...shelf.stock.articles.values()].flatMap(({ id, family, spec, gone }) => {
      const { microfarads, volts } = spec
      const count = Math.min(MOST_OF_ONE, Math.max(0, Math.floor(shelf.countOf(id, van.value))))
      return family === 'run-capacitor' && !gone && typeof microfarads === 'number' && typeof volts === 'number'
        ? Array.from({ length: count }, () => ({ microfarads, volts }))
        : []
    })
  /** Before the shelves are read nothing is known of them. */
  return { cans, isRead: () => shelf.isRead }
}
