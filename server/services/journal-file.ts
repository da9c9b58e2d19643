import { createReadStream } from 'node:fs'
import { open, type FileHandle } from 'node:fs/promises'
import { dirname, join } from 'node:path'
import { createInterface } from 'node:readline'
import type { Entry } from '../../core/visit/entry'

export const JOURNAL_NAME = 'journal.jsonl'

/**
 * The journal file: one entry a line, flushed to the disk before anything is acknowledged. The embedded database never syncs; this does.
 * It is also the simplest backup and an open format.
 */
export class JournalFile {
  private constructor(private readonly handle: FileHandle, readonly path: string) {}

  /** Opens the file, cutting off a last line that a crash tore (it was never acknowledged). */
  static async open(dataDir: string): Promise<JournalFile> {
    const path = join(dataDir, JOURNAL_NAME)
    const handle = await open(path, 'a+')
    await cutTornLine(handle)
    await handle.sync()
    await syncFolder(dirname(path))
    return new JournalFile(handle, path)
  }

  /** Appends entries and waits until the disk has them. */
  async append(entries: readonly Entry[]): Promise<void> {
    if (entries.length === 0) return
    const before = (await this.handle.stat()).size
    try {
      await this.handle.appendFile(`${entries.map((entry) => JSON.stringify(entry)).join('\n')}\n`)
      await this.handle.datasync()
    } catch (error) {
      // A full disk must not leave half a line under the next entry.
      await this.handle.truncate(before).catch(() => undefined)
      throw error
    }
  }

  /** Every entry of the file, in order. */
  async *read(): AsyncGenerator<unknown> {
    let number = 0
    for await (const line of createInterface({ input: createReadStream(this.path), crlfDelay: Infinity })) {
      number++
      if (!line.trim()) continue
      try {
        yield JSON.parse(line)
      } catch {
        throw new Error(`Line ${number} of ${this.path} is not JSON. The file was changed by something else; put a copy back, or take that line out.`)
      }
    }
  }

  async close(): Promise<void> {
    await this.handle.close()
  }
}

async function cutTornLine(handle: FileHandle): Promise<void> {
  const { size } = await handle.stat()
  const chunk = Buffer.alloc(64 * 1024)
  let end = size
  while (end > 0) {
    const start = Math.max(0, end - chunk.length)
    const { bytesRead } = await handle.read(chunk, 0, end - start, start)
    const newline = chunk.subarray(0, bytesRead).lastIndexOf(0x0a)
    if (newline >= 0) {
      if (start + newline + 1 < size) await handle.truncate(start + newline + 1)
      return
    }
    end = start
  }
  if (size > 0) await handle.truncate(0)
}

async function syncFolder(folder: string): Promise<void> {
  const handle = await open(folder, 'r')
  await handle.sync().catch(() => undefined)
  await handle.close()
}
