import { actionMinutes } from '../diagnosis/loss'
import { diagnose } from '../diagnosis/diagnose'
import { accessGateOf } from '../diagnosis/gates'
import { pickAsked, type Finding } from '../diagnosis/finding'
import type { ActionRow } from '../knowledge/faults/model-types'
import type { Part } from '../knowledge/vocabulary'
import { chance } from '../quantity/random'
import type { Reader } from '../quantity/sentence'
import { answer } from '../virtual/answer'
import { findingOf } from './readings'
import { actionOf, spentOn } from './fold-try'
import type { PracticeCase } from './practice-case'
import type { Shop } from '../visit/shop'
import { jobKey, PROVING, readStep, type Way, type WayStep } from './way'
import { VisitClock } from './visit-clock'

const MOST_CHECKS = 40
/** So often a repair may fail its proof before the lamp is out of its depth. */
const MOST_ROUNDS = 4
export const PROVING_MINUTES = 12

/**
 * What the lamp does with a case by itself: its checks until it is settled, its repair, the proof; and again where that
 * was not all.
 */
export function lampWay(practice: PracticeCase, shop: Shop, reader: Reader): Way {
  const steps: WayStep[] = []
  const done: string[] = []
  const cured: string[] = []
  const replaced: Part[] = [...practice.alreadyReplaced]
  let minutes = 0
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const machine = practice.machineAfter(cured)
    const complaints = round === 0 ? practice.complaints : practice.toldStill(cured)
    const clock = new VisitClock(practice.pump)
    const findings: Finding[] = []
    const ask = () =>
      // What was mended and did not help is not the cause.
      diagnose({
        pump: practice.pump,
        complaints,
        alreadyReplaced: replaced,
        findings,
        gates: [...clock.held],
        excluded: cured,
      })
    let diagnosis = ask()
    while (!diagnosis.settled && diagnosis.next && findings.length < MOST_CHECKS) {
      const question = pickAsked(diagnosis.next)
      const before = clock.minutes
      clock.spend(question)
      const told = answer(machine, question, chance((practice.seed + 977 * (findings.length + 1)) >>> 0), 0)
      findings.push(findingOf({ question, answer: told }))
      steps.push(readStep({ question, answer: told }, clock.minutes - before, practice.pump, reader))
      diagnosis = ask()
    }
    minutes += clock.minutes
    const repairs = [diagnosis.bestAction, diagnosis.alsoDo].flatMap((id) => (id && actionOf(practice, id)) || [])
    for (const repair of repairs) {
      const isOpen = clock.held.has(accessGateOf(practice.pump.kind))
      const taken = actionMinutes(repair, practice.pump, isOpen)
      minutes += taken
      done.push(repair.id)
      cured.push(...repair.cures)
      replaced.push(...repair.parts)
      steps.push(jobStep(repair, taken, practice, cured))
    }
    minutes += PROVING_MINUTES
    steps.push(provingStep(practice, cured))
    if (practice.faults.every((fault) => cured.includes(fault)) || repairs.length === 0) break
  }
  return {
    steps,
    minutes,
    price: spentOn(practice, done, minutes, shop).total,
    cures: practice.faults.every((fault) => cured.includes(fault)),
  }
}

/** A repair as a step of a way. */
export function jobStep(
  { id, label, parts }: Pick<ActionRow, 'id' | 'label' | 'parts'>,
  minutes: number,
  practice: PracticeCase,
  cured: readonly string[],
): WayStep {
  const isWhole = practice.faults.every((fault) => cured.includes(fault))
  const isPart = practice.faults.some((fault) => cured.includes(fault))
  return {
    key: jobKey(id),
    title: label,
    minutes,
    told: isWhole
      ? 'cures what was wrong'
      : isPart
        ? 'cures a part of it'
        : parts.length > 0
          ? 'it was not that'
          : 'no change',
  }
}

export function provingStep({ faults }: PracticeCase, cured: readonly string[]): WayStep {
  return {
    key: PROVING,
    title: 'proved',
    minutes: PROVING_MINUTES,
    told: faults.every((fault) => cured.includes(fault)) ? 'it holds' : 'it does not hold',
  }
}
