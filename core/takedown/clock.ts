import { closing } from './step-ref'
import { chance } from '../quantity/random'
import type { TakeDownPlan, TakeDownStep, Wait } from './plan'

const SAMPLES = 2000
const OF_THE_DAY = 0.5
const USUAL_SEED = 1

/** The likely minutes of steps, one after the other. */
export function likelyMinutes(steps: readonly Pick<TakeDownStep, 'minutes'>[]): number {
  return steps.reduce((sum, { minutes }) => sum + minutes, 0)
}

/**
 * Half and nine tenths of the minutes, by seeded tries of every step's three points. Half of a step's luck is its own,
 * half the day's: what runs late, runs late together. A wait runs by itself from the end of its step; what wants its
 * gate, or closes what it holds, stands still for the rest of it.
 */
export function minutesOf(
  steps: readonly Pick<TakeDownStep, 'id' | 'times' | 'gates'>[],
  waits: readonly Wait[],
  seed: number = USUAL_SEED,
): TakeDownPlan['minutes'] {
  const { next } = chance(seed)
  const plan = steps.map((step) => timeOf(step, waits))
  const until = new Float64Array(waits.length)
  const totals = new Float64Array(SAMPLES)
  for (let sample = 0; sample < SAMPLES; sample++) {
    let clock = 0
    const day = next()
    until.fill(0)
    for (const { low, likely, high, turn, heldBy, starts } of plan) {
      for (const wait of heldBy) clock = Math.max(clock, until[wait] as number)
      const share = next() < OF_THE_DAY ? day : next()
      // Triangular: the share of tries that end below these minutes.
      if (high <= low) clock += likely
      else if (share < turn) clock += low + Math.sqrt(share * (high - low) * (likely - low))
      else clock += high - Math.sqrt((1 - share) * (high - low) * (high - likely))
      for (const wait of starts) until[wait] = clock + (waits[wait] as Wait).minutes
    }
    totals[sample] = clock
  }
  totals.sort()
  return { p50: totals[Math.floor(SAMPLES / 2)] as number, p90: totals[Math.floor(SAMPLES * 0.9)] as number }
}

/** A step’s three points, the waits that hold it and those that it starts, by their places in the list. */
function timeOf(
  { id, times: [low, likely, high], gates }: Pick<TakeDownStep, 'id' | 'times' | 'gates'>,
  waits: readonly Wait[],
) {
  const places = (test: (wait: Wait) => boolean) => waits.flatMap((wait, place) => (test(wait) ? [place] : []))
  return {
    low,
    likely,
    high,
    turn: high > low ? (likely - low) / (high - low) : 0,
    heldBy: places(
      ({ gate, closes }) =>
        (gate !== undefined && gates.includes(gate)) || (closes !== undefined && id === closing(closes)),
    ),
    starts: places(({ after }) => after === id),
  }
}
