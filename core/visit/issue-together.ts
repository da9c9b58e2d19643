import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js'
import type { Entry } from './entry'
import { journalHash, journalOfSheet } from './issue'
import { ofKind } from './of-kind'
import { liveEntries } from './supersession'

/** Which issue of each visit a sheet is written from, by the visit's id. */
export type IssueOf = ReadonlyMap<string, number>

/**
 * The issues of the one sheet of a journey, oldest first. Each hand-over of one of its visits makes one, once all that
 * it knew beside it and that are still of the journey were handed over; of a single visit each hand-over is an issue.
 *
 * @param journals of the visits of the journey, by their ids
 */
export function issuesTogether(journals: ReadonlyMap<string, readonly Entry[]>): IssueOf[] {
  const issues = [...journals].flatMap(([id, entries]) =>
    ofKind(liveEntries(entries), 'handed-over').flatMap(({ body: { beside = [] } }, index): Map<string, number>[] =>
      beside.every(({ visit, issue }) => issue > 0 || !journals.has(visit))
        ? [new Map([[id, index + 1], ...beside.map(({ visit, issue }): [string, number] => [visit, issue])])]
        : [],
    ),
  )
  // Whatever knew of more hand-overs was written after what knew of fewer, whatever the clocks said.
  const known = (issue: IssueOf) => [...issue.values()].reduce((sum, each) => sum + each, 0)
  return issues.toSorted((a, b) => known(a) - known(b))
}

/**
 * The fingerprint of a sheet: that of its journal, and of several that of all of theirs together.
 *
 * @param visits in the order of the sheet
 * @returns SHA-256 as lower-case hex
 * @source FIPS 180-4
 */
export function sheetHash(visits: readonly { entries: readonly Entry[]; isIssued: boolean }[]): string {
  const hashes = visits.map(({ entries, isIssued }) => journalHash(journalOfSheet(entries, isIssued)))
  return hashes.length === 1 ? (hashes[0] as string) : bytesToHex(sha256(utf8ToBytes(hashes.join('\n'))))
}
