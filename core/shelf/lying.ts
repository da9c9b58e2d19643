import { articlesFor, type ArticleFor, type PartWant } from '../fits/for-part'
import type { ShelfPlace } from '../fits/shelf-place'
import { groupedBy } from '../quantity/grouped'
import { whole, type Stock } from './stock'

/** An article that may serve for a part, and where it lies. */
export interface Lying extends ArticleFor {
  places: { place: ShelfPlace; count: number }[]
}
/** What a van wants for a part: what is in it, what is to be brought from where, and what is not to be had here. */
export interface VanLoad {
  inVan: number
  bring: { lying: Lying; from: ShelfPlace; count: number }[]
  /** In the other vans. */
  elsewhere: { lying: Lying; place: ShelfPlace; count: number }[]
  missing: number
}

/** What lies somewhere and may serve for a part, the surest first. */
export function lyingFor(want: PartWant, { articles, at }: Pick<Stock, 'articles' | 'at'>): Lying[] {
  const there = groupedBy(
    [...at.values()].filter(({ count }) => count > 0),
    ({ article }) => article,
  )
  return articlesFor(want, [...articles.values()]).flatMap((each): Lying[] => {
    const places = (there.get(each.article.id) ?? []).map(({ place, count }) => ({ place, count }))
    return places.length > 0 ? [{ ...each, places }] : []
  })
}

const isVan = (place: ShelfPlace) => place.startsWith('van:')

/** What is known to fit; where nothing is, what is meant for it. */
export function usable<L extends Pick<Lying, 'verdict'>>(lying: readonly L[]): L[] {
  const known = lying.filter(({ verdict }) => verdict !== 'not-read')
  return known.length > 0 ? known : [...lying]
}

/**
 * What has to go into a van so that there is enough of it: what is in it counts, what lies in the shop is brought, the
 * surest first, and what lies in another van is said.
 *
 * @param needed pieces, or metres
 */
export function vanLoad(lying: readonly Lying[], needed: number, van: ShelfPlace): VanLoad {
  const able = usable(lying)
  const lots = able.flatMap((each) => each.places.map(({ place, count }) => ({ lying: each, place, count })))
  const inVan = whole(lots.filter(({ place }) => place === van).reduce((sum, { count }) => sum + count, 0))
  let left = Math.max(0, whole(needed - inVan))
  const bring: VanLoad['bring'] = []
  for (const { lying: each, place, count } of lots) {
    if (left <= 0 || isVan(place)) continue
    const part = Math.min(left, count)
    bring.push({ lying: each, from: place, count: part })
    left = whole(left - part)
  }
  return { inVan, bring, elsewhere: lots.filter(({ place }) => isVan(place) && place !== van), missing: left }
}

/**
 * Which of the articles a repair takes out of a van when nobody says so: the one that fits and lies there, or the only
 * one there is, where there is enough of it. Undefined where it would be a guess: nothing is written then, and it is
 * asked.
 *
 * @param needed pieces, or metres
 */
export function takenFrom(lying: readonly Lying[], van: ShelfPlace, needed: number): Lying | undefined {
  const here = usable(lying).filter(({ places }) => places.some(({ place, count }) => place === van && count >= needed))
  const [first, ...others] = here
  return first?.verdict === 'fits' || others.length === 0 ? first : undefined
}
