import type { Telling } from '../quantity/sentence'
import { isClosing, isOpening, jointOf } from './step-ref'
import type { JointPlace } from '../knowledge/constructions/joint'
import type { Part } from '../knowledge/vocabulary'
import type { TakeDownStep } from './plan'

/** More pieces than any joint has. */
export const MOST_PIECES = 200

/** Can this be a count of pieces? */
export function isCount(number: number): boolean {
  return Number.isInteger(number) && number >= 0 && number <= MOST_PIECES
}

/** A step as it was ticked. */
export interface StepRecord {
  done: boolean
  count?: number
  places?: readonly JointPlace[]
  reason?: string
  note?: string
  at: string
}
/** Something that is out and not back: what, how many, and whether it must be gone rather than in. */
export interface TrayItem {
  id: string
  part: Part
  count?: number
  places?: readonly JointPlace[]
  note?: string
  written?: string
  hand?: 'left'
  text: Telling
  temporary: boolean
  at: string
}

/**
 * What lies in the tray: every joint that is open and has a way back that is not done yet. Where nothing is put
 * together again, what came out lies there until all is sorted.
 */
export function trayOf(
  { steps, endsOpen }: { steps: readonly TakeDownStep[]; endsOpen?: true },
  records: ReadonlyMap<string, StepRecord>,
): TrayItem[] {
  if (endsOpen && steps.every(({ id }) => records.get(id)?.done)) return []
  const back = new Map(steps.filter(({ id }) => isClosing(id)).map((step) => [jointOf(step.id), step]))
  const isApart = (step: TakeDownStep) => endsOpen === true && step.count !== undefined && step.joint !== 'gate'
  return steps
    .filter(({ id }) => isOpening(id))
    .flatMap((step): TrayItem[] => {
      const record = records.get(step.id)
      const closing = back.get(jointOf(step.id))
      if (!record?.done || (closing ? records.get(closing.id)?.done : !isApart(step))) return []
      return [
        {
          id: step.id,
          part: step.part,
          ...(step.count === undefined ? {} : { count: record.count ?? step.count }),
          ...((record.places ?? step.places) ? { places: record.places ?? step.places } : {}),
          ...(record.note ? { written: record.note } : {}),
          ...(step.countNote ? { note: step.countNote } : {}),
          ...(step.hand === 'left' ? { hand: 'left' as const } : {}),
          text: step.text,
          temporary: step.temporary === true,
          at: record.at,
        },
      ]
    })
}

/** Which places get another number than came out of them; a joint without places is one place. */
export function placesThatDiffer(out: readonly JointPlace[], back: readonly JointPlace[]): JointPlace[] {
  const inBack = new Map(back.map(({ place, count }) => [place, count]))
  return out.filter(({ place, count }) => (inBack.get(place) ?? 0) !== count)
}
