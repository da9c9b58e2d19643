import type { Basis } from '../judgement/judgement'
import type { Pace } from './as-here'

/** How much the printed estimate weighs, in steps of the shop's own, how far a step may stand from it before it counts no further (as a factor), and what is no step at all but a break or a ticking off afterwards. */
export const LEARNING = { estimateSteps: 4, clipFactor: 1.6, shortestMinutes: 0.2, longestOverEstimate: 5, basis: { kind: 'shop', name: 'the estimate counts as four steps; shop default' } as Basis }

/** A step as it was ticked, in one visit's order. */
export interface TickedStep { visitId: string; step: string; at: string; done: boolean; estimate?: number }
/** What the shop's own times make of one step. */
export interface LearnedStep { step: string; times: number; estimate: number; minutes: number; ratio: number }

/** A step without the name of the assembly it was done in: the same joint learns from all of them. */
export function paceKey(step: string): string {
  return step.replace(/^(down|back):[a-z-]+\./, '$1:')
}

/**
 * How long steps took: from the tick before to their own, in the same visit. A first step has no beginning; a step that was undone, ticked at once, or left over a break says nothing.
 *
 * @param ticked in any order
 * @returns own minutes over estimated ones, by step
 */
export function ratiosOf(ticked: readonly TickedStep[]): Map<string, { ratio: number; estimate: number }[]> {
  const out = new Map<string, { ratio: number; estimate: number }[]>()
  const byVisit = new Map<string, TickedStep[]>()
  for (const each of [...ticked].sort((a, b) => (a.at < b.at ? -1 : 1))) byVisit.set(each.visitId, [...(byVisit.get(each.visitId) ?? []), each])
  for (const steps of byVisit.values()) {
    const undone = new Set(steps.filter(({ done }) => !done).map(({ step }) => step))
    for (const [index, { step, at, done, estimate }] of steps.entries()) {
      const before = steps[index - 1]
      if (!before || !done || !estimate || undone.has(step)) continue
      const minutes = (Date.parse(at) - Date.parse(before.at)) / 60_000
      if (minutes < LEARNING.shortestMinutes || minutes > estimate * LEARNING.longestOverEstimate) continue
      const key = paceKey(step)
      out.set(key, [...(out.get(key) ?? []), { ratio: minutes / estimate, estimate }])
    }
  }
  return out
}

/**
 * A robust mean of ratios with the estimate as its prior: Huber's, on logarithms, so that half as long weighs as much as twice as long and one bad day moves little.
 *
 * Source: Huber, Robust Estimation of a Location Parameter (1964); iterated reweighting.
 */
export function robustRatio(ratios: readonly number[]): number {
  const logs = ratios.map(Math.log)
  const clip = Math.log(LEARNING.clipFactor)
  let centre = 0
  for (let turn = 0; turn < 60; turn++) {
    const weights = logs.map((log) => Math.min(1, clip / Math.max(1e-12, Math.abs(log - centre))))
    const next = logs.reduce((sum, log, index) => sum + log * (weights[index] as number), 0) / (LEARNING.estimateSteps + weights.reduce((sum, weight) => sum + weight, 0))
    if (Math.abs(next - centre) < 1e-9) return Math.exp(next)
    centre = next
  }
  return Math.exp(centre)
}

/** Every step the shop has timed, those it was furthest from the estimate with first. */
export function learnSteps(ticked: readonly TickedStep[]): LearnedStep[] {
  return [...ratiosOf(ticked)].map(([step, own]): LearnedStep => {
    const ratio = robustRatio(own.map((each) => each.ratio))
    const { estimate } = own.at(-1) as { estimate: number }
    return { step, times: own.length, estimate, minutes: estimate * ratio, ratio }
  }).sort((a, b) => Math.abs(Math.log(b.ratio)) - Math.abs(Math.log(a.ratio)))
}

/** The ratios alone, as the planner takes them. */
export function paceOf(learned: readonly LearnedStep[]): Pace {
  return Object.fromEntries(learned.map(({ step, ratio }) => [step, ratio]))
}
