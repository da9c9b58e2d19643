import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import pg from 'pg'
import { v7 as uuidv7 } from 'uuid'
import type { Entry } from '#core/visit/entry'
import { startPostgres } from '../../scripts/lib/postgres.mjs'
import { reading, testVisit } from './entries'
import { listenTo } from './listening'
import { post, serve, temporaryFolder, type Served } from './serve'

const ids = (entries: readonly Entry[]) => entries.map(({ id }) => id)

describe.each(['embedded', 'server'] as const)('lines as they arrive, on the %s database', (kind) => {
  const folder = temporaryFolder()
  const other = temporaryFolder()
  let one: Served
  /** On a database server a second server of the same shop: what is written at one is heard at the other. */
  let two: Served
  let stop: (() => unknown) | undefined
  let databaseUrl: string | undefined
  beforeAll(async () => {
    if (kind === 'embedded') {
      one = await serve(folder.path)
      two = one
      return
    }
    const postgres = await startPostgres()
    stop = postgres.stop
    databaseUrl = postgres.url
    one = await serve(folder.path, { DATABASE_URL: postgres.url })
    two = await serve(other.path, { DATABASE_URL: postgres.url })
  })
  afterAll(async () => {
    await one.kill('SIGTERM')
    if (two !== one) await two.kill('SIGTERM')
    stop?.()
    folder.remove()
    other.remove()
  })
  const write = (at: Served, ...entries: Entry[]) => post(`${at.url}/api/entries`, { entries })

  it('are heard wherever they were written, each once and in order', async () => {
    const visit = testVisit()
    const listening = await listenTo(two.url)
    expect(listening.response.headers.get('content-type')).toContain('text/event-stream')
    const readings = [231, 232, 233].map((volts) => reading(visit, volts))
    await write(one, visit.opened)
    for (const line of readings) await write(one, line)
    const wanted = [visit.opened, ...readings]
    await listening.until(() => listening.lines().length >= wanted.length)
    expect(ids(listening.lines())).toEqual(ids(wanted))
    await listening.end()
  })

  it('go on after a break from the line that was heard last', async () => {
    const visit = testVisit()
    await write(one, visit.opened)
    const first = await listenTo(one.url, { after: 0 })
    await first.until((events) => events.some(({ event }) => event === 'lines'))
    const lastId = first.heard.at(-1)?.id as string
    await first.end()
    const missed = [reading(visit, 220), reading(visit, 221)]
    await write(one, ...missed)
    const again = await listenTo(two.url, { lastId })
    await again.until(() => again.lines().length >= 2)
    const later = reading(visit, 222)
    await write(two, later)
    await again.until(() => again.lines().length >= 3)
    expect(ids(again.lines())).toEqual(ids([...missed, later]))
    await again.end()
  })

  // The embedded engine is part of its server: there is no connection to break.
  const itOnServer = kind === 'server' ? it : () => undefined
  itOnServer('go on after every connection of the servers to their database broke', async () => {
    const visit = testVisit()
    const listening = await listenTo(two.url)
    await write(one, visit.opened)
    await listening.until(() => listening.lines().length === 1)
    const client = new pg.Client({ connectionString: databaseUrl })
    await client.connect()
    await client.query('select pg_terminate_backend(pid) from pg_stat_activity where pid <> pg_backend_pid()')
    await client.end()
    const line = reading(visit, 234)
    // The first request may meet a connection that broke under it; the device sends it again.
    for (let sent = await write(one, line); !sent.ok; sent = await write(one, line)) expect(sent.status).toBe(503)
    await listening.until(() => listening.lines().some(({ id }) => id === line.id))
    await listening.end()
  })

  it('are not told one by one where very many came at once', async () => {
    const visit = testVisit()
    // A database server tells of lines a moment after they are acknowledged: whoever follows has heard of them all.
    const following = await listenTo(one.url)
    await write(one, visit.opened)
    const many = Array.from({ length: 600 }, (_, index) => reading(visit, 200 + (index % 40)))
    await write(one, ...many.slice(0, 300))
    await write(one, ...many.slice(300))
    const last = many.at(-1)?.id as string
    await following.until(
      (events) => ids(following.lines()).includes(last) || events.some(({ event }) => event === 'far'),
    )
    await following.end()
    const listening = await listenTo(one.url, { after: 0 })
    await listening.until((events) => events.some(({ event }) => event === 'far'))
    expect(listening.lines()).toEqual([])
    const after = reading(visit, 236)
    await write(one, after)
    await listening.until(() => listening.lines().length > 0)
    expect(ids(listening.lines())).toEqual([after.id])
    await listening.end()
  })

  it('say so to whoever has heard more than there is', async () => {
    const listening = await listenTo(one.url, { after: 1_000_000_000 })
    await listening.until((events) => events.some(({ event }) => event === 'far'))
    const visit = testVisit()
    await write(one, visit.opened)
    await listening.until(() => listening.lines().length > 0)
    await listening.end()
  })

  it('every answer says what it was worked out after', async () => {
    const visit = testVisit()
    await write(one, visit.opened)
    const health = await fetch(`${one.url}/api/visits/${visit.visitId}`)
    const arrival = Number(health.headers.get('x-arrival'))
    expect(arrival).toBeGreaterThan(0)
    const line = reading(visit, 236)
    await write(one, line)
    const listening = await listenTo(one.url, { after: arrival })
    await listening.until(() => listening.lines().some(({ id }) => id === line.id))
    await listening.end()
  })

  it.each(['x', '-1', '1.5'])('refuses %s as a place to go on from', async (after) => {
    const response = await fetch(`${one.url}/api/live?after=${after}`)
    expect(response.status).toBe(422)
    expect(await response.text()).toContain('after')
  })
})

/** The customers that a server finds. */
async function foundAt({ url }: Served): Promise<string[]> {
  const { groups } = (await (await fetch(`${url}/api/pumps?q=millrace`)).json()) as {
    groups: { what: string; lines: { customerId: string }[] }[]
  }
  return groups.find(({ what }) => what === 'customer')?.lines.map(({ customerId }) => customerId) ?? []
}

describe('a server that stops', () => {
  it('waits for nobody that listens, and ends what it tells them', async () => {
    const aside = temporaryFolder()
    const served = await serve(aside.path)
    const listening = await listenTo(served.url)
    await listening.until((events) => events.length > 0)
    await served.kill('SIGTERM')
    expect(await served.exited).toBe(0)
    expect(await listening.ended).toEqual({ brokeOff: false })
    aside.remove()
  })
})

describe('two servers of one shop', () => {
  const CLIENTS = 20
  it('are one shop to twenty clients that write the same visits with the same ids', async () => {
    const postgres = await startPostgres()
    const [a, b] = [temporaryFolder(), temporaryFolder()]
    const servers = await Promise.all([a, b].map(({ path }) => serve(path, { DATABASE_URL: postgres.url })))
    try {
      const visits = Array.from({ length: 4 }, () => testVisit())
      const lines = visits.map((visit) => Array.from({ length: 12 }, (_, index) => reading(visit, 200 + index)))
      const listening = await Promise.all(servers.map(({ url }) => listenTo(url)))
      // Each client sends every line, in an order of its own, some of them twice, to either server.
      const answers = await Promise.all(
        Array.from({ length: CLIENTS }, async (_, client) => {
          let refused = 0
          for (const [index, visit] of visits.entries())
            for (const entries of [[visit.opened], ...(lines[index] ?? []).map((line) => [visit.opened, line])]) {
              const at = servers[(client + entries.length + index) % servers.length] as Served
              const response = await post(`${at.url}/api/entries`, { entries })
              if (!response.ok) refused++
            }
          return refused
        }),
      )
      expect(answers).toEqual(Array(CLIENTS).fill(0))
      const total = visits.length * 13
      for (const each of listening) await each.until(() => each.lines().length >= total)
      for (const each of listening) expect(new Set(ids(each.lines())).size).toBe(each.lines().length)
      const views = await Promise.all(
        servers.map(({ url }) =>
          Promise.all(visits.map(async ({ visitId }) => (await fetch(`${url}/api/visits/${visitId}`)).json())),
        ),
      )
      expect(views[0]).toEqual(views[1])
      expect((views[0] as { entries: Entry[] }[]).map(({ entries }) => entries.length)).toEqual([13, 13, 13, 13])
      const customers = visits.map(({ opened }) => (opened.body as { customer: { id: string } }).customer.id)
      for (const server of servers) expect((await foundAt(server)).sort()).toEqual(customers.sort())
      // An id that is taken by another content is refused at either.
      const stolen = { ...reading(visits[0] as never, 1), id: lines[0]?.[0]?.id ?? uuidv7() }
      for (const { url } of servers) expect((await post(`${url}/api/entries`, { entries: [stolen] })).status).toBe(409)
      await Promise.all(listening.map((each) => each.end()))
    } finally {
      await Promise.all(servers.map((server) => server.kill('SIGTERM')))
      postgres.stop()
      a.remove()
      b.remove()
    }
  })
})
