import { actionCost, actionMinutes, cureChance } from '../diagnosis/loss'
import { checkKey, type Finding } from '../diagnosis/finding'
import { accessGateOf } from '../diagnosis/gates'
import { infer } from '../diagnosis/inference'
import { buildModel, type DiagnosisModel } from '../diagnosis/model'
import type { ActionRow } from '../knowledge/faults/model-types'
import { wholeRates } from '../knowledge/shop/rates'
import type { Reader } from '../quantity/sentence'
import type { Shop } from '../visit/shop'
import { spentOn } from './fold-try'
import { jobStep, PROVING_MINUTES, provingStep } from './lamp-way'
import { inPlace } from './offered'
import type { PracticeCase } from './practice-case'
import { everyReading, findingOf } from './readings'
import { VisitClock } from './visit-clock'
import { readStep, type Way, type WayStep } from './way'

/** As sure as this of the right repair, and nobody would ask for more. */
const SURE = 0.85
const MOST_CHECKS = 6
/** A check that adds less than this to what is believed of the right repair is left out. */
const WORTH = 0.01

/** The cheapest repairs that cure everything that is wrong: one that does it all, or one for each. */
export function rightRepairs(model: DiagnosisModel, practice: PracticeCase, shop: Shop): ActionRow[] {
  const rates = wholeRates(shop.rates)
  const offered = model.actions
    .filter((action) => inPlace(action) && !action.onlyUnderWarranty)
    .sort((a, b) => actionCost(a, practice.pump, rates) - actionCost(b, practice.pump, rates))
  const curing = (faults: readonly string[]) =>
    offered.find(({ cures }) => faults.every((fault) => (cures as readonly string[]).includes(fault)))
  const cost = (actions: readonly ActionRow[]) =>
    actions.reduce((sum, action) => sum + actionCost(action, practice.pump, rates), 0)
  const whole = curing(practice.faults)
  const each = practice.faults.flatMap((fault) => curing([fault]) ?? [])
  const apart = each.length === practice.faults.length ? [...new Set(each)] : undefined
  if (!whole) return apart ?? []
  return apart && cost(apart) < cost([whole]) ? apart : [whole]
}

/**
 * The shortest way that could be gone by whoever knew beforehand what each check would show: step by step the check
 * that adds most a minute to what is believed of the right repair, until that is as good as sure.
 */
export function hindsightWay(practice: PracticeCase, shop: Shop, reader: Reader): Way {
  const { pump, complaints, alreadyReplaced } = practice
  const model = buildModel(pump, alreadyReplaced)
  const repairs = rightRepairs(model, practice, shop)
  const cures = repairs.flatMap((repair) => repair.cures)
  const believed = (findings: readonly Finding[]) =>
    cureChance(model.hypotheses, infer(model, { complaints, findings: [...findings] }).probabilities, cures)
  const could = everyReading(model, practice.machine, practice.seed + 977).map((reading) => ({
    ...reading,
    finding: findingOf(reading),
  }))
  let clock = new VisitClock(pump)
  const made: Finding[] = []
  const steps: WayStep[] = []
  let belief = believed(made)
  while (belief < SURE && steps.length < MOST_CHECKS) {
    let best: { gain: number; each: (typeof could)[number]; after: VisitClock; belief: number } | undefined
    for (const each of could) {
      if (steps.some(({ key }) => key === checkKey(each.question))) continue
      const after = clock.copy()
      after.spend(each.question)
      const then = believed([...made, each.finding])
      const gain = (then - belief) / Math.max(1, after.minutes - clock.minutes)
      if (then - belief > WORTH && (!best || gain > best.gain)) best = { gain, each, after, belief: then }
    }
    if (!best) break
    made.push(best.each.finding)
    steps.push(readStep(best.each, best.after.minutes - clock.minutes, pump, reader))
    clock = best.after
    belief = best.belief
  }
  const access = accessGateOf(pump.kind)
  let minutes = clock.minutes
  const cured: string[] = []
  for (const repair of repairs) {
    const taken = actionMinutes(repair, pump, clock.held.has(access))
    minutes += taken
    cured.push(...repair.cures)
    steps.push(jobStep(repair, taken, practice, cured))
  }
  minutes += PROVING_MINUTES
  steps.push(provingStep(practice, cured))
  return {
    steps,
    minutes,
    price: spentOn(
      practice,
      repairs.map(({ id }) => id),
      minutes,
      shop,
    ).total,
    cures: repairs.length > 0,
  }
}
