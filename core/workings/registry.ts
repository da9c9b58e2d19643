import { boundedJson, holdable } from '../validation/holdable'
import { InputError, plainProblems } from '../validation/input-error'
import { inputOf } from '../questions/ask'
import { usualInput } from '../questions/fields'
import { answerOf, asOutput } from '../questions/question'
import { QUESTIONS } from '../questions/questions'
import { defineWorking, runWorking, type Kept, type Working } from './define-working'
import { diagnoseWorking } from './diagnose'
import * as capacitorStock from './capacitor-stock'
import * as conductors from './conductors'
import * as electrical from './electrical'
import * as evidence from './evidence'
import * as logs from './logs'
import * as motors from './motors'
import * as pitAndTank from './pit-and-tank'
import * as sound from './sound'
import * as takeDown from './take-down'
import { optionsWorking } from './options'
import { sheetWorking } from './sheet'
import { understandWorking } from './understand'
import { visitWorking } from './visit'
import * as water from './water'
import * as wearAndCost from './wear-and-cost'
import * as windingHeat from './winding-heat'

/** A question is a working too: the page, HTTP and the command line ask the same one. */
const ASKED = QUESTIONS.map((question) =>
  defineWorking({
    name: question.id,
    title: question.title,
    input: inputOf(question),
    basis: question.basis,
    usual: usualInput(question.fields),
    run: (input) => asOutput(answerOf(question, input)),
  }),
)
const ALL = [
  diagnoseWorking,
  understandWorking,
  optionsWorking,
  visitWorking,
  sheetWorking,
  ...ASKED,
  ...[
    electrical,
    conductors,
    capacitorStock,
    motors,
    windingHeat,
    water,
    pitAndTank,
    wearAndCost,
    evidence,
    takeDown,
    sound,
    logs,
  ].flatMap((group) => Object.values(group)),
] as unknown as Working[]

/** Every working by its name. */
export const WORKINGS: ReadonlyMap<string, Working> = new Map(ALL.map((working) => [working.name, working]))

/**
 * Runs a working by name on plain data.
 *
 * @throws InputError for an unknown name or bad input
 */
export function runByName(name: string, input: unknown, kept?: Kept): object {
  const working = WORKINGS.get(name)
  if (!working)
    throw new InputError([{ field: 'working', value: name, expected: `one of ${[...WORKINGS.keys()].join(', ')}` }])
  holdable(input)
  return runWorking(working, input, kept)
}

/**
 * One line of a batch: a working and its input in, output or error out; a bad line spoils only itself.
 *
 * @param kept what the lines of one batch share
 * @param prepared makes an input of what was written for one
 */
export function runLine(
  line: string,
  kept?: Kept,
  prepared = (_name: string, input: unknown): unknown => input,
): { output: object } | { error: { title: string; problems: InputError['problems'] } } {
  try {
    const request = boundedJson(line)
    if (request === null || typeof request !== 'object')
      throw new InputError([
        { field: '', value: request, expected: 'an object {"working": NAME, "input": {…}} is needed' },
      ])
    const { working, input } = request as { working?: unknown; input?: unknown }
    const name = String(working ?? '')
    return { output: runByName(name, prepared(name, input), kept) }
  } catch (error) {
    return { error: describeError(error) }
  }
}

/** An error as data for people: the command line and HTTP show the same. */
export function describeError(error: unknown): { title: string; problems: InputError['problems'] } {
  if (error instanceof InputError) return { title: error.message, problems: plainProblems(error.problems) }
  if (error instanceof SyntaxError)
    return {
      title: `not valid JSON: ${error.message}`,
      problems: [{ field: '', value: undefined, expected: 'valid JSON is needed' }],
    }
  throw error
}
