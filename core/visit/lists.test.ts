import { describe, expect, it } from 'vitest'
import { US_READER } from '../quantity/sentence'
import { beforeAfter, tellingReadings } from './before-after'
import { differences } from './differences'
import { pumpOf } from './fold'
import { historyText } from './history'
import { earlierReadings, historyOf } from './history-of'
import { listingOf } from './listing'
import { isPartPrice } from './part-price'
import { READING_COLUMNS, readingRows } from './readings-table'
import { entry, fold, opened, reading, seen } from './test-journal'

const machine = (more: object) => ({ ...(opened().body as { machine: object }).machine, ...more }) as never

describe('a machine on the day', () => {
  it.each([
    ['2026-05-12', true],
    ['2026-05-13', true],
    ['2026-05-11', false],
    [undefined, false],
  ])('under warranty until %s', (warrantyUntil, under) =>
    expect(pumpOf(machine({ warrantyUntil }), '2026-05-12T23:59:00Z').underWarranty).toBe(under),
  )
  it('is as old as the days since it was put in, and never younger than new', () => {
    expect(pumpOf(machine({ installedOn: '2016-05-12' }), '2026-05-12').ageYears).toBeCloseTo(10, 2)
    expect(pumpOf(machine({ installedOn: '2027-05-12' }), '2026-05-12').ageYears).toBe(0)
    expect(pumpOf(machine({ installedOn: undefined }), '2026-05-12')).not.toHaveProperty('ageYears')
  })
})

describe('before and after', () => {
  const state = fold([
    opened(),
    reading('supply-voltage', 200),
    reading('supply-voltage', 236),
    seen('weep-hole', 'dripping'),
    seen('listen', 'quiet'),
    reading('supply-voltage', 238, {}, 'prove'),
    seen('weep-hole', 'dry', 'prove'),
  ])
  it('the newest of each stands on one line', () => {
    expect(
      beforeAfter(state).map(({ subject, before, after }) => [
        subject,
        before?.judgement.value,
        after?.judgement.value,
      ]),
    ).toEqual([
      ['supply at rest', 236, 238],
      ['weep hole', 'dripping', 'dry'],
      ['listen', 'quiet', undefined],
    ])
  })
  it('the telling ones come first: what failed, what is tired, what is sound; measured before seen', () => {
    const many = fold([
      opened(),
      seen('listen', 'quiet'),
      reading('running-current', 6.5),
      reading('supply-voltage', 209),
      seen('weep-hole', 'dripping'),
    ])
    expect(tellingReadings(many.findings, 9).map(({ finding }) => finding.check)).toEqual([
      'weep-hole',
      'supply-voltage',
      'running-current',
      'listen',
    ])
    expect(tellingReadings(many.findings, 2)).toHaveLength(2)
  })
})

describe('readings as rows', () => {
  it('have a column for each thing, an open reading among them', () => {
    const rows = readingRows(
      fold([
        opened(),
        reading('winding-resistance', null, { unit: 'ohm', leads: 'common-run' }),
        seen('weep-hole', 'dry'),
      ]),
      US_READER,
    )
    expect(Object.keys(rows[0] ?? {}).sort()).toEqual([...READING_COLUMNS].sort())
    expect(rows[0]).toMatchObject({
      stage: 'test',
      value: 'open',
      unit: 'ohm',
      leads: 'common-run',
      outcome: '',
      verdict: 'failed',
    })
    expect(rows[1]).toMatchObject({ value: '', unit: '', outcome: 'dry', verdict: 'sound', low: '', high: '' })
  })
  it('are in the reader’s units', () => {
    const state = fold([opened(), reading('filter-pressure', 10, { unit: 'psi' })])
    expect(readingRows(state, { system: 'metric' })[0]).toMatchObject({
      value: '68.9476',
      unit: 'kPa',
      high: '172.369',
    })
    expect(readingRows(state, US_READER)[0]).toMatchObject({ value: '10', unit: 'psi', high: '25' })
  })
})

describe('the history of a machine', () => {
  const { findings } = fold([
    opened(),
    reading('insulation-resistance', 200, { unit: 'Mohm', celsius: 20 }),
    seen('weep-hole', 'dripping'),
  ])
  const [meg, weep] = findings.map((finding) => historyOf('v', finding, { kind: 'pool' }))
  it('keeps what a trend wants', () => {
    expect(meg).toMatchObject({
      visitId: 'v',
      setup: 'surface-motor',
      value: 200,
      low: 5,
      corrected: 50,
      verdict: 'sound',
    })
    expect(weep).toMatchObject({ value: null, outcome: 'dripping' })
    expect(weep).not.toHaveProperty('corrected')
    expect(historyOf('v', findings[0]!, { kind: 'well-two-wire' }).setup).toBe('motor-and-cable')
  })
  it('is said in a few words', () => {
    expect(historyText(meg!, US_READER)).toBe('insulation, surface motor 200 MΩ')
    expect(historyText(weep!, US_READER)).toBe('weep hole dripping')
  })
  it('gives the newest insulation of each setup to compare with, and no open one', () => {
    expect(
      earlierReadings([meg!, { ...meg!, value: 90 }, { ...meg!, setup: 'cable-alone', value: null }, weep!]),
    ).toEqual({ 'insulation-resistance:surface-motor': 90 })
  })
})

describe('a visit in a list', () => {
  it('is none until it is opened, and has the newest call and stage', () => {
    expect(listingOf([seen('weep-hole', 'dry')])).toBeUndefined()
    const plain = listingOf([opened()])
    expect(plain).toMatchObject({ callerSays: 'hums', complaints: [], stage: 'call', handedOver: false, paced: [] })
    expect(plain).not.toHaveProperty('cause')
    const later = listingOf([
      opened(),
      entry('call', { complaints: ['hums-no-start'], alreadyReplaced: [], callerSays: 'it hums' }),
      entry('joint-done', { joint: 'call' }),
      entry('joint-done', { joint: 'prepare' }),
    ])
    expect(later).toMatchObject({ callerSays: 'it hums', complaints: ['hums-no-start'], stage: 'safe' })
  })
  it('teaches the cause that was confirmed and handed over, or found at the bench', () => {
    const said = entry('cause-said', { fault: 'bearings-worn', verdict: 'it-was-this' })
    const over = entry('handed-over', {} as never)
    expect(listingOf([opened(), said])).not.toHaveProperty('cause')
    expect(listingOf([opened(), said, over])?.cause).toEqual({ fault: 'bearings-worn', entryId: over.id })
    const bench = entry('post-mortem', { fault: 'shaft-bent', why: 'fell', keeping: '' })
    expect(listingOf([opened(), said, over, bench])?.cause).toEqual({ fault: 'shaft-bent', entryId: bench.id })
  })
  it('knows who said who and which: the shop, or a file', () => {
    const first = { ...opened(), imported: true }
    expect(listingOf([first])?.said).toEqual({
      customer: { entryId: first.id, imported: true, isCopy: true },
      machine: { entryId: first.id, imported: true, isCopy: true },
    })
    const set = entry('machine-set', { machine: machine({ name: 'other' }) })
    expect(listingOf([first, set])).toMatchObject({
      machine: { name: 'other' },
      said: { machine: { entryId: set.id, imported: false, isCopy: false } },
    })
  })
})

describe('small things that are kept', () => {
  it('a customer known otherwise elsewhere', () => {
    const here = { id: 'a', name: 'Lido', place: 'Weir Street', phone: '12' }
    expect(differences(here, { ...here })).toEqual([])
    expect(differences(here, { id: 'b', name: 'Lido', place: 'Weir Lane' })).toEqual([
      { field: 'place', here: 'Weir Street', there: 'Weir Lane' },
      { field: 'phone', here: '12', there: '' },
    ])
  })
  it.each<[string, unknown, boolean]>([
    ['motor', 0, true],
    ['motor', 1_000_000, true],
    ['motor', 1_000_001, false],
    ['motor', -1, false],
    ['motor', '12', false],
    ['motor:pool', 12, true],
    ['motor:pond', 12, false],
    ['motor:pool:x', 12, false],
    ['rocket', 12, false],
    ['constructor', 12, false],
  ])('the price of %s at %s', (name, price, is) => expect(isPartPrice(name, price)).toBe(is))
})
