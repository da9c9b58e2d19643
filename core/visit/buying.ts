/** Whom the shop buys from. Money in whole cents. */
export interface Supplier {
  id: string
  name: string
  mail?: string
  /** Where its catalogue answers, where it has one that does. */
  service?: string
  /** What a delivery costs, and from which sum of goods on it costs nothing. */
  freight?: number
  freeFrom?: number
  /** Less than this it does not deliver. */
  minimum?: number
  /** Days that a delivery takes, as it says. */
  leadDays?: number
  gone?: boolean
}
/** From so many pieces on one costs this, whole cents. */
export interface PriceBreak {
  from: number
  price: number
}
/** An article as a supplier sells it. A later line of the same article and supplier speaks over it. */
export interface SupplierOffer {
  article: string
  supplier: string
  /** Its number in the supplier's list. */
  code: string
  /** The fewest first. */
  prices: PriceBreak[]
  /** It is sold by so many. */
  pack?: number
  pricedOn: string
  /** It is sold no more. */
  gone?: boolean
}
export interface OrderLine {
  /** Its number in the order, from 1. */
  line: number
  article: string
  count: number
  code?: string
  /** Of one piece, whole cents. */
  price?: number
  /** Visits that wait for it. */
  visits?: string[]
}
export interface OrderPlaced {
  order: string
  supplier: string
  /** As the shop calls it. */
  number: string
  lines: OrderLine[]
  freight?: number
}
export const ORDER_MOVES = {
  confirmed: 'confirmed',
  cancelled: 'cancelled',
  closed: 'closed: what is missing does not come',
} as const
/** What the supplier says of an order, or the shop of it. */
export interface OrderMoved {
  order: string
  to: keyof typeof ORDER_MOVES
  /** ISO date on which it comes. */
  expectedOn?: string
  /** What it will not bring in full: so many of a line come. */
  lines?: { line: number; count: number }[]
  note?: string
}
