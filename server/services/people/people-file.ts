import { appendFile, readFile, stat } from 'node:fs/promises'
import { join } from 'node:path'
import PQueue from 'p-queue'
import { writeWhole } from '../whole-file'
import { readBook, type AuditLine, type PeopleBook } from './book'
import type { PeopleKeeper } from './people-keeper'

export const [PEOPLE_NAME, AUDIT_NAME] = ['people.json', 'audit.jsonl'] as const

/** People of a shop with the embedded database: beside the journal, since that database may be built anew any time. */
export class PeopleFile implements PeopleKeeper {
  private readonly queue = new PQueue({ concurrency: 1 })
  /** The book as it was read last, and when it was written then: the command line may write it too. */
  private known: { book: PeopleBook | undefined; at: number } | undefined

  constructor(private readonly folder: string) {}

  async read(): Promise<PeopleBook | undefined> {
    const at = await stat(join(this.folder, PEOPLE_NAME)).then(
      ({ mtimeMs }) => mtimeMs,
      () => 0,
    )
    if (this.known?.at !== at) this.known = { book: await this.readFile(), at }
    return this.known.book
  }

  change<T>(change: (book: PeopleBook | undefined) => { book: PeopleBook; said: T }): Promise<T> {
    return this.queue.add(async () => {
      const { book, said } = change(structuredClone(await this.read()))
      await writeWhole(join(this.folder, PEOPLE_NAME), JSON.stringify(book), 0o600)
      return said
    })
  }

  note(...lines: readonly AuditLine[]): Promise<void> {
    const text = lines.map((line) => `${JSON.stringify(line)}\n`).join('')
    return this.queue.add(() => appendFile(join(this.folder, AUDIT_NAME), text, { mode: 0o600 }))
  }

  async noted(most: number): Promise<AuditLine[]> {
    const text = await readFile(join(this.folder, AUDIT_NAME), 'utf8').catch(() => '')
    // What was cut off by a crash is no line.
    return text
      .split('\n')
      .slice(0, -1)
      .slice(-most)
      .reverse()
      .flatMap((line) => {
        try {
          return [JSON.parse(line) as AuditLine]
        } catch {
          return []
        }
      })
  }

  private async readFile(): Promise<PeopleBook | undefined> {
    const text = await readFile(join(this.folder, PEOPLE_NAME), 'utf8').catch((error: NodeJS.ErrnoException) => {
      if (error.code === 'ENOENT') return undefined
      throw error
    })
    return text === undefined ? undefined : readBook(JSON.parse(text))
  }
}
