import { appendFileSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { spawn, spawnSync } from 'node:child_process'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { DataFolderBusy, lockDataFolder } from '../../server/services/data-lock'
import { JournalFile, JOURNAL_NAME } from '../../server/services/journal-file'
import { openShopApp } from '../../server/services/shop-app'
import { reading, testVisit } from './entries'

let folder: string
beforeEach(() => { folder = mkdtempSync(join(tmpdir(), 'pike-lamp-file-')) })
afterEach(() => rmSync(folder, { recursive: true, force: true }))
const lines = async (file: JournalFile) => {
  const all: unknown[] = []
  for await (const line of file.read()) all.push(line)
  return all
}

describe('the journal file', () => {
  it('gives back every entry, one a line', async () => {
    const visit = testVisit()
    const file = await JournalFile.open(folder)
    await file.append([visit.opened, reading(visit, 236)])
    await file.append([reading(visit, 237)])
    expect((await lines(file)).length).toBe(3)
    expect(readFileSync(join(folder, JOURNAL_NAME), 'utf8').endsWith('\n')).toBe(true)
    await file.close()
  })

  it('cuts off a line that a crash tore, and goes on after it', async () => {
    const visit = testVisit()
    const first = await JournalFile.open(folder)
    await first.append([visit.opened])
    await first.close()
    appendFileSync(join(folder, JOURNAL_NAME), '{"id":"0197a000-00aa-7000-8000-0000000')
    const again = await JournalFile.open(folder)
    await again.append([reading(visit, 236)])
    expect((await lines(again)).map((entry) => (entry as { kind: string }).kind)).toEqual(['visit-opened', 'finding'])
    await again.close()
  })

  it('names the line that something else has spoilt, and does not guess', async () => {
    writeFileSync(join(folder, JOURNAL_NAME), '{"a":1}\nnot json\n{"b":2}\n')
    const file = await JournalFile.open(folder)
    await expect(lines(file)).rejects.toThrow(/Line 2/)
    await file.close()
  })
})

describe('the lock on the data folder', () => {
  it('is held by one, given back, and taken again', async () => {
    const release = await lockDataFolder(folder)
    await expect(lockDataFolder(folder)).rejects.toThrow(DataFolderBusy)
    await expect(lockDataFolder(folder)).rejects.toThrow(/in use by another Pike Lamp server/)
    release()
    ;(await lockDataFolder(folder))()
  })

  it('knows a dead holder at once, and a process number that is used again', async () => {
    const dead = spawnSync('true').pid
    writeFileSync(join(folder, 'server.lock'), JSON.stringify({ pid: dead, started: '1' }))
    ;(await lockDataFolder(folder))()
    writeFileSync(join(folder, 'server.lock'), JSON.stringify({ pid: process.pid, started: '1' }))
    ;(await lockDataFolder(folder))()
    writeFileSync(join(folder, 'server.lock'), '')
    ;(await lockDataFolder(folder))()
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
    expect((await again.repository.entriesOfVisit(visit.visitId)).map(({ kind }) => kind)).toEqual(['visit-opened', 'finding'])
    expect((await again.repository.visitsOfMachine((visit.opened.body as { machine: { id: string } }).machine.id)).length).toBe(1)
    await again.close()
  })

  it('says in one sentence that a folder cannot be written', async () => {
    await expect(openShopApp({ dataDir: '/dev/null/nowhere' })).rejects.toThrow(/cannot be written.*PIKE_LAMP_DATA/)
  })

  it('gives the lock back when opening fails', async () => {
    writeFileSync(join(folder, JOURNAL_NAME), 'not json\n')
    await expect(openShopApp({ dataDir: folder })).rejects.toThrow(/Line 1/)
    writeFileSync(join(folder, JOURNAL_NAME), '')
    await (await openShopApp({ dataDir: folder })).close()
  })
})
