import { sql, type SQL } from 'drizzle-orm'
import type { AnyPgColumn } from 'drizzle-orm/pg-core'

/** One parameter for any number of ids, where a list of parameters ends at some ten thousand. */
export function isAnyOf(column: AnyPgColumn, ids: readonly string[]): SQL {
  return sql`${column} = any(${`{${ids.join(',')}}`}::uuid[])`
}

/** Rows by the visit they belong to, each visit's in the order they came. */
export function byVisit<T extends { visitId: string | null }>(rows: readonly T[]): Map<string, T[]> {
  const groups = new Map<string, T[]>()
  for (const row of rows) {
    const group = groups.get(row.visitId as string)
    if (group) group.push(row)
    else groups.set(row.visitId as string, [row])
  }
  return groups
}
