import type { ShopVan } from '../knowledge/shop/van'
import type { Entry } from '../visit/entry'

/** What the shop tells of its shelves: the lines that make the stock, and where it can lie. */
export interface ToldOfShelf {
  lines: Entry[]
  vans: ShopVan[]
  currency: string
}
