import { checkInfo } from '../knowledge/checks/checks'
import { LOOK_AHEAD } from '../knowledge/faults/thresholds'
import { CHECKING, type Rates } from '../knowledge/shop/rates'
import { GATES, LIVE_GATES, type Gate } from '../knowledge/vocabulary'
import { accessGateOf, accessMinutes, gateMinutes, gatesFor } from './gates'
import type { LossTable } from './loss'
import type { CheckState, DiagnosisModel, ModelCheck } from './model'

export interface Candidate {
  check: ModelCheck
  /** Expected money saved by knowing the answer before acting. */
  worth: number
  cost: number
  minutes: number
  /** Gates it needs, in order; those not yet held cost their minutes. */
  gates: Gate[]
  missingGates: Gate[]
}

export interface ActivePosterior {
  indices: Int32Array
  probabilities: Float64Array
}

/** The hypotheses that matter, renormalised. */
export function activeHypotheses(probabilities: Float64Array): ActivePosterior {
  const indices = Int32Array.from(
    [...probabilities.keys()].filter((index) => (probabilities[index] as number) > LOOK_AHEAD.negligible),
  )
  const picked = Float64Array.from(indices, (index) => probabilities[index] as number)
  const sum = picked.reduce((total, value) => total + value, 0)
  return { indices, probabilities: picked.map((value) => value / sum) }
}

export interface RankOptions {
  held: ReadonlySet<string>
  done: ReadonlySet<string>
  skipped: ReadonlySet<string>
  notAsked: ReadonlySet<string>
  rates: Rates
}

/** The loss tables of a machine as it stands, and with the place behind its access gate open. */
export interface LossTables {
  now: LossTable
  opened: LossTable
}

/**
 * Every check that is possible now with what it is worth and what it costs, best first.
 *
 * Worth is the expected value of sample information: expected loss of the best action now, less the expected loss of
 * the best action once the answer is known; a check that opens the wet end or pulls the pump makes the repairs behind
 * that gate cheaper. Cost: minutes and gates at the shop's rate, gates shared among the checks that need them too, and
 * a premium for live work.
 */
export function rankChecks(
  model: DiagnosisModel,
  losses: LossTables,
  posterior: Float64Array,
  { held, done, skipped, notAsked, rates }: RankOptions,
): Candidate[] {
  const { pump, plate } = model
  const active = activeHypotheses(posterior)
  const access = accessGateOf(pump.kind)
  const rowsNow = pickLosses(losses.now, active)
  const rowsOpened = held.has(access) ? rowsNow : pickLosses(losses.opened, active)
  const perMinute = rates.hourly / 60
  const possible = model.checks.filter(
    ({ key, check }) =>
      !done.has(key) &&
      !skipped.has(key) &&
      !skipped.has(check) &&
      !notAsked.has(check) &&
      !checkInfo(check)?.historyOnly,
  )
  const base = leastLoss(rowsNow, active.probabilities)
  const gates = possible.map((check) => gatesFor(check, pump.kind, plate))
  const reached = gates.map((list) => (list.includes(access) && !held.has(access) ? rowsOpened : rowsNow))
  const oneStep = possible.map((check, index) => ({
    check,
    worth: base - lossAfter(check, active, reached[index] as Float64Array[]),
  }))
  const missing = gates.map((list) =>
    list.filter(
      (gate) => !held.has(gate) && !(LIVE_GATES.includes(gate) && gate !== 'power-on' && !held.has('drained')),
    ),
  )
  const candidates = oneStep.map(({ check, worth }, index): Candidate => {
    const missingGates = missing[index] as Gate[]
    const sharing = oneStep.filter(
      (other, j) => other.worth > 0.5 && sameGates(missing[j] as Gate[], missingGates),
    ).length
    const needed = gates[index] as Gate[]
    const live = needed.includes('power-on')
    // With the power locked off, a live check undoes the dead gates, which must then be proved again; and what stands
    // open or hangs out of the well must go back first.
    const undo =
      (live && held.has('power-off') ? GATES['power-off'].minutes + GATES['proved-dead'].minutes : 0) +
      (live && held.has(access) && !needed.includes(access) ? accessMinutes(pump) : 0)
    const reaching = missingGates.includes(access) ? accessMinutes(pump) : 0
    const turned = missingGates.reduce((sum, gate) => sum + (gate === access ? 0 : gateMinutes(gate, pump)), 0) + undo
    const own = checkInfo(check.check)?.minutes ?? 5
    const minutes =
      CHECKING.overheadMinutes +
      own +
      reaching +
      turned / Math.max(1, Math.min(3, sharing)) +
      (live ? CHECKING.liveRiskMinutes : 0)
    return { check, worth, cost: minutes * perMinute, minutes: own, gates: needed, missingGates }
  })
  for (const candidate of candidates) {
    if (candidate.minutes > LOOK_AHEAD.freeMinutes || candidate.missingGates.length > 0) continue
    candidate.worth = Math.max(candidate.worth, base - lossAfterTwo(candidate, candidates, active, rowsNow))
  }
  return candidates.sort((a, b) => b.worth - b.cost - (a.worth - a.cost))
}

function sameGates(a: readonly Gate[], b: readonly Gate[]): boolean {
  return a.length === b.length && a.every((gate) => b.includes(gate))
}

function pickLosses({ table, actions, hypotheses }: LossTable, { indices }: ActivePosterior): Float64Array[] {
  return Array.from({ length: actions }, (_, a) =>
    Float64Array.from(indices, (index) => table[a * hypotheses + index] as number),
  )
}

/** Loss of the best action, weights not necessarily summing to one. */
function leastLoss(lossRows: readonly Float64Array[], weights: Float64Array): number {
  let least = Infinity
  for (const row of lossRows) {
    let sum = 0
    for (let h = 0; h < weights.length; h++) sum += (weights[h] as number) * (row[h] as number)
    if (sum < least) least = sum
  }
  return least
}

function lossAfter(
  check: ModelCheck,
  { indices, probabilities }: ActivePosterior,
  lossRows: readonly Float64Array[],
): number {
  const count = check.states.length
  let total = 0
  const weights = new Float64Array(indices.length)
  for (let state = 0; state < count; state++) {
    for (let h = 0; h < indices.length; h++)
      weights[h] = (probabilities[h] as number) * (check.rows[(indices[h] as number) * count + state] as number)
    total += leastLoss(lossRows, weights)
  }
  return total
}

/** Expected loss when after this free check the best of a few next checks may still be made. */
function lossAfterTwo(
  first: Candidate,
  candidates: readonly Candidate[],
  { indices, probabilities }: ActivePosterior,
  lossRows: readonly Float64Array[],
): number {
  const followers = [...candidates]
    .filter((candidate) => candidate !== first)
    .sort((a, b) => b.worth - b.cost - (a.worth - a.cost))
    .slice(0, 6)
  const count = first.check.states.length
  let total = 0
  for (let state = 0; state < count; state++) {
    const weights = Float64Array.from(
      indices,
      (index, h) => (probabilities[h] as number) * (first.check.rows[index * count + state] as number),
    )
    const mass = weights.reduce((sum, weight) => sum + weight, 0)
    const actNow = leastLoss(lossRows, weights)
    const later = followers.map(
      (candidate) => lossAfter(candidate.check, { indices, probabilities: weights }, lossRows) + candidate.cost * mass,
    )
    total += Math.min(actNow, ...later)
  }
  return total
}

/**
 * The check that tells most for its cost: expected information about the hypotheses, in bits, per unit of money.
 * Used while testing on is the best thing to do and no single answer would yet change the repair.
 */
export function mostTelling(candidates: readonly Candidate[], posterior: Float64Array): Candidate | undefined {
  const active = activeHypotheses(posterior)
  const scored = candidates.map((candidate) => {
    const bits = informationBits(candidate.check, active)
    return { candidate, bits, score: bits / candidate.cost }
  })
  const best = scored.sort((a, b) => b.score - a.score)[0]
  return best && best.bits > LOOK_AHEAD.worthAskingBits ? best.candidate : undefined
}

/** Expected information of a check about the hypotheses: mutual information, bits. */
export function informationBits(
  check: Pick<ModelCheck, 'states' | 'rows'>,
  { indices, probabilities }: ActivePosterior,
): number {
  const count = check.states.length
  let bits = 0
  for (let state = 0; state < count; state++) {
    let marginal = 0
    for (let h = 0; h < indices.length; h++)
      marginal += (probabilities[h] as number) * (check.rows[(indices[h] as number) * count + state] as number)
    if (marginal === 0) continue
    for (let h = 0; h < indices.length; h++) {
      const given = check.rows[(indices[h] as number) * count + state] as number
      if (given > 0) bits += (probabilities[h] as number) * given * Math.log2(given / marginal)
    }
  }
  return bits
}

/** For each outcome of a check, how likely it is and what the posterior would then be. */
export function outcomesOf(
  check: ModelCheck,
  posterior: Float64Array,
): { state: CheckState; probability: number; posterior: Float64Array }[] {
  const count = check.states.length
  return check.states.map((said, state) => {
    const weights = posterior.map((probability, h) => probability * (check.rows[h * count + state] as number))
    const probability = weights.reduce((sum, weight) => sum + weight, 0)
    return { state: said, probability, posterior: weights.map((weight) => weight / probability) }
  })
}
