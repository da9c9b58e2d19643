import type { ShelfPlace } from '../fits/shelf-place'
import { SHELVES } from '../knowledge/shop/shelves'
import type { Part } from '../knowledge/vocabulary'
import type { ShopVan } from '../visit/entry'
import type { Stock } from './stock'

export interface NamedPlace {
  id: ShelfPlace
  name: string
  /** Where many stand beside each other. */
  short: string
}

/** The usual bays of a shop, until it has said its own. */
const USUAL_BAYS = SHELVES.map(({ id, name }) => ({ bay: id.toLowerCase(), name: `${id}, ${name}` }))

/** Where the shop keeps things: its vans first, for these are looked into most, then the bench and the bays. */
export function placesOf({ bays }: Pick<Stock, 'bays'>, vans: readonly Pick<ShopVan, 'id' | 'name'>[]): NamedPlace[] {
  const own = bays.size > 0 ? [...bays.values()] : USUAL_BAYS
  return [
    ...vans.map(({ id, name }): NamedPlace => ({ id: `van:${id}`, name, short: name })),
    { id: 'bench', name: 'the bench', short: 'bench' },
    ...[...own]
      .sort((a, b) => (a.name < b.name ? -1 : 1))
      .map(({ bay, name }): NamedPlace => ({ id: `bay:${bay}`, name, short: `bay ${bay.toUpperCase()}` })),
  ]
}

/** The bay in which a part usually lies. */
export function usualBay(part: Part | undefined): ShelfPlace | undefined {
  const shelf = SHELVES.find(({ parts }) => part !== undefined && parts.includes(part))
  return shelf && `bay:${shelf.id.toLowerCase()}`
}
