import type { AccountBeside } from '../decision/account'
import { sumOfCents } from '../quantity/money'
import type { Earlier } from '../diagnosis/diagnose'
import type { Pace } from '../takedown/as-here'
import type { Entry } from './entry'
import { foldVisit, type JourneyPlace, type VisitState } from './fold'
import { jobOf, type Experience, type Job } from './job'
import { pricedOf } from './price-lines'
import type { Shop } from './shop'

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

/** What a visit brings to the least charge of its journey: what it comes to before taxes. */
export function besideOf(
  state: Pick<VisitState, 'handedOver' | 'fitted' | 'priceChanges'>,
  job: Pick<Job, 'account' | 'price'>,
): AccountBeside {
  const lines = pricedOf(state, job)?.lines ?? []
  return {
    net: sumOfCents(lines.filter(({ kind }) => kind !== 'tax').map(({ amount }) => amount)),
    isWaived: state.priceChanges.some(({ waives }) => waives !== undefined),
  }
}

/**
 * The visits of one journey with what follows from them: journey and least charge are charged once, with the first.
 *
 * @param visits the first of the journey first; one that nothing opens is left out
 */
export function consideredTogether(visits: readonly JourneyVisit[], shop: Shop): Considered[] {
  const [first, ...others] = visits
  if (!first) return []
  const riding = others.flatMap((visit) => considered(visit, shop, { rides: true, beside: [] }))
  const beside = riding.map(({ state, job }) => besideOf(state, job))
  return [...considered(first, shop, { rides: false, beside }), ...riding]
}

function considered(
  { entries, earlier, experience, pace }: JourneyVisit,
  shop: Shop,
  journey: JourneyPlace,
): Considered[] {
  const state = foldVisit(entries, { earlier, journey })
  return state ? [{ state, job: jobOf(state, shop, pace, experience) }] : []
}
