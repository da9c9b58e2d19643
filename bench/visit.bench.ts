import { bench, describe } from 'vitest'
import type { Entry } from '../core/visit/entry'
import { foldVisit, type VisitState } from '../core/visit/fold'
import { demoEntries } from '../demo/demo-entries'

const all = demoEntries(new Date(2026, 4, 12, 9))
const opened = all.find(
  (entry) =>
    entry.kind === 'visit-opened' && (entry.body as { machine: { name: string } }).machine.name === 'filter pump 2',
) as Entry
/** One visit with 500 entries: readings, corrections and retractions among them. */
const long: Entry[] = [
  opened,
  ...Array.from({ length: 499 }, (_, index): Entry => {
    const id = `0197a000-00bb-7000-8000-${index.toString(16).padStart(12, '0')}`
    const common = {
      id,
      visitId: opened.visitId,
      at: new Date(Date.UTC(2026, 4, 12, 10, 0, index)).toISOString(),
      author: 'bench',
    }
    if (index % 25 === 24)
      return {
        ...common,
        kind: 'retracted',
        supersedes: `0197a000-00bb-7000-8000-${(index - 1).toString(16).padStart(12, '0')}`,
        body: {},
      }
    return {
      ...common,
      kind: 'finding',
      body: { check: 'supply-voltage', value: 220 + (index % 30), unit: 'V', stage: 'test' },
    }
  }),
]
const small = long.slice(0, 20)
describe('folding a visit', () => {
  bench('500 entries', () => {
    foldVisit(long) as VisitState
  })
  bench('20 entries, for comparison', () => {
    foldVisit(small) as VisitState
  })
})
