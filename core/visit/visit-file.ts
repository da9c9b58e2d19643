import 'reflect-metadata'
import { Type } from 'class-transformer'
import { ArrayMaxSize, IsArray, IsIn, IsString, Matches, MaxLength, ValidateNested } from 'class-validator'
import { badField, InputError } from '../validation/input-error'
import { MayBeAbsent, Uuid } from '../validation/rules'
import { validated } from '../validation/validated'
import { compareEntries, ENTRY_VERSION, type Entry } from './entry'
import { validEntry } from './entry-rules'
import { foldVisit } from './fold'
import { liftEntry, liftJournal } from './lift'

/** Version 2 carries the order of its lines; version 1 has them in order. */
const VERSIONS = [1, 2] as const

/** The open format of a whole visit: `*.visit.json`, schema in docs/formats/visit.schema.json. */
export interface VisitFile {
  format: 'pike-lamp-visit'
  version: (typeof VERSIONS)[number]
  visitId: string
  entries: Entry[]
  /** Photos by content hash, base64, so that the file carries everything. */
  photos: { hash: string; type: string; base64: string }[]
}

/** A visit as a file. Where its lines were taken in from is this shop’s own business. */
export function toVisitFile(visitId: string, entries: readonly Entry[], photos: VisitFile['photos']): VisitFile {
  const lines = [...entries].sort(compareEntries).map(({ imported: _, ...entry }) => entry as Entry)
  return { format: 'pike-lamp-visit', version: 2, visitId, entries: lines, photos }
}

const MOST_ENTRIES = 20_000
const MOST_PHOTOS = 1_000

class PhotoInFile {
  @Matches(/^[0-9a-f]{64}$/, { message: 'hash must be a SHA-256 in lower-case hex' }) hash!: string
  @IsString() @MaxLength(40) type!: string
  @IsString() base64!: string
}
class FileInput {
  @IsIn(['pike-lamp-visit'], { message: 'format must be "pike-lamp-visit": this is not a visit file' })
  format!: 'pike-lamp-visit'
  @IsIn(VERSIONS, { message: `version must be ${VERSIONS.join(' or ')}: another Pike Lamp wrote this file` })
  version!: VisitFile['version']
  @Uuid() visitId!: string
  @IsArray() @ArrayMaxSize(MOST_ENTRIES) entries!: unknown[]
  @MayBeAbsent()
  @IsArray()
  @ArrayMaxSize(MOST_PHOTOS)
  @ValidateNested({ each: true })
  @Type(() => PhotoInFile)
  photos?: PhotoInFile[]
}

/**
 * Reads a visit file from outside: every entry is lifted to today's version and validated, all belong to the one visit,
 * and the
 * journal opens it.
 *
 * @returns the entries in their order, marked as taken in from a file
 * @throws InputError naming the field
 */
export function readVisitFile(plain: unknown): VisitFile {
  if (plain === null || typeof plain !== 'object' || (plain as Partial<VisitFile>).format !== 'pike-lamp-visit') {
    throw badField(
      'format',
      (plain as Partial<VisitFile> | null)?.format,
      '"pike-lamp-visit" is needed: this is not a visit file',
    )
  }
  const photo = ((plain as Partial<VisitFile>).photos as unknown[] | undefined)?.findIndex?.(
    (each) => each === null || typeof each !== 'object' || Array.isArray(each),
  )
  if (photo !== undefined && photo >= 0)
    throw badField(`photos.${photo}`, 'not an object', 'a picture: { hash, type, base64 }')
  const file = validated(FileInput, plain)
  // Only a file of version 1 can hold lines of before there were versions.
  const lines =
    file.version === 1
      ? file.entries
      : file.entries.map((line) => (line && typeof line === 'object' ? { v: ENTRY_VERSION, ...line } : line))
  const valid = liftJournal(lines.map((line, index) => validEntry(liftEntry(line), `entries.${index}`)))
  const stranger = valid.findIndex(({ visitId }) => visitId !== file.visitId)
  if (stranger >= 0)
    throw badField(
      `entries.${stranger}.visitId`,
      valid[stranger]?.visitId,
      `${file.visitId}: all entries of a file belong to one visit`,
    )
  const entries = valid.map((entry): Entry => ({ ...entry, imported: true }))
  if (!foldVisit(entries))
    throw new InputError([
      { field: 'entries', value: entries.length, expected: 'one of them must open the visit (kind visit-opened)' },
    ])
  return { format: file.format, version: file.version, visitId: file.visitId, entries, photos: file.photos ?? [] }
}
