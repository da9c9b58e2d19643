import { inAnyAssembly } from './step-ref'
import { LEARNING } from '../knowledge/shop/learning'
import type { Pace } from './as-here'

/** A step as it was ticked. */
export interface TickedStep {
  step: string
  at: string
  done: boolean
  estimate?: number
}
/** One step’s own minutes over its estimated ones, minutes. */
export interface StepRatio {
  step: string
  ratio: number
  estimate: number
}
/** What the shop's own times make of one step. */
export interface LearnedStep {
  step: string
  times: number
  estimate: number
  minutes: number
  ratio: number
}

/**
 * How long the steps of one visit took: from the tick before to their own. A first step has no beginning; a step that
 * was undone,
 * ticked at once, left over a break, or between whose ticks the clock was set, says nothing.
 *
 * @param ticked the steps of one visit in its journal’s order
 */
export function ratiosOf(ticked: readonly TickedStep[]): StepRatio[] {
  const undone = new Set(ticked.filter(({ done }) => !done).map(({ step }) => step))
  return ticked.flatMap(({ step, at, done, estimate }, index): StepRatio[] => {
    const before = ticked[index - 1]
    if (!before || !done || !estimate || undone.has(step)) return []
    const minutes = (Date.parse(at) - Date.parse(before.at)) / 60_000
    if (minutes < LEARNING.shortestMinutes || minutes > estimate * LEARNING.longestOverEstimate) return []
    return [{ step: inAnyAssembly(step), ratio: minutes / estimate, estimate }]
  })
}

/**
 * A robust mean of ratios with the estimate as its prior: Huber's, on logarithms, so that half as long weighs as much
 * as twice as long and one bad day moves little.
 *
 * Source: Huber, Robust Estimation of a Location Parameter (1964); iterated reweighting.
 */
export function robustRatio(ratios: readonly number[]): number {
  const logs = ratios.map(Math.log)
  const clip = Math.log(LEARNING.clipFactor)
  let centre = 0
  for (let turn = 0; turn < 60; turn++) {
    const weights = logs.map((log) => Math.min(1, clip / Math.max(1e-12, Math.abs(log - centre))))
    const next =
      logs.reduce((sum, log, index) => sum + log * (weights[index] as number), 0) /
      (LEARNING.estimateSteps + weights.reduce((sum, weight) => sum + weight, 0))
    if (Math.abs(next - centre) < 1e-9) return Math.exp(next)
    centre = next
  }
  return Math.exp(centre)
}

/**
 * Every step the shop has timed, those it was furthest from the estimate with first.
 *
 * @param timed oldest first
 */
export function learnSteps(timed: readonly StepRatio[]): LearnedStep[] {
  const byStep = new Map<string, StepRatio[]>()
  for (const each of timed) {
    const own = byStep.get(each.step)
    if (own) own.push(each)
    else byStep.set(each.step, [each])
  }
  return [...byStep.values()].map(learnStep).sort((a, b) => Math.abs(Math.log(b.ratio)) - Math.abs(Math.log(a.ratio)))
}

/** What the times of one step make of its estimate. */
export function learnStep(own: readonly StepRatio[]): LearnedStep {
  const { step, estimate } = own.at(-1) as StepRatio
  const ratio = robustRatio(own.map((each) => each.ratio))
  return { step, times: own.length, estimate, minutes: estimate * ratio, ratio }
}

/** The ratios alone, as the planner takes them. */
export function paceOf(learned: readonly LearnedStep[]): Pace {
  return Object.fromEntries(learned.map(({ step, ratio }) => [step, ratio]))
}
