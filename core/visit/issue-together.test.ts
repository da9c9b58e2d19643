import { describe, expect, it } from 'vitest'
import { journalHash } from './issue'
import { issuesTogether, sheetHash } from './issue-together'
import type { Entry } from './entry'
import { entry, opened } from './test-journal'

const [ONE, TWO] = ['0197a000-0009-7000-8000-00000000000a', '0197a000-0009-7000-8000-00000000000b']
const over = (beside?: { visit: string; issue: number }[]) =>
  entry('handed-over', { watch: '', ...(beside ? { beside } : {}) })
const issues = (one: Entry[], two: Entry[] = []) =>
  issuesTogether(
    new Map([
      [ONE, one],
      [TWO, two],
    ]),
  ).map((issue) => Object.fromEntries(issue))

describe('the issues of one sheet', () => {
  it('of a single visit are its hand-overs', () =>
    expect(issues([opened(), over(), over()])).toEqual([{ [ONE]: 1 }, { [ONE]: 2 }]))
  it('begin with the hand-over that finds all others handed over', () => {
    const two = [opened(), over([{ visit: ONE, issue: 0 }])]
    expect(issues([opened()], two)).toEqual([])
    expect(issues([opened(), over([{ visit: TWO, issue: 1 }])], two)).toEqual([{ [ONE]: 1, [TWO]: 1 }])
  })
  it('go on with each of them that is handed over anew, in the order of what each knew', () => {
    const one = [opened(), over([{ visit: TWO, issue: 1 }]), over([{ visit: TWO, issue: 2 }])]
    const two = [opened(), over([{ visit: ONE, issue: 0 }]), over([{ visit: ONE, issue: 1 }])]
    expect(issues(one, two)).toEqual([
      { [ONE]: 1, [TWO]: 1 },
      { [ONE]: 1, [TWO]: 2 },
      { [ONE]: 2, [TWO]: 2 },
    ])
  })
  it('keep the one from before another machine came to it', () =>
    expect(issues([opened(), over()], [opened(), over([{ visit: ONE, issue: 1 }])])).toEqual([
      { [ONE]: 1 },
      { [ONE]: 1, [TWO]: 1 },
    ]))
  it('do not wait for one that is of the journey no more', () =>
    expect(issuesTogether(new Map([[TWO, [opened(), over([{ visit: ONE, issue: 0 }])]]]))).toHaveLength(1))
  it('count no hand-over that was taken back', () => {
    const back = over()
    expect(issues([opened(), back, entry('retracted', {}, back.id)])).toEqual([])
  })
})

describe('the fingerprint of a sheet', () => {
  const [one, two] = [[opened()], [opened(), entry('note', { text: 'x', seenAndLeft: false })]]
  const of = (...journals: Entry[][]) => sheetHash(journals.map((entries) => ({ entries, isIssued: false })))
  it('of one visit is its journal’s', () => expect(of(one)).toBe(journalHash(one)))
  it('of several changes with each of them and with their order', () => {
    const more = [...two, entry('note', { text: 'y', seenAndLeft: false })]
    expect(new Set([of(one, two), of(two, one), of(one, more), of(one), of(two)]).size).toBe(5)
    expect(of(one, two)).toMatch(/^[0-9a-f]{64}$/)
  })
})
