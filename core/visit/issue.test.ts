import { describe, expect, it } from 'vitest'
import type { Entry } from './entry'
import { issuesOf, journalAtIssue, journalHash, journalOfSheet, journalToShow, shortHash } from './issue'
import { entry, fold, opened, reading } from './test-journal'

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
  it('stands as issued until something is written or taken back that it would say', () => {
    const issued = (entries: Entry[]) => fold(entries).isIssued
    expect([2, 3, 4, 5, 6].map((lines) => issued(journal.slice(0, lines)))).toEqual([false, true, true, false, true])
    const back = { ...entry('retracted', {}, journal[1]?.id), lamport: 9 } as Entry
    expect(issued([...journal.slice(0, 4), back])).toBe(false)
  })
  it('stays as issued when it is signed, mailed or paid; an older one is shown with what came under it', () => {
    const signed = {
      ...entry('signed', { by: 'N. Harrow', hash: 'a'.repeat(64), width: 9, height: 9, strokes: [[1, 1]] }),
      lamport: 7,
    }
    const mailed = {
      ...entry('mailed', { paper: 'sheet', to: 'a@b.example', mail: first.id, by: 'folder' }),
      lamport: 8,
    }
    const back = { ...entry('retracted', {}, signed.id), lamport: 9 } as Entry
    const all = [...journal, signed, mailed] as Entry[]
    expect(fold(all).isIssued).toBe(true)
    expect(fold([...all, back]).isIssued).toBe(true)
    expect(journalToShow(all, 1)?.map(({ kind }) => kind)).toEqual(['visit-opened', 'finding', 'handed-over', 'signed'])
    expect(journalToShow([...all, back], 1)).toHaveLength(3)
    expect(journalToShow(all, 3)).toBeUndefined()
    // The fingerprint is that of the issue, whatever came under it.
    expect(journalHash(journalOfSheet(all, true))).toBe(journalHash(journal))
  })
  it('has the fingerprint of its issue while it stands, and of all lines once it does not', () => {
    expect(journalOfSheet(journal.slice(0, 4), true)).toHaveLength(3)
    expect(journalOfSheet(journal.slice(0, 5), false)).toHaveLength(5)
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
