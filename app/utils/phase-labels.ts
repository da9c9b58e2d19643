import type { StepPhase } from '#core/takedown/plan'

/** The headings of a plan. */
export const PHASE_LABELS: Readonly<Record<StepPhase, string>> = {
  down: 'Down',
  work: 'The work',
  back: 'The way back',
  commission: 'With the power on',
}
