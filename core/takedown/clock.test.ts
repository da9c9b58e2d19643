import { describe, expect, it } from 'vitest'
import type { Minutes } from '../knowledge/constructions/joint'
import type { Gate } from '../knowledge/vocabulary'
import { likelyMinutes, minutesOf } from './clock'
import type { Wait } from './plan'
import { closing } from './step-ref'

/** Steps whose minutes are certain, so that the tries have nothing to draw. */
const step = (id: string, minutes: number, gates: readonly Gate[] = []) => ({
  id,
  minutes,
  times: [minutes, minutes, minutes] as Minutes,
  gates,
})
const cement: Wait = { what: 'the cement cures', after: 'work:glue', minutes: 60, gate: 'power-off' }

describe('the minutes of steps', () => {
  it('are their sum where nothing waits', () => {
    const steps = [step('down:valves', 3), step('down:lid', 4)]
    expect(likelyMinutes(steps)).toBe(7)
    expect(minutesOf(steps, [])).toEqual({ p50: 7, p90: 7 })
  })

  it('a wait runs beside the other steps and holds only what wants its gate', () => {
    const steps = [step('work:glue', 5), step('back:lid', 20), step('back:power', 2, ['power-off'])]
    expect(minutesOf(steps, [cement]).p50).toBe(67)
    // Nothing that wants the gate: nothing stands still.
    expect(minutesOf(steps.slice(0, 2), [cement]).p50).toBe(25)
    // What is longer than the wait has it behind it.
    expect(
      minutesOf([step('work:glue', 5), step('back:lid', 80), step('back:power', 2, ['power-off'])], [cement]).p50,
    ).toBe(87)
  })

  it('a wait without a gate holds the step that closes what it holds, and no other', () => {
    const wait: Wait = { what: 'the sealant skins', after: 'work:glue', minutes: 30, closes: 'lid' }
    const before = [step('work:glue', 5), step('back:drain', 4, ['power-off'])]
    expect(minutesOf([...before, step(closing('lid'), 1)], [wait]).p50).toBe(36)
    expect(minutesOf([...before, step('back:valves', 1)], [wait]).p50).toBe(10)
  })

  it('half of a step’s luck is the day’s: nine tenths lie above half, below the longest', () => {
    const wide = Array.from({ length: 6 }, (_, index) => ({
      ...step(`down:${index}`, 5),
      times: [2, 5, 14] as Minutes,
    }))
    const { p50, p90 } = minutesOf(wide, [])
    expect(p50).toBeGreaterThan(6 * 5)
    expect(p90).toBeGreaterThan(p50 * 1.1)
    expect(p90).toBeLessThan(6 * 14)
    // Six steps of independent luck: the variance of each three-point step is (a² + b² + c² − ab − ac − bc) / 18.
    const independent = 1.2816 * Math.sqrt((6 * (4 + 25 + 196 - 10 - 28 - 70)) / 18)
    expect(p90 - p50).toBeGreaterThan(independent * 1.2)
  })
})
