import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import ICAL from 'ical.js'
import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { connect, type Connection } from '../../server/database/connect'
import { Dues } from '../../server/database/dues'
import { Register } from '../../server/database/register'
import { Repository } from '../../server/database/repository'
import { Search } from '../../server/database/search'
import { calendarOf } from '../../server/services/calendar'
import { comingDue, dueItems, ForecastBook } from '../../server/services/due-book'
import { heavyWork } from '../../server/services/heavy-work'
import { Journal } from '../../server/services/journal'
import { ValleyRoads } from '../../server/services/roads/valley-roads'
import { SearchIndex } from '../../server/services/search-index'
import type { ShopApp } from '../../server/services/shop-app'
import { startPostgres } from '../../scripts/lib/postgres.mjs'
import type { Entry, EntryBodies, EntryKind, Machine } from '#core/visit/entry'
import { KIND_CONSTRUCTIONS } from '#core/knowledge/vocabulary'
import { testVisit } from './entries'

const migrationsDir = join(import.meta.dirname, '../../server/database/migrations')
const TODAY = '2026-05-12'
const SPRING = { today: TODAY, until: '2026-06-30' }

function line<K extends EntryKind>(kind: K, body: EntryBodies[K]): Entry {
  return { id: uuidv7(), visitId: null, kind, at: new Date().toISOString(), author: 'test', body } as unknown as Entry
}

describe.each(['embedded', 'server'] as const)('what comes due on the %s database', (kind) => {
  const dataDir = mkdtempSync(join(tmpdir(), 'pike-lamp-due-'))
  let connection: Connection
  let journal: Journal
  let app: ShopApp
  let stopServer: (() => unknown) | undefined

  beforeAll(async () => {
    const postgres = kind === 'server' ? await startPostgres() : undefined
    stopServer = postgres?.stop
    connection = await connect({ dataDir, migrationsDir, databaseUrl: postgres?.url })
    const repository = new Repository(connection.db)
    const [register, search, work] = [new Register(connection.db), new Search(connection.db), heavyWork(undefined)]
    journal = new Journal(repository, undefined)
    app = {
      repository,
      register,
      dues: new Dues(connection.db),
      index: new SearchIndex(repository, register, search, work, connection.alone),
      forecasts: new ForecastBook(),
      roads: new ValleyRoads(),
      work,
    } as unknown as ShopApp
    await journal.append([
      line('shop-set', {
        name: 'Shop',
        place: 'Weir Street 2, Tarrow Mill',
        units: 'us',
        rates: { currency: 'USD', hourly: 90, helperHourly: 40, partsMarkup: 0.2, partPrices: {} } as never,
      }),
    ])
  })
  afterAll(async () => {
    await connection.close()
    stopServer?.()
    rmSync(dataDir, { recursive: true, force: true })
  })

  /** A machine of somebody in a street, in the register. */
  async function registered(place: string, more: Partial<Machine> = {}): Promise<Machine> {
    const customer = { id: uuidv7(), name: `Of ${place}`, place, phone: '0100 4711' }
    const machine: Machine = {
      id: uuidv7(),
      customerId: customer.id,
      name: 'garden pump',
      kind: 'pool',
      construction: 'band-clamp',
      nameplate: { volts: 230, motorType: 'permanent-split', horsepower: 1, runCapacitorMicrofarads: 30 },
      ...more,
    }
    await journal.append([line('customer-set', { customer }), line('machine-set', { machine })])
    return machine
  }
  /** A visit to it on a day, with what was read and how it was left. */
  async function visited(
    machine: Machine,
    day: string,
    {
      microfarads,
      due = [],
      open = false,
    }: { microfarads?: number; due?: EntryBodies['handed-over']['due']; open?: boolean } = {},
  ) {
    const visit = testVisit(machine.id, `${day}T09:00:00.000Z`)
    const body = visit.opened.body as EntryBodies['visit-opened']
    const customer = { ...body.customer, id: machine.customerId }
    const at = `${day}T09:30:00.000Z`
    const lines = [
      { ...visit.opened, at, body: { ...body, customer, machine } },
      ...(microfarads === undefined
        ? []
        : [
            {
              ...visit.write('finding', {
                check: 'capacitance',
                part: 'run-capacitor',
                value: microfarads,
                unit: 'uF',
                stage: 'test',
              }),
              at,
            },
          ]),
      ...(open ? [] : [{ ...visit.write('handed-over', { watch: '', due }), at }]),
    ] as Entry[]
    await journal.append(lines)
    return visit
  }
  const itemsOf = async (machine: Machine, asked = SPRING) => {
    // Who asks waits for what has only just arrived, but not for ever: a slow machine would be told what stood before.
    await app.index.catchUp()
    return (await dueItems(app, asked))
      .filter(({ machineId }) => machineId === machine.id)
      .map(({ kind: of, on }) => [of, on])
  }

  it('asks for the year’s round until somebody has been there', async () => {
    const pool = await registered('Weir Street 9, Tarrow Mill')
    const well = await registered('Weir Street 11, Tarrow Mill', {
      kind: 'jet',
      construction: KIND_CONSTRUCTIONS.jet[0] as Machine['construction'],
    })
    expect(await itemsOf(pool)).toEqual([['opening', '2026-04-15']])
    expect(await itemsOf(well)).toEqual([])
    await visited(pool, '2026-04-20')
    expect(await itemsOf(pool)).toEqual([])
  })

  it('tells what a visit left, until a later one, and not while one is open', async () => {
    const pool = await registered('Mill Lane 3, Upper Tarrow')
    await visited(pool, '2026-05-02', { due: [{ kind: 'second-look', on: '2026-05-13', what: 'Dry?' }] })
    expect(await itemsOf(pool)).toEqual([['second-look', '2026-05-13']])
    await visited(pool, '2026-05-11', { open: true })
    expect(await itemsOf(pool)).toEqual([])
  })

  it('foretells a line that meets its limit within a season, and forgets it once the part is right again', async () => {
    const pool = await registered('Ferry Path 2, Lower Tarrow')
    await visited(pool, '2025-05-01', { microfarads: 29.8 })
    await visited(pool, '2025-11-01', { microfarads: 29 })
    await visited(pool, '2026-05-01', { microfarads: 28.3 })
    const [foretold] = await itemsOf(pool, { ...SPRING, until: '2026-09-01' })
    expect(foretold?.[0]).toBe('crossing')
    expect(foretold?.[1]).toMatch(/^2026-0[5-8]/)
    await visited(pool, '2026-05-06', { microfarads: 30 })
    await visited(pool, '2026-05-09', { microfarads: 30.2 })
    expect(await itemsOf(pool, { ...SPRING, until: '2026-09-01' })).toEqual([])
  })

  it('tells the driving from the shop to each road, and between them', async () => {
    await registered('Ferry Path 8, Lower Tarrow')
    await registered('Nowhere At All')
    const { items, count, table } = await comingDue(app, SPRING)
    expect(items.length).toBe(count)
    const row = table.roads['Ferry Path, Lower Tarrow']
    expect(table.minutes[0]?.[row as number]).toBeGreaterThan(1)
    expect(table.roads['Nowhere At All']).toBeUndefined()
  })

  it('writes it all as a calendar that another program reads, each under an id that stays', async () => {
    const items = await dueItems(app, SPRING)
    const read = () =>
      new ICAL.Component(ICAL.parse(calendarOf(items, new Date('2026-05-12T00:00:00Z'))))
        .getAllSubcomponents('vevent')
        .map((event) => new ICAL.Event(event))
    expect(read().map(({ startDate }) => startDate.toString())).toEqual(items.map(({ on }) => on))
    expect(new Set(read().map(({ uid }) => uid)).size).toBe(items.length)
    expect(read().map(({ uid }) => uid)).toEqual(items.map(({ key }) => `${key.replaceAll(' ', '-')}@pike-lamp`))
  })

  it('foretells what fails among the machines that are there, and names the likeliest with whose they are', async () => {
    const old = await registered('Hop Hill 4, Tarrowside', { installedOn: '2004-05-01' })
    const gone = await registered('Hop Hill 6, Tarrowside', { installedOn: '2004-05-01' })
    await journal.append([line('machine-retired', { machineId: gone.id, on: '2026-05-01', why: 'sold' })])
    const forecast = await app.forecasts.of(app, TODAY)
    expect(forecast.machines).toBe((await app.register.counts()).machines)
    expect(forecast.total.low).toBeLessThanOrEqual(forecast.total.mean)
    expect(forecast.atRisk[0]).toMatchObject({
      machineId: old.id,
      customer: { name: 'Of Hop Hill 4, Tarrowside', phone: '0100 4711' },
    })
    expect(forecast.atRisk.map(({ machineId }) => machineId)).not.toContain(gone.id)
  })
})
