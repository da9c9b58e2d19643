import { closing } from './step-ref'
import type { Minutes } from '../knowledge/constructions/joint'
import type { Gate } from '../knowledge/vocabulary'
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
  const begun = new Map(waits.map((wait) => [wait.after, wait]))
  const totals = Array.from({ length: SAMPLES }, () => {
    let clock = 0
    const day = next()
    const until: { gate?: Gate; closes?: string; at: number }[] = []
    for (const { id, times, gates } of steps) {
      for (const { gate, closes, at } of until)
        if ((gate !== undefined && gates.includes(gate)) || (closes !== undefined && id === closing(closes)))
          clock = Math.max(clock, at)
      clock += triangular(times, next() < OF_THE_DAY ? day : next())
      const wait = begun.get(id)
      if (wait) until.push({ gate: wait.gate, closes: wait.closes, at: clock + wait.minutes })
    }
    return clock
  }).sort((a, b) => a - b)
  return { p50: totals[Math.floor(SAMPLES / 2)] as number, p90: totals[Math.floor(SAMPLES * 0.9)] as number }
}

function triangular([low, likely, high]: Minutes, share: number): number {
  if (high <= low) return likely
  const turn = (likely - low) / (high - low)
  return share < turn
    ? low + Math.sqrt(share * (high - low) * (likely - low))
    : high - Math.sqrt((1 - share) * (high - low) * (high - likely))
}
