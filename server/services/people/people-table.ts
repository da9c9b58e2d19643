import { desc, eq } from 'drizzle-orm'
import type { Connection } from '../../database/connect'
import { LOCKS } from '../../database/locks'
import { audit, meta } from '../../database/schema'
import { readBook, type AuditLine, type PeopleBook } from './book'
import type { PeopleKeeper } from './people-keeper'

const PEOPLE = 'people'
/** So long what was read is taken for what stands, milliseconds. */
const FRESH = 500

/** People of a shop on a database server, which all of its servers ask. */
export class PeopleTable implements PeopleKeeper {
  /** Every request asks who it is: what another server changed is heard of a moment later. */
  private known: { book: Promise<PeopleBook | undefined>; until: number } | undefined

  constructor(private readonly connection: Pick<Connection, 'db' | 'alone'>) {}

  read(): Promise<PeopleBook | undefined> {
    const now = performance.now()
    if (!this.known || this.known.until < now) {
      const book = this.readRow()
      this.known = { book, until: now + FRESH }
      // A database that did not answer is asked again.
      book.catch(() => (this.known = undefined))
    }
    return this.known.book
  }

  change<T>(change: (book: PeopleBook | undefined) => { book: PeopleBook; said: T }): Promise<T> {
    return this.connection.alone(LOCKS.people, async () => {
      const { book, said } = change(structuredClone(await this.readRow()))
      await this.connection.db
        .insert(meta)
        .values({ key: PEOPLE, value: book })
        .onConflictDoUpdate({ target: meta.key, set: { value: book } })
      this.known = undefined
      return said
    })
  }

  async note(...lines: readonly AuditLine[]): Promise<void> {
    if (lines.length > 0) await this.connection.db.insert(audit).values([...lines])
  }

  private async readRow(): Promise<PeopleBook | undefined> {
    const [row] = await this.connection.db.select().from(meta).where(eq(meta.key, PEOPLE))
    return row ? readBook(row.value) : undefined
  }

  async noted(most: number): Promise<AuditLine[]> {
    const rows = await this.connection.db.select().from(audit).orderBy(desc(audit.id)).limit(most)
    return rows.map(({ at, what, by, about }) => ({
      at: new Date(at).toISOString(),
      what: what as AuditLine['what'],
      ...(by ? { by } : {}),
      ...(about ? { about } : {}),
    }))
  }
}
