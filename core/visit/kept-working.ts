import type { Verdict } from '../judgement/judgement'
import { render, renderAmount, type Reader } from '../quantity/sentence'
import { usualInput } from '../questions/fields'
import { answerOf } from '../questions/question'
import { questionById } from '../questions/questions'
import type { EntryBodies } from './entry'

/** A kept working answered again from its own numbers, in the units of whoever reads it. */
export function keptAnswer(
  { question: id, input }: EntryBodies['working-kept'],
  reader: Reader,
): { title: string; answer: string; verdict: Verdict; figures: string } {
  const question = questionById(id)
  // The line was taken in: its input is right.
  const { told, solved } = answerOf(question, { ...usualInput(question.fields), ...input })
  return {
    title: question.title,
    answer: render(told.answer, reader),
    verdict: solved.verdict,
    figures: told.figures.map(({ label, amount }) => `${label} ${renderAmount(amount, reader)}`).join(' · '),
  }
}
