import type { Basis } from '../../judgement/judgement'

/** What turns a fault’s yearly rate into this machine’s: the Weibull hazard at its age, in bounds, and its duty. */
export const HAZARD = {
  /** The hazard at any age stays within these multiples of the hazard at the row's own age. */
  leastMultiple: 0.2,
  mostMultiple: 5,
  /** A machine just put in counts as this old: the law has no value at zero. */
  youngestYears: 0.25,
  /** Hours a day that the rates are for. */
  dutyHoursPerDay: 8,
  /** Wear grows with this power of the hours. */
  dutyExponent: 0.5,
  basis: { kind: 'shop', name: 'Weibull hazard held within a factor of five; wear by the root of the hours' } as Basis,
}
