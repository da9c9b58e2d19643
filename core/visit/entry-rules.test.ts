import { describe, expect, it } from 'vitest'
import { InputError } from '../validation/input-error'
import { bodyProblems, validEntry } from './entry-rules'
import { liftJournal } from './lift'
import { readVisitFile, toVisitFile } from './visit-file'
import { ENTRY_VERSION, type Entry, type EntryBodies } from './entry'

const ID = '0197a000-00aa-7000-8000-000000000001'
const VISIT = '0197a000-0009-7000-8000-000000000001'
const good = {
  id: ID,
  visitId: VISIT,
  kind: 'finding',
  at: '2026-05-12T10:20:00.000Z',
  author: 'test',
  body: { check: 'capacitance', part: 'run-capacitor', value: 27, unit: 'uF', stage: 'test' },
}
const opened = {
  id: '0197a000-00aa-7000-8000-000000000002',
  visitId: VISIT,
  kind: 'visit-opened',
  at: '2026-05-12T08:00:00Z',
  author: 'test',
  body: {
    customer: { id: VISIT, name: 'Lido', place: 'Weir Street' },
    machine: {
      id: VISIT,
      customerId: VISIT,
      name: 'pump',
      kind: 'pool',
      construction: 'band-clamp',
      nameplate: { volts: 230 },
    },
    scheduledAt: '2026-05-12T10:00:00Z',
    plannedMinutes: 45,
    callerSays: '',
  },
}
function problems(change: object): { field: string; value: unknown; expected: string }[] {
  try {
    validEntry({ ...good, ...change })
  } catch (error) {
    if (error instanceof InputError) return error.problems
    throw error
  }
  return []
}

describe('an entry from outside', () => {
  it('comes through as it was sent, in canonical units', () => {
    expect(validEntry(good)).toEqual({ ...good, v: ENTRY_VERSION })
    expect(
      validEntry({ ...good, body: { check: 'insulation-resistance', value: 200, unit: 'k', stage: 'test' } }).body,
    ).toMatchObject({ value: 0.2, unit: 'Mohm' })
    expect(validEntry({ ...opened, lamport: 1, imported: true })).toEqual({
      ...opened,
      v: ENTRY_VERSION,
      lamport: 1,
      imported: true,
    })
    const retraction = { ...good, kind: 'retracted', supersedes: opened.id, body: {} }
    expect(validEntry(retraction)).toEqual({ ...retraction, v: ENTRY_VERSION })
  })

  it.each([
    ['id', { id: '0197a000-00aa-4000-8000-000000000001' }],
    ['id', { id: 7 }],
    ['visitId', { visitId: 'x' }],
    ['visitId', { visitId: null }],
    ['kind', { kind: 'poem' }],
    ['kind', { kind: '__proto__' }],
    ['at', { at: 'yesterday' }],
    ['at', { at: '2026-05-12' }],
    ['author', { author: '' }],
    ['supersedes', { supersedes: 'no' }],
    ['supersedes', { supersedes: ID }],
    ['extra', { extra: 1 }],
    ['body', { body: 'text' }],
    ['body.check', { body: { check: 'phase-of-moon', value: 1, stage: 'test' } }],
    ['body.value', { body: { ...good.body, value: '27' } }],
    ['body.value', { body: { ...good.body, value: -3 } }],
    ['body.value', { body: { ...good.body, value: undefined } }],
    ['body.unit', { body: { ...good.body, unit: 'V' } }],
    ['body.part', { body: { ...good.body, part: 'heart' } }],
    ['body.stage', { body: { ...good.body, stage: 'later' } }],
    ['body.outcome', { body: { check: 'shaft-turn', outcome: 'wobbly', stage: 'test' } }],
    ['body.outcome', { body: { check: 'supply-voltage', outcome: 'free', stage: 'test' } }],
    ['body.surprise', { body: { ...good.body, surprise: true } }],
    ['supersedes', { kind: 'retracted', body: {} }],
    ['body.why', { kind: 'retracted', supersedes: '0197a000-00aa-7000-8000-000000000002', body: { why: 'x' } }],
    ['body.text', { kind: 'note', body: { text: '', seenAndLeft: false } }],
    ['body.hash', { kind: 'photo', body: { hash: '../../etc/passwd', type: 'image/png', bytes: 3, name: 'x' } }],
    ['body.count', { kind: 'step', body: { step: 'down:clamp', done: true, count: 1.5 } }],
    [
      'body.lines.0.volts',
      { kind: 'gate', body: { gate: 'proved-dead', shut: true, lines: [{ line: 'L1', volts: 'none' }] } },
    ],
    [
      'body.count',
      { kind: 'step', body: { step: 'down:shims', done: true, count: 7, places: [{ place: 'corner 1', count: 2 }] } },
    ],
    [
      'body.places.0.count',
      { kind: 'step', body: { step: 'down:shims', done: true, count: 2, places: [{ place: 'corner 1', count: -2 }] } },
    ],
    ['body.estimate', { kind: 'step', body: { step: 'down:clamp', done: true, estimate: -1 } }],
    ['body.pipeInches', { kind: 'take-down-measured', body: {} }],
    ['body.celsius', { kind: 'take-down-measured', body: { celsius: 'cold' } }],
    ['body.hot', { kind: 'take-down-measured', body: { hot: 'yes' } }],
    ['body.spareFirst', { kind: 'decision', body: { option: 'swap-motor', spareFirst: 1 } }],
    [
      'body.practices',
      {
        visitId: null,
        kind: 'shop-set',
        body: {
          name: 'x',
          place: '',
          units: 'us',
          rates: { currency: 'USD', hourly: 90, trip: 50, partsMarkup: 0.2, downtime: 50, partPrices: {} },
          practices: { rings: 'never' },
        },
      },
    ],
    ['v', { v: ENTRY_VERSION + 1 }],
    ['lamport', { lamport: 0 }],
    ['lamport', { lamport: 2 ** 53 }],
    ['visitId', { visitId: undefined }],
    ['visitId', { visitId: VISIT.toUpperCase() }],
    ['supersedes', { settles: [opened.id] }],
    ['settles', { supersedes: opened.id, settles: ['x'] }],
    ['visitId', { kind: 'customer-set', body: { customer: opened.body.customer } }],
    [
      'body.customer.id',
      { visitId: null, kind: 'customer-set', body: { customer: { ...opened.body.customer, id: VISIT.toUpperCase() } } },
    ],
    ['at', { at: '2026-02-30T10:00:00Z' }],
    ['at', { at: '0000-05-12T10:00:00Z' }],
    ['at', { at: '2026-05-12T10:00:00+23:59' }],
    ['at', { at: '+102026-05-12T10:00:00Z' }],
    ['body.nextDate', { kind: 'handed-over', body: { watch: '', nextDate: '2026-02-30' } }],
    ['body.text', { kind: 'note', body: { text: 'null\u0000', seenAndLeft: false } }],
    ['body.text', { kind: 'note', body: { text: 'half \ud83d', seenAndLeft: false } }],
    ['author', { author: '\udca7 half' }],
    [
      'body.machine.customerId',
      { kind: 'visit-opened', body: { ...opened.body, machine: { ...opened.body.machine, customerId: ID } } },
    ],
    ['body.complaints', { kind: 'call', body: { complaints: ['it is sad'], alreadyReplaced: [], callerSays: '' } }],
  ])('is refused with the field %s', (field, change) => {
    const found = problems(change)
    expect(found.map((problem) => problem.field)).toContain(field)
    for (const problem of found) expect(problem.expected.length).toBeGreaterThan(3)
  })

  it('is refused when the construction is another kind’s, or the plate has no volts', () => {
    const body = (machine: object) => ({
      ...opened,
      body: { ...opened.body, machine: { ...opened.body.machine, ...machine } },
    })
    expect(() => validEntry(body({ construction: 'jet-end' }))).toThrow(/construction/)
    expect(() => validEntry(body({ nameplate: {} }))).toThrow(/nameplate.volts/)
    expect(() => validEntry(body({ nameplate: { volts: 230, runWindingOhms: [3, 2] } }))).toThrow(/runWindingOhms/)
  })

  it('names its place in a list', () => {
    expect(() => validEntry({ ...good, id: 'x' }, 'entries.3')).toThrow(/entries\.3\.id/)
  })
})

describe('a visit file', () => {
  const entries = [opened, good] as unknown as Entry[]
  it('reads back what was written', () => {
    const file = toVisitFile(VISIT, liftJournal(entries), [])
    const read = readVisitFile(JSON.parse(JSON.stringify(file)))
    expect(read.entries).toEqual([
      { ...opened, v: ENTRY_VERSION, lamport: 1, imported: true },
      { ...good, v: ENTRY_VERSION, lamport: 2, imported: true },
    ])
    expect(
      toVisitFile(VISIT, read.entries, []).entries.map(({ imported }) => imported),
      'where it came from is not given on',
    ).toEqual([undefined, undefined])
  })

  it('of version 1 is in the order it has its lines in', () => {
    const file = {
      format: 'pike-lamp-visit',
      version: 1,
      visitId: VISIT,
      entries: [opened, { ...good, at: '2020-01-01T00:00:00Z' }],
    }
    expect(readVisitFile(file).entries.map(({ kind, lamport }) => [kind, lamport])).toEqual([
      ['visit-opened', 1],
      ['finding', 2],
    ])
  })

  it.each([
    ['format', { format: 'other' }],
    ['version', { version: 3 }],
    ['photos.0', { photos: [null] }],
    ['photos', { photos: 'none' }],
    ['entries.0.body.callerSays', { entries: [{ ...opened, body: { ...opened.body, callerSays: '\ud83d' } }] }],
    ['entries', { entries: 'none' }],
    ['entries', { entries: [good] }],
    ['entries.1.visitId', { entries: [opened, { ...good, visitId: '0197a000-0009-7000-8000-000000000002' }] }],
    ['photos.0.hash', { photos: [{ hash: 'x', base64: '' }] }],
  ])('is refused with the field %s', (field, change) => {
    expect(() => readVisitFile({ ...toVisitFile(VISIT, entries, []), ...change })).toThrow(
      new RegExp(field.replaceAll('.', '\\.')),
    )
  })

  it('is refused when it is no object at all', () => expect(() => readVisitFile(null)).toThrow(/format/))
})

describe('a body before it is written', () => {
  it('has no problem, or each with its path in the body', () => {
    expect(bodyProblems('note', { text: 'dry', seenAndLeft: false })).toEqual([])
    expect(bodyProblems('handed-over', { watch: '', price: -1 }).map(({ field }) => field)).toEqual(['price'])
    expect(bodyProblems('note', { text: '', seenAndLeft: 'yes' }).map(({ field }) => field)).toEqual([
      'text',
      'seenAndLeft',
    ])
    const machine = { ...opened.body.machine, nameplate: { volts: 9000 } }
    expect(bodyProblems('machine-set', { machine })[0]).toMatchObject({ field: 'machine.nameplate.volts', value: 9000 })
    expect(bodyProblems('note', { text: 'half \ud83d', seenAndLeft: false })).toHaveLength(1)
  })
  it.each<[keyof EntryBodies, object, string | undefined]>([
    [
      'signed',
      {
        strokes: [
          [1, 2, 3, 4],
          [5, 5],
        ],
      },
      undefined,
    ],
    ['signed', { strokes: [] }, 'strokes'],
    ['signed', { strokes: [[1, 2, 3]] }, 'strokes'],
    ['signed', { strokes: [[1, 2.5]] }, 'strokes'],
    ['signed', { strokes: [[1, 99_999]] }, 'strokes'],
    ['signed', { strokes: Array.from({ length: 201 }, () => [1, 1]) }, 'strokes'],
    ['signed', { strokes: [Array.from({ length: 8002 }, () => 1)] }, 'strokes'],
    ['signed', { hash: 'x' }, 'hash'],
    ['signed', { by: '' }, 'by'],
    ['mailed', {}, undefined],
    ['mailed', { to: 'nobody' }, 'to'],
    ['mailed', { paper: 'record' }, 'paper'],
    ['mailed', { by: 'pigeon' }, 'by'],
    ['paid', {}, undefined],
    ['paid', { amount: Number.NaN }, 'amount'],
    ['paid', { on: '2026-02-30' }, 'on'],
    ['claim', {}, undefined],
    ['claim', { part: 'soul' }, 'part'],
    ['claim', { complaint: '' }, 'complaint'],
    ['claim', { warrantyUntil: 'soon' }, 'warrantyUntil'],
    ['claim-moved', {}, undefined],
    ['claim-moved', { to: 'lost' }, 'to'],
    ['price-change', {}, undefined],
    ['price-change', { amount: 3 }, 'amount'],
    ['price-change', { afterHours: 0 }, 'afterHours'],
  ])('%s with %o: %s', (kind, more, field) =>
    expect(bodyProblems(kind, { ...GOOD[kind], ...more }).map((problem) => problem.field)[0]).toBe(field),
  )
})

const GOOD: Partial<Record<keyof EntryBodies, object>> = {
  signed: { by: 'N. Harrow', hash: 'a'.repeat(64), width: 600, height: 160, strokes: [[1, 2]] },
  mailed: { paper: 'sheet', to: 'harrow@bell-lane.example', mail: opened.id, issue: 1, by: 'folder' },
  paid: { amount: 12.5, on: '2026-05-12', how: 'cash' },
  claim: { part: 'motor', complaint: 'grinds', opened: false },
  'claim-moved': { to: 'sent', on: '2026-05-12' },
  'price-change': { label: '45 minutes after hours', afterHours: 45 },
}
