import { isDeepStrictEqual } from 'node:util'
import type { Entry } from '../../core/visit/entry'
import { validEntry } from '../../core/visit/entry-rules'
import { InputError, type FieldProblem } from '../../core/validation/input-error'
import type { Repository } from '../database/repository'
import type { JournalFile } from './journal-file'

/** The same id came with another content: somebody else's entry, or a changed one. */
export class EntryConflict extends InputError {}

export interface Appended { accepted: string[]; known: string[] }

const REPLAY_BATCH = 2000

/**
 * The only writer. Every append is checked against what is there, written to the journal file and flushed, put into the database in one
 * transaction, and only then acknowledged; one append at a time.
 */
export class Journal {
  private queue: Promise<unknown> = Promise.resolve()

  constructor(private readonly repository: Repository, private readonly file: JournalFile | undefined) {}

  /** Puts the entries that the file has and the database lacks into the database: after a power loss, or an older copy put back. */
  async replay(): Promise<number> {
    if (!this.file) return 0
    let batch: unknown[] = []
    let read = 0
    let replayed = 0
    const take = async () => {
      replayed += await this.insertMissing(batch, read - batch.length)
      batch = []
    }
    for await (const line of this.file.read()) {
      batch.push(line)
      read++
      if (batch.length >= REPLAY_BATCH) await take()
    }
    await take()
    return replayed
  }

  /** Only what the database lacks is validated: the rest was, when it was accepted. */
  private async insertMissing(batch: readonly unknown[], offset: number): Promise<number> {
    const idOf = (line: unknown) => (line as { id?: unknown } | null)?.id
    const known = await this.repository.knownIds(batch.map(idOf).filter((id): id is string => typeof id === 'string' && /^[0-9a-f-]{36}$/.test(id)))
    const missing = batch.flatMap((line, index) => (known.has(String(idOf(line))) ? [] : [validEntry(line, `journal.${offset + index}`)]))
    await this.repository.insert(missing)
    return missing.length
  }

  /**
   * Appends entries. All or none.
   *
   * @returns which were new and which were known already (appending twice is harmless)
   * @throws InputError when one does not fit the journal, EntryConflict when an id is taken by another content
   */
  append(entries: readonly Entry[]): Promise<Appended> {
    const result = this.queue.then(() => this.appendNow(entries))
    this.queue = result.catch(() => undefined)
    return result
  }

  private async appendNow(entries: readonly Entry[]): Promise<Appended> {
    const stored = await this.repository.entriesById([...new Set(entries.flatMap(({ id, supersedes }) => (supersedes ? [id, supersedes] : [id])))])
    const fresh = new Map<string, Entry>()
    const known: string[] = []
    entries.forEach((entry, index) => {
      const twin = stored.get(entry.id) ?? fresh.get(entry.id)
      if (twin && !isDeepStrictEqual(twin, entry)) throw new EntryConflict([{ field: `entries.${index}.id`, value: entry.id, expected: 'a new id: another entry with this id is in the journal' }])
      if (twin) known.push(entry.id)
      else fresh.set(entry.id, entry)
    })
    const accepted = [...fresh.values()]
    await this.checkFit(entries, accepted, stored)
    await this.file?.append(accepted)
    await this.repository.insert(accepted)
    return { accepted: accepted.map(({ id }) => id), known }
  }

  /** The rules between an entry and the journal it joins. */
  private async checkFit(all: readonly Entry[], accepted: readonly Entry[], stored: ReadonlyMap<string, Entry>): Promise<void> {
    const problems: FieldProblem[] = []
    const visitIds = [...new Set(accepted.flatMap(({ visitId }) => visitId ?? []))]
    const open = await this.repository.visitIdsAmong(visitIds)
    const opening = new Set<string>()
    const inBatch = new Map(all.map((entry) => [entry.id, entry]))
    const photos = await this.repository.filesAmong(accepted.flatMap((entry) => (entry.kind === 'photo' ? [entry.body.hash] : [])))
    for (const entry of accepted) {
      const at = (field: string) => `entries.${all.findIndex(({ id }) => id === entry.id)}.${field}`
      if (entry.kind === 'visit-opened') {
        if (!entry.supersedes && (open.has(entry.visitId as string) || opening.has(entry.visitId as string))) problems.push({ field: at('visitId'), value: entry.visitId, expected: 'a visit is opened once; correct it with supersedes' })
        if (entry.body.machine.customerId !== entry.body.customer.id) problems.push({ field: at('body.machine.customerId'), value: entry.body.machine.customerId, expected: `${entry.body.customer.id}, the customer of this entry` })
        opening.add(entry.visitId as string)
      } else if (entry.visitId !== null && !open.has(entry.visitId) && !opening.has(entry.visitId)) {
        problems.push({ field: at('visitId'), value: entry.visitId, expected: 'the id of a visit that has been opened' })
      }
      if (entry.supersedes) problems.push(...supersedingProblems(entry, stored.get(entry.supersedes) ?? inBatch.get(entry.supersedes), at('supersedes')))
      if (entry.kind === 'photo' && !photos.has(entry.body.hash)) problems.push({ field: at('body.hash'), value: entry.body.hash, expected: 'the hash of a picture that has been sent to /api/photos' })
    }
    if (problems.length > 0) throw new InputError(problems)
  }
}

function supersedingProblems(entry: Entry, target: Entry | undefined, field: string): FieldProblem[] {
  if (!target || target.visitId !== entry.visitId) return [{ field, value: entry.supersedes, expected: 'the id of an entry of the same visit' }]
  if (entry.kind === 'retracted' && target.kind === 'visit-opened') return [{ field, value: entry.supersedes, expected: 'the entry that opens the visit cannot be taken back, only corrected' }]
  if (entry.kind !== 'retracted' && target.kind !== entry.kind) return [{ field, value: entry.supersedes, expected: `an entry of the same kind, ${entry.kind}` }]
  return []
}
