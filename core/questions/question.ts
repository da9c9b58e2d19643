import type { Basis, Verdict } from '../judgement/judgement'
import { render, type Amount, type Sentence, METRIC_READER } from '../quantity/sentence'
import type { Field } from './fields'
import type { Known } from './known'
import type { Picture } from './picture'

/** A figure worth reading at a glance. */
export interface Figure {
  label: string
  amount: Amount
}
/** What a person is told: in no system of units yet. */
export interface Told {
  answer: Sentence
  figures: Figure[]
  steps: Sentence[]
  cautions: Sentence[]
}
/** Where a value of the input came from, when not from the usual one. */
export interface Taken<Input> {
  input: Partial<Input>
  sources: Partial<Record<keyof Input & string, string>>
}

/**
 * A question as a technician asks it: what it needs to know, what can be known already, the sum, the words and the
 * picture.
 *
 * `solve` is cheap and pure, so that dragging, sweeps and ten thousand tries may call it.
 */
export interface Question<Input extends object = object, Solved extends { verdict: Verdict } = { verdict: Verdict }> {
  id: string
  title: string
  /** The one line under it in the list. */
  about: string
  fields: readonly Field[]
  basis: Basis
  /** @throws InputError where the input makes no sense together */
  solve: (input: Input) => Solved
  tell: (input: Input, solved: Solved) => Told
  draw: (input: Input, solved: Solved) => Picture
  /** The one number that a sweep follows. */
  follow: { label: string; amount: (solved: Solved) => Amount | undefined }
  /** What the machine and the visit's readings already say. */
  take?: (known: Known) => Taken<Input>
  /** Constructions or kinds it is first offered for. */
  kinds: readonly string[]
}

/** Declares a question, each of its fields one of its input. */
export function defineQuestion<Input extends object, Solved extends { verdict: Verdict }>(
  question: Omit<Question<Input, Solved>, 'fields'> & { fields: readonly Field<keyof Input & string>[] },
): Question<Input, Solved> {
  return question
}

/** The whole answer on plain input. */
export interface Answer {
  input: object
  solved: { verdict: Verdict }
  told: Told
  basis: Basis
}

/** The answer on input that is known to be right. */
export function answerOf(question: Question, input: object): Answer {
  const solved = question.solve(input)
  return { input, solved, told: question.tell(input, solved), basis: question.basis }
}

/** The answer as the command line and HTTP give it: numbers in SI, words in metric. */
export function asOutput({ solved, told, basis }: Answer): object {
  const text = (sentences: readonly Sentence[]) => sentences.map((sentence) => render(sentence, METRIC_READER))
  return {
    ...solved,
    answer: render(told.answer, METRIC_READER),
    steps: text(told.steps),
    basis,
    ...(told.cautions.length > 0 ? { cautions: text(told.cautions) } : {}),
  }
}
