import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import sharp from 'sharp'
import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { FORMER_CUSTOMER } from '#core/visit/forgotten'
import { readVisitFile } from '#core/visit/visit-file'
import type { Customer, Entry, EntryBodies, EntryKind } from '#core/visit/entry'
import { startPostgres } from '../../scripts/lib/postgres.mjs'
import { reading, testVisit, type TestVisit } from './entries'
import { listenTo } from './listening'
import { post, serve, temporaryFolder, type Served } from './serve'

/** Stands wherever somebody's name or words could: nothing of it may be found anywhere afterwards. */
const THEIRS = 'Quillfeather'
const NOW = '2026-05-12T09:40:00.000Z'

const shopLine = <K extends EntryKind>(kind: K, body: EntryBodies[K]): Entry =>
  ({ id: uuidv7(), visitId: null, kind, at: NOW, author: 'test', body }) as unknown as Entry
const picture = (shade: number) =>
  sharp({ create: { width: 24, height: 24, channels: 3, background: { r: shade, g: 20, b: 60 } } })
    .png()
    .toBuffer()

/** Where something of theirs stands, with what is around it. */
const tracesIn = (text: string): string[] =>
  [...text.matchAll(new RegExp(`.{0,60}${THEIRS}.{0,20}`, 'gi'))].map(([found]) => found)

/** A visit at somebody's, with something of theirs in every corner. */
function theirVisit(
  customerId: string,
  more: readonly Entry[] = [],
  visit = testVisit(),
): TestVisit & { lines: Entry[] } {
  const body = visit.opened.body as EntryBodies['visit-opened']
  const opened = {
    ...visit.opened,
    body: {
      ...body,
      customer: {
        id: customerId,
        name: THEIRS,
        place: `${THEIRS} Lane 4`,
        phone: `555 ${THEIRS}`,
        mail: 'q@quillfeather.example',
      },
      machine: { ...body.machine, customerId, name: `${THEIRS} pool` },
      callerSays: `it hums, says ${THEIRS}`,
    },
  } as Entry
  return {
    ...visit,
    opened,
    lines: [
      opened,
      reading(visit, 231),
      visit.write('note', { text: `${THEIRS} was there`, seenAndLeft: true }),
      ...more,
    ],
  }
}

describe.each(['embedded', 'server'] as const)('one customer’s data in a shop with the %s database', (kind) => {
  const folder = temporaryFolder()
  const env: Record<string, string> = { PIKE_LAMP_NOW: NOW }
  let server: Served
  let stop: (() => unknown) | undefined
  const [who, twin] = [uuidv7(), uuidv7()]
  const theirs = theirVisit(who)
  const other = testVisit(uuidv7())
  const otherCustomer = (other.opened.body as EntryBodies['visit-opened']).customer.id
  const mail = uuidv7()
  const hashes = { own: '', shared: '' }
  let journalBefore = ''
  let mark = 0

  const get = (path: string) => fetch(`${server.url}${path}`)
  const read = async <T>(path: string) => (await (await get(path)).json()) as T
  const send = (...entries: Entry[]) => post(`${server.url}/api/entries`, { entries })
  const forget = (id = who) =>
    fetch(`${server.url}/api/customers/${id}`, {
      method: 'DELETE',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ author: 'test' }),
    })
  const windowAsked = async (since?: number) => {
    const known = { visits: [theirs.visitId], machines: [], customers: [who] }
    const span = { from: '2026-05-05T00:00:00.000Z', to: '2026-05-20T00:00:00.000Z' }
    return (
      await post(`${server.url}/api/device`, { ...span, ...known, ...(since === undefined ? {} : { since }) })
    ).text()
  }
  /** Everything the shop says to whoever asks. */
  const everything = async () => {
    const day = 'from=2026-05-12T00:00:00.000Z&to=2026-05-13T00:00:00.000Z&on=2026-05-12'
    const machine = (theirs.opened.body as EntryBodies['visit-opened']).machine.id
    const paths = [
      `/api/customers/${who}`,
      `/api/customers/${who}/data.json`,
      `/api/machines/${machine}/card`,
      '/api/machines',
      `/api/visits/${theirs.visitId}`,
      `/api/visits/${theirs.visitId}/visit.json`,
      `/api/visits/${theirs.visitId}/readings.csv?units=us`,
      `/api/day?${day}`,
      '/api/register.csv',
      '/api/register.vcf',
      '/api/ledger?month=2026-05',
      '/api/due?until=2027-05-12&today=2026-05-12',
      '/api/pumps?q=Quill',
    ]
    return (await Promise.all(paths.map(async (path) => (await get(path)).text()))).join('\n') + (await windowAsked())
  }
  /** Everything in the data folder that is text: the database's own files are the engine's. */
  const onDisk = (at = folder.path): string =>
    readdirSync(at, { withFileTypes: true })
      .filter(({ name }) => name !== 'database')
      .map((each) => (each.isDirectory() ? onDisk(join(at, each.name)) : readFileSync(join(at, each.name), 'latin1')))
      .join('\n')

  beforeAll(async () => {
    if (kind === 'server') {
      const postgres = await startPostgres()
      stop = postgres.stop
      env.DATABASE_URL = postgres.url
    }
    server = await serve(folder.path, env)
    for (const [name, shade] of [
      ['own', 40],
      ['shared', 200],
    ] as const) {
      const bytes = await picture(shade)
      const response = await fetch(`${server.url}/api/photos`, {
        method: 'POST',
        headers: { 'content-type': 'image/png' },
        body: new Uint8Array(bytes),
      })
      hashes[name] = ((await response.json()) as { hash: string }).hash
    }
    const photo = (visit: TestVisit, hash: string) =>
      visit.write('photo', { hash, type: 'image/png', bytes: 100, name: `${THEIRS}.png`, caption: THEIRS })
    const customer = (id: string): Customer => ({ id, name: `${THEIRS} again`, place: `${THEIRS} Lane` })
    expect(
      (
        await send(
          ...theirs.lines,
          photo(theirs, hashes.own),
          photo(theirs, hashes.shared),
          theirs.write('mailed', { paper: 'sheet', to: 'q@quillfeather.example', mail, by: 'folder' }),
          other.opened,
          reading(other, 229),
          {
            ...photo(other, hashes.shared),
            body: { hash: hashes.shared, type: 'image/png', bytes: 100, name: 'well.png' },
          } as Entry,
          shopLine('customer-set', { customer: customer(twin) }),
          shopLine('site-set', { site: { id: uuidv7(), customerId: twin, address: `${THEIRS} Wood`, key: THEIRS } }),
          shopLine('merged', { what: 'customer', gone: twin, into: who }),
        )
      ).status,
    ).toBe(200)
    mkdirSync(join(folder.path, 'outlet'), { recursive: true })
    writeFileSync(join(folder.path, 'outlet', `${mail}.eml`), `To: ${THEIRS}`)
  })
  afterAll(async () => {
    await server.kill('SIGTERM')
    await stop?.()
    folder.remove()
  })

  it('leaves as one file: register, places, machines, each visit with its pictures', async () => {
    const data = await read<{
      format: string
      customer: Customer
      sites: object[]
      register: Entry[]
      visits: unknown[]
    }>(`/api/customers/${who}/data.json`)
    expect(data).toMatchObject({ format: 'pike-lamp-customer', customer: { id: who, name: THEIRS } })
    expect(data.register.map(({ kind: each }) => each)).toEqual(['customer-set', 'site-set', 'merged'])
    const [visit] = data.visits.map(readVisitFile)
    expect(data.visits).toHaveLength(1)
    expect(visit?.entries.map(({ id }) => id)).toEqual(expect.arrayContaining(theirs.lines.map(({ id }) => id)))
    expect(visit?.photos.map(({ hash }) => hash).sort()).toEqual([hashes.own, hashes.shared].sort())
    expect(Buffer.from(visit?.photos.find(({ hash }) => hash === hashes.own)?.base64 ?? '', 'base64')).toEqual(
      await picture(40),
    )
    expect((await get(`/api/customers/${uuidv7()}/data.json`)).status).toBe(404)
  })

  it('stays while a visit is not done', async () => {
    const response = await forget()
    expect(response.status).toBe(409)
    expect(((await response.json()) as { title: string }).title).toContain('A visit is not done yet')
    expect(await everything()).toContain(THEIRS)
  })

  it('cannot be removed by a line that somebody sends', async () => {
    const body = { customers: [otherCustomer], machines: [], visits: [other.visitId] }
    const response = await send(shopLine('customer-forgotten', body))
    expect(response.status).toBe(422)
    expect(JSON.stringify(await response.json())).toContain('a kind of line that is sent')
    expect(JSON.stringify(await read(`/api/visits/${other.visitId}`))).toContain('Millrace Lido')
  })

  it('goes from every line, list, file and answer; what was measured stays, and all of others', async () => {
    const done = theirs.write('handed-over', {
      watch: `the gate of ${THEIRS}`,
      price: 40,
      lines: [{ label: 'journey', amount: 40, kind: 'journey' }],
      due: [{ kind: 'visit', on: '2026-09-01', what: `ask ${THEIRS}` }],
    })
    expect((await send({ ...done, at: NOW })).status).toBe(200)
    if (kind === 'embedded') journalBefore = readFileSync(join(folder.path, 'journal.jsonl'), 'utf8')
    const before = await read<{ entries: Entry[] }>(`/api/visits/${other.visitId}`)
    const window = (await windowAsked()).split('\n')[0] ?? ''
    mark = (JSON.parse(window) as { arrival: number }).arrival
    const removed = await forget()
    expect(removed.status).toBe(200)
    expect(await removed.json()).toEqual({ visits: 1, machines: 1, pictures: 1 })
    const said = await everything()
    expect(tracesIn(said)).toEqual([])
    expect(said).toContain(FORMER_CUSTOMER)
    expect(tracesIn(onDisk())).toEqual([])
    // By the content's hash: of what was theirs alone nothing is left, what is another's too is there.
    expect((await get(`/api/photos/${hashes.own}`)).status).toBe(404)
    expect((await get(`/api/photos/${hashes.shared}`)).status).toBe(200)
    expect((await get(`/api/mail/${mail}/message.eml`)).status).toBe(404)
    const { entries } = await read<{ entries: Entry[] }>(`/api/visits/${theirs.visitId}`)
    expect(entries).toHaveLength(theirs.lines.length + 4)
    expect(entries.find(({ id }) => id === theirs.lines[1]?.id)?.body).toMatchObject({ value: 231 })
    expect(await read<object>(`/api/ledger?month=2026-05`)).toMatchObject({
      rows: [{ customer: FORMER_CUSTOMER, journey: 40 }],
    })
    expect(await read<object>(`/api/customers/${who}`)).toMatchObject({
      isForgotten: true,
      sites: [{ address: 'removed' }],
      machines: [{ retired: {} }],
    })
    expect(await read(`/api/visits/${other.visitId}`)).toEqual(before)
    expect((await forget()).status).toBe(404)
  })

  it('goes from a device as it reads what has changed since', async () => {
    const lines = (await windowAsked(mark))
      .trim()
      .split('\n')
      .map((text) => JSON.parse(text) as { is: string; id?: string; visit?: { row: { id: string } } })
    expect(lines.some(({ visit }) => visit?.row.id === theirs.visitId)).toBe(true)
    expect(lines.some(({ is, id }) => is === 'customer' && id === who)).toBe(true)
    expect(JSON.stringify(lines)).not.toContain(THEIRS)
  })

  it('is not brought back by a device that had not heard of it', async () => {
    const bytes = await picture(90)
    const response = await fetch(`${server.url}/api/photos`, {
      method: 'POST',
      headers: { 'content-type': 'image/png' },
      body: new Uint8Array(bytes),
    })
    const { hash } = (await response.json()) as { hash: string }
    const late = [
      theirs.write('note', { text: `${THEIRS} called again`, seenAndLeft: false }),
      theirs.write('photo', { hash, type: 'image/png', bytes: bytes.length, name: `${THEIRS}.png` }),
    ]
    // What it had sent already is known, though it says more than is kept.
    const sent = await send(...theirs.lines, ...late)
    expect(sent.status).toBe(200)
    expect(await sent.json()).toEqual({ accepted: late.map(({ id }) => id), known: theirs.lines.map(({ id }) => id) })
    const again = theirVisit(who)
    expect((await send(...again.lines)).status).toBe(200)
    expect((await get(`/api/photos/${hash}`)).status).toBe(404)
    expect(tracesIn(await everything())).toEqual([])
    expect(tracesIn(onDisk())).toEqual([])
    expect(await read<object>(`/api/visits/${again.visitId}`)).toMatchObject({
      entries: [{ body: { customer: { name: FORMER_CUSTOMER } } }, {}, {}],
    })
  })

  it('is not taken back', async () => {
    const heard = await listenTo(server.url, { after: mark })
    const removals = () => heard.lines().filter((line) => line.kind === 'customer-forgotten')
    await heard.until(() => removals().length > 0)
    await heard.end()
    const said = removals()[0]?.id as string
    const response = await send({ ...shopLine('retracted', {}), supersedes: said } as Entry)
    expect(response.status).toBe(422)
    expect(JSON.stringify(await response.json())).toContain('this one says what was removed')
  })

  const restarted = async (between: () => void) => {
    await server.kill('SIGKILL')
    between()
    server = await serve(folder.path, env)
  }
  it('stays removed after a new start', async () => {
    await restarted(() => undefined)
    expect(tracesIn(await everything())).toEqual([])
  })

  const path = join(folder.path, 'journal.jsonl')
  it.runIf(kind === 'embedded')('is removed again from a journal file of before that was put back', async () => {
    const rewritten = readFileSync(path, 'utf8')
    const since = rewritten.trim().split('\n').slice(journalBefore.trim().split('\n').length)
    await restarted(() => writeFileSync(path, journalBefore))
    expect(tracesIn(await everything())).toEqual([])
    expect(tracesIn(onDisk())).toEqual([])
    const shop = await read<{ journal: { setAsideCount: number } }>('/api/shop')
    expect(shop.journal.setAsideCount).toBe(0)
    for (const line of since) expect(readFileSync(path, 'utf8')).toContain((JSON.parse(line) as Entry).id)
  })

  it.runIf(kind === 'embedded').each(['with the database as it was', 'with a database built anew'] as const)(
    'is removed at the next start where the server was killed before the file was written anew, %s',
    async (how) => {
      const forgotten = readFileSync(path, 'utf8')
        .split('\n')
        .filter((line) => line.includes('"customer-forgotten"'))
      expect(forgotten).toHaveLength(1)
      await restarted(() => {
        writeFileSync(path, `${journalBefore}${forgotten[0]}\n`)
        // A word of somebody's that is no line lies there too.
        writeFileSync(path, `{"visitId":"${theirs.visitId}","body":"${THEIRS}"}\n`, { flag: 'a' })
        if (how === 'with a database built anew') rmSync(join(folder.path, 'database'), { recursive: true })
      })
      expect(tracesIn(await everything())).toEqual([])
      expect(tracesIn(onDisk())).toEqual([])
      expect(existsSync(`${path}.anew`)).toBe(false)
    },
  )
})
