import { KIND_KNOWLEDGE } from '../knowledge/faults/kinds'
import type {
  ActionRow,
  Applies,
  FaultRow,
  KindKnowledge,
  MeasuredRow,
  Needs,
  SeenRow,
} from '../knowledge/faults/model-types'
import { completePlate, MOTOR_HAS, type CompletePlate, type Pump } from '../motor/nameplate'
import { IN_A_MOTOR_ALONE } from '../knowledge/constructions/part-groups'
import { HAZARD } from '../knowledge/faults/hazard'
import { doneToMotorAlone } from '../knowledge/repairs/motor-alone'
import { renewedParts } from '../knowledge/repairs/renews'
import {
  KIND_CONSTRUCTIONS,
  type Construction,
  type Kind,
  type MotorType,
  type Standing,
} from '../knowledge/vocabulary'
import { sortedLeads, type Asked, type Finding } from './finding'
import { measuredCheck, seenCheck } from './model-check'
import type { OwnFinding } from './own-findings'
import { usualSetup } from './judge-finding'
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

/** What can fail in a machine of a kind and construction with a motor of this type. */
export function faultsPossible(kind: Kind, construction: Construction | undefined, motorType: MotorType): FaultRow[] {
  return KIND_KNOWLEDGE[kind].faults.filter(
    ({ needs, part }) =>
      motorHas(motorType, needs) &&
      (construction !== 'motor-bench' || part === undefined || IN_A_MOTOR_ALONE.has(part)),
  )
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
  const faults = faultsPossible(pump.kind, construction, plate.motorType)
  const hypotheses = enumerate(knowledge, faults, plate, pump, alreadyReplaced, experience)
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
    (action) =>
      holds(action) &&
      (!action.onlyUnderWarranty || pump.underWarranty === true) &&
      (construction !== 'motor-bench' || doneToMotorAlone(action, knowledge.faults)),
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

/** How often a fault comes to a machine of this age and duty, failures a year. */
export function yearlyRate(
  row: Pick<FaultRow, 'per1000' | 'shape' | 'atYears'>,
  ageYears: number,
  dutyHoursPerDay: number,
): number {
  const duty = row.shape > 1 ? (dutyHoursPerDay / HAZARD.dutyHoursPerDay) ** HAZARD.dutyExponent : 1
  return (row.per1000 / 1000) * ageFactor(row, ageYears) * duty
}

function enumerate(
  knowledge: KindKnowledge,
  faults: readonly FaultRow[],
  plate: CompletePlate,
  { kind, partAges = {} }: Pump,
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
      const left = isRenewed(row.fault) ? lowered : 1
      return [
        row.fault,
        yearlyRate(row, (row.part && partAges[row.part]) ?? plate.ageYears, plate.dutyHoursPerDay) *
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
