import type { Reads } from '../knowledge/constructions/joint'
import type { TakeDownStep } from '../takedown/plan'
import type { JudgedFinding } from './fold'

/** What has been read of a step’s check, its own part’s or the new one’s as the step wants it. */
const isOf =
  ({ check, part, of }: Reads) =>
  ({ finding }: JudgedFinding) =>
    finding.check === check &&
    (part === undefined || finding.part === part) &&
    (finding.of === 'new') === (of === 'new')

/**
 * The reading that a step asks for, where the visit has it: a trial does not ask for a figure twice. What is read on
 * the way back proves what was done, so that nothing from before the work stands for it.
 *
 * @param worked when the last step of the work itself was closed; undefined while none is
 */
export function readingAt(
  { reads, phase }: Pick<TakeDownStep, 'reads' | 'phase'>,
  findings: readonly JudgedFinding[],
  worked: string | undefined,
): JudgedFinding | undefined {
  if (!reads) return undefined
  const proves = phase === 'back' || phase === 'commission'
  const last = findings.findLast(isOf(reads))
  if (!last || (proves && (worked === undefined || last.at <= worked))) return undefined
  return last
}
