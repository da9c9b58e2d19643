import { checkInfo } from '../knowledge/checks/checks'
import { DECIDING, LOOK_AHEAD } from '../knowledge/faults/thresholds'
import { CHECKING, type Rates } from '../knowledge/shop/rates'
import { GATES, LIVE_GATES, type Gate, type Standing } from '../knowledge/vocabulary'
import { accessGateOf, accessMinutes, gateMinutes, gatesFor } from './gates'
import { shares } from './likelihood'
import type { LossTable } from './loss'
import type { Slip } from './slip'
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
  /** It was made, and is made once more: its decimal seems to have slipped. */
  again?: Slip
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
  return { indices, probabilities: shares(picked) }
}

export interface RankOptions {
  held: ReadonlySet<string>
  rates: Rates
  /** Chance that the best repair follows whatever the check says: the gates that make it safe are its gates too. */
  repairing: number
  standing: Standing
}

/** The loss tables of a machine as it stands, and with the place behind its access gate open. */
export interface LossTables {
  now: LossTable
  opened: LossTable
}

/**
 * Every one of these checks with what it is worth and what it costs, best first.
 *
 * Worth is the expected value of sample information: expected loss of the best action now, less the expected loss of
 * the best action once the answer is known; a check that opens the wet end or pulls the pump makes the repairs behind
 * that gate cheaper. Cost: minutes and gates at the shop's rate, gates shared among the checks that need them too, and
 * the shop's own price of live work.
 */
export function rankChecks(
  model: DiagnosisModel,
  losses: LossTables,
  posterior: Float64Array,
  possible: readonly ModelCheck[],
  { held, rates, repairing, standing }: RankOptions,
): Candidate[] {
  const { pump, plate } = model
  const active = activeHypotheses(posterior)
  const access = accessGateOf(pump.kind)
  const now = decisionsOf(losses.now, active)
  const opened = held.has(access) ? now : decisionsOf(losses.opened, active)
  const perMinute = rates.hourly / 60
  const base = lossOfActing(now, active.probabilities)
  const gates = possible.map((check) => gatesFor(check, pump.kind, plate, standing))
  const reached = gates.map((list) => (list.includes(access) && !held.has(access) ? opened : now))
  const oneStep = possible.map((check, index) => ({
    check,
    worth: base - lossAfter(check, active, reached[index] as Decisions),
  }))
  const missing = gates.map((list) =>
    list.filter(
      (gate) => !held.has(gate) && !(LIVE_GATES.includes(gate) && gate !== 'power-on' && !held.has('drained')),
    ),
  )
  const candidates = oneStep.map(({ check, worth }, index): Candidate => {
    const missingGates = missing[index] as Gate[]
    const sharing = oneStep.filter(
      (other, j) => other.worth > LOOK_AHEAD.sharesFrom * base && sameGates(missing[j] as Gate[], missingGates),
    ).length
    const needed = gates[index] as Gate[]
    const live = needed.includes('power-on')
    // With the power locked off, a live check undoes the dead gates, which must then be proved again; and what stands
    // open or hangs out of the well must go back first.
    const undo =
      (live && held.has('power-off') ? GATES['power-off'].minutes + GATES['proved-dead'].minutes : 0) +
      (live && held.has(access) && !needed.includes(access) && !check.standings ? accessMinutes(pump) : 0)
    const reaching = missingGates.includes(access) ? accessMinutes(pump) : 0
    const making = missingGates.reduce((sum, gate) => sum + (gate === access ? 0 : gateMinutes(gate, pump)), 0)
    const turned = (live ? 1 : 1 - repairing) * making + undo
    const own = checkInfo(check.check)?.minutes ?? 5
    const minutes = CHECKING.overheadMinutes + own + reaching + turned / Math.max(1, Math.min(3, sharing))
    return {
      check,
      worth,
      cost: minutes * perMinute + (live ? rates.liveRisk : 0),
      minutes: own,
      gates: needed,
      missingGates,
    }
  })
  for (const candidate of candidates) {
    if (!isFree(candidate)) continue
    candidate.worth = Math.max(candidate.worth, base - lossAfterTwo(candidate, candidates, active, now))
  }
  return candidates.sort((a, b) => b.worth - b.cost - (a.worth - a.cost))
}

/** Quick, and nothing has to be made safe for it. */
function isFree({ minutes, missingGates }: Candidate): boolean {
  return minutes <= LOOK_AHEAD.freeMinutes && missingGates.length === 0
}

function sameGates(a: readonly Gate[], b: readonly Gate[]): boolean {
  return a.length === b.length && a.every((gate) => b.includes(gate))
}

/** Losses and cures of every repair over the hypotheses that matter; the last row of losses is testing on. */
export interface Decisions {
  losses: Float64Array[]
  cures: Uint8Array[]
}

function decisionsOf(
  { table, actions, hypotheses, cures, carryOn }: LossTable,
  { indices }: ActivePosterior,
): Decisions {
  return {
    losses: Array.from({ length: actions }, (_, a) =>
      Float64Array.from(indices, (index) => table[a * hypotheses + index] as number),
    ),
    cures: Array.from({ length: carryOn }, (_, a) =>
      Uint8Array.from(indices, (index) => cures[a * hypotheses + index] as number),
    ),
  }
}

/**
 * What acting is expected to lose by the rule that acts: the least loss among the repairs that are likely enough to be
 * the cure, or testing on where that is less. Weights need not sum to one.
 */
export function lossOfActing({ losses, cures }: Decisions, weights: Float64Array): number {
  const repairs = cures.length
  const chances = new Float64Array(repairs)
  const expected = new Float64Array(repairs)
  let likeliest = 0
  for (let a = 0; a < repairs; a++) {
    const row = losses[a] as Float64Array
    const cured = cures[a] as Uint8Array
    let sum = 0
    let chance = 0
    for (let h = 0; h < weights.length; h++) {
      const weight = weights[h] as number
      sum += weight * (row[h] as number)
      if (cured[h] === 1) chance += weight
    }
    expected[a] = sum
    chances[a] = chance
    if (chance > likeliest) likeliest = chance
  }
  const testingOn = losses[repairs] as Float64Array
  let least = 0
  for (let h = 0; h < weights.length; h++) least += (weights[h] as number) * (testingOn[h] as number)
  for (let a = 0; a < repairs; a++)
    if ((chances[a] as number) >= DECIDING.likelyShare * likeliest && (expected[a] as number) < least)
      least = expected[a] as number
  return least
}

function lossAfter(check: ModelCheck, { indices, probabilities }: ActivePosterior, decisions: Decisions): number {
  const count = check.states.length
  let total = 0
  const weights = new Float64Array(indices.length)
  for (let state = 0; state < count; state++) {
    for (let h = 0; h < indices.length; h++)
      weights[h] = (probabilities[h] as number) * (check.rows[(indices[h] as number) * count + state] as number)
    total += lossOfActing(decisions, weights)
  }
  return total
}

/** Expected loss when after this free check the best of a few next checks may still be made. */
function lossAfterTwo(
  first: Candidate,
  candidates: readonly Candidate[],
  { indices, probabilities }: ActivePosterior,
  decisions: Decisions,
): number {
  const followers = [...candidates]
    .filter((candidate) => candidate !== first)
    .sort((a, b) => b.worth - b.cost - (a.worth - a.cost))
    .slice(0, LOOK_AHEAD.followers)
  const count = first.check.states.length
  let total = 0
  for (let state = 0; state < count; state++) {
    const weights = Float64Array.from(
      indices,
      (index, h) => (probabilities[h] as number) * (first.check.rows[index * count + state] as number),
    )
    const mass = weights.reduce((sum, weight) => sum + weight, 0)
    const actNow = lossOfActing(decisions, weights)
    const later = followers.map(
      (candidate) => lossAfter(candidate.check, { indices, probabilities: weights }, decisions) + candidate.cost * mass,
    )
    total += Math.min(actNow, ...later)
  }
  return total
}

/**
 * The check that tells most for its cost: expected information about the hypotheses, in bits, per unit of money.
 * Used while testing on is the best thing to do and no single answer would yet change the repair. What only chance
 * brings together is left out of it: it would make a check of something else look telling.
 */
export function mostTelling(
  { hypotheses }: Pick<DiagnosisModel, 'hypotheses'>,
  candidates: readonly Candidate[],
  posterior: Float64Array,
): Candidate | undefined {
  const active = activeHypotheses(
    posterior.map((probability, index) => (hypotheses[index]?.byChance ? 0 : probability)),
  )
  const scored = candidates.map((candidate) => {
    const bits = informationBits(candidate.check, active)
    return { candidate, bits, score: bits / candidate.cost }
  })
  const asking = scored.filter(({ bits }) => bits > LOOK_AHEAD.worthAskingBits).sort((a, b) => b.score - a.score)
  const best = asking[0]
  const free = asking.find(({ candidate: each }) => isFree(each))
  return (best && free && free.score >= LOOK_AHEAD.nearlyAsTelling * best.score ? free : best)?.candidate
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
