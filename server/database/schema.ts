import { sql, type SQL } from 'drizzle-orm'
import {
  bigint,
  bigserial,
  boolean,
  customType,
  index,
  integer,
  json,
  jsonb,
  pgTable,
  text,
  timestamp,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core'
import type { StepRatio } from '../../core/takedown/own-times'
import {
  REGISTER_KINDS,
  type Due,
  type Entry,
  type EntryBodies,
  type Machine,
  type Registered,
  type Site,
} from '../../core/visit/entry'
import type { MachineTrend } from '../../core/pumps/machine-trends'
import type { SearchGroup } from '../../core/pumps/search-lines'
import type { HistoryReading } from '../../core/visit/history'
import type { LedgerRow } from '../../core/visit/ledger'

/**
 * What a line of the register is about: the customer, the place or the machine that it names. Of other lines it says
 * nothing: they may have fields of the same name, as a bay that is `gone`.
 */
export const ABOUT = sql.raw(
  `(coalesce(entry #>> '{body,customer,id}', entry #>> '{body,machine,id}', entry #>> '{body,site,id}', ` +
    `entry #>> '{body,machineId}', entry #>> '{body,gone}', entry #>> '{body,these,0}'))`,
) as SQL<string>
/** A fixed list, written out, so that an index may hang on it. */
const isAmong = (column: string, values: readonly string[]) =>
  sql.raw(`${column} in (${values.map((value) => `'${value}'`).join(', ')})`)
export const IS_OF_REGISTER = isAmong('kind', REGISTER_KINDS)
/** Which day a line orders. */
export const ORDERED_DAY = sql.raw(`((entry #>> '{body,on}'))`) as SQL<string>
/** Which line it takes the place of. */
export const REPLACED = sql.raw(`((entry ->> 'supersedes'))`) as SQL<string>

/** The journal: the truth. Rows are only ever added. */
export const entries = pgTable(
  'entries',
  {
    id: uuid().primaryKey(),
    /** Order of arrival: what a line without a logical time is ordered by, and what is new since. */
    arrival: bigserial({ mode: 'number' }).notNull(),
    visitId: uuid('visit_id'),
    kind: text().notNull(),
    /**
     * The entry as it was accepted, to the letter (`json` keeps the text, `jsonb` would not), so that what comes out is
     * what went in.
     */
    entry: json().$type<Entry>().notNull(),
  },
  (table) => [
    uniqueIndex('entries_arrival').on(table.arrival),
    index('entries_visit').on(table.visitId, table.arrival),
    // The shop’s own lines are read by what they are about: a shop of ten thousand customers has as many.
    index('entries_about')
      .on(ABOUT)
      .where(sql`visit_id is null`),
    index('entries_replaced')
      .on(REPLACED)
      .where(sql`visit_id is null`),
    index('entries_shop')
      .on(table.kind, table.arrival)
      .where(sql`visit_id is null`),
    index('entries_day_order')
      .on(ORDERED_DAY)
      .where(sql`kind = 'day-order'`),
    index('entries_recording')
      .on(table.visitId, table.arrival)
      .where(sql`kind = 'recording'`),
  ],
)

/**
 * Who said what a list knows, strongest last: a visit file that was taken in; a visit of the shop that began with what
 * was known; whoever wrote it down outright, in a visit or in the register. Within these the visit that is planned
 * later speaks, then the line that arrived later; the register speaks over all that arrived before it.
 */
export const SAID_BY = { file: 0, visit: 1, outright: 2 } as const
const said = () => ({
  saidBy: integer('said_by').notNull().default(SAID_BY.file),
  saidFor: timestamp('said_for', { withTimezone: true, mode: 'string' }).notNull().default('epoch'),
  saidArrival: bigint('said_arrival', { mode: 'number' }).notNull().default(0),
  /** The visit that said it, which may correct itself. */
  saidVisit: uuid('said_visit'),
})

/**
 * What the journal says of customers, machines and visits, kept for lists. Can be rebuilt from `entries` at any time.
 */
export const customers = pgTable(
  'customers',
  {
    id: uuid().primaryKey(),
    name: text().notNull(),
    place: text().notNull(),
    phone: text(),
    mail: text(),
    /** How telephone and address are compared: two that share one may be one. */
    phoneKey: text('phone_key'),
    addressKey: text('address_key'),
    /** The record that it is now part of. */
    mergedInto: uuid('merged_into'),
    ...said(),
  },
  (table) => [
    index('customers_name').on(table.name),
    index('customers_phone').on(table.phoneKey),
    index('customers_address').on(table.addressKey),
    index('customers_merged')
      .on(table.mergedInto)
      .where(sql`merged_into is not null`),
  ],
)

/** Places with what one must know of them; a customer's own address has the customer's id. */
export const sites = pgTable(
  'sites',
  { id: uuid().primaryKey(), customerId: uuid('customer_id').notNull(), site: jsonb().$type<Site>().notNull() },
  (table) => [index('sites_customer').on(table.customerId)],
)

/** Which record is now part of which, as the register says it; where that goes round in a circle the later is idle. */
export const merges = pgTable('merges', {
  gone: uuid().primaryKey(),
  into: uuid().notNull(),
  what: text().$type<Registered>().notNull(),
  entryId: uuid('entry_id').notNull(),
  arrival: bigint({ mode: 'number' }).notNull(),
})

/** Two that look like one, and are two. */
export const keptApart = pgTable('kept_apart', {
  entryId: uuid('entry_id').primaryKey(),
  what: text().$type<Registered>().notNull(),
  one: uuid().notNull(),
  other: uuid().notNull(),
})

export const machines = pgTable(
  'machines',
  {
    id: uuid().primaryKey(),
    customerId: uuid('customer_id')
      .notNull()
      .references(() => customers.id),
    name: text().notNull(),
    kind: text().notNull(),
    construction: text().notNull(),
    machine: jsonb().$type<Machine>().notNull(),
    /** ISO date. */
    installedOn: text('installed_on'),
    mergedInto: uuid('merged_into'),
    retired: jsonb().$type<Omit<EntryBodies['machine-retired'], 'machineId'>>(),
    /** The worst that its last visit with a reading says, and the next day something is due: kept by the search. */
    verdict: text(),
    dueOn: text('due_on'),
    /** Its readings that stand past a limit or will meet one: kept by the search. */
    trends: jsonb()
      .$type<MachineTrend[]>()
      .notNull()
      .default(sql`'[]'::jsonb`),
    ...said(),
  },
  (table) => [
    index('machines_customer').on(table.customerId),
    index('machines_merged')
      .on(table.mergedInto)
      .where(sql`merged_into is not null`),
    index('machines_trends')
      .on(table.id)
      .where(sql`trends <> '[]'::jsonb`),
    index('machines_retired')
      .on(table.id)
      .where(sql`retired is not null`),
  ],
)

export const visits = pgTable(
  'visits',
  {
    id: uuid().primaryKey(),
    machineId: uuid('machine_id')
      .notNull()
      .references(() => machines.id),
    customerId: uuid('customer_id')
      .notNull()
      .references(() => customers.id),
    scheduledAt: timestamp('scheduled_at', { withTimezone: true, mode: 'string' }).notNull(),
    plannedMinutes: integer('planned_minutes').notNull(),
    /** It has no day; or it was begun on another day, and goes on on this one. */
    waits: boolean().notNull().default(false),
    beganAt: timestamp('began_at', { withTimezone: true, mode: 'string' }),
    cancelled: text(),
    /** The first visit of its journey, where that is another. */
    together: uuid(),
    arranged: jsonb()
      .$type<EntryBodies['arranged']>()
      .notNull()
      .default(sql`'{}'::jsonb`),
    callerSays: text('caller_says').notNull(),
    complaints: jsonb()
      .$type<string[]>()
      .notNull()
      .default(sql`'[]'::jsonb`),
    joint: text().notNull().default('call'),
    handedOver: boolean('handed_over').notNull().default(false),
    /** What the closed visit teaches: the confirmed cause, or what the bench found; and when that arrived. */
    cause: text(),
    causeArrival: bigint('cause_arrival', { mode: 'number' }),
    /** What its steps teach of the shop's own times. */
    paced: jsonb()
      .$type<StepRatio[]>()
      .notNull()
      .default(sql`'[]'::jsonb`),
    /** What it made due, once it was handed over. */
    due: jsonb()
      .$type<Due[]>()
      .notNull()
      .default(sql`'[]'::jsonb`),
    /** Its line in the ledger, once it was handed over and something was charged. */
    account: jsonb().$type<LedgerRow>(),
    /** The worst that its readings say: kept by the search. */
    verdict: text(),
    /** The newest line of its journal when this row was last built. */
    lastArrival: bigint('last_arrival', { mode: 'number' }).notNull().default(0),
  },
  (table) => [
    index('visits_day').on(table.scheduledAt),
    index('visits_machine').on(table.machineId),
    index('visits_last').on(table.lastArrival),
    index('visits_together')
      .on(table.together)
      .where(sql`together is not null`),
    // Few visits are ever open at once: what is left over from before is found without reading the others.
    index('visits_open')
      .on(table.scheduledAt)
      .where(sql`not handed_over`),
    index('visits_waiting')
      .on(table.id)
      .where(sql`waits and not handed_over`),
    index('visits_begun')
      .on(table.beganAt)
      .where(sql`began_at is not null`),
    // Of all visits that were ever made few have something due.
    index('visits_due')
      .on(table.machineId)
      .where(sql`due <> '[]'::jsonb`),
    index('visits_account').on(sql`(${table.account}->>'on')`),
  ],
)

/** Who and what there is. */
export const WHO = ['customer', 'machine', 'place'] as const satisfies readonly SearchGroup[]
/** What was said and read of it. */
export const SAID = ['part', 'plate', 'note', 'finding'] as const satisfies readonly SearchGroup[]
export const IS_WHO = isAmong('what', WHO)
export const IS_SAID = isAmong('what', SAID)

const tsvector = customType<{ data: string }>({ dataType: () => 'tsvector' })

/** What can be found, line by line; each subject's lines are replaced together. */
export const searchLines = pgTable(
  'search_lines',
  {
    id: bigserial({ mode: 'number' }).primaryKey(),
    /** The customer, the machine or the visit that these lines are of. */
    subject: uuid().notNull(),
    what: text().notNull(),
    label: text().notNull(),
    about: text().notNull(),
    customerId: uuid('customer_id'),
    machineId: uuid('machine_id'),
    visitId: uuid('visit_id'),
    onDay: text('on_day'),
    verdict: text(),
    reading: jsonb().$type<HistoryReading>(),
    street: text(),
    words: tsvector().notNull(),
  },
  (table) => [
    index('search_subject').on(table.subject),
    // Words go straight into their index: the list where it would put them aside is read whole by every search, and
    // the embedded engine has nobody who empties it.
    index('search_who').using('gin', table.words).with({ fastupdate: false }).where(IS_WHO),
    index('search_said').using('gin', table.words).with({ fastupdate: false }).where(IS_SAID),
    // Without a word they are read by their names; a street is asked for as a whole.
    index('search_names').on(table.what, sql`label collate "C"`),
    index('search_streets')
      .on(table.street)
      .where(sql`street is not null`),
  ],
)

/** Pictures, by what they are: the content's hash is the name of the file beside the database. */
export const files = pgTable('files', { hash: text().primaryKey(), type: text().notNull(), bytes: integer().notNull() })

const bytea = customType<{ data: Buffer }>({ dataType: () => 'bytea' })

/** Pictures themselves, where they are kept in the database of a server. */
export const pictures = pgTable('pictures', { hash: text().primaryKey(), content: bytea().notNull() })

/** What the shop's data knows of itself: how far the journal file is taken in, and which lists were last built. */
export const meta = pgTable('meta', { key: text().primaryKey(), value: jsonb().$type<unknown>().notNull() })

/** What people did that the owner may want to know of: sign-ins, exports, deletions. */
export const audit = pgTable('audit', {
  id: bigserial({ mode: 'number' }).primaryKey(),
  at: timestamp({ withTimezone: true, mode: 'string' }).notNull(),
  what: text().notNull(),
  by: uuid(),
  about: text(),
})
