import type { Basis } from '../../judgement/judgement'
import type { PricedArticle } from '../shelf/priced'
import type { Kind, Part } from '../vocabulary'

/** What the shop charges and pays. Every figure is a default that the shop enters for itself. */
export interface Rates {
  currency: string
  hourly: number
  /** One journey to the place and back. */
  trip: number
  /** What the shop adds to the price of a part, as a share. */
  partsMarkup: number
  /** The customer's trouble when a pump stays down until another visit. */
  downtime: number
  /** What the shop holds a live check’s risk to be worth, each time: a dead one that tells as much goes first. */
  liveRisk: number
  /** A second person by the hour, where the work needs two. */
  helperHourly: number
  /** An hour after the day’s end, as a multiple of a usual one. */
  afterHours: number
  /** By part; `part:kind` where a kind's own differs, as a motor's does. */
  partPrices: Partial<Record<Part | `${Part}:${Kind}`, number>>
  /** What lies on the shelves or can be ordered, with its price: what fits a machine is charged by it. */
  articles?: readonly PricedArticle[]
}

export const RATES_BASIS: Basis = { kind: 'shop', name: 'default rates; the shop enters its own' }
export const DEFAULT_RATES: Rates = {
  currency: 'USD',
  hourly: 96,
  trip: 65,
  partsMarkup: 0.25,
  downtime: 60,
  liveRisk: 5,
  helperHourly: 48,
  afterHours: 1.5,
  partPrices: {
    'run-capacitor': 19,
    'start-capacitor': 17,
    'start-switch': 28,
    'shaft-seal': 32,
    'housing-o-ring': 11,
    'diffuser-o-ring': 5,
    'shaft-o-ring': 4,
    'lid-o-ring': 8,
    bearings: 24,
    motor: 310,
    pump: 640,
    impeller: 58,
    'seal-plate': 66,
    union: 12,
    breaker: 38,
    timer: 72,
    'terminal-board': 9,
    'conduit-fitting': 60,
    fan: 14,
    'drive-electronics': 420,
    'lock-screw-gasket': 2,
    outlet: 14,
    'start-relay': 32,
    'control-box': 95,
    'pressure-switch': 34,
    tank: 240,
    'check-valve': 28,
    'relief-valve': 24,
    'foot-valve': 38,
    ejector: 62,
    'pump-end': 320,
    splice: 9,
    cable: 130,
    'lead-connector': 44,
    'intake-screen': 12,
    'float-switch': 42,
    battery: 140,
    shims: 4,
    coupling: 36,
    stages: 160,
    diffuser: 34,
    'hose-connector': 16,
    'pressure-gauge': 15,
    'switch-springs': 6,
    gfci: 46,
    'house-filter': 18,
    'drop-pipe': 150,
    'motor:well-two-wire': 430,
    'motor:well-three-wire': 410,
    'pump:well-two-wire': 760,
    'pump:well-three-wire': 780,
    'motor:booster': 230,
    'pump:booster': 370,
    'motor:spa': 240,
    'pump:spa': 390,
    'motor:jet': 240,
    'pump:jet': 460,
    'motor:circulation': 210,
    'pump:circulation': 330,
    'motor:utility': 260,
    'pump:utility': 520,
    'pump:sump': 165,
  },
}

export const TAXED = ['parts', 'work', 'all'] as const
/** A tax as the shop has to put it on its accounts. */
export interface TaxLine {
  name: string
  percent: number
  on: (typeof TAXED)[number]
}
/** What the shop puts on every account; nothing of it is there before the shop enters it. */
export interface Charges {
  /** The journey is charged, not only reckoned with. */
  chargesJourney?: boolean
  /** The least that a visit comes to, before taxes. */
  minimum?: number
  taxes?: TaxLine[]
  /** How long the shop stands for its own work, months. */
  workWarrantyMonths?: number
  /** What a new motor or pump comes with where its own paper says nothing else, months. */
  partWarrantyMonths?: number
  /** What the customers pay for a kilowatt-hour. */
  energyPrice?: number
}

/** Rates as a shop entered them; what it has not said yet stands as usual. */
export type EnteredRates = Omit<Rates, 'liveRisk' | 'helperHourly' | 'afterHours'> &
  Partial<Pick<Rates, 'liveRisk' | 'helperHourly' | 'afterHours'>> &
  Charges

export function wholeRates(entered: EnteredRates): Rates & Charges {
  const { liveRisk, helperHourly, afterHours, partPrices } = DEFAULT_RATES
  return { liveRisk, helperHourly, afterHours, ...entered, partPrices: { ...partPrices, ...entered.partPrices } }
}

/**
 * A wrong repair: how often it shows in Prove while the van is still there, and what finding the right one then takes.
 * `carryOnMinutes`: what it usually takes to find the cause by testing on, the yardstick that any repair made now must
 * beat.
 */
export const BEING_WRONG = {
  noticedOnSite: 0.7,
  onSiteMinutes: 60,
  laterMinutes: 60,
  carryOnMinutes: 30,
  basis: { kind: 'shop', name: 'shop estimate' } as Basis,
}
/** What a check costs beside its own minutes, as minutes. */
export const CHECKING = {
  /** Reaching for the instrument, reading it and writing it down. */
  overheadMinutes: 2,
  basis: { kind: 'shop', name: 'what a check costs beside its own minutes, shop estimate' } as Basis,
}
