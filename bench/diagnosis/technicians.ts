import { diagnose, type Diagnosis } from '#core/diagnosis/diagnose'
import { marginals } from '#core/diagnosis/reasoning'
import { checkKey, pickAsked, type Asked, type Finding } from '#core/diagnosis/finding'
import { gatesFor } from '#core/diagnosis/gates'
import { infer } from '#core/diagnosis/inference'
import { buildModel, type DiagnosisModel } from '#core/diagnosis/model'
import { checkInfo, CHECKS } from '#core/knowledge/checks/checks'
import type { ActionRow } from '#core/knowledge/faults/model-types'
import { DEFAULT_RATES } from '#core/knowledge/shop/rates'
import { cureChance, partsPrice } from '#core/diagnosis/loss'
import { answer } from '#core/virtual/answer'
import { chance, type Chance } from '#core/quantity/random'
import type { VirtualCase } from './cases'
import { VisitClock } from './visit-clock'

export interface Outcome {
  kind: string
  faults: string[]
  complaints: string[]
  settled: boolean
  minutes: number
  checks: string[]
  /** The repair cures everything that is wrong. */
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
}

const MOST_CHECKS = 40

function asFinding(question: Asked, dice: Chance, { machine }: VirtualCase): Finding {
  const unit = checkInfo(question.check)?.unit
  return { ...question, ...answer(machine, question, dice), ...(unit ? { unit } : {}) }
}

function outcomeOf(
  each: VirtualCase,
  model: DiagnosisModel,
  diagnosis: Diagnosis,
  clock: VisitClock,
  findings: readonly Finding[],
): Outcome {
  const action = model.actions.find(({ id }) => id === diagnosis.bestAction) as ActionRow
  const beside = model.actions.find(({ id }) => id === diagnosis.alsoDo)
  const done = beside
    ? { parts: [...new Set([...action.parts, ...beside.parts])], cures: [...action.cures, ...beside.cures] }
    : action
  const right = each.faults.every((fault) => done.cures.includes(fault))
  const { probabilities } = infer(model, { complaints: each.complaints, findings })
  const [top, belief] = [...marginals(model, probabilities)].sort((a, b) => b[1] - a[1])[0] as [string, number]
  return {
    kind: each.pump.kind,
    faults: each.faults,
    complaints: each.complaints,
    settled: diagnosis.settled,
    minutes: clock.minutes,
    checks: findings.map(
      (finding) =>
        `${checkKey(finding)}=${finding.outcome ?? (finding.value === null ? 'open' : String(finding.value))}`,
    ),
    right,
    named: each.faults.includes(top as never),
    action: [action.id, beside?.id].filter(Boolean).join(' + '),
    top,
    belief,
    cureBelief: cureChance(model.hypotheses, probabilities, done.cures),
    unneeded: unneededParts(model, done, each.faults),
  }
}

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
    model.actions
      .filter(({ cures }) => (cures as readonly string[]).includes(fault))
      .sort(
        (a, b) =>
          partsPrice(a.parts, DEFAULT_RATES, model.pump.kind) - partsPrice(b.parts, DEFAULT_RATES, model.pump.kind),
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
  const findings: Finding[] = []
  const base = { pump: each.pump, complaints: each.complaints }
  let diagnosis = diagnose({ ...base, findings, gates: [...clock.held] })
  while (!diagnosis.settled && diagnosis.next && findings.length < MOST_CHECKS) {
    const question = pickAsked(diagnosis.next)
    clock.spend(question)
    findings.push(asFinding(question, dice, each))
    diagnosis = diagnose({ ...base, findings, gates: [...clock.held] })
  }
  return outcomeOf(each, buildModel(each.pump), diagnosis, clock, findings)
}

/** The order of a textbook: look, then power on, then dead, then open; within each as the checks are listed. */
function textbookOrder(model: DiagnosisModel): Asked[] {
  const order = Object.keys(CHECKS)
  const stage = (question: Asked) => {
    const gates = gatesFor(question, model.pump.kind, model.plate)
    return gates.includes('pulled') || gates.includes('wet-end-open')
      ? 3
      : gates.includes('power-on')
        ? 1
        : gates.length > 0
          ? 2
          : 0
  }
  return model.checks
    .filter(({ check }) => !checkInfo(check)?.historyOnly)
    .map(pickAsked)
    .sort((a, b) => stage(a) - stage(b) || order.indexOf(a.check) - order.indexOf(b.check))
}

/**
 * Works down the textbook's list with the same instruments and the same judgement of what was read, and stops when that
 * judgement is settled.
 */
export function followChecklist(each: VirtualCase): Outcome & { wholeList: number } {
  const dice = chance(each.seed ^ 0x5bd1e995)
  const clock = new VisitClock(each.pump)
  const model = buildModel(each.pump)
  const turning = model.knowledge.standstill.checks as readonly string[]
  const still = each.complaints.some((complaint) =>
    (model.knowledge.standstill.complaints as readonly string[]).includes(complaint),
  )
  const list = textbookOrder(model).filter(({ check }) => !still || !turning.includes(check))
  const findings: Finding[] = []
  const base = { pump: each.pump, complaints: each.complaints }
  let diagnosis = diagnose({ ...base, findings, gates: [...clock.held] })
  for (const question of list) {
    if (diagnosis.settled) break
    clock.spend(question)
    findings.push(asFinding(question, dice, each))
    diagnosis = diagnose({ ...base, findings, gates: [...clock.held] })
  }
  const whole = new VisitClock(each.pump)
  for (const question of list) whole.spend(question)
  return { ...outcomeOf(each, model, diagnosis, clock, findings), wholeList: whole.minutes }
}

/** Measures nothing and swaps the lot; what is left wrong then gets its own repair. Parts that no cure needed. */
export function swapTheLot(each: VirtualCase): number {
  const model = buildModel(each.pump)
  const lot = [...model.actions].sort(
    (a, b) => partsPrice(b.parts, DEFAULT_RATES, each.pump.kind) - partsPrice(a.parts, DEFAULT_RATES, each.pump.kind),
  )[0] as ActionRow
  return unneededParts(model, lot, each.faults)
}
