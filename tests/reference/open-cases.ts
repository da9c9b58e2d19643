import { expect } from 'vitest'
import { runByName } from '#core/workings/registry'
import openChecks from './open-checks.json'

/**
 * Cases from published standards, handbook tables and reference programs (open-checks.json carries the source of each).
 * A value passes within max(rel × |expected|, abs), whichever the case states.
 */
export interface Case {
  id: string
  calc: string
  given: Record<string, unknown>
  expect: Record<string, unknown>
  tolerance: { rel?: number; abs?: number }
  source: string
}
export const cases = openChecks as unknown as Case[]
export const of = (calc: string) =>
  cases.filter((each) => each.calc === calc).map((each) => [each.id, each.source, each] as const)
// What a working gives out is read field by field, as each case names them.
// eslint-disable-next-line @typescript-eslint/no-explicit-any
export const run = (name: string, input: object): any => runByName(name, input)

export function near({ tolerance }: Case, got: unknown, expected: unknown): void {
  if (typeof expected !== 'number') return expect(got).toEqual(expected)
  const allowed = Math.max((tolerance.rel ?? 0) * Math.abs(expected), tolerance.abs ?? 0)
  expect(Math.abs((got as number) - expected)).toBeLessThanOrEqual(allowed)
}
