import { describe, expect, it } from 'vitest'
import type { Entry, EntryBodies, EntryKind, Machine } from '../visit/entry'
import { foldVisit, type VisitState } from '../visit/fold'
import { machineAfter } from '../visit/fitted'
import { cardOf, visitWords } from './card'

const customer = { id: '0197a000-0001-7000-8000-000000000001', name: 'Millrace Lido', place: 'Weir Street 1, Tarrow' }
const pump: Machine = {
  id: '0197a000-0002-7000-8000-000000000001',
  customerId: customer.id,
  name: 'filter pump 2',
  kind: 'pool',
  construction: 'band-clamp',
  installedOn: '2019-05-12',
  warrantyUntil: '2021-05-12',
  nameplate: { volts: 230, motorType: 'permanent-split', horsepower: 1, runCapacitorMicrofarads: 30 },
}
let count = 0
/** A visit on a day, its lines given. */
function visit(day: string, lines: { [K in EntryKind]: [K, EntryBodies[K]] }[EntryKind][], machine = pump): VisitState {
  const visitId = `0197a000-0009-7000-8000-${(++count).toString().padStart(12, '0')}`
  const all = [
    ['visit-opened', { customer, machine, scheduledAt: `${day}T09:00:00.000Z`, plannedMinutes: 60, callerSays: '' }],
    ...lines,
  ] as [EntryKind, object][]
  return foldVisit(
    all.map(
      ([kind, body], index) =>
        ({
          id: `0197a000-00aa-7000-8000-${(++count).toString().padStart(12, '0')}`,
          visitId,
          kind,
          lamport: index + 1,
          at: `${day}T09:${index.toString().padStart(2, '0')}:00.000Z`,
          author: 'test',
          body,
        }) as unknown as Entry,
    ),
  ) as VisitState
}
const capacitor = (value: number): ['finding', EntryBodies['finding']] => [
  'finding',
  { check: 'capacitance', part: 'run-capacitor', value, unit: 'uF', stage: 'test' },
]
const looked = (check: string, outcome: string): ['finding', EntryBodies['finding']] => [
  'finding',
  { check, outcome, stage: 'test' },
]
const card = (states: VisitState[], machine = pump) =>
  cardOf({ machine, customer, states, now: '2026-05-12T08:00:00.000Z' })

describe('the card of a machine', () => {
  it('follows each reading to the day on which it meets its limit, the nearest first', () => {
    const { rows } = card([
      visit('2023-05-12', [capacitor(30), looked('shaft-turn', 'free')]),
      visit('2024-05-12', [capacitor(29.6)]),
      visit('2025-05-12', [capacitor(29.2), looked('shaft-turn', 'free')]),
    ])
    expect(rows[0]).toMatchObject({ part: 'run-capacitor', verdict: 'sound', crossing: { is: 'ahead' } })
    expect(rows[0]?.bounds.low).toBeCloseTo(28.2)
    // Four tenths a year: one whole microfarad is two and a half years more.
    expect(new Date((rows[0]?.crossing as { at: number }).at).getUTCFullYear()).toBe(2027)
    expect(rows.find(({ part }) => part === 'bearings')).toMatchObject({
      points: [{ verdict: 'sound' }, { verdict: 'sound' }],
      usual: { from: 2024, to: 2029 },
    })
  })

  it('starts a part’s life anew with a new one, and shows what was before as before', () => {
    const first = visit('2023-05-12', [capacitor(30)])
    const second = visit('2024-05-12', [
      capacitor(22),
      ['fitted', { part: 'run-capacitor', identity: '30 μF 440 V', warrantyUntil: '2027-05-12' }],
      ['finding', { check: 'capacitance', part: 'run-capacitor', value: 30.3, unit: 'uF', stage: 'prove' }],
    ])
    const now = machineAfter(pump, second.entries)
    const { rows, findings, warranty } = card([first, second], now)
    const row = rows.find(({ part }) => part === 'run-capacitor')
    expect(row?.points.map(({ value, before }) => [value, before])).toEqual([
      [30, true],
      [22, true],
      [30.3, undefined],
    ])
    expect(row).toMatchObject({ identity: '30 μF 440 V', since: '2024-05-12', verdict: 'sound' })
    expect(findings.map(({ finding }) => finding.value)).toEqual([30.3])
    expect(warranty).toEqual([
      { what: 'the machine', until: '2021-05-12' },
      { what: 'run capacitor 30 μF 440 V', until: '2027-05-12' },
    ])
  })

  it('says the worst of what stands of a part, not the last word on another thing of it', () => {
    const { rows } = card([visit('2025-05-12', [looked('shaft-rock', 'rocks'), looked('shaft-turn', 'free')])])
    expect(rows[0]).toMatchObject({ part: 'bearings', verdict: 'failed', last: { outcome: 'rocks' } })
  })

  it('says nothing of a part that is new and was not read since', () => {
    const state = visit('2024-05-12', [
      looked('shaft-turn', 'gritty'),
      ['fitted', { part: 'bearings', identity: '6203' }],
    ])
    const row = card([state], machineAfter(pump, state.entries)).rows.find(({ part }) => part === 'bearings')
    expect(row?.verdict).toBeUndefined()
    expect(row?.points).toMatchObject([{ verdict: 'tired', before: true }])
    expect(row?.usual).toEqual({ from: 2029, to: 2034 })
  })

  it('remembers what was counted, what lies otherwise here, and what was left', () => {
    const own: Machine = { ...pump, joints: [{ joint: 'clamp-band', hand: 'left', extra: 'a washer' }] }
    const { counts, left, due } = card(
      [
        visit(
          '2025-05-12',
          [
            ['decision', { option: 'bearings-and-seal' }],
            ['step', { step: 'down:motor-bench.through-bolts', done: true, count: 4, note: 'two long' }],
            ['note', { text: 'lid ear cracked', seenAndLeft: true }],
            [
              'handed-over',
              { watch: '', nextDate: '2026-05-01', due: [{ kind: 'reading', on: '2026-04-01', what: 'x' }] },
            ],
          ],
          own,
        ),
      ],
      own,
    )
    expect(counts.on).toBe('2025-05-12')
    expect(counts.counted[0]).toMatchObject({ count: 4, words: 'bolts, through-bolts', detail: 'two long' })
    expect(counts.counted.at(-1)?.detail).toBe('left-hand thread, with it a washer')
    expect(left).toMatchObject([{ text: 'lid ear cracked', on: '2025-05-12' }])
    expect(due.map(({ on }) => on)).toEqual(['2026-04-01', '2026-05-01'])
  })

  it('tells a visit by what was done, else by what it was, else by what was said', () => {
    expect(visitWords(visit('2025-05-12', [['job', { job: 'run-capacitor', state: 'done' }]]))).toMatch(/capacitor/)
    expect(visitWords(visit('2025-05-12', [['cause-said', { fault: 'bearings-worn', verdict: 'it-was-this' }]]))).toBe(
      'Bearings worn',
    )
    expect(visitWords(visit('2025-05-12', []))).toBe('looked at')
  })
})
