import { checkInfo, outcomeLabel } from '../knowledge/checks'
import { KIND_KNOWLEDGE } from '../knowledge/kinds'
import type { ActionRow, Distribution, FaultRow, KindKnowledge, MeasuredRow, Needs, SeenRow } from '../knowledge/model-types'
import { UNIT_LABELS } from '../quantity/units'
import { formatNumber } from '../quantity/format'
import { completePlate, MOTOR_HAS, type CompletePlate, type Pump } from '../motor/nameplate'
import type { MotorType } from '../knowledge/vocabulary'
import { sortedLeads, type Finding } from './finding'
import { mixHalves, mixtureDensity, mixtureStates, noisyMax, resolveMixture, type Mixture } from './likelihood'
import { statisticScale } from './statistic'

/** One explanation: no fault, one, or two together. */
export interface Hypothesis { faults: readonly string[]; prior: number }

/** A check as the engine sees it: states with their probabilities per hypothesis, and how a finding weighs. */
export interface ModelCheck {
  /** `check`, or `check:part`, or `check:leads`. */
  key: string
  check: string
  part?: string
  leads?: string
  states: { id: string; label: string }[]
  /** Probability of each state, hypothesis by hypothesis: `rows[h * states.length + s]`. */
  rows: Float64Array
  /** Likelihood of a finding per hypothesis, or null when the finding cannot tell. */
  weigh: (finding: Finding) => Float64Array | null
}

export interface DiagnosisModel {
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
    case undefined: return true
    case 'run-capacitor': return MOTOR_HAS.runCapacitor(type)
    case 'start-capacitor': return MOTOR_HAS.startCapacitor(type)
    case 'start-switch': return MOTOR_HAS.startSwitch(type)
    case 'start-winding': return MOTOR_HAS.startWinding(type)
    case 'electronics': return type === 'electronic'
  }
}

/**
 * Builds the model of one machine, or undefined where its kind has no knowledge yet.
 *
 * @param pump with whatever its plate says; the gaps are filled and listed
 * @param alreadyReplaced part ids: lowers what was replaced, raises what such a replacement masks
 */
export function buildModel(pump: Pump, alreadyReplaced: readonly string[] = []): DiagnosisModel | undefined {
  const knowledge = KIND_KNOWLEDGE[pump.kind]
  if (!knowledge) return undefined
  const plate = completePlate(pump)
  const faults = knowledge.faults.filter(({ needs }) => motorHas(plate.motorType, needs))
  const hypotheses = enumerate(knowledge, faults, plate, alreadyReplaced)
  const seen = knowledge.seen.filter(({ needs }) => motorHas(plate.motorType, needs)).map((row) => seenCheck(row, hypotheses, knowledge))
  const measured = knowledge.measured.filter(({ needs }) => motorHas(plate.motorType, needs)).flatMap((row) => measuredCheck(row, plate, hypotheses, knowledge) ?? [])
  const actions = knowledge.actions.filter(({ needs, onlyUnderWarranty }) => motorHas(plate.motorType, needs) && (!onlyUnderWarranty || pump.underWarranty === true))
  return { plate, knowledge, hypotheses, priors: Float64Array.from(hypotheses, ({ prior }) => prior), holding: indexByFault(hypotheses), checks: [...seen, ...measured], actions }
}

function indexByFault(hypotheses: readonly Hypothesis[]): Map<string, Int32Array> {
  const lists = new Map<string, number[]>()
  hypotheses.forEach(({ faults }, h) => {
    for (const fault of faults) lists.set(fault, [...(lists.get(fault) ?? []), h])
  })
  return new Map([...lists].map(([fault, list]) => [fault, Int32Array.from(list)]))
}

/** Weibull hazard at an age, as a multiple of the hazard at the row's own age; held within a factor of five. */
export function ageFactor(row: Pick<FaultRow, 'shape' | 'atYears'>, ageYears: number): number {
  const factor = (Math.max(ageYears, 0.25) / row.atYears) ** (row.shape - 1)
  return Math.min(5, Math.max(0.2, factor))
}

function enumerate(knowledge: KindKnowledge, faults: readonly FaultRow[], plate: CompletePlate, replaced: readonly string[]): Hypothesis[] {
  const { lowered, raised, masks } = knowledge.replacement
  const masked = new Set(replaced.flatMap((part) => (masks as Record<string, readonly string[] | undefined>)[part] ?? []))
  const yearly = new Map<string, number>(faults.map((row) => {
    const duty = row.shape > 1 ? Math.sqrt(plate.dutyHoursPerDay / 8) : 1
    const renewed = row.part !== undefined && replaced.includes(row.part) ? lowered : 1
    return [row.fault, (row.per1000 / 1000) * ageFactor(row, plate.ageYears) * duty * renewed * (masked.has(row.fault) ? raised : 1)]
  }))
  const singles = faults.map(({ fault }) => ({ faults: [fault], prior: yearly.get(fault) as number }))
  const pairs: Hypothesis[] = []
  faults.forEach((first, index) => {
    for (const second of faults.slice(index + 1)) {
      const independent = (yearly.get(first.fault) as number) * (yearly.get(second.fault) as number)
      const linked = knowledge.pairs.find((row) => row.faults.includes(first.fault) && row.faults.includes(second.fault))
      // A linked pair follows from its first fault with the stated chance.
      const follow = linked ? (yearly.get(linked.faults[0]) as number) * linked.given : 0
      pairs.push({ faults: [first.fault, second.fault], prior: independent * knowledge.unnoticed + follow })
    }
  })
  const all: Hypothesis[] = [{ faults: ['nothing-wrong'], prior: knowledge.nothingWrong.per1000 / 1000 }, ...singles, ...pairs]
  const sum = all.reduce((total, { prior }) => total + prior, 0)
  return all.map((hypothesis) => ({ ...hypothesis, prior: hypothesis.prior / sum }))
}

/** Probability that this complaint is made, per hypothesis: noisy-or over the faults with a leak. */
export function complaintLikelihood(knowledge: KindKnowledge, hypotheses: readonly Hypothesis[], complaint: string): Float64Array {
  const byFault = new Map<string, number>(knowledge.faults.map((row) => [row.fault, (row.complaints as Record<string, number>)[complaint] ?? 0]))
  byFault.set('nothing-wrong', (knowledge.nothingWrong.complaints as Record<string, number>)[complaint] ?? 0)
  return Float64Array.from(hypotheses, ({ faults }) => 1 - faults.reduce((silent, fault) => silent * (1 - (byFault.get(fault) ?? 0)), 1 - knowledge.complaintLeak))
}

/** Without power a live check shows nothing but that. */
function speakingFaults(check: string, faults: readonly string[], { blocking }: KindKnowledge): readonly string[] {
  const blocker = faults.find((fault) => (blocking as readonly string[]).includes(fault))
  return blocker && checkInfo(check)?.gates.includes('power-on') ? [blocker] : faults
}

function seenCheck(row: SeenRow, hypotheses: readonly Hypothesis[], knowledge: KindKnowledge): ModelCheck {
  const outcomes = Object.keys(checkInfo(row.check)?.outcomes ?? {})
  // What the table does not speak of stands last, as unlikely under every cause.
  const states = [...(row.order ?? outcomes), ...outcomes.filter((outcome) => row.order?.includes(outcome) === false)]
  const rows = new Float64Array(hypotheses.length * states.length)
  hypotheses.forEach(({ faults }, index) => {
    const table: Partial<Record<string, Distribution>> = row.effects
    const effects = speakingFaults(row.check, faults, knowledge).map((fault) => table[fault]).filter((effect) => effect !== undefined)
    rows.set(noisyMax(states, [row.leak, ...effects]), index * states.length)
  })
  return {
    key: row.part ? `${row.check}:${row.part}` : row.check, check: row.check, part: row.part, rows,
    states: states.map((id) => ({ id, label: outcomeLabel(id) })),
    weigh: ({ outcome }) => {
      const state = outcome === undefined ? -1 : states.indexOf(outcome)
      if (state < 0 || row.silent?.includes(outcome as string)) return null
      return Float64Array.from(hypotheses, (_, index) => rows[index * states.length + state] as number)
    },
  }
}

function measuredCheck(row: MeasuredRow, plate: CompletePlate, hypotheses: readonly Hypothesis[], knowledge: KindKnowledge): ModelCheck | undefined {
  const scale = statisticScale(row, plate)
  if (!scale) return undefined
  const resolve = (components: MeasuredRow['normal']) => resolveMixture(components, scale.bandSd, row.meterSd)
  const normal = resolve(row.normal)
  const effects = new Map<string, Mixture>(Object.entries(row.effects).map(([fault, components]) => [fault, resolve(components)]))
  const mixtures = hypotheses.map(({ faults }) => {
    const speaking = speakingFaults(row.check, faults, knowledge).flatMap((fault) => effects.get(fault) ?? [])
    const dominant = faults.find((fault) => (row.dominant as readonly string[] | undefined)?.includes(fault))
    if (dominant && effects.has(dominant)) return effects.get(dominant) as Mixture
    return speaking.length === 2 ? mixHalves(speaking[0] as Mixture, speaking[1] as Mixture) : (speaking[0] ?? normal)
  })
  const cuts = row.cuts.map((cut) => (cut === 'low' ? scale.low : cut === 'high' ? scale.high : cut)).sort((a, b) => a - b)
  const withOpen = [normal, ...effects.values()].some(({ open }) => open > 0)
  const states = rangeStates(row, cuts.map(scale.back), withOpen)
  const rows = new Float64Array(hypotheses.length * states.length)
  mixtures.forEach((mixture, index) => rows.set(mixtureStates(mixture, cuts, withOpen), index * states.length))
  return {
    key: row.part ? `${row.check}:${row.part}` : row.leads ? `${row.check}:${sortedLeads(row.leads)}` : row.check,
    check: row.check, part: row.part, leads: row.leads, states, rows,
    weigh: (finding) => {
      if (finding.outcome !== undefined) return null
      if (finding.check === 'insulation-resistance' && finding.testVolts !== undefined && finding.testVolts < 250) return null
      const value = finding.value ?? null
      const statistic = value === null ? null : scale.from(value, finding)
      return Float64Array.from(mixtures, (mixture) => mixtureDensity(mixture, statistic))
    },
  }
}

function rangeStates(row: MeasuredRow, bounds: readonly number[], withOpen: boolean): { id: string; label: string }[] {
  const unit = checkInfo(row.check)?.unit
  const suffix = unit ? ` ${UNIT_LABELS[unit]}` : ''
  const text = (value: number) => formatNumber(value, 3)
  const ranges = [
    `under ${text(bounds[0] as number)}${suffix}`,
    ...bounds.slice(1).map((bound, index) => `${text(bounds[index] as number)} to ${text(bound)}${suffix}`),
    `over ${text(bounds[bounds.length - 1] as number)}${suffix}`,
  ]
  return [...ranges.map((label, index) => ({ id: `range-${index}`, label })), ...(withOpen ? [{ id: 'open', label: 'reads open' }] : [])]
}

/** The model check that a finding speaks to, if the kind knows it. */
export function modelCheckOf(model: DiagnosisModel, finding: Finding): ModelCheck | undefined {
  const pair = finding.leads ? sortedLeads(finding.leads) : undefined
  return model.checks.find((candidate) => {
    if (candidate.check !== finding.check) return false
    if (candidate.leads) return pair ? sortedLeads(candidate.leads) === pair : finding.part === 'start-winding' ? candidate.leads.includes('start') : candidate.leads.includes('run')
    if (candidate.part) return finding.part ? candidate.part === finding.part : model.checks.filter(({ check }) => check === finding.check).length === 1 || candidate.part === 'run-capacitor'
    return true
  })
}
