import { DEFAULT_RATES, type EnteredRates } from '../knowledge/shop/rates'
import type { Kind, Part } from '../knowledge/vocabulary'
import type { PracticeWays } from '../knowledge/shop/practices'
import type { SeasonDays } from '../knowledge/shop/seasons'
import type { UnitSystem } from '../quantity/measures'
import type { ShopVan } from '../knowledge/shop/van'
import type { WorkingDay } from './entry'
import { formatMoney, type NumberStyle } from '../quantity/number-style'

/** The shop as it says it is. */
export interface Shop {
  name: string
  place: string
  /** Where its mail comes from, and answers go. */
  mail?: string
  units: UnitSystem
  numbers?: NumberStyle
  rates: EnteredRates
  schools?: PracticeWays
  vans?: ShopVan[]
  day?: WorkingDay
  seasons?: SeasonDays
  /** Nobody has entered it yet: nothing of it is printed, and what it would charge is a guess. */
  unset?: true
  /** Part prices that are the usual ones and not its own, by part or `part:kind`: they are asked before they count. */
  guessedPrices?: string[]
}

export const UNNAMED_SHOP: Shop = { name: 'This shop', place: '', units: 'us', rates: DEFAULT_RATES }

/** The shop as its next line says it: only what is its own. */
export function enteredShop(known: Shop): Omit<Shop, 'unset' | 'guessedPrices'> {
  const { unset: _, guessedPrices = [], ...shop } = withoutArticles(known)
  const guessed = new Set(guessedPrices)
  const own = Object.entries(shop.rates.partPrices).filter(([key]) => !guessed.has(key))
  return { ...shop, rates: { ...shop.rates, partPrices: Object.fromEntries(own) } }
}

/** The shop as it is reckoned with where nothing comes off its shelves. */
export function withoutArticles(shop: Shop): Shop {
  const { articles: _, ...rates } = shop.rates
  return { ...shop, rates }
}

/** Is this part's price, on a kind of machine, the usual one and not the shop's own? */
export function isGuessedPrice({ guessedPrices = [] }: Shop, part: Part, kind: Kind): boolean {
  const { partPrices } = DEFAULT_RATES
  const key = partPrices[`${part}:${kind}`] === undefined ? part : `${part}:${kind}`
  return guessedPrices.includes(key)
}

/** Amounts to the cent as a shop writes them: the same on every screen and paper. */
export function moneyOf({ rates, numbers }: Pick<Shop, 'rates' | 'numbers'>): (amount: number) => string {
  return (amount) => formatMoney(amount, rates.currency, numbers)
}
