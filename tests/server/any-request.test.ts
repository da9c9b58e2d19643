import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import fc from 'fast-check'
import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { ROLES, type Role } from '#core/people/roles'
import type { Entry, EntryBodies } from '#core/visit/entry'
import { validEntry } from '#core/visit/entry-rules'
import { reading, SECRET, secretVisit, testVisit } from './entries'
import { serve, temporaryFolder, type Served } from './serve'
import { routesFound, somebodyOfEach, type Somebody } from './shop-people'
import { oddId, spoilt, strange } from './strange'

/** How many requests; the proof at size is `REQUESTS=100000 npx vitest run tests/server/any-request`. */
const REQUESTS = Number(process.env.REQUESTS ?? 1200)
const AT_ONCE = 6
const PART = 600
/** Asked by everybody, whoever it is. */
const OPEN = /\/(health|ready|session|session\/(invited|join)|people\/first)$/
/** What ends who is signed in, or keeps a hasher busy: asked seldom, and never with a cookie that is needed after. */
const SELDOM = /\/(sheet|record|offer|claim)\.pdf$|\/mail$|\/session(\/(join|passphrase))?$|people\/first$/

type Who = Role | 'nobody'
interface Request {
  route: string
  who: Who
  ids: readonly string[]
  query: Readonly<Record<string, string>>
  body: unknown
  /** Bytes that are no JSON. */
  bytes?: Uint8Array
}

describe('any request, by anybody', () => {
  const folder = temporaryFolder()
  let server: Served
  let somebody: Record<Role, Somebody>
  const visit = secretVisit()
  const { customer, machine } = visit.opened.body as EntryBodies['visit-opened']
  const routes = routesFound()
  const accepted = new Set<string>()
  const refused = new Set<string>()
  const statuses = new Map<number, number>()

  beforeAll(async () => {
    server = await serve(folder.path)
    somebody = await somebodyOfEach(server.url)
    await expectTaken([visit.opened, reading(visit, 236)].map((line) => by('technician', line)))
  })
  afterAll(async () => {
    await server.kill('SIGTERM')
    folder.remove()
  })

  const by = (role: Role, line: Entry): Entry => {
    const { person, device } = somebody[role]
    return { ...line, author: role, by: { person, device } } as Entry
  }
  async function expectTaken(entries: Entry[]): Promise<void> {
    const response = await fetch(`${server.url}/api/entries`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', cookie: somebody.technician.cookie },
      body: JSON.stringify({ entries }),
    })
    expect(response.status, await response.text()).toBe(200)
    for (const { id } of entries) accepted.add(id)
  }

  /** Lines that would be taken as they are: each request has its own. */
  const LINES: readonly (() => Entry)[] = [
    () => reading(visit, 229),
    () => visit.write('note', { text: 'the belt slips', seenAndLeft: false }),
    () => visit.write('gate', { gate: 'power-off', shut: true }),
    () => testVisit().opened,
    () => ({ ...visit.write('customer-set', { customer: { ...customer, id: uuidv7() } }), visitId: null }),
  ]
  const lines = (who: Who): fc.Arbitrary<unknown> =>
    fc.constantFrom(...LINES).chain((made) => {
      const line = made()
      return spoilt({ entries: [who === 'nobody' ? line : by(who, { ...line, id: uuidv7() })] }, 0)
    })
  const file = (): fc.Arbitrary<unknown> => {
    const own = testVisit()
    return spoilt(
      {
        format: 'pike-lamp-visit',
        version: 2,
        visitId: own.visitId,
        entries: [own.opened, reading(own, 236)],
        photos: [{ hash: 'a'.repeat(64), type: 'image/png', base64: 'AAAA' }],
      },
      0,
    )
  }
  const BODIES: readonly [RegExp, (who: Who) => fc.Arbitrary<unknown>][] = [
    [/POST \/api\/entries$/, lines],
    [/POST \/api\/visits\/import$/, file],
    [
      /POST \/api\/device$/,
      () =>
        spoilt(
          {
            from: '2026-05-05T00:00:00Z',
            to: '2026-05-20T00:00:00Z',
            visits: [visit.visitId],
            machines: [],
            customers: [],
          },
          0,
        ),
    ],
    [
      /POST \/api\/register\/import$/,
      () =>
        spoilt(
          { name: 'x.csv', text: 'customer;town\nAlder;Mill\n', mapping: { customer: { column: 0 } }, write: false },
          0,
        ),
    ],
    [/POST \/api\/register\/take-back$/, () => spoilt({ act: uuidv7() }, 0)],
    [/POST \/api\/people\/invitations$/, () => spoilt({ name: 'Sedge', role: 'technician' }, 0)],
    [/PATCH \/api\/people/, () => spoilt({ role: 'learner' }, 0)],
    [/POST \/api\/session$/, () => spoilt({ name: 'owner', passphrase: 'not this one at all' }, 0)],
    [
      /POST \/api\/session\/(join|invited)$/,
      () => spoilt({ token: 'x'.repeat(32), passphrase: 'never was one here' }, 0),
    ],
    [/POST \/api\/session\/passphrase$/, () => spoilt({ was: 'not this', passphrase: 'nor is it this one' }, 0)],
    [/DELETE \/api\/customers/, () => spoilt({ author: 'owner' }, 0)],
    [
      /\/mail$/,
      () => spoilt({ id: uuidv7(), paper: 'sheet', to: 'a@b.example', author: 'owner', hash: 'b'.repeat(64) }, 0),
    ],
    [/workings/, () => spoilt({ pump: { kind: 'pool', nameplate: { volts: 230 } }, complaints: [], findings: [] }, 0)],
  ]

  const request: fc.Arbitrary<Request> = fc
    .record({
      route: fc.oneof(
        { weight: 12, arbitrary: fc.constantFrom(...routes.filter((route) => !SELDOM.test(route))) },
        { weight: 4, arbitrary: fc.constantFrom('POST /api/entries', 'POST /api/visits/import') },
        { weight: 1, arbitrary: fc.constantFrom(...routes) },
      ),
      who: fc.constantFrom<Who>('nobody', ...(Object.keys(ROLES) as Role[])),
    })
    .chain(({ route, who }) => {
      // People and their devices are needed to the end.
      const known = route.includes('/people/') || route.startsWith('DELETE') ? [uuidv7()] : knownIds(route)
      const id = fc.oneof({ weight: 3, arbitrary: fc.constantFrom(...known) }, { weight: 1, arbitrary: oddId })
      const sample = BODIES.find(([pattern]) => pattern.test(route))?.[1](who)
      const hasBody = !route.startsWith('GET')
      return fc.record({
        route: fc.constant(route),
        // A cookie that is signed out, or that signs in anew, is another afterwards.
        who: fc.constant(/\/session$/.test(route) && route !== 'GET /api/session' ? 'nobody' : who),
        ids: fc.array(id, { minLength: 2, maxLength: 2 }),
        query: fc.dictionary(
          fc.constantFrom(
            'from',
            'to',
            'on',
            'q',
            'kind',
            'what',
            'month',
            'until',
            'today',
            'after',
            'units',
            'issue',
            'key',
            'season',
          ),
          fc.oneof(
            fc.constantFrom('2026-05-12', '2026-05-12T00:00:00.000Z', '2026-05', '0', '1', 'us', 'pool', 'weir'),
            fc.string({ unit: 'grapheme', maxLength: 30 }),
          ),
          { maxKeys: 4 },
        ),
        body: hasBody ? fc.oneof(...(sample ? [sample, sample, sample] : []), strange) : fc.constant(undefined),
        ...(hasBody ? { bytes: fc.option(fc.uint8Array({ maxLength: 120 }), { freq: 12, nil: undefined }) } : {}),
      }) as fc.Arbitrary<Request>
    })
  function knownIds(route: string): string[] {
    if (route.includes('customers')) return [customer.id]
    return route.includes('machines') ? [machine.id] : [visit.visitId]
  }

  async function send({ route, who, ids, query, body, bytes }: Request): Promise<void> {
    const [method = '', pattern = ''] = route.split(' ')
    const [id = '', other = ''] = ids
    const path = pattern.replace('[hash]', id).replace('[name]', 'diagnose').replace('[id]', id).replace('[id]', other)
    const asked = new URLSearchParams(query).toString()
    const ended = new AbortController()
    const response = await fetch(`${server.url}${path}${asked ? `?${asked}` : ''}`, {
      method,
      headers: {
        ...(who === 'nobody' ? {} : { cookie: somebody[who].cookie }),
        ...(method === 'GET' ? {} : { 'content-type': 'application/json' }),
      },
      ...(method === 'GET' ? {} : { body: bytes ? new Uint8Array(bytes) : (JSON.stringify(body) ?? '') }),
      signal: ended.signal,
    })
    const isStream = response.headers.get('content-type')?.startsWith('text/event-stream')
    const text = isStream ? '' : await response.text()
    if (isStream) ended.abort()
    const { status } = response
    const sent = `${route} by ${who} ${path} ${asked} ${JSON.stringify(body)?.slice(0, 400)}`
    const said = `${sent}: ${status} ${text.slice(0, 300)}`
    statuses.set(status, (statuses.get(status) ?? 0) + 1)
    expect(status, said).toBeLessThan(500)
    expect(text, said).not.toMatch(/node_modules|\n\s+at |Failed query/)
    if (who === 'nobody' && !OPEN.test(pattern)) expect(status, said).toBeGreaterThanOrEqual(400)
    if (who === 'nobody' || who === 'learner' || status >= 400) expect(text, said).not.toContain(SECRET)
    noteLines(route, status, text, body)
  }
  /** Which lines are to be there afterwards, and which are not. */
  function noteLines(route: string, status: number, text: string, body: unknown): void {
    if (route !== 'POST /api/entries') return
    if (status === 200) for (const id of (JSON.parse(text) as { accepted: string[] }).accepted) accepted.add(id)
    const sent = (body as { entries?: unknown } | null)?.entries
    if (status !== 200 && Array.isArray(sent))
      for (const line of sent as ({ id?: unknown } | null)[]) if (typeof line?.id === 'string') refused.add(line.id)
  }

  it('is no failure of the server, says nothing to whoever may not hear it, and leaves no line half kept', async () => {
    for (let done = 0; done < REQUESTS; done += PART) {
      const seed = (fc.readConfigureGlobal().seed ?? 1) + done
      const part = fc.sample(request, { numRuns: Math.min(PART, REQUESTS - done), seed })
      await Promise.all(
        Array.from({ length: AT_ONCE }, async (_, lane) => {
          for (let at = lane; at < part.length; at += AT_ONCE) await send(part[at] as Request)
        }),
      )
      if (REQUESTS > 10_000) console.log(`${done + part.length} requests`, Object.fromEntries([...statuses].sort()))
    }
    // Of each way to answer there were some: what is asked is not all refused at the door.
    for (const status of [200, 401, 403, 404, 422]) expect(statuses.get(status) ?? 0, `${status}`).toBeGreaterThan(5)
    const lines = readFileSync(join(folder.path, 'journal.jsonl'), 'utf8')
      .trimEnd()
      .split('\n')
      .map((text) => validEntry(JSON.parse(text)))
    const ids = lines.map(({ id }) => id)
    expect(new Set(ids).size).toBe(ids.length)
    const there = new Set(ids)
    expect([...accepted].filter((id) => !there.has(id))).toEqual([])
    expect([...refused].filter((id) => there.has(id) && !accepted.has(id))).toEqual([])
    await server.kill('SIGKILL')
    server = await serve(folder.path)
    expect(server.output()).not.toMatch(/set aside|was put into|had and the journal file lacked/)
    expect(server.output()).not.toContain(SECRET)
  })
})
