import type { Judgement } from '../judgement/judgement'
import { checkInfo } from '../knowledge/checks'
import { DEFAULT_RATES, type Rates } from '../knowledge/rates'
import { FAULTS, isIdOf, type Gate } from '../knowledge/vocabulary'
import { completePlate } from '../motor/nameplate'
import { formatPercent } from '../quantity/format'
import { explainFault, findDisagreement, type Disagreement } from './explain'
import { newestFindings, type DiagnosisCase } from './finding'
import { infer } from './inference'
import { judgeFinding } from './judge-finding'
import { expectedLosses, lossTable, type LossTable } from './loss'
import { buildModel, modelCheckOf, type DiagnosisModel, type Hypothesis } from './model'
import { gatesFor, mostTelling, outcomesOf, rankChecks, type Candidate } from './next-check'

export interface Suspect { fault: string; label: string; probability: number; because: string[] }
export interface NextOutcome { if: string; then: string; probability: number }
export interface NextCheck {
  check: string
  part?: string
  leads?: string
  title: string
  tool: string
  caution?: string
  minutes: number
  gates: Gate[]
  missingGates: Gate[]
  because: string
  outcomes: NextOutcome[]
}
export interface Diagnosis {
  judgements: Judgement[]
  suspects: Suspect[]
  pairs: { faults: [string, string]; probability: number }[]
  next: NextCheck | null
  settled: boolean
  assumed: string[]
  /** False where the causes of this kind are not ranked yet. */
  ranked: boolean
  /** What to do now if no more is measured. */
  bestAction?: string
  disagreement?: Disagreement
}

export const NOT_RANKED = 'causes are not ranked yet for this kind of pump: readings are judged and kept'

export interface DiagnoseOptions {
  rates?: Rates
  /** Newest earlier readings of this machine, for trends. */
  earlier?: Readonly<Record<string, number>>
}

/**
 * The whole diagnosis of one case: judgements, suspects, the next check worth making, and what was assumed.
 *
 * `settled` is true when no further check is worth its cost against acting now; then `next` is null.
 */
export function diagnose(input: DiagnosisCase, options: DiagnoseOptions = {}): Diagnosis {
  const findings = newestFindings(input.findings ?? [])
  const plate = completePlate(input.pump)
  const judgements = findings.map((finding) => judgeFinding(finding, { pump: input.pump, plate, findings, earlier: options.earlier }))
  const model = cachedModel(input)
  if (!model) return { judgements, suspects: [], pairs: [], next: null, settled: false, ranked: false, assumed: [...plate.assumed, NOT_RANKED] }
  const rates = options.rates ?? DEFAULT_RATES
  const complaints = input.complaints ?? []
  const posterior = infer(model, { complaints, findings, excluded: input.excluded })
  const losses = cachedLosses(model, rates)
  const held = heldGates(input, model)
  // A finding that cannot tell was made all the same: asking for it again would tell no more.
  const done = new Set(findings.map((finding) => modelCheckOf(model, finding)?.key ?? finding.check))
  const ranking = rankChecks(model, losses, posterior.probabilities, { held, done, skipped: new Set(input.skipped ?? []), standstill: standsStill(model, complaints), rates })
  const disagreement = findDisagreement(model, posterior.weighed)
  const best = ranking[0]
  const undecided = bestRow(losses, posterior.probabilities) === losses.carryOn
  const chosen = undecided ? mostTelling(ranking, posterior.probabilities) : best && best.worth > best.cost ? best : undefined
  return {
    judgements, ranked: true, assumed: plate.assumed, settled: !chosen, disagreement,
    suspects: singles(model, posterior.probabilities).slice(0, 12).map(({ fault, probability }) => ({ fault, label: faultLabel(fault), probability, because: explainFault(model, posterior, fault) })),
    pairs: pairs(model.hypotheses, posterior.probabilities),
    next: chosen ? describeNext(chosen, model, losses, posterior.probabilities) : null,
    bestAction: bestAction(model, losses, posterior.probabilities),
  }
}

/** A fault in words; unknown ids read as themselves. */
export function faultLabel(fault: string): string {
  return isIdOf(FAULTS, fault) ? FAULTS[fault] : fault
}

let lastModel: { key: string; model: DiagnosisModel | undefined } | undefined
let lastLosses: { model: DiagnosisModel; rates: string; losses: LossTable } | undefined

/** The model depends on the machine and what was replaced, not on the findings: it is kept between two calls for one machine. */
function cachedModel({ pump, alreadyReplaced = [] }: DiagnosisCase): DiagnosisModel | undefined {
  const key = JSON.stringify([pump, alreadyReplaced])
  if (lastModel?.key !== key) lastModel = { key, model: buildModel(pump, alreadyReplaced) }
  return lastModel.model
}

function cachedLosses(model: DiagnosisModel, rates: Rates): LossTable {
  const key = JSON.stringify(rates)
  if (lastLosses?.model !== model || lastLosses.rates !== key) lastLosses = { model, rates: key, losses: lossTable(model, rates) }
  return lastLosses.losses
}

/** The gates held now: as said, else those under which the last finding was made. */
function heldGates(input: DiagnosisCase, model: DiagnosisModel): Set<string> {
  if (input.gates) return new Set(input.gates)
  const last = input.findings?.findLast(({ check }) => (checkInfo(check)?.gates.length ?? 0) > 0)
  return new Set(last ? gatesFor(last.check, model) : [])
}

function standsStill(model: DiagnosisModel, complaints: readonly string[]): boolean {
  return complaints.some((complaint) => (model.knowledge.standstill.complaints as readonly string[]).includes(complaint))
}

function singles(model: DiagnosisModel, probabilities: Float64Array): { fault: string; probability: number }[] {
  return model.hypotheses
    .flatMap(({ faults }, h) => (faults.length === 1 ? [{ fault: faults[0] as string, probability: probabilities[h] as number }] : []))
    .sort((a, b) => b.probability - a.probability)
}

function pairs(hypotheses: readonly Hypothesis[], probabilities: Float64Array): Diagnosis['pairs'] {
  return hypotheses
    .flatMap(({ faults }, h) => (faults.length === 2 && (probabilities[h] as number) > 0.001 ? [{ faults: [faults[0], faults[1]] as [string, string], probability: probabilities[h] as number }] : []))
    .sort((a, b) => b.probability - a.probability)
    .slice(0, 10)
}

function bestAction(model: DiagnosisModel, losses: LossTable, probabilities: Float64Array): string | undefined {
  const expected = expectedLosses(losses, probabilities).slice(0, model.actions.length)
  return model.actions[expected.indexOf(Math.min(...expected))]?.id
}

/** Row of the loss table with the least expected loss: an action, or testing on. */
function bestRow(losses: LossTable, probabilities: Float64Array): number {
  const expected = expectedLosses(losses, probabilities)
  return expected.indexOf(Math.min(...expected))
}

/** Probability of each fault, alone or in a pair. */
export function marginals(model: DiagnosisModel, probabilities: Float64Array): Map<string, number> {
  return new Map([...model.holding].map(([fault, list]) => {
    let sum = 0
    for (const h of list) sum += probabilities[h] as number
    return [fault, sum]
  }))
}

/** Outcomes rarer than this are not put on the card. */
const RARE = 0.004
/** From here on an outcome is said to settle the matter. */
const SETTLES = 0.85

function describeNext(candidate: Candidate, model: DiagnosisModel, losses: LossTable, probabilities: Float64Array): NextCheck {
  const { check, gates, missingGates, minutes } = candidate
  const info = checkInfo(check.check)
  const all = outcomesOf(check, probabilities).map((outcome) => ({ ...outcome, then: whatItSays(model, losses, outcome.posterior) }))
  const likely = <T extends { probability: number }>(outcomes: readonly T[]) => outcomes.filter(({ probability }) => probability > RARE).sort((a, b) => b.probability - a.probability)
  const told = likely(info?.unit ? mergeRanges(all) : all).slice(0, 3)
  return {
    check: check.check, ...(check.part ? { part: check.part } : {}), ...(check.leads ? { leads: check.leads } : {}),
    title: titleOf(check), tool: info?.tool ?? '', caution: info?.caution, minutes, gates, missingGates,
    because: whyThisCheck(model, probabilities, likely(all), minutes),
    outcomes: told.map(({ label, probability, then }) => ({ if: label, probability, then })),
  }
}

const TITLES: Record<string, string> = {
  'capacitance:run-capacitor': 'Measure the run capacitor', 'capacitance:start-capacitor': 'Measure the start capacitor',
  'capacitor-look:run-capacitor': 'Look at the run capacitor', 'capacitor-look:start-capacitor': 'Look at the start capacitor',
  'winding-resistance:common-run': 'Measure the run winding', 'winding-resistance:common-start': 'Measure the start winding',
}

function titleOf(check: { key: string; check: string }): string {
  return TITLES[check.key] ?? checkInfo(check.check)?.ask ?? check.check
}

/** "Parts run capacitor weak (62 %) from start switch stuck (21 %) for four minutes' work." */
function whyThisCheck(model: DiagnosisModel, probabilities: Float64Array, outcomes: readonly { probability: number; posterior: Float64Array }[], minutes: number): string {
  const now = marginals(model, probabilities)
  const moved = new Map<string, number>()
  for (const { probability, posterior } of outcomes) {
    for (const [fault, value] of marginals(model, posterior)) moved.set(fault, (moved.get(fault) ?? 0) + probability * Math.abs(value - (now.get(fault) ?? 0)))
  }
  const parted = [...moved].sort((a, b) => b[1] - a[1]).slice(0, 3).filter(([fault, shift]) => shift > 0.01 && (now.get(fault) ?? 0) > 0.005)
  const names = parted.map(([fault]) => `${faultLabel(fault).toLowerCase()} (${formatPercent(now.get(fault) ?? 0)})`)
  const work = minutes === 1 ? 'one minute' : `${minutes} minutes`
  if (names.length < 2) return `It settles ${names[0] ?? 'the leading suspect'} for ${work} of work.`
  return `It parts ${names[0]} from ${names.slice(1).join(' and ')} for ${work} of work.`
}

/** Ranges side by side that say the same are one range to the reader. The percentage may differ by a little. */
function mergeRanges<T extends { label: string; probability: number; then: string }>(ranges: readonly T[]): T[] {
  const plain = (then: string) => then.replace(/(?:over |under )?\d+\u00a0%/g, '%')
  return ranges.reduce<T[]>((merged, range) => {
    const last = merged.at(-1)
    if (!last || plain(last.then) !== plain(range.then) || range.label.startsWith('reads')) return [...merged, range]
    const upper = / to (.+)$/.exec(range.label)?.[1]
    const lower = /^(?:under )?([\d.]+)/.exec(last.label)?.[1]
    const fromBelow = last.label.startsWith('under')
    const label = upper ? (fromBelow ? `under ${upper}` : `${lower} to ${upper}`) : fromBelow ? 'any reading' : range.label.replace(/over [\d.]+/, `over ${lower}`)
    const likelier = last.probability >= range.probability ? last : range
    return [...merged.slice(0, -1), { ...likelier, label, probability: last.probability + range.probability }]
  }, [])
}

function whatItSays(model: DiagnosisModel, losses: LossTable, posterior: Float64Array): string {
  const [top, second] = [...marginals(model, posterior)].sort((a, b) => b[1] - a[1])
  if (!top) return ''
  const name = `${faultLabel(top[0]).toLowerCase()}, ${formatPercent(top[1])}`
  if (top[1] >= SETTLES) {
    const action = model.actions[bestRow(losses, posterior)]
    return action ? `${name}: ${action.label.charAt(0).toLowerCase()}${action.label.slice(1)}` : name
  }
  return second ? `${name}; ${faultLabel(second[0]).toLowerCase()}, ${formatPercent(second[1])}` : name
}
