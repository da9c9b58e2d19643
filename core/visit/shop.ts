import { DEFAULT_RATES, type EnteredRates } from '../knowledge/shop/rates'
import type { PracticeWays } from '../knowledge/shop/practices'
import type { UnitSystem } from '../quantity/measures'

/** The shop as it says it is. */
export interface Shop {
  name: string
  place: string
  units: UnitSystem
  rates: EnteredRates
  schools?: PracticeWays
}

export const UNNAMED_SHOP: Shop = { name: 'This shop', place: '', units: 'us', rates: DEFAULT_RATES }
