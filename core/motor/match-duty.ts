import { HOUSE_WATER, type Kind } from '../knowledge/vocabulary'
import { PSI_PER_METRE_OF_WATER } from '../quantity/conversions'
import { q, say } from '../quantity/sentence'
import type { MatchPoint } from './match'
import type { Installation } from './nameplate'

/** What a pump is sold for: so much water to such a height. */
export interface Duty {
  flowLitresPerSecond: number
  headMetres: number
}

/** Left for the pipe's friction before it is worked out. Common practice. */
const FRICTION_SHARE = 0.1

/**
 * The head that a place asks for before any friction, metres of water: its lift, and the pressure at which its switch
 * stops where a house hangs on it.
 *
 * @returns undefined where the lift is not known, or the water goes round in a loop
 */
export function neededHead(
  kind: Kind,
  { liftMetres, cutOutPsi }: Pick<Installation, 'liftMetres' | 'cutOutPsi'> = {},
): number | undefined {
  if (liftMetres === undefined) return undefined
  if (kind === 'sump') return liftMetres
  return HOUSE_WATER.includes(kind) && cutOutPsi !== undefined
    ? liftMetres + cutOutPsi / PSI_PER_METRE_OF_WATER
    : undefined
}

/**
 * A new pump held against what its place asks of it. Horsepower is no duty.
 *
 * @source common practice
 */
export function matchDuty(duty: Duty | undefined, needed: number | undefined): MatchPoint {
  const point = {
    point: 'duty',
    label: 'Duty',
    ...(needed === undefined ? {} : { old: say`asked ${q(needed, 'head')}` }),
    ...(duty ? { new: say`${q(duty.flowLitresPerSecond, 'flow')} at ${q(duty.headMetres, 'head')}` } : {}),
  } as const
  if (!duty)
    return { ...point, verdict: 'not-read', because: 'Its flow and head: horsepower alone says nothing of the duty.' }
  if (needed === undefined)
    return { ...point, verdict: 'not-read', because: 'Lift and pressure of the place are not written down under Call.' }
  if (duty.headMetres < needed)
    return { ...point, verdict: 'does-not', because: 'It does not reach: no water comes at the top.' }
  if (duty.headMetres < needed * (1 + FRICTION_SHARE))
    return { ...point, verdict: 'fits-with', because: 'It just reaches: the friction of the pipe worked out first.' }
  return { ...point, verdict: 'fits', because: 'It reaches, with something left for the pipe’s friction.' }
}
