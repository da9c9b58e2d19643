import { InputError, type FieldProblem } from './input-error'

/** Deeper than anything this product writes; beyond it a reader's own stack is at risk. */
export const MOST_LEVELS = 64

/** What no PostgreSQL text can hold: the null character, and half of a surrogate pair (half an emoji). */
const UNHOLDABLE = /\0|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/

const [QUOTE, BACKSLASH, OPEN_ARRAY, CLOSE_ARRAY, OPEN_OBJECT, CLOSE_OBJECT] = [...'"\\[]{}'].map((each) =>
  each.charCodeAt(0),
)

/**
 * Refuses what could be said in JSON and not be kept: null characters and halves of characters in any text or field
 * name, names that
 * every object has of its own (`constructor`, `__proto__`), and nesting deeper than `MOST_LEVELS`.
 *
 * @param plain parsed JSON
 * @throws InputError naming each field
 */
export function holdable(plain: unknown): void {
  if (holds(plain, 0)) return
  const problems: FieldProblem[] = []
  walk(plain, '', 0, problems)
  if (problems.length > 0) throw new InputError(problems)
}

/**
 * The same rules without the names of fields: nearly everything that comes is right, and a million lines of it are read
 * at a first start.
 */
function holds(value: unknown, level: number): boolean {
  if (typeof value === 'string') return !UNHOLDABLE.test(value)
  if (value === null || typeof value !== 'object') return true
  if (level >= MOST_LEVELS) return false
  if (Array.isArray(value)) return value.every((item) => holds(item, level + 1))
  for (const name of Object.keys(value)) {
    if (
      name in Object.prototype ||
      UNHOLDABLE.test(name) ||
      !holds((value as Record<string, unknown>)[name], level + 1)
    )
      return false
  }
  return true
}

function walk(value: unknown, field: string, level: number, problems: FieldProblem[]): void {
  if (typeof value === 'string') {
    if (UNHOLDABLE.test(value)) problems.push(unholdable(field, value, 'text'))
    return
  }
  if (value === null || typeof value !== 'object') return
  if (level >= MOST_LEVELS) {
    problems.push({ field, value: 'deeper still', expected: `at most ${MOST_LEVELS} levels` })
    return
  }
  for (const [name, inner] of Object.entries(value)) {
    const path = field ? `${field}.${name}` : name
    if (name in Object.prototype)
      problems.push({ field: path, value: name, expected: 'no field of that name is known here' })
    if (UNHOLDABLE.test(name)) problems.push(unholdable(path, name, 'a field name'))
    walk(inner, path, level + 1, problems)
  }
}

function unholdable(field: string, value: string, what: string): FieldProblem {
  return {
    field: well(field),
    value: well(value),
    expected: `${what} without null characters and without half an emoji`,
  }
}

/** The text with a visible mark where it could not be kept, so that the answer itself can be. */
function well(text: string): string {
  return text.replace(new RegExp(UNHOLDABLE, 'g'), '\ufffd')
}

/**
 * How deep a JSON text is nested, read without parsing it: brackets outside of strings.
 *
 * @param most stops counting above this
 */
export function jsonLevels(text: string, most = MOST_LEVELS): number {
  let level = 0
  let deepest = 0
  for (let index = 0; index < text.length; index++) {
    const code = text.charCodeAt(index)
    if (code === QUOTE) index = endOfString(text, index)
    else if (code === OPEN_ARRAY || code === OPEN_OBJECT) {
      level++
      if (level > deepest) deepest = level
      if (deepest > most) return deepest
    } else if (code === CLOSE_ARRAY || code === CLOSE_OBJECT) level--
  }
  return deepest
}

/**
 * Parses JSON that came from outside, unless it is nested so deep that reading it could break the reader.
 *
 * @throws SyntaxError saying what is wrong with the text
 */
export function boundedJson(text: string): unknown {
  if (jsonLevels(text) > MOST_LEVELS) throw new SyntaxError(`it is nested deeper than ${MOST_LEVELS} levels`)
  return JSON.parse(text)
}

/** The index of the quote that ends the string begun at `start`, or the end of the text. */
function endOfString(text: string, start: number): number {
  for (let index = text.indexOf('"', start + 1); index >= 0; index = text.indexOf('"', index + 1)) {
    let escapes = 0
    while (text.charCodeAt(index - 1 - escapes) === BACKSLASH) escapes++
    if (escapes % 2 === 0) return index
  }
  return text.length
}
