import { medianOf } from '../quantity/middle'
import type { Log } from './read-log'

/** A value without its spike: one that stands so far from both its neighbours is none of the house's. */
const SPIKE_PSI = 4

/** A log without its spikes. A turn of the pressure is near one of its neighbours, and stays. */
export function withoutSpikes(values: Float64Array): Float64Array {
  return values.map((value, at, all) => {
    const [before, after] = [all[at - 1] ?? value, all[at + 1] ?? value]
    const isSpike =
      Math.min(Math.abs(value - before), Math.abs(value - after)) > SPIKE_PSI && value > before === value > after
    return isSpike ? (before + after) / 2 : value
  })
}

/** So many times the usual step from one value to the next is a gap, in which nothing is known. */
const GAP_STEPS = 20
const LEAST_GAP_SECONDS = 60

/** Where a log has gaps: the index of the value after each. */
export function gapsIn({ seconds }: Pick<Log, 'seconds'>): number[] {
  const steps = seconds.slice(1).map((at, index) => at - (seconds[index] as number))
  const most = Math.max(LEAST_GAP_SECONDS, GAP_STEPS * medianOf(steps))
  return [...steps].flatMap((step, index) => (step > most ? [index + 1] : []))
}

/** The line through points by least squares: how much it rises a second. */
export function slopeOf(seconds: Float64Array, values: Float64Array): number {
  const count = seconds.length
  const meanAt = seconds.reduce((sum, at) => sum + at, 0) / count
  const mean = values.reduce((sum, value) => sum + value, 0) / count
  let [across, up] = [0, 0]
  for (let at = 0; at < count; at++) {
    const beside = (seconds[at] as number) - meanAt
    across += beside * beside
    up += beside * ((values[at] as number) - mean)
  }
  return across === 0 ? 0 : up / across
}
