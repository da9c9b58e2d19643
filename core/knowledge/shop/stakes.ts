import type { Basis } from '../../judgement/judgement'
import type { Part } from '../vocabulary'

/** How many times the usual trouble it is when a pump stays down, by what hangs on it. */
export const STAKES = {
  livestock: 4,
  onlySupply: 2.5,
  floodedCellar: 5,
  basis: { kind: 'shop', name: 'what a day without the pump costs whom, shop estimate' } as Basis,
}

/** A pump that is sent back under warranty is away for weeks: as many times the trouble of waiting for one visit. */
export const WARRANTY_RETURN = {
  timesDowntime: 1.5,
  /** Opening a motor ends its warranty: so much of a new one’s price is given away. */
  forfeitShare: 0.15,
  basis: { kind: 'shop', name: 'weeks there and back, mostly bridged by a loan pump; shop estimate' } as Basis,
}

/** From here a string is lifted by two: what hangs in the well weighs more than one may lift. */
export const TWO_PEOPLE = {
  fromMetres: 30,
  basis: { kind: 'common-practice', name: 'two people at the well head from about thirty metres of string' } as Basis,
}

/** What is sold by the metre: the price in the shop’s list is for so many. */
export const METRED: Readonly<Partial<Record<Part, { length: 'cableMetres' | 'wellDepthMetres'; pricedFor: number }>>> =
  { cable: { length: 'cableMetres', pricedFor: 50 }, 'drop-pipe': { length: 'wellDepthMetres', pricedFor: 50 } }
export const METRED_BASIS: Basis = { kind: 'shop', name: 'the list’s price is for fifty metres, shop default' }

/** What life is left in what is not renewed: how far ahead an investment in it is looked for. */
export const LIFE_LEFT = {
  horizonYears: 2,
  /** Of what was put in, this share is lost where the machine ends within them: the rest has served by then. */
  lostShare: 0.4,
  /** A new motor or pump may end in its first year: and this share of that the warranty bears. */
  earlyEnd: 0.03,
  warrantyBears: 0.8,
  basis: { kind: 'shop', name: 'a rebuild at twelve years is not one at four; shop estimate' } as Basis,
}
/** Parts that are lost with the motor, or the sealed pump, that they were put into. */
export const LOST_WITH_MOTOR: ReadonlySet<Part> = new Set<Part>([
  'bearings',
  'run-capacitor',
  'start-capacitor',
  'start-switch',
  'fan',
  'drive-electronics',
  'lead-connector',
  'stages',
  'pump-end',
])
/** Work that opens the motor, and so ends its warranty. */
export const OPENS_MOTOR: ReadonlySet<Part> = new Set<Part>(['bearings', 'start-switch'])
