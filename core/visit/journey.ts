import type { AccountBeside } from '../decision/account'
import { sumOfCents } from '../quantity/money'
import type { Earlier } from '../diagnosis/diagnose'
import type { Pace } from '../takedown/as-here'
import type { Entry } from './entry'
import { foldVisit, type JourneyPlace, type VisitState } from './fold'
import { jobOf, priceOf, visitAccount, type Experience, type Job } from './job'
import { pricedOf } from './price-lines'
import { scheduleOf, togetherIn } from './schedule'
import type { Shop } from './shop'
import { liveEntries } from './supersession'

/** One visit of a journey with all that its state and its job follow from. */
export interface JourneyVisit {
  entries: readonly Entry[]
  earlier: Earlier
  experience: Experience
  pace: Pace
}
/** A visit with what follows from it. */
export interface Considered {
  state: VisitState
  job: Job
}

/** What its own journal says of a visit's journey: the first of it, where that is another; called off or not. */
export function journeySaid(
  id: string,
  entries: readonly Entry[],
): { id: string; together?: string; cancelled?: string } {
  const live = liveEntries(entries)
  const together = togetherIn(live)
  const { cancelled } = scheduleOf(live)
  return { id, ...(together ? { together } : {}), ...(cancelled === undefined ? {} : { cancelled }) }
}

/** What a visit brings to the least charge of its journey: what it comes to before taxes. */
export function besideOf({ state, job }: Considered): AccountBeside {
  const lines = pricedOf(state, job)?.lines ?? []
  return {
    net: sumOfCents(lines.filter(({ kind }) => kind !== 'tax').map(({ amount }) => amount)),
    isWaived: state.priceChanges.some(({ waives }) => waives !== undefined),
  }
}

/**
 * The visits of one journey with what follows from them.
 *
 * @param visits in the order of their sheet; one that nothing opens is left out
 */
export function consideredTogether(visits: readonly JourneyVisit[], shop: Shop): Considered[] {
  return placedTogether(
    visits.flatMap((visit) => considered(visit, shop) ?? []),
    shop,
  )
}

/** A visit by itself with what follows from it, as its own journal says. */
export function considered({ entries, earlier, experience, pace }: JourneyVisit, shop: Shop): Considered | undefined {
  const state = foldVisit(entries, { earlier })
  return state && { state, job: jobOf(state, shop, pace, experience) }
}

/** Visits that were considered each by itself, as one journey: what is charged once is charged with the first. */
export function placedTogether(all: readonly Considered[], shop: Shop): Considered[] {
  const [first, ...others] = all
  if (!first) return []
  const riders = others.map((each) => riding(each, shop))
  return [placed(first, shop, { rides: false, beside: riders.map(besideOf) }), ...riders]
}

/** A visit that goes along with another: journey and least charge are not its own. */
export function riding(each: Considered, shop: Shop): Considered {
  return placed(each, shop, { rides: true, beside: [] })
}

function placed({ state, job }: Considered, shop: Shop, journey: JourneyPlace): Considered {
  const inJourney = { ...state, journey }
  const account = visitAccount(inJourney, job.bill, shop)
  return { state: inJourney, job: { ...job, account, price: priceOf(inJourney, account) } }
}
