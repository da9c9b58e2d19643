import type { Article } from '../fits/article'
import { bayOf, vanOf, type ShelfPlace } from '../fits/shelf-place'
import { SHELVES } from '../knowledge/shop/shelves'
import type { ShopVan } from '../knowledge/shop/van'
import type { Stock } from './stock'

export interface NamedPlace {
  id: ShelfPlace
  name: string
  /** Where many stand beside each other. */
  short: string
}

/** Where the shop keeps things: its vans first, for these are looked into most, then the bench and the bays. */
export function placesOf(
  { bays, at }: Pick<Stock, 'bays' | 'at'>,
  vans: readonly Pick<ShopVan, 'id' | 'name'>[],
): NamedPlace[] {
  const own: NamedPlace[] = [
    ...vans.map(({ id, name }): NamedPlace => ({ id: `van:${id}`, name, short: name })),
    { id: 'bench', name: 'the bench', short: 'bench' },
    ...[...bays.values()]
      .sort((a, b) => (a.name < b.name ? -1 : 1))
      .map(({ bay, name }): NamedPlace => ({ id: `bay:${bay}`, name, short: shortOf(bay) })),
  ]
  const known = new Set(own.map(({ id }) => id))
  // What lies somewhere is never out of sight because somebody took the place away meanwhile.
  const left = new Set([...at.values()].flatMap(({ place, count }) => (count === 0 || known.has(place) ? [] : [place])))
  return [
    ...own,
    ...[...left].sort().map((id): NamedPlace => {
      const short = vanOf(id) ?? shortOf(bayOf(id) ?? id)
      return { id, name: `${short}, no longer kept`, short }
    }),
  ]
}

/**
 * Where an article is put that comes to the shop: where most of it lies, else where most of its part lies, else in the
 * bay that usually holds such a part; what has no bay goes to the bench.
 */
export function homeOf(article: Pick<Article, 'id' | 'part'>, { bays, at, articles }: Stock): ShelfPlace {
  const inBays = [...at.values()].filter(({ place, count }) => count > 0 && bays.has(bayOf(place) ?? ''))
  const own = inBays.filter((lying) => lying.article === article.id)
  const alike = inBays.filter((lying) => article.part && articles.get(lying.article)?.part === article.part)
  const sums = new Map<ShelfPlace, number>()
  for (const { place, count } of own.length > 0 ? own : alike) sums.set(place, (sums.get(place) ?? 0) + count)
  const [most] = [...sums].sort(([a, one], [b, other]) => other - one || (a < b ? -1 : 1))
  const usual = SHELVES.find(
    ({ parts }) => article.part !== undefined && parts.includes(article.part),
  )?.id.toLowerCase()
  return most?.[0] ?? (usual !== undefined && bays.has(usual) ? `bay:${usual}` : 'bench')
}

const shortOf = (bay: string) => `bay ${bay.toUpperCase()}`
