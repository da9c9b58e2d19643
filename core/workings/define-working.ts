import type { ClassConstructor } from 'class-transformer'
import type { Basis } from '../judgement/judgement'
import { validated } from '../validation/validated'

/** A calculation with a name: one definition, three faces (HTTP, command line, page). */
export interface Working<Input extends object = object, Output extends object = object> {
  name: string
  title: string
  input: ClassConstructor<Input>
  run: (input: Input) => Output
  basis: Basis
}

/** Declares a working. The identity function, for its types. */
export function defineWorking<Input extends object, Output extends object>(working: Working<Input, Output>): Working<Input, Output> {
  return working
}

/** Runs a working on plain data. */
export function runWorking<Input extends object, Output extends object>(working: Working<Input, Output>, plain: unknown): Output {
  return working.run(validated(working.input, plain))
}
