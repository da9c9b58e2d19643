import type { PartWant } from '#core/fits/for-part'
import type { ShelfPlace } from '#core/fits/shelf-place'
import { broughtBy, vanLoads, type VanLoad } from '#core/shelf/lying'
import type { StockMoved } from '#core/visit/entry'
import { useSelf } from '~/stores/self'
import { useShelf } from '~/stores/shelf'

/** A thing of a loading list, for a visit. */
interface ForVisit {
  visitId: string
  item: string
}

/** What a loading list's ticks move from the shop into a van. */
export function useShelfLoad() {
  const [shelf, self] = [useShelf(), useSelf()]

  /** @param most how many are wanted where several visits share them, in place of what one of them needs */
  const loadsOf = (wants: readonly PartWant[], van: ShelfPlace, most = 1): VanLoad[] =>
    vanLoads(wants, shelf.stock, van, most)

  /** Brings what is missing in the van, under the first visit that wants it. */
  async function load({ visitId, item }: ForVisit, wants: readonly PartWant[], van: ShelfPlace, most = 1) {
    if (!self.writes('stock-moved')) return
    const moves = broughtBy(loadsOf(wants, van, most)).map((each): StockMoved => ({
      ...each,
      to: van,
      why: 'loaded',
      visit: visitId,
      use: item,
    }))
    if (moves.length > 0) await shelf.move(...moves)
  }
  /** It stays in the shop after all. */
  async function unload(each: readonly ForVisit[]): Promise<void> {
    const lines = each.flatMap(({ visitId, item }) => shelf.movesOf(visitId, item, 'loaded').map(({ id }) => id))
    if (lines.length > 0) await shelf.takeBack(...lines)
  }
  return { loadsOf, load, unload }
}
