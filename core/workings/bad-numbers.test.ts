import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { InputError } from '../validation/input-error'
import { GOOD_INPUTS } from './good-inputs.fixture'
import { runByName } from './registry'

type Path = (string | number)[]

/** Every place in plain data where a number or a text stands. */
function leafPaths(value: unknown, path: Path = []): Path[] {
  if (value === null || typeof value !== 'object') return [path]
  return Object.entries(value).flatMap(([key, inner]) => leafPaths(inner, [...path, key]))
}

function withValue(input: object, path: Path, value: unknown): object {
  const copy = structuredClone(input) as Record<string | number, unknown>
  let holder = copy
  for (const key of path.slice(0, -1)) holder = holder[key] as Record<string | number, unknown>
  holder[path.at(-1) as string] = value
  return copy
}

const number = fc.oneof(
  { weight: 4, arbitrary: fc.double({ min: -5, max: 5000, noNaN: true }) },
  {
    weight: 3,
    arbitrary: fc.constantFrom(0, -0, 1, -1, 1e-9, 1e-6, 0.5, 90, 1e6, 1e9, 1e300, Number.MAX_VALUE, 5e-324, -1e-9),
  },
  { weight: 1, arbitrary: fc.double() },
  { weight: 1, arbitrary: fc.constantFrom<unknown>(null, undefined, '', '3', [], {}, true) },
)

describe('numbers that nobody measures', () => {
  it.each(Object.keys(GOOD_INPUTS))(
    '%s answers them with a sentence: never with something that is no number, and never for ever',
    (name) => {
      const good = GOOD_INPUTS[name] as object
      const paths = leafPaths(good)
      fc.assert(
        fc.property(
          fc.array(fc.tuple(fc.nat({ max: paths.length - 1 }), number), { minLength: 1, maxLength: 5 }),
          (changes) => {
            const input = changes.reduce((sofar, [place, value]) => withValue(sofar, paths[place] as Path, value), good)
            try {
              const output = JSON.stringify(runByName(name, input))
              expect(output).not.toMatch(/NaN|Infinity/)
              // A visit in which nothing is asked or lit says so with null.
              if (name !== 'visit') expect(output).not.toMatch(/:null/)
            } catch (error) {
              expect(error, String(error)).toBeInstanceOf(InputError)
            }
          },
        ),
      )
    },
  )
})
