import { sql } from 'drizzle-orm'
import {
  bigint,
  bigserial,
  boolean,
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
import type { Due, Entry, Machine } from '../../core/visit/entry'
import type { LedgerRow } from '../../core/visit/ledger'

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
  ],
)

/**
 * Who said what a list knows, strongest last: a visit file that was taken in, a visit of the shop, the shop outright.
 * Within
 * these the visit that is planned later speaks, then the line that arrived later.
 */
export const SAID_BY = { file: 0, visit: 1, shop: 2 } as const
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
export const customers = pgTable('customers', {
  id: uuid().primaryKey(),
  name: text().notNull(),
  place: text().notNull(),
  phone: text(),
  mail: text(),
  ...said(),
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
    ...said(),
  },
  (table) => [index('machines_customer').on(table.customerId)],
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
    /** The newest line of its journal when this row was last built. */
    lastArrival: bigint('last_arrival', { mode: 'number' }).notNull().default(0),
  },
  (table) => [
    index('visits_day').on(table.scheduledAt),
    index('visits_machine').on(table.machineId),
    index('visits_last').on(table.lastArrival),
    // Few visits are ever open at once: what is left over from before is found without reading the others.
    index('visits_open')
      .on(table.scheduledAt)
      .where(sql`not handed_over`),
    // Of all visits that were ever made few have something due.
    index('visits_due')
      .on(table.machineId)
      .where(sql`due <> '[]'::jsonb`),
    index('visits_account').on(sql`(${table.account}->>'on')`),
  ],
)

/** Pictures, by what they are: the content's hash is the name of the file beside the database. */
export const files = pgTable('files', { hash: text().primaryKey(), type: text().notNull(), bytes: integer().notNull() })

/** What the shop's data knows of itself: how far the journal file is taken in, and which lists were last built. */
export const meta = pgTable('meta', { key: text().primaryKey(), value: jsonb().$type<unknown>().notNull() })
