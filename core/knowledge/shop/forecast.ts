import type { Basis } from '../../judgement/judgement'

/** How far a shop's own machines may fail otherwise than the tables say, before its visits have said anything. */
export const FORECAST = {
  /** Standard deviation of the logarithm of the factor that all of a shop's rates share: water, power, care. */
  shopSpread: 0.5,
  /** Shapes that each part's own factor may have as a gamma: with four it lies between half and double, mostly. */
  partShapes: [1, 2, 4, 8],
  /** What was seen longer ago than this says little of the machines as they are now, years. */
  historyYears: 6,
  /** Futures that are drawn, and what share of them the span holds. */
  draws: 1000,
  share: 0.8,
  /** A machine is named where it fails more likely than this. */
  worthNaming: 0.1,
  basis: {
    kind: 'shop',
    name: 'how far shops lie from the tables, shop estimate; their own failures move it',
  } as Basis,
}
