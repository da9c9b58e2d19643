import type { Judgement } from '../judgement/judgement'
import { checkInfo } from '../knowledge/checks'
import { DEFAULT_RATES, type Rates } from '../knowledge/rates'
import type { ActionRow } from '../knowledge/model-types'
import { FAULTS, isIdOf, type Gate, type Kind } from '../knowledge/vocabulary'
import { completePlate } from '../motor/nameplate'
import { formatPercent } from '../quantity/format'
import { explainFault, findDisagreement, type Disagreement } from './explain'
import { checkKey, newestFindings, pickAsked, type Asked, type DiagnosisCase } from './finding'
import { accessGateOf, gatesFor, type AccessGate } from './gates'
import { infer } from './inference'
import { judgeFinding } from './judge-finding'
import { cureChance, expectedLosses, lossTable, type LossTable } from './loss'
import { checkTitle } from './check-title'
import { readTogether, type Together } from './together'
import { buildModel, modelCheckOf, type DiagnosisModel, type Hypothesis } from './model'
import { mostTelling, outcomesOf, rankChecks, type Candidate, type LossTables } from './next-check'

export interface Suspect {
  fault: string
  label: string
  probability: number
  because: string[]
}
export interface NextOutcome {
  if: string
  then: string
  probability: number
}
export interface NextCheck extends Asked {
  title: string
  tool: string
  caution?: string
  minutes: number
  gates: Gate[]
  missingGates: Gate[]
  /** What stands open or hangs out of the water and must go back before this check. */
  closeFirst?: AccessGate
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
  /** What to do now if no more is measured. */
  bestAction: string
  /** The repair beside it, where a second fault shows as plainly. */
  alsoDo?: string
  disagreement?: Disagreement
  /** What several readings mean together through the motor's circuit. */
  together: Together[]
}

export interface DiagnoseOptions {
  rates?: Rates
  /** Newest earlier readings of this machine, for trends. */
  earlier?: Readonly<Record<string, number>>
  /** What the shop's own visits make of each fault's rate, as a multiple. */
  experience?: Readonly<Record<string, number>>
}

/**
 * The whole diagnosis of one case: judgements, suspects, the next check worth making, and what was assumed.
 *
 * `settled` is true when no further check is worth its cost against acting now; then `next` is null.
 */
export function diagnose(input: DiagnosisCase, options: DiagnoseOptions = {}): Diagnosis {
  const findings = newestFindings(input.findings ?? [])
  const plate = completePlate(input.pump)
  const judgements = findings.map((finding) =>
    judgeFinding(finding, { pump: input.pump, plate, findings, earlier: options.earlier }),
  )
  const model = cachedModel(input, options.experience)
  const rates = options.rates ?? DEFAULT_RATES
  const complaints = input.complaints ?? []
  const posterior = infer(model, { complaints, findings, excluded: input.excluded })
  const tables = cachedLosses(model, rates)
  const held = heldGates(input, model)
  const losses = held.has(accessGateOf(input.pump.kind)) ? tables.opened : tables.now
  // A finding that cannot tell was made all the same: asking for it again would tell no more.
  const done = new Set(findings.map((finding) => modelCheckOf(model, finding)?.key ?? checkKey(finding)))
  const ranking = rankChecks(model, { now: losses, opened: tables.opened }, posterior.probabilities, {
    held,
    done,
    skipped: new Set(input.skipped ?? []),
    notAsked: notAsked(model, complaints),
    rates,
  })
  const disagreement = findDisagreement(model, posterior.weighed)
  const worthwhile = ranking[0] && ranking[0].worth > ranking[0].cost ? ranking[0] : undefined
  const repair = bestRepair(model, losses, posterior.probabilities)
  // On the caller's word alone nothing is replaced: one reading at least is taken.
  const unread = posterior.weighed.length === 0
  const chosen =
    repair.undecided || (unread && !worthwhile) ? mostTelling(ranking, posterior.probabilities) : worthwhile
  return {
    judgements,
    together: readTogether(findings, complaints, input.pump, plate),
    assumed: plate.assumed,
    settled: !chosen,
    disagreement,
    suspects: singles(model, posterior.probabilities)
      .slice(0, 12)
      .map(({ fault, probability }) => ({
        fault,
        label: faultLabel(fault),
        probability,
        because: explainFault(model, posterior, fault),
      })),
    pairs: pairs(model.hypotheses, posterior.probabilities),
    next: chosen
      ? {
          ...describeNext(chosen, model, losses, posterior.probabilities),
          ...closeFirst(chosen, input.pump.kind, held),
        }
      : null,
    bestAction: repair.action.id,
    ...besideIt(model, losses, posterior.probabilities, repair.action),
  }
}

/** A fault in words; unknown ids read as themselves. */
export function faultLabel(fault: string): string {
  return isIdOf(FAULTS, fault) ? FAULTS[fault] : fault
}

let lastModel: { key: string; model: DiagnosisModel } | undefined
let lastLosses: { model: DiagnosisModel; rates: string; losses: LossTables } | undefined

/**
 * The model depends on the machine and what was replaced, not on the findings: it is kept between two calls for one
 * machine.
 */
function cachedModel(
  { pump, alreadyReplaced = [] }: DiagnosisCase,
  experience: DiagnoseOptions['experience'],
): DiagnosisModel {
  const key = JSON.stringify([pump, alreadyReplaced, experience])
  if (lastModel?.key !== key) lastModel = { key, model: buildModel(pump, alreadyReplaced, experience) }
  return lastModel.model
}

function cachedLosses(model: DiagnosisModel, rates: Rates): LossTables {
  const key = JSON.stringify(rates)
  if (lastLosses?.model !== model || lastLosses.rates !== key)
    lastLosses = { model, rates: key, losses: { now: lossTable(model, rates), opened: lossTable(model, rates, true) } }
  return lastLosses.losses
}

/** The gates held now: as said, else those under which the last finding was made. */
function heldGates(input: DiagnosisCase, { pump, plate }: DiagnosisModel): Set<string> {
  if (input.gates) return new Set(input.gates)
  const last = input.findings?.findLast(({ check }) => (checkInfo(check)?.gates.length ?? 0) > 0)
  return new Set(last ? gatesFor(last, pump.kind, plate) : [])
}

/**
 * Checks that this complaint makes pointless: what stands still shows nothing of what turns, what is dead nothing under
 * load.
 */
function notAsked({ knowledge: { standstill } }: DiagnosisModel, complaints: readonly string[]): ReadonlySet<string> {
  const still = complaints.some((complaint) => (standstill.complaints as readonly string[]).includes(complaint))
  return new Set<string>([...(still ? standstill.checks : []), ...(complaints.includes('dead') ? standstill.dead : [])])
}

function singles(model: DiagnosisModel, probabilities: Float64Array): { fault: string; probability: number }[] {
  return model.hypotheses
    .flatMap(({ faults }, h) =>
      faults.length === 1 ? [{ fault: faults[0] as string, probability: probabilities[h] as number }] : [],
    )
    .sort((a, b) => b.probability - a.probability)
}

function pairs(hypotheses: readonly Hypothesis[], probabilities: Float64Array): Diagnosis['pairs'] {
  return hypotheses
    .flatMap(({ faults }, h) =>
      faults.length === 2 && (probabilities[h] as number) > 0.001
        ? [{ faults: [faults[0], faults[1]] as [string, string], probability: probabilities[h] as number }]
        : [],
    )
    .sort((a, b) => b.probability - a.probability)
    .slice(0, 10)
}

/** A repair this much less likely to be the cure than the likeliest one is no repair to make, however cheap. */
const LIKELY_SHARE = 0.4
/** A second repair is worth making with the first when what it cures stands this likely beside it. */
const BESIDE = 0.5

/**
 * The repair with the least expected loss among those that are likely enough to be the cure. `undecided` where testing
 * on costs less still.
 */
function bestRepair(
  { actions, hypotheses }: DiagnosisModel,
  losses: LossTable,
  probabilities: Float64Array,
): { action: ActionRow; undecided: boolean } {
  const chances = actions.map(({ cures }) => cureChance(hypotheses, probabilities, cures))
  const least = LIKELY_SHARE * Math.max(...chances)
  const expected = expectedLosses(losses, probabilities)
  let best = -1
  for (let row = 0; row < actions.length; row++) {
    if ((chances[row] as number) < least) continue
    if (best < 0 || (expected[row] as number) < (expected[best] as number)) best = row
  }
  return {
    action: actions[best] as ActionRow,
    undecided: (expected[losses.carryOn] as number) < (expected[best] as number),
  }
}

/** The cheapest repair of a second fault that shows as plainly and that the first repair leaves. */
function besideIt(
  { actions, holding }: DiagnosisModel,
  losses: LossTable,
  probabilities: Float64Array,
  first: ActionRow,
): Pick<Diagnosis, 'alsoDo'> {
  const cured = new Set<string>(first.cures)
  const left = [...marginals({ holding }, probabilities)]
    .filter(([fault, probability]) => fault !== 'nothing-wrong' && !cured.has(fault) && probability >= BESIDE)
    .sort((x, y) => y[1] - x[1])[0]
  if (!left) return {}
  const alone = holding.get(left[0])?.[0] as number
  const beside = actions
    .map((action, row) => ({ action, cost: losses.table[row * losses.hypotheses + alone] as number }))
    .filter(({ action }) => (action.cures as readonly string[]).includes(left[0]))
    .sort((x, y) => x.cost - y.cost)[0]
  return beside ? { alsoDo: beside.action.id } : {}
}

/** Probability of each fault, alone or in a pair. */
export function marginals(
  { holding }: Pick<DiagnosisModel, 'holding'>,
  probabilities: Float64Array,
): Map<string, number> {
  return new Map(
    [...holding].map(([fault, list]) => {
      let sum = 0
      for (const h of list) sum += probabilities[h] as number
      return [fault, sum]
    }),
  )
}

/** Outcomes rarer than this are not put on the card. */
const RARE = 0.004
/** From here on an outcome is said to settle the matter. */
const SETTLES = 0.85

/** A live check with the wet end open, or the pump on the lawn: that goes back first. */
function closeFirst({ gates }: Candidate, kind: Kind, held: ReadonlySet<string>): Pick<NextCheck, 'closeFirst'> {
  const access = accessGateOf(kind)
  return gates.includes('power-on') && !gates.includes(access) && held.has(access) ? { closeFirst: access } : {}
}

function describeNext(
  candidate: Candidate,
  model: DiagnosisModel,
  losses: LossTable,
  probabilities: Float64Array,
): NextCheck {
  const { check, gates, missingGates, minutes } = candidate
  const info = checkInfo(check.check)
  const all = outcomesOf(check, probabilities).map((outcome) => ({
    ...outcome,
    then: whatItSays(model, losses, outcome.posterior),
  }))
  const likely = <T extends { probability: number }>(outcomes: readonly T[]) =>
    outcomes.filter(({ probability }) => probability > RARE).sort((a, b) => b.probability - a.probability)
  const told = likely(info?.unit ? mergeRanges(all) : all).slice(0, 3)
  return {
    ...pickAsked(check),
    title: checkTitle(check),
    tool: info?.tool ?? '',
    caution: info?.caution,
    minutes,
    gates,
    missingGates,
    because: whyThisCheck(model, probabilities, likely(all), minutes),
    outcomes: told.map(({ label, probability, then }) => ({ if: label, probability, then })),
  }
}

/** "Parts run capacitor weak (62 %) from start switch stuck (21 %) for four minutes' work." */
function whyThisCheck(
  model: DiagnosisModel,
  probabilities: Float64Array,
  outcomes: readonly { probability: number; posterior: Float64Array }[],
  minutes: number,
): string {
  const now = marginals(model, probabilities)
  const moved = new Map<string, number>()
  for (const { probability, posterior } of outcomes) {
    for (const [fault, value] of marginals(model, posterior))
      moved.set(fault, (moved.get(fault) ?? 0) + probability * Math.abs(value - (now.get(fault) ?? 0)))
  }
  const parted = [...moved]
    .sort((a, b) => b[1] - a[1])
    .slice(0, 3)
    .filter(([fault, shift]) => shift > 0.01 && (now.get(fault) ?? 0) > 0.005)
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
    if (!last || plain(last.then) !== plain(range.then) || !/\d/.test(range.label)) return [...merged, range]
    const upper = / to (.+)$/.exec(range.label)?.[1]
    const lower = /^(?:under )?([\d.]+)/.exec(last.label)?.[1]
    const fromBelow = last.label.startsWith('under')
    const label = upper
      ? fromBelow
        ? `under ${upper}`
        : `${lower} to ${upper}`
      : fromBelow
        ? 'any reading'
        : range.label.replace(/over [\d.]+/, `over ${lower}`)
    const likelier = last.probability >= range.probability ? last : range
    return [...merged.slice(0, -1), { ...likelier, label, probability: last.probability + range.probability }]
  }, [])
}

function whatItSays(model: DiagnosisModel, losses: LossTable, posterior: Float64Array): string {
  const [top, second] = [...marginals(model, posterior)].sort((a, b) => b[1] - a[1])
  if (!top) return ''
  const name = `${faultLabel(top[0]).toLowerCase()}, ${formatPercent(top[1])}`
  if (top[1] >= SETTLES) {
    const { action, undecided } = bestRepair(model, losses, posterior)
    return undecided ? name : `${name}: ${action.label.charAt(0).toLowerCase()}${action.label.slice(1)}`
  }
  return second ? `${name}; ${faultLabel(second[0]).toLowerCase()}, ${formatPercent(second[1])}` : name
}
