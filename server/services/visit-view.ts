import { DEFAULT_RATES, wholeRates } from '../../core/knowledge/shop/rates'
import type { Kind } from '../../core/knowledge/vocabulary'
import type { Pace } from '../../core/takedown/as-here'
import type { Entry } from '../../core/visit/entry'
import { foldVisit, machineOf, type VisitState } from '../../core/visit/fold'
import { earlierReadings, type HistoryReading } from '../../core/visit/history'
import { newestOf, ofKind } from '../../core/visit/of-kind'
import { UNNAMED_SHOP, type Shop } from '../../core/visit/shop'
import { liveEntries } from '../../core/visit/supersession'

/**
 * The journal of a visit, its machine's earlier readings, the shop, what the shop's other closed visits make of each
 * fault's rate, and its
 * own times of each step's: what a screen needs to show everything.
 */
export interface VisitView {
  visitId: string
  entries: Entry[]
  history: HistoryReading[]
  shop: Shop
  experience: Record<string, number>
  pace: Pace
}

/** A visit's state with its machine's earlier insulation readings, for the trend. */
export function stateOf(view: VisitView): VisitState {
  return foldVisit(view.entries, {
    earlier: earlierReadings(view.history, machineOf(liveEntries(view.entries))),
  }) as VisitState
}

/** The shop as its own entries say it. */
export function shopOf(shopEntries: readonly Entry[]): Shop {
  const entered = newestOf(liveEntries(shopEntries), 'shop-set')?.body
  if (!entered) return { ...UNNAMED_SHOP, name: '', unset: true, guessedPrices: Object.keys(DEFAULT_RATES.partPrices) }
  const guessedPrices = Object.keys(DEFAULT_RATES.partPrices).filter((key) => !(key in entered.rates.partPrices))
  // A shop that was entered before a price was known goes by the usual one, on every screen alike.
  return { ...entered, rates: wholeRates(entered.rates), ...(guessedPrices.length > 0 ? { guessedPrices } : {}) }
}

/** The newest forgetting of a kind's visits: since then they count again. */
export function forgottenAt(shopEntries: readonly Entry[], kind: Kind): Entry | undefined {
  return ofKind(liveEntries(shopEntries), 'shop-forget').findLast(
    ({ body }) => body.pumpKind === undefined || body.pumpKind === kind,
  ) as Entry | undefined
}
