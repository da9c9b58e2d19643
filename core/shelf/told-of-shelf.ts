import type { Entry, ShopVan } from '../visit/entry'

/** What the shop tells of its shelves: the lines that make the stock, and where it can lie. */
export interface ToldOfShelf {
  lines: Entry[]
  vans: ShopVan[]
  currency: string
}
