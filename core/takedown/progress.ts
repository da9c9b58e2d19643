import type { Repair } from './step-plan'
import { closing, isOpening, jointOf, opening, parseStep } from './step-ref'
import type { StepRecord } from './tray'

/** The joint whose closing puts the power back on. */
export const POWER_JOINT = 'make-dead'
/** Joints that stand for a state which power undoes. */
export const UNDONE_BY_POWER: readonly string[] = ['discharge', 'cool', 'drive-wait']

/**
 * The ticks that count for a plan as it is now. Where work is still to do behind a joint that was closed again, that
 * joint is to be opened again: neither its opening nor its closing counts, nor what came after the power was back.
 */
export function countingRecords<R extends StepRecord>(
  plan: Pick<Repair, 'steps' | 'behind'>,
  records: ReadonlyMap<string, R>,
): ReadonlyMap<string, R> {
  const isDone = (id: string) => records.get(id)?.done === true
  const again = new Set<string>()
  for (const { id } of plan.steps) {
    if (isDone(id)) continue
    for (const joint of plan.behind[id] ?? []) if (isDone(closing(joint))) again.add(joint)
  }
  if (again.size === 0) return records
  const powered = again.has(POWER_JOINT)
  if (powered) for (const joint of UNDONE_BY_POWER) again.add(joint)
  return new Map(
    [...records].filter(([id]) => {
      const joint = jointOf(id)
      if (joint !== undefined) return !again.has(joint)
      const step = plan.steps.find((each) => each.id === id)
      return !(powered && step?.phase === 'commission')
    }),
  )
}

/**
 * Records that the tick of a step undoes: what is opened again is closed no longer, and where an act comes before its
 * opening, that is still to be done anew.
 */
export function undoneBy(step: string, records: ReadonlyMap<string, Pick<StepRecord, 'done'>>): string[] {
  const ref = parseStep(step)
  const joint = jointOf(step)
  if (ref?.phase !== 'down' || ref.attempt !== undefined || joint === undefined) return []
  const closings = [...records.keys()].filter((id) => parseStep(id)?.phase === 'back' && jointOf(id) === joint)
  const again = ref.act !== undefined && records.get(closing(joint))?.done === true
  return again ? [...closings, opening(joint)] : closings
}

/** Joints that were opened by their ticks, closed again or not. */
export function openedJoints(records: ReadonlyMap<string, Pick<StepRecord, 'done'>>): string[] {
  return [...records].flatMap(([id, { done }]) => (done && isOpening(id) ? (jointOf(id) ?? []) : []))
}
