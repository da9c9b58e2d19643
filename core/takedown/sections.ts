import type { StepPhase, TakeDownStep } from './plan'
import { isFreeing } from './step-ref'

const RANK: Readonly<Record<StepPhase, number>> = { down: 0, work: 1, back: 2, commission: 3 }

/** What stands under each heading of a plan. */
export interface Section<S> {
  phase: StepPhase
  steps: S[]
}

/**
 * A plan in its true order under few headings: what of the work is done between closings stands with the way back. A
 * second way down, as with a spare put in first, begins anew.
 */
export function sectionsOf<S extends Pick<TakeDownStep, 'phase'>>(steps: readonly S[]): Section<S>[] {
  const sections: Section<S>[] = []
  for (const step of steps) {
    const last = sections.at(-1)
    const anew = last !== undefined && step.phase === 'down' && last.phase !== 'down'
    if (last && !anew && RANK[step.phase] <= RANK[last.phase]) last.steps.push(step)
    else sections.push({ phase: step.phase, steps: [step] })
  }
  return sections
}

/** What is pressed when a step is done: it fits what the step does. */
export function doneWords({ id, phase, joint, count, temporary }: TakeDownStep): string {
  if (isFreeing(id)) return 'It came'
  if (joint === undefined || joint === 'gate') return 'Done'
  const down = phase === 'down'
  if (joint === 'support') return down ? 'Done' : temporary ? 'Gone' : 'In its place'
  if (joint === 'wire-terminal' || joint === 'wire-splice') return down ? 'Off' : 'On, and tugged'
  if (joint === 'cord-plug') return down ? 'Out' : 'Plugged in'
  if (joint === 'glued-pipe') return down ? 'Cut' : 'Glued'
  if (down) return count === undefined ? 'Off' : 'Out, into the tray'
  return joint === 'clamp-band' || joint === 'union' || joint === 'press-fit' || joint === 'o-ring-seat' ? 'On' : 'In'
}
