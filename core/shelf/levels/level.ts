import { KEEPING, LEAD, RATE_SPREAD } from '../../knowledge/shelf/keeping'
import type { Rates } from '../../knowledge/shop/rates'
import { chanceOfMore, spreadOfProduct, usesChances } from './demand'

/** What the level of one article hangs on. Money in the shop's currency. */
export interface LevelGrounds {
  /** Times a year that one visit takes it. */
  perYear: number
  /** Chances that a visit which is planned within a delivery's time takes it. */
  planned: readonly number[]
  /** Pieces that are taken at a time. */
  pieces: number
  /** Of one piece. */
  price: number
  /** Months that it may lie; absent where it lies for ever. */
  shelfMonths?: number
  /** What a second trip for it costs. */
  secondTrip: number
  lead: { days: number; spreadDays: number }
  vans: number
  /** How many times what it costs to keep it counts: more than once where no more money may lie. */
  keepingTimes?: number
}
export interface Level {
  /** Pieces in the whole shop. */
  level: number
  /** Of them in each van. */
  perVan: number
  /** Uses while a delivery is under way. */
  inLead: number
  /** What one use's pieces cost to keep, a year. */
  keeping: number
}

/**
 * How much of an article to keep: so much that one more would cost more to keep than it saves in second trips.
 *
 * Once for each van, which is filled every morning, and once for the shop, which waits for a delivery; the larger of
 * both, for what lies in the vans is the shop's too.
 *
 * @source newsvendor critical ratio: Arrow, Harris & Marschak, Optimal Inventory Policy, Econometrica 19 (1951)
 */
export function bestLevel(grounds: LevelGrounds): Level {
  const { perYear, planned, pieces, lead, vans } = grounds
  const days = lead.days + LEAD.reviewDays
  const whole = usesFor(grounds, {
    days,
    mean: (perYear * days) / 365,
    spread: spreadOfProduct(RATE_SPREAD, lead.spreadDays / days),
    planned,
  })
  // What is planned is loaded for it in the morning: a van keeps what comes without being foreseen.
  const each = usesFor(grounds, { days: 1, mean: perYear / vans / 365, spread: RATE_SPREAD, planned: [] })
  return {
    level: pieces * Math.max(whole, each * vans),
    perVan: pieces * each,
    inLead: (perYear * days) / 365 + planned.reduce((sum, chance) => sum + chance, 0),
    keeping: keepingCost(grounds),
  }
}

/** A year of keeping what one use takes: money that lies, and what is thrown away where it may not lie for ever. */
function keepingCost({ price, pieces, shelfMonths, perYear, keepingTimes = 1 }: LevelGrounds): number {
  const value = price * pieces * keepingTimes
  if (shelfMonths === undefined) return value * KEEPING.yearlyShare
  const years = shelfMonths / 12
  const isNotUsed = Math.exp(-perYear * years)
  return value * (KEEPING.yearlyShare + isNotUsed / years)
}

function usesFor(
  grounds: LevelGrounds,
  { days, ...asked }: { days: number; mean: number; spread: number; planned: readonly number[] },
): number {
  const chances = usesChances(asked)
  const keeping = (keepingCost(grounds) * days) / 365
  for (let uses = 0; uses < KEEPING.mostUses; uses++) {
    const short = chanceOfMore(chances, uses)
    if (short * grounds.secondTrip <= (1 - short) * keeping) return uses
  }
  return KEEPING.mostUses
}

/** How likely a use finds nothing, with so many pieces there. */
export function chanceShort({ perYear, planned, pieces, lead }: LevelGrounds, count: number): number {
  const days = lead.days + LEAD.reviewDays
  const chances = usesChances({
    mean: (perYear * days) / 365,
    spread: spreadOfProduct(RATE_SPREAD, lead.spreadDays / days),
    planned,
  })
  const uses = Math.floor(Math.max(0, count) / pieces)
  // Whoever comes finds nothing where those before him have taken it all.
  return uses === 0 ? 1 : chanceOfMore(chances, uses - 1)
}

/** What a second trip costs: the journey, setting up again, and the customer's trouble; in the shop's currency. */
export function secondTripCost({ trip, downtime, hourly }: Pick<Rates, 'trip' | 'downtime' | 'hourly'>): number {
  return trip + downtime + (KEEPING.againMinutes / 60) * hourly
}

/** How far keeping is made dearer at most, and how near to the money that may lie it comes. */
const DEAREST = 1000
const NEAR_ENOUGH = 1.01

/**
 * By how much keeping has to count more so that no more money lies than there is: the same for all articles, so that
 * what is left out is what a second trip is saved by least for its money.
 *
 * @param tied money that lies at the levels of a factor; it falls as the factor grows
 * @source Lagrange multiplier of a common budget: Everett, Operations Research 11 (1963)
 * @returns 1 where there is money enough
 */
export function timesWithin(most: number, tied: (times: number) => number): number {
  if (tied(1) <= most) return 1
  let [low, high] = [1, DEAREST]
  while (high / low > NEAR_ENOUGH) {
    const middle = Math.sqrt(low * high)
    if (tied(middle) <= most) high = middle
    else low = middle
  }
  return high
}
