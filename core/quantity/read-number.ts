/** A written number, with a comma or a point, a hyphen or a minus; nothing where it is none. */
export function readNumber(text: string): number | undefined {
  const value = text.trim() === '' ? Number.NaN : Number(text.trim().replace(',', '.').replace('−', '-'))
  return Number.isFinite(value) ? value : undefined
}
