import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { sql } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import { connect, type Connection } from '../../server/database/connect'
import { Dues } from '../../server/database/dues'
import { Register } from '../../server/database/register'
import { mergedEnds } from '../../server/database/register-projection'
import { Repository } from '../../server/database/repository'
import { heavyWork } from '../../server/services/heavy-work'
import { Journal } from '../../server/services/journal'
import { importRegister, takeBackImport } from '../../server/services/register-import'
import { buildLists } from '../../server/services/reconcile'
import { Search } from '../../server/database/search'
import { SearchIndex } from '../../server/services/search-index'
import { startPostgres } from '../../scripts/lib/postgres.mjs'
import { askedWords } from '#core/pumps/words'
import type { Customer, Entry, EntryBodies, EntryKind, Machine } from '#core/visit/entry'
import { testVisit } from './entries'

const migrationsDir = join(import.meta.dirname, '../../server/database/migrations')

/** A line of the shop's own journal. */
function line<K extends EntryKind>(kind: K, body: EntryBodies[K], supersedes?: string): Entry {
  const [id, at] = [uuidv7(), new Date().toISOString()]
  return {
    id,
    visitId: null,
    kind,
    at,
    author: 'test',
    ...(supersedes ? { supersedes } : {}),
    body,
  } as unknown as Entry
}
const customer = (more: Partial<Customer> = {}): Customer => ({ id: uuidv7(), name: 'Alder Holt', place: '', ...more })
const machine = (customerId: string, more: Partial<Machine> = {}): Machine => ({
  id: uuidv7(),
  customerId,
  name: 'garden pump',
  kind: 'pool',
  construction: 'band-clamp',
  nameplate: { volts: 230 },
  ...more,
})

describe.each(['embedded', 'server'] as const)('the register on the %s database', (kind) => {
  const dataDir = mkdtempSync(join(tmpdir(), 'pike-lamp-register-'))
  let connection: Connection
  let repository: Repository
  let register: Register
  let dues: Dues
  let journal: Journal
  let search: Search
  let index: SearchIndex
  let stopServer: (() => unknown) | undefined
  let serverUrl: string | undefined

  beforeAll(async () => {
    const postgres = kind === 'server' ? await startPostgres() : undefined
    stopServer = postgres?.stop
    serverUrl = postgres?.url
    connection = await connect({ dataDir, migrationsDir, databaseUrl: postgres?.url })
    repository = new Repository(connection.db)
    register = new Register(connection.db)
    dues = new Dues(connection.db)
    journal = new Journal(repository, undefined)
    search = new Search(connection.db)
    index = new SearchIndex(repository, register, search, heavyWork(undefined), connection.alone)
  })
  afterAll(async () => {
    await connection.close()
    stopServer?.()
    rmSync(dataDir, { recursive: true, force: true })
  })

  const labels = async (query: string, filter = {}) => {
    await index.catchUp()
    const { groups } = await search.find(askedWords(query), filter, 20)
    return groups.flatMap(({ what, lines }) => lines.map(({ label }) => `${what}: ${label}`)).sort()
  }

  it('knows a customer and a machine before any visit, and forgets both when their lines are taken back', async () => {
    const whose = customer({ name: 'Otterstone Quaywright', place: 'Ferry Path 3, Lower Tarrow' })
    const its = machine(whose.id, { name: 'boathouse sump', kind: 'sump', construction: 'sump-sealed' })
    const said = [line('customer-set', { customer: whose }), line('machine-set', { machine: its })]
    await journal.append(said)
    expect(await labels('quaywright')).toEqual(['customer: Otterstone Quaywright', 'machine: boathouse sump'])
    expect((await register.machinesOf([whose.id])).map((row) => row.machine.name)).toEqual(['boathouse sump'])
    await journal.append(said.map(({ id }) => line('retracted', {}, id)).reverse())
    expect(await labels('quaywright')).toEqual([])
    expect(await register.customer(whose.id)).toBeUndefined()
  })

  it('is taken into what can be found once, whichever servers do it at once', async () => {
    const others = await Promise.all(
      // The embedded engine has one connection; a server's have as many as there are servers.
      (kind === 'server' ? [1, 2] : []).map(() => connect({ dataDir, migrationsDir, databaseUrl: serverUrl })),
    )
    const indexes = others.map(
      ({ db, alone }) =>
        new SearchIndex(new Repository(db), new Register(db), new Search(db), heavyWork(undefined), alone),
    )
    const named = Array.from({ length: 6 }, (_, each) => customer({ name: `Sedgewick ${each}`, place: 'Osier Holt' }))
    for (const each of named) {
      await journal.append([line('customer-set', { customer: each })])
      await Promise.all([index, ...indexes].map((own) => own.catchUp()))
    }
    expect(await labels('sedgewick')).toEqual(named.map(({ name }) => `customer: ${name}`))
    const counts = await index.counts()
    for (const own of indexes) expect(await own.counts()).toEqual(counts)
    await Promise.all(others.map((other) => other.close()))
  })

  it('speaks over what visits said before, not over what is said in a visit after it', async () => {
    const visit = testVisit()
    const opened = visit.opened.body as EntryBodies['visit-opened']
    await journal.append([visit.opened])
    const name = async () => (await register.machine(opened.machine.id))?.machine.name
    const correct = (text: string) => line('machine-set', { machine: { ...opened.machine, name: text } })
    const corrected = correct('paddling pool pump')
    await journal.append([corrected])
    expect(await name()).toBe('paddling pool pump')
    // A line of the visit that says nothing of the machine, and another visit that began with what was known before.
    const later = testVisit(opened.machine.id, '2027-01-01T10:00:00.000Z')
    await journal.append([
      visit.write('call', { complaints: [], alreadyReplaced: [], callerSays: 'x' }),
      { ...later.opened, body: { ...opened, scheduledAt: '2027-01-01T10:00:00.000Z' } } as Entry,
    ])
    expect(await name()).toBe('paddling pool pump')
    await journal.append([
      { ...later.write('machine-set', { machine: { ...opened.machine, name: 'said at the pump' } }) },
    ])
    expect(await name()).toBe('said at the pump')
    const again = correct('said in the register again')
    await journal.append([again])
    expect(await name()).toBe('said in the register again')
    await journal.append([line('retracted', {}, again.id)])
    expect(await name()).toBe('said at the pump')
  })

  it('says the same of all that stands in it when its lists are built anew', async () => {
    const everything = async () => {
      const { about } = await search.everything()
      const rows = await Promise.all(about.sort().map((id) => register.machine(id)))
      return JSON.stringify(rows.map((row) => row && [row.machine, row.customerId, row.retired]))
    }
    const before = await everything()
    await repository.setMeta('projected', 0)
    await buildLists(repository)
    expect(await everything()).toBe(before)
  })

  it('moves a machine to another owner, and asks who is there for whatever is due', async () => {
    const visit = testVisit()
    const opened = visit.opened.body as EntryBodies['visit-opened']
    const due = [{ kind: 'reading' as const, on: '2026-05-13', what: 'Insulation' }]
    await journal.append([visit.opened, visit.write('handed-over', { watch: '', due })])
    const next = customer({ name: 'the new owner' })
    await journal.append([
      line('customer-set', { customer: next }),
      line('machine-set', { machine: { ...opened.machine, customerId: next.id } }),
    ])
    expect((await register.machine(opened.machine.id))?.customerId).toBe(next.id)
    const rows = (await dues.left('2026-06-01')).filter(({ visitId }) => visitId === visit.visitId)
    expect(rows.map((row) => row.customer.name)).toEqual(['the new owner'])
  })

  it('makes one of two, with all that belonged to either, and two again', async () => {
    const [house, cottage] = [
      customer({ name: 'Sluice Keeper’s House', phone: '0100 7719', place: 'Weir Street 9, Tarrow Mill' }),
      customer({ name: 'Sluice House', phone: '01007719', place: 'Weir St 9, Tarrow Mill' }),
    ]
    const [well, cellar] = [machine(house.id, { name: 'well' }), machine(cottage.id, { name: 'cellar sump' })]
    await journal.append([
      ...[house, cottage].map((each) => line('customer-set', { customer: each })),
      ...[well, cellar].map((each) => line('machine-set', { machine: each })),
    ])
    const [twin] = await register.twinsOf([house.id])
    expect(twin).toMatchObject({ other: { name: 'Sluice House' }, because: ['phone', 'place'] })
    const merged = line('merged', { what: 'customer', gone: cottage.id, into: house.id })
    await journal.append([merged])
    expect((await register.machinesOf([house.id])).map((row) => row.machine.name)).toEqual(['cellar sump', 'well'])
    expect((await register.customer(cottage.id))?.name).toBe('Sluice Keeper’s House')
    expect(await labels('sluice house')).toEqual([
      'customer: Sluice Keeper’s House',
      'machine: cellar sump',
      'machine: well',
    ])
    expect(await register.twinsOf([house.id])).toEqual([])
    expect(await register.mergedInto('customer', house.id)).toMatchObject([
      { name: 'Sluice House', entryId: merged.id },
    ])
    await journal.append([line('retracted', {}, merged.id)])
    expect((await register.machinesOf([house.id])).map((row) => row.machine.name)).toEqual(['well'])
    const apart = line('kept-apart', { what: 'customer', these: [cottage.id, house.id] })
    await journal.append([apart])
    expect(await register.twinsOf([house.id])).toEqual([])
    await journal.append([line('retracted', {}, apart.id)])
    expect(await register.twinsOf([house.id])).toHaveLength(1)
  })

  it('shows the visits of both records of one machine', async () => {
    const [one, other] = [testVisit(), testVisit()]
    await journal.append([one.opened, other.opened])
    const idOf = ({ opened }: typeof one) => (opened.body as EntryBodies['visit-opened']).machine.id
    await journal.append([line('merged', { what: 'machine', gone: idOf(other), into: idOf(one) })])
    for (const id of [idOf(one), idOf(other)])
      expect((await repository.visitsOfMachine(id)).map((row) => row.id).sort()).toEqual(
        [one.visitId, other.visitId].sort(),
      )
    expect((await register.machine(idOf(other)))?.machine.id).toBe(idOf(one))
  })

  it('finds by name, street, telephone, part, plate, note and finding', async () => {
    const visit = testVisit()
    const opened = visit.opened.body as EntryBodies['visit-opened']
    const whose = { ...opened.customer, name: 'Kiln Cottage', place: 'Hopkiln Hill 4, Tarrowside', phone: '0100 8825' }
    const its = { ...opened.machine, name: 'plunge pool pump', nameplate: { volts: 230, frame: '56J' } }
    await journal.append([
      { ...visit.opened, body: { ...opened, customer: whose, machine: its } } as Entry,
      visit.write('note', { text: 'fills once the hopkiln tops', seenAndLeft: false }),
      visit.write('finding', { check: 'insulation-resistance', value: 0.2, unit: 'Mohm', stage: 'test' }),
      visit.write('fitted', { part: 'bearings', identity: '6204-2RS C3' }),
      line('site-set', { site: { id: whose.id, customerId: whose.id, gate: 'hopkiln code 12' } }),
    ])
    expect(await labels('hopkiln')).toEqual([
      'customer: Kiln Cottage',
      'machine: plunge pool pump',
      'note: fills once the hopkiln tops',
      'place: Hopkiln Hill 4, Tarrowside',
    ])
    const { streets } = await search.find(askedWords('hopkiln'), {}, 20)
    expect(await search.machinesIn(streets)).toEqual([{ street: 'Hopkiln Hill, Tarrowside', machines: 1 }])
    expect(await labels('01008825')).toContain('customer: Kiln Cottage')
    expect(await labels('6204 c3')).toEqual(['part: bearings 6204-2RS C3'])
    expect(await labels('56j plunge')).toEqual(['plate: 230 V · frame 56J'])
    expect((await labels('0.2 meg')).length).toBe(1)
    expect(await labels('hopkiln tops')).toEqual(['note: fills once the hopkiln tops'])
    expect(await labels('hopkiln', { verdict: 'failed' })).toContain('machine: plunge pool pump')
    expect(await labels('hopkiln', { verdict: 'sound' })).toEqual([])
    expect(await labels('hopkiln', { kind: 'sump' })).toEqual([])
  })

  it('puts words straight into their indexes, where a search reads no list of what is new', async () => {
    const whose = customer({ name: 'Netherby Straightin' })
    await journal.append([line('customer-set', { customer: whose })])
    expect(await labels('straightin')).toEqual(['customer: Netherby Straightin'])
    const { rows } = (await connection.db.execute(
      sql`select gin_clean_pending_list('search_who') + gin_clean_pending_list('search_said') as pages`,
    )) as unknown as { rows: { pages: unknown }[] }
    expect(Number(rows[0]?.pages)).toBe(0)
  })

  it('has the engine measure its tables anew after very many lines, and not before', async () => {
    await index.catchUp()
    const measure = vi.spyOn(search, 'measure')
    const arriving = async (lines: number) => {
      const newest = await repository.newestArrival()
      const mark = await repository.meta<{ version: number }>('searched')
      await repository.setMeta('searched', { ...mark, measured: newest - lines })
      await journal.append([line('customer-set', { customer: customer() })])
      await index.catchUp()
      return measure.mock.calls.length
    }
    expect(await arriving(10_000)).toBe(0)
    expect(await arriving(20_000)).toBe(1)
    expect(await labels('alder holt')).not.toEqual([])
    expect(measure).toHaveBeenCalledTimes(1)
  })

  it('takes a machine out of what is asked for once it is retired, and puts it back', async () => {
    const whose = customer({ name: 'Fernbank Upperstone' })
    const its = machine(whose.id)
    await journal.append([line('customer-set', { customer: whose }), line('machine-set', { machine: its })])
    const retired = line('machine-retired', { machineId: its.id, on: '2026-05-12', why: 'sold' })
    await journal.append([retired])
    expect((await register.machine(its.id))?.retired).toEqual({ on: '2026-05-12', why: 'sold' })
    expect(await labels('upperstone')).toEqual(['customer: Fernbank Upperstone'])
    expect(await labels('upperstone', { retired: true })).toContain('machine: garden pump')
    expect((await repository.allMachines()).some((row) => row.machine.id === its.id)).toBe(false)
    await journal.append([line('retracted', {}, retired.id)])
    expect((await register.machine(its.id))?.retired).toBeUndefined()
  })

  it('takes in many at once, whichever of them comes first', async () => {
    const many = Array.from({ length: 2_300 }, (_, index) => customer({ name: `Fold ${index}` }))
    const theirs = many.map((each) => machine(each.id, { name: 'fold pump' }))
    const lines = [
      ...many.map((each) => line('customer-set', { customer: each })),
      ...theirs.map((each) => line('machine-set', { machine: each })),
    ]
    await journal.append(lines)
    expect((await register.machinesOf([many[0]?.id as string])).map((row) => row.machine.name)).toEqual(['fold pump'])
    await repository.setMeta('projected', 0)
    await buildLists(repository)
    expect((await register.machinesOf([many.at(-1)?.id as string])).length).toBe(1)
  })

  it('takes a file in beside who is known, gives all out, and takes the file back', async () => {
    const known = customer({ name: 'Kestrel Loft', phone: '0100 8817', place: 'Reed Path 8, Lower Tarrow' })
    await journal.append([line('customer-set', { customer: known })])
    const text = [
      'customer,address,telephone,machine,kind,volts,mail',
      '"Kestrel Loft","Reed Path 8, Lower Tarrow",,loft pump,jet pump,230,kestrel@loft.example',
      '"O’Dell",,,barn pump,jet pump,230,',
      '"O’Dell",,,barn sump,sump pump,115,',
      'Somebody,,,,,,no mail',
    ].join('\n')
    const app = { repository, journal, register, work: heavyWork(undefined) }
    const how = { writer: { author: 'test' }, now: new Date().toISOString() }
    const asked = await importRegister(app, { name: 'pumps.csv', text }, { ...how, write: false })
    expect(asked.counts).toEqual({ new: 3, fills: 0, known: 0, bad: 1 })
    expect(asked.act).toBeUndefined()
    expect(await labels('barn')).toEqual([])
    const { act = '', ...written } = await importRegister(app, { name: 'pumps.csv', text }, { ...how, write: true })
    expect([written.customers, written.machines]).toEqual([1, 3])
    expect(await labels('barn')).toEqual(expect.arrayContaining(['machine: barn pump', 'machine: barn sump']))
    expect(await register.customer(known.id)).toMatchObject({ phone: '0100 8817', mail: 'kestrel@loft.example' })
    const given = await register.knownCustomers([known.id])
    expect(given[0]?.machines.map(({ name }) => name)).toEqual(['loft pump'])
    expect((await register.takenIn()).find((each) => each.act === act)).toMatchObject({
      line: 'pumps.csv',
      lines: 5,
      standing: 5,
    })
    // A name alone is known again, and nothing is written twice.
    const again = await importRegister(app, { name: 'pumps.csv', text }, { ...how, write: true })
    expect(again).toMatchObject({ counts: { new: 0, known: 3 } })
    expect(again.act).toBeUndefined()
    expect(await takeBackImport(app, { act, ...how })).toBe(5)
    expect(await labels('barn')).toEqual([])
    expect(await register.customer(known.id)).toEqual(known)
    expect((await register.takenIn()).find((each) => each.act === act)?.standing).toBe(0)
    expect(await takeBackImport(app, { act, ...how })).toBe(0)
  })

  it('keeps no line that speaks of somebody or something unknown', async () => {
    const nobody = uuidv7()
    const lines: [Entry, RegExp][] = [
      [line('machine-set', { machine: machine(nobody) }), /body\.machine\.customerId/],
      [line('site-set', { site: { id: nobody, customerId: nobody } }), /body\.site\.customerId/],
      [line('machine-retired', { machineId: nobody, on: '2026-05-12', why: '' }), /body\.machineId/],
      [line('merged', { what: 'customer', gone: nobody, into: uuidv7() }), /body\.gone/],
      [line('kept-apart', { what: 'machine', these: [nobody, uuidv7()] }), /body\.these\.0/],
    ]
    for (const [entry, field] of lines) await expect(journal.append([entry])).rejects.toThrow(field)
    expect((await repository.entriesById(lines.map(([{ id }]) => id))).size).toBe(0)
  })
})

describe('merges', () => {
  it('lead through all that was merged on the way, and never round in a circle', () => {
    const pairs = (...all: [string, string][]) => all.map(([gone, into]) => ({ gone, into }))
    expect([...mergedEnds(pairs(['a', 'b'], ['b', 'c']))]).toEqual([
      ['a', 'c'],
      ['b', 'c'],
    ])
    expect([...mergedEnds(pairs(['a', 'b'], ['b', 'a']))]).toEqual([['a', 'b']])
    expect([...mergedEnds(pairs(['a', 'b'], ['b', 'c'], ['c', 'a']))]).toEqual([
      ['a', 'c'],
      ['b', 'c'],
    ])
  })
})
