import { isIdOf, KINDS, PARTS } from '../knowledge/vocabulary'

export const MOST_PRICE = 1_000_000

/** Is this a part, of every kind or as `motor:pool` of one, and what it costs? */
export function isPartPrice(name: string, price: unknown): boolean {
  const [part, kind, ...more] = name.split(':')
  return (
    isIdOf(PARTS, part ?? '') &&
    (kind === undefined || isIdOf(KINDS, kind)) &&
    more.length === 0 &&
    typeof price === 'number' &&
    price >= 0 &&
    price <= MOST_PRICE
  )
}
