import type { Basis } from '../../judgement/judgement'

/** What a day's order is weighed with. Everything counts as so many minutes behind the wheel. */
export const DAY_WEIGHTS = {
  /** A minute from the shop to the shop, whatever it is spent on. */
  minuteAway: 0.3,
  /** A minute after the promised hour, and the word that is then not kept. */
  minuteLate: 2,
  wordBroken: 45,
  /** A minute after the day's end. */
  minuteOver: 1.5,
  /** A minute of work in the dark that wants daylight. */
  minuteDark: 3,
  /** A visit for which too few are in the van. */
  tooFew: 600,
  basis: { kind: 'shop', name: 'what a late hour and a late evening weigh against driving, shop estimate' } as Basis,
}

/** How sure a driving time is, and what is reckoned where no road is known. */
export const DRIVING = {
  /** Standard deviation as a share of the driving time. */
  spread: 0.15,
  /** Roads over the straight line, and the speed on them, km/h. */
  detour: 1.35,
  detourSpeed: 38,
  /** To a place that nobody can find on the map, minutes. */
  unknownMinutes: 25,
  basis: {
    kind: 'common-practice',
    name: 'roads a third longer than the straight line; shop estimate of speed and spread',
  } as Basis,
}

/** A day as it is where the shop has not said otherwise: minutes from midnight. */
export const USUAL_DAY = {
  start: 7 * 60 + 30,
  end: 17 * 60,
  breakFrom: 12 * 60,
  breakMinutes: 30,
  people: 1,
  basis: {
    kind: 'common-practice',
    name: 'a working day of half past seven to five with half an hour at noon',
  } as Basis,
}

/** From what chance of coming late it is said, and from where on it is a warning. */
export const LATENESS = {
  worthSaying: 0.05,
  warning: 0.2,
  basis: { kind: 'shop', name: 'one promise in five at risk is too many, shop estimate' } as Basis,
}

/** What a visit takes besides the repair itself, minutes: half of them by the first, nine of ten by the second. */
export const VISIT_MINUTES = {
  /** The door, the dog, the breaker, the way to the pump. */
  arriving: { p50: 8, p90: 15 },
  testing: { p50: 18, p90: 40 },
  /** Proving, the sheet, a word with the owner. */
  closing: { p50: 12, p90: 22 },
  basis: { kind: 'shop', name: 'what a visit takes besides the repair, shop estimate' } as Basis,
}
