import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js'
import { canonicalText } from '../quantity/canonical-text'
import { compareEntries, type Entry } from './entry'
import { liveEntries } from './supersession'

/** What comes to a sheet once it is issued, and stands under it. */
const UNDER_IT: ReadonlySet<Entry['kind']> = new Set<Entry['kind']>(['signed', 'paid'])
/** What changes nothing on a sheet: whoever looks again, or keeps a stage, makes no new issue due. */
const SILENT: ReadonlySet<Entry['kind']> = new Set<Entry['kind']>([
  ...UNDER_IT,
  'joint-done',
  'loaded',
  'planned',
  'arranged',
  'mailed',
  'claim',
  'claim-moved',
])

/**
 * The journal of a visit as it was when its sheet was issued: what was written later is not on it.
 *
 * @param issue from 1; the newest where nothing is said
 * @returns undefined where there is no such issue
 */
export function journalAtIssue(entries: readonly Entry[], issue?: number): Entry[] | undefined {
  const issues = handOvers(entries)
  const last = issues[(issue ?? issues.length) - 1]
  return last && [...entries].filter((entry) => compareEntries(entry, last) <= 0).sort(compareEntries)
}

/**
 * The journal that the sheet of an issue is shown from: as it was issued, and what came under it since.
 *
 * @returns undefined where there is no such issue
 */
export function journalToShow(entries: readonly Entry[], issue: number): Entry[] | undefined {
  const issued = journalAtIssue(entries, issue)
  if (!issued) return undefined
  const known = new Set(issued.map(({ id }) => id))
  const under = new Set(
    liveEntries(entries).flatMap(({ id, kind }) => (UNDER_IT.has(kind) && !known.has(id) ? [id] : [])),
  )
  return [...issued, ...entries.filter(({ id }) => under.has(id))].sort(compareEntries)
}

/** Was something written, changed or taken back since a hand-over that its sheet does not say? */
export function isChangedSince(handedOver: Entry, entries: readonly Entry[]): boolean {
  const silent = new Set(entries.filter(({ kind }) => SILENT.has(kind)).map(({ id }) => id))
  return entries.some(
    (entry) =>
      compareEntries(entry, handedOver) > 0 &&
      !silent.has(entry.id) &&
      // What says nothing on the sheet says as little when it is taken back.
      !(entry.kind === 'retracted' && silent.has(entry.supersedes as string)),
  )
}

/** The lines that a sheet’s fingerprint is of: up to its hand-over while it stands as issued, else all of them. */
export function journalOfSheet(entries: readonly Entry[], isIssued: boolean): readonly Entry[] {
  return (isIssued ? journalAtIssue(entries) : undefined) ?? entries
}

/** The issues of a visit’s sheet, as they are asked for: “1”, “1 to 3”, nothing before it is handed over. */
export function issuesOf(entries: readonly Entry[]): string {
  const { length } = handOvers(entries)
  return length === 0 ? '' : length === 1 ? '1' : `1 to ${length}`
}

function handOvers(entries: readonly Entry[]): Entry[] {
  return liveEntries(entries).filter(({ kind }) => kind === 'handed-over')
}

/**
 * A journal’s fingerprint: the same lines have the same one on every machine, and one that was changed has another.
 *
 * @returns SHA-256 over the lines in their order, as lower-case hex
 * @source FIPS 180-4
 */
export function journalHash(entries: readonly Entry[]): string {
  const lines = [...entries]
    .sort(compareEntries)
    .map(({ id, kind, at, author, supersedes, body }) =>
      canonicalText([id, kind, at, author, supersedes ?? null, body]),
    )
  return bytesToHex(sha256(utf8ToBytes(lines.join('\n'))))
}

/** As much of a fingerprint as a person compares: “3f9a 07c4 b21e”. */
export function shortHash(hash: string): string {
  return hash.slice(0, 12).replace(/(.{4})(?=.)/g, '$1 ')
}
