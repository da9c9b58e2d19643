import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import ICAL from 'ical.js'
import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { connect, type Connection } from '../../server/database/connect'
import { Repository } from '../../server/database/repository'
import { visitCalendar } from '../../server/services/calendar'
import { DayBook, dayGrounds } from '../../server/services/day-work'
import { dayRows, dayVisits } from '../../server/services/day-view'
import { heavyWork } from '../../server/services/heavy-work'
import { Journal } from '../../server/services/journal'
import { PaceBook } from '../../server/services/pace-book'
import { plannedVisits } from '../../server/services/planned-visits'
import { ValleyRoads } from '../../server/services/roads/valley-roads'
import type { ShopApp } from '../../server/services/shop-app'
import { startPostgres } from '../../scripts/lib/postgres.mjs'
import type { Entry, EntryBodies } from '#core/visit/entry'
import { testVisit } from './entries'

const migrationsDir = join(import.meta.dirname, '../../server/database/migrations')
const MONDAY = { from: '2031-05-12T00:00:00.000Z', to: '2031-05-13T00:00:00.000Z', on: '2031-05-12' }
const TUESDAY = { from: '2031-05-13T00:00:00.000Z', to: '2031-05-14T00:00:00.000Z', on: '2031-05-13' }
const at = (day: { on: string }, hour: string) => `${day.on}T${hour}:00.000Z`
const order = (on: string, van: string, visits: string[]): Entry =>
  ({
    id: uuidv7(),
    visitId: null,
    kind: 'day-order',
    at: new Date().toISOString(),
    author: 'test',
    body: { on, van, visits },
  }) as Entry

describe.each(['embedded', 'server'] as const)('a day on the %s database', (kind) => {
  const dataDir = mkdtempSync(join(tmpdir(), 'pike-lamp-day-'))
  let connection: Connection
  let repository: Repository
  let journal: Journal
  let app: ShopApp
  let stopServer: (() => unknown) | undefined

  beforeAll(async () => {
    const postgres = kind === 'server' ? await startPostgres() : undefined
    stopServer = postgres?.stop
    connection = await connect({ dataDir, migrationsDir, databaseUrl: postgres?.url })
    repository = new Repository(connection.db)
    journal = new Journal(repository, undefined)
    app = {
      repository,
      journal,
      pace: new PaceBook(repository),
      days: new DayBook(),
      roads: new ValleyRoads(),
      work: heavyWork(undefined),
    } as unknown as ShopApp
  })
  afterAll(async () => {
    await connection.close()
    stopServer?.()
    rmSync(dataDir, { recursive: true, force: true })
  })

  async function opened(scheduledAt: string) {
    const visit = testVisit(uuidv7(), scheduledAt)
    await journal.append([visit.opened])
    return {
      id: visit.opened.visitId as string,
      say: async <K extends 'planned' | 'arranged' | 'cancelled' | 'handed-over' | 'retracted'>(
        said: K,
        body: EntryBodies[K],
        supersedes?: string,
      ) => {
        const line = { ...visit.write(said, body), ...(supersedes ? { supersedes } : {}) } as Entry
        await journal.append([line])
        return line.id
      },
    }
  }
  const stands = async (day: typeof MONDAY) => {
    const { visits, waiting, left } = await dayRows(app, day)
    const ids = (rows: { id: string }[]) => rows.map(({ id }) => id)
    return { visits: ids(visits), waiting: ids(waiting), left: ids(left) }
  }

  it('has what is planned for it, calls wait without a day, and what is called off is nowhere', async () => {
    const visit = await opened(at(MONDAY, '09:00'))
    expect((await stands(MONDAY)).visits).toContain(visit.id)
    const waits = await visit.say('planned', {})
    expect(await stands(MONDAY)).toMatchObject({ visits: [], waiting: [visit.id] })
    await visit.say('planned', { at: at(TUESDAY, '12:00') })
    expect(await stands(MONDAY)).toMatchObject({ visits: [], waiting: [] })
    expect((await stands(TUESDAY)).visits).toEqual([visit.id])
    const off = await visit.say('cancelled', { why: 'sold the house' })
    expect((await stands(TUESDAY)).visits).toEqual([])
    await visit.say('retracted', {}, off)
    expect((await stands(TUESDAY)).visits).toEqual([visit.id])
    expect(waits).not.toBe(off)
    await visit.say('cancelled', { why: 'after all' })
  })

  it('shows what goes on on another day on both, and asks once what becomes of the unfinished', async () => {
    const visit = await opened(at(MONDAY, '10:00'))
    expect((await stands(TUESDAY)).left).toEqual([visit.id])
    expect((await stands(TUESDAY)).visits).toEqual([])
    await visit.say('planned', { at: at(TUESDAY, '12:00'), goesOn: true })
    expect((await stands(MONDAY)).visits).toEqual([visit.id])
    expect(await stands(TUESDAY)).toMatchObject({ visits: [visit.id], left: [] })
    await visit.say('handed-over', { watch: '' })
    expect(
      (await stands({ ...TUESDAY, from: '2031-05-20T00:00:00.000Z', to: '2031-05-21T00:00:00.000Z' })).left,
    ).toEqual([])
  })

  it('keeps the newest order of each van, and lists rebuilt from nothing say the same', async () => {
    const [one, two] = [await opened(at(MONDAY, '14:00')), await opened(at(MONDAY, '15:00'))]
    await one.say('arranged', { until: at(MONDAY, '16:00'), people: 2 })
    await journal.append([order(MONDAY.on, 'van-1', [one.id, two.id]), order(MONDAY.on, 'van-1', [two.id, one.id])])
    await journal.append([order(TUESDAY.on, 'van-1', [one.id])])
    const before = await dayRows(app, MONDAY)
    expect(before.orders).toEqual({ 'van-1': [two.id, one.id] })
    expect(before.visits.find(({ id }) => id === one.id)?.arranged).toEqual({ until: at(MONDAY, '16:00'), people: 2 })
    await repository.projectVisits(await repository.visitIdsWithEntries())
    expect(await dayRows(app, MONDAY)).toEqual(before)
  })

  it('is reckoned from its journal, and goes out as a calendar that another program reads', async () => {
    const rows = (await dayRows(app, MONDAY)).visits
    const { grounds, load } = await dayGrounds(app, rows)
    for (const { id, handedOver } of rows) {
      expect(grounds.work[id]?.minutes.p90).toBeGreaterThanOrEqual(grounds.work[id]?.minutes.p50 as number)
      // What is done asks for nothing any more.
      expect(load[id]?.tools.map(({ label }) => label).includes('meter')).toBe(!handedOver)
    }
    expect((await dayVisits(app, rows, MONDAY.from)).map(({ id }) => id)).toEqual(rows.map(({ id }) => id))
    const planned = await plannedVisits(app, MONDAY)
    const events = new ICAL.Component(ICAL.parse(visitCalendar(planned, new Date('2031-05-01T00:00:00Z'))))
      .getAllSubcomponents('vevent')
      .map((component) => new ICAL.Event(component))
    // What went on on Tuesday has its hours there.
    const here = rows.filter(({ beganAt }) => beganAt === undefined)
    expect(here.length).toBe(rows.length - 1)
    expect(events.map(({ uid }) => uid).toSorted()).toEqual(here.map(({ id }) => `${id}@pike-lamp`).toSorted())
    for (const event of events) {
      const visit = planned.find(({ id }) => event.uid.startsWith(id))
      // A calendar keeps whole seconds.
      expect(Math.abs(event.startDate.toJSDate().getTime() - (visit?.begins.getTime() as number))).toBeLessThan(60_000)
      expect(event.endDate.toJSDate() > event.startDate.toJSDate()).toBe(true)
      expect(event.summary).toBe(visit?.title)
    }
  })
})
