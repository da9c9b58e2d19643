import type { ShelfPlace } from '#core/fits/shelf-place'
import { countWords } from '#core/shelf/listing'
import type { VanLoad } from '#core/shelf/lying'

/** What is said of a thing to be loaded: what is in the van, what lies where, and what is nowhere. */
export function loadWords(
  { inVan, bring, elsewhere, missing }: VanLoad,
  nameOf: (place: ShelfPlace) => string,
): string {
  const there = inVan > 0 ? [`${countWords(inVan)} in the van`] : []
  const from = bring.map(
    ({ lying, from: place, count }) => `${countWords(count)} from ${nameOf(place)}: ${lying.article.name}`,
  )
  const [other] = missing > 0 ? elsewhere : []
  const lent = other ? [`${countWords(other.count)} in ${nameOf(other.place)}`] : []
  const short =
    missing === 0
      ? []
      : [inVan + bring.length + elsewhere.length === 0 ? 'none on the shelves' : `${countWords(missing)} short`]
  return [...there, ...from, ...lent, ...short].join(', ')
}
