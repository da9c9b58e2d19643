/**
 * A value as text in which equal values are equal, whatever the order their fields were written in.
 *
 * @param value anything that JSON can hold
 */
export function canonicalText(value: unknown): string {
  return JSON.stringify(value, (_, each: unknown) =>
    each && typeof each === 'object' && !Array.isArray(each)
      ? Object.fromEntries(Object.entries(each).sort(([a], [b]) => (a < b ? -1 : 1)))
      : each,
  )
}
