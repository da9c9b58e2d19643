import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { finish, inOrder, predecessors, type Placed, type Reason } from './order'
import type { TakeDownStep, Wait } from './plan'
import { closing } from './step-ref'

const placed = (id: string, minutes: number, rank: number): Placed => ({
  rank,
  step: {
    id,
    phase: 'back',
    text: id,
    part: 'pump',
    minutes,
    times: [minutes, minutes, minutes],
    estimate: minutes,
    gates: [],
  },
})

/** Every order that keeps the reasons, tried: the least time of all. */
function bruteForce(steps: readonly Placed[], reasons: readonly Reason[], waits: readonly Wait[]): number {
  const before = predecessors(steps, reasons)
  let best = Infinity
  const follow = (order: TakeDownStep[], done: Set<string>): void => {
    if (order.length === steps.length) {
      best = Math.min(best, finish(order, waits))
      return
    }
    for (const { step } of steps)
      if (!done.has(step.id) && [...(before.get(step.id) ?? [])].every((id) => done.has(id)))
        follow([...order, step], new Set([...done, step.id]))
  }
  follow([], new Set())
  return best
}

describe('the order of the work', () => {
  it('keeps the usual order where nothing asks for another', () =>
    expect(
      inOrder([placed('back:c', 1, 3), placed('back:a', 1, 1), placed('back:b', 1, 2)], [], []).map(({ id }) => id),
    ).toEqual(['back:a', 'back:b', 'back:c']))

  it('starts what runs by itself first, and does the rest meanwhile', () => {
    const steps = [placed('back:lid', 20, 1), placed('back:glue', 5, 2), placed(closing('pipe'), 2, 3)]
    const waits: Wait[] = [{ what: 'cures', minutes: 30, after: 'back:glue', closes: 'pipe' }]
    const order = inOrder(steps, [{ first: 'back:glue', then: 'back:pipe', because: 'glued first' }], waits)
    expect(order.map(({ id }) => id)).toEqual(['back:glue', 'back:lid', 'back:pipe'])
    expect(finish(order, waits)).toBe(37)
  })

  it('is no slower than any other order that keeps the reasons: tried against all of them', () => {
    const ids = ['a', 'b', 'c', 'd', 'e', 'f'].map((id) => `back:${id}`)
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 12 }), { minLength: 6, maxLength: 6 }),
        fc.array(fc.tuple(fc.nat(5), fc.nat(5)), { maxLength: 6 }),
        fc.array(fc.tuple(fc.nat(5), fc.nat(5), fc.integer({ min: 1, max: 40 })), { minLength: 1, maxLength: 2 }),
        (minutes, pairs, held) => {
          const steps = ids.map((id, index) => placed(id, minutes[index] as number, index))
          const reasons = pairs
            .filter(([a, b]) => a < b)
            .map(([a, b]): Reason => ({ first: ids[a] as string, then: ids[b] as string, because: 'so' }))
          const waits = held
            .filter(([a, b]) => a < b)
            .map(([a, b, wait]): Wait => ({
              what: 'waits',
              minutes: wait,
              after: ids[a] as string,
              closes: (ids[b] as string).slice(5),
            }))
          const bound = [
            ...reasons,
            ...waits.map(({ after, closes }): Reason => ({
              first: after,
              then: closing(closes as string),
              because: 'held',
            })),
          ]
          const order = inOrder(steps, bound, waits)
          expect(order).toHaveLength(steps.length)
          const at = new Map(order.map(({ id }, index) => [id, index]))
          for (const { first, then } of bound) expect(at.get(first)).toBeLessThan(at.get(then) as number)
          expect(finish(order, waits)).toBeCloseTo(bruteForce(steps, bound, waits), 9)
        },
      ),
      { numRuns: 150 },
    )
  })

  it('says which steps wait for each other', () =>
    expect(() =>
      inOrder(
        [placed('back:a', 1, 1), placed('back:b', 1, 2)],
        [
          { first: 'back:a', then: 'back:b', because: '' },
          { first: 'back:b', then: 'back:a', because: '' },
        ],
        [],
      ),
    ).toThrow(/back:a, back:b/))
})
