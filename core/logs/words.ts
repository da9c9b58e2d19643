import { LOGGED } from '../knowledge/water/log-limits'
import { PRESSURES } from '../knowledge/water/pressures'
import { formatSeconds } from '../quantity/format'
import { r, say, type Sentence } from '../quantity/sentence'
import type { CurrentTrace } from './current-trace'
import type { PressureLog } from './pressure-log'

/** What a pressure log says, the weightiest first. */
export function pressureWords({
  cycles,
  fastestCycleSeconds,
  quiet,
  prechargePsi,
  hours,
  gaps,
}: PressureLog): Sentence[] {
  if (cycles.length === 0) return [say`In ${Number(hours.toFixed(1))} h the pump did not start once, or never stopped.`]
  const often =
    fastestCycleSeconds !== undefined && fastestCycleSeconds < PRESSURES.cycleSeconds.low
      ? [say`It comes round in ${formatSeconds(fastestCycleSeconds)}; a minute is the least: the tank gives little.`]
      : []
  return [
    say`${cycles.length} starts in ${Number(hours.toFixed(1))} h.`,
    ...often,
    ...(quiet ? [lossWords(quiet.psiPerHour)] : [say`It never rested long enough to say what is lost.`]),
    ...(prechargePsi === undefined
      ? []
      : [say`Below ${r(prechargePsi, 'psi', 3)} it drops away: there the tank is empty, and its air stands at that.`]),
    ...(gaps.length > 0 ? [say`Nothing was written ${gaps.length === 1 ? 'once' : `${gaps.length} times`}.`] : []),
  ]
}

function lossWords(psiPerHour: number): Sentence {
  return psiPerHour < LOGGED.tightPsiPerHour
    ? say`At its quietest it loses nothing: the house is tight.`
    : say`At its quietest it still loses ${r(psiPerHour, 'psi', 2)} an hour: something runs, or runs back.`
}

const SWITCH_WORDS: Readonly<Record<Exclude<CurrentTrace['startSwitch'], 'cannot-tell'>, string>> = {
  'lets-go': 'The start winding lets go as it should.',
  late: 'The start winding stays in too long: switch or relay, low volts, or a heavy load.',
  'comes-back': 'The start winding comes back while it runs: the switch slips.',
}

/** What a trace of the current says, the weightiest first. */
export function currentWords({ runs, startSwitch, hours, gaps, seesStarts }: CurrentTrace): Sentence[] {
  if (runs.length === 0) return [say`In ${Number(hours.toFixed(1))} h it did not run.`]
  const stalls = runs.filter((run) => run.stalls).length
  return [
    say`${runs.length === 1 ? 'One run' : `${runs.length} runs`} in ${Number(hours.toFixed(2))} h.`,
    ...(stalls > 0
      ? [say`${stalls === 1 ? 'Once' : `${stalls} times`} it stood and drew what it draws standing.`]
      : []),
    ...(startSwitch === 'cannot-tell' ? [] : [say`${SWITCH_WORDS[startSwitch]}`]),
    ...(seesStarts ? [] : [say`Its steps are too far apart to see a start.`]),
    ...(gaps.length > 0 ? [say`Nothing was written ${gaps.length === 1 ? 'once' : `${gaps.length} times`}.`] : []),
  ]
}
