import fc from 'fast-check'
import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { WORKINGS } from '#core/workings/registry'
import { reading, testVisit } from './entries'
import { post, serve, temporaryFolder, type Served } from './serve'
import { oddId, spoilt, strange } from './strange'

const folder = temporaryFolder()
let server: Served
const visit = testVisit()
beforeAll(async () => {
  server = await serve(folder.path)
  await post(`${server.url}/api/entries`, { entries: [visit.opened, reading(visit, 236)] })
})
afterAll(async () => {
  expect((await fetch(`${server.url}/api/health`)).status).toBe(200)
  await server.kill('SIGTERM')
  folder.remove()
})

const KINDS = {
  call: { complaints: ['hums-no-start'], alreadyReplaced: ['shaft-seal'], callerSays: 'hums' },
  gate: { gate: 'proved-dead', shut: true, lines: [{ line: 'L1', volts: 0 }] },
  finding: { check: 'capacitance', part: 'run-capacitor', value: 27, unit: 'uF', stage: 'test' },
  note: { text: 'x', seenAndLeft: false },
  'check-skipped': { check: 'capacitance' },
  'cause-said': { fault: 'shaft-bent', verdict: 'not-this' },
  decision: { option: 'swap-motor' },
  step: { step: 'down:clamp', done: true, count: 2, places: [{ place: 'a', count: 2 }], estimate: 3 },
  'take-down-measured': { celsius: 7 },
  'take-down-found': { joint: 'clamp', what: 'stuck' },
  'joint-done': { joint: 'call' },
  'handed-over': { watch: '', nextDate: '2027-01-01', price: 3 },
  'working-kept': { question: 'wire-size', input: {}, units: 'us' },
  'post-mortem': { fault: 'shaft-bent', why: '', keeping: '' },
}
const entry = fc
  .constantFrom(...Object.entries(KINDS))
  .map(([kind, body]) => ({ ...visit.write(kind as 'note', body as never), id: uuidv7() }))

async function neverFails(answer: Response): Promise<void> {
  const text = await answer.text()
  expect(answer.status, text.slice(0, 300)).toBeLessThan(500)
  expect(text).not.toMatch(/node_modules|\n\s+at /)
}

describe('no input is a failure of the server', () => {
  it('entries', async () => {
    await fc.assert(
      fc.asyncProperty(
        entry.chain((one) => spoilt({ entries: [one] })),
        async (body) => neverFails(await post(`${server.url}/api/entries`, body)),
      ),
      { numRuns: 500 },
    )
    await fc.assert(
      fc.asyncProperty(spoilt({ entries: [testVisit().opened] }), async (body) =>
        neverFails(await post(`${server.url}/api/entries`, body)),
      ),
      { numRuns: 300 },
    )
  })

  it('visit files', async () => {
    const own = testVisit()
    const file = {
      format: 'pike-lamp-visit',
      version: 2,
      visitId: own.visitId,
      entries: [own.opened, reading(own, 236)],
      photos: [{ hash: 'a'.repeat(64), type: 'image/png', base64: 'AAAA' }],
    }
    await fc.assert(
      fc.asyncProperty(spoilt(file), async (body) => neverFails(await post(`${server.url}/api/visits/import`, body))),
      { numRuns: 300 },
    )
  })

  it('workings, each of them', async () => {
    const names = [...WORKINGS.keys(), 'batch', 'constructor', '__proto__', 'toString']
    await fc.assert(
      fc.asyncProperty(
        fc.constantFrom(...names),
        fc.oneof(
          strange,
          fc.dictionary(
            fc.constantFrom(
              'volts',
              'amps',
              'ohms',
              'pump',
              'pipes',
              'points',
              'stock',
              'microfarads',
              'construction',
              'targets',
              'ohms',
              'priors',
              'tables',
            ),
            strange,
          ),
        ),
        async (name, body) => {
          await neverFails(await post(`${server.url}/api/workings/${name}`, JSON.stringify(body) ?? 'null'))
        },
      ),
      { numRuns: 600 },
    )
    await fc.assert(
      fc.asyncProperty(
        fc.oneof(
          spoilt({
            pump: { kind: 'pool', construction: 'band-clamp', nameplate: { volts: 230, runWindingOhms: [1.8, 2.4] } },
            complaints: ['hums-no-start'],
            findings: [{ check: 'supply-voltage', value: 236, unit: 'V' }],
          }).map((body): [string, unknown] => ['diagnose', body]),
          spoilt({
            construction: 'bolted-seal-plate',
            targets: ['shaft-seal'],
            options: { practices: { threads: 'compound' }, conditions: { hot: true } },
          }).map((body): [string, unknown] => ['take-down', body]),
        ),
        async ([name, body]) => neverFails(await post(`${server.url}/api/workings/${name}`, body)),
      ),
      { numRuns: 300 },
    )
  })

  it('bytes that are nothing', async () => {
    const bytes = fc.uint8Array({ maxLength: 200 })
    await fc.assert(
      fc.asyncProperty(
        fc.constantFrom(
          '/api/entries',
          '/api/visits/import',
          '/api/workings/diagnose',
          '/api/workings/batch',
          '/api/photos',
          '/api/device',
        ),
        bytes,
        fc.constantFrom('application/json', 'image/png', 'text/plain', ''),
        async (path, body, type) => {
          await neverFails(await post(server.url + path, body, { 'content-type': type }))
        },
      ),
      { numRuns: 200 },
    )
  })

  it('addresses', async () => {
    const odd = fc.oneof(oddId, fc.constantFrom(visit.visitId.toUpperCase(), `${visit.visitId}%00`))
    const path = fc.oneof(
      odd.map((id) => `/api/visits/${id}`),
      odd.map((id) => `/api/visits/${id}/sheet.pdf`),
      odd.map((id) => `/api/visits/${id}/readings.csv`),
      odd.map((id) => `/api/visits/${id}/visit.json`),
      odd.map((id) => `/api/machines/${id}`),
      odd.map((id) => `/api/photos/${id}`),
      odd.map((id) => `/api/${id}`),
      fc.tuple(odd, odd).map(([from, to]) => `/api/day?from=${from}&to=${to}`),
      fc.constantFrom(
        '/api/day?from=%2B275760-09-13T00:00:00Z&to=2026-05-12T00:00:00Z',
        '/api/day?from=2026-02-30T00:00:00Z&to=2026-05-12T00:00:00Z',
        '/api/day?from=a&from=b',
        '/api/day',
      ),
    )
    await fc.assert(
      fc.asyncProperty(path, async (each) => neverFails(await fetch(server.url + each))),
      { numRuns: 300 },
    )
  })
})
