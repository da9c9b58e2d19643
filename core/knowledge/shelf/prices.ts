import type { Basis } from '../../judgement/judgement'

export const PRICE_AGE = {
  /** A season: what was paid longer ago is asked for again. */
  days: 90,
  basis: { kind: 'shop', name: 'a price is good for a season, shop default' } satisfies Basis,
}
