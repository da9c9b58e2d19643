import { describe, expect, it } from 'vitest'
import { chance } from '../quantity/random'
import { roundMinutes } from './round'

const table = (points: readonly (readonly [number, number])[]) =>
  points.map(([x, y]) => points.map(([a, b]) => Math.hypot(a - x, b - y)))

/** The shortest round by trying every order. */
function shortest(minutes: number[][], at: number, left: readonly number[]): number {
  if (left.length === 0) return minutes[at]?.[0] as number
  return Math.min(
    ...left.map(
      (next) =>
        (minutes[at]?.[next] as number) +
        shortest(
          minutes,
          next,
          left.filter((each) => each !== next),
        ),
    ),
  )
}

describe('one round from the shop', () => {
  it('is nothing without a place, and there and back with one', () => {
    const minutes = table([
      [0, 0],
      [3, 4],
    ])
    expect(roundMinutes(minutes, 0, [])).toBe(0)
    expect(roundMinutes(minutes, 0, [1])).toBe(10)
    expect(roundMinutes(minutes, 0, [0, 1])).toBe(10)
  })
  it('is never shorter than the shortest and at most twice as long, and mostly as short', () => {
    let asShort = 0
    for (let seed = 0; seed < 60; seed++) {
      const luck = chance(seed)
      const minutes = table(Array.from({ length: 7 }, () => [luck.between(0, 40), luck.between(0, 40)] as const))
      const places = [1, 2, 3, 4, 5, 6]
      const best = shortest(minutes, 0, places)
      const round = roundMinutes(minutes, 0, places)
      expect(round).toBeGreaterThan(best - 1e-9)
      expect(round).toBeLessThanOrEqual(2 * best)
      if (round < best * 1.02) asShort++
    }
    expect(asShort).toBeGreaterThan(30)
  })
})
