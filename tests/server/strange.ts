import fc from 'fast-check'

/** What a field may be given that has nothing to do with it. */
export const strange = fc.oneof(
  fc.constantFrom<unknown>(
    null,
    true,
    '',
    'constructor',
    '__proto__',
    'toString',
    0,
    -0,
    1e308,
    5e-324,
    -1,
    [],
    {},
    [null],
    [[]],
    { length: 3 },
    '\0',
    '\ud83d',
    '+275760-09-13T00:00:00Z',
    '-000001-01-01T00:00:00Z',
    Number.MAX_SAFE_INTEGER,
  ),
  fc.jsonValue({ maxDepth: 4 }),
  fc.string({ unit: 'binary', maxLength: 20 }),
  fc.double(),
  fc.dictionary(fc.constantFrom('constructor', 'prototype', '__proto__', 'value', 'id'), fc.jsonValue({ maxDepth: 2 })),
)

/** What stands in an address where an id belongs. */
export const oddId = fc.oneof(
  fc.constantFrom('', '..', '%00', '%E0%A4%A', '%2e%2e%2f', 'constructor', '__proto__', 'null', '-1', 'a'.repeat(5000)),
  fc.string({ unit: 'grapheme', maxLength: 12 }).map(encodeURIComponent),
)

/** JSON in which any place, near or deep, is changed for something strange, taken out, or renamed. */
export function spoilt(whole: unknown, fewest = 1): fc.Arbitrary<unknown> {
  const places = pathsOf(whole)
  return fc
    .array(fc.tuple(fc.constantFrom(...places), strange, fc.constantFrom('set', 'set', 'drop', 'add')), {
      minLength: fewest,
      maxLength: 3,
    })
    .map((changes) =>
      changes.reduce((value, [path, with_, how]) => changed(value, path, with_, how), structuredClone(whole)),
    )
}
function pathsOf(value: unknown, path: string[] = []): string[][] {
  return value !== null && typeof value === 'object'
    ? [path, ...Object.entries(value).flatMap(([name, inner]) => pathsOf(inner, [...path, name]))]
    : [path]
}
function changed(value: unknown, [name, ...rest]: string[], with_: unknown, how: string): unknown {
  if (name === undefined)
    return how === 'add' && value !== null && typeof value === 'object' && !Array.isArray(value)
      ? { ...value, ['constructor']: with_ }
      : with_
  if (value === null || typeof value !== 'object') return value
  const copy = (Array.isArray(value) ? [...(value as unknown[])] : { ...value }) as Record<string, unknown>
  if (rest.length === 0 && how === 'drop') Reflect.deleteProperty(copy, name)
  else copy[name] = changed(copy[name], rest, with_, how)
  return copy
}
