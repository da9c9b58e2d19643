/** A van of the shop, and how many ride in it. */
export interface ShopVan {
  id: string
  name: string
  people: number
  /** Room for parts beside its tools; what is usual where nobody said. */
  litres?: number
}
