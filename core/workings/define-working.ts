import type { ClassConstructor } from 'class-transformer'
import { ModelShelf } from '../diagnosis/model-shelf'
import type { Basis } from '../judgement/judgement'
import { InputError } from '../validation/input-error'
import { validated } from '../validation/validated'

/** What may be kept from one run to the next by whoever makes several. */
export interface Kept {
  models: ModelShelf
}
export const keptForRuns = (): Kept => ({ models: new ModelShelf() })

/** A calculation with a name: one definition, three faces (HTTP, command line, page). */
export interface Working<Input extends object = object, Output extends object = object> {
  name: string
  title: string
  input: ClassConstructor<Input>
  run: (input: Input, kept: Kept) => Output
  basis: Basis
  /** Taken for what the input leaves out. */
  usual?: Partial<Input>
}

/** Declares a working. The identity function, for its types. */
export function defineWorking<Input extends object, Output extends object>(
  working: Working<Input, Output>,
): Working<Input, Output> {
  return working
}

/** Where nothing is to be cautioned of, an answer has no list of cautions at all. */
export function cautioned(cautions: string[]): { cautions?: string[] } {
  return cautions.length > 0 ? { cautions } : {}
}

/** Runs a working on plain data. */
export function runWorking<Input extends object, Output extends object>(
  working: Working<Input, Output>,
  plain: unknown,
  kept = keptForRuns(),
): Output {
  const given = working.usual && plain !== null && typeof plain === 'object' ? { ...working.usual, ...plain } : plain
  const output = working.run(validated(working.input, given), kept)
  // A figure too small or too large for arithmetic must not come out as one that is none.
  if (!everyNumberFinite(output))
    throw new InputError([
      { field: '', value: plain, expected: 'figures of a size that occurs: with these the working ends in no number' },
    ])
  return output
}

function everyNumberFinite(value: unknown): boolean {
  if (typeof value === 'number') return Number.isFinite(value)
  return value === null || typeof value !== 'object' || Object.values(value).every(everyNumberFinite)
}
