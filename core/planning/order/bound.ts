import { DAY_WEIGHTS } from '../../knowledge/shop/day'
import { workMoment } from './moment'
import type { DayPlan, Stop, Van } from './stop'
import type { Underway } from './walk'

interface Ahead {
  /** The least driving to all of them and home, and their work, minutes. */
  driving: number
  work: number
  urgency: number
  /** What their waiting costs at least if it began now. */
  waiting: number
}

/**
 * What the stops that are left cost at least, whatever their order: to each by its shortest way, and the waiting in
 * the order that would be best if the way did not depend on it.
 *
 * @source Smith, Various optimizers for single-stage production, Naval Research Logistics Quarterly 3 (1956), for the
 *   waiting
 */
export class Bound {
  private readonly nearest: number[]
  private readonly work: number[]
  private readonly byHurry: number[]
  private readonly ahead = new Map<number, Ahead>()

  constructor(
    private readonly plan: DayPlan,
    private readonly van: Van,
    private readonly stops: readonly Stop[],
  ) {
    const { minutes } = plan.travel
    const origins = [van.place, ...stops.map(({ place }) => place)]
    this.nearest = stops.map(({ place }, own) =>
      Math.min(...origins.filter((_, index) => index !== own + 1).map((from) => minutes[from]?.[place] as number)),
    )
    this.work = stops.map((stop) => workMoment(stop.minutes).mean)
    const length = (index: number) => (this.nearest[index] as number) + (this.work[index] as number)
    this.byHurry = stops
      .map((_, index) => index)
      .sort((a, b) => length(a) * (stops[b] as Stop).urgency - length(b) * (stops[a] as Stop).urgency)
  }

  /** @param left the stops that are left, a bit each */
  leastCost({ at }: Underway, left: number): number {
    const { driving, work, urgency, waiting } = this.aheadOf(left)
    const home = at.mean + driving + work
    let cost =
      driving +
      DAY_WEIGHTS.minuteAway * (home - this.van.from) +
      DAY_WEIGHTS.minuteOver * Math.max(0, home - this.plan.rules.end) +
      waiting +
      (urgency * Math.max(0, at.mean - this.van.from)) / 60
    for (const [index, { window }] of this.stops.entries())
      if (window?.until !== undefined && left & (1 << index))
        cost += DAY_WEIGHTS.minuteLate * Math.max(0, at.mean + (this.nearest[index] as number) - window.until)
    return cost
  }

  private aheadOf(left: number): Ahead {
    const known = this.ahead.get(left)
    if (known) return known
    const { minutes } = this.plan.travel
    const ahead: Ahead = { driving: 0, work: 0, urgency: 0, waiting: 0 }
    let home = Number.POSITIVE_INFINITY
    for (const index of this.byHurry) {
      if (!(left & (1 << index))) continue
      const { urgency, place } = this.stops[index] as Stop
      const [nearest, work] = [this.nearest[index] as number, this.work[index] as number]
      ahead.waiting += (urgency * (ahead.driving + ahead.work + nearest)) / 60
      ahead.driving += nearest
      ahead.work += work
      ahead.urgency += urgency
      home = Math.min(home, minutes[place]?.[this.van.home] as number)
    }
    ahead.driving += Number.isFinite(home) ? home : 0
    this.ahead.set(left, ahead)
    return ahead
  }
}
