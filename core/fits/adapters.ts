import {
  END_KINDS,
  MOST_ADAPTERS,
  PIPE_OUTSIDE,
  PIPE_SIZE_NAMES,
  type EndKind,
  type PipeSize,
} from '../knowledge/fits/pipe-ends'

/** What a joint of pipe ends in. */
export interface PipeEnd {
  kind: EndKind
  size: PipeSize
}
/** A fitting at hand, and how many of it. */
export interface Piece {
  id: string
  ends: readonly [PipeEnd, PipeEnd]
  count: number
  price?: number
}
/** Fittings one behind the other, each with the end that comes first. */
export interface Chain {
  pieces: { id: string; from: PipeEnd; to: PipeEnd }[]
  /** The narrowest on the way, both ends counted, inches outside. */
  narrowest: number
  price: number
}

/** Fittings by the end that is offered first, each both ways round. */
type ByEnd = Map<string, { piece: Piece; first: PipeEnd; second: PipeEnd }[]>

const EVERY_END: readonly PipeEnd[] = (Object.keys(END_KINDS) as EndKind[]).flatMap((kind) =>
  PIPE_SIZE_NAMES.map((size) => ({ kind, size })),
)

/** Do two ends of pipe go together as they are? */
export function mates(a: PipeEnd, b: PipeEnd): boolean {
  return a.size === b.size && (END_KINDS[a.kind].mates as readonly EndKind[]).includes(b.kind)
}

/**
 * The adapters that lead from one end of pipe to another, out of what is at hand and each no oftener than it is there:
 * the fewest first, then the widest way, then the cheapest.
 *
 * @param most at most so many pieces one behind the other
 * @returns the best chain; one without pieces where both go together as they are; undefined where nothing leads there
 */
export function adapterChain(
  from: PipeEnd,
  to: PipeEnd,
  pieces: readonly Piece[],
  most: number = MOST_ADAPTERS,
): Chain | undefined {
  const start: Chain = { pieces: [], narrowest: Math.min(outside(from), outside(to)), price: 0 }
  if (mates(from, to)) return start
  const byEnd: ByEnd = new Map()
  for (const piece of pieces)
    for (const [first, second] of [piece.ends, [piece.ends[1], piece.ends[0]]] as const)
      byEnd.set(key(first), [...(byEnd.get(key(first)) ?? []), { piece, first, second }])
  const left = piecesLeft(to, byEnd, most)
  let level: { chain: Chain; end: PipeEnd }[] = [{ chain: start, end: from }]
  for (let length = 1; length <= most; length++) {
    const grown = level.flatMap(({ chain, end }) =>
      matesOf(end).flatMap((mate) =>
        (byEnd.get(key(mate)) ?? []).flatMap(({ piece, first, second }) =>
          chain.pieces.filter(({ id }) => id === piece.id).length < piece.count
            ? [{ chain: longer(chain, piece, first, second), end: second }]
            : [],
        ),
      ),
    )
    const best = grown
      .filter(({ end }) => mates(end, to))
      .map(({ chain }) => chain)
      .sort(compareChains)[0]
    if (best) return best
    // What cannot be led on to the other side within what is left is not followed.
    level = grown.filter(({ end }) => (left.get(key(end)) ?? Infinity) <= most - length)
  }
  return undefined
}

/** How many pieces at least are still wanted behind each end, whatever is used up: what cannot arrive is left. */
function piecesLeft(to: PipeEnd, byEnd: ByEnd, most: number): Map<string, number> {
  const left = new Map(EVERY_END.filter((end) => mates(end, to)).map((end) => [key(end), 0]))
  for (let pieces = 1; pieces <= most; pieces++)
    for (const end of EVERY_END) {
      if (left.has(key(end))) continue
      const leads = matesOf(end).some((mate) =>
        (byEnd.get(key(mate)) ?? []).some(({ second }) => left.get(key(second)) === pieces - 1),
      )
      if (leads) left.set(key(end), pieces)
    }
  return left
}

/** Which of two chains of pieces is better: below zero the first. */
export function compareChains(a: Chain, b: Chain): number {
  return (
    a.pieces.length - b.pieces.length ||
    b.narrowest - a.narrowest ||
    a.price - b.price ||
    (names(a) < names(b) ? -1 : names(a) > names(b) ? 1 : 0)
  )
}
const names = ({ pieces }: Chain) => pieces.map(({ id, from }) => `${id} ${key(from)}`).join('|')

const key = ({ kind, size }: PipeEnd) => `${kind} ${size}`
const outside = ({ size }: PipeEnd) => PIPE_OUTSIDE[size]
const matesOf = ({ kind, size }: PipeEnd): PipeEnd[] =>
  (END_KINDS[kind].mates as readonly EndKind[]).map((mate) => ({ kind: mate, size }))

const longer = (chain: Chain, piece: Piece, from: PipeEnd, to: PipeEnd): Chain => ({
  pieces: [...chain.pieces, { id: piece.id, from, to }],
  narrowest: Math.min(chain.narrowest, outside(from), outside(to)),
  price: chain.price + (piece.price ?? 0),
})
