import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { sql } from 'drizzle-orm'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { connect, type Connection } from '../../server/database/connect'
import { Repository } from '../../server/database/repository'
import { Search } from '../../server/database/search'
import { EntryConflict, Journal } from '../../server/services/journal'
import { PaceBook } from '../../server/services/pace-book'
import { PictureFolder } from '../../server/services/photos/picture-folder'
import { PhotoStore } from '../../server/services/photos/photo-store'
import { keepable } from '../../server/services/pictures'
import { buildLists } from '../../server/services/reconcile'
import { startPostgres } from '../../scripts/lib/postgres.mjs'
import { ENTRY_VERSION, type Entry, type EntryBodies } from '#core/visit/entry'
import { reading, testVisit } from './entries'

const migrationsDir = join(import.meta.dirname, '../../server/database/migrations')
const PIXEL = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
)

describe.each(['embedded', 'server'] as const)('the repository on the %s database', (kind) => {
  const dataDir = mkdtempSync(join(tmpdir(), 'pike-lamp-repository-'))
  let connection: Connection
  let repository: Repository
  let journal: Journal
  let stopServer: (() => unknown) | undefined

  beforeAll(async () => {
    const postgres = kind === 'server' ? await startPostgres() : undefined
    stopServer = postgres?.stop
    connection = await connect({ dataDir, migrationsDir, databaseUrl: postgres?.url })
    repository = new Repository(connection.db)
    journal = new Journal(repository, undefined)
  })
  afterAll(async () => {
    await connection.close()
    stopServer?.()
    rmSync(dataDir, { recursive: true, force: true })
  })

  it('is what was asked for, and migrates twice without harm', async () => {
    expect(connection.kind).toBe(kind)
    expect(await repository.count()).toBe(0)
  })

  it('keeps a visit: what comes out is what went in, in the journal’s order', async () => {
    const visit = testVisit()
    const entries = [
      visit.opened,
      reading(visit, 236),
      visit.write('call', {
        complaints: ['hums-no-start'],
        alreadyReplaced: [],
        callerSays: 'hums, “will not turn” – Ω μ',
      }),
    ]
    expect(await journal.append(entries)).toEqual({ accepted: entries.map(({ id }) => id), known: [] })
    expect(await repository.entriesOfVisit(visit.visitId)).toEqual(
      entries.map((entry, index) => ({ ...entry, v: ENTRY_VERSION, lamport: index + 1 })),
    )
    const [row] = await repository.visitsOfMachine((visit.opened.body as { machine: { id: string } }).machine.id)
    expect(row).toMatchObject({
      id: visit.visitId,
      complaints: ['hums-no-start'],
      stage: 'call',
      handedOver: false,
      customer: { name: 'Millrace Lido' },
    })
  })

  it('counts what closed visits teach: the confirmed cause once handed over, and what the bench found above it', async () => {
    const before = (await repository.causesOf('pool'))['run-capacitor-failed'] ?? 0
    const visit = testVisit()
    await journal.append([
      visit.opened,
      visit.write('cause-said', { fault: 'run-capacitor-failed', verdict: 'it-was-this' }),
    ])
    expect((await repository.causesOf('pool'))['run-capacitor-failed'] ?? 0).toBe(before)
    await journal.append([visit.write('handed-over', { watch: '' })])
    expect((await repository.causesOf('pool'))['run-capacitor-failed']).toBe(before + 1)
    expect((await repository.causesOf('pool', { exceptVisit: visit.visitId }))['run-capacitor-failed'] ?? 0).toBe(
      before,
    )
    expect(
      (await repository.causesOf('pool', { after: { pool: await repository.newestArrival() } }))[
        'run-capacitor-failed'
      ] ?? 0,
    ).toBe(0)
    expect(
      (await repository.causesOf('pool', { after: { sump: await repository.newestArrival() } }))[
        'run-capacitor-failed'
      ],
    ).toBe(before + 1)
    expect((await repository.causesOf('sump'))['run-capacitor-failed']).toBeUndefined()
    await journal.append([
      visit.write('post-mortem', { fault: 'winding-shorted', why: 'two turns burnt together', keeping: 'fan' }),
    ])
    expect((await repository.causesOf('pool'))['winding-shorted']).toBe(1)
    expect((await repository.causesOf('pool'))['run-capacitor-failed'] ?? 0).toBe(before)
  })

  it('builds lists of an older version anew at the start', async () => {
    const visit = testVisit()
    await journal.append([
      visit.opened,
      visit.write('cause-said', { fault: 'shaft-bent', verdict: 'it-was-this' }),
      visit.write('handed-over', { watch: '' }),
    ])
    await connection.db.execute(sql`UPDATE visits SET cause = NULL WHERE id = ${visit.visitId}`)
    expect((await repository.causesOf('pool'))['shaft-bent']).toBeUndefined()
    await repository.setMeta('projected', 0)
    await buildLists(repository)
    expect((await repository.causesOf('pool'))['shaft-bent']).toBe(1)
  })

  it('takes lines of the shop whose fields are called as the register’s are: a bay that is gone', async () => {
    const { write } = testVisit()
    const kept = { ...write('bay-set', { bay: 'm', name: 'M' }), visitId: null }
    const gone = { ...write('bay-set', { bay: 'm', name: 'M', gone: true }), visitId: null }
    await journal.append([kept])
    const before = await repository.newestArrival()
    expect(await journal.append([gone])).toMatchObject({ accepted: [gone.id] })
    const back = { ...write('retracted', {}, gone.id), visitId: null }
    expect(await journal.append([back])).toMatchObject({ accepted: [back.id] })
    expect((await new Search(connection.db).changedAfter(before)).about).toEqual([])
    await repository.setMeta('projected', 0)
    await expect(buildLists(repository)).resolves.not.toThrow()
  })

  it('takes the same entry twice and refuses another under its id', async () => {
    const visit = testVisit()
    const entry = reading(visit, 236)
    await journal.append([visit.opened, entry])
    expect(await journal.append([entry])).toEqual({ accepted: [], known: [entry.id] })
    await expect(journal.append([{ ...entry, author: 'someone else' }])).rejects.toThrow(EntryConflict)
  })

  it('takes all of a batch or none', async () => {
    const visit = testVisit()
    const before = await repository.count()
    await expect(journal.append([visit.opened, reading(visit, 230), reading(testVisit(), 230)])).rejects.toThrow(
      /entries\.2\.visitId/,
    )
    expect(await repository.count()).toBe(before)
  })

  it('refuses what does not fit the journal, naming the field', async () => {
    const visit = testVisit()
    const other = testVisit()
    const note = visit.write('note', { text: 'a', seenAndLeft: false })
    await journal.append([visit.opened, other.opened, note])
    await expect(journal.append([{ ...visit.opened, id: testVisit().opened.id }])).rejects.toThrow(/opened once/)
    await expect(journal.append([visit.write('retracted', {}, visit.opened.id)])).rejects.toThrow(
      /cannot be taken back/,
    )
    await expect(journal.append([other.write('retracted', {}, note.id)])).rejects.toThrow(/same visit/)
    await expect(
      journal.append([visit.write('finding', { check: 'weep-hole', outcome: 'dry', stage: 'test' }, note.id)]),
    ).rejects.toThrow(/same kind/)
    await expect(
      journal.append([visit.write('photo', { hash: 'a'.repeat(64), type: 'image/png', bytes: 3, name: 'x' })]),
    ).rejects.toThrow(/api\/photos/)
  })

  it('serialises appends that come at once', async () => {
    const visit = testVisit()
    await journal.append([visit.opened])
    const entries = Array.from({ length: 25 }, (_, index) => reading(visit, 200 + index))
    await Promise.all(entries.map((entry) => journal.append([entry])))
    expect((await repository.entriesOfVisit(visit.visitId)).length).toBe(26)
  })

  it('lists a day, what was left over before it, and knows each machine’s last visit', async () => {
    const done = testVisit(undefined, '2030-01-01T09:00:00.000Z')
    const machineId = (done.opened.body as { machine: { id: string } }).machine.id
    const left = testVisit(undefined, '2030-01-01T15:00:00.000Z')
    const today = testVisit(machineId, '2030-01-02T09:00:00.000Z')
    await journal.append([done.opened, done.write('handed-over', { watch: '' }), left.opened, today.opened])
    const ids = (await repository.visitsBetween('2030-01-02T00:00:00Z', '2030-01-03T00:00:00Z')).map(({ id }) => id)
    expect(ids).toEqual([today.visitId])
    const over = (await repository.leftOver('2030-01-02T00:00:00Z')).map(({ id }) => id)
    expect(over).toContain(left.visitId)
    expect(over).not.toContain(done.visitId)
    expect((await repository.lastVisitOf([machineId], '2030-01-02T00:00:00Z')).get(machineId)).toBe(done.visitId)
  })

  it('the card of a machine has what was fitted in a visit, until that is taken back; the visit keeps its own', async () => {
    const visit = testVisit()
    const { machine } = visit.opened.body as EntryBodies['visit-opened']
    const fitted = visit.write('fitted', {
      part: 'motor',
      identity: 'threaded shaft',
      nameplate: { volts: 230, horsepower: 2, serviceFactorAmps: 11.1 },
    })
    await journal.append([visit.opened, fitted])
    const card = await repository.machine(machine.id)
    expect(card).toMatchObject({ nameplate: { horsepower: 2, serviceFactorAmps: 11.1 } })
    expect(card?.fitted).toMatchObject([
      { part: 'motor', until: expect.any(String) },
      { part: 'motor', since: expect.any(String), identity: 'threaded shaft' },
    ])
    expect((await repository.entriesOfVisit(visit.visitId))[0]?.body).toMatchObject({ machine })
    await journal.append([{ ...visit.write('retracted', {}), supersedes: fitted.id }])
    expect(await repository.machine(machine.id)).toEqual(machine)
  })

  it('never lets an older visit, or one from a file, speak over what the shop says of a machine and a customer since', async () => {
    const first = testVisit()
    const body = first.opened.body as EntryBodies['visit-opened']
    await journal.append([first.opened])
    const named = (visit: ReturnType<typeof testVisit>, name: string, scheduledAt: string, more: object = {}) =>
      ({
        ...visit.opened,
        ...more,
        body: { ...body, scheduledAt, customer: { ...body.customer, name }, machine: { ...body.machine, name } },
      }) as Entry
    const known = async () => [
      (await repository.machine(body.machine.id))?.name,
      (await repository.customer(body.customer.id))?.name,
    ]
    const [older, newer, fromFile, planned] = [testVisit(), testVisit(), testVisit(), testVisit()]
    await journal.append([named(newer, 'newer', '2026-06-01T10:00:00Z')])
    expect(await known()).toEqual(['newer', 'newer'])
    await journal.append([named(older, 'older', '2020-01-01T10:00:00Z')])
    await journal.append([first.write('note', { text: 'one more line in the first visit', seenAndLeft: false })])
    await journal.append([named(fromFile, 'from a file', '2027-01-01T10:00:00Z', { imported: true })])
    expect(await known()).toEqual(['newer', 'newer'])
    const said = {
      ...first.write('customer-set', { customer: { ...body.customer, name: 'said outright' } }),
      visitId: null,
    } as Entry
    await journal.append([said])
    await journal.append([named(planned, 'planned', '2027-01-01T10:00:00Z')])
    expect(await known()).toEqual(['planned', 'said outright'])
    await journal.append([{ ...first.write('retracted', {}, said.id), visitId: null } as Entry])
    expect(await known()).toEqual(['planned', 'planned'])
  })

  it('refuses a machine that is not the visit’s, whose it is not, and what settles nothing', async () => {
    const visit = testVisit()
    const { machine } = visit.opened.body as EntryBodies['visit-opened']
    const note = visit.write('note', { text: 'a', seenAndLeft: false })
    await journal.append([visit.opened, note])
    await expect(
      journal.append([visit.write('machine-set', { machine: { ...machine, id: visit.visitId } })]),
    ).rejects.toThrow(/body\.machine\.id/)
    await expect(
      journal.append([visit.write('machine-set', { machine: { ...machine, customerId: visit.visitId } })]),
    ).rejects.toThrow(/body\.machine\.customerId/)
    await expect(
      journal.append([
        { ...visit.write('note', { text: 'b', seenAndLeft: false }, note.id), settles: [visit.opened.id] } as Entry,
      ]),
    ).rejects.toThrow(/settles\.0/)
  })

  it('knows an entry again whether it came with its logical time or without', async () => {
    const visit = testVisit()
    const entry = reading(visit, 236)
    await journal.append([visit.opened, entry])
    const [, again] = await repository.entriesOfVisit(visit.visitId)
    expect(again).toMatchObject({ id: entry.id, lamport: 2 })
    expect(await journal.append([again as Entry])).toEqual({ accepted: [], known: [entry.id] })
    await journal.append([{ ...reading(visit, 1), id: visit.visitId, lamport: 3 } as Entry])
    await expect(journal.append([{ ...reading(visit, 1), id: visit.visitId, lamport: 4 } as Entry])).rejects.toThrow(
      EntryConflict,
    )
  })

  it('two servers at once never lose a line that one of them acknowledged', async () => {
    const visit = testVisit()
    await journal.append([visit.opened])
    const other = new Journal(repository, undefined)
    const entry = reading(visit, 230)
    const twice = await Promise.allSettled([
      journal.append([entry]),
      other.append([{ ...entry, author: 'someone else' } as Entry]),
    ])
    expect(twice.map(({ status }) => status).sort()).toEqual(['fulfilled', 'rejected'])
    const many = Array.from({ length: 40 }, (_, index) => reading(visit, 200 + index))
    await Promise.all(many.map((each, index) => (index % 2 ? journal : other).append([each])))
    const kept = new Set((await repository.entriesOfVisit(visit.visitId)).map(({ id }) => id))
    expect(many.filter(({ id }) => !kept.has(id))).toEqual([])
  })

  it('learns the shop’s own times from what has arrived since, and not from the visit itself', async () => {
    const pace = new PaceBook(repository)
    const step = (visit: ReturnType<typeof testVisit>, name: string, minute: number): Entry =>
      ({
        ...visit.write('step', { step: name, done: true, estimate: 3 }),
        at: new Date(Date.UTC(2026, 4, 12, 9, minute)).toISOString(),
      }) as Entry
    const visits = Array.from({ length: 3 }, () => testVisit())
    const own = async (id: string) => (await pace.paceFor(id))['down:valves-shut']
    expect(await own(visits[0]?.visitId as string)).toBeUndefined()
    for (const visit of visits.slice(0, 2))
      await journal.append([visit.opened, step(visit, 'down:make-dead', 0), step(visit, 'down:valves-shut', 6)])
    const fromTwo = await own('0197a000-0009-7000-8000-000000000001')
    expect(fromTwo).toBeGreaterThan(1)
    expect(await own(visits[0]?.visitId as string), 'from the other visit alone').toBeLessThan(fromTwo as number)
    const third = visits[2] as ReturnType<typeof testVisit>
    await new Journal(repository, undefined).append([
      third.opened,
      step(third, 'down:make-dead', 0),
      step(third, 'down:valves-shut', 6),
    ])
    expect(await own('0197a000-0009-7000-8000-000000000001'), 'another server wrote it').toBeGreaterThan(
      fromTwo as number,
    )
    expect((await pace.steps()).find((each) => each.step === 'down:valves-shut')?.times).toBe(3)
    const thirds = (await repository.entriesOfVisit(third.visitId)).filter(({ kind }) => kind === 'step')
    await journal.append(thirds.map(({ id }) => ({ ...third.write('retracted', {}), supersedes: id }) as Entry))
    expect(
      (await pace.steps()).find((each) => each.step === 'down:valves-shut')?.times,
      'all its steps are taken back',
    ).toBe(2)
  })

  it('keeps pictures by content, and only pictures', async () => {
    const photos = new PhotoStore(new PictureFolder(join(dataDir, 'photos')), repository)
    const keep = async (bytes: Buffer) => photos.add(await keepable(bytes))
    const stored = await keep(PIXEL)
    expect(stored).toMatchObject({
      type: 'image/png',
      bytes: PIXEL.length,
      hash: expect.stringMatching(/^[0-9a-f]{64}$/) as string,
    })
    expect(await Promise.all([keep(PIXEL), keep(PIXEL), keep(PIXEL)]), 'the same three times at once').toEqual([
      stored,
      stored,
      stored,
    ])
    expect((await photos.get(stored.hash))?.content.equals(PIXEL)).toBe(true)
    for (const hostile of [
      Buffer.from('<svg onload=alert(1)>'),
      Buffer.from('<html>'),
      Buffer.alloc(0),
      Buffer.from('MZ\x90'),
    ])
      await expect(keep(hostile)).rejects.toThrow(/JPEG, PNG or WebP/)
    expect(await photos.get('../../etc/passwd')).toBeUndefined()
  })
})
