import { createHash } from 'node:crypto'
import { open, rename, rm, type FileHandle } from 'node:fs/promises'
import { dirname, join } from 'node:path'
import type { Entry } from '../../core/visit/entry'
import { flush } from './whole-file'

export const JOURNAL_NAME = 'journal.jsonl'
const NEWLINE = 0x0a
/** What is read at once: some thousand lines. */
const CHUNK_BYTES = 512 * 1024
/** Enough lines, each with a UUID of its own, that no other journal ends in the same bytes. */
const SEALED_BYTES = 4096

/**
 * A place in the file up to which it is known: how long, how many lines, its last bytes sealed, and when it was last
 * written.
 */
export interface JournalMark {
  bytes: number
  lines: number
  seal: string
  writtenAt: string
}

/** Whole lines of the file as they lie on the disk. */
export interface JournalChunk {
  bytes: Buffer
  end: number
}

/**
 * The journal file: one entry a line, flushed to the disk before anything is acknowledged. The embedded database never
 * syncs; this does.
 * It is also the simplest backup and an open format. Lines are only ever added at its end, but where a customer's data
 * are removed: then it is written anew.
 */
export class JournalFile {
  private lines = 0

  private constructor(
    private handle: FileHandle,
    readonly path: string,
    private size: number,
  ) {}

  /**
   * Opens the file. A last line that a crash tore was never acknowledged and is cut off; one that lacks only its line
   * end gets it.
   */
  static async open(dataDir: string): Promise<JournalFile> {
    const path = join(dataDir, JOURNAL_NAME)
    const handle = await open(path, 'a+')
    await mendTornLine(handle)
    await handle.sync()
    await flush(dirname(path))
    return new JournalFile(handle, path, (await handle.stat()).size)
  }

  get position(): Pick<JournalMark, 'bytes' | 'lines'> {
    return { bytes: this.size, lines: this.lines }
  }

  /** Told once the lines are counted: the file itself does not count them at opening. */
  startAt(lines: number): void {
    this.lines = lines
  }

  /** Appends entries and waits until the disk has them. A refusal leaves the file as it was. */
  async append(entries: readonly Entry[]): Promise<JournalMark> {
    if (entries.length === 0) return this.mark()
    const text = Buffer.from(`${entries.map((entry) => JSON.stringify(entry)).join('\n')}\n`)
    const before = this.position
    try {
      await this.handle.appendFile(text)
      await this.handle.datasync()
    } catch (error) {
      // A full disk must not leave half a line under the next entry.
      await this.cutBackTo(before).catch(() => undefined)
      throw error
    }
    this.size += text.length
    this.lines += entries.length
    return this.mark()
  }

  /** Takes off again what was appended and not accepted after all. */
  async cutBackTo({ bytes, lines }: Pick<JournalMark, 'bytes' | 'lines'>): Promise<void> {
    await this.handle.truncate(bytes)
    await this.handle.datasync()
    this.size = bytes
    this.lines = lines
  }

  /** Where the file ends now. */
  async mark(): Promise<JournalMark> {
    return { ...(await this.markAt(this.size)), lines: this.lines }
  }

  /** A place between two lines. */
  async markAt(bytes: number): Promise<Omit<JournalMark, 'lines'>> {
    return { bytes, seal: await this.sealAt(bytes), writtenAt: await this.writtenAt() }
  }

  /** Is the file, up to a mark, still what it was when the mark was made? By its last bytes there. */
  async holds(mark: Pick<JournalMark, 'bytes' | 'seal'>): Promise<boolean> {
    return mark.bytes <= this.size && (await this.sealAt(mark.bytes)) === mark.seal
  }

  /** When the file was last written, in nanoseconds, as text. */
  async writtenAt(): Promise<string> {
    return String((await this.handle.stat({ bigint: true })).mtimeNs)
  }

  /** Whole lines from an offset on, some thousand at a time. */
  async *chunks(from = 0): AsyncGenerator<JournalChunk> {
    let at = from
    let room = CHUNK_BYTES
    while (at < this.size) {
      const buffer = Buffer.alloc(Math.min(room, this.size - at))
      const { bytesRead } = await this.handle.read(buffer, 0, buffer.length, at)
      if (bytesRead === 0) return
      const whole = buffer.subarray(0, bytesRead).lastIndexOf(NEWLINE) + 1
      // A line longer than the room: read again with more.
      if (whole === 0 && at + bytesRead < this.size) {
        room *= 2
        continue
      }
      const taken = whole || bytesRead
      at += taken
      room = CHUNK_BYTES
      yield { bytes: buffer.subarray(0, taken), end: at }
    }
  }

  /**
   * Writes the file anew with some of its lines changed: whole and on the disk beside its place first, then put there.
   * Nothing may be appended meanwhile. A refusal leaves the file as it was.
   *
   * @param change a line as text without its end; the same one where it stays
   * @returns how many lines were changed
   */
  async rewrite(change: (line: string) => string): Promise<number> {
    const beside = `${this.path}.anew`
    let changed = 0
    let size = 0
    try {
      const fresh = await open(beside, 'w')
      try {
        for await (const { bytes } of this.chunks()) {
          // Byte by byte: a line that stays is written as it lies there, whatever it is.
          const lines = bytes
            .toString('latin1')
            .split('\n')
            .map((raw) => {
              const line = Buffer.from(raw, 'latin1').toString('utf8')
              const written = change(line)
              if (written === line) return raw
              changed++
              return Buffer.from(written).toString('latin1')
            })
          const written = Buffer.from(lines.join('\n'), 'latin1')
          await fresh.appendFile(written)
          size += written.length
        }
        await fresh.sync()
      } finally {
        await fresh.close()
      }
      if (changed > 0) await rename(beside, this.path)
    } finally {
      await rm(beside, { force: true })
    }
    if (changed === 0) return 0
    await flush(dirname(this.path))
    const before = this.handle
    this.handle = await open(this.path, 'a+')
    this.size = size
    await before.close()
    return changed
  }

  async close(): Promise<void> {
    await this.handle.close()
  }

  private async sealAt(end: number): Promise<string> {
    const buffer = Buffer.alloc(Math.min(SEALED_BYTES, end))
    await this.handle.read(buffer, 0, buffer.length, end - buffer.length)
    return createHash('sha256').update(buffer).digest('hex')
  }
}

async function mendTornLine(handle: FileHandle): Promise<void> {
  const { size } = await handle.stat()
  const start = await startOfLastLine(handle, size)
  if (start === size) return
  const tail = Buffer.alloc(size - start)
  await handle.read(tail, 0, tail.length, start)
  if (isJson(tail.toString('utf8'))) await handle.appendFile('\n')
  else await handle.truncate(start)
}

async function startOfLastLine(handle: FileHandle, size: number): Promise<number> {
  const chunk = Buffer.alloc(64 * 1024)
  for (let end = size; end > 0;) {
    const start = Math.max(0, end - chunk.length)
    const { bytesRead } = await handle.read(chunk, 0, end - start, start)
    const newline = chunk.subarray(0, bytesRead).lastIndexOf(NEWLINE)
    if (newline >= 0) return start + newline + 1
    end = start
  }
  return 0
}

function isJson(text: string): boolean {
  try {
    JSON.parse(text)
    return true
  } catch {
    return false
  }
}
