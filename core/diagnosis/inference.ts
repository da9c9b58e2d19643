import type { Check } from '../knowledge/checks/checks'
import { ECHOES, SPOKEN_FOR } from '../knowledge/faults/echoes'
import type { Complaint } from '../knowledge/vocabulary'
import { newestFindings, type Finding } from './finding'
import { shares } from './likelihood'
import { ownFindings } from './own-findings'
import { complaintLeak, complaintLikelihood, modelCheckOf, type DiagnosisModel } from './model'

/** One piece of evidence that moves the posterior: its likelihood per hypothesis. */
export interface Weighed {
  finding: Finding
  likelihood: Float64Array
}

export interface Posterior {
  /** Probability per hypothesis, in the model's order. Sums to 1. */
  probabilities: Float64Array
  /** What the complaint alone says, before any finding and before any cause was set aside. */
  fromComplaint: Float64Array
  weighed: Weighed[]
  /** The complaints as evidence, for the explanations. */
  complaints: { complaint: string; likelihood: Float64Array }[]
}

export interface Evidence {
  complaints?: readonly string[]
  findings?: readonly Finding[]
  excluded?: readonly string[]
}

/**
 * Exact posterior by enumeration: prior × complaints × findings, each mechanism counted once (the newest finding
 * speaks).
 *
 * The order of the findings does not matter; a finding that cannot tell moves nothing.
 */
export function infer(model: DiagnosisModel, { complaints = [], findings = [], excluded = [] }: Evidence): Posterior {
  const log = Float64Array.from(model.hypotheses, ({ prior }) => Math.log(prior))
  const told = [...new Set(complaints)].map((complaint) => ({
    complaint,
    likelihood: complaintLikelihood(model, complaint),
    leak: complaintLeak(model.knowledge, complaint),
  }))
  const found = weigh(model, findings)
  const said = told.filter(({ complaint }) => !found.some(({ finding }) => echoes(finding, complaint)))
  for (const { likelihood } of said) addLog(log, likelihood)
  const fromComplaint = normalise(log)
  model.hypotheses.forEach(({ faults }, h) => {
    if (faults.some((fault) => excluded.includes(fault))) log[h] = -Infinity
  })
  const weighed = found.map((each) => asTold(each, told))
  for (const { likelihood } of weighed) addLog(log, likelihood)
  return { probabilities: normalise(log), fromComplaint, weighed, complaints: said }
}

/** A word this many times as likely as without any cause is accounted for. */
const ACCOUNTED = 1.05

function echoes({ check, outcome }: Finding, complaint: string): boolean {
  return ECHOES[complaint as Complaint]?.[check as Check]?.includes(outcome ?? '') ?? false
}

/**
 * What was found to be just what was told is one thing where a cause accounts for the word: the finding speaks for
 * both, and is no likelier than each. Told and found where nothing accounts for it, it is two coincidences: so a noise
 * that was called about is not taken for one that is heard of any machine.
 */
function asTold(
  weighed: Weighed,
  told: readonly { complaint: string; likelihood: Float64Array; leak: number }[],
): Weighed {
  const alike = told.filter(({ complaint }) => echoes(weighed.finding, complaint))
  if (alike.length === 0) return weighed
  return {
    ...weighed,
    likelihood: weighed.likelihood.map((found, h) =>
      alike.reduce((both, { likelihood: words, leak }) => {
        const word = words[h] as number
        return word > ACCOUNTED * leak ? Math.min(both, word) : both * word
      }, found),
    ),
  }
}

function isSpokenFor({ check, outcome }: Finding, findings: readonly Finding[]): boolean {
  return SPOKEN_FOR.some(
    (pair) =>
      pair.check === check &&
      pair.outcome === outcome &&
      findings.some((other) => other.check === pair.by.check && other.outcome === pair.by.outcome),
  )
}

/** The findings that can tell, with their likelihoods, in an order that does not depend on the order of entry. */
function weigh(model: DiagnosisModel, findings: readonly Finding[]): Weighed[] {
  const own = ownFindings(newestFindings(findings), model.pump?.kind)
  const speaking = own
    .filter((finding) => !isSpokenFor(finding, own))
    .flatMap((finding) => {
      const check = modelCheckOf(model, finding)
      const likelihood = check?.weigh(finding)
      return check && likelihood ? [{ key: check.key, finding, likelihood }] : []
    })
  // Two ways of naming one reading are one reading: the last said speaks.
  return [...new Map(speaking.map((each) => [each.key, each])).values()].sort((a, b) =>
    a.key < b.key ? -1 : a.key > b.key ? 1 : 0,
  )
}

function addLog(log: Float64Array, likelihood: Float64Array): void {
  for (let index = 0; index < log.length; index++) log[index]! += Math.log(likelihood[index] as number)
}

/** From logarithms to probabilities that sum to one. All excluded leaves an even spread over nothing: zeros. */
function normalise(log: Float64Array): Float64Array {
  const largest = log.reduce((max, value) => (value > max ? value : max), -Infinity)
  if (largest === -Infinity) return new Float64Array(log.length)
  return shares(log.map((value) => Math.exp(value - largest)))
}
