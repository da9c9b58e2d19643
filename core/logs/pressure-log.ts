import { LOGGED } from '../knowledge/water/log-limits'
import { medianOf, quantileOf } from '../quantity/middle'
import type { Log } from './read-log'
import { gapsIn, slopeOf, withoutSpikes } from './steps'

/** One run of the pump: from where the pressure turns up to where it turns down, and the rest after it. */
export interface PumpCycle {
  startSeconds: number
  stopSeconds: number
  cutInPsi: number
  cutOutPsi: number
  /** Until the next start; absent of the last one, and where a gap lies between. */
  restSeconds?: number
}

/** A stretch in which nobody draws water, and what is lost in it all the same. */
export interface QuietStretch {
  fromSeconds: number
  untilSeconds: number
  psiPerHour: number
}

/** What a pressure log tells of a house's water. */
export interface PressureLog {
  hours: number
  cycles: PumpCycle[]
  /** Of the most of its runs. */
  cutInPsi?: number
  cutOutPsi?: number
  /** From start to start where it comes round fastest, and its shortest run. */
  fastestCycleSeconds?: number
  shortestRunSeconds?: number
  /** The quietest stretch between two runs. */
  quiet?: QuietStretch
  /** Where the pressure drops away because the tank is empty of water: what its air stands at. */
  prechargePsi?: number
  /** Where nothing was written, seconds from the beginning. */
  gaps: { fromSeconds: number; untilSeconds: number }[]
}

const { turn: TURN, quiet: QUIET, knee: KNEE } = LOGGED
/** The fastest of ten. */
const FASTEST = 0.1

/** Cycles, pressures, losses and the tank's air, by a day's log of the pressure. */
export function pressureLog(log: Log): PressureLog {
  const values = withoutSpikes(log.values)
  const gaps = gapsIn(log)
  const cycles = piecesBetween(gaps, values.length).flatMap(([from, until]) =>
    cyclesIn(log.seconds.subarray(from, until), values.subarray(from, until)),
  )
  const cutInPsi = cycles.length > 0 ? medianOf(cycles.map((cycle) => cycle.cutInPsi)) : undefined
  const rounds = cycles.flatMap(({ startSeconds, stopSeconds, restSeconds }) =>
    restSeconds === undefined ? [] : [stopSeconds - startSeconds + restSeconds],
  )
  const knees = cutInPsi === undefined ? [] : kneesIn(log.seconds, values, cutInPsi)
  const quiet = quietest(log.seconds, values, cycles)
  return {
    hours: ((log.seconds.at(-1) ?? 0) - (log.seconds[0] ?? 0)) / 3_600,
    cycles,
    ...(cutInPsi === undefined
      ? {}
      : {
          cutInPsi,
          cutOutPsi: medianOf(cycles.map((cycle) => cycle.cutOutPsi)),
          shortestRunSeconds: Math.min(...cycles.map(({ startSeconds, stopSeconds }) => stopSeconds - startSeconds)),
        }),
    ...(rounds.length > 0 ? { fastestCycleSeconds: quantileOf(rounds, FASTEST) } : {}),
    ...(quiet ? { quiet } : {}),
    ...(knees.length >= KNEE.atLeast ? { prechargePsi: medianOf(knees) } : {}),
    gaps: gaps.map((at) => ({ fromSeconds: log.seconds[at - 1] as number, untilSeconds: log.seconds[at] as number })),
  }
}

function piecesBetween(gaps: readonly number[], length: number): [from: number, until: number][] {
  return [0, ...gaps].map((from, at) => [from, gaps[at] ?? length])
}

/** Turns of the pressure that are large enough: the lowest before each rise, the highest before each fall. */
function turnsOf(values: Float64Array): { at: number; is: 'low' | 'high' }[] {
  const most = Math.max(TURN.leastPsi, TURN.share * (quantileOf(values, 0.95) - quantileOf(values, 0.05)))
  const turns: { at: number; is: 'low' | 'high' }[] = []
  let [low, high] = [0, 0]
  let rising: boolean | undefined
  values.forEach((value, at) => {
    if (value < values[low]!) low = at
    if (value > values[high]!) high = at
    if (rising !== true && value - values[low]! >= most) {
      turns.push({ at: low, is: 'low' })
      ;[rising, high] = [true, at]
    } else if (rising !== false && values[high]! - value >= most) {
      turns.push({ at: high, is: 'high' })
      ;[rising, low] = [false, at]
    }
  })
  if (rising === true) turns.push({ at: high, is: 'high' })
  return turns
}

function cyclesIn(seconds: Float64Array, values: Float64Array): PumpCycle[] {
  const turns = turnsOf(values)
  const lows = turns.flatMap((turn, index) => {
    const next = turns[index + 1]
    // Where the log begins in the middle of a run, its start was not seen.
    return turn.is === 'low' && turn.at > 0 && next
      ? [{ low: turn.at, high: next.at, after: turns[index + 2]?.at }]
      : []
  })
  return lows.map(({ low, high, after }) => ({
    startSeconds: seconds[low] as number,
    stopSeconds: seconds[high] as number,
    cutInPsi: values[low] as number,
    cutOutPsi: values[high] as number,
    ...(after === undefined ? {} : { restSeconds: (seconds[after] as number) - (seconds[high] as number) }),
  }))
}

/** The stretch between two runs in which the pressure falls least: what is lost there is lost always. */
function quietest(seconds: Float64Array, values: Float64Array, cycles: readonly PumpCycle[]): QuietStretch | undefined {
  const rests = cycles.flatMap(({ stopSeconds, restSeconds }) =>
    restSeconds === undefined ? [] : [[stopSeconds, stopSeconds + restSeconds] as const],
  )
  const longest = Math.max(0, ...rests.map(([from, until]) => until - from))
  const length = Math.min(QUIET.seconds, QUIET.shareOfRest * longest)
  if (length < QUIET.leastSeconds) return undefined
  const stretches = rests.flatMap(([from, until]) => {
    const count = Math.floor((until - from) / length)
    return Array.from({ length: count }, (_, at): QuietStretch => {
      const [start, end] = [from + at * length, from + (at + 1) * length]
      const [first, last] = [indexAt(seconds, start), indexAt(seconds, end)]
      const rise = slopeOf(seconds.subarray(first, last), values.subarray(first, last))
      return { fromSeconds: start, untilSeconds: end, psiPerHour: Math.max(0, -rise * 3_600) }
    })
  })
  return stretches.reduce<QuietStretch | undefined>(
    (least, each) => (least === undefined || each.psiPerHour < least.psiPerHour ? each : least),
    undefined,
  )
}

/** The first value at or after an instant. */
function indexAt(seconds: Float64Array, at: number): number {
  let [low, high] = [0, seconds.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if (seconds[middle]! < at) low = middle + 1
    else high = middle
  }
  return low
}

/** Where the fall before a low turn bends down: below it there is no water left in the tank. */
function kneesIn(seconds: Float64Array, values: Float64Array, cutInPsi: number): number[] {
  return turnsOf(values).flatMap(({ at, is }) => {
    if (is !== 'low' || values[at]! > cutInPsi - KNEE.belowCutInPsi) return []
    const from = Math.max(0, at - KNEE.within)
    const knees = Array.from({ length: Math.max(0, at - from - 2 * KNEE.values + 1) }, (_, index) => {
      const knee = from + KNEE.values + index
      const above = -slopeOf(seconds.subarray(from, knee + 1), values.subarray(from, knee + 1))
      const below = -slopeOf(seconds.subarray(knee, at + 1), values.subarray(knee, at + 1))
      const isDrop = values[knee]! - values[at]! >= KNEE.dropPsi
      return { psi: values[knee] as number, ratio: above > 0 && isDrop ? below / above : 0 }
    })
    const best = knees.reduce((most, each) => (each.ratio > most.ratio ? each : most), { psi: 0, ratio: 0 })
    return best.ratio >= KNEE.ratio ? [best.psi] : []
  })
}
