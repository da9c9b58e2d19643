import { describe, expect, it } from 'vitest'
import { LEARNING } from '../knowledge/shop/learning'
import { learnSteps, paceOf, ratiosOf, robustRatio, type TickedStep } from './own-times'
import { planTakeDown } from './plan'
import { stepPlan } from './step-plan'

const visit = (...steps: [step: string, minutes: number, estimate?: number][]): TickedStep[] => {
  let clock = Date.parse('2026-05-04T09:00:00Z')
  return steps.map(([step, minutes, estimate]) => {
    clock += minutes * 60_000
    return { step, at: new Date(clock).toISOString(), done: true, ...(estimate === undefined ? {} : { estimate }) }
  })
}

describe('the shop’s own times', () => {
  it('a step runs from the tick before it in its visit; the first has no beginning', () => {
    expect(ratiosOf(visit(['down:make-dead', 5, 4], ['down:valves', 6, 3]))).toEqual([
      { step: 'down:valves', ratio: 2, estimate: 3 },
    ])
    expect(ratiosOf(visit(['down:make-dead', 9, 4], ['down:valves', 1.5, 3]))).toEqual([
      { step: 'down:valves', ratio: 0.5, estimate: 3 },
    ])
  })

  it('a clock that is set back between two ticks says nothing of the step between them, and leaves the others', () => {
    const [first, second, third] = visit(['down:make-dead', 5, 4], ['down:valves', 6, 3], ['down:drain', 4, 4])
    const back = (each: TickedStep | undefined) => ({
      ...(each as TickedStep),
      at: new Date(Date.parse((each as TickedStep).at) - 3_600_000).toISOString(),
    })
    expect(ratiosOf([first as TickedStep, back(second), back(third)])).toEqual([
      { step: 'down:drain', ratio: 1, estimate: 4 },
    ])
  })

  it('a break, a ticking off afterwards and a step that was undone say nothing', () => {
    const ticked = visit(
      ['down:valves', 0, 3],
      ['down:drain', 3 * LEARNING.longestOverEstimate * 2, 3],
      ['down:clamp', 0.01, 3],
      ['down:impeller', 6, 6],
    )
    ticked.push({ step: 'down:impeller', at: '2026-05-04T12:00:00Z', done: false, estimate: 6 })
    expect(ratiosOf(ticked)).toEqual([])
  })

  it('few steps move little, many take over, and one bad day moves less than its share', () => {
    expect(robustRatio([])).toBe(1)
    expect(robustRatio([2])).toBeLessThan(1.2)
    expect(robustRatio(Array.from({ length: 60 }, () => 2))).toBeGreaterThan(1.85)
    expect(robustRatio([0.5, 0.5, 0.5])).toBeCloseTo(1 / robustRatio([2, 2, 2]), 9)
    const [usual, oneBad] = [
      robustRatio(Array.from({ length: 9 }, () => 1)),
      robustRatio([...Array.from({ length: 9 }, () => 1), 20]),
    ]
    expect(usual).toBeCloseTo(1, 12)
    expect(oneBad).toBeLessThan(Math.exp(Math.log(20) / 14) * 0.9)
  })

  it('the shortest and the longest time that still is a step count', () => {
    const { shortestMinutes, longestOverEstimate } = LEARNING
    const ratios = ratiosOf(
      visit(['down:valves', 1, 3], ['down:drain', shortestMinutes, 1], ['down:clamp', 3 * longestOverEstimate, 3]),
    ).map(({ ratio }) => ratio)
    expect(ratios).toEqual([shortestMinutes, longestOverEstimate])
  })

  it('is the fixed point of its weights: for one far ratio, the root of a square', () => {
    // With n estimate steps, the clip k and the ratio’s logarithm L beyond it: c (n + w) = w L, w = k / (L − c).
    const [n, k] = [LEARNING.estimateSteps, Math.log(LEARNING.clipFactor)]
    for (const ratio of [4, 20, 0.05]) {
      const far = Math.abs(Math.log(ratio))
      const c = (n * far + k - Math.sqrt((n * far + k) ** 2 - 4 * n * k * far)) / (2 * n)
      expect(Math.log(robustRatio([ratio]))).toBeCloseTo(Math.sign(Math.log(ratio)) * c, 7)
    }
    // Near the estimate every step weighs one: the mean of logarithms, the estimate among them.
    expect(Math.log(robustRatio([1.3, 1.1]))).toBeCloseTo((Math.log(1.3) + Math.log(1.1)) / (n + 2), 9)
  })

  it('steps that stand furthest from their estimate come first, longer or shorter', () => {
    const timed = (step: string, ratio: number) => ({ step, ratio, estimate: 3 })
    const learned = learnSteps([
      timed('down:valves', 1.2),
      timed('down:clamp', 0.2),
      timed('down:drain', 2),
      timed('down:valves', 1.2),
      timed('down:lid', 1),
    ])
    expect(learned.map(({ step }) => step)).toEqual(['down:clamp', 'down:drain', 'down:valves', 'down:lid'])
    expect(learned.map(({ times }) => times)).toEqual([1, 1, 2, 1])
  })

  it('a joint learns from every assembly it stands in, and the plan takes the learned minutes', () => {
    const ticked = Array.from({ length: 30 }, () =>
      ratiosOf(visit(['down:part-halves', 1, 3], ['down:diffuser', 6, 3])),
    ).flat()
    const learned = learnSteps(ticked)
    expect(learned).toHaveLength(1)
    const pace = paceOf(learned)
    const step = (options: object) =>
      planTakeDown('band-clamp', ['diffuser'], options).down.find(({ id }) => id === 'down:diffuser')
    expect(step({ pace })).toMatchObject({ minutes: 2 * (pace['down:diffuser'] as number), estimate: 2 })
    expect(step({})).toMatchObject({ minutes: 2, estimate: 2 })
    const bench = stepPlan('pool', 'band-clamp', 'bearings-and-seal', { pace: { 'down:springs': 2 } })
    expect(bench?.steps.find(({ id }) => id === 'down:motor-bench.springs')).toMatchObject({ minutes: 6, estimate: 3 })
  })

  it('the least time is found among the shop’s own: where the valve is slow, the riser is cut', () => {
    const ids = (pace: Record<string, number>) =>
      planTakeDown('sump-sealed', ['pump'], { pace }).down.map(({ id }) => id)
    expect(ids({})).toContain('down:check-valve')
    expect(ids({ 'down:check-valve': 9 })).toContain('down:cut-riser')
  })
})
