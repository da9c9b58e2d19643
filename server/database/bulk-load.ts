import type { PGlite } from '@electric-sql/pglite'
import { codeOf } from './database-trouble'

/** An entry as a row of the database. */
export interface EntryRow {
  id: string
  visitId: string | null
  kind: string
  json: string
}

/**
 * Puts many new entries into the database at once, with what the shop's data knows of itself: all or none.
 *
 * @returns false, and nothing done, where one of them is there already
 */
export type BulkLoad = (rows: readonly EntryRow[], meta: Readonly<Record<string, unknown>>) => Promise<boolean>

const UNIQUE_VIOLATION = '23505'

/** The embedded engine's own way in for many rows; it takes half the time of an insert. */
export function bulkLoader(client: PGlite): BulkLoad {
  return async (rows, meta) => {
    try {
      await client.transaction(async (transaction) => {
        await transaction.query(`copy entries (id, visit_id, kind, entry) from '/dev/blob'`, [], {
          blob: new Blob([rows.map(copyLine).join('')]),
        })
        for (const [key, value] of Object.entries(meta)) {
          await transaction.query(
            'insert into meta (key, value) values ($1, $2) on conflict (key) do update set value = excluded.value',
            [key, JSON.stringify(value)],
          )
        }
      })
      return true
    } catch (error) {
      if (codeOf(error) === UNIQUE_VIOLATION) return false
      throw error
    }
  }
}

/** A row in COPY's text format. JSON has no line ends and tabs of its own, only backslashes to be doubled. */
function copyLine({ id, visitId, kind, json }: EntryRow): string {
  return `${id}\t${visitId ?? '\\N'}\t${kind}\t${json.includes('\\') ? json.replaceAll('\\', '\\\\') : json}\n`
}
