import type { Basis } from '../../judgement/judgement'
import type { Check } from '../checks/checks'
import type { Part } from '../vocabulary'

/** What it costs to keep things, and to have them not. */
export const KEEPING = {
  /** Of its price, a year: money that lies, what ages or is lost. */
  yearlyShare: 0.2,
  /** Of a second trip, beside the journey and the customer’s trouble: setting up again. */
  againMinutes: 30,
  /** More of one article than this is never kept for what may come. */
  mostUses: 40,
  basis: {
    kind: 'shop',
    name:
      'what lies costs a fifth of its price a year; a second trip is a journey, half an hour and the ' +
      'customer’s trouble',
  } satisfies Basis,
}
/** How long a delivery takes until the shop’s own deliveries say it. */
export const LEAD = {
  days: 4,
  spreadDays: 2,
  /** Orders go out so often. */
  reviewDays: 1,
  basis: {
    kind: 'shop',
    name: 'a delivery takes four days, give or take two, until the shop’s own say it',
  } satisfies Basis,
}
/** How far ahead the need is looked at, days: a season’s rate, and the visits that are planned. */
export const NEED_AHEAD = { rateDays: 90, plannedDays: 7 }
/** How well a rate is known: its standard deviation as a share of it. Shop estimate. */
export const RATE_SPREAD = 0.6

/** What a machine's own readings say of when a part is wanted. */
export const FORESEEN = {
  /**
   * Readings by which the part itself is ending. Volts, pressures that are set, air and water that fall say something
   * of what is around it, and no new part puts them right.
   */
  checks: [
    'capacitance',
    'insulation-resistance',
    'battery-voltage',
    'impeller-gap',
    'shaft-height',
    'end-play',
    'shaft-runout',
    'shutoff-pressure',
  ] as readonly Check[],
  /** What stands past its limit and was not mended then: so likely somebody wants it mended within the season. */
  past: 0.5,
  /** Where two readings leave no band the day is known to this share of the time until then: a standard deviation. */
  openShare: 0.5,
  /** The band of a line, 80 % of what may be, is so many standard deviations to each side. */
  bandSds: 1.282,
  basis: {
    kind: 'shop',
    name:
      'what wears is renewed, what is set or filled is not; half of what stands past its limit is mended within the ' +
      'season; two readings foretell to half the time that is left',
  } satisfies Basis,
}

/** Room that one of a part takes, litres. */
export const ROOM: Readonly<Partial<Record<Part, number>>> = {
  motor: 18,
  pump: 34,
  'pump-end': 20,
  'backup-pump': 34,
  tank: 120,
  battery: 14,
  'drive-electronics': 6,
  'control-box': 4,
  stages: 6,
  volute: 9,
  bracket: 6,
  strainer: 6,
  'seal-plate': 4,
  ejector: 3,
  impeller: 1.5,
  diffuser: 1.5,
  'float-switch': 2,
  'backup-float': 2,
  'foot-valve': 1.5,
  'check-valve': 1,
  'run-capacitor': 0.4,
  'start-capacitor': 0.4,
  'pressure-switch': 1,
  'lead-connector': 1,
  alarm: 2,
  timer: 2,
  cable: 0.3,
  'drop-pipe': 1.2,
  'suction-pipe': 1.2,
  'discharge-pipe': 1.2,
  bearings: 0.15,
  'shaft-seal': 0.3,
}
/** Of what has no figure. */
export const USUAL_ROOM = 0.2
export const VAN_ROOM = {
  litres: 160,
  basis: { kind: 'shop', name: 'room for parts in a van beside its tools, shop default' } satisfies Basis,
}
