import { checkInfo } from '../knowledge/checks/checks'
import type { ActionRow } from '../knowledge/faults/model-types'
import { DECIDING, LISTING, LOOK_AHEAD } from '../knowledge/faults/thresholds'
import { usualStanding, type Standing } from '../knowledge/vocabulary'
import { DEFAULT_RATES, wholeRates, type EnteredRates, type Rates } from '../knowledge/shop/rates'
import { ownFindings } from './own-findings'
import { mechanismOf, newestFindings, type DiagnosisCase, type Finding } from './finding'
import { accessGateOf, gatesFor } from './gates'
import { infer, type Posterior } from './inference'
import { cureChance, expectedLosses, lossTable, type LossScene, type LossTable } from './loss'
import { buildModel, modelCheckOf, type DiagnosisModel, type ModelCheck } from './model'
import { mostTelling, rankChecks, type Candidate } from './next-check'
import { pumpAsFound } from '../motor/as-found'
import { possibleChecks } from './possible-checks'
import { slipOf, type Slip } from './slip'
import { safetyOf, type Safety } from './safety'
import { fightOf, type Fight } from './standstill'

export interface ReasoningOptions {
  rates?: EnteredRates
  /** What the shop's own visits make of each fault's rate, as a multiple. */
  experience?: Readonly<Record<string, number>>
  /** The model of this very machine, replaced parts and experience, where it was built before: it takes longest. */
  model?: DiagnosisModel
}

/**
 * One case weighed once: the machine's model, the probability of each explanation, and what every repair is expected to
 * lose. Diagnosis, options and preparation all read from it. Numbers and ids alone; words are made elsewhere.
 */
export interface Reasoning {
  input: DiagnosisCase
  /** What the customer is charged. */
  rates: Rates
  /** What is reckoned with: time is worth something even where nothing is charged for it. */
  reckoned: Rates
  model: DiagnosisModel
  /** The newest finding of each mechanism. */
  findings: Finding[]
  posterior: Posterior
  held: ReadonlySet<string>
  /** The hard rules in force, and what they bar. */
  safety: Safety
  /** Two findings that cannot both be true. Neither counts until one of them was made again. */
  fight?: Fight
  /** The loss of every repair as things stand: behind a gate that is open already it costs its own minutes only. */
  losses: LossTable
  /** Some explanation is left: not every cause has been set aside. */
  explicable: boolean
}

/** Weighs a case. */
export function reasonOn(input: DiagnosisCase, options: ReasoningOptions = {}): Reasoning {
  const rates = wholeRates(options.rates ?? DEFAULT_RATES)
  const reckoned = reckonedRates(rates)
  const pump = pumpAsFound(input.pump, input.findings ?? [])
  const whole = options.model ?? buildModel(pump, input.alreadyReplaced, options.experience)
  const model = { ...whole, actions: whole.actions.filter((action) => isOffered(action, input)) }
  const findings = ownFindings(newestFindings(input.findings ?? []), pump.kind)
  const fight = fightOf(findings, model.plate)
  const contested = new Set<Finding>(fight ? [fight.dead, ...fight.live] : [])
  const posterior = infer(model, {
    complaints: input.complaints,
    findings: findings.filter((finding) => !contested.has(finding)),
    excluded: input.excluded,
  })
  const held = heldGates(input, model)
  return {
    input: pump === input.pump ? input : { ...input, pump },
    rates,
    model,
    findings,
    posterior,
    held,
    safety: safetyOf({ pump, plate: model.plate, complaints: input.complaints ?? [], findings }),
    ...(fight ? { fight } : {}),
    reckoned,
    losses: lossTable(model, reckoned, { ...lossScene(input), open: held.has(accessGateOf(input.pump.kind)) }),
    explicable: posterior.probabilities.some((probability) => probability > 0),
  }
}

/** What hangs on the pump, of a case. */
function lossScene({ complaints, minutesLeft }: DiagnosisCase): LossScene {
  return { complaints, minutesLeft }
}

/** Where the machine of a case stands: as said, else as its construction does. */
function standingOf({ standing, pump }: DiagnosisCase): Standing {
  return standing ?? usualStanding(pump.construction)
}

/** Is the repair to be had where the machine stands, and was read what it hangs on? */
function isOffered({ onlyAfter, standings }: ActionRow, input: DiagnosisCase): boolean {
  const { findings = [] } = input
  return (
    (!standings || standings.includes(standingOf(input))) &&
    (!onlyAfter || findings.some(({ check, of }) => check === onlyAfter && of !== 'new'))
  )
}

/** A shop that charges by the job and not by the hour still has only so many hours: they count as usual ones. */
function reckonedRates(rates: Rates): Rates {
  return rates.hourly > 0 ? rates : { ...rates, hourly: DEFAULT_RATES.hourly }
}

/**
 * The check worth making next, by its expected value of sample information against its cost, or undefined where acting
 * now is worth more.
 *
 * @param repair the best repair as things stand; `undecided` where testing on costs less than it
 */
export function nextCandidate(
  reasoning: Reasoning,
  repair: { action: ActionRow; undecided: boolean },
): Candidate | undefined {
  const { input, reckoned, model, posterior, held, losses } = reasoning
  const opened = held.has(accessGateOf(input.pump.kind))
    ? losses
    : lossTable(model, reckoned, { ...lossScene(input), open: true })
  const rank = (checks: readonly ModelCheck[]) =>
    rankChecks(model, { now: losses, opened }, posterior.probabilities, checks, {
      held,
      rates: reckoned,
      standing: standingOf(input),
      repairing: chanceOfFollowing(reasoning, repair.action),
    })
  // A reading that cannot be true is made again; on a wet floor the outlet comes before everything.
  const first = checkToRepeat(reasoning) ?? outletFirst(reasoning)
  if (first) return rank([first])[0]
  const slip = slipToRepeat(reasoning)
  if (slip) return { ...(rank([slip.check])[0] as Candidate), again: slip }
  const ranking = rank(checksPossible(reasoning))
  const worthwhile = ranking[0] && ranking[0].worth > ranking[0].cost ? ranking[0] : undefined
  // On the caller's word alone nothing is replaced: one reading at least is taken.
  const unread = posterior.weighed.length === 0
  if (repair.undecided || (unread && !worthwhile)) return mostTelling(model, ranking, posterior.probabilities)
  return worthwhile ?? lookBeforeRepeating(reasoning, repair.action, ranking)
}

/** Chance that what makes a check safe is done for a repair anyway. */
function chanceOfFollowing({ model, posterior }: Reasoning, { cures }: ActionRow): number {
  if (cures.includes('nothing-wrong')) return 0
  return Math.max(LOOK_AHEAD.someRepairFollows, cureChance(model.hypotheses, posterior.probabilities, cures))
}

/** The checks that may be lit in this case. */
export function checksPossible({ input, model, findings, held, safety, posterior }: Reasoning): ModelCheck[] {
  return possibleChecks({
    model,
    findings,
    complaints: input.complaints ?? [],
    skipped: input.skipped ?? [],
    held,
    standing: standingOf(input),
    safety,
    posterior: posterior.probabilities,
  })
}

/** What was renewed before and did not cure is not renewed again unseen: one look at it comes first. */
function lookBeforeRepeating(
  { input, model, findings, posterior }: Reasoning,
  { parts, cures, access }: ActionRow,
  ranking: readonly Candidate[],
): Candidate | undefined {
  const renewed = input.alreadyReplaced ?? []
  if (!parts.some((part) => renewed.includes(part))) return undefined
  const cured = new Set<string>(cures)
  const looksAtIt = ({ speaksOf, key }: ModelCheck) =>
    key !== 'weep-hole' && key !== 'joint-look' && speaksOf.length <= 3 && speaksOf.every((fault) => cured.has(fault))
  if (
    findings.some((finding) => {
      const check = modelCheckOf(model, finding)
      return check !== undefined && looksAtIt(check)
    })
  )
    return undefined
  const looks = ranking.filter(({ check, gates }) => looksAtIt(check) && (!access || gates.includes(access)))
  return mostTelling(model, looks, posterior.probabilities)
}

/** The outlet, where the floor is wet: whatever else it would tell, it is proved first. */
function outletFirst({ model, safety, input }: Reasoning): ModelCheck | undefined {
  const outlet = model.checks.find(({ check }) => check === 'outlet-voltage')
  return safety.rules.includes('wetFloor') && outlet && !input.skipped?.includes(outlet.key) ? outlet : undefined
}

/** Of two findings that fight, the dead one is made again, once: it is the safe one of the two. */
function checkToRepeat({ fight, input, model, safety }: Reasoning): ModelCheck | undefined {
  if (!fight) return undefined
  const mechanism = mechanismOf(fight.dead)
  const made = (input.findings ?? []).filter((finding) => mechanismOf(finding) === mechanism).length
  const check = modelCheckOf(model, fight.dead)
  return made === 1 && check && safety.bars(check) === undefined ? check : undefined
}

/** A figure whose decimal slipped, as it seems, is read once more before anything hangs on it. */
function slipToRepeat({ model, posterior, input, safety }: Reasoning): Slip | undefined {
  const slip = slipOf(model, posterior, input.findings ?? [])
  return slip && !input.skipped?.includes(slip.check.key) && safety.bars(slip.check) === undefined ? slip : undefined
}

/** The gates held now: as said, else those under which the last finding was made. */
function heldGates(input: DiagnosisCase, { pump, plate }: DiagnosisModel): Set<string> {
  if (input.gates) return new Set(input.gates)
  const last = input.findings?.findLast(({ check }) => (checkInfo(check)?.gates.length ?? 0) > 0)
  return new Set(last ? gatesFor(last, pump.kind, plate, standingOf(input)) : [])
}

/** Every fault standing alone, likeliest first. */
export function singles({ model, posterior: { probabilities } }: Reasoning): { fault: string; probability: number }[] {
  return model.hypotheses
    .flatMap(({ faults }, h) =>
      faults.length === 1 ? [{ fault: faults[0] as string, probability: probabilities[h] as number }] : [],
    )
    .sort((a, b) => b.probability - a.probability)
}

/** Two faults together, likeliest first. */
export function pairs({
  model,
  posterior: { probabilities },
}: Reasoning): { faults: [string, string]; probability: number }[] {
  return model.hypotheses
    .flatMap(({ faults }, h) =>
      faults.length === 2 && (probabilities[h] as number) > LISTING.worthPairing
        ? [{ faults: [faults[0], faults[1]] as [string, string], probability: probabilities[h] as number }]
        : [],
    )
    .sort((a, b) => b.probability - a.probability)
    .slice(0, LISTING.mostPairs)
}

/**
 * The repair with the least expected loss among those that are likely enough to be the cure. `undecided` where testing
 * on costs less still.
 */
export function bestRepair(
  { model: { actions, hypotheses }, losses, posterior }: Pick<Reasoning, 'model' | 'losses' | 'posterior'>,
  probabilities = posterior.probabilities,
): { action: ActionRow; undecided: boolean } {
  const chances = actions.map(({ cures }) => cureChance(hypotheses, probabilities, cures))
  const least = DECIDING.likelyShare * Math.max(...chances)
  const expected = expectedLosses(losses, probabilities)
  let best = -1
  for (let row = 0; row < actions.length; row++) {
    if ((chances[row] as number) < least) continue
    if (best < 0 || (expected[row] as number) < (expected[best] as number)) best = row
  }
  return {
    action: actions[best] as ActionRow,
    undecided:
      (expected[losses.carryOn] as number) < (expected[best] as number) || (chances[best] as number) < DECIDING.sure,
  }
}

/** The cheapest repair of a second fault that shows as plainly and that the first repair leaves. */
export function repairBeside({ model, losses, posterior }: Reasoning, first: ActionRow): ActionRow | undefined {
  const cured = new Set<string>(first.cures)
  const left = [...marginals(model, posterior.probabilities)]
    .filter(([fault, probability]) => fault !== 'nothing-wrong' && !cured.has(fault) && probability >= DECIDING.beside)
    .sort((x, y) => y[1] - x[1])[0]
  if (!left) return undefined
  const alone = model.holding.get(left[0])?.[0] as number
  return model.actions
    .map((action, row) => ({ action, cost: losses.table[row * losses.hypotheses + alone] as number }))
    .filter(({ action }) => (action.cures as readonly string[]).includes(left[0]))
    .sort((x, y) => x.cost - y.cost)[0]?.action
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
