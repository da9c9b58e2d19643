import { and, eq, inArray, isNull, or, sql } from 'drizzle-orm'
import type { Entry } from '../../core/visit/entry'
import { asKept, forgottenIn, withVisits, type Forgotten } from '../../core/visit/forgotten'
import { ATTACHING, attachedIn } from '../../core/visit/attached'
import { ofKind } from '../../core/visit/of-kind'
import type { Db } from './connect'
import { sayAnew } from './register-projection'
import { isAnyOf } from './rows'
import { ABOUT, customers, entries, files, machines, meta, visits } from './schema'

/** What hung on lines that are gone: pictures and mails, by which they are kept elsewhere. */
export interface Left {
  pictures: string[]
  mails: string[]
}

/** All that the journal says was removed, and the arrival of the newest line that says so. */
export async function forgottenUpTo(db: Db): Promise<{ forgotten: Forgotten; arrival: number }> {
  const rows = await db
    .select({ entry: entries.entry, arrival: entries.arrival })
    .from(entries)
    .where(and(isNull(entries.visitId), eq(entries.kind, 'customer-forgotten')))
  return {
    forgotten: forgottenIn(rows.map(({ entry }) => entry)),
    arrival: rows.reduce((newest, { arrival }) => Math.max(newest, arrival), 0),
  }
}

/** The same, with the visits that were opened at theirs since, by devices that had not heard of it. */
export async function allForgotten(db: Db): Promise<Forgotten> {
  const { forgotten } = await forgottenUpTo(db)
  const since = await db
    .select({ id: visits.id })
    .from(visits)
    .where(isAnyOf(visits.customerId, [...forgotten.customers]))
  return withVisits(
    forgotten,
    since.map(({ id }) => id),
  )
}

/** Everything that the shop has of a customer: the records that were merged into one, their machines and visits. */
export async function recordsOf(
  db: Db,
  customerId: string,
): Promise<{ customers: string[]; machines: string[]; visits: string[] }> {
  const ofCustomer = await db
    .select({ id: customers.id })
    .from(customers)
    .where(or(eq(customers.id, customerId), eq(customers.mergedInto, customerId)))
  const ids = ofCustomer.map(({ id }) => id)
  const [ofMachines, ofVisits] = [
    await db.select({ id: machines.id }).from(machines).where(isAnyOf(machines.customerId, ids)),
    await db.select({ id: visits.id }).from(visits).where(isAnyOf(visits.customerId, ids)),
  ]
  return { customers: ids, machines: ofMachines.map(({ id }) => id), visits: ofVisits.map(({ id }) => id) }
}

/** The lines that speak of these, as they are stored, in the order of their arrival. */
export async function linesAbout(
  db: Db,
  { customers: who, machines: what, visits: when }: Forgotten,
): Promise<Entry[]> {
  const subjects = `{${[...who, ...what].join(',')}}`
  const rows = await db
    .select({ entry: entries.entry })
    .from(entries)
    .where(
      or(
        isAnyOf(entries.visitId, [...when]),
        and(isNull(entries.visitId), sql`${ABOUT} = any(${subjects}::text[])`),
        and(
          isNull(entries.visitId),
          inArray(entries.kind, ['machine-set', 'site-set']),
          sql`coalesce(entry #>> '{body,site,customerId}', entry #>> '{body,machine,customerId}')
            = any(${`{${[...who].join(',')}}`}::text[])`,
        ),
      ),
    )
    .orderBy(entries.arrival)
  return rows.map(({ entry }) => entry)
}

/**
 * Takes what was theirs out of every line that speaks of somebody whose data were removed, and out of the lists.
 *
 * @returns what hung on those lines alone
 */
export async function removeForgotten(db: Db, forgotten: Forgotten): Promise<Left> {
  const lines = await linesAbout(db, forgotten)
  const kept = lines.map((line) => asKept(line, forgotten))
  const changed = kept.filter((line, index) => JSON.stringify(line) !== JSON.stringify(lines[index]))
  for (const line of changed)
    await db.update(entries).set({ entry: line, kind: line.kind }).where(eq(entries.id, line.id))
  const mails = ofKind(lines, 'mailed').map(({ body }) => body.mail)
  const pictures = await ofNobodyElse(db, attachedIn(lines))
  await db.delete(files).where(inArray(files.hash, pictures))
  await db.delete(meta).where(
    inArray(
      meta.key,
      [...forgotten.visits].map((id) => `ahead:${id}`),
    ),
  )
  if (changed.length > 0) await sayAnew(db, forgotten)
  return { pictures, mails }
}

/** Those of these pictures that no line speaks of. */
export async function ofNobodyElse(db: Db, hashes: readonly string[]): Promise<string[]> {
  if (hashes.length === 0) return []
  const hash = sql<string>`entry #>> '{body,hash}'`
  const rows = await db
    .select({ hash })
    .from(entries)
    .where(and(inArray(entries.kind, [...ATTACHING]), inArray(hash, [...hashes])))
  const spokenOf = new Set(rows.map((row) => row.hash))
  return hashes.filter((each) => !spokenOf.has(each))
}
