/** The middle one of values; nothing of none. */
export function medianOf(values: ArrayLike<number>): number {
  return Float64Array.from(values).sort()[values.length >> 1] ?? 0
}

/** The value that a share of the others lies below; nothing of none. */
export function quantileOf(values: ArrayLike<number>, share: number): number {
  const sorted = Float64Array.from(values).sort()
  return sorted[Math.floor(share * (sorted.length - 1))] ?? 0
}
