import { mkdirSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { addDays } from 'date-fns'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import { KEPT_DAYS } from '#core/pumps/device-window'
import { ENTRY_VERSION, type Entry } from '#core/visit/entry'
import { DeviceAnswers } from '../../app/utils/device-answers'
import { DeviceStore } from '../../app/utils/device-store'
import { readWindow } from '../../app/utils/read-window'
import { freshBrowser } from '../../app/utils/browser.fixture'
import { startPostgres } from '../../scripts/lib/postgres.mjs'
import { seedDemo } from '../../scripts/lib/seed.mjs'
import { reading, testVisit } from './entries'
import { post, serve, temporaryFolder, type Served } from './serve'

const nativeFetch = fetch
const NOW = new Date('2026-05-12T09:40:00.000Z')
const MIDNIGHT = new Date('2026-05-12T00:00:00.000Z')
const SPAN = {
  from: addDays(MIDNIGHT, -KEPT_DAYS.before).toISOString(),
  to: addDays(MIDNIGHT, KEPT_DAYS.after).toISOString(),
}

describe.each(['embedded', 'server'] as const)('what a device keeps of a shop with the %s database', (kind) => {
  const folder = temporaryFolder()
  let server: Served
  let stop: (() => unknown) | undefined
  let store: DeviceStore
  let answers: DeviceAnswers
  let waiting: Entry[] = []
  /** What the last reading brought, line by line. */
  let brought: string[] = []
  /** Breaks the next reading off after so many letters. */
  let cutAfter: number | undefined

  beforeAll(async () => {
    freshBrowser()
    const env: Record<string, string> = { PIKE_LAMP_NOW: NOW.toISOString() }
    const entries = (await seedDemo(NOW)) as Entry[]
    if (kind === 'server') {
      const postgres = await startPostgres()
      stop = postgres.stop
      env.DATABASE_URL = postgres.url
      server = await serve(folder.path, env)
      for (let at = 0; at < entries.length; at += 400)
        expect((await post(`${server.url}/api/entries`, { entries: entries.slice(at, at + 400) })).status).toBe(200)
    } else {
      mkdirSync(folder.path, { recursive: true })
      const lines = entries.map((entry) => `${JSON.stringify(entry)}\n`)
      writeFileSync(join(folder.path, 'journal.jsonl'), lines.join(''))
      server = await serve(folder.path, env)
    }
    // The device asks as a page does, by paths alone; the tests ask by whole addresses.
    vi.stubGlobal('fetch', async (path: string, init?: RequestInit) => {
      if (!path.startsWith('/')) return nativeFetch(path, init)
      const text = await (await nativeFetch(`${server.url}${path}`, init)).text()
      brought = text.trim().split('\n')
      if (cutAfter === undefined) return new Response(text)
      const cut = text.slice(0, cutAfter)
      cutAfter = undefined
      return new Response(
        new ReadableStream({
          start(controller) {
            controller.enqueue(new TextEncoder().encode(cut))
            controller.error(new TypeError('network error'))
          },
        }),
      )
    })
    store = new DeviceStore()
    answers = new DeviceAnswers(
      store,
      () => waiting,
      () => NOW.toISOString(),
    )
  })
  afterAll(async () => {
    vi.unstubAllGlobals()
    await server.kill('SIGTERM')
    await stop?.()
    folder.remove()
  })

  const asked = async (path: string) => (await (await fetch(`${server.url}${path}`)).json()) as object
  const read = () => readWindow(store, SPAN, NOW.toISOString(), () => undefined)
  /** Read until the shop has taken in all that arrived: what comes then is what came after. */
  const readTakenIn = () =>
    expect
      .poll(
        async () => {
          const window = await read()
          return window && window.since === window.heard
        },
        { timeout: 30_000 },
      )
      .toBe(true)
  const kinds = () => brought.map((line) => (JSON.parse(line) as { is: string }).is)
  /** What the device says, as it would come over the way. */
  const own = async (path: string) => {
    const answer = await answers.answer(path)
    return answer && (JSON.parse(JSON.stringify(answer)) as object)
  }
  async function paths(): Promise<string[]> {
    const days = [-3, 0, 1, 6].map((ahead) => {
      const [from = '', to = ''] = [ahead, ahead + 1].map((each) => addDays(MIDNIGHT, each).toISOString())
      return `/api/day?from=${from}&to=${to}&on=${from.slice(0, 10)}`
    })
    return [
      ...days,
      ...(await store.idsOf('visits')).map((id) => `/api/visits/${id}`),
      ...(await store.idsOf('machines')).map((id) => `/api/machines/${id}/card`),
      ...(await store.idsOf('customers')).map((id) => `/api/customers/${id}`),
    ]
  }
  async function expectEqual(): Promise<void> {
    for (const path of await paths()) expect(await own(path), path).toEqual(await asked(path))
  }

  it('broken off, it is no window; read again it is whole, and answers as the shop does', async () => {
    cutAfter = 200_000
    await expect(read()).rejects.toThrow('network error')
    expect(await store.window()).toBeUndefined()
    expect(await own('/api/day?from=2026-05-12T00:00:00.000Z&to=2026-05-13T00:00:00.000Z')).toBeUndefined()
    const window = await read()
    expect(window?.visits.length).toBeGreaterThan(8)
    expect(brought.length).toBeGreaterThan(24)
    await readTakenIn()
    await expectEqual()
  })

  it('read again, only what is new or has changed comes', async () => {
    await readTakenIn()
    await read()
    expect(kinds()).toEqual(['window', 'whole'])
    const [visitId = ''] = (await store.window())?.visits ?? []
    const opened = (await store.visit(visitId))?.entries.find(({ kind: is }) => is === 'visit-opened')
    const machine = (opened?.body as { machine: { id: string } }).machine
    const visit = testVisit(machine.id)
    const line = { ...reading(visit, 236), visitId }
    expect((await post(`${server.url}/api/entries`, { entries: [line] })).status).toBe(200)
    await read()
    // The visit, its machine's card, and other visits of that machine, whose history it stands in.
    expect(kinds().filter((is) => is === 'machine')).toHaveLength(1)
    expect(kinds().filter((is) => is === 'visit').length).toBeLessThan(4)
    await readTakenIn()
    await expectEqual()
  })

  it('what was written here and waits stands in every answer; what the shop says next is the same', async () => {
    const visit = testVisit()
    const lines = [visit.opened, reading(visit, 231), visit.write('note', { text: 'wet floor', seenAndLeft: true })]
    waiting = lines.map((line, index) => ({ ...line, v: ENTRY_VERSION, lamport: index + 1 }) as Entry)
    const before = (await own(`/api/visits/${visit.visitId}`)) as { entries: Entry[] }
    expect(before.entries.map(({ id }) => id)).toEqual(lines.map(({ id }) => id))
    const day = '/api/day?from=2026-05-12T00:00:00.000Z&to=2026-05-13T00:00:00.000Z&on=2026-05-12'
    expect(((await own(day)) as { visits: { id: string }[] }).visits.map(({ id }) => id)).toContain(visit.visitId)
    const { customer, machine } = visit.opened.body as { customer: { id: string }; machine: { id: string } }
    expect(await own(`/api/machines/${machine.id}/card`)).toMatchObject({ card: { machine, customer } })
    expect(await own(`/api/customers/${customer.id}`)).toMatchObject({ customer, machines: [{ machine }] })
    expect((await post(`${server.url}/api/entries`, { entries: waiting })).status).toBe(200)
    const sent = waiting
    waiting = []
    expect(await own(`/api/visits/${visit.visitId}`)).toBeUndefined()
    // Heard line by line: a visit that is not kept is not made up of some of its lines.
    await store.hear(1e6, sent, () => false)
    expect(await own(`/api/visits/${visit.visitId}`)).toBeUndefined()
    await readTakenIn()
    await expectEqual()
  })

  it('lines that are heard stand in kept visits as if they had been read', async () => {
    const [visitId = ''] = (await store.window())?.visits ?? []
    const line = { ...reading(testVisit(), 229), visitId, lamport: 9_000, v: ENTRY_VERSION } as Entry
    expect((await post(`${server.url}/api/entries`, { entries: [line] })).status).toBe(200)
    const arrival = ((await store.window())?.heard ?? 0) + 1
    await store.hear(arrival, [line], () => false)
    expect((await store.window())?.heard).toBe(arrival)
    const { entries } = (await own(`/api/visits/${visitId}`)) as { entries: Entry[] }
    expect(entries).toEqual(((await asked(`/api/visits/${visitId}`)) as { entries: Entry[] }).entries)
  })

  it('words find who and what is here', async () => {
    const found = (await own('/api/pumps?q=millrace')) as { groups: { what: string; count: number }[] }
    const theirs = (await asked('/api/pumps?q=millrace')) as typeof found
    const of = ({ groups }: typeof found, what: string) => groups.find((group) => group.what === what)?.count
    expect(of(found, 'customer')).toBe(of(theirs, 'customer'))
    expect(of(found, 'machine')).toBe(of(theirs, 'machine'))
  })

  it.each([
    [{ from: 'x', to: SPAN.to, visits: [], machines: [], customers: [] }, 'from'],
    [{ ...SPAN, to: '2027-05-12T00:00:00Z', visits: [], machines: [], customers: [] }, 'to'],
    [{ ...SPAN, visits: ['x'], machines: [], customers: [] }, 'visits'],
    [{ ...SPAN, since: -1, visits: [], machines: [], customers: [] }, 'since'],
  ])('says which field of a question is wrong: %j', async (body, field) => {
    const response = await post(`${server.url}/api/device`, body)
    expect(response.status).toBe(422)
    const { problems } = (await response.json()) as { problems: { field: string }[] }
    expect(problems[0]?.field).toMatch(new RegExp(`^${field}`))
  })
})
