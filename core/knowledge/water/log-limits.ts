import type { Basis } from '../../judgement/judgement'

/** What a logger's pressure or current is read by. */
export const LOGGED = {
  /** A turn counts from so much of the usual span on, and never less than this: taps make smaller ones. */
  turn: { share: 0.35, leastPsi: 2 },
  /** Quiet is sought in stretches of so many seconds, or of what the longest rest has. */
  quiet: { seconds: 1_200, leastSeconds: 120, shareOfRest: 0.8 },
  /**
   * The knee of an empty tank: below it the pressure falls so many times as fast, by so much at least, seen in so many
   * values on each side; once is none.
   */
  knee: { ratio: 5, values: 3, within: 60, belowCutInPsi: 1.5, dropPsi: 3, atLeast: 2 },
  /** Losses under which a house is tight, psi an hour: what a tank does by itself as it cools. */
  tightPsiPerHour: 0.5,
  basis: { kind: 'shop', name: 'how a logged pressure is read, by days of virtual houses' } as Basis,
} as const

/** What a start winding may take. */
export const START_WINDING = {
  /** Half a second in, at three quarters of the speed, a start switch lets go; here it is late. */
  lateSeconds: 1.5,
  /** A start is seen in steps of at most so many seconds. */
  seesSeconds: 0.5,
  basis: { kind: 'common-practice', name: 'a start switch lets go about half a second in' } as Basis,
} as const
