import PQueue from 'p-queue'
import { isDeepStrictEqual } from 'node:util'
import type { Entry } from '../../core/visit/entry'
import { liftEntry } from '../../core/visit/lift'
import { InputError, type FieldProblem } from '../../core/validation/input-error'
import { OF_SERVER } from '../../core/people/roles'
import { asKept, withVisits, type Forgotten } from '../../core/visit/forgotten'
import { attachedIn, attachedTo } from '../../core/visit/attached'
import { ofKind } from '../../core/visit/of-kind'
import type { Left } from '../database/forgetting'
import type { Repository } from '../database/repository'
import type { JournalFile, JournalMark } from './journal-file'
import { keptText } from './kept-text'
import { registerProblems, unknownInRegister } from './register-fit'

/** The same id came with another content: somebody else's entry, or a changed one. */
export class EntryConflict extends InputError {}

export interface Appended {
  accepted: string[]
  known: string[]
}

/** Pictures that come with the entries: known by hash, and kept only if the entries are. */
export interface ComingPictures {
  hashes: ReadonlySet<string>
  /** @param wanted those that the lines speak of, as they are kept */
  keep: (wanted: ReadonlySet<string>) => Promise<void>
  dropFresh: () => Promise<void>
}

/** Where pictures are, as far as a journal asks. */
export interface KnownPictures {
  has: (hash: string) => Promise<boolean>
  forget: (hashes: readonly string[]) => Promise<void>
}
const NO_PICTURES: KnownPictures = { has: async () => false, forget: async () => undefined }

/** What hung on lines that were removed and is still to be dropped where it is kept. */
export const LEFT = 'forgetting-left'
const merged = (one: Left = { pictures: [], mails: [] }, other: Left): Left => ({
  pictures: [...new Set([...one.pictures, ...other.pictures])],
  mails: [...new Set([...one.mails, ...other.mails])],
})
/** How far the journal file is taken in, as the database remembers it. */
export const CHECKPOINT = 'journal-checkpoint'

/**
 * The only writer. Every append is checked against what is there, put into the database's transaction, written to the
 * journal file and
 * flushed, and only then made valid and acknowledged; one append at a time. What the database refuses never reaches the
 * file, and what
 * it refuses at the very end is cut back from it before the answer.
 */
export class Journal {
  private readonly queue = new PQueue({ concurrency: 1 })
  private counted = 0

  constructor(
    private readonly repository: Repository,
    private readonly file: JournalFile | undefined,
    private readonly pictures: KnownPictures = NO_PICTURES,
  ) {}

  /**
   * How many lines have arrived, as far as this server knows: those that were refused on their way may be counted among
   * them.
   */
  get count(): number {
    return this.counted
  }

  /** Told once at opening. */
  countFrom(entries: number): void {
    this.counted = entries
  }

  /**
   * Appends entries. All or none.
   *
   * @returns which were new and which were known already (appending twice is harmless)
   * @throws InputError when one does not fit the journal, EntryConflict when an id is taken by another content
   */
  append(entries: readonly Entry[], pictures?: ComingPictures): Promise<Appended> {
    return this.queue.add(() => this.appendNow(entries, pictures))
  }

  /**
   * Takes everything of customers out of every line, where the journal says, or these lines say, that their data were
   * removed; done again it changes nothing more. Their pictures and mails are left to whoever keeps those.
   *
   * @param lines what is written of it, by the server itself
   * @returns what hung on those lines alone
   */
  forget(lines: readonly Entry[] = []): Promise<Left> {
    return this.queue.add(async () => {
      const left = await this.written(async (repository) => {
        await repository.insert(lines)
        const removed = await repository.removeForgotten(await repository.allForgotten())
        await repository.setMeta(LEFT, merged(await repository.meta<Left>(LEFT), removed))
        return { fresh: lines, said: removed }
      })
      const forgotten = await this.repository.allForgotten()
      if (this.file && (await this.file.rewrite((line) => keptText(line, forgotten))) > 0)
        await this.repository.setMeta(CHECKPOINT, await this.file.mark())
      return left
    })
  }

  private async appendNow(sent: readonly Entry[], pictures?: ComingPictures): Promise<Appended> {
    try {
      const { entries, appended } = await this.written(async (repository) => {
        const forgotten = await this.forgottenAmong(repository, sent)
        const kept = sent.map((entry) => asKept(entry, forgotten))
        const { fresh, known } = await this.insertFitting(repository, kept, pictures)
        return { fresh, said: { entries: kept, appended: { accepted: fresh.map(({ id }) => id), known } } }
      })
      const spokenOf = new Set(attachedIn(entries))
      const gone = attachedIn(sent).filter((hash) => !spokenOf.has(hash))
      if (gone.length > 0) await this.pictures.forget(await this.repository.picturesOfNobody(gone))
      return appended
    } catch (error) {
      await pictures?.dropFresh()
      throw error
    }
  }

  /** Whose data were removed, with the visits of these lines that are at theirs: a device may not have heard of it. */
  private async forgottenAmong(repository: Repository, sent: readonly Entry[]): Promise<Forgotten> {
    const { forgotten } = await repository.forgotten()
    if (forgotten.customers.size === 0) return forgotten
    const open = await repository.openedVisits([...new Set(sent.flatMap(({ visitId }) => visitId ?? []))])
    const theirs = [
      ...[...open].map(([id, { customerId }]) => ({ id, customerId })),
      ...ofKind(sent, 'visit-opened').map(({ visitId, body }) => ({
        id: visitId as string,
        customerId: body.customer.id,
      })),
    ].filter(({ customerId }) => forgotten.customers.has(customerId))
    return withVisits(
      forgotten,
      theirs.map(({ id }) => id),
    )
  }

  private async insertFitting(
    repository: Repository,
    entries: readonly Entry[],
    pictures: ComingPictures | undefined,
  ): Promise<{ fresh: Entry[]; known: string[] }> {
    const named = entries.flatMap(({ id, supersedes, settles = [] }) => [
      id,
      ...(supersedes ? [supersedes] : []),
      ...settles,
    ])
    const stored = await repository.entriesById([...new Set(named)])
    const { fresh, known } = sorted(entries, stored)
    await this.checkFit(repository, entries, fresh, stored, pictures?.hashes)
    await repository.insert(fresh)
    await pictures?.keep(new Set(attachedIn(entries)))
    return { fresh, known }
  }

  /** Writes in one transaction and at the file's end; what either refuses is in neither. */
  private async written<T>(
    write: (repository: Repository) => Promise<{ fresh: readonly Entry[]; said: T }>,
  ): Promise<T> {
    const before = this.file?.position
    let mark: JournalMark | undefined
    try {
      const { fresh, said } = await this.repository.transaction(async (repository) => {
        await repository.holdAppends()
        const done = await write(repository)
        if (done.fresh.length === 0) return done
        await repository.tellArrival()
        mark = await this.file?.append(done.fresh)
        if (mark) await repository.setMeta(CHECKPOINT, mark)
        return done
      })
      this.counted += fresh.length
      return said
    } catch (error) {
      // The database took it all back at the end: so does the file, before anybody is told.
      if (mark && before) await this.file?.cutBackTo(before)
      throw error
    }
  }

  /** The rules between an entry and the journal it joins. */
  private async checkFit(
    repository: Repository,
    all: readonly Entry[],
    accepted: readonly Entry[],
    stored: ReadonlyMap<string, Entry>,
    coming?: ReadonlySet<string>,
  ): Promise<void> {
    const problems: FieldProblem[] = []
    const open = await repository.openedVisits([...new Set(accepted.flatMap(({ visitId }) => visitId ?? []))])
    const inBatch = new Map(all.map((entry) => [entry.id, entry]))
    const unknown = await unknownInRegister(repository, accepted, all)
    const places = new Map(all.map((entry, index) => [entry.id, index]))
    const files = await repository.filesAmong(attachedIn(accepted))
    for (const entry of accepted) {
      const at = (field: string) => `entries.${places.get(entry.id)}.${field}`
      if (OF_SERVER.has(entry.kind))
        problems.push({ field: at('kind'), value: entry.kind, expected: 'a kind of line that is sent' })
      problems.push(...visitProblems(entry, open, at), ...registerProblems(entry, unknown, at))
      for (const [field, id] of targetsOf(entry))
        problems.push(...supersedingProblems(entry, id, stored.get(id) ?? inBatch.get(id), at(field)))
      const hash = attachedTo(entry)
      if (hash && !files.has(hash) && !coming?.has(hash) && !(await this.pictures.has(hash)))
        problems.push({
          field: at('body.hash'),
          value: hash,
          expected: 'the hash of a picture or a recording that has been sent to /api/photos',
        })
    }
    if (problems.length > 0) throw new InputError(problems)
  }
}

/** New entries and those that are there already. */
function sorted(entries: readonly Entry[], stored: ReadonlyMap<string, Entry>): { fresh: Entry[]; known: string[] } {
  const fresh = new Map<string, Entry>()
  const known: string[] = []
  entries.forEach((entry, index) => {
    const twin = stored.get(entry.id) ?? fresh.get(entry.id)
    if (twin && !sameEntry(twin, entry))
      throw new EntryConflict([
        {
          field: `entries.${index}.id`,
          value: entry.id,
          expected: 'a new id: another entry with this id is in the journal',
        },
      ])
    if (twin) known.push(entry.id)
    else fresh.set(entry.id, entry)
  })
  return { fresh: [...fresh.values()], known }
}

/**
 * Do two entries of one id say the same? Version and provenance are how they came here; the logical time counts where
 * both have one.
 */
export function sameEntry(a: Entry, b: Entry): boolean {
  const said = (entry: Entry, withTime: boolean) => {
    const { v: _v, imported: _imported, lamport, ...rest } = liftEntry(entry) as Entry
    return withTime ? { ...rest, lamport } : rest
  }
  const timed = a.lamport !== undefined && b.lamport !== undefined
  return isDeepStrictEqual(said(a, timed), said(b, timed))
}

/** Whose visit it is, opened once, and of one machine. Visits that this batch opens are added to `open`. */
function visitProblems(
  entry: Entry,
  open: Map<string, { customerId: string; machineId: string }>,
  at: (field: string) => string,
): FieldProblem[] {
  const { visitId } = entry
  if (visitId === null) return []
  const visit = open.get(visitId)
  if (entry.kind === 'visit-opened') {
    open.set(visitId, { customerId: entry.body.customer.id, machineId: entry.body.machine.id })
    return visit && !entry.supersedes
      ? [{ field: at('visitId'), value: visitId, expected: 'a visit is opened once; correct it with supersedes' }]
      : []
  }
  if (!visit) return [{ field: at('visitId'), value: visitId, expected: 'the id of a visit that has been opened' }]
  if (entry.kind !== 'machine-set') return []
  const { id, customerId } = entry.body.machine
  return [
    ...(id === visit.machineId
      ? []
      : [{ field: at('body.machine.id'), value: id, expected: `${visit.machineId}, the machine of this visit` }]),
    ...(customerId === visit.customerId
      ? []
      : [
          {
            field: at('body.machine.customerId'),
            value: customerId,
            expected: `${visit.customerId}, the customer of this visit`,
          },
        ]),
  ]
}

function targetsOf({ supersedes, settles = [] }: Entry): [field: string, id: string][] {
  return [
    ...(supersedes ? [['supersedes', supersedes] as [string, string]] : []),
    ...settles.map((id, index): [string, string] => [`settles.${index}`, id]),
  ]
}

function supersedingProblems(entry: Entry, id: string, target: Entry | undefined, field: string): FieldProblem[] {
  if (!target || target.visitId !== entry.visitId)
    return [{ field, value: id, expected: 'the id of an entry of the same visit' }]
  if (entry.kind === 'retracted' && target.kind === 'visit-opened')
    return [{ field, value: id, expected: 'the entry that opens the visit cannot be taken back, only corrected' }]
  const settlesRetraction = field.includes('settles') && target.kind === 'retracted'
  if (OF_SERVER.has(target.kind))
    return [{ field, value: id, expected: 'a line that can be taken back: this one says what was removed' }]
  if (entry.kind !== 'retracted' && target.kind !== entry.kind && !settlesRetraction)
    return [{ field, value: id, expected: `an entry of the same kind, ${entry.kind}` }]
  return []
}
