import type { StepAnswer } from '../knowledge/constructions/joint'
import type { JobConditions } from '../takedown/conditions'
import type { TakeDownStep } from '../takedown/plan'
import type { EntryBodies, EntryKind } from './entry'

/** A line that follows from an answer. */
export type Following = { [K in EntryKind]: { kind: K; body: EntryBodies[K] } }[EntryKind]

/** Whether a step can be closed: what it asks is answered, and the figure that decides is there. */
export function canClose(
  step: Pick<TakeDownStep, 'asks' | 'decides'>,
  measured: JobConditions,
  answer?: string,
): boolean {
  if (step.decides && measured[step.decides] === undefined) return false
  return !step.asks || step.asks.some(({ id }) => id === answer)
}

/**
 * What follows from what a step found: a finding for the lamp, damage for the plan, a job for the customer. All of it
 * is written with the step.
 */
export function followsFrom({ finding, damaged, offers, label }: StepAnswer): Following[] {
  return [
    ...(finding ? [{ kind: 'finding' as const, body: { ...finding, stage: 'test' as const } }] : []),
    ...(damaged ? [{ kind: 'take-down-found' as const, body: { part: damaged, what: 'damaged' as const } }] : []),
    ...(offers
      ? [
          {
            kind: 'job' as const,
            body: { job: offers, state: 'offered' as const, from: 'damage' as const, why: label },
          },
        ]
      : []),
  ]
}
