import { METRIC_READER, render, type Sentence, type Telling } from '../quantity/sentence'

/** One thing wrong with one field: what was given and what would be right. */
export interface FieldProblem {
  field: string
  value: unknown
  /** In words; amounts in SI. */
  expected: string
  /** The same with its amounts, for a screen that knows its reader's units. */
  told?: Sentence
}

/** Bad input, as data with a path. HTTP shows it as problem+json, the command line prints it and exits 2. */
export class InputError extends Error {
  readonly problems: FieldProblem[]

  constructor(problems: FieldProblem[]) {
    super(problems.map(({ field, value, expected }) => `${field}: ${describe(value)} given, ${expected}`).join('; '))
    this.name = 'InputError'
    this.problems = problems
  }
}

/** The problems as HTTP and the command line give them out: in words, amounts in SI. */
export function plainProblems(problems: readonly FieldProblem[]): Omit<FieldProblem, 'told'>[] {
  return problems.map(({ field, value, expected }) => ({ field, value, expected }))
}

/** A shorthand for the one-field case. */
export function badField(field: string, value: unknown, expected: Telling): InputError {
  return new InputError([
    {
      field,
      value,
      expected: render(expected, METRIC_READER),
      ...(typeof expected === 'string' ? {} : { told: expected }),
    },
  ])
}

function describe(value: unknown): string {
  if (value === undefined) return 'nothing'
  const text = typeof value === 'number' ? String(value) : (JSON.stringify(value) ?? String(value))
  return text.length > 80 ? `${text.slice(0, 77)}…` : text
}
