import type { Draft } from './line-entries'
import type { EntryBodies } from './entry'

/**
 * The lines of a recording: itself, and what it says of the machine, where it says something. They are kept and taken
 * back together.
 */
export function recordedDrafts(body: EntryBodies['recording'], stage: EntryBodies['finding']['stage']): Draft[] {
  const { bearing, water } = body.heard
  const heard = (check: string, outcome: string): Draft => ({ kind: 'finding', body: { check, outcome, stage } })
  return [
    { kind: 'recording', body },
    ...(bearing.is === 'cannot-tell' ? [] : [heard('bearing-sound', bearing.is)]),
    ...(water.is === 'cannot-tell' ? [] : [heard('water-sound', water.is)]),
  ]
}
