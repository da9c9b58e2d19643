import { checkInfo } from '../knowledge/checks/checks'
import { KIND_KNOWLEDGE } from '../knowledge/faults/kinds'
import type {
  ActionRow,
  Applies,
  Distribution,
  FaultRow,
  KindKnowledge,
  MeasuredRow,
  Needs,
  SeenRow,
} from '../knowledge/faults/model-types'
import { completePlate, MOTOR_HAS, type CompletePlate, type Pump } from '../motor/nameplate'
import { AT_MOTOR, SIDE_RIGHT, standsStill } from '../knowledge/faults/fault-traits'
import { HAZARD } from '../knowledge/faults/hazard'
import { LIKELIHOOD } from '../knowledge/faults/thresholds'
import { SUPPLY } from '../knowledge/electrical/limits'
import { renewedParts } from '../knowledge/repairs/renews'
import { testedTooLow } from '../electrical/insulation'
import { KIND_CONSTRUCTIONS, type Fault, type Kind, type MotorType, type Standing } from '../knowledge/vocabulary'
import { checkKey, pickAsked, sortedLeads, type Asked, type Finding } from './finding'
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
import type { OwnFinding } from './own-findings'
import { usualSetup } from './judge-finding'
import { statisticScale, type StatisticScale } from './statistic'
import { windingPair } from './winding-reading'

/** One explanation: no fault, one, or two together. */
export interface Hypothesis {
  faults: readonly string[]
  prior: number
  /** Two faults that only chance brings together. */
  byChance?: boolean
}

/** One thing a check can say: an outcome, no figure at all, or a range of readings in the check's own unit. */
export interface CheckState {
  id: string
  /** How the meter says it where it gives no figure. */
  open?: string
  range?: { from?: number; to?: number }
}

/** A check as the engine sees it: states with their probabilities per hypothesis, and how a finding weighs. */
export interface ModelCheck extends Asked {
  /** The check's id, with part, leads, setup and half where they tell it from its like. */
  key: string
  states: CheckState[]
  /** Probability of each state, hypothesis by hypothesis: `rows[h * states.length + s]`. */
  rows: Float64Array
  /** Likelihood of a finding per hypothesis, or null when the finding cannot tell. */
  weigh: (finding: OwnFinding) => Float64Array | null
  /** The faults it can tell of. */
  speaksOf: readonly string[]
  /** Where the machine must stand for it; anywhere where absent. */
  standings?: readonly Standing[]
}

export interface DiagnosisModel {
  pump: Pump
  plate: CompletePlate
  knowledge: KindKnowledge
  hypotheses: Hypothesis[]
  /** The hypotheses' prior probabilities, in their order. */
  priors: Float64Array
  /** For each fault the hypotheses that hold it. */
  holding: ReadonlyMap<string, Int32Array>
  checks: ModelCheck[]
  actions: ActionRow[]
}

/** Has this motor type what the row needs? What it cannot have is no hypothesis. */
export function motorHas(type: MotorType, needs: Needs | undefined): boolean {
  switch (needs) {
    case undefined:
      return true
    case 'run-capacitor':
      return MOTOR_HAS.runCapacitor(type)
    case 'start-capacitor':
      return MOTOR_HAS.startCapacitor(type)
    case 'capacitor':
      return MOTOR_HAS.runCapacitor(type) || MOTOR_HAS.startCapacitor(type)
    case 'start-switch':
      return MOTOR_HAS.startSwitch(type)
    case 'start-winding':
      return MOTOR_HAS.startWinding(type)
    case 'electronics':
      return type === 'electronic'
  }
}

/**
 * Builds the model of one machine, or undefined where its kind has no knowledge yet.
 *
 * @param pump with whatever its plate says; the gaps are filled and listed
 * @param alreadyReplaced part ids: lowers what was replaced, raises what such a replacement masks
 * @param experience what the shop's own visits make of each fault's rate, as a multiple; absent means 1
 */
export function buildModel(
  pump: Pump,
  alreadyReplaced: readonly string[] = [],
  experience: Readonly<Record<string, number>> = {},
): DiagnosisModel {
  const knowledge = KIND_KNOWLEDGE[pump.kind]
  const plate = completePlate(pump)
  const construction = pump.construction ?? KIND_CONSTRUCTIONS[pump.kind][0]
  const holds = ({ needs, constructions }: Applies) =>
    motorHas(plate.motorType, needs) &&
    (constructions === undefined || (construction !== undefined && constructions.includes(construction)))
  const faults = knowledge.faults.filter(({ needs }) => motorHas(plate.motorType, needs))
  const hypotheses = enumerate(knowledge, faults, plate, pump.kind, alreadyReplaced, experience)
  const typed = <T extends SeenRow | MeasuredRow>(row: T): T => ({
    ...row,
    effects: { ...row.effects, ...row.byType?.[plate.motorType] },
  })
  const seen = knowledge.seen
    .filter(holds)
    .map(typed)
    .map((row) => seenCheck(row, hypotheses, knowledge))
  const measured = knowledge.measured
    .filter(holds)
    .map(typed)
    .flatMap((row) => measuredCheck(row, plate, pump, hypotheses, knowledge) ?? [])
  const actions = knowledge.actions.filter(
    (action) => holds(action) && (!action.onlyUnderWarranty || pump.underWarranty === true),
  )
  return {
    pump,
    plate,
    knowledge,
    hypotheses,
    priors: Float64Array.from(hypotheses, ({ prior }) => prior),
    holding: indexByFault(hypotheses),
    checks: [...seen, ...measured],
    actions,
  }
}

function indexByFault(hypotheses: readonly Hypothesis[]): Map<string, Int32Array> {
  const lists = new Map<string, number[]>()
  hypotheses.forEach(({ faults }, h) => {
    for (const fault of faults) lists.set(fault, [...(lists.get(fault) ?? []), h])
  })
  return new Map([...lists].map(([fault, list]) => [fault, Int32Array.from(list)]))
}

/** Weibull hazard at an age, as a multiple of the hazard at the row's own age; held in the bounds of `HAZARD`. */
export function ageFactor(row: Pick<FaultRow, 'shape' | 'atYears'>, ageYears: number): number {
  const { youngestYears, leastMultiple, mostMultiple } = HAZARD
  const factor = (Math.max(ageYears, youngestYears) / row.atYears) ** (row.shape - 1)
  return Math.min(mostMultiple, Math.max(leastMultiple, factor))
}

function enumerate(
  knowledge: KindKnowledge,
  faults: readonly FaultRow[],
  plate: CompletePlate,
  kind: Kind,
  replaced: readonly string[],
  experience: Readonly<Record<string, number>>,
): Hypothesis[] {
  const { lowered, raised, masks, brings } = knowledge.replacement
  const renewed = renewedParts(replaced, kind)
  const partOf = new Map(faults.map(({ fault, part }) => [fault as string, part]))
  const isRenewed = (fault: string) => renewed.has(partOf.get(fault) ?? '')
  const brought = (fault: string) =>
    replaced.reduce(
      (sum, part) => sum + ((brings as Record<string, Partial<Record<string, number>>>)[part]?.[fault] ?? 0),
      0,
    )
  const masked = new Set(
    replaced.flatMap((part) => (masks as Record<string, readonly string[] | undefined>)[part] ?? []),
  )
  const yearly = new Map<string, number>(
    faults.map((row) => {
      const duty = row.shape > 1 ? (plate.dutyHoursPerDay / HAZARD.dutyHoursPerDay) ** HAZARD.dutyExponent : 1
      const left = isRenewed(row.fault) ? lowered : 1
      return [
        row.fault,
        (row.per1000 / 1000) *
          ageFactor(row, plate.ageYears) *
          duty *
          left *
          (experience[row.fault] ?? 1) *
          (masked.has(row.fault) && left === 1 ? raised : 1) +
          brought(row.fault) / 1000,
      ]
    }),
  )
  const pairs: Hypothesis[] = []
  const links = new Map(knowledge.pairs.map((row) => [row.faults.join('+'), row]))
  /** What of a fault's rate goes on to a second one, and so is not there alone. */
  const goesOn = new Map<string, number>()
  faults.forEach((first, index) => {
    for (const second of faults.slice(index + 1)) {
      const independent = (yearly.get(first.fault) as number) * (yearly.get(second.fault) as number)
      const linked = links.get(`${first.fault}+${second.fault}`) ?? links.get(`${second.fault}+${first.fault}`)
      // A linked pair follows from its first fault with the stated chance.
      // What was renewed lately has had little time to be ruined by something else.
      const given = linked ? linked.given * (isRenewed(linked.faults[1]) ? lowered : 1) : 0
      const follow = linked ? (yearly.get(linked.faults[0]) as number) * given : 0
      if (linked) goesOn.set(linked.faults[0], (goesOn.get(linked.faults[0]) ?? 0) + given)
      pairs.push({
        faults: [first.fault, second.fault],
        prior: independent * knowledge.unnoticed + follow,
        ...(linked ? {} : { byChance: true }),
      })
    }
  })
  const singles = faults.map(({ fault }) => ({
    faults: [fault],
    prior: (yearly.get(fault) as number) * (1 - (goesOn.get(fault) ?? 0)),
  }))
  const all: Hypothesis[] = [
    { faults: ['nothing-wrong'], prior: (knowledge.nothingWrong.per1000 / 1000) * (experience['nothing-wrong'] ?? 1) },
    ...singles,
    ...pairs,
  ]
  const sum = all.reduce((total, { prior }) => total + prior, 0)
  return all.map((hypothesis) => ({ ...hypothesis, prior: hypothesis.prior / sum }))
}

/** How often this is told without any of its causes. */
export function complaintLeak(
  { complaintLeak: leak }: Pick<KindKnowledge, 'complaintLeak'>,
  complaint: string,
): number {
  return (leak as Record<string, number>)[complaint] ?? leak.usual
}

/** Probability that this complaint is made, per hypothesis: noisy-or over the faults with a leak. */
export function complaintLikelihood(
  { knowledge, hypotheses, plate }: Pick<DiagnosisModel, 'knowledge' | 'hypotheses' | 'plate'>,
  complaint: string,
): Float64Array {
  const byFault = new Map<string, number>(
    knowledge.faults.map((row) => [
      row.fault,
      ((row.complaintsByType?.[plate.motorType] ?? row.complaints) as Record<string, number>)[complaint] ?? 0,
    ]),
  )
  const leak = complaintLeak(knowledge, complaint)
  byFault.set('nothing-wrong', (knowledge.nothingWrong.complaints as Record<string, number>)[complaint] ?? 0)
  return Float64Array.from(
    hypotheses,
    ({ faults }) => 1 - faults.reduce((silent, fault) => silent * (1 - (byFault.get(fault) ?? 0)), 1 - leak),
  )
}

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

function seenCheck(row: SeenRow, hypotheses: readonly Hypothesis[], knowledge: KindKnowledge): ModelCheck {
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

function measuredCheck(
  row: MeasuredRow,
  plate: CompletePlate,
  pump: Pump,
  hypotheses: readonly Hypothesis[],
  knowledge: KindKnowledge,
): ModelCheck | undefined {
  const scale = statisticScale(row, plate, pump)
  if (!scale) return undefined
  const { mixtures, known } = mixturesOf(row, scale, scale.guess, plate, hypotheses, knowledge)
  // Beside a reading that is its measure no guess is left in it.
  const sure = scale.sure && scale.guess && mixturesOf(row, scale, undefined, plate, hypotheses, knowledge).mixtures
  const beside =
    row.besideRest && mixturesOf({ ...row, ...row.besideRest }, scale, undefined, plate, hypotheses, knowledge)
  const background = backgroundOf(known)
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
        return densities(beside.mixtures, value / rest, backgroundOf(beside.known))
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
): { mixtures: Mixture[]; known: Mixture[] } {
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
  return { mixtures, known: [normal, ...effects.values(), ...(still ? [still] : [])] }
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

/** The model check that a finding speaks to, if the kind knows it. */
export function modelCheckOf(
  { checks, pump }: Pick<DiagnosisModel, 'checks' | 'pump'>,
  finding: Finding,
): ModelCheck | undefined {
  // Where the cord is the supply, what is read at the terminals and at the outlet is one thing.
  const named = checks.some(({ check }) => check === finding.check)
    ? finding.check
    : finding.check === 'supply-voltage'
      ? 'outlet-voltage'
      : finding.check
  const alike = checks.filter(({ check }) => check === named)
  return alike.find((candidate) => {
    if (candidate.leads)
      return (
        sortedLeads(candidate.leads) === windingPair(finding, pump.kind) &&
        candidate.half === (finding.half === 'motor' || finding.throughCable === false ? 'motor' : undefined)
      )
    if (candidate.setup) return candidate.setup === (finding.setup ?? usualSetup(pump, finding.where))
    if (finding.check === 'shaft-turn') return candidate.half === (finding.half === 'whole' ? undefined : finding.half)
    if (candidate.part)
      return finding.part ? candidate.part === finding.part : alike.length === 1 || candidate === alike[0]
    return true
  })
}
