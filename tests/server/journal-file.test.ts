import { appendFileSync, cpSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { spawn, spawnSync } from 'node:child_process'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { ENTRY_VERSION, type Entry } from '#core/visit/entry'
import { sql } from 'drizzle-orm'
import { connect } from '../../server/database/connect'
import { readLines } from '../../server/services/journal-lines'
import { DataFolderBusy, lockDataFolder } from '../../server/services/data-lock'
import { JournalFile, JOURNAL_NAME } from '../../server/services/journal-file'
import { openShopApp } from '../../server/services/shop-app'
import { reading, testVisit } from './entries'

let folder: string
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'pike-lamp-file-'))
})
afterEach(() => rmSync(folder, { recursive: true, force: true }))
const kinds = async (file: JournalFile) => {
  const all: string[] = []
  for await (const { bytes } of file.chunks()) all.push(...readLines(bytes).entries.map(({ kind }) => kind))
  return all
}
const journalPath = () => join(folder, JOURNAL_NAME)

describe('the journal file', () => {
  it('gives back every entry, one a line, and says where it ends', async () => {
    const visit = testVisit()
    const file = await JournalFile.open(folder)
    await file.append([visit.opened, reading(visit, 236)])
    const mark = await file.append([reading(visit, 237)])
    expect(await kinds(file)).toEqual(['visit-opened', 'finding', 'finding'])
    expect(mark).toMatchObject({ bytes: readFileSync(journalPath()).length, lines: 3 })
    expect(readFileSync(journalPath(), 'utf8').endsWith('\n')).toBe(true)
    await file.close()
  })

  it('cuts off a line that a crash tore, and goes on after it', async () => {
    const visit = testVisit()
    const first = await JournalFile.open(folder)
    await first.append([visit.opened])
    await first.close()
    appendFileSync(journalPath(), '{"id":"0197a000-00aa-7000-8000-0000000')
    const again = await JournalFile.open(folder)
    await again.append([reading(visit, 236)])
    expect(await kinds(again)).toEqual(['visit-opened', 'finding'])
    await again.close()
  })

  it('keeps a last line that lacks only its end: an editor took it, and it may have been acknowledged', async () => {
    const visit = testVisit()
    writeFileSync(journalPath(), JSON.stringify(visit.opened))
    const file = await JournalFile.open(folder)
    await file.append([reading(visit, 236)])
    expect(await kinds(file)).toEqual(['visit-opened', 'finding'])
    await file.close()
  })

  it('reads lines longer than a chunk, and chunks that end in the middle of a letter', async () => {
    const visit = testVisit()
    const long = { ...visit.write('note', { text: 'ü'.repeat(2000), seenAndLeft: false }), author: 'x' }
    writeFileSync(
      journalPath(),
      [
        JSON.stringify(visit.opened),
        ' '.repeat(1_300_000),
        ...Array.from({ length: 400 }, () => JSON.stringify(long)),
        '',
      ].join('\n'),
    )
    const file = await JournalFile.open(folder)
    expect((await kinds(file)).length).toBe(401)
    await file.close()
  })

  it('knows whether it is still the file of a mark', async () => {
    const visit = testVisit()
    const file = await JournalFile.open(folder)
    const mark = await file.append([visit.opened])
    await file.append([reading(visit, 236)])
    expect(await file.holds(mark)).toBe(true)
    await file.cutBackTo({ bytes: mark.bytes - 1, lines: 0 })
    expect(await file.holds(mark)).toBe(false)
    await file.close()
  })
})

describe('lines of the journal file', () => {
  it('spoil only themselves, each with its number and why', () => {
    const visit = testVisit()
    const text = [
      JSON.stringify(visit.opened),
      'not json',
      '',
      JSON.stringify({ ...visit.opened, at: '2026-02-30T00:00:00Z' }),
      `${'['.repeat(5000)}${']'.repeat(5000)}`,
      JSON.stringify(reading(visit, 236)),
    ].join('\n')
    const read = readLines(Buffer.concat([Buffer.from(`${text}\n`), Buffer.from([0x7b, 0xff, 0x7d, 0x0a])]))
    expect(read.lines).toBe(7)
    expect(read.entries.map(({ line, kind }) => [line, kind])).toEqual([
      [1, 'visit-opened'],
      [6, 'finding'],
    ])
    expect(read.setAside.map(({ line, reason }) => [line, reason.slice(0, 12)])).toEqual([
      [2, 'not JSON'],
      [4, 'at: it must '],
      [5, 'at most 64 l'],
      [7, 'not UTF-8 te'],
    ])
  })
})

describe('the lock on the data folder', () => {
  it('is held by one, given back, and taken again', async () => {
    const { release } = await lockDataFolder(folder)
    await expect(lockDataFolder(folder)).rejects.toThrow(DataFolderBusy)
    await expect(lockDataFolder(folder)).rejects.toThrow(/in use by another Pike Lamp server/)
    release()
    await lockDataFolder(folder).then(({ release }) => release())
  })

  /** Takes what a holder left, and gives it back: how it was left. */
  const leftBy = async (holder: object | string) => {
    writeFileSync(join(folder, 'server.lock'), typeof holder === 'string' ? holder : JSON.stringify(holder))
    const { left, release } = await lockDataFolder(folder)
    release()
    return left
  }
  it('knows a dead holder at once, and a process number that is used again', async () => {
    const dead = spawnSync('true').pid
    expect(await leftBy({ pid: dead, started: '1' })).toBe('killed')
    expect(await leftBy({ pid: process.pid, started: '1' })).toBe('killed')
    expect(await leftBy('')).toBe('killed')
    expect((await lockDataFolder(folder)).left).toBe('closed')
  })

  it('knows that the machine went down, though a living process has the number and the start of the holder', async () => {
    const { release } = await lockDataFolder(folder)
    const mine = JSON.parse(readFileSync(join(folder, 'server.lock'), 'utf8')) as object
    release()
    expect(await leftBy({ ...mine, boot: 'another start of the machine' })).toBe('power-lost')
  })

  it('respects another living process', async () => {
    const other = spawn('sleep', ['30'])
    const started = readFileSync(`/proc/${other.pid}/stat`, 'utf8').split(') ')[1]?.split(' ')[19]
    writeFileSync(join(folder, 'server.lock'), JSON.stringify({ pid: other.pid, started }))
    await expect(lockDataFolder(folder)).rejects.toThrow(new RegExp(`process ${other.pid}`))
    other.kill()
  })
})

describe('opening a shop’s data', () => {
  it('replays what the database lacks: a lost database is rebuilt from the file', async () => {
    const visit = testVisit()
    const first = await openShopApp({ dataDir: folder })
    await first.journal.append([visit.opened, reading(visit, 236)])
    await first.close()
    rmSync(join(folder, 'database'), { recursive: true })
    const again = await openShopApp({ dataDir: folder })
    expect((await again.repository.entriesOfVisit(visit.visitId)).map(({ kind }) => kind)).toEqual([
      'visit-opened',
      'finding',
    ])
    expect(
      (await again.repository.visitsOfMachine((visit.opened.body as { machine: { id: string } }).machine.id)).length,
    ).toBe(1)
    await again.close()
  })

  it('says in one sentence that a folder cannot be written', async () => {
    await expect(openShopApp({ dataDir: '/dev/null/nowhere' })).rejects.toThrow(/cannot be written.*PIKE_LAMP_DATA/)
  })

  it('gives the lock back when opening fails', async () => {
    mkdirSync(join(folder, 'database'))
    writeFileSync(join(folder, 'database', 'PG_VERSION'), 'nonsense')
    await expect(openShopApp({ dataDir: folder })).rejects.toThrow(/damaged.*journal\.jsonl/)
    rmSync(join(folder, 'database'), { recursive: true })
    await (await openShopApp({ dataDir: folder })).close()
  })
})

describe('the journal file and the database at the start', () => {
  const everyId = async (app: Awaited<ReturnType<typeof openShopApp>>) =>
    (await app.repository.entriesAfter(0, 1000)).map(({ entry }) => entry.id)
  const linesOf = () => readFileSync(journalPath(), 'utf8').trim().split('\n')

  it('read on from where the database remembers, and no further back', async () => {
    const visit = testVisit()
    const first = await openShopApp({ dataDir: folder })
    await first.journal.append([visit.opened, reading(visit, 231)])
    await first.close()
    const late = reading(visit, 232)
    appendFileSync(journalPath(), `${JSON.stringify(late)}\n`)
    const again = await openShopApp({ dataDir: folder })
    expect(again.report).toMatchObject({ takenIn: 1, filled: 0, whole: false, setAside: [] })
    expect(await everyId(again)).toContain(late.id)
    await again.close()
    const third = await openShopApp({ dataDir: folder })
    expect(third.report).toMatchObject({ takenIn: 0, filled: 0, whole: false })
    await third.close()
  })

  it('an older journal, or none at all, gets what the database has', async () => {
    const visit = testVisit()
    const later = [reading(visit, 232), reading(visit, 233)]
    const first = await openShopApp({ dataDir: folder })
    await first.journal.append([visit.opened, reading(visit, 231)])
    const older = readFileSync(journalPath(), 'utf8')
    await first.journal.append(later)
    const whole = readFileSync(journalPath(), 'utf8')
    await first.close()
    writeFileSync(journalPath(), older)
    const second = await openShopApp({ dataDir: folder })
    expect(second.report).toMatchObject({ filled: 2, takenIn: 0, whole: true })
    expect(readFileSync(journalPath(), 'utf8')).toBe(whole)
    await second.close()
    rmSync(journalPath())
    const third = await openShopApp({ dataDir: folder })
    expect(third.report).toMatchObject({ filled: 4 })
    expect(linesOf().map((line) => (JSON.parse(line) as { id: string }).id)).toEqual([
      ...older
        .trim()
        .split('\n')
        .map((line) => (JSON.parse(line) as { id: string }).id),
      ...later.map(({ id }) => id),
    ])
    await third.close()
  })

  it('say where they differ under one id: the database’s stands, the line is set aside', async () => {
    const visit = testVisit()
    const first = await openShopApp({ dataDir: folder })
    await first.journal.append([visit.opened, reading(visit, 231), reading(visit, 232)])
    await first.close()
    writeFileSync(journalPath(), readFileSync(journalPath(), 'utf8').replace('"value":231', '"value":132'))
    const said: string[] = []
    const again = await openShopApp({ dataDir: folder, say: (sentence) => said.push(sentence) })
    expect(again.report?.setAside).toEqual([
      expect.objectContaining({ line: 2, reason: expect.stringContaining('another content') as string }),
    ])
    expect(said.join('\n')).toMatch(/1 line of the journal file is set aside in journal\.rejected\.jsonl.*\n.*line 2/)
    expect(
      (await again.repository.entriesOfVisit(visit.visitId)).flatMap(({ kind, body }) =>
        kind === 'finding' ? [(body as { value: number }).value] : [],
      ),
    ).toEqual([231, 232])
    await again.close()
  })

  it('an interrupted taking in goes on where it was, and lists are whole afterwards', async () => {
    const visits = Array.from({ length: 30 }, () => testVisit())
    writeFileSync(
      journalPath(),
      visits
        .flatMap((visit) => [
          visit.opened,
          ...Array.from({ length: 120 }, (_, index) => reading(visit, 200 + (index % 40))),
        ])
        .map((entry) => `${JSON.stringify(entry)}\n`)
        .join(''),
    )
    let chunks = 0
    await expect(
      openShopApp({
        dataDir: folder,
        tell: ({ doing }) => {
          if (doing === 'journal' && ++chunks === 1) throw new Error('stopped here')
        },
      }),
    ).rejects.toThrow('stopped here')
    const again = await openShopApp({ dataDir: folder })
    expect(again.report?.takenIn).toBeGreaterThan(0)
    expect(again.report?.takenIn).toBeLessThan(30 * 121)
    expect(await again.repository.count()).toBe(30 * 121)
    expect((await again.repository.allMachines()).length).toBe(30)
    await again.close()
  })

  it(
    'of a shop of before there were versions: brought up to date, lists built, every line kept and in the order of ' +
      'its arrival',
    async () => {
      const visit = testVisit()
      const entries = [
        visit.opened,
        { ...reading(visit, 236), at: '2020-01-01T00:00:00Z' } as Entry,
        visit.write('handed-over', { watch: 'the hum', nextDate: '2027-02-30' }),
      ]
      const now = join(import.meta.dirname, '../../server/database/migrations')
      const then = join(folder, 'migrations')
      mkdirSync(join(then, 'meta'), { recursive: true })
      const journal = JSON.parse(readFileSync(join(now, 'meta/_journal.json'), 'utf8')) as {
        entries: { tag: string }[]
      }
      const first = journal.entries.slice(0, 2)
      writeFileSync(join(then, 'meta/_journal.json'), JSON.stringify({ ...journal, entries: first }))
      for (const { tag } of first) cpSync(join(now, `${tag}.sql`), join(then, `${tag}.sql`))
      const old = await connect({ dataDir: folder, migrationsDir: then })
      for (const { id, visitId, kind, at, author, ...rest } of entries) {
        await old.db.execute(
          sql`insert into entries (id, visit_id, kind, at, author, entry) values (${id}, ${visitId}, ${kind}, ${at},
            ${author}, ${JSON.stringify({ id, visitId, kind, at, author, ...rest })}::jsonb)`,
        )
      }
      await old.close()
      writeFileSync(journalPath(), entries.map((entry) => `${JSON.stringify(entry)}\n`).join(''))
      const app = await openShopApp({ dataDir: folder, migrationsDir: now })
      expect(app.report).toMatchObject({ takenIn: 0, filled: 0, whole: true, setAside: [] })
      expect(
        (await app.repository.entriesOfVisit(visit.visitId)).map(({ kind, lamport, v }) => [kind, lamport, v]),
      ).toEqual([
        ['visit-opened', 1, ENTRY_VERSION],
        ['finding', 2, ENTRY_VERSION],
        ['handed-over', 3, ENTRY_VERSION],
      ])
      expect((await app.repository.entriesOfVisit(visit.visitId)).at(-1)?.body).toMatchObject({
        nextDate: '2027-02-28',
      })
      expect(
        (await app.repository.visitsOfMachine((visit.opened.body as { machine: { id: string } }).machine.id))[0],
      ).toMatchObject({ handedOver: true })
      await app.close()
    },
  )
})
