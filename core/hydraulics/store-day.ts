import { q, say } from '../quantity/sentence'
import { badField } from '../validation/input-error'

/**
 * A store that fills by itself and is emptied by a pump between two levels, in litres above empty.
 *
 * A sump is one as it stands. A pressure tank is one turned round: what is missing from it is what fills, by the draw.
 */
export interface LevelStore {
  onLitres: number
  offLitres: number
  brimLitres: number
  pumpLitresPerSecond: number
  drainBackLitres?: number
}
/** Seconds from the start, without power. */
export interface PowerCut {
  fromSeconds: number
  toSeconds: number
}
export interface StoreRun {
  starts: number
  startsInWorstHour: number
  onSeconds: number
  shortestRunSeconds?: number
  longestRunSeconds?: number
  /** Over the brim, litres, and when it first stood there, seconds. */
  overflowLitres: number
  overflowAtSeconds?: number
  highestLitres: number
  endLitres: number
  /** Level over time, for drawing; as many as asked for and no more. */
  trace: { seconds: number; litres: number }[]
}

/** A point due at the very end must not be lost to rounding. */
const ROUNDING_SECONDS = 1e-6
/** Levels nearer than this together would switch for ever. */
const MOST_EVENTS = 20_000_000
const MOST_EVENTS_A_STEP = 10_000

/**
 * Follows a store event by event through steps of steady inflow: exact between events, so a year of minutes costs a
 * step a minute and one more for every start and stop.
 *
 * @param inflow litres per second, one for each step
 * @throws InputError when the levels do not stand in their order, or lie so near that the pump would never rest
 */
export function runStore(
  store: LevelStore,
  inflow: ArrayLike<number>,
  {
    stepSeconds,
    startLitres = store.offLitres,
    cuts = [],
    traced = 0,
  }: { stepSeconds: number; startLitres?: number; cuts?: readonly PowerCut[]; traced?: number },
): StoreRun {
  const { onLitres, offLitres, brimLitres, pumpLitresPerSecond, drainBackLitres = 0 } = store
  if (!(onLitres > offLitres)) throw badField('onLevel', onLitres, `above the off-level, ${offLitres}`)
  if (!(brimLitres >= onLitres)) throw badField('brim', brimLitres, `not below the on-level, ${onLitres}`)
  if (!(drainBackLitres < onLitres - offLitres))
    throw badField(
      'drainBackLitres',
      drainBackLitres,
      say`less than the ${q(onLitres - offLitres, 'volume')} between the levels`,
    )
  const edges = [...cuts].sort((a, b) => a.fromSeconds - b.fromSeconds)
  const total = inflow.length * stepSeconds
  const tracedEvery = traced > 1 ? total / (traced - 1) : Infinity
  let [level, on, now, runStarted, cut, nextTrace, events] = [Math.min(startLitres, brimLitres), false, 0, 0, 0, 0, 0]
  const run: StoreRun = {
    starts: 0,
    startsInWorstHour: 0,
    onSeconds: 0,
    overflowLitres: 0,
    highestLitres: level,
    endLitres: level,
    trace: [],
  }
  let [hour, inHour] = [0, 0]

  const stop = () => {
    on = false
    const ran = now - runStarted
    run.onSeconds += ran
    if (run.shortestRunSeconds === undefined || ran < run.shortestRunSeconds) run.shortestRunSeconds = ran
    if (run.longestRunSeconds === undefined || ran > run.longestRunSeconds) run.longestRunSeconds = ran
    level += drainBackLitres
  }
  const start = () => {
    on = true
    runStarted = now
    run.starts++
    const thisHour = Math.floor(now / 3600)
    if (thisHour !== hour) [hour, inHour] = [thisHour, 0]
    if (++inHour > run.startsInWorstHour) run.startsInWorstHour = inHour
  }
  for (let step = 0; step < inflow.length; step++) {
    const rate = inflow[step] as number
    const end = (step + 1) * stepSeconds
    const eventsBefore = events
    while (now < end) {
      if (++events > MOST_EVENTS || events - eventsBefore > MOST_EVENTS_A_STEP)
        throw badField(
          'onLevel',
          onLitres,
          `farther above the off-level, ${offLitres}: so near, the pump would never rest`,
        )
      while (cut < edges.length && now >= (edges[cut]?.toSeconds as number)) cut++
      const edge = edges[cut]
      const dark = edge !== undefined && now >= edge.fromSeconds
      if (dark && on) stop()
      if (!dark && !on && level >= onLitres) start()
      const until = Math.min(end, edge === undefined ? end : dark ? edge.toSeconds : Math.max(edge.fromSeconds, now))
      const net = on ? rate - pumpLitresPerSecond : rate
      const goal = net > 0 ? (on || dark ? brimLitres : onLitres) : on ? offLitres : -Infinity
      const reach = net === 0 || (net > 0 ? level >= goal : level <= goal) ? Infinity : (goal - level) / net
      const hit = reach <= until - now
      const span = hit ? reach : until - now
      while (nextTrace <= now + span + ROUNDING_SECONDS && run.trace.length < traced) {
        run.trace.push({ seconds: nextTrace, litres: Math.min(brimLitres, level + net * Math.max(0, nextTrace - now)) })
        nextTrace += tracedEvery
      }
      const moved = level + net * span
      if (moved > brimLitres) run.overflowLitres += moved - brimLitres
      level = hit ? goal : Math.min(moved, brimLitres)
      now = hit ? now + span : until
      if (level > run.highestLitres) run.highestLitres = level
      if (level >= brimLitres && net > 0 && run.overflowAtSeconds === undefined) run.overflowAtSeconds = now
      if (on && level <= offLitres) stop()
    }
  }
  run.endLitres = level
  if (on) run.onSeconds += now - runStarted
  return run
}
