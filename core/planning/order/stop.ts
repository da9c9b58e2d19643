/**
 * A day's stops and the vans that drive them. Hours are minutes from the day's midnight, distances are kilometres,
 * places are rows of the travel table.
 */

/** Minutes of work: half of such visits are done by the first, nine of ten by the second. */
export interface Spread {
  p50: number
  p90: number
}

export interface Stop {
  id: string
  place: number
  minutes: Spread
  /** When it was promised that somebody comes. */
  window?: { from?: number; until?: number }
  /** What an hour of waiting weighs, in minutes behind the wheel. */
  urgency: number
  /** How many the work needs. */
  people: number
  /** Its work wants daylight. */
  byDaylight?: boolean
  /** What must come before it: fetching its parts. */
  after?: string
}

export interface Van {
  id: string
  people: number
  /** Where it is, and from when on it can leave. */
  place: number
  from: number
  /** How sure that hour is, standard deviation: a visit may be under way. */
  fromSpread?: number
  /** Where it ends its day. */
  home: number
  /** The break is behind it. */
  hadBreak?: boolean
}

/** Driving between any two places. */
export interface Travel {
  minutes: readonly (readonly number[])[]
  km: readonly (readonly number[])[]
}

export interface DayRules {
  /** When the working day ends, and when it is dark. */
  end: number
  dark?: number
  breakFrom: number
  breakMinutes: number
}

export interface DayPlan {
  stops: readonly Stop[]
  vans: readonly Van[]
  travel: Travel
  rules: DayRules
}

/** The stops of each van, in order. */
export type Routes = Readonly<Record<string, readonly string[]>>
