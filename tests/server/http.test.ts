import { request } from 'node:http'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { reading, testVisit } from './entries'
import { post, serve, temporaryFolder, type Served } from './serve'

const folder = temporaryFolder()
let server: Served
beforeAll(async () => {
  server = await serve(folder.path)
})
afterAll(async () => {
  await server.kill('SIGTERM')
  folder.remove()
})
const count = async () => ((await (await fetch(`${server.url}/api/health`)).json()) as { entries: number }).entries
const PIXEL = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
)

/** A request with headers that fetch does not let one set. */
function raw(
  path: string,
  method: string,
  headers: Record<string, string>,
  body = '',
): Promise<{ status: number; text: string }> {
  const { hostname, port } = new URL(server.url)
  return new Promise((resolve, reject) => {
    const sent = request({ hostname, port, path, method, headers }, (response) => {
      let text = ''
      response.on('data', (chunk: Buffer) => {
        text += chunk.toString()
      })
      response.on('end', () => resolve({ status: response.statusCode ?? 0, text }))
    })
    sent.on('error', reject)
    sent.end(body)
  })
}

describe('bad input at every route', () => {
  const visit = testVisit()
  const entry = reading(visit, 236)
  it.each<[string, () => Promise<Response>, number, string]>([
    ['malformed JSON', () => post(`${server.url}/api/entries`, '{"entries": ['), 400, ''],
    [
      'a wrong content type',
      () => post(`${server.url}/api/entries`, '{}', { 'content-type': 'text/plain' }),
      415,
      'content-type',
    ],
    [
      'a form post',
      () => post(`${server.url}/api/entries`, 'entries=1', { 'content-type': 'application/x-www-form-urlencoded' }),
      415,
      'content-type',
    ],
    ['no entries', () => post(`${server.url}/api/entries`, {}), 422, 'entries'],
    ['null', () => post(`${server.url}/api/entries`, 'null'), 422, 'entries'],
    [
      'too many entries',
      () => post(`${server.url}/api/entries`, { entries: Array.from({ length: 501 }, () => entry) }),
      422,
      'entries',
    ],
    [
      'a wrong type',
      () =>
        post(`${server.url}/api/entries`, {
          entries: [{ ...entry, body: { ...(entry.body as object), value: 'lots' } }],
        }),
      422,
      'entries.0.body.value',
    ],
    ['an unknown visit', () => post(`${server.url}/api/entries`, { entries: [entry] }), 422, 'entries.0.visitId'],
    [
      'a prototype key',
      () => post(`${server.url}/api/entries`, `{"entries":[{"__proto__":{"kind":"note"},"id":"x"}]}`),
      422,
      'entries.0.__proto__',
    ],
    ['an unknown working', () => post(`${server.url}/api/workings/astrology`, {}), 404, 'name'],
    [
      'a working’s bad field',
      () => post(`${server.url}/api/workings/capacitor-bleed`, { microfarads: -1, volts: 1, ohms: 1 }),
      422,
      'microfarads',
    ],
    [
      'a bench finding that is no fault',
      () =>
        post(`${server.url}/api/entries`, {
          entries: [visit.opened, visit.write('post-mortem', { fault: 'gremlins', why: '', keeping: '' })],
        }),
      422,
      'entries.1.body.fault',
    ],
    [
      'a kind of pump to forget that is none',
      () =>
        post(`${server.url}/api/entries`, {
          entries: [{ ...visit.write('shop-forget', { pumpKind: 'balloon' as never }), visitId: null }],
        }),
      422,
      'entries.0.body.pumpKind',
    ],
    ['a day that is none', () => fetch(`${server.url}/api/day?from=now&to=later`), 422, 'from'],
    ['a file that is no visit', () => post(`${server.url}/api/visits/import`, { hello: 1 }), 422, 'format'],
    [
      'a picture that is text',
      () => post(`${server.url}/api/photos`, new TextEncoder().encode('<svg/>'), { 'content-type': 'image/svg+xml' }),
      422,
      'body',
    ],
    [
      'a picture that says it is text',
      () => post(`${server.url}/api/photos`, new Uint8Array(PIXEL), { 'content-type': 'text/html' }),
      415,
      'content-type',
    ],
    [
      'a huge picture',
      () => post(`${server.url}/api/photos`, new Uint8Array(13 * 1024 * 1024), { 'content-type': 'image/png' }),
      413,
      'body',
    ],
    [
      'a huge journal',
      () => post(`${server.url}/api/entries`, `{"entries":"${'x'.repeat(5 * 1024 * 1024)}"}`),
      413,
      'body',
    ],
  ])('%s is a problem with its field, and nothing is stored', async (_, ask, status, field) => {
    const before = await count()
    const response = await ask()
    expect(response.status).toBe(status)
    expect(response.headers.get('content-type')).toContain('application/problem+json')
    const problem = (await response.json()) as { title: string; status: number; problems: { field: string }[] }
    expect(problem.status).toBe(status)
    expect(problem.title.length).toBeGreaterThan(10)
    expect(problem.problems.map((each) => each.field)).toContain(field)
    expect(JSON.stringify(problem)).not.toMatch(/node_modules|\.mjs/)
    expect(await count()).toBe(before)
  })

  it.each([
    '/api/visits/nope',
    '/api/visits/0197a000-0009-7000-8000-000000000001',
    '/api/visits/0197a000-0009-7000-8000-000000000001/sheet.pdf',
    '/api/machines/x',
    '/api/photos/..%2F..%2Fetc%2Fpasswd',
    `/api/photos/${'a'.repeat(64)}`,
    '/api/nothing',
  ])('%s is a 404 in words', async (path) => {
    const response = await fetch(server.url + path)
    expect(response.status).toBe(404)
    expect(((await response.json()) as { title: string }).title.length).toBeGreaterThan(10)
  })

  it('keeps the hostile name of a picture as text and nothing more', async () => {
    const own = testVisit()
    const stored = (await (
      await post(`${server.url}/api/photos`, new Uint8Array(PIXEL), { 'content-type': 'image/png' })
    ).json()) as { hash: string; type: string; bytes: number }
    const photo = own.write('photo', {
      hash: stored.hash,
      type: stored.type,
      bytes: stored.bytes,
      name: '../../<img src=x onerror=alert(1)>.png',
    })
    expect((await post(`${server.url}/api/entries`, { entries: [own.opened, photo] })).status).toBe(200)
    const back = await fetch(`${server.url}/api/photos/${stored.hash}`)
    expect(back.headers.get('content-type')).toBe('image/png')
    expect(back.headers.get('x-content-type-options')).toBe('nosniff')
    const pdf = Buffer.from(await (await fetch(`${server.url}/api/visits/${own.visitId}/sheet.pdf`)).arrayBuffer())
    expect(pdf.subarray(0, 5).toString()).toBe('%PDF-')
  })
})

describe('what the shop learns', () => {
  interface ShopView {
    taught: {
      kind: string
      visits: number
      since?: string
      causes: { fault: string; counted: number; multiple: number }[]
    }[]
  }
  const shop = async () =>
    ((await (await fetch(`${server.url}/api/shop`)).json()) as ShopView).taught.find(
      ({ kind }) => kind === 'pool',
    ) as ShopView['taught'][number]
  const shopEntry = (kind: 'shop-forget' | 'retracted', body: object, supersedes?: string) => ({
    ...testVisit().write(kind as 'note', body as never, supersedes),
    visitId: null,
  })

  it('says how far closed visits moved it, tells the next visit, forgets, and remembers again', async () => {
    const visit = testVisit()
    await post(`${server.url}/api/entries`, {
      entries: [
        visit.opened,
        visit.write('cause-said', { fault: 'seal-plate-cracked', verdict: 'it-was-this' }),
        visit.write('handed-over', { watch: '' }),
      ],
    })
    const moved = (await shop()).causes.find(({ fault }) => fault === 'seal-plate-cracked')
    expect(moved).toMatchObject({ counted: 1 })
    expect(moved?.multiple).toBeGreaterThan(2)
    const next = testVisit()
    await post(`${server.url}/api/entries`, { entries: [next.opened] })
    const experience = async (id: string) =>
      ((await (await fetch(`${server.url}/api/visits/${id}`)).json()) as { experience: Record<string, number> })
        .experience
    expect((await experience(next.visitId))['seal-plate-cracked']).toBeGreaterThan(2)
    expect(await experience(visit.visitId), 'a visit does not teach itself').toEqual({})
    const forget = shopEntry('shop-forget', { pumpKind: 'pool' })
    expect((await post(`${server.url}/api/entries`, { entries: [forget] })).status).toBe(200)
    expect(await shop()).toMatchObject({ visits: 0, since: forget.at })
    expect(await experience(next.visitId)).toEqual({})
    expect((await post(`${server.url}/api/entries`, { entries: [shopEntry('retracted', {}, forget.id)] })).status).toBe(
      200,
    )
    expect((await shop()).visits).toBe(1)
  })
})

describe('who may speak to it', () => {
  it('answers only to its own host names', async () => {
    const { port } = new URL(server.url)
    expect((await raw('/api/health', 'GET', { host: `localhost:${port}` })).status).toBe(200)
    expect(await raw('/api/health', 'GET', { host: 'evil.example' })).toMatchObject({
      status: 421,
      text: expect.stringContaining('PIKE_LAMP_HOST') as string,
    })
    expect((await raw('/', 'GET', { host: 'evil.example' })).status).toBe(421)
  })

  it('refuses writes from another origin, and takes its own', async () => {
    const { host } = new URL(server.url)
    const visit = testVisit()
    const body = JSON.stringify({ entries: [visit.opened] })
    const headers = { host, 'content-type': 'application/json' }
    expect((await raw('/api/entries', 'POST', { ...headers, origin: 'http://evil.example' }, body)).status).toBe(403)
    expect((await raw('/api/entries', 'POST', { ...headers, origin: 'null' }, body)).status).toBe(403)
    expect((await raw('/api/entries', 'POST', { ...headers, 'sec-fetch-site': 'cross-site' }, body)).status).toBe(403)
    expect((await raw('/api/entries', 'POST', { ...headers, origin: server.url }, body)).status).toBe(200)
  })

  it('listens on loopback only', async () => {
    const other = Object.values((await import('node:os')).networkInterfaces())
      .flat()
      .find((each) => each && !each.internal && each.family === 'IPv4')
    if (!other) return expect(server.url).toContain('127.0.0.1')
    const { port } = new URL(server.url)
    await expect(
      fetch(`http://${other.address}:${port}/api/health`, { signal: AbortSignal.timeout(2000) }),
    ).rejects.toThrow()
  })
})

describe('what it gives out', () => {
  it('round-trips a whole visit as a file, twice without harm', async () => {
    const visit = testVisit()
    const entries = [
      visit.opened,
      reading(visit, 236),
      visit.write('note', { text: 'foot, “cracked”', seenAndLeft: true }),
    ]
    await post(`${server.url}/api/entries`, { entries })
    const file = (await (await fetch(`${server.url}/api/visits/${visit.visitId}/visit.json`)).json()) as object
    const second = temporaryFolder()
    const elsewhere = await serve(second.path)
    for (const expected of [3, 0]) {
      const answer = (await (await post(`${elsewhere.url}/api/visits/import`, file)).json()) as { accepted: string[] }
      expect(answer.accepted.length).toBe(expected)
    }
    expect(await (await fetch(`${elsewhere.url}/api/visits/${visit.visitId}/visit.json`)).json()).toEqual(file)
    await elsewhere.kill('SIGTERM')
    second.remove()
  })

  it('writes readings as CSV that a spreadsheet will not run', async () => {
    const visit = testVisit()
    await post(`${server.url}/api/entries`, { entries: [visit.opened, reading(visit, 190)] })
    const csv = await (await fetch(`${server.url}/api/visits/${visit.visitId}/readings.csv`)).text()
    expect(csv.split('\r\n')[0]).toBe('at,stage,check,part,leads,value,unit,outcome,verdict,low,high,because,basis')
    expect(csv).toMatch(/supply-voltage,terminal-board,,190,V,,failed,207,253/)
  })

  it('writes papers in the units that are asked for, and says which there are', async () => {
    const visit = testVisit()
    await post(`${server.url}/api/entries`, {
      entries: [
        visit.opened,
        visit.write('finding', { check: 'filter-pressure', value: 12, unit: 'psi', stage: 'test' }),
      ],
    })
    const csv = async (units: string) =>
      (await fetch(`${server.url}/api/visits/${visit.visitId}/readings.csv${units}`)).text()
    expect(await csv('?units=us')).toContain(',12,psi,')
    expect(await csv('?units=metric')).toContain(',82.7371,kPa,')
    expect(await csv(''), 'the shop’s own').toBe(await csv('?units=us'))
    for (const paper of ['readings.csv', 'sheet.pdf']) {
      const refused = await fetch(`${server.url}/api/visits/${visit.visitId}/${paper}?units=furlongs`)
      expect(refused.status).toBe(422)
      expect(await refused.json()).toMatchObject({
        problems: [{ field: 'units', value: 'furlongs', expected: expect.stringContaining('us or metric') as string }],
      })
    }
  })
  it('says a refusal of a working in SI, as text alone', async () => {
    const refused = await post(`${server.url}/api/workings/tank-drawdown`, {
      tankLitres: 100,
      prechargeKpa: 200,
      cutInKpa: 300,
      cutOutKpa: 300,
    })
    expect(refused.status).toBe(422)
    expect(((await refused.json()) as { problems: object[] }).problems).toEqual([
      { field: 'cutOutKpa', value: 300, expected: 'above the cut-in of 300 kPa' },
    ])
  })

  it('runs workings one by one and in a batch', async () => {
    expect(
      await (await post(`${server.url}/api/workings/insulation-split`, { totalMegohms: 1.2, cableMegohms: 20 })).json(),
    ).toMatchObject({ motorMegohms: expect.closeTo(1.2766, 3) as number })
    const lines = (
      await (
        await post(
          `${server.url}/api/workings/batch`,
          '{"working":"insulation-split","input":{"totalMegohms":1.2,"cableMegohms":20}}\nnot json\n',
          { 'content-type': 'application/x-ndjson' },
        )
      ).text()
    )
      .trim()
      .split('\n')
    expect(lines.map((line) => Object.keys(JSON.parse(line) as object)[0])).toEqual(['output', 'error'])
  })
})
