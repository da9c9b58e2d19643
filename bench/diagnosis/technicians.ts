import { diagnose, type Diagnosis } from '#core/diagnosis/diagnose'
import { marginals } from '#core/diagnosis/reasoning'
import { checkKey, pickAsked, type Asked, type Finding } from '#core/diagnosis/finding'
import { infer } from '#core/diagnosis/inference'
import { buildModel, type DiagnosisModel } from '#core/diagnosis/model'
import { checkInfo, type Check } from '#core/knowledge/checks/checks'
import { STANDSTILL_CHECKS } from '#core/knowledge/checks/standstill'
import type { ActionRow } from '#core/knowledge/faults/model-types'
import { DEFAULT_RATES } from '#core/knowledge/shop/rates'
import { actionCost, cureChance } from '#core/diagnosis/loss'
import { partsPrice } from '#core/diagnosis/part-price'
import { answer } from '#core/virtual/answer'
import { chance, type Chance } from '#core/quantity/random'
import type { VirtualCase } from '#core/practice/cases'
import { inPlace } from '#core/practice/offered'
import { BOOK_ORDER, SYMPTOM_ORDERS } from './symptom-orders'
import { unsafeActs } from './unsafe-acts'
import { VisitClock } from '#core/practice/visit-clock'

export interface Outcome {
  kind: string
  faults: string[]
  complaints: string[]
  settled: boolean
  minutes: number
  checks: string[]
  /** What the caller told of is gone after the repair. */
  cured: boolean
  /** The repair cures everything that is wrong, also what nobody told of. */
  right: boolean
  /** The cause it names first is one of those that are there. */
  named: boolean
  action: string
  top: string
  /** What it believes of the cause it names. */
  belief: number
  /** What it believes of its repair being the whole cure. */
  cureBelief: number
  /** Parts fitted that a cure did not need. */
  unneeded: number
  /** Acts that no careful technician would do. */
  unsafe: string[]
}

const MOST_CHECKS = 40

/** A reading written down wrongly now and then: a decimal slipped, a range misread. */
const MISREAD = 0.012
const MISREAD_BY = [0.1, 10, 0.001] as const

function asFinding(question: Asked, dice: Chance, { machine }: VirtualCase): Finding {
  const unit = checkInfo(question.check)?.unit
  const told = answer(machine, question, dice)
  const value = typeof told.value === 'number' && dice.hit(MISREAD) ? told.value * dice.pick(MISREAD_BY) : told.value
  return { ...question, ...told, ...(value === undefined ? {} : { value }), ...(unit ? { unit } : {}) }
}

/** A machine that is asked about: what the engine is told of it. */
const baseOf = ({ pump, complaints, alreadyReplaced }: VirtualCase) => ({ pump, complaints, alreadyReplaced })

interface Ending {
  action: ActionRow
  beside?: ActionRow
  settled: boolean
}

function outcomeOf(
  each: VirtualCase,
  model: DiagnosisModel,
  { action, beside, settled }: Ending,
  clock: VisitClock,
  made: readonly { asked: Asked; found: Finding }[],
): Outcome {
  const done = beside
    ? { parts: [...new Set([...action.parts, ...beside.parts])], cures: [...action.cures, ...beside.cures] }
    : action
  const findings = made.map(({ found }) => found)
  const right = each.faults.every((fault) => done.cures.includes(fault))
  const { probabilities } = infer(model, { complaints: each.complaints, findings })
  const [top, belief] = [...marginals(model, probabilities)].sort((a, b) => b[1] - a[1])[0] as [string, number]
  return {
    kind: each.pump.kind,
    faults: each.outside ? [each.outside] : each.faults,
    complaints: each.complaints,
    settled,
    minutes: clock.minutes,
    checks: findings.map(
      (finding) =>
        `${checkKey(finding)}=${finding.outcome ?? (finding.value === null ? 'open' : String(finding.value))}`,
    ),
    cured: each.toldStill(done.cures).length === 0,
    right,
    named: each.faults.includes(top as never),
    action: [action.id, beside?.id].filter(Boolean).join(' + '),
    top,
    belief,
    cureBelief: cureChance(model.hypotheses, probabilities, done.cures),
    unneeded: unneededParts(model, done, each.faults),
    unsafe: unsafeActs(each, made),
  }
}

const modelOf = ({ pump, alreadyReplaced }: VirtualCase) => buildModel(pump, alreadyReplaced)

/** Repairs of a machine in its place that hang on no reading. */
const offered = ({ actions }: DiagnosisModel) => actions.filter(inPlace)

/**
 * Parts of a repair beyond those of the repair with least parts that cures what is wrong; all of them where it does not
 * cure.
 */
export function unneededParts(
  model: DiagnosisModel,
  action: Pick<ActionRow, 'parts' | 'cures'>,
  faults: readonly string[],
): number {
  const cure = (fault: string) =>
    offered(model)
      .filter(({ cures }) => (cures as readonly string[]).includes(fault))
      .sort(
        (a, b) => partsPrice(a.parts, DEFAULT_RATES, model.pump) - partsPrice(b.parts, DEFAULT_RATES, model.pump),
      )[0]
  const needed = new Set(faults.flatMap((fault) => cure(fault)?.parts ?? []))
  const cures = faults.every((fault) => (action.cures as readonly string[]).includes(fault))
  // A part with a larger one in it (a pump with its motor and seal) counts as one replacement more than was needed.
  return action.parts.filter((part) => !cures || !needed.has(part)).length
}

/** Does what the lamp says until it is settled. */
export function followLamp(each: VirtualCase): Outcome {
  const dice = chance(each.seed ^ 0x5bd1e995)
  const clock = new VisitClock(each.pump)
  const made: { asked: Asked; found: Finding }[] = []
  const ask = (): Diagnosis =>
    diagnose({ ...baseOf(each), findings: made.map(({ found }) => found), gates: [...clock.held] })
  let diagnosis = ask()
  while (!diagnosis.settled && diagnosis.next && made.length < MOST_CHECKS) {
    const asked = pickAsked(diagnosis.next)
    clock.spend(asked)
    made.push({ asked, found: asFinding(asked, dice, each) })
    diagnosis = ask()
  }
  const model = modelOf(each)
  const byId = (id: string | undefined) => model.actions.find((action) => action.id === id)
  const action = byId(diagnosis.bestAction) ?? (model.actions[0] as ActionRow)
  return outcomeOf(each, model, { action, beside: byId(diagnosis.alsoDo), settled: diagnosis.settled }, clock, made)
}

/** Checks that this machine can be asked, in an order of ids; what the order does not name comes last. */
function inOrder(model: DiagnosisModel, order: readonly string[], complaints: readonly string[]): Asked[] {
  const still = complaints.some((complaint) => complaint === 'dead' || complaint === 'hums-no-start')
  const place = ({ check }: Asked) => (order.includes(check) ? order.indexOf(check) : order.length)
  return model.checks
    .filter(
      ({ check, standings }) =>
        !standings && !checkInfo(check)?.historyOnly && !(still && STANDSTILL_CHECKS.turning.includes(check as Check)),
    )
    .map(pickAsked)
    .sort((a, b) => place(a) - place(b))
}

/** He is as sure as this of a repair before he does it. */
const SURE = 0.85

/**
 * Reads in a given order with the same instruments and the same judgement of what was read, and stops when some repair
 * is sure enough to be the whole cure: of those that are, the cheapest is made; at the end of the list the likeliest.
 */
function followOrder(each: VirtualCase, order: readonly string[]): Outcome {
  const dice = chance(each.seed ^ 0x5bd1e995)
  const clock = new VisitClock(each.pump)
  const model = modelOf(each)
  const actions = offered(model)
  const priced = (action: ActionRow) => actionCost(action, each.pump, DEFAULT_RATES)
  const list = inOrder(model, order, each.complaints)
  const made: { asked: Asked; found: Finding }[] = []
  for (;;) {
    const findings = made.map(({ found }) => found)
    const { probabilities } = infer(model, { complaints: each.complaints, findings })
    const chances = actions.map(({ cures }) => cureChance(model.hypotheses, probabilities, cures))
    const sure = actions.filter((_, a) => (chances[a] as number) >= SURE).sort((a, b) => priced(a) - priced(b))
    const asked = list[made.length]
    // On the caller's word alone nobody repairs.
    const decided = made.length > 0 ? sure[0] : undefined
    if (decided || !asked || made.length >= MOST_CHECKS) {
      const action = decided ?? (actions[chances.indexOf(Math.max(...chances))] as ActionRow)
      return outcomeOf(each, model, { action, settled: decided !== undefined }, clock, made)
    }
    clock.spend(asked)
    made.push({ asked, found: asFinding(asked, dice, each) })
  }
}

/** Works down the textbook's list. */
export function followChecklist(each: VirtualCase): Outcome {
  return followOrder(each, BOOK_ORDER)
}

/** A good technician: what he was told gives him his order. */
export function followSymptom(each: VirtualCase): Outcome {
  return followOrder(each, [...new Set(each.complaints.flatMap((complaint) => SYMPTOM_ORDERS[complaint] ?? []))])
}

/** Measures nothing and swaps the lot; what is left wrong then gets its own repair. Parts that no cure needed. */
export function swapTheLot(each: VirtualCase): number {
  const model = modelOf(each)
  const lot = [...model.actions].sort(
    (a, b) => partsPrice(b.parts, DEFAULT_RATES, each.pump) - partsPrice(a.parts, DEFAULT_RATES, each.pump),
  )[0] as ActionRow
  return unneededParts(model, lot, each.faults)
}
