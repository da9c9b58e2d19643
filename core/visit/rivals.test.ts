import { describe, expect, it } from 'vitest'
import type { Entry, EntryBodies, EntryKind } from './entry'
import { foldVisit } from './fold'
import { mergedJournal } from './merged'
import { headsOf, knowledgeIn } from './seen'
import { opened } from './test-journal'
import { TestDevice } from './test-device'

/** Two devices that know the visit as it was opened. */
function two() {
  const first = opened()
  const [one, other] = [new TestDevice('one', [first]), new TestDevice('other', [first])]
  return { one, other, meet: () => mergedJournal(one.journal, other.journal) as Entry[] }
}
const conflicts = (journal: readonly Entry[]) =>
  (foldVisit(journal)?.conflicts ?? []).map(({ claims }) => claims.map(({ entry }) => entry.body))

describe('what a line had in sight', () => {
  it('is what stood there when it was written, directly or through a line between', () => {
    const { one, other, meet } = two()
    const call = one.write('call', { complaints: ['hums'], alreadyReplaced: [], callerSays: '' })
    const gate = one.write('gate', { gate: 'power-off', shut: true })
    const elsewhere = other.write('note', { text: 'wet', seenAndLeft: false })
    const journal = meet()
    const knows = knowledgeIn(journal)
    expect(knows(gate, call)).toBe(true)
    expect(knows(gate, journal[0] as Entry)).toBe(true)
    expect(knows(elsewhere, call)).toBe(false)
    expect(knows(gate, elsewhere)).toBe(false)
    expect(headsOf(journal).sort()).toEqual([gate.id, elsewhere.id].sort())
    const both = new TestDevice('both', journal).write('note', { text: 'seen both', seenAndLeft: false })
    expect(knowledgeIn([...journal, both])(both, elsewhere)).toBe(true)
    expect(headsOf([...journal, both])).toEqual([both.id])
  })

  it('is all before it where it was written before that was kept', () => {
    const { one, other, meet } = two()
    const decision = one.write('decision', { option: 'run-capacitor-replace' })
    other.write('note', { text: 'a', seenAndLeft: false })
    const { seen: _, ...older } = other.write('decision', { option: 'motor-replace' })
    expect(knowledgeIn(meet())(older as Entry, decision)).toBe(true)
  })
})

describe('two who did not see each other', () => {
  type Said<K extends EntryKind = EntryKind> = { [Each in K]: [kind: Each, body: EntryBodies[Each]] }[K]
  it.each<[string, Said, Said]>([
    ['decide', ['decision', { option: 'run-capacitor-replace' }], ['decision', { option: 'motor-replace' }]],
    ['shut and open', ['gate', { gate: 'power-off', shut: true }], ['gate', { gate: 'power-off', shut: false }]],
    [
      'take out and put in',
      ['step', { step: 'down:volute', done: true, count: 6 }],
      ['step', { step: 'back:volute', done: true, count: 6 }],
    ],
    [
      'count otherwise',
      ['step', { step: 'down:volute', done: true, count: 8 }],
      ['step', { step: 'down:volute', done: true, count: 7 }],
    ],
    [
      'say of a cause',
      ['cause-said', { fault: 'bearings-worn', verdict: 'it-was-this' }],
      ['cause-said', { fault: 'bearings-worn', verdict: 'not-this' }],
    ],
  ])('%s: both stand and one tap chooses', (_, [kind, body], [otherKind, otherBody]) => {
    const { one, other, meet } = two()
    one.write(kind, body)
    other.write(otherKind, otherBody)
    const journal = meet()
    const bodies = conflicts(journal)
    expect(bodies).toHaveLength(1)
    expect(bodies[0]).toEqual(expect.arrayContaining([body, otherBody]))
    const { claims } = foldVisit(journal)?.conflicts[0] ?? { claims: [] }
    for (const chosen of claims) {
      const chooser = new TestDevice('chooser', journal)
      const [against] = claims.filter((claim) => claim !== chosen)
      chooser.write(chosen.entry.kind, chosen.entry.body as never, chosen.entry, [against?.entry as Entry])
      expect(conflicts(chooser.journal)).toEqual([])
      expect(foldVisit(chooser.journal)?.entries.at(-1)?.body).toEqual(chosen.entry.body)
    }
    // Whoever says it anew with both in sight has chosen too.
    const anew = new TestDevice('anew', journal)
    anew.write(kind, body)
    expect(conflicts(anew.journal)).toEqual([])
  })

  it.each<[string, Said, Said]>([
    ['decide alike', ['decision', { option: 'motor-replace' }], ['decision', { option: 'motor-replace' }]],
    [
      'take out other bolts',
      ['step', { step: 'down:volute', done: true, count: 6 }],
      ['step', { step: 'down:seal-plate', done: true, count: 4 }],
    ],
    [
      'get ready and take out',
      ['step', { step: 'down:volute:mark', done: true }],
      ['step', { step: 'down:volute', done: true, count: 6 }],
    ],
    [
      'tick with another estimate',
      ['step', { step: 'down:volute', done: true, estimate: 4 }],
      ['step', { step: 'down:volute', done: true, estimate: 5 }],
    ],
    [
      'measure the same',
      ['finding', { check: 'supply-voltage', value: 236, unit: 'V', stage: 'test' }],
      ['finding', { check: 'supply-voltage', value: 231, unit: 'V', stage: 'test' }],
    ],
    ['note', ['note', { text: 'a', seenAndLeft: false }], ['note', { text: 'b', seenAndLeft: false }]],
  ])('%s: nothing to choose', (_, [kind, body], [otherKind, otherBody]) => {
    const { one, other, meet } = two()
    one.write(kind, body)
    other.write(otherKind, otherBody)
    expect(conflicts(meet())).toEqual([])
  })

  it('one after the other is no conflict', () => {
    const { one } = two()
    one.write('decision', { option: 'run-capacitor-replace' })
    one.write('decision', { option: 'motor-replace' })
    expect(conflicts(one.journal)).toEqual([])
    expect(foldVisit(one.journal)?.decision).toBe('motor-replace')
  })
})
