import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  END_KINDS,
  MOST_ADAPTERS,
  PIPE_OUTSIDE,
  PIPE_SIZE_NAMES,
  type EndKind,
  type PipeSize,
} from '../knowledge/fits/pipe-ends'
import { adapterChain, compareChains, mates, type Chain, type Piece, type PipeEnd } from './adapters'

const end = (kind: EndKind, size: PipeSize): PipeEnd => ({ kind, size })
const piece = (id: string, a: PipeEnd, b: PipeEnd, count = 1, price = 1): Piece => ({ id, ends: [a, b], count, price })
const ids = (chain: Chain | undefined) => chain?.pieces.map(({ id }) => id)

describe('adapters', () => {
  it('what goes together needs none; a male thread never goes on a male one, nor on another size', () => {
    expect(adapterChain(end('male-thread', '1'), end('female-thread', '1'), [])).toMatchObject({ pieces: [], price: 0 })
    expect(mates(end('male-thread', '1'), end('male-thread', '1'))).toBe(false)
    expect(mates(end('male-thread', '1'), end('female-thread', '1 1/4'))).toBe(false)
  })

  it('a piece is turned round where that serves, and used no oftener than it is there', () => {
    const bushing = piece('bushing', end('male-thread', '1 1/2'), end('female-thread', '1 1/4'))
    expect(ids(adapterChain(end('male-thread', '1 1/4'), end('female-thread', '1 1/2'), [bushing]))).toEqual([
      'bushing',
    ])
    const nipple = (count: number) => piece('nipple', end('male-thread', '1'), end('male-thread', '1'), count)
    const sleeve = piece('sleeve', end('female-thread', '1'), end('female-thread', '1'))
    const [from, to] = [end('female-thread', '1'), end('female-thread', '1')]
    expect(ids(adapterChain(from, to, [nipple(1)]))).toEqual(['nipple'])
    expect(adapterChain(from, end('male-thread', '1'), [])?.pieces).toEqual([])
    expect(ids(adapterChain(end('male-thread', '1'), end('male-thread', '1'), [nipple(2), sleeve]))).toEqual(['sleeve'])
  })

  it('takes the fewest, then the widest way, then the cheapest', () => {
    const [from, to] = [end('spigot', '2'), end('female-thread', '1 1/2')]
    const wide = piece('wide', end('socket', '2'), end('male-thread', '1 1/2'), 1, 9)
    const narrow = piece('narrow', end('socket', '2'), end('socket', '1'), 1, 1)
    const back = piece('back', end('spigot', '1'), end('male-thread', '1 1/2'), 1, 1)
    expect(ids(adapterChain(from, to, [narrow, back, wide]))).toEqual(['wide'])
    expect(ids(adapterChain(from, to, [narrow, back]))).toEqual(['narrow', 'back'])
    expect(ids(adapterChain(from, to, [wide, { ...wide, id: 'cheap', price: 4 }]))).toEqual(['cheap'])
  })

  it('is exact: the same as trying everything that is at hand, in every order and both ways round', () => {
    const kinds = Object.keys(END_KINDS) as EndKind[]
    const sizes = PIPE_SIZE_NAMES.slice(4, 7)
    const anyEnd = fc.record({ kind: fc.constantFrom(...kinds), size: fc.constantFrom(...sizes) })
    const anyPiece = fc.record({
      a: anyEnd,
      b: anyEnd,
      count: fc.integer({ min: 0, max: 2 }),
      price: fc.integer({ min: 0, max: 9 }),
    })
    fc.assert(
      fc.property(anyEnd, anyEnd, fc.array(anyPiece, { maxLength: 7 }), (from, to, drawn) => {
        const pieces = drawn.map(({ a, b, count, price }, at) => piece(`p${at}`, a, b, count, price))
        expect(adapterChain(from, to, pieces)).toEqual(everyChain(from, to, pieces).sort(compareChains)[0])
      }),
      { numRuns: 1500 },
    )
  })
})

/** Every chain there is, by trying: what the search is held against. */
function everyChain(from: PipeEnd, to: PipeEnd, pieces: readonly Piece[]): Chain[] {
  const width = ({ size }: PipeEnd) => PIPE_OUTSIDE[size]
  const grow = (at: PipeEnd, left: readonly Piece[], chain: Chain): Chain[] => [
    ...(mates(at, to) ? [chain] : []),
    ...(chain.pieces.length === MOST_ADAPTERS
      ? []
      : left.flatMap((each) =>
          each.count < 1
            ? []
            : [each.ends, [...each.ends].reverse() as [PipeEnd, PipeEnd]].flatMap(([first, second]) =>
                mates(at, first)
                  ? grow(
                      second,
                      left.map((one) => (one.id === each.id ? { ...one, count: one.count - 1 } : one)),
                      {
                        pieces: [...chain.pieces, { id: each.id, from: first, to: second }],
                        narrowest: Math.min(chain.narrowest, width(first), width(second)),
                        price: chain.price + (each.price ?? 0),
                      },
                    )
                  : [],
              ),
        )),
  ]
  return grow(from, pieces, { pieces: [], narrowest: Math.min(width(from), width(to)), price: 0 })
}
