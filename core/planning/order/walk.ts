import { DAY_WEIGHTS, DRIVING } from '../../knowledge/shop/day'
import { chanceAfter, expectedAfter, later, notBefore, workMoment, type Moment } from './moment'
import type { DayPlan, Stop, Van } from './stop'

/** What an order costs, by what it is paid for: all in minutes behind the wheel. */
export interface Costs {
  driving: number
  away: number
  late: number
  waiting: number
  over: number
  dark: number
  tooFew: number
}
export const NO_COSTS: Readonly<Costs> = { driving: 0, away: 0, late: 0, waiting: 0, over: 0, dark: 0, tooFew: 0 }

/** A van on its way: where and when it is, and what it has cost up to there. */
export interface Underway {
  place: number
  at: Moment
  hadBreak: boolean
  cost: number
}

/** One stop of a driven order. */
export interface Visited {
  id: string
  /** Minutes and kilometres from where it was before. */
  drive: number
  km: number
  arrives: Moment
  begins: Moment
  ends: Moment
  /** The chance to come after the promised hour. */
  late: number
  /** The break is taken on the way here. */
  breakBefore?: true
}

export interface Walk {
  stops: Visited[]
  home: Moment
  homeDrive: number
  driving: number
  km: number
  costs: Costs
  cost: number
}

/** What one drive and one visit came to, beside where they led. */
interface Spent {
  drive: number
  arrives: Moment
  begins: Moment
  late: number
  costs: Costs
}

/** The one place where a day is reckoned: every order, whoever made it, is driven stop by stop through here. */
export class Driver {
  private readonly work = new Map<string, Moment>()
  /** Of the visit that was reckoned last: searching reckons millions, and keeps nothing of them. */
  private readonly spent: Spent = {
    drive: 0,
    arrives: { mean: 0, variance: 0 },
    begins: { mean: 0, variance: 0 },
    late: 0,
    costs: { ...NO_COSTS },
  }

  constructor(private readonly plan: DayPlan) {
    for (const { id, minutes } of plan.stops) this.work.set(id, workMoment(minutes))
  }

  start({ place, from, fromSpread = 0, hadBreak = false }: Van): Underway {
    return { place, at: { mean: from, variance: fromSpread * fromSpread }, hadBreak, cost: 0 }
  }

  /** On to a stop, and its work. */
  visit(van: Van, from: Underway, stop: Stop): Underway {
    const { rules } = this.plan
    const { spent } = this
    const hadBreak = this.drive(from, stop.place)
    const { arrives, costs } = spent
    const { from: opens, until } = stop.window ?? {}
    const begins = opens === undefined ? arrives : notBefore(arrives, opens)
    const ends = later(begins, this.work.get(stop.id) as Moment)
    spent.begins = begins
    spent.late = until === undefined ? 0 : chanceAfter(arrives, until)
    costs.driving = spent.drive
    costs.late =
      until === undefined
        ? 0
        : DAY_WEIGHTS.minuteLate * expectedAfter(arrives, until) + DAY_WEIGHTS.wordBroken * spent.late
    costs.waiting = (stop.urgency * Math.max(0, begins.mean - van.from)) / 60
    costs.dark =
      stop.byDaylight && rules.dark !== undefined ? DAY_WEIGHTS.minuteDark * expectedAfter(ends, rules.dark) : 0
    costs.tooFew = stop.people > van.people ? DAY_WEIGHTS.tooFew : 0
    costs.away = 0
    costs.over = 0
    return { place: stop.place, at: ends, hadBreak, cost: from.cost + sumOf(costs) }
  }

  /** The way home, and what the whole day away costs. */
  home(van: Van, from: Underway): Underway {
    const { costs } = this.spent
    // Nobody rests where only the way home is left.
    this.drive({ ...from, hadBreak: true }, van.home)
    const at = this.spent.arrives
    Object.assign(costs, NO_COSTS)
    costs.driving = this.spent.drive
    costs.away = DAY_WEIGHTS.minuteAway * (at.mean - van.from)
    costs.over = DAY_WEIGHTS.minuteOver * expectedAfter(at, this.plan.rules.end)
    return { ...from, place: van.home, at, cost: from.cost + sumOf(costs) }
  }

  /** A whole order, with all that is to be shown of it. */
  walk(van: Van, stops: readonly Stop[]): Walk {
    const { spent, plan } = this
    let at = this.start(van)
    let costs: Costs = { ...NO_COSTS }
    const visited: Visited[] = []
    for (const stop of stops) {
      const next = this.visit(van, at, stop)
      visited.push({
        id: stop.id,
        drive: spent.drive,
        km: plan.travel.km[at.place]?.[stop.place] as number,
        arrives: spent.arrives,
        begins: spent.begins,
        ends: next.at,
        late: spent.late,
        ...(next.hadBreak && !at.hadBreak ? { breakBefore: true as const } : {}),
      })
      costs = added(costs, spent.costs)
      at = next
    }
    const driven = visited.reduce((sum, { drive, km }) => ({ drive: sum.drive + drive, km: sum.km + km }), {
      drive: 0,
      km: 0,
    })
    if (stops.length === 0)
      return { stops: [], home: at.at, homeDrive: 0, driving: 0, km: 0, costs: { ...NO_COSTS }, cost: 0 }
    const home = this.home(van, at)
    costs = added(costs, spent.costs)
    return {
      stops: visited,
      home: home.at,
      homeDrive: spent.drive,
      driving: driven.drive + spent.drive,
      km: driven.km + (plan.travel.km[at.place]?.[van.home] as number),
      costs,
      cost: sumOf(costs),
    }
  }

  /** The cost of a whole order alone. */
  cost(van: Van, stops: readonly Stop[]): number {
    if (stops.length === 0) return 0
    let at = this.start(van)
    for (const stop of stops) at = this.visit(van, at, stop)
    return this.home(van, at).cost
  }

  /** The break is taken at the first departure after its hour. */
  private drive({ place, at, hadBreak }: Underway, to: number): boolean {
    const { travel, rules } = this.plan
    const drive = travel.minutes[place]?.[to] as number
    const rests = !hadBreak && rules.breakMinutes > 0 && at.mean >= rules.breakFrom
    this.spent.drive = drive
    this.spent.arrives = {
      mean: at.mean + drive + (rests ? rules.breakMinutes : 0),
      variance: at.variance + (DRIVING.spread * drive) ** 2,
    }
    return hadBreak || rests
  }
}

function sumOf({ driving, away, late, waiting, over, dark, tooFew }: Costs): number {
  return driving + away + late + waiting + over + dark + tooFew
}

function added(a: Costs, b: Costs): Costs {
  return Object.fromEntries(
    (Object.keys(a) as (keyof Costs)[]).map((what) => [what, a[what] + b[what]]),
  ) as unknown as Costs
}

/** May the stops be driven in this order: what must come before another does. */
export function isInOrder(stops: readonly Stop[]): boolean {
  const seen = new Set<string>()
  const ids = new Set(stops.map(({ id }) => id))
  return stops.every(({ id, after }) => {
    seen.add(id)
    return after === undefined || !ids.has(after) || seen.has(after)
  })
}
