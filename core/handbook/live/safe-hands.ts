import { capacitorBleed } from '../../electrical/capacitor'
import { BLEED } from '../../knowledge/electrical/limits'
import { q, r, say } from '../../quantity/sentence'
import { choice, defineLive, slider } from './live'

const LINE = 120
/** A body from hand to hand, wet and at mains, is about a thousand ohms (IEC 60479-1, from memory). */
const BODY_OHMS = 1000
/** From about so much a hand no longer lets go (IEC 60479-1, from memory). */
const HOLDS_MILLIAMPS = 10
/**
 * Volts of each line to ground, and across, after the breaker that somebody took for the right one. Through the motor’s
 * winding a pole that did not let go feeds the other line too: across them there is nothing.
 */
const STATES = [
  { label: 'the right breaker', toGround: 0, across: 0 },
  { label: 'the breaker beside it', toGround: LINE, across: 2 * LINE },
  { label: 'its breaker, and one pole did not let go', toGround: LINE, across: 0 },
] as const

/** Dead is what was measured, line by line, and a capacitor on top of it. */
export const safeHands = defineLive(
  [
    choice(
      'breaker',
      'What was turned off',
      STATES.map(({ label }) => label),
      2,
    ),
    slider('microfarads', 'The capacitor', [5, 400], 25, (value) => say`${r(value, 'uF', 2)}`, 'log'),
    slider('seconds', 'Bled for', [0, 60], 1, (value) => say`${q(value, 'seconds', 2)}`),
  ],
  ({ breaker, microfarads, seconds }) => {
    const { toGround, across } = STATES[breaker] as (typeof STATES)[number]
    const [one, two] = [toGround, toGround]
    const held = Math.SQRT2 * 2 * LINE
    const left = held * Math.exp(-seconds / (BLEED.ohms * microfarads * 1e-6))
    const touched = Math.max(toGround, left)
    const bleed = capacitorBleed(microfarads, held)
    const isDead = toGround === 0
    const volts = (value: number) => say`${r(value, 'V', 3)}`
    return {
      figures: [
        {
          id: 'across',
          label: 'line to line',
          told: volts(across),
          verdict: across > BLEED.safeVolts ? 'failed' : 'sound',
        },
        { id: 'one', label: 'line 1 to ground', told: volts(one), verdict: one > BLEED.safeVolts ? 'failed' : 'sound' },
        { id: 'two', label: 'line 2 to ground', told: volts(two), verdict: two > BLEED.safeVolts ? 'failed' : 'sound' },
        {
          id: 'can',
          label: 'across the capacitor',
          told: volts(left),
          verdict: left > BLEED.safeVolts ? 'failed' : 'sound',
        },
        { id: 'wait', label: `needs, through ${BLEED.ohms / 1000} kΩ`, told: say`${q(bleed.seconds, 'seconds', 2)}` },
        {
          id: 'hand',
          label: 'through a hand',
          told: say`${(touched / BODY_OHMS) * 1000} mA`,
          verdict: (touched / BODY_OHMS) * 1000 > HOLDS_MILLIAMPS ? 'failed' : 'sound',
        },
      ],
      says: !isDead
        ? 'The handle is off and a line is live. All three are measured, with a meter proved before and after.'
        : left > BLEED.safeVolts
          ? 'The lines are dead and the capacitor is not. Wait, and measure it.'
          : 'Dead, and proved: three readings and one across the capacitor. Now a hand may go in.',
    }
  },
)
