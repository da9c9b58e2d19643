import type { JointType } from '../knowledge/constructions/joint'
import type { Part } from '../knowledge/vocabulary'
import type { TakeDownStep } from './plan'
import { closing, isOpening, jointOf, opening, parseJoint } from './step-ref'
import type { StepRecord } from './tray'

/** One thing that comes off, in its place on the axis: still on, off, or the one at hand. */
export interface Piece {
  key: string
  part: Part
  joint?: JointType
  count?: number
  state: 'on' | 'lit' | 'off'
}
/** A machine drawn apart: the pieces of the assembly that is being opened, the first to come off first. */
export interface Exploded {
  assembly: string
  pieces: Piece[]
}

/**
 * Steps down, work and back that belong together: with a spare put in first, the swap is one such, and the bench the
 * next.
 */
function sectionOf(steps: readonly TakeDownStep[], current?: string): TakeDownStep[] {
  const sections: TakeDownStep[][] = [[]]
  for (const step of steps) {
    const last = sections.at(-1) as TakeDownStep[]
    if (step.phase === 'down' && last.some(({ phase }) => phase === 'back')) sections.push([step])
    else last.push(step)
  }
  return sections.find((section) => section.some(({ id }) => id === current)) ?? (sections.at(-1) as TakeDownStep[])
}

const assemblyOf = (key: string | undefined) => parseJoint(key ?? '').assembly ?? ''

/**
 * What the drawing shows of a plan at a step: the same parts in the same order as the plan takes them off, and last,
 * nearest to the machine, what is worked on.
 *
 * @param current id of the step at hand; none once everything is back
 */
export function explodedOf(
  steps: readonly TakeDownStep[],
  records: ReadonlyMap<string, StepRecord>,
  current?: string,
): Exploded {
  const isOff = (key: string | undefined) =>
    key !== undefined && records.get(opening(key))?.done === true && records.get(closing(key))?.done !== true
  const section = sectionOf(steps, current)
  const all = section.filter(({ id, joint, temporary }) => joint !== 'gate' && !temporary && isOpening(id))
  const at = steps.find(({ id }) => id === current)
  const assembly =
    at && at.phase !== 'work' && all.some(({ id }) => jointOf(id) === jointOf(at.id))
      ? assemblyOf(jointOf(at.id))
      : assemblyOf(jointOf((all.findLast(({ id }) => isOff(jointOf(id))) ?? all[0])?.id ?? ''))
  const pieces = all
    .filter(({ id }) => assemblyOf(jointOf(id)) === assembly)
    .map(({ id, part, joint, count }): Piece => {
      const key = jointOf(id) as string
      return {
        key,
        part,
        joint,
        ...(count === undefined ? {} : { count }),
        state: at && at.phase !== 'work' && jointOf(at.id) === key ? 'lit' : isOff(key) ? 'off' : 'on',
      }
    })
  const worked = [...new Set(section.filter(({ phase }) => phase === 'work').map(({ part }) => part))].filter(
    (part) => !pieces.some((piece) => piece.part === part),
  )
  return {
    assembly,
    pieces: [
      ...pieces,
      ...worked.map((part): Piece => ({
        key: `work:${part}`,
        part,
        state: at?.phase === 'work' && at.part === part ? 'lit' : 'on',
      })),
    ].map((piece) =>
      at?.phase === 'work' && piece.part === at.part && piece.state !== 'off'
        ? { ...piece, state: 'lit' as const }
        : piece,
    ),
  }
}
