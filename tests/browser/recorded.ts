import { bearingInside } from '../../core/knowledge/mechanical/bearing-insides'
import type { Fault } from '../../core/knowledge/vocabulary'
import { chance } from '../../core/quantity/random'
import { writeWav } from '../../core/sound/recording'
import { buildMachine } from '../../core/virtual/build'
import { breakMachine } from '../../core/virtual/faults'
import { virtualSound } from '../../core/virtual/sound'

/** The bearing of the pumps that are recorded here. */
export const BEARING = '6203'

/** A recording of a virtual pool pump with a fault, as a WAV file. */
export function recordedPump(fault: Fault, { seconds = 10, hertz = 24_000, seed = 3 } = {}): Buffer {
  const dice = chance(seed)
  const machine = buildMachine('pool', dice)
  breakMachine(machine, fault, dice)
  const bearing = bearingInside(BEARING)
  if (!bearing) throw new Error(`${BEARING} is not in the table`)
  const values = virtualSound(machine, { hertz, seconds, noise: 0.01, bearing, vanes: 5, place: 'outer' }, dice)
  return Buffer.from(writeWav({ hertz, values }))
}
