import { describe, expect, it } from 'vitest'
import type { Entry } from './entry'
import { jobOf } from './job'
import { limitLine, writeSheet } from './sheet'
import { UNNAMED_SHOP } from './shop'
import { entry, fold, opened, reading, seen } from './test-journal'

const SHOP = { ...UNNAMED_SHOP, name: 'Weir Lane Pumps' }
const sheetOf = (...entries: Entry[]) => {
  const state = fold([opened(), ...entries].map((each, index) => ({ ...each, lamport: index + 1 }) as Entry))
  return writeSheet(state, SHOP, jobOf(state, SHOP, {}, {}))
}
const machine = (more: object) => ({ ...(opened().body as { machine: object }).machine, ...more }) as never
const call = (...complaints: string[]) => entry('call', { complaints, alreadyReplaced: [], callerSays: 'since Sunday' })
const decided = (option: string) => entry('decision', { option })
const over = (more: object = {}) => entry('handed-over', { watch: '', ...more })
const can = (value: number, stage: 'test' | 'prove' = 'test') =>
  reading('capacitance', value, { unit: 'uF', part: 'run-capacitor' }, stage)
const proofs = () => [reading('supply-voltage-loaded', 231, {}, 'prove'), reading('running-current', 6.5, {}, 'prove')]

describe('the sheet’s head', () => {
  it('says the machine, the complaint and for whom', () => {
    const sheet = sheetOf(call('hums-no-start'))
    expect(sheet.machine.description).toBe('pool pump · 1 hp · 230 V 60 Hz · 9 years old · out of warranty')
    expect(sheet.complaint).toBe('hums, will not turn: since Sunday')
    expect(sheet).toMatchObject({ date: '2026-05-12', customer: { name: 'Millrace Lido', place: 'Weir Street 1' } })
    const description = (more: object) => sheetOf(entry('machine-set', { machine: machine(more) })).machine.description
    expect(description({ installedOn: '2026-02-01' })).toContain('under a year old')
    expect(description({ installedOn: undefined, warrantyUntil: '2027-01-01' })).toBe(
      'pool pump · 1 hp · 230 V 60 Hz · under warranty',
    )
  })
  it.each<[string, Entry[], RegExp]>([
    ['nothing was done', [], /was looked at\. Nothing was repaired\./],
    ['agreed only', [decided('replace-run-capacitor')], /still to be done: replace the run capacitor/],
    ['done and not proved', [decided('replace-run-capacitor'), over()], /was replaced\. It is still to be proved\./],
    ['proved in part', [decided('replace-run-capacitor'), over(), proofs()[0]!], /Not all of it is proved yet/],
    [
      'proved',
      [call('hums-no-start'), decided('replace-run-capacitor'), over(), ...proofs()],
      /filter pump 2 starts again\./,
    ],
    [
      'failing',
      [decided('replace-run-capacitor'), over(), reading('running-current', 14, {}, 'prove')],
      /is not right yet: amps did not prove/,
    ],
    [
      'left unproved with its reason',
      [
        decided('replace-run-capacitor'),
        over(),
        ...['loaded', 'amps'].map((proof) => entry('proof', { proof, outcome: 'left', why: 'the water is off' })),
      ],
      /What could not be proved yet stands below/,
    ],
    ['going back', [decided('return-under-warranty'), over()], /goes back under its warranty/],
    ['left as it is', [decided('leave-it'), over()], /nothing was changed/],
    ['open', [decided('swap-motor'), entry('step', { step: 'down:clamp', done: true })], /stands open in its place/],
  ])('%s: its first sentence claims no more', (_, entries, wanted) =>
    expect(sheetOf(...entries).headline).toMatch(wanted),
  )
  it('is issue 1, then 2; not issued before, nor once something was written since', () => {
    expect(sheetOf()).toMatchObject({ issue: 1, isIssued: false })
    expect(sheetOf(over())).toMatchObject({ issue: 1, isIssued: true, author: 'test' })
    expect(sheetOf(over(), can(12))).toMatchObject({ issue: 1, isIssued: false })
    expect(sheetOf(over(), can(12), over())).toMatchObject({ issue: 2, isIssued: true })
  })
})

describe('what was wrong', () => {
  const found = (...entries: Entry[]) => sheetOf(...entries).found.map(({ text }) => text)
  it('what was read out of its limits, with the limit, and no percent', () => {
    expect(found(can(12), decided('replace-run-capacitor'), over()).join()).toMatch(
      /Run capacitor: 12 μF, where 28\.2 to 31\.8 μF is right\./,
    )
    expect(found(can(12), seen('shaft-turn', 'free')).join()).not.toMatch(/\d\s?%/)
  })
  it('what was confirmed; else what is open, as open; nothing of both once it is repaired', () => {
    const confirmed = entry('cause-said', { fault: 'bearings-worn', verdict: 'it-was-this' })
    expect(found(confirmed)).toContain('Bearings worn.')
    expect(found(call('hums-no-start')).join()).toMatch(/The cause is still open\. It may be: /)
    expect(found(call('hums-no-start'), decided('replace-run-capacitor'), over(), ...proofs())).toEqual([])
  })
  it('several leads with one value in one breath', () => {
    const leads = ['black', 'yellow', 'red'].map((lead) =>
      reading('insulation-resistance', 0.2, { unit: 'Mohm', lead }),
    )
    expect(found(...leads).join()).toMatch(/Motor insulation, black, yellow and red: 0\.2 MΩ/)
  })
  it('a chain of causes, the first first, and what is worth keeping', () => {
    const bench = entry('post-mortem', {
      fault: 'lead-connector-leaking',
      then: ['water-in-motor', 'motor-seized'],
      why: 'probable',
      keeping: 'the fan',
    })
    expect(found(bench).slice(0, 2)).toEqual([
      'Lead connector leaking → Water in the motor → Motor seized. Probable.',
      'Worth keeping: the fan.',
    ])
  })
})

describe('what was done, read, left', () => {
  it('a sentence a job, with what is new besides and what identifies it', () => {
    const seal = entry('fitted', { part: 'shaft-seal', identity: '5/8 in shaft' })
    const [done] = sheetOf(decided('swap-motor'), seal, over()).done
    expect(done?.text).toMatch(/^The motor was replaced\. .*Shaft seal: 5\/8 in shaft\..*New with it: .*housing O-ring/)
  })
  it('only what was read to prove stands as what it reads now, beside what it was', () => {
    expect(sheetOf(can(12), can(29.8, 'prove'), reading('supply-voltage', 236)).proved).toEqual([
      {
        label: 'Run capacitor',
        before: '12 μF',
        after: '29.8 μF',
        verdict: 'sound',
        limit: '28.2 to 31.8 μF',
        line: expect.objectContaining({ at: expect.closeTo(0.46, 1) as number }) as object,
      },
    ])
  })
  it('notes that were left, jobs that were left and proofs that were left, each with its reason', () => {
    expect(
      sheetOf(
        entry('note', { text: 'cracked foot', seenAndLeft: true }),
        entry('note', { text: 'dog', seenAndLeft: false }),
        entry('job', { job: 'lid-ring', state: 'left', why: 'not today' }),
        decided('replace-run-capacitor'),
        entry('proof', { proof: 'amps', outcome: 'left', why: 'no clamp meter' }),
      ).left,
    ).toEqual([
      'Cracked foot',
      'Not done: renew the strainer lid’s ring. Not today',
      'Not proved: amps. No clamp meter',
    ])
  })
  it('pictures that show something, the newest of them', () => {
    const photo = (caption?: string) =>
      entry('photo', { hash: 'a', type: 'image/png', bytes: 1, name: 'one.png', ...(caption ? { caption } : {}) })
    expect(sheetOf(photo(), ...['a', 'b', 'c', 'd', 'e'].map(photo)).photos.map(({ caption }) => caption)).toEqual([
      'b',
      'c',
      'd',
      'e',
    ])
  })
})

describe('the line of a limit', () => {
  it('puts reading and limits where they belong, and a reading far outside at the end', () => {
    expect(limitLine({ value: 230, low: 207, high: 253 })).toMatchObject({
      at: 0.5,
      low: expect.closeTo(1 / 6, 6) as number,
    })
    expect(limitLine({ value: 900, low: 207, high: 253 })?.at).toBe(1)
    expect(limitLine({ value: 6, high: 8 })).toMatchObject({ at: expect.closeTo(0.6, 6) as number })
    expect(limitLine({ value: 6, high: 8 })).not.toHaveProperty('low')
    expect(limitLine({ value: 400, low: 100 })?.at).toBeLessThan(1)
  })
  it('has none for what was seen, is open, or has no limit', () => {
    expect(limitLine({ value: 'dry', low: 1 })).toBeUndefined()
    expect(limitLine({ value: null, low: 1 })).toBeUndefined()
    expect(limitLine({ value: 3 })).toBeUndefined()
  })
})

describe('what it costs', () => {
  it('once handed over, the lines are those of that day, whatever the shop charges now', () => {
    const dear = { ...SHOP, rates: { ...SHOP.rates, hourly: 400 } }
    const lines = [{ label: 'work', amount: 48.5 }]
    const state = fold([opened(), decided('replace-run-capacitor'), over({ price: 48.5, lines })])
    expect(writeSheet(state, dear, jobOf(state, dear)).price).toEqual({ lines, total: 48.5 })
  })
  it('another price than the plan’s is a line of its own', () => {
    const { price } = sheetOf(decided('replace-run-capacitor'), over({ price: 50 }))
    expect(price?.total).toBe(50)
    expect(price?.lines.at(-1)?.label).toBe('Agreed otherwise')
  })
})

describe('a part that was kept', () => {
  const swapped = (...more: Entry[]) => sheetOf(decided('swap-motor'), ...more, over())
  it('is not told as new, costs nothing, and is still what it was', () => {
    const [renewed] = swapped().done
    expect(renewed?.text).toMatch(/New with it: .*shaft seal/)
    const sheet = swapped(entry('price-change', { label: 'seal kept', kept: 'shaft-seal' }))
    expect(sheet.done[0]?.text).not.toMatch(/New with it: [^.]*shaft seal/)
    expect(sheet.done[0]?.text).toContain('Kept, clean and sound: shaft seal.')
    expect(sheet.price?.lines.find(({ label }) => label.startsWith('Shaft seal'))).toMatchObject({
      label: 'Shaft seal set of this pump, the old one kept',
      amount: 0,
    })
  })
})
