import { sql } from 'drizzle-orm'
import { bigserial, boolean, index, integer, jsonb, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core'
import type { Entry, Machine } from '../../core/visit/entry'

/** The journal: the truth. Rows are only ever added. */
export const entries = pgTable('entries', {
  id: uuid().primaryKey(),
  /** Order of arrival, for “what is new since”. The journal’s own order is by time and id. */
  arrival: bigserial({ mode: 'number' }).notNull(),
  visitId: uuid('visit_id'),
  kind: text().notNull(),
  at: timestamp({ withTimezone: true, mode: 'string' }).notNull(),
  author: text().notNull(),
  supersedes: uuid(),
  /** The entry as it was sent, so that what comes out is what went in. */
  entry: jsonb().$type<Entry>().notNull(),
}, (table) => [index('entries_visit').on(table.visitId, table.at), index('entries_kind').on(table.kind)])

/** What the journal says of customers, machines and visits, kept for lists. Can be rebuilt from `entries` at any time. */
export const customers = pgTable('customers', { id: uuid().primaryKey(), name: text().notNull(), place: text().notNull(), phone: text() })

export const machines = pgTable('machines', {
  id: uuid().primaryKey(),
  customerId: uuid('customer_id').notNull().references(() => customers.id),
  name: text().notNull(),
  kind: text().notNull(),
  construction: text().notNull(),
  machine: jsonb().$type<Machine>().notNull(),
  /** When the journal last said something of this machine: an older visit never overwrites it. */
  saidAt: timestamp('said_at', { withTimezone: true, mode: 'string' }).notNull(),
}, (table) => [index('machines_customer').on(table.customerId)])

export const visits = pgTable('visits', {
  id: uuid().primaryKey(),
  machineId: uuid('machine_id').notNull().references(() => machines.id),
  customerId: uuid('customer_id').notNull().references(() => customers.id),
  scheduledAt: timestamp('scheduled_at', { withTimezone: true, mode: 'string' }).notNull(),
  plannedMinutes: integer('planned_minutes').notNull(),
  callerSays: text('caller_says').notNull(),
  complaints: jsonb().$type<string[]>().notNull().default(sql`'[]'::jsonb`),
  joint: text().notNull().default('call'),
  handedOver: boolean('handed_over').notNull().default(false),
  /** What the closed visit teaches: the confirmed cause, or what the bench found. */
  cause: text(),
}, (table) => [index('visits_day').on(table.scheduledAt), index('visits_machine').on(table.machineId)])

/** Pictures, by what they are: the content's hash is the name of the file beside the database. */
export const files = pgTable('files', { hash: text().primaryKey(), type: text().notNull(), bytes: integer().notNull() })
