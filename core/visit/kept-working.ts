import type { Verdict } from '../judgement/judgement'
import { render, renderAmount } from '../quantity/sentence'
import { ask } from '../questions/question'
import { questionById } from '../questions/questions'
import type { EntryBodies } from './entry'

/** A kept working answered again from its own numbers, in the units it was read in. */
export function keptAnswer(
  { question: id, input, units }: EntryBodies['working-kept'],
  currency?: string,
): { title: string; answer: string; verdict: Verdict; figures: string } {
  const question = questionById(id)
  const reader = { system: units, currency }
  const { told, solved } = ask(question, input)
  return {
    title: question.title,
    answer: render(told.answer, reader),
    verdict: solved.verdict,
    figures: told.figures.map(({ label, amount }) => `${label} ${renderAmount(amount, reader)}`).join(' · '),
  }
}
