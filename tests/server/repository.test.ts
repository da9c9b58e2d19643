import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { sql } from 'drizzle-orm'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { connect, type Connection } from '../../server/database/connect'
import { Repository } from '../../server/database/repository'
import { EntryConflict, Journal } from '../../server/services/journal'
import { PhotoStore } from '../../server/services/photo-store'
import { startPostgres } from '../../scripts/lib/postgres.mjs'
import { reading, testVisit } from './entries'

const migrationsDir = join(import.meta.dirname, '../../server/database/migrations')
const PIXEL = Buffer.from('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==', 'base64')

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
    const entries = [visit.opened, reading(visit, 236), visit.write('call', { complaints: ['hums-no-start'], alreadyReplaced: [], callerSays: 'hums, “will not turn” – Ω μ' })]
    expect(await journal.append(entries)).toEqual({ accepted: entries.map(({ id }) => id), known: [] })
    expect(await repository.entriesOfVisit(visit.visitId)).toEqual([...entries].sort((a, b) => (a.at + a.id < b.at + b.id ? -1 : 1)))
    const [row] = await repository.visitsOfMachine((visit.opened.body as { machine: { id: string } }).machine.id)
    expect(row).toMatchObject({ id: visit.visitId, complaints: ['hums-no-start'], joint: 'call', handedOver: false, customer: { name: 'Millrace Lido' } })
  })

  it('counts what closed visits teach: the confirmed cause once handed over, and what the bench found above it', async () => {
    const before = (await repository.causesOf('pool'))['run-capacitor-failed'] ?? 0
    const visit = testVisit()
    await journal.append([visit.opened, visit.write('cause-said', { fault: 'run-capacitor-failed', verdict: 'it-was-this' })])
    expect((await repository.causesOf('pool'))['run-capacitor-failed'] ?? 0).toBe(before)
    await journal.append([visit.write('handed-over', { watch: '' })])
    expect((await repository.causesOf('pool'))['run-capacitor-failed']).toBe(before + 1)
    expect((await repository.causesOf('pool', { exceptVisit: visit.visitId }))['run-capacitor-failed'] ?? 0).toBe(before)
    expect((await repository.causesOf('pool', { after: '2030-01-01T00:00:00Z' }))['run-capacitor-failed'] ?? 0).toBe(0)
    expect((await repository.causesOf('sump'))['run-capacitor-failed']).toBeUndefined()
    await journal.append([visit.write('post-mortem', { fault: 'winding-shorted', why: 'two turns burnt together', keeping: 'fan' })])
    expect((await repository.causesOf('pool'))['winding-shorted']).toBe(1)
    expect((await repository.causesOf('pool'))['run-capacitor-failed'] ?? 0).toBe(before)
  })

  it('gives visits of before causes were kept theirs', async () => {
    const visit = testVisit()
    await journal.append([visit.opened, visit.write('cause-said', { fault: 'shaft-bent', verdict: 'it-was-this' }), visit.write('handed-over', { watch: '' })])
    await connection.db.execute(sql`UPDATE visits SET cause = NULL WHERE id = ${visit.visitId}`)
    expect((await repository.causesOf('pool'))['shaft-bent']).toBeUndefined()
    await repository.backfillCauses()
    expect((await repository.causesOf('pool'))['shaft-bent']).toBe(1)
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
    await expect(journal.append([visit.opened, reading(visit, 230), reading(testVisit(), 230)])).rejects.toThrow(/entries\.2\.visitId/)
    expect(await repository.count()).toBe(before)
  })

  it('refuses what does not fit the journal, naming the field', async () => {
    const visit = testVisit()
    const other = testVisit()
    const note = visit.write('note', { text: 'a', seenAndLeft: false })
    await journal.append([visit.opened, other.opened, note])
    await expect(journal.append([{ ...visit.opened, id: testVisit().opened.id }])).rejects.toThrow(/opened once/)
    await expect(journal.append([visit.write('retracted', {}, visit.opened.id)])).rejects.toThrow(/cannot be taken back/)
    await expect(journal.append([other.write('retracted', {}, note.id)])).rejects.toThrow(/same visit/)
    await expect(journal.append([visit.write('finding', { check: 'weep-hole', outcome: 'dry', stage: 'test' }, note.id)])).rejects.toThrow(/same kind/)
    await expect(journal.append([visit.write('photo', { hash: 'a'.repeat(64), type: 'image/png', bytes: 3, name: 'x' })])).rejects.toThrow(/api\/photos/)
  })

  it('serialises appends that come at once', async () => {
    const visit = testVisit()
    await journal.append([visit.opened])
    const entries = Array.from({ length: 25 }, (_, index) => reading(visit, 200 + index))
    await Promise.all(entries.map((entry) => journal.append([entry])))
    expect((await repository.entriesOfVisit(visit.visitId)).length).toBe(26)
  })

  it('lists a day with what was left over, and knows each machine’s last visit', async () => {
    const done = testVisit(undefined, '2030-01-01T09:00:00.000Z')
    const machineId = (done.opened.body as { machine: { id: string } }).machine.id
    const left = testVisit(undefined, '2030-01-01T15:00:00.000Z')
    const today = testVisit(machineId, '2030-01-02T09:00:00.000Z')
    await journal.append([done.opened, done.write('handed-over', { watch: '' }), left.opened, today.opened])
    const ids = (await repository.visitsBetween('2030-01-02T00:00:00Z', '2030-01-03T00:00:00Z')).map(({ id }) => id)
    expect(ids).toEqual(expect.arrayContaining([left.visitId, today.visitId]))
    expect(ids).not.toContain(done.visitId)
    expect((await repository.lastVisitOf([machineId], '2030-01-02T00:00:00Z')).get(machineId)).toBe(done.visitId)
  })

  it('never lets an older visit overwrite what was learnt of a machine since', async () => {
    const first = testVisit()
    const { machine } = first.opened.body as { machine: { id: string; name: string } }
    await journal.append([first.opened])
    const older = testVisit(machine.id)
    const body = older.opened.body as { machine: { name: string } }
    await journal.append([{ ...older.opened, at: '2020-01-01T00:00:00.000Z', body: { ...body, machine: { ...body.machine, name: 'the old name' } } } as typeof older.opened])
    expect((await repository.machine(machine.id))?.name).toBe('filter pump 2')
  })

  it('keeps pictures by content, and only pictures', async () => {
    const photos = new PhotoStore(join(dataDir, 'photos'), repository)
    const stored = await photos.add(PIXEL)
    expect(stored).toMatchObject({ type: 'image/png', bytes: PIXEL.length, hash: expect.stringMatching(/^[0-9a-f]{64}$/) as string })
    expect(await photos.add(PIXEL)).toEqual(stored)
    expect((await photos.get(stored.hash))?.content.equals(PIXEL)).toBe(true)
    for (const hostile of [Buffer.from('<svg onload=alert(1)>'), Buffer.from('<html>'), Buffer.alloc(0), Buffer.from('MZ\x90')]) await expect(photos.add(hostile)).rejects.toThrow(/JPEG, PNG or WebP/)
    expect(await photos.get('../../etc/passwd')).toBeUndefined()
  })
})
