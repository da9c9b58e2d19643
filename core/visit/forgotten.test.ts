import { describe, expect, it } from 'vitest'
import { ENTRY_VERSION, type Entry, type EntryBodies, type EntryKind } from './entry'
import { validEntry } from './entry-rules'
import { asKept, forgottenIn, FORMER_CUSTOMER, isOfForgotten, NOBODY, withoutPerson } from './forgotten'

const id = (number: number) => `0197a000-00aa-7000-8000-${String(number).padStart(12, '0')}`
const [CUSTOMER, MACHINE, SITE, VISIT, OTHER] = [1, 2, 3, 4, 5].map(id) as [string, string, string, string, string]
/** Stands wherever somebody's name or words could. */
const THEIRS = 'Merle Ashcombe'
const customer = {
  id: CUSTOMER,
  name: THEIRS,
  place: `${THEIRS}, Mill Lane 3`,
  phone: `${THEIRS} 5`,
  mail: 'merle@ashcombe.example',
}
const machine = {
  id: MACHINE,
  customerId: CUSTOMER,
  name: `the pump of ${THEIRS}`,
  kind: 'pool' as const,
  construction: 'band-clamp' as const,
  nameplate: { volts: 230, horsepower: 1 },
  fitted: [{ part: 'motor' as const, identity: 'frame 56J', since: '2024-05-01' }],
}

/** A line of every kind, with somebody in every field that could hold somebody. */
const SAID: { [K in EntryKind]: EntryBodies[K] } = {
  'visit-opened': {
    customer,
    machine,
    scheduledAt: '2026-05-12T10:00:00.000Z',
    plannedMinutes: 45,
    callerSays: THEIRS,
  },
  call: { complaints: ['hums-no-start'], alreadyReplaced: [], callerSays: THEIRS, since: THEIRS },
  'machine-set': { machine },
  planned: { at: '2026-05-12T10:00:00.000Z', why: THEIRS },
  arranged: { people: 2 },
  cancelled: { why: THEIRS },
  together: { with: OTHER },
  loaded: { item: 'part:motor', loaded: true },
  gate: { gate: 'power-off', shut: true },
  finding: { check: 'capacitance', part: 'run-capacitor', value: 27, unit: 'uF', stage: 'test' },
  note: { text: THEIRS, seenAndLeft: true },
  standing: { at: 'bench' },
  wish: { job: 'replace-motor' },
  photo: { hash: 'a'.repeat(64), type: 'image/png', bytes: 9, name: THEIRS, caption: THEIRS },
  recording: {
    hash: 'b'.repeat(64),
    type: 'audio/wav',
    bytes: 9,
    name: THEIRS,
    seconds: 10,
    side: 'motor',
    rpm: 3450,
    mainsHertz: 60,
    heard: { bearing: { is: 'no-blows' }, water: { is: 'steady' }, doubts: [], strongestHertz: 120, hissDecibels: -50 },
  },
  'check-skipped': { check: 'capacitance' },
  'cause-said': { fault: 'run-capacitor-failed', verdict: 'it-was-this' },
  'post-mortem': { fault: 'run-capacitor-failed', why: THEIRS, keeping: THEIRS },
  'working-kept': { question: 'ohms-law', input: {}, units: 'us' },
  job: { job: 'replace-motor', state: 'left', why: THEIRS },
  decision: { option: 'replace-motor' },
  'take-down-found': { part: 'motor', what: 'damaged' },
  'take-down-measured': { celsius: 12 },
  'new-part': { part: 'motor', identity: 'frame 56J' },
  fitted: { part: 'motor', identity: 'frame 56J' },
  step: { step: 'lift:motor', done: false, reason: THEIRS, note: THEIRS },
  'joint-done': { joint: 'test' },
  proof: { proof: 'dry', outcome: 'left', why: THEIRS },
  comeback: { failed: ['dry'] },
  'price-change': { label: THEIRS, amount: -10 },
  'price-agreed': { by: THEIRS, price: 120 },
  'handed-over': {
    watch: THEIRS,
    nextDate: '2026-10-01',
    price: 110,
    priceWhy: THEIRS,
    due: [{ kind: 'visit', on: '2026-10-01', what: THEIRS }],
    lines: [
      { label: 'motor', amount: 120, kind: 'part' },
      { label: THEIRS, amount: -10, kind: 'change' },
    ],
  },
  signed: { by: THEIRS, hash: 'b'.repeat(64), width: 300, height: 90, strokes: [[10, 20, 30, 40]] },
  mailed: { paper: 'sheet', to: customer.mail, mail: id(9), by: 'folder' },
  paid: { amount: 110, on: '2026-05-12', how: THEIRS },
  claim: {
    part: 'motor',
    identity: THEIRS,
    complaint: THEIRS,
    opened: true,
    openedWhy: THEIRS,
    to: THEIRS,
    reference: THEIRS,
  },
  'claim-moved': { to: 'sent', on: '2026-05-13', note: THEIRS },
  retracted: {},
  'shop-forget': {},
  'customer-set': { customer },
  'site-set': {
    site: { id: SITE, customerId: CUSTOMER, address: THEIRS, gate: THEIRS, key: THEIRS, dog: THEIRS, note: THEIRS },
  },
  'machine-retired': { machineId: MACHINE, on: '2026-05-12', why: THEIRS },
  merged: { what: 'customer', gone: OTHER, into: CUSTOMER },
  'kept-apart': { what: 'customer', these: [OTHER, CUSTOMER] },
  'day-order': { on: '2026-05-12', van: 'van-1', visits: [VISIT] },
  'shop-set': {
    name: 'the shop',
    place: 'Weir Street 9',
    units: 'us',
    rates: { currency: 'USD', hourly: 90, trip: 40, partsMarkup: 0.2, downtime: 0, partPrices: {} },
  },
  'customer-forgotten': { customers: [CUSTOMER], machines: [MACHINE], visits: [VISIT] },
  'practice-tried': {
    code: 'jet.two.1k9f',
    ended: 'handed-over',
    found: true,
    minutes: 95,
    price: 41_200,
    lamp: 'off',
    harms: ['not-proved'],
    marks: [{ idea: 'order', right: 4, of: 5 }],
  },
  'course-set': { course: OTHER, title: 'Spring', cases: ['jet.two.1k9f'], for: ['Ida'] },
  'article-set': { article: { id: OTHER, name: '6203 2RS', family: 'bearing', spec: { bore: 17 } } },
  'stock-moved': {
    article: OTHER,
    count: 1,
    from: 'van:van-1',
    to: 'machine',
    why: 'used',
    visit: VISIT,
    use: 'bearings',
    note: THEIRS,
  },
  'stock-counted': { article: OTHER, place: 'van:van-1', counted: 3 },
  'bay-set': { bay: 'a', name: 'A, capacitors' },
  'level-set': { article: OTHER, level: 3 },
  'keeping-set': { most: 400_000 },
  'supplier-set': { supplier: { id: OTHER, name: 'Wharf Supplies' } },
  'offer-set': {
    offer: { article: OTHER, supplier: OTHER, code: 'B 17', prices: [{ from: 1, price: 610 }], pricedOn: '2026-05-01' },
  },
  'order-placed': { order: OTHER, supplier: OTHER, number: '26-14', lines: [{ line: 1, article: OTHER, count: 4 }] },
  'order-moved': { order: OTHER, to: 'confirmed', expectedOn: '2026-05-16' },
}
const OF_SHOP: readonly EntryKind[] = [
  'shop-forget',
  'customer-set',
  'site-set',
  'machine-retired',
  'merged',
  'kept-apart',
  'day-order',
  'shop-set',
  'customer-forgotten',
  'practice-tried',
  'course-set',
  'article-set',
  'stock-moved',
  'stock-counted',
  'bay-set',
  'level-set',
  'keeping-set',
  'supplier-set',
  'offer-set',
  'order-placed',
  'order-moved',
]
const kinds = Object.keys(SAID) as EntryKind[]
const line = (
  kind: EntryKind,
  body: object = SAID[kind],
  visitId: string | null = OF_SHOP.includes(kind) ? null : VISIT,
) =>
  ({
    id: id(100 + kinds.indexOf(kind)),
    v: ENTRY_VERSION,
    lamport: 7,
    visitId,
    kind,
    at: '2026-05-12T10:20:00.000Z',
    author: 'Rook',
    ...(kind === 'retracted' ? { supersedes: id(99) } : {}),
    said: { act: id(98), line: THEIRS },
    body,
  }) as Entry
const forgotten = forgottenIn([line('customer-forgotten')])

describe('a line without the person', () => {
  it.each(kinds)('of kind %s holds nothing that was theirs, and is still a line', (kind) => {
    const kept = withoutPerson(line(kind))
    for (const theirs of [THEIRS, customer.mail]) expect(JSON.stringify(kept)).not.toContain(theirs)
    if (kind !== 'working-kept') expect(validEntry(kept)).toEqual(kept)
    expect(withoutPerson(kept)).toEqual(kept)
    const { id: own, lamport, visitId, at, author } = line(kind)
    expect(kept).toMatchObject({ id: own, lamport, visitId, at, author })
  })

  it('keeps what was measured, fitted and charged', () => {
    for (const kind of ['finding', 'fitted', 'gate', 'cause-said', 'decision'] as const)
      expect(withoutPerson(line(kind)).body).toEqual(SAID[kind])
    expect(withoutPerson(line('handed-over')).body).toEqual({
      watch: 'removed',
      price: 110,
      priceWhy: 'removed',
      lines: [
        { label: 'motor', amount: 120, kind: 'part' },
        { label: 'removed', amount: -10, kind: 'change' },
      ],
    })
    expect(withoutPerson(line('paid')).body).toMatchObject({ amount: 110, on: '2026-05-12' })
    expect(withoutPerson(line('visit-opened')).body).toMatchObject({
      customer: { id: CUSTOMER, name: FORMER_CUSTOMER, place: '' },
      machine: { kind: 'pool', nameplate: machine.nameplate, fitted: machine.fitted },
    })
  })

  it.each(['photo', 'recording'] as const)('asks for no %s any more', (kind) => {
    expect(withoutPerson(line(kind))).toMatchObject({ kind: 'note', body: { text: 'removed', seenAndLeft: false } })
  })
})

describe('whom a line speaks of', () => {
  it('is known by its visit, its customer, its machine or its place', () => {
    expect(kinds.filter((kind) => !isOfForgotten(line(kind), forgotten))).toEqual([
      'shop-forget',
      'merged',
      'kept-apart',
      'day-order',
      'shop-set',
      'customer-forgotten',
      'practice-tried',
      'course-set',
      'article-set',
      'stock-counted',
      'bay-set',
      'level-set',
      'keeping-set',
      'supplier-set',
      'offer-set',
      'order-placed',
      'order-moved',
    ])
    expect(isOfForgotten(line('machine-set', SAID['machine-set'], null), forgotten)).toBe(true)
    // A visit that is opened later by a device that had not heard.
    expect(isOfForgotten(line('visit-opened', SAID['visit-opened'], OTHER), forgotten)).toBe(true)
  })

  it('leaves every other line as it is', () => {
    const other = line('note', SAID.note, OTHER)
    expect(asKept(other, forgotten)).toBe(other)
    expect(asKept(line('note'), NOBODY)).toEqual(line('note'))
    expect(asKept(line('note'), forgotten).body).toEqual({ text: 'removed', seenAndLeft: true })
  })
})
