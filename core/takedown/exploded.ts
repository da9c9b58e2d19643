import type { JointType } from '../knowledge/constructions/joint'
import type { Part } from '../knowledge/vocabulary'
import type { TakeDownStep } from './plan'
import { jointKey } from './step-id'
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

const assemblyOf = (key: string) => (key.includes('.') ? (key.split('.')[0] as string) : '')

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
  const isOff = (key: string) => records.get(`down:${key}`)?.done === true && records.get(`back:${key}`)?.done !== true
  const section = sectionOf(steps, current)
  const all = section.filter(
    ({ id, phase, joint, temporary }) =>
      phase === 'down' && joint !== 'gate' && !temporary && id === `down:${jointKey(id)}`,
  )
  const at = steps.find(({ id }) => id === current)
  const assembly =
    at && at.phase !== 'work' && all.some(({ id }) => id === `down:${jointKey(at.id)}`)
      ? assemblyOf(jointKey(at.id))
      : assemblyOf(jointKey(all.findLast(({ id }) => isOff(jointKey(id)))?.id ?? all[0]?.id ?? ''))
  const pieces = all
    .filter(({ id }) => assemblyOf(jointKey(id)) === assembly)
    .map(({ id, part, joint, count }): Piece => {
      const key = jointKey(id)
      return {
        key,
        part,
        joint,
        ...(count === undefined ? {} : { count }),
        state: at && at.phase !== 'work' && jointKey(at.id) === key ? 'lit' : isOff(key) ? 'off' : 'on',
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
