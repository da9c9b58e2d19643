import { DEFAULT_RATES, type Rates } from '../knowledge/shop/rates'
import type { PracticeWays } from '../knowledge/shop/practices'
import type { UnitSystem } from '../quantity/measures'

/** The shop as it says it is. */
export interface Shop {
  name: string
  place: string
  units: UnitSystem
  rates: Rates
  schools?: PracticeWays
}

export const UNNAMED_SHOP: Shop = { name: 'This shop', place: '', units: 'us', rates: DEFAULT_RATES }
