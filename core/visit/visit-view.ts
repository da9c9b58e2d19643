import { DEFAULT_RATES, wholeRates } from '../knowledge/shop/rates'
import type { Earlier } from '../diagnosis/diagnose'
import type { PricedArticle } from '../knowledge/shelf/priced'
import type { Kind } from '../knowledge/vocabulary'
import type { Pace } from '../takedown/as-here'
import type { Entry } from './entry'
import { foldVisit, machineOf, type VisitState } from './fold'
import type { HistoryReading } from './history'
import { earlierReadings } from './history-of'
import { consideredTogether, type Considered } from './journey'
import { newestOf, ofKind } from './of-kind'
import { UNNAMED_SHOP, type Shop } from './shop'
import { liveEntries } from './supersession'

/**
 * The journal of a visit, its machine's earlier readings, the shop, what the shop's other closed visits make of each
 * fault's rate, and its
 * own times of each step's: what a screen needs to show everything.
 */
export interface VisitView extends VisitPart {
  shop: Shop
}
/** What of a view is of its visit alone. */
export interface VisitPart {
  visitId: string
  entries: Entry[]
  history: HistoryReading[]
  experience: Record<string, number>
  pace: Pace
}
/** A visit among all of its journey, itself among them, in the order of their sheet. */
export interface JourneyView extends VisitView {
  journey: VisitPart[]
}

/** What of a view is of its visit alone, whatever more stands in it. */
export function partOf({ visitId, entries, history, experience, pace }: VisitPart): VisitPart {
  return { visitId, entries, history, experience, pace }
}

/** A visit's state with its machine's earlier insulation readings, for the trend. */
export function stateOf(view: VisitPart): VisitState {
  return foldVisit(view.entries, { earlier: earlierOf(view) }) as VisitState
}

/** What the machine of a visit read in the visits before it. */
export function earlierOf({ history, entries }: VisitPart): Earlier {
  return earlierReadings(history, machineOf(liveEntries(entries)))
}

/** All visits of a journey with what follows from them, in the order of their sheet. */
export function consideredIn(parts: readonly VisitPart[], shop: Shop): Considered[] {
  return consideredTogether(
    parts.map((part) => ({ ...part, earlier: earlierOf(part) })),
    shop,
  )
}

/** The shop as its own entries say it, with the prices of what it keeps. */
export function shopOf(shopEntries: readonly Entry[]): Shop {
  const live = liveEntries(shopEntries)
  const shop = shopAsEntered(live)
  const articles = pricedArticles(live)
  return articles.length === 0 ? shop : { ...shop, rates: { ...shop.rates, articles } }
}

/** Articles whose price is known, each as it was said last. */
function pricedArticles(live: readonly Entry[]): PricedArticle[] {
  const newest = new Map(ofKind(live, 'article-set').map(({ body: { article } }) => [article.id, article] as const))
  return [...newest.values()].flatMap(
    ({ id, name, part, family, spec, kinds, codes, price, pricedOn, gone, condition }) =>
      // What was kept from a machine is worth what it is worth: nobody is charged for a new one by it.
      gone || price === undefined || pricedOn === undefined || (condition ?? 'new') !== 'new'
        ? []
        : [
            {
              id,
              name,
              spec,
              price,
              pricedOn,
              ...(part ? { part } : {}),
              ...(family ? { family } : {}),
              ...(kinds ? { kinds } : {}),
              ...(codes ? { codes } : {}),
            },
          ],
  )
}

function shopAsEntered(live: readonly Entry[]): Shop {
  const entered = newestOf(live, 'shop-set')?.body
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
