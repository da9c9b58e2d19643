import { describe, expect, it } from 'vitest'
import { US_READER } from '../quantity/sentence'
import { entryWords, journalLine, journalLines } from './describe'
import type { Entry, EntryBodies, EntryKind } from './entry'
import { entry, fold, opened, reading, seen } from './test-journal'

const line = (written: Entry) => journalLine(written, new Map(), US_READER)
const of = <K extends EntryKind>(kind: K, body: EntryBodies[K]) => {
  const { text, detail, value, verdict } = line(entry(kind, body))
  return [text, detail, value, verdict].filter((each) => each !== undefined)
}

describe('a line of the journal as people read it', () => {
  it.each<[EntryKind, object, string[]]>([
    [
      'call',
      { complaints: ['hums-no-start', 'trips-breaker'], alreadyReplaced: [], callerSays: 'it hums' },
      ['the call', 'hums, will not turn, trips the breaker'],
    ],
    ['call', { complaints: [], alreadyReplaced: [], callerSays: 'it hums' }, ['the call', 'it hums']],
    ['machine-set', { machine: {} }, ['machine and nameplate written down']],
    ['loaded', { item: 'part:run-capacitor', loaded: true }, ['loaded: run capacitor']],
    ['loaded', { item: 'tool:strap-wrench', loaded: false }, ['unloaded: strap wrench']],
    ['gate', { gate: 'power-off', shut: true }, ['power off']],
    ['gate', { gate: 'power-off', shut: false }, ['power off: no longer']],
    [
      'gate',
      {
        gate: 'proved-dead',
        shut: true,
        lines: [
          { line: 'L1', volts: 0 },
          { line: 'L2', volts: 0.4 },
        ],
      },
      ['proved dead', 'L1 0 V, L2 0.4 V'],
    ],
    [
      'gate',
      { gate: 'discharged', shut: true, lines: [{ line: 'can', volts: 1 }], seconds: 70 },
      ['discharged', 'can 1 V · after 1 min 10 s'],
    ],
    ['note', { text: 'foot cracked', seenAndLeft: true }, ['seen and left: foot cracked']],
    ['note', { text: 'foot cracked', seenAndLeft: false }, ['foot cracked']],
    ['photo', { hash: 'a', type: 'image/png', bytes: 1, name: 'one.png', caption: 'the plate' }, ['photo: the plate']],
    ['photo', { hash: 'a', type: 'image/png', bytes: 1, name: 'one.png' }, ['photo: one.png']],
    ['check-skipped', { check: 'shaft-turn' }, ['passed over: shaft turn']],
    ['cause-said', { fault: 'bearings-worn', verdict: 'not-this' }, ['not this: bearings worn']],
    ['cause-said', { fault: 'bearings-worn', verdict: 'it-was-this' }, ['it was this: bearings worn']],
    [
      'post-mortem',
      { fault: 'bearings-worn', why: 'rust', keeping: 'impeller' },
      ['at the bench: bearings worn', 'rust · keep: impeller'],
    ],
    ['post-mortem', { fault: 'bearings-worn', why: 'rust', keeping: '' }, ['at the bench: bearings worn', 'rust']],
    ['decision', { option: 'swap-motor' }, ['decided: swap motor']],
    ['decision', { option: 'swap-motor', spareFirst: true }, ['decided: swap motor, a spare in first']],
    ['step', { step: 'down:cover-bolts', done: true, count: 4 }, ['done: cover bolts', '4']],
    [
      'step',
      { step: 'back:cover-bolts', done: false, reason: 'one is short' },
      ['undone: cover bolts', 'one is short'],
    ],
    ['take-down-found', { joint: 'cover-bolts', what: 'stuck' }, ['will not open: cover bolts']],
    ['take-down-found', { part: 'seal-plate', what: 'damaged' }, ['found damaged: seal plate']],
    ['take-down-measured', { outletHigherMm: 25.4 }, ['measured for the repair', 'new outlet 1 in higher']],
    ['joint-done', { joint: 'hand-over' }, ['Hand over done']],
    ['handed-over', { nextDate: '2026-11-01' }, ['handed over', 'next 2026-11-01']],
    ['handed-over', {}, ['handed over']],
    ['finding', { check: 'supply-voltage', value: 230, stage: 'test' }, ['supply-voltage']],
  ])('%s %j', (kind, body, words) => expect(of(kind, body as never)).toEqual(words))

  it('has a reading with its judgement, and not what opened the visit', () => {
    const state = fold([opened(), reading('supply-voltage', 236), seen('weep-hole', 'dripping')])
    expect(journalLines(state, US_READER).map(({ text, value, verdict }) => [text, value, verdict])).toEqual([
      ['weep hole', 'dripping', 'failed'],
      ['supply at rest', '236 V', 'sound'],
    ])
    expect(journalLines(state, US_READER)[1]?.detail).toBe('within 207 to 253 V for a 230 V plate')
  })
})

describe('a line that belongs to no visit here, in words', () => {
  it.each<[Entry, string]>([
    [reading('supply-voltage', 236, { unit: 'V' }), 'supply at rest 236 V'],
    [reading('capacitance', 27, { unit: 'uF', part: 'run-capacitor' }), 'capacitance run capacitor 27 μF'],
    [reading('winding-resistance', null, { leads: 'common-run' }), 'winding common-run open'],
    [seen('weep-hole', 'dripping'), 'weep hole dripping'],
    [entry('finding', { check: 'no-such', stage: 'test' } as never), 'no-such'],
    [opened(), 'visit opened: Millrace Lido, filter pump 2'],
    [entry('retracted', {}), 'a line taken back'],
    [entry('shop-set', {} as never), 'shop set'],
    [entry('handed-over', { nextDate: '2026-11-01' } as never), 'handed over: next 2026-11-01'],
  ])('%#', (written, words) => expect(entryWords(written, US_READER)).toBe(words))
})
