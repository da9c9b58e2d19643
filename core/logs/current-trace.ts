import { START_WINDING } from '../knowledge/water/log-limits'
import { medianOf, quantileOf } from '../quantity/middle'
import type { Log } from './read-log'
import { gapsIn } from './steps'

/** One run of a motor as its current tells it. */
export interface MotorRun {
  fromSeconds: number
  /** Still running, or in a gap, where the log ends. */
  untilSeconds: number
  inrushAmps: number
  /** Until the current has come down to what it runs with. */
  startSeconds: number
  runningAmps: number
  /** Times that the current leapt up again while it ran. */
  leaps: number
  /** It never came down: the rotor stands. */
  stalls: boolean
}

/** What a trace of the current tells of a motor. */
export interface CurrentTrace {
  hours: number
  runs: MotorRun[]
  /** Of the most of its runs. */
  runningAmps?: number
  inrushAmps?: number
  longestStartSeconds?: number
  shortestRunSeconds?: number
  longestRunSeconds?: number
  /** The trace is fine enough to see a start. */
  seesStarts: boolean
  startSwitch: 'cannot-tell' | 'lets-go' | 'late' | 'comes-back'
  gaps: { fromSeconds: number; untilSeconds: number }[]
}

/** Below this share of what it runs with nothing runs; it starts, leaps or stands from so many times on. */
const SHARES = { off: 0.35, started: 1.6, stalls: 2.8 } as const
/** What a meter shows of nothing, amperes and as a share of the most. */
const NOTHING = { amps: 0.2, share: 0.02 } as const
/** A run is one from so many values on. */
const FEWEST = 2

/**
 * Starts, runs and what the start winding does, by a log of the current.
 *
 * @param fullLoadAmps of the plate: without it a motor that never turned is not known from one that did
 */
export function currentTrace(log: Log, fullLoadAmps?: number): CurrentTrace {
  const { seconds, values } = log
  const most = values.reduce((highest, value) => Math.max(highest, value), 0)
  const on = values.filter((value) => value > Math.max(NOTHING.amps, NOTHING.share * most))
  const usual = medianOf(on)
  const step = medianOf(seconds.slice(1).map((at, index) => at - (seconds[index] as number)))
  const gaps = gapsIn(log)
  const runs = on.length === 0 ? [] : runsIn(log, SHARES.off * usual, new Set(gaps), fullLoadAmps ?? usual)
  const turning = runs.filter(({ stalls }) => !stalls)
  const seesStarts = step > 0 && step <= START_WINDING.seesSeconds
  const lengths = runs.map(({ fromSeconds, untilSeconds }) => untilSeconds - fromSeconds)
  return {
    hours: ((seconds.at(-1) ?? 0) - (seconds[0] ?? 0)) / 3_600,
    runs,
    ...(turning.length > 0 ? { runningAmps: medianOf(turning.map(({ runningAmps }) => runningAmps)) } : {}),
    ...(runs.length > 0 ? { shortestRunSeconds: Math.min(...lengths), longestRunSeconds: Math.max(...lengths) } : {}),
    ...(runs.length > 0 && seesStarts
      ? {
          inrushAmps: medianOf(runs.map(({ inrushAmps }) => inrushAmps)),
          longestStartSeconds: Math.max(0, ...turning.map(({ startSeconds }) => startSeconds)),
        }
      : {}),
    seesStarts,
    startSwitch: startSwitchOf(turning, seesStarts),
    gaps: gaps.map((at) => ({ fromSeconds: seconds[at - 1] as number, untilSeconds: seconds[at] as number })),
  }
}

function startSwitchOf(turning: readonly MotorRun[], seesStarts: boolean): CurrentTrace['startSwitch'] {
  if (turning.length === 0 || !seesStarts) return 'cannot-tell'
  if (turning.some(({ leaps }) => leaps > 0)) return 'comes-back'
  return turning.some(({ startSeconds }) => startSeconds > START_WINDING.lateSeconds) ? 'late' : 'lets-go'
}

function runsIn({ seconds, values }: Log, off: number, gaps: ReadonlySet<number>, usual: number): MotorRun[] {
  const runs: MotorRun[] = []
  let from: number | undefined
  const close = (until: number) => {
    if (from !== undefined && until - from >= FEWEST)
      runs.push(runOf(seconds.subarray(from, until), values.subarray(from, until), usual))
    from = undefined
  }
  values.forEach((value, at) => {
    if (gaps.has(at)) close(at)
    if (value <= off) close(at)
    else from ??= at
  })
  close(values.length)
  return runs
}

function runOf(seconds: Float64Array, values: Float64Array, usual: number): MotorRun {
  const runningAmps = quantileOf(values.subarray(values.length >> 2), 0.5)
  const stalls = runningAmps > SHARES.stalls * usual
  const high = SHARES.started * runningAmps
  const settled = values.findIndex((value) => value < high)
  let leaps = 0
  for (let at = Math.max(1, settled + 1); at < values.length; at++)
    if (settled >= 0 && values[at]! >= high && values[at - 1]! < high) leaps++
  const first = seconds[0] as number
  return {
    fromSeconds: first,
    untilSeconds: seconds.at(-1) as number,
    inrushAmps: values.reduce((most, value) => Math.max(most, value), 0),
    startSeconds: settled < 0 ? (seconds.at(-1) as number) - first : (seconds[settled] as number) - first,
    runningAmps,
    leaps,
    stalls,
  }
}
