import { testedTooLow } from '../electrical/insulation'
import { checkInfo } from '../knowledge/checks/checks'
import { SUPPLY } from '../knowledge/electrical/limits'
import { AT_MOTOR, SIDE_RIGHT, standsStill } from '../knowledge/faults/fault-traits'
import type { Distribution, KindKnowledge, MeasuredRow, SeenRow } from '../knowledge/faults/model-types'
import { LIKELIHOOD } from '../knowledge/faults/thresholds'
import type { Fault } from '../knowledge/vocabulary'
import type { CompletePlate, Pump } from '../motor/nameplate'
import { checkKey, pickAsked, type Finding } from './finding'
import {
  backgroundOf,
  blend,
  mixHalves,
  mixtureDensity,
  mixtureStates,
  noisyMax,
  resolveMixture,
  type Background,
  type Guess,
  type Mixture,
} from './likelihood'
import type { CheckState, Hypothesis, ModelCheck } from './model'
import { statisticScale, type StatisticScale } from './statistic'

/** Which faults of a hypothesis a check can tell of. Without power a live check shows nothing but that. */
function speaking(
  check: string,
  told: object,
  { blocking }: KindKnowledge,
): (faults: readonly string[]) => readonly string[] {
  const live = checkInfo(check)?.gates.includes('power-on') ?? false
  const blockers = new Set<string>(live ? blocking : [])
  const known = new Set(Object.keys(told))
  return (faults) => {
    const blocker = blockers.size === 0 ? undefined : faults.find((fault) => blockers.has(fault))
    if (blocker) return known.has(blocker) ? [blocker] : []
    const [first, second] = faults as [string, string?]
    if (second === undefined) return known.has(first) ? faults : []
    return known.has(first) ? (known.has(second) ? faults : [first]) : known.has(second) ? [second] : []
  }
}

/** A check that is seen, heard or felt, as the engine sees it. */
export function seenCheck(row: SeenRow, hypotheses: readonly Hypothesis[], knowledge: KindKnowledge): ModelCheck {
  const outcomes = Object.keys(checkInfo(row.check)?.outcomes ?? {})
  // What the table does not speak of stands last, as unlikely under every cause.
  const states = [...(row.order ?? outcomes), ...outcomes.filter((outcome) => row.order?.includes(outcome) === false)]
  const shown = (state: string) => row.shows?.[state] !== undefined
  const floors = states.map((state) => (shown(state) ? LIKELIHOOD.falseSightFloor : LIKELIHOOD.floor))
  const leak = Object.fromEntries(
    Object.entries(row.leak).map(([state, given]) => [
      state,
      shown(state) ? Math.min(given, LIKELIHOOD.falseSight) : given,
    ]),
  )
  const rows = new Float64Array(hypotheses.length * states.length)
  const table: Partial<Record<string, Distribution>> = row.effects
  // Most hypotheses share their speaking faults with others: each set is worked out once.
  const known = new Map<string, number[]>()
  const speakingOf = speaking(row.check, table, knowledge)
  hypotheses.forEach(({ faults }, index) => {
    const telling = speakingOf(faults)
    const key = telling.length === 2 ? `${telling[0]}+${telling[1]}` : (telling[0] ?? '')
    let spread = known.get(key)
    if (!spread) {
      spread = noisyMax(states, [leak, ...telling.map((fault) => table[fault] as Distribution)], floors)
      known.set(key, spread)
    }
    rows.set(spread, index * states.length)
  })
  return {
    key: checkKey(row),
    ...pickAsked(row),
    rows,
    speaksOf: Object.keys(table),
    ...(row.standings ? { standings: row.standings } : {}),
    states: states.map((id) => ({ id })),
    weigh: ({ outcome, side }) => {
      const state = outcome === undefined ? -1 : states.indexOf(outcome)
      if (state < 0 || row.silent?.includes(outcome as string)) return null
      const seen = Float64Array.from(hypotheses, (_, index) => rows[index * states.length + state] as number)
      return side
        ? seen.map((given, h) => given * sideShare(side, speakingOf((hypotheses[h] as Hypothesis).faults)))
        : seen
    },
  }
}

/** How well the side where a thing is heard or felt suits the faults that would make it. */
function sideShare(side: NonNullable<Finding['side']>, faults: readonly string[]): number {
  if (faults.length === 0) return 1 - SIDE_RIGHT
  return faults.some((fault) => AT_MOTOR.has(fault) === (side === 'motor')) ? SIDE_RIGHT : 1 - SIDE_RIGHT
}

/** A check that gives a figure, as the engine sees it; undefined where this machine has nothing to compare it with. */
export function measuredCheck(
  row: MeasuredRow,
  plate: CompletePlate,
  pump: Pump,
  hypotheses: readonly Hypothesis[],
  knowledge: KindKnowledge,
): ModelCheck | undefined {
  const scale = statisticScale(row, plate, pump)
  if (!scale) return undefined
  const { mixtures, known, background } = mixturesOf(row, scale, scale.guess, plate, hypotheses, knowledge)
  // Beside a reading that is its measure no guess is left in it.
  const sure = scale.sure && scale.guess && mixturesOf(row, scale, undefined, plate, hypotheses, knowledge).mixtures
  const beside =
    row.besideRest && mixturesOf({ ...row, ...row.besideRest }, scale, undefined, plate, hypotheses, knowledge)
  const cuts = row.cuts
    .map((cut) => (cut === 'low' ? scale.low : cut === 'high' ? scale.high : cut))
    .sort((a, b) => a - b)
  const withOpen = known.some(({ open }) => open > 0)
  const states = rangeStates(row, cuts.map(scale.back), withOpen)
  const rows = new Float64Array(hypotheses.length * states.length)
  const spread = perMixture(mixtures, (mixture) => mixtureStates(mixture, cuts, withOpen))
  mixtures.forEach((mixture, index) => rows.set(spread.get(mixture) as number[], index * states.length))
  return {
    key: checkKey(row),
    ...pickAsked(row),
    states,
    rows,
    speaksOf: Object.keys(row.effects),
    weigh: (finding) => {
      if (finding.outcome !== undefined) return null
      if (finding.check === 'insulation-resistance' && testedTooLow(finding.testVolts)) return null
      const value = finding.value ?? null
      const rest = finding.beside?.restVolts
      if (beside && value !== null && rest !== undefined && rest > plate.volts * SUPPLY.absentFraction)
        return densities(beside.mixtures, value / rest, beside.background)
      const statistic = value === null ? null : scale.from(value, finding)
      return densities(sure && scale.sure?.(finding) ? sure : mixtures, statistic, background)
    },
  }
}

/** What a measured check reads under each hypothesis, and every mixture that its row knows. */
function mixturesOf(
  row: MeasuredRow,
  scale: StatisticScale,
  guess: Guess | undefined,
  plate: CompletePlate,
  hypotheses: readonly Hypothesis[],
  knowledge: KindKnowledge,
): { mixtures: Mixture[]; known: Mixture[]; background: Background } {
  const resolve = (components: MeasuredRow['normal']) => resolveMixture(components, scale.bandSd, row.meterSd, guess)
  const normal = resolve(row.normal)
  const effects = new Map<string, Mixture>(
    Object.entries(row.effects).map(([fault, components]) => [fault, resolve(components)]),
  )
  const speakingOf = speaking(row.check, row.effects, knowledge)
  const dominates = new Set<string>(row.dominant)
  const still = row.still ? resolve(row.still) : undefined
  const mixtures = hypotheses.map(({ faults }) => {
    const telling = speakingOf(faults)
    const dominant = telling.find((fault) => dominates.has(fault))
    if (dominant) return effects.get(dominant) as Mixture
    const [first, second] = telling.map((fault) => effects.get(fault) as Mixture)
    const turning = first && second ? mixHalves(first, second) : (first ?? normal)
    if (!still) return turning
    const share = 1 - faults.reduce((turns, fault) => turns * (1 - standsStill(fault as Fault, plate.motorType)), 1)
    return share === 0 ? turning : blend(still, turning, share)
  })
  const known = [normal, ...effects.values(), ...(still ? [still] : [])]
  return { mixtures, known, background: backgroundOf(known) }
}

/** The density of a value under each hypothesis's mixture. */
function densities(mixtures: readonly Mixture[], value: number | null, background: Background): Float64Array {
  const found = perMixture(mixtures, (mixture) => mixtureDensity(mixture, value, background))
  return Float64Array.from(mixtures, (mixture) => found.get(mixture) as number)
}

/** A figure for each different mixture: most hypotheses share theirs. */
function perMixture<T>(mixtures: readonly Mixture[], figure: (mixture: Mixture) => T): Map<Mixture, T> {
  const known = new Map<Mixture, T>()
  for (const mixture of mixtures) if (!known.has(mixture)) known.set(mixture, figure(mixture))
  return known
}

function rangeStates(row: MeasuredRow, bounds: readonly number[], withOpen: boolean): CheckState[] {
  const ranges = [...bounds, undefined].map((to, index) => ({
    ...(index === 0 ? {} : { from: bounds[index - 1] as number }),
    ...(to === undefined ? {} : { to }),
  }))
  return [
    ...ranges.map((range, index) => ({ id: `range-${index}`, range })),
    ...(withOpen ? [{ id: 'open', open: row.openLabel ?? 'gives no figure' }] : []),
  ]
}
