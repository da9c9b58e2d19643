import { describe, expect, it } from 'vitest'
import type { Entry } from './entry'
import { isChangedSinceIssue, issuesOf, journalAtIssue, journalHash, shortHash } from './issue'
import { entry, opened, reading } from './test-journal'

const ordered = (entries: Entry[]) => entries.map((each, index) => ({ ...each, lamport: index + 1 }) as Entry)
const first = opened()
const journal = ordered([
  first,
  reading('supply-voltage', 231),
  entry('handed-over', { watch: 'one' }),
  entry('joint-done', { joint: 'hand-over' }),
  entry('note', { text: 'the foot too', seenAndLeft: true }),
  entry('handed-over', { watch: 'two' }),
])

describe('issues of a sheet', () => {
  it('each hand-over makes one; an older one is the journal up to it', () => {
    expect(issuesOf(journal)).toBe('1 to 2')
    expect(journalAtIssue(journal, 1)?.map(({ kind }) => kind)).toEqual(['visit-opened', 'finding', 'handed-over'])
    expect(journalAtIssue(journal)).toHaveLength(6)
    expect(journalAtIssue(journal, 3)).toBeUndefined()
    expect([issuesOf([first]), journalAtIssue([first])]).toEqual(['', undefined])
  })
  it('is changed by what is written afterwards, not by a stage that is closed', () => {
    expect([3, 4, 5, 6].map((lines) => isChangedSinceIssue(journal.slice(0, lines)))).toEqual([
      false,
      false,
      true,
      false,
    ])
  })
})

describe('a journal’s fingerprint', () => {
  it('is that of FIPS 180-4, the same for the same lines in whatever order they and their fields come', () => {
    expect(journalHash([])).toBe('e3b0c44298fc1c149afbf4c8996fb92427ae41e4649b934ca495991b7852b855')
    const turned = journal.map(
      (line) => ({ ...line, body: Object.fromEntries(Object.entries(line.body).reverse()) }) as Entry,
    )
    expect(journalHash(turned.reverse())).toBe(journalHash(journal))
  })
  it('is another when a figure, a time or a writer is another', () => {
    const [, line] = journal as [Entry, Entry]
    for (const changed of [{ body: { ...line.body, value: 232 } }, { at: '2026-05-12T00:00:00.000Z' }, { author: 'X' }])
      expect(journalHash([first, { ...line, ...changed } as Entry])).not.toBe(journalHash([first, line]))
  })
  it('is compared by its first twelve figures', () => expect(shortHash('3f9a07c4b21e77')).toBe('3f9a 07c4 b21e'))
})
