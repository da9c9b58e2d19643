import { InputError } from '../validation/input-error'
import type { Entry } from './entry'
import { compareEntries } from './entry'
import { validEntry } from './entry-rules'
import { foldVisit } from './fold'

/** The open format of a whole visit: `*.visit.json`, schema in docs/formats/visit.schema.json. */
export interface VisitFile {
  format: 'pike-lamp-visit'
  version: 1
  visitId: string
  entries: Entry[]
  /** Photos by content hash, base64, so that the file carries everything. */
  photos: { hash: string; type: string; base64: string }[]
}

/** A visit as a file. */
export function toVisitFile(visitId: string, entries: readonly Entry[], photos: VisitFile['photos']): VisitFile {
  return { format: 'pike-lamp-visit', version: 1, visitId, entries: [...entries].sort(compareEntries), photos }
}

const MOST_ENTRIES = 20_000

/**
 * Reads a visit file from outside: every entry is validated, all belong to the one visit, and the journal opens it.
 *
 * @throws InputError naming the field
 */
export function readVisitFile(plain: unknown): VisitFile {
  const file = plain as Partial<VisitFile> | null
  const bad = (field: string, value: unknown, expected: string) => new InputError([{ field, value, expected }])
  if (file === null || typeof file !== 'object' || file.format !== 'pike-lamp-visit') throw bad('format', file === null || typeof file !== 'object' ? file : file.format, '"pike-lamp-visit" is needed: this is not a visit file')
  if (file.version !== 1) throw bad('version', file.version, '1 is the only version there is')
  if (!Array.isArray(file.entries)) throw bad('entries', file.entries, 'a list of entries is needed')
  if (file.entries.length > MOST_ENTRIES) throw bad('entries', file.entries.length, `at most ${MOST_ENTRIES} entries`)
  const entries = file.entries.map((entry, index) => validEntry(entry, `entries.${index}`))
  const stranger = entries.findIndex(({ visitId }) => visitId !== file.visitId)
  if (stranger >= 0) throw bad(`entries.${stranger}.visitId`, entries[stranger]?.visitId, `${file.visitId}: all entries of a file belong to one visit`)
  if (!foldVisit(entries)) throw bad('entries', entries.length, 'one of them must open the visit (kind visit-opened)')
  const photos = (file.photos ?? []).map((photo, index) => {
    const { hash, type, base64 } = photo as Partial<VisitFile['photos'][number]>
    if (typeof hash !== 'string' || !/^[0-9a-f]{64}$/.test(hash)) throw bad(`photos.${index}.hash`, hash, 'a SHA-256 in lower-case hex')
    if (typeof base64 !== 'string') throw bad(`photos.${index}.base64`, base64, 'the picture in base64')
    return { hash, type: String(type), base64 }
  })
  return { format: 'pike-lamp-visit', version: 1, visitId: file.visitId as string, entries, photos }
}
