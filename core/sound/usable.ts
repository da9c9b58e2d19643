import { SOUND_LIMITS } from '../knowledge/mechanical/sound-limits'
import { loudnessOf, rmsOf } from './fourier'
import type { Recording } from './recording'
import type { Doubt } from './verdicts'

/** With these nothing is said at all. */
const FATAL: ReadonlySet<Doubt> = new Set<Doubt>(['short', 'clipped', 'faint', 'unsteady'])
export const isFatal = (doubt: Doubt): boolean => FATAL.has(doubt)

const LIMITS = SOUND_LIMITS.recording

/** What speaks against a recording by its samples alone. */
export function doubtsOf({ values, hertz }: Recording): Doubt[] {
  const doubts: Doubt[] = []
  if (values.length / hertz < LIMITS.seconds) doubts.push('short')
  const stops = values.reduce((count, value) => count + (Math.abs(value) >= LIMITS.stop ? 1 : 0), 0)
  if (stops / values.length > LIMITS.atStops) doubts.push('clipped')
  if (rmsOf(values) < LIMITS.faint) doubts.push('faint')
  const loudness = loudnessOf({ values, hertz }, LIMITS.pieceSeconds).sort()
  const tenth = Math.floor(loudness.length / 10)
  const [quiet = 0, loud = 0] = [loudness[tenth], loudness[loudness.length - 1 - tenth]]
  if (loud > quiet * LIMITS.unsteady) doubts.push('unsteady')
  return doubts
}
