import type { FieldProblem } from '#core/validation/input-error'
import type { Entry } from '#core/visit/entry'
import { readNumber } from '#core/quantity/read-number'

/** A field of a refused line that a person can put right: where it is, what it says, what would be right. */
export interface EntryField {
  path: string
  label: string
  text: string
  expected: string
  wasNumber: boolean
}

/** The fields that a refusal is about, where a line of text can mend them. */
export function mendableFields(entry: Entry, problems: readonly FieldProblem[]): EntryField[] {
  return problems.flatMap(({ field, expected }) => {
    const path = field.replace(/^entries\.\d+\./, '')
    const value = valueAt(entry, path)
    if (path === 'id' || path === '' || (value !== null && typeof value === 'object')) return []
    return [
      {
        path,
        label: path.replace(/^body\./, '').replaceAll('.', ' '),
        text: value === undefined || value === null ? '' : String(value),
        expected,
        wasNumber: typeof value === 'number',
      },
    ]
  })
}

/** The line with a field changed; the line itself is left as it is. */
export function withField(
  entry: Entry,
  { path, wasNumber }: Pick<EntryField, 'path' | 'wasNumber'>,
  text: string,
): Entry {
  const copy = JSON.parse(JSON.stringify(entry)) as Entry
  const names = path.split('.')
  const last = names.pop() as string
  const holder = names.reduce<unknown>((at, name) => (at as Record<string, unknown> | undefined)?.[name], copy) as
    Record<string, unknown> | undefined
  const number = readNumber(text)
  if (holder && Object.hasOwn(holder, last)) holder[last] = wasNumber && number !== undefined ? number : text
  else if (holder && text !== '') holder[last] = text
  return copy
}

function valueAt(entry: Entry, path: string): unknown {
  return path
    .split('.')
    .reduce<unknown>(
      (at, name) =>
        at !== null && typeof at === 'object' && Object.hasOwn(at, name)
          ? (at as Record<string, unknown>)[name]
          : undefined,
      entry,
    )
}

/** Why a line was refused, for people: the field and what would be right. */
export function refusalWords(title: string, problems: readonly FieldProblem[]): string {
  if (problems.length === 0) return title
  return problems
    .map(({ field, expected }) =>
      [
        field
          .replace(/^entries\.\d+\.?/, '')
          .replace(/^body\./, '')
          .replaceAll('.', ' '),
        expected,
      ]
        .filter(Boolean)
        .join(': '),
    )
    .join('. ')
}
