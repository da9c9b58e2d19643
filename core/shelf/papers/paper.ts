/** An order as it leaves the shop. Money in whole cents. */
export interface OrderPaper {
  number: string
  /** ISO date. */
  issuedOn: string
  currency: string
  buyer: string
  seller: string
  lines: { line: number; code: string; name: string; count: number; price?: number }[]
}
/** What a supplier says that it sent. */
export interface DespatchPaper {
  id: string
  issuedOn: string
  /** The order’s number. */
  order: string
  lines: { line?: number; code: string; name: string; count: number }[]
}
