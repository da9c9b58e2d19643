import { sql, type SQL } from 'drizzle-orm'
import { alias, type AnyPgColumn } from 'drizzle-orm/pg-core'
import { groupedBy } from '../../core/quantity/grouped'
import { customers } from './schema'

/** The record that a machine names as whose it is, and the one that stands for it through all that was merged. */
export const whose = alias(customers, 'whose')
export const STANDS_FOR = sql`${customers.id} = coalesce(${whose.mergedInto}, ${whose.id})`

/** One parameter for any number of ids, where a list of parameters ends at some ten thousand. */
export function isAnyOf(column: AnyPgColumn, ids: readonly string[]): SQL {
  return sql`${column} = any(${`{${ids.join(',')}}`}::uuid[])`
}

/** Rows by the visit they belong to, each visit's in the order they came. */
export function byVisit<T extends { visitId: string | null }>(rows: readonly T[]): Map<string, T[]> {
  return groupedBy(rows, ({ visitId }) => visitId as string)
}

/** A row without what is nothing. */
export function known<T extends object>(row: T): { [K in keyof T]: Exclude<T[K], null> } {
  return Object.fromEntries(Object.entries(row).filter(([, value]) => value !== null)) as {
    [K in keyof T]: Exclude<T[K], null>
  }
}
