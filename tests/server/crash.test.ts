import { cpSync, existsSync, readdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs'
import { join, relative } from 'node:path'
import { afterAll, describe, expect, it } from 'vitest'
import { startPostgres } from '../../scripts/lib/postgres.mjs'
import { foldVisit } from '#core/visit/fold'
import type { Entry } from '#core/visit/entry'
import { reading, testVisit } from './entries'
import { post, serve, spawnServer, temporaryFolder } from './serve'

const folder = temporaryFolder()
afterAll(() => folder.remove())
const journalOf = async (url: string, visitId: string) =>
  ((await (await fetch(`${url}/api/visits/${visitId}`)).json()) as { entries: Entry[] }).entries

describe('kill -9, power loss and a second server, for real', () => {
  it('keeps every acknowledged entry through kill -9 in the middle of appends, five times', async () => {
    const visit = testVisit()
    const acknowledged: string[] = []
    for (let round = 0; round < 5; round++) {
      const server = await serve(folder.path)
      if (round === 0) {
        await post(`${server.url}/api/entries`, { entries: [visit.opened] })
        acknowledged.push(visit.opened.id)
      }
      for (const id of acknowledged)
        expect((await journalOf(server.url, visit.visitId)).some((entry) => entry.id === id)).toBe(true)
      let stop = false
      const writers = Array.from({ length: 3 }, async () => {
        while (!stop) {
          const entry = reading(visit, 200 + Math.floor(Math.random() * 60))
          const taken = await post(`${server.url}/api/entries`, { entries: [entry] }).then(
            ({ ok }) => ok,
            () => false,
          )
          if (taken) acknowledged.push(entry.id)
        }
      })
      // Killed in the middle of appends by their number, not by a clock: a slow machine has as many behind it as a fast
      // one.
      const enough = acknowledged.length + 6 + round
      while (acknowledged.length < enough) await new Promise((wait) => setTimeout(wait, 5))
      await server.kill('SIGKILL')
      stop = true
      await Promise.all(writers)
    }
    const server = await serve(folder.path)
    const entries = await journalOf(server.url, visit.visitId)
    const ids = new Set(entries.map(({ id }) => id))
    expect(acknowledged.length).toBeGreaterThan(20)
    expect(acknowledged.filter((id) => !ids.has(id))).toEqual([])
    expect(foldVisit(entries)?.findings.length).toBe(entries.length - 1)
    await server.kill('SIGTERM')
  })

  it('brings back what a database put back to an older copy has lost', async () => {
    const visit = testVisit()
    const first = await serve(folder.path)
    await post(`${first.url}/api/entries`, { entries: [visit.opened] })
    await first.kill('SIGTERM')
    const copy = join(folder.path, 'older-copy')
    cpSync(join(folder.path, 'database'), copy, { recursive: true })
    const second = await serve(folder.path)
    const later = [reading(visit, 231), reading(visit, 232)]
    expect((await post(`${second.url}/api/entries`, { entries: later })).status).toBe(200)
    await second.kill('SIGKILL')
    rmSync(join(folder.path, 'database'), { recursive: true })
    renameSync(copy, join(folder.path, 'database'))
    const third = await serve(folder.path)
    expect((await journalOf(third.url, visit.visitId)).map(({ id }) => id)).toEqual([
      visit.opened.id,
      ...later.map(({ id }) => id),
    ])
    await third.kill('SIGTERM')
  })

  it('loses nothing with the machine: of the database some files are of now, and some of before', async () => {
    const visit = testVisit()
    const first = await serve(folder.path)
    await post(`${first.url}/api/entries`, { entries: [visit.opened] })
    const copy = join(folder.path, 'older-copy')
    cpSync(join(folder.path, 'database'), copy, { recursive: true })
    const later = Array.from({ length: 12 }, (_, turn) => reading(visit, 220 + turn))
    for (const entry of later) expect((await post(`${first.url}/api/entries`, { entries: [entry] })).status).toBe(200)
    await first.kill('SIGKILL')
    const names = readdirSync(copy, { recursive: true, withFileTypes: true }).filter((each) => each.isFile())
    for (const [index, { parentPath, name }] of names.entries()) {
      const path = join(parentPath, name)
      if (index % 3 === 0) cpSync(path, join(folder.path, 'database', relative(copy, path)))
    }
    const lock = join(folder.path, 'server.lock')
    writeFileSync(lock, JSON.stringify({ ...(JSON.parse(readFileSync(lock, 'utf8')) as object), boot: 'before' }))
    const second = await serve(folder.path)
    expect(second.output()).toMatch(/machine went down while the shop was open: it is built anew/)
    expect((await journalOf(second.url, visit.visitId)).map(({ id }) => id)).toEqual([
      visit.opened.id,
      ...later.map(({ id }) => id),
    ])
    await second.kill('SIGTERM')
    rmSync(copy, { recursive: true })
  })

  it('goes on when the database server was killed under it: nothing acknowledged is lost, nobody hears of a failure', async () => {
    const postgres = await startPostgres({ fsync: true })
    const own = temporaryFolder()
    const server = await serve(own.path, { DATABASE_URL: postgres.url })
    const visit = testVisit()
    await post(`${server.url}/api/entries`, { entries: [visit.opened] })
    const statuses = new Set<number>()
    const acknowledged: string[] = []
    for (let round = 0; round < 2; round++) {
      let isOver = false
      const writers = Array.from({ length: 4 }, async () => {
        while (!isOver) {
          const entry = reading(visit, 230)
          const { status } = await post(`${server.url}/api/entries`, { entries: [entry] })
          if (status === 200) acknowledged.push(entry.id)
          statuses.add(status)
        }
      })
      const readers = Array.from({ length: 4 }, async () => {
        while (!isOver) statuses.add((await fetch(`${server.url}/api/visits/${visit.visitId}`)).status)
      })
      const more = (count: number) => expect.poll(() => acknowledged.length, { timeout: 30_000 }).toBeGreaterThan(count)
      await more(acknowledged.length + 5)
      await postgres.kill()
      await postgres.again()
      await more(acknowledged.length + 5)
      isOver = true
      await Promise.all([...writers, ...readers])
    }
    expect([...statuses].sort()).toEqual([200, 503])
    const ids = (await journalOf(server.url, visit.visitId)).map(({ id }) => id)
    expect(new Set(ids).size).toBe(ids.length)
    expect(acknowledged.filter((id) => !ids.includes(id))).toEqual([])
    await server.kill('SIGTERM')
    postgres.stop()
    own.remove()
  })

  it('refuses a second server on the folder in one sentence, and harms nothing', async () => {
    const visit = testVisit()
    const first = await serve(folder.path)
    await post(`${first.url}/api/entries`, { entries: [visit.opened] })
    const second = await spawnServer(folder.path)
    expect(await second.exited).toBe(1)
    expect(second.output()).toMatch(/in use by another Pike Lamp server \(process \d+\)/)
    expect(second.output()).not.toMatch(/\n\s+at /)
    expect((await post(`${first.url}/api/entries`, { entries: [reading(visit, 233)] })).status).toBe(200)
    expect((await journalOf(first.url, visit.visitId)).length).toBe(2)
    await first.kill('SIGTERM')
    expect(existsSync(join(folder.path, 'server.lock'))).toBe(false)
    expect(
      readFileSync(join(folder.path, 'journal.jsonl'), 'utf8')
        .trim()
        .split('\n')
        .every((line) => JSON.parse(line)),
    ).toBe(true)
  })
})
