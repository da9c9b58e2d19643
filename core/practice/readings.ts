import { pickAsked, type Asked, type Finding } from '../diagnosis/finding'
import type { DiagnosisModel } from '../diagnosis/model'
import { checkInfo, isAsked } from '../knowledge/checks/checks'
import { chance } from '../quantity/random'
import { answer, type Answer, type Question } from '../virtual/answer'
import type { VirtualMachine } from '../virtual/machine'

/** What was asked of a machine, and what it showed. */
export interface Reading {
  question: Question
  answer: Answer
}

/** A reading as a line of the visit holds it. */
export function findingOf({ question, answer: told }: Reading): Finding {
  const unit = checkInfo(question.check)?.unit
  const finding = { ...question, ...told, ...(unit ? { unit } : {}) } as Finding
  return Object.fromEntries(Object.entries(finding).filter(([, value]) => value !== undefined)) as unknown as Finding
}

/** Every check that can be made on a machine in its place, with what it shows there. */
export function everyReading(
  { checks }: Pick<DiagnosisModel, 'checks'>,
  machine: VirtualMachine,
  seed: number,
): (Reading & { question: Asked })[] {
  return checks.flatMap((check) => {
    const question = pickAsked(check)
    const info = checkInfo(question.check)
    if (!info || !isAsked(info) || check.standings) return []
    return [{ question, answer: answer(machine, question, chance(seed >>> 0), 0) }]
  })
}
