import { appendFileSync, chmodSync, cpSync, mkdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { sql } from 'drizzle-orm'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { connect } from '../../server/database/connect'
import { Repository } from '../../server/database/repository'
import { Journal } from '../../server/services/journal'
import { JournalFile } from '../../server/services/journal-file'
import { openShopApp } from '../../server/services/shop-app'
import { reading, SECRET, secretVisit, testVisit } from './entries'
import { post, serve, spawnServer, temporaryFolder } from './serve'

let folder: ReturnType<typeof temporaryFolder>
beforeEach(() => {
  folder = temporaryFolder()
})
afterEach(() => folder.remove())
const journalText = () => readFileSync(join(folder.path, 'journal.jsonl'), 'utf8')

describe('what the database refuses later', () => {
  it.each([
    ['at once', "alter table entries add constraint no_poison check (entry::text not like '%poison%')"],
    [
      'at the very end, when all is written',
      "create table known_kinds (kind text primary key); insert into known_kinds values ('visit-opened'), " +
        "('finding'); alter table entries add constraint known_kind foreign key (kind) references known_kinds " +
        '(kind) deferrable initially deferred',
    ],
  ])('%s never stays in the journal file, and the shop goes on and opens again', async (_, constraint) => {
    const visit = testVisit()
    const connection = await connect({
      dataDir: folder.path,
      migrationsDir: join(import.meta.dirname, '../../server/database/migrations'),
    })
    for (const statement of constraint.split(';')) await connection.db.execute(sql.raw(statement))
    const file = await JournalFile.open(folder.path)
    const journal = new Journal(new Repository(connection.db), file)
    await journal.append([visit.opened])
    const before = journalText()
    await expect(journal.append([visit.write('note', { text: 'poison', seenAndLeft: false })])).rejects.toThrow()
    expect(journalText()).toBe(before)
    await journal.append([reading(visit, 236)])
    await file.close()
    await connection.close()
    const again = await openShopApp({ dataDir: folder.path })
    expect(again.report?.setAside).toEqual([])
    expect((await again.repository.entriesOfVisit(visit.visitId)).map(({ kind }) => kind)).toEqual([
      'visit-opened',
      'finding',
    ])
    await again.close()
  })

  it('is answered without a word of what it was, and nothing of it is printed', async () => {
    const visit = secretVisit()
    const server = await serve(folder.path)
    await post(`${server.url}/api/entries`, { entries: [visit.opened] })
    await server.kill('SIGTERM')
    const connection = await connect({
      dataDir: folder.path,
      migrationsDir: join(import.meta.dirname, '../../server/database/migrations'),
    })
    await connection.db.execute(sql`alter table entries add constraint no_notes check (kind <> 'note')`)
    await connection.close()
    const again = await serve(folder.path)
    const answer = await post(`${again.url}/api/entries`, {
      entries: [visit.write('note', { text: `${SECRET} will pay`, seenAndLeft: false })],
    })
    expect(answer.status).toBe(422)
    expect(await answer.text()).not.toContain(SECRET)
    await again.kill('SIGTERM')
    expect(again.output()).not.toContain(SECRET)
  })
})

describe('a disk that takes no more', () => {
  it(
    'full: what does not fit is refused in words, whole or not at all; with room again the shop goes on, and ' +
      'nothing acknowledged is lost',
    async () => {
      const visit = testVisit()
      const first = await serve(folder.path)
      await post(`${first.url}/api/entries`, { entries: [visit.opened] })
      await first.kill('SIGTERM')
      // Files end at a size that the journal has nearly reached: what a full disk does, without one. Line ends are no
      // lines.
      const KILOBYTES = 40_000
      appendFileSync(
        join(folder.path, 'journal.jsonl'),
        `${' '.repeat(KILOBYTES * 1024 - journalText().length - 6_000)}\n`,
      )
      const full = await spawnServer(folder.path, {}, [
        'sh',
        '-c',
        `trap '' XFSZ; ulimit -f ${KILOBYTES * 2}; exec "$@"`,
        'sh',
      ])
      await until(async () => (await fetch(`${full.url}/api/health`)).ok)
      const note = () => visit.write('note', { text: 'n'.repeat(1500), seenAndLeft: false })
      const acknowledged: string[] = [visit.opened.id]
      const refused: string[] = []
      for (let turn = 0; turn < 6; turn++) {
        const entry = note()
        const answer = await post(`${full.url}/api/entries`, { entries: [entry] })
        if (answer.ok) acknowledged.push(entry.id)
        else {
          expect(answer.status).toBe(507)
          expect(((await answer.json()) as { title: string }).title).toMatch(/disk is full/)
          refused.push(entry.id)
        }
      }
      expect(refused.length).toBeGreaterThan(0)
      expect(acknowledged.length).toBeGreaterThan(1)
      await full.kill('SIGKILL')
      const again = await serve(folder.path)
      expect((await post(`${again.url}/api/entries`, { entries: [reading(visit, 236)] })).status).toBe(200)
      const ids = (
        (await (await fetch(`${again.url}/api/visits/${visit.visitId}`)).json()) as { entries: { id: string }[] }
      ).entries.map(({ id }) => id)
      expect(acknowledged.filter((id) => !ids.includes(id))).toEqual([])
      expect(refused.filter((id) => ids.includes(id))).toEqual([])
      await again.kill('SIGTERM')
      const linesOf = journalText()
        .split('\n')
        .filter((line) => line.trim())
      expect(linesOf.every((line) => JSON.parse(line))).toBe(true)
    },
  )

  it('read-only: said in one sentence, with what to do', async () => {
    const visit = testVisit()
    const server = await serve(folder.path)
    await post(`${server.url}/api/entries`, { entries: [visit.opened] })
    await server.kill('SIGTERM')
    const sealed = join(folder.path, 'sealed')
    mkdirSync(sealed)
    for (const name of ['database', 'journal.jsonl'])
      cpSync(join(folder.path, name), join(sealed, name), { recursive: true })
    chmodSync(sealed, 0o555)
    // Root writes everywhere: it lends the server somebody else's hands.
    const asNobody = process.getuid?.() === 0 ? ['setpriv', '--reuid=65534', '--regid=65534', '--clear-groups'] : []
    const refused = await spawnServer(sealed, {}, asNobody)
    expect(await refused.exited).toBe(1)
    expect(refused.output()).toMatch(/cannot be written.*PIKE_LAMP_DATA/)
    expect(refused.output()).not.toMatch(/\n\s+at /)
    chmodSync(sealed, 0o755)
  })
})

describe('clocks that are wrong', () => {
  it('an hour back, a year on, another zone: gates, undo and corrections stand as they were written', async () => {
    const visit = testVisit()
    const server = await serve(folder.path)
    const at = (entry: ReturnType<typeof reading>, when: string) => ({ ...entry, at: when })
    const first = at(reading(visit, 23.6), '2026-05-12T12:00:00+02:00')
    const corrected = at(
      visit.write('finding', { check: 'supply-voltage', value: 236, unit: 'V', stage: 'test' }, first.id),
      '2026-05-12T09:00:00Z',
    )
    const off = at(visit.write('gate', { gate: 'power-off', shut: true }), '2027-05-12T10:00:00Z')
    const on = at(visit.write('gate', { gate: 'power-on', shut: true }), '2025-05-12T10:00:00-10:00')
    for (const entry of [visit.opened, first, corrected, off, on])
      expect((await post(`${server.url}/api/entries`, { entries: [entry] })).status).toBe(200)
    const { entries } = (await (await fetch(`${server.url}/api/visits/${visit.visitId}`)).json()) as {
      entries: { id: string; lamport: number }[]
    }
    expect(entries.map(({ id }) => id)).toEqual([visit.opened, first, corrected, off, on].map(({ id }) => id))
    const csv = await (await fetch(`${server.url}/api/visits/${visit.visitId}/readings.csv`)).text()
    expect(csv).toContain(',236,V')
    expect(csv).not.toContain('23.6')
    await server.kill('SIGTERM')
  })
})

async function until(holds: () => Promise<boolean>): Promise<void> {
  for (let attempt = 0; attempt < 400; attempt++) {
    if (await holds().catch(() => false)) return
    await new Promise((wait) => setTimeout(wait, 50))
  }
  throw new Error('it never came')
}
