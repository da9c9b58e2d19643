import { expect } from 'vitest'
import type { Entry, EntryBodies, EntryKind } from './entry'
import { foldVisit, type VisitState } from './fold'

export const VISIT = '0197a000-0009-7000-8000-000000000001'
let lines = 0
let countedIn: string | undefined
/** Each file of tests begins its journal anew: those of one worker share this module. */
function next(): number {
  const { testPath } = expect.getState()
  if (testPath !== countedIn) [lines, countedIn] = [0, testPath]
  return ++lines
}

/** A line of the test visit’s journal, a minute after the one before. */
export function entry<K extends EntryKind>(kind: K, body: EntryBodies[K], supersedes?: string): Entry {
  const count = next()
  return {
    id: `0197a000-00aa-7000-8000-${count.toString(16).padStart(12, '0')}`,
    visitId: VISIT,
    kind,
    at: new Date(Date.UTC(2026, 4, 12, 10, count)).toISOString(),
    author: 'test',
    ...(supersedes ? { supersedes } : {}),
    body,
  } as unknown as Entry
}
/** The visit at the lido’s filter pump: permanent split, 30 μF, nine years old. */
export const opened = (): Entry =>
  entry('visit-opened', {
    customer: { id: '0197a000-0001-7000-8000-000000000001', name: 'Millrace Lido', place: 'Weir Street 1' },
    scheduledAt: '2026-05-12T10:20:00.000Z',
    plannedMinutes: 45,
    callerSays: 'hums',
    machine: {
      id: '0197a000-0002-7000-8000-000000000001',
      customerId: '0197a000-0001-7000-8000-000000000001',
      name: 'filter pump 2',
      kind: 'pool',
      construction: 'band-clamp',
      installedOn: '2017-05-12',
      nameplate: {
        volts: 230,
        motorType: 'permanent-split',
        horsepower: 1,
        fullLoadAmps: 7,
        serviceFactorAmps: 8.2,
        runCapacitorMicrofarads: 30,
      },
    },
  })
export const reading = (check: string, value: number | null, more: object = {}, stage: 'test' | 'prove' = 'test') =>
  entry('finding', { check, value, stage, ...more })
export const seen = (check: string, outcome: string, stage: 'test' | 'prove' = 'test') =>
  entry('finding', { check, outcome, stage })
export const fold = (entries: Entry[]) => foldVisit(entries) as VisitState
