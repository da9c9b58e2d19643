import type { Entry } from '../../core/visit/entry'
import { asKept, forgottenIn, NOBODY, type Forgotten } from '../../core/visit/forgotten'
import type { BulkLoad } from '../database/bulk-load'
import type { Repository } from '../database/repository'
import { PROJECTION_VERSION } from '../database/projection'
import { CHECKPOINT, sameEntry } from './journal'
import type { JournalChunk, JournalFile, JournalMark } from './journal-file'
import { readLines, type EntryLine, type ReadLines, type SetAside } from './journal-lines'
import type { RejectedFile } from './rejected-file'
import { workedAhead } from './worked-ahead'

/** Which version of the lists stands in the database; `BUILDING` while they are being built. */
const PROJECTED = 'projected'
const BUILDING = 0
/** Chunks that are read and checked elsewhere while one is put into the database. */
const CHUNKS_AHEAD = 6
const ROWS_AT_ONCE = 5_000

/** How far the opening of the shop has come. */
export interface OpeningProgress {
  doing: 'journal' | 'lists'
  done: number
  of: number
}
type Tell = (progress: OpeningProgress) => void

/** What comparing the journal file and the database came to: lines the database lacked, and lines the file lacked. */
export interface Reconciled {
  takenIn: number
  filled: number
  whole: boolean
}

export interface Sides {
  file: JournalFile
  rejected: RejectedFile
  repository: Repository
  bulkLoad?: BulkLoad
  read: (bytes: Uint8Array) => Promise<ReadLines>
}

/**
 * Compares the journal file with the database and fills the shorter one from the other.
 *
 * Where the database remembers how far it had taken the file in, and the file is still the one it remembers, only what
 * came since is
 * read. Otherwise the whole file is read: the database gets what it lacks, the file what it lacks, and a line that is
 * no entry, fits
 * nothing, or says something else than the database under the same id, is set aside with its number and reason.
 */
export async function reconcile(sides: Sides, tell: Tell = () => undefined): Promise<Reconciled> {
  const { file, repository } = sides
  const mark = await repository.meta<JournalMark>(CHECKPOINT)
  const known =
    mark !== undefined &&
    (await file.holds(mark)) &&
    (file.position.bytes > mark.bytes || (await file.writtenAt()) === mark.writtenAt)
  // What the lists know is what lines further on are checked against, so they are whole first.
  await buildLists(repository, tell)
  const reading = new Reading(sides, tell, known ? mark : undefined, known ? 0 : await repository.count())
  const { touched, ...reconciled } = await reading.run()
  if (reconciled.takenIn > 0) await project(repository, [...touched], tell)
  return reconciled
}

/** Builds the lists anew where they are of an older version, or where building them was interrupted. */
export async function buildLists(repository: Repository, tell: Tell = () => undefined): Promise<void> {
  if ((await repository.meta<number>(PROJECTED)) === PROJECTION_VERSION) return
  await project(repository, await repository.visitIdsWithEntries(), tell)
}

async function project(repository: Repository, visitIds: readonly string[], tell: Tell): Promise<void> {
  for (let done = 0; done < visitIds.length; done += 1_000) {
    tell({ doing: 'lists', done, of: visitIds.length })
    await repository.projectVisits(visitIds.slice(done, done + 1_000))
  }
  await repository.projectRegister()
  await repository.setMeta(PROJECTED, PROJECTION_VERSION)
}

/** One reading of the journal file, from a mark or from its beginning. */
class Reading {
  private lines: number
  private takenIn = 0
  private readonly touched = new Set<string>()
  private readonly seen: Set<string> | undefined
  private forgotten: Forgotten = NOBODY
  private things: Awaited<ReturnType<Repository['knownThings']>> = { visits: new Set(), customers: new Set() }

  /** @param inDatabase entries that the database has, where the whole file is read */
  constructor(
    private readonly sides: Sides,
    private readonly tell: Tell,
    private readonly from: JournalMark | undefined,
    inDatabase: number,
  ) {
    this.lines = from?.lines ?? 0
    this.seen = inDatabase > 0 ? new Set() : undefined
  }

  async run(): Promise<Reconciled & { touched: ReadonlySet<string> }> {
    const { file, rejected, repository } = this.sides
    if (this.from === undefined) await rejected.replace([])
    if (file.position.bytes > (this.from?.bytes ?? 0)) {
      this.things = await repository.knownThings()
      this.forgotten = await this.whoWasForgotten()
      await this.readOn()
    }
    file.startAt(this.lines)
    const filled = this.seen ? await this.fillFile(this.seen) : 0
    await repository.setMeta(CHECKPOINT, await file.mark())
    return { takenIn: this.takenIn, filled, whole: this.from === undefined, touched: this.touched }
  }

  /** By either side: lines of these may be whole on one and not on the other, and are the same line all the same. */
  private async whoWasForgotten(): Promise<Forgotten> {
    const { file, repository } = this.sides
    const inDatabase = (await repository.forgotten()).forgotten
    // Where the database is empty there is nothing that a line could be held against.
    if (this.from || !this.seen) return inDatabase
    const said: Entry[] = []
    for await (const { bytes } of file.chunks()) {
      if (!bytes.includes('"customer-forgotten"')) continue
      const lines = bytes
        .toString('utf8')
        .split('\n')
        .filter((line) => line.includes('"customer-forgotten"'))
      said.push(
        ...lines.flatMap((line) => readLines(Buffer.from(line)).entries.map(({ json }) => JSON.parse(json) as Entry)),
      )
    }
    const inFile = forgottenIn(said)
    const both = (of: keyof Forgotten) => new Set([...inDatabase[of], ...inFile[of]])
    return { customers: both('customers'), machines: both('machines'), visits: both('visits') }
  }

  /** Chunks are checked elsewhere, a few ahead, and taken in here in their order. */
  private async readOn(): Promise<void> {
    const { file, read } = this.sides
    const checked = async ({ bytes, end }: JournalChunk) => ({ lines: await read(bytes), end })
    for await (const { lines, end } of workedAhead(file.chunks(this.from?.bytes), CHUNKS_AHEAD, checked)) {
      await this.takeIn(lines, end)
      this.tell({ doing: 'journal', done: end, of: file.position.bytes })
    }
  }

  private async takeIn({ lines, entries, setAside }: ReadLines, end: number): Promise<void> {
    const { repository, rejected, file } = this.sides
    const aside = [...setAside]
    const fitting = entries.filter((entry) => {
      const reason = this.misfit(entry)
      if (reason) aside.push({ line: entry.line, reason, text: entry.json })
      this.seen?.add(entry.id)
      return !reason
    })
    const mark: JournalMark = { ...(await file.markAt(end)), lines: this.lines + lines }
    const fresh = await this.put(fitting, mark)
    if (fresh < fitting.length) aside.push(...(await differing(repository, fitting, this.forgotten)))
    if (fresh > 0) for (const { visitId } of fitting) if (visitId) this.touched.add(visitId)
    this.takenIn += fresh
    await rejected.add(aside.sort((a, b) => a.line - b.line).map((each) => ({ ...each, line: this.lines + each.line })))
    this.lines += lines
  }

  /** Puts lines into the database and remembers how far they go. @returns how many of them were new */
  private async put(lines: readonly EntryLine[], mark: JournalMark): Promise<number> {
    const { repository, bulkLoad } = this.sides
    if (bulkLoad && lines.length > 0 && (await bulkLoad(lines, { [PROJECTED]: BUILDING, [CHECKPOINT]: mark })))
      return lines.length
    return repository.transaction(async (transaction) => {
      const fresh = await transaction.insertJson(lines.map(({ json }) => json))
      if (fresh > 0) await transaction.setMeta(PROJECTED, BUILDING)
      await transaction.setMeta(CHECKPOINT, mark)
      return fresh
    })
  }

  /** Why an entry belongs to nothing that the journal told of before it. */
  private misfit({ kind, visitId, customerId = '' }: EntryLine): string | undefined {
    const { visits, customers } = this.things
    if (kind === 'customer-set' || kind === 'visit-opened') customers.add(customerId)
    if (kind === 'visit-opened') visits.add(visitId as string)
    else if (visitId !== null && !visits.has(visitId)) return 'visitId: the id of a visit that was opened before it'
    if ((kind === 'machine-set' || kind === 'site-set') && !customers.has(customerId))
      return `body.${kind === 'site-set' ? 'site' : 'machine'}.customerId: the id of a customer that is known`
    return undefined
  }

  /** What the database has and the file lacks is written at the file's end, in order of arrival. */
  private async fillFile(seen: ReadonlySet<string>): Promise<number> {
    const { file, repository } = this.sides
    let filled = 0
    for (let after = 0; ;) {
      const rows = await repository.entriesAfter(after, ROWS_AT_ONCE)
      if (rows.length === 0) return filled
      const lacking = rows.filter(({ entry }) => !seen.has(entry.id)).map(({ entry }) => entry)
      await file.append(lacking)
      filled += lacking.length
      after = rows.at(-1)?.arrival as number
    }
  }
}

/** Lines that say something else than what is kept under their id: the database's own, or an earlier line's. */
async function differing(
  repository: Repository,
  lines: readonly EntryLine[],
  forgotten: Forgotten,
): Promise<SetAside[]> {
  const stored = await repository.entriesById(lines.map(({ id }) => id))
  const asTheyAreKept = (id: string, json: string) =>
    [stored.get(id) as Entry, JSON.parse(json) as Entry].map((entry) => asKept(entry, forgotten)) as [Entry, Entry]
  return lines
    .filter(({ id, json }) => !sameEntry(...asTheyAreKept(id, json)))
    .map(({ line, json }) => ({ line, reason: 'another content is kept under its id', text: json }))
}
