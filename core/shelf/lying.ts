import { articlesFor, type ArticleFor, type PartWant } from '../fits/for-part'
import { vanOf, type ShelfPlace } from '../fits/shelf-place'
import { groupedBy } from '../quantity/grouped'
import { stockKey, whole, type Stock } from './stock'

/** An article that may serve for a part, and where it lies. */
export interface Lying extends ArticleFor {
  places: { place: ShelfPlace; count: number }[]
}
/** What a van wants for a part: what is in it, what is to be brought from where, and what is not to be had here. */
export interface VanLoad {
  inVan: number
  /** Of what is in it, what is meant for this want. */
  here: { lying: Lying; count: number }[]
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

const isVan = (place: ShelfPlace) => vanOf(place) !== undefined

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
  const lots = usable(lying).flatMap((each) => each.places.map(({ place, count }) => ({ lying: each, place, count })))
  const inVan = lots.filter(({ place }) => place === van)
  const inShop = lots.filter(({ place }) => !isVan(place))
  let left = needed
  const taken = (from: typeof lots) =>
    from.flatMap((lot) => {
      const count = Math.min(left, lot.count)
      left = whole(left - count)
      return count > 0 ? [{ ...lot, count }] : []
    })
  const here = taken(inVan).map(({ lying: each, count }) => ({ lying: each, count }))
  const bring = taken(inShop).map(({ lying: each, place, count }) => ({ lying: each, from: place, count }))
  return {
    inVan: whole(inVan.reduce((sum, { count }) => sum + count, 0)),
    here,
    bring,
    elsewhere: lots.filter(({ place }) => isVan(place) && place !== van),
    missing: left,
  }
}

interface InTurn {
  lying: Lying[]
  load: VanLoad
}
/**
 * What lies somewhere for each of several things that are wanted together, and what the van wants for it: what is meant
 * for one of them, in the van or out of the shop, is there no more for the next.
 *
 * @param most how many visits share them, each with the same wants
 */
function inTurn(
  wants: readonly PartWant[],
  { articles, at }: Pick<Stock, 'articles' | 'at'>,
  van: ShelfPlace,
  most: number,
): InTurn[] {
  const left = new Map(at)
  return wants.map((want) => {
    const lying = lyingFor(want, { articles, at: left })
    const load = vanLoad(lying, want.needed * most, van)
    for (const { lying: of, from, count } of [...load.here.map((each) => ({ ...each, from: van })), ...load.bring]) {
      const key = stockKey(from, of.article.id)
      const there = left.get(key)
      if (there) left.set(key, { ...there, count: whole(there.count - count) })
    }
    return { lying, load }
  })
}

/** What lies somewhere for each of several things that are wanted together: no piece for two of them. */
export const lyingForEach = (
  wants: readonly PartWant[],
  stock: Pick<Stock, 'articles' | 'at'>,
  van: ShelfPlace,
): Lying[][] => inTurn(wants, stock, van, 1).map(({ lying }) => lying)

/**
 * What a van wants for several things at once: none counts a piece that another does.
 *
 * @param most how many visits share them, each with the same wants
 */
export const vanLoads = (
  wants: readonly PartWant[],
  stock: Pick<Stock, 'articles' | 'at'>,
  van: ShelfPlace,
  most = 1,
): VanLoad[] => inTurn(wants, stock, van, most).map(({ load }) => load)

/** What is brought for all of them; an article out of a place is said once, as a line of the shelf is known by both. */
export function broughtBy(loads: readonly VanLoad[]): { article: string; from: ShelfPlace; count: number }[] {
  const brought = groupedBy(
    loads.flatMap(({ bring }) => bring.map(({ lying, from, count }) => ({ article: lying.article.id, from, count }))),
    ({ article, from }) => stockKey(from, article),
  )
  return [...brought.values()].flatMap(([first, ...more]) =>
    first ? [{ ...first, count: whole(more.reduce((sum, { count }) => sum + count, first.count)) }] : [],
  )
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
