import { appendFileSync, existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { v7 as uuidv7 } from 'uuid'
import fc from 'fast-check'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Entry, EntryBodies } from '#core/visit/entry'
import { startPostgres } from '../../scripts/lib/postgres.mjs'
import { reading, testVisit, type TestVisit } from './entries'
import { post, serve, temporaryFolder, type Served } from './serve'

const folder = temporaryFolder()
const otherFolder = temporaryFolder()
let server: Served
/** Two servers of one shop on a database server. */
let pair: [Served, Served]
let postgres: Awaited<ReturnType<typeof startPostgres>>
beforeAll(async () => {
  server = await serve(folder.path)
  postgres = await startPostgres()
  pair = [
    await serve(otherFolder.path, { DATABASE_URL: postgres.url }),
    await serve(otherFolder.path, { DATABASE_URL: postgres.url }),
  ]
})
afterAll(async () => {
  for (const each of [server, ...pair]) await each.kill('SIGTERM')
  postgres.stop()
  for (const each of [folder, otherFolder]) each.remove()
})

const HALF = '\ud83d'
type Poison = [what: string, field: RegExp, make: (visit: TestVisit) => unknown[]]
const opening = (visit: TestVisit) => visit.opened.body as EntryBodies['visit-opened']
const opened = (visit: TestVisit, body: object, more: object = {}) => ({
  ...visit.opened,
  ...more,
  body: { ...opening(visit), ...body },
})
const note = (visit: TestVisit, text: string, more: object = {}) => ({
  ...visit.write('note', { text, seenAndLeft: false }),
  ...more,
})

/**
 * Lines that a database refuses, or takes for something else. Each of them once stopped every later start, or could.
 */
const POISONS: Poison[] = [
  ['a null character in a note', /body\.text/, (visit) => [visit.opened, note(visit, 'a\0b')]],
  ['half an emoji in a note', /body\.text/, (visit) => [visit.opened, note(visit, `wet ${HALF}`)]],
  ['the other half', /body\.text/, (visit) => [visit.opened, note(visit, '\udca7 wet')]],
  ['half an emoji in the author', /author/, (visit) => [visit.opened, note(visit, 'x', { author: HALF })]],
  [
    'half an emoji in a customer’s name',
    /body\.customer\.name/,
    (visit) => [opened(visit, { customer: { ...opening(visit).customer, name: HALF } })],
  ],
  [
    'a null character in what the caller says',
    /body\.callerSays/,
    (visit) => [opened(visit, { callerSays: 'hums\0' })],
  ],
  [
    'half an emoji in the plate',
    /nameplate\.frame/,
    (visit) => [opened(visit, { machine: { ...opening(visit).machine, nameplate: { volts: 230, frame: HALF } } })],
  ],
  [
    'a null character in a field’s name',
    /\0|�/,
    (visit) => [
      visit.opened,
      { ...visit.write('working-kept', { question: 'wire-size', input: { 'a\0': 1 }, units: 'us' }) },
    ],
  ],
  ['the thirtieth of February', /at/, (visit) => [visit.opened, note(visit, 'x', { at: '2026-02-30T10:00:00Z' })]],
  ['the year 0', /at/, (visit) => [visit.opened, note(visit, 'x', { at: '0000-05-12T10:00:00Z' })]],
  ['a zone of no place', /at/, (visit) => [visit.opened, note(visit, 'x', { at: '2026-05-12T10:00:00+23:59' })]],
  ['a year of six digits', /at/, (visit) => [visit.opened, note(visit, 'x', { at: '+102026-05-12T10:00:00Z' })]],
  [
    'a visit planned for a day that is none',
    /body\.scheduledAt/,
    (visit) => [opened(visit, { scheduledAt: '2026-06-31T10:00:00Z' })],
  ],
  [
    'a new machine for an unknown customer',
    /body\.machine\.customerId/,
    (visit) => [opened(visit, { machine: { ...opening(visit).machine, customerId: uuidv7() } })],
  ],
  [
    'a machine set for an unknown customer',
    /body\.machine\.customerId/,
    (visit) => [
      visit.opened,
      visit.write('machine-set', { machine: { ...opening(visit).machine, customerId: uuidv7() } }),
    ],
  ],
  [
    'one visit in upper and in lower case',
    /visitId/,
    (visit) => [visit.opened, { ...visit.opened, id: uuidv7(), visitId: visit.visitId.toUpperCase() }],
  ],
  [
    'one customer in upper and in lower case',
    /body\.customer\.id/,
    (visit) => [
      visit.opened,
      opened(testVisit(), {
        customer: { ...opening(visit).customer, id: opening(visit).customer.id.toUpperCase() },
        machine: opening(visit).machine,
      }),
    ],
  ],
  [
    'one id in upper and in lower case',
    /entries\.\d+\.id|^id/,
    (visit) => [visit.opened, note(visit, 'x'), note(visit, 'x', { id: uuidv7().toUpperCase() })],
  ],
  ['no word on whose visit it is', /visitId/, (visit) => [visit.opened, note(visit, 'x', { visitId: undefined })]],
  [
    'a name that every object has',
    /constructor/,
    (visit) => [
      visit.opened,
      JSON.parse(JSON.stringify(note(visit, 'x')).replace('"text"', '"constructor":{"a":1},"text"')),
    ],
  ],
  [
    'six thousand levels',
    /levels|nested/,
    (visit) => [
      visit.opened,
      { ...visit.write('working-kept', { question: 'wire-size', input: nested(6000) as object, units: 'us' }) },
    ],
  ],
]

function nested(levels: number): unknown {
  let value: unknown = 1
  for (let level = 0; level < levels; level++) value = { a: value }
  return value
}
/** JSON.stringify ends at some thousand levels; a hostile sender's does not. */
const json = (value: unknown): string => {
  try {
    return JSON.stringify(value)
  } catch {
    return JSON.stringify(value, (key, inner: unknown) => (key === 'input' ? 'DEEP' : inner)).replace(
      '"DEEP"',
      `${'{"a":'.repeat(6000)}1${'}'.repeat(6000)}`,
    )
  }
}
const journalText = () => readFileSync(join(folder.path, 'journal.jsonl'), 'utf8')

describe('a line that cannot be kept', () => {
  it.each(POISONS)('%s is refused at the edge with its field, and nothing of it is written', async (_, field, make) => {
    const before = journalText()
    const answer = await post(`${server.url}/api/entries`, `{"entries":${json(make(testVisit()))}}`)
    expect([400, 422]).toContain(answer.status)
    const { title, problems } = (await answer.json()) as { title: string; problems: { field: string }[] }
    expect(
      problems
        .map((problem) => problem.field)
        .concat(title)
        .join(' '),
    ).toMatch(field)
    expect(journalText()).toBe(before)
  })

  it.each(POISONS)('%s is refused in a visit file, and nothing of the file is kept', async (_, __, make) => {
    const visit = testVisit()
    const before = journalText()
    const answer = await post(
      `${server.url}/api/visits/import`,
      `{"format":"pike-lamp-visit","version":2,"visitId":"${visit.visitId}",` +
        `"entries":${json(make(visit))},"photos":[]}`,
    )
    expect([400, 422]).toContain(answer.status)
    expect(((await answer.json()) as { problems: unknown[] }).problems.length).toBeGreaterThan(0)
    expect(journalText()).toBe(before)
  })

  it('is refused the same way where a database server keeps the journal', async () => {
    const before = await entriesOf(pair[0])
    for (const [what, , make] of POISONS)
      expect([400, 422], what).toContain(
        (await post(`${pair[0].url}/api/entries`, `{"entries":${json(make(testVisit()))}}`)).status,
      )
    expect(await entriesOf(pair[0])).toBe(before)
  })

  it(
    'already in the journal of a shop: set aside with its number and why, said at the start and to the Shop, and ' +
      'the shop opens',
    async () => {
      const own = temporaryFolder()
      const good = testVisit()
      const lines = [
        JSON.stringify(good.opened),
        ...POISONS.flatMap(([, , make]) => (make(testVisit()) as Entry[]).map(json)),
        'not json',
        JSON.stringify(reading(good, 236)),
      ]
      writeFileSync(join(own.path, 'journal.jsonl'), lines.map((line) => `${line}\n`).join(''))
      const restored = await serve(own.path)
      expect((await journalOf(restored, good.visitId)).map(({ kind }) => kind)).toEqual(['visit-opened', 'finding'])
      const aside = readFileSync(join(own.path, 'journal.rejected.jsonl'), 'utf8')
        .trim()
        .split('\n')
        .map((line) => JSON.parse(line) as { line: number; reason: string; text: string })
      // Version 1 took ids in any case: such lines are lifted, not refused.
      const lifted = POISONS.filter(([what]) => /upper and in lower/.test(what)).length
      expect(aside.length).toBe(POISONS.length + 1 - lifted)
      for (const { line, reason, text } of aside) {
        expect(reason.length).toBeGreaterThan(7)
        expect(lines[line - 1]?.slice(0, 20)).toBe(
          text.slice(0, 20).replace(/�.*/, '') || lines[line - 1]?.slice(0, 20),
        )
      }
      expect(restored.output()).toMatch(
        new RegExp(`${aside.length} lines of the journal file are set aside in journal\\.rejected\\.jsonl`),
      )
      expect(restored.output()).not.toContain('wet')
      const { journal } = (await (await fetch(`${restored.url}/api/shop`)).json()) as {
        journal: { setAsideCount: number; setAside: { line: number }[] }
      }
      expect(journal.setAsideCount).toBe(aside.length)
      expect(journal.setAside.map(({ line }) => line)).toEqual(aside.map(({ line }) => line))
      await post(`${restored.url}/api/entries`, { entries: [reading(good, 237)] })
      await restored.kill('SIGKILL')
      const again = await serve(own.path)
      expect((await journalOf(again, good.visitId)).length).toBe(3)
      expect(
        ((await (await fetch(`${again.url}/api/shop`)).json()) as { journal: { setAsideCount: number } }).journal
          .setAsideCount,
        'said until the journal is read anew',
      ).toBe(aside.length)
      await again.kill('SIGTERM')
      own.remove()
    },
  )
})

const entriesOf = async ({ url }: Served) =>
  ((await (await fetch(`${url}/api/health`)).json()) as { entries: number }).entries

describe('two servers of one shop, at once', () => {
  it('never acknowledge two contents of one id, lose no line, and show the same journal', async () => {
    const visit = testVisit()
    expect((await post(`${pair[0].url}/api/entries`, { entries: [visit.opened] })).status).toBe(200)
    const twice = reading(visit, 230)
    const statuses = await Promise.all(
      pair.map(
        async ({ url }, index) =>
          (await post(`${url}/api/entries`, { entries: [{ ...twice, author: `van ${index}` }] })).status,
      ),
    )
    expect(statuses.sort()).toEqual([200, 409])
    const many = Array.from({ length: 60 }, (_, index) => reading(visit, 200 + index))
    const answers = await Promise.all(
      many.map((entry, index) => post(`${(pair[index % 2] as Served).url}/api/entries`, { entries: [entry] })),
    )
    expect(answers.every(({ ok }) => ok)).toBe(true)
    const [here, there] = await Promise.all(pair.map((each) => journalOf(each, visit.visitId)))
    expect(here).toEqual(there)
    expect(new Set(here?.map(({ id }) => id)).size).toBe(62)
  })
})

async function journalOf({ url }: Served, visitId: string): Promise<Entry[]> {
  return ((await (await fetch(`${url}/api/visits/${visitId}`)).json()) as { entries: Entry[] }).entries
}

/** Any text there is, well formed or not; mostly well formed, so that some lines are taken. */
const mostly = <T>(usual: T, ...others: fc.Arbitrary<T>[]) =>
  fc.oneof({ arbitrary: fc.constant(usual), weight: 12 }, ...others.map((arbitrary) => ({ arbitrary, weight: 1 })))
const anyText = fc.oneof(
  { arbitrary: fc.string({ unit: 'grapheme', minLength: 1, maxLength: 12 }), weight: 6 },
  { arbitrary: fc.string({ unit: 'binary', maxLength: 12 }), weight: 1 },
  { arbitrary: fc.constantFrom('\0', HALF, ''), weight: 1 },
)
const pad = (value: number, width = 2) => String(value).padStart(width, '0')
const anyInstant = mostly(
  '2026-05-12T10:20:00Z',
  fc
    .tuple(
      fc.integer({ min: 0, max: 12000 }),
      fc.integer({ min: 0, max: 14 }),
      fc.integer({ min: 0, max: 32 }),
      fc.integer({ min: 0, max: 24 }),
    )
    .map(([year, month, day, hour]) => `${pad(year, 4)}-${pad(month)}-${pad(day)}T${pad(hour)}:00:00+${pad(hour)}:30`),
  anyText,
)
const anyId = mostly<string | undefined>(
  undefined,
  fc.uuid({ version: 7 }),
  fc.uuid({ version: 7 }).map((id) => id.toUpperCase()),
  anyText,
)
const anyLine = fc.record({
  text: anyText,
  author: mostly('test', anyText),
  at: anyInstant,
  id: anyId,
  supersedes: anyId,
  lamport: mostly<number | undefined>(undefined, fc.integer(), fc.double()),
  kind: fc.constantFrom(
    'note',
    'call',
    'machine-set',
    'gate',
    'finding',
    'retracted',
    'customer-set',
    'photo',
    'note',
    'gate',
    'finding',
    'note',
  ),
})

describe('any line at all', () => {
  it('is refused or taken, never a failure, and what was acknowledged restores into an empty folder', async () => {
    const acknowledged = new Map<string, Entry[]>()
    await fc.assert(
      fc.asyncProperty(fc.array(anyLine, { minLength: 1, maxLength: 4 }), async (lines) => {
        const visit = testVisit()
        const bodies = (text: string): Record<string, object> => ({
          note: { text, seenAndLeft: false },
          call: { complaints: [], alreadyReplaced: [], callerSays: text },
          'machine-set': { machine: { ...opening(visit).machine, name: text } },
          gate: { gate: 'power-off', shut: true },
          finding: { check: 'weep-hole', outcome: 'dry', stage: 'test', at: text },
          retracted: {},
          'customer-set': { customer: { ...opening(visit).customer, name: text } },
          photo: { hash: text, type: 'image/png', bytes: 3, name: text },
        })
        const entries = [
          visit.opened,
          ...lines.map(({ kind, text, id, ...more }) => ({
            ...visit.opened,
            ...more,
            id: id ?? uuidv7(),
            kind,
            body: bodies(text)[kind],
          })),
        ]
        const answer = await post(`${server.url}/api/entries`, {
          entries: JSON.parse(JSON.stringify(entries)) as unknown,
        })
        expect([200, 400, 409, 422]).toContain(answer.status)
        if (answer.status === 200) acknowledged.set(visit.visitId, await journalOf(server, visit.visitId))
      }),
      { numRuns: 300 },
    )
    expect(acknowledged.size).toBeGreaterThan(20)
    const own = temporaryFolder()
    mkdirSync(own.path, { recursive: true })
    appendFileSync(join(own.path, 'journal.jsonl'), journalText())
    const restored = await serve(own.path)
    expect(existsSync(join(own.path, 'journal.rejected.jsonl'))).toBe(false)
    for (const [visitId, entries] of acknowledged) expect(await journalOf(restored, visitId)).toEqual(entries)
    await restored.kill('SIGTERM')
    own.remove()
  })
})
