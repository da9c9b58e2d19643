import { pricePlan, readPriceList, type PriceMapping, type PricePlan } from '../../core/shelf/papers/price-list'

/** A price list as it was chosen, or as a supplier answered with it. */
export interface PriceFile {
  text: string
  mapping?: PriceMapping
}

/** What a price list would change in what the shop knows. */
export function plannedPrices({
  text,
  currency,
  mapping,
  ...known
}: PriceFile & { currency: string } & Parameters<typeof pricePlan>[1]): PricePlan {
  return pricePlan(readPriceList(text, currency, mapping), known)
}
