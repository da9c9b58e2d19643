import type { Telling } from '../quantity/sentence'
import type { Unit } from '../quantity/units'

/** The four states of a part or reading that has been looked at; "not checked" is the absence of a judgement. */
export type Verdict = 'sound' | 'tired' | 'failed' | 'unclear'

export type BasisKind = 'standard' | 'handbook' | 'maker' | 'common-practice' | 'shop'

/** What people read for each kind of source. */
export const BASIS_WORDS: Record<BasisKind, string> = {
  standard: 'standard',
  handbook: 'handbook',
  maker: 'maker',
  'common-practice': 'common practice',
  shop: 'shop estimate',
}

/** Where a limit comes from. Every figure in `knowledge/` carries one. */
export interface Basis {
  kind: BasisKind
  name: string
}

/** One reading, judged. The one shape that screens, sheets, the command line and HTTP show. */
export interface Judgement {
  check?: string
  part?: string
  leads?: string
  subject: string
  value: number | string | null
  unit?: Unit | '%'
  verdict: Verdict
  low?: number
  high?: number
  /** Distance to the nearest limit as a fraction of the limit: positive inside, negative outside. */
  margin?: number
  because: Telling
  basis: Basis
  corrected?: { value: number; to: string; rule: string }
}

/** A judgement in which no reader's units matter: its reason is words already. */
export type PlainJudgement = Judgement & { because: string }

export interface RangeLimits {
  low?: number
  high?: number
  /** The share of the permitted half-width next to a limit that counts as tired. */
  tiredFraction?: number
}

/**
 * Judges a number against limits: `failed` outside, `tired` inside with little margin left, `sound` otherwise.
 *
 * @param value in the unit of the limits
 * @returns the verdict and the margin, a fraction of the nearest limit (positive inside)
 */
export function judgeRange(
  value: number,
  { low, high, tiredFraction = 0 }: RangeLimits,
): { verdict: 'sound' | 'tired' | 'failed'; margin: number } {
  const toLow = low === undefined ? Infinity : value - low
  const toHigh = high === undefined ? Infinity : high - value
  const nearest = toLow <= toHigh ? { distance: toLow, limit: low } : { distance: toHigh, limit: high }
  const margin =
    nearest.limit === undefined || nearest.limit === 0 ? nearest.distance : nearest.distance / Math.abs(nearest.limit)
  if (nearest.distance < 0) return { verdict: 'failed', margin }
  const halfWidth = low !== undefined && high !== undefined ? (high - low) / 2 : Math.abs((low ?? high) as number)
  return { verdict: nearest.distance < halfWidth * tiredFraction ? 'tired' : 'sound', margin }
}

const ORDER: Record<Verdict, number> = { failed: 3, tired: 2, unclear: 1, sound: 0 }

/** The worse of several verdicts: failed, then tired, then cannot tell, then sound. */
export function worstVerdict(verdicts: readonly Verdict[]): Verdict | undefined {
  return [...verdicts].sort((a, b) => ORDER[b] - ORDER[a])[0]
}

/** What people read for each verdict. */
export const VERDICT_WORDS: Record<Verdict, string> = {
  sound: 'sound',
  tired: 'tired',
  failed: 'failed',
  unclear: 'cannot tell',
}
