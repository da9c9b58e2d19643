import { PRESSURES } from '../../knowledge/water/pressures'
import { judgeRange } from '../../judgement/judgement'
import { formatShare } from '../../quantity/format'
import { q, r, say } from '../../quantity/sentence'
import { defineLive, slider } from './live'

/** Shares of a pool’s friction in its suction and in the rest, clean; and what it lifts. Common practice. */
const SUCTION_FRICTION = 0.3
const REST_FRICTION = 1 - SUCTION_FRICTION
const FULL_FRICTION_INHG = 5.5
const LIFT_FEET = 2
const FULL_GPM = 55
/** A wheel loses its water at six to eight parts of air in a hundred (Hydraulic Institute, from memory). */
const LOSES_AT = 0.07

/** Air and a blocked intake both starve a pump; the vacuum tells them apart. */
export const suctionAir = defineLive(
  [
    slider('air', 'Air that is drawn in', [0, 0.09], 0.03, (value) => formatShare(value)),
    slider('block', 'How far basket and intake are blocked', [0, 0.95], 0, (value) => formatShare(value)),
  ],
  ({ air, block }) => {
    const resistance = SUCTION_FRICTION / (1 - block) ** 2
    const moves = Math.sqrt(1 / (resistance + REST_FRICTION)) * Math.max(0, 1 - air / LOSES_AT)
    const lift = LIFT_FEET * PRESSURES.jetVacuum.inHgPerFoot * (1 - air)
    const vacuum = moves === 0 ? 0 : lift + FULL_FRICTION_INHG * (resistance / SUCTION_FRICTION) * moves ** 2
    const { lowInHg, highInHg } = PRESSURES.vacuum
    const { verdict } = judgeRange(vacuum, { low: lowInHg, high: highInHg })
    return {
      figures: [
        { id: 'vacuum', label: 'vacuum before the wheel', told: say`${r(vacuum, 'inHg', 2)}`, verdict },
        {
          id: 'flow',
          label: 'flow',
          told: say`${r(FULL_GPM * moves, 'gpm', 2)}`,
          verdict: moves < 0.5 ? 'failed' : moves < 0.8 ? 'tired' : 'sound',
        },
        {
          id: 'pot',
          label: 'under the lid',
          told: moves === 0 ? 'empty' : air > 0.01 ? 'bubbles' : 'clear',
          verdict: air > 0.01 ? 'failed' : 'sound',
        },
        { id: 'limits', label: 'sound between', told: say`${r(lowInHg, 'inHg')} and ${r(highInHg, 'inHg')}` },
      ],
      says:
        moves === 0
          ? say`It has lost its water: at ${q(100 * LOSES_AT, 'percent')} of air no wheel holds it.`
          : block > 0.5 && air < 0.01
            ? 'Little flow and much vacuum: the water is held back on its way in. No air is to be looked for.'
            : air >= 0.01
              ? 'Little flow and little vacuum, and bubbles under the lid: air comes in on the suction side.'
              : 'Water alone comes in, and enough of it.',
    }
  },
)
