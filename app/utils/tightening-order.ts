import type { Tightening } from '#core/knowledge/constructions/joint'

/**
 * In which order bolts round a ring are brought home: opposite ones first, or one after the other.
 *
 * @returns indices round the ring, in their turn
 */
export function tighteningOrder(count: number, pattern: Tightening['pattern']): number[] {
  const left = Array.from({ length: count }, (_, index) => index)
  if (pattern === 'in order') return left
  const out = left.splice(0, 1)
  while (left.length > 0) {
    const at = out.at(-1) as number
    const next = left.reduce((best, each) => (apart(each, at, count) > apart(best, at, count) ? each : best))
    out.push(next)
    left.splice(left.indexOf(next), 1)
  }
  return out
}

function apart(a: number, b: number, count: number): number {
  const round = Math.abs(a - b) % count
  return Math.min(round, count - round)
}
