import { describe, expect, it } from 'vitest'
import { jobOf } from './job'
import { nextProof, proofListOf } from './proving'
import { UNNAMED_SHOP } from './shop'
import type { Entry } from './entry'
import { entry, fold, opened, reading, seen } from './test-journal'

const listOf = (...entries: Entry[]) => {
  const state = fold([opened(), ...entries])
  return proofListOf(state, jobOf(state, UNNAMED_SHOP))
}
const capacitor = entry('decision', { option: 'replace-run-capacitor' })
const stands = (...entries: Entry[]) => listOf(...entries).rows.map(({ id, stands: is }) => `${id} ${is}`)

describe('what is to be proved', () => {
  it('nothing where nothing was agreed, and nothing after a look, a trial or a return: it says why', () => {
    expect(listOf()).toMatchObject({ rows: [], isProved: false, notDue: expect.stringMatching(/No job/) as string })
    expect(listOf(entry('decision', { option: 'return-under-warranty' })).notDue).toMatch(/goes back as it is/)
    expect(listOf(entry('decision', { option: 'leave-it' })).notDue).toMatch(/Nothing was changed/)
  })
  it('what the jobs call for, open until it is read; a failing one of several places fails it', () => {
    expect(stands(capacitor)).toEqual(['loaded open', 'amps open'])
    expect(stands(capacitor, reading('supply-voltage-loaded', 231, {}, 'prove'))).toEqual(['loaded shown', 'amps open'])
    expect(stands(capacitor, reading('running-current', 12, {}, 'prove'))).toEqual(['loaded open', 'amps failed'])
    const speeds = [
      reading('running-current', 12, { at: 'high speed' }, 'prove'),
      reading('running-current', 6, { at: 'low speed' }, 'prove'),
    ]
    expect(stands(capacitor, ...speeds)[1]).toBe('amps failed')
  })
  it('a reading of Test proves nothing, nor does one of a part in the hand', () =>
    expect(
      stands(capacitor, reading('running-current', 6.5), reading('running-current', 6.5, { of: 'new' }, 'prove')),
    ).toEqual(['loaded open', 'amps open']))
  it('said outright: it holds, it fails, it was left with its reason; the newer word of reading and saying counts', () => {
    const left = entry('proof', { proof: 'amps', outcome: 'left', why: 'no clamp meter here' })
    expect(listOf(capacitor, left).left).toMatchObject([{ id: 'amps', said: { why: 'no clamp meter here' } }])
    expect(stands(capacitor, left, reading('running-current', 6.5, {}, 'prove'))[1]).toBe('amps shown')
    expect(
      stands(
        capacitor,
        reading('running-current', 6.5, {}, 'prove'),
        entry('proof', { proof: 'amps', outcome: 'fails', why: 'it hums' }),
      )[1],
    ).toBe('amps failed')
  })
  it('is proved when everything is shown', () => {
    const all = [reading('supply-voltage-loaded', 231, {}, 'prove'), reading('running-current', 6.5, {}, 'prove')]
    expect(listOf(capacitor, ...all)).toMatchObject({ isProved: true, open: [], failed: [], left: [] })
  })
})

describe('waits run alongside', () => {
  const seal = entry('decision', { option: 'replace-shaft-seal' })
  const turned = seen('shaft-turn', 'free', 'prove')
  const stream = seen('pot-look', 'full', 'prove')
  const at = (minutes: number) => new Date(Date.parse(stream.at) + minutes * 60_000).toISOString()
  it('the drip waits for five minutes of running; volts and amps are read meanwhile', () => {
    const before = listOf(seal, turned)
    expect(before.rows.find(({ id }) => id === 'drip')).not.toHaveProperty('readyAt')
    const list = listOf(seal, turned, stream)
    expect(list.rows.find(({ id }) => id === 'drip')?.readyAt).toBe(at(5))
    expect(nextProof(list, at(1))?.id).toBe('loaded')
    expect(nextProof(list, at(5))?.id).toBe('drip')
  })
  it('with nothing else to do, what waits is at hand and says from when', () => {
    const rest = [
      reading('supply-voltage-loaded', 231, {}, 'prove'),
      reading('running-current', 6.5, {}, 'prove'),
      seen('listen', 'quiet', 'prove'),
    ]
    const list = listOf(seal, turned, stream, ...rest)
    expect(nextProof(list, at(1))).toMatchObject({ id: 'drip', readyAt: at(5) })
    expect(nextProof({ open: [] }, at(1))).toBeUndefined()
  })
})

describe('the loop: what does not prove goes back to Test', () => {
  const journal = [opened(), reading('capacitance', 12, { unit: 'uF', part: 'run-capacitor' }), capacitor]
  const failing = reading('running-current', 12, {}, 'prove')
  const over = [...journal, failing, entry('joint-done', { joint: 'prove' }), entry('comeback', { failed: ['amps'] })]
  it('what failed there is a reading of the search, and what is new counts as new', () => {
    const before = fold([...journal, failing])
    expect(before.case.findings?.map(({ check }) => check)).toEqual(['capacitance'])
    const state = fold(over)
    expect(state.case.findings).toMatchObject([{ check: 'running-current', value: 12 }])
    expect(state.case.alreadyReplaced).toEqual(['run-capacitor'])
    expect(state.findings.find(({ finding }) => finding.check === 'capacitance')?.replaced).toBe(true)
    expect(state).toMatchObject({ stage: 'call', decision: undefined, agreed: [] })
    expect(state.stagesDone.has('prove')).toBe(false)
    expect(state.comebacks).toMatchObject([{ failed: ['amps'] }])
  })
  it('what was done stays done and paid for, and the next repair proves anew', () => {
    const again = fold([...over, entry('decision', { option: 'swap-motor' })])
    expect(again.jobs.map(({ id, state }) => `${id} ${state}`)).toEqual([
      'replace-run-capacitor done',
      'swap-motor agreed',
    ])
    const job = jobOf(again, UNNAMED_SHOP)
    expect(job.bill?.lines.map(({ id }) => id)).toEqual(['replace-run-capacitor', 'swap-motor'])
    expect(proofListOf(again, job).rows.find(({ id }) => id === 'amps')?.stands).toBe('open')
  })
  it('a comeback in the middle of a repair makes nothing new', () => {
    const begun = entry('step', { step: 'down:make-dead', done: true })
    const state = fold([
      opened(),
      entry('decision', { option: 'replace-run-capacitor' }),
      begun,
      entry('comeback', { failed: ['amps'] }),
    ])
    expect(state.case.alreadyReplaced).toEqual([])
    expect(state.agreed).toEqual(['replace-run-capacitor'])
  })
})

describe('the plate that judges a proof', () => {
  const motor = () =>
    entry('fitted', {
      part: 'motor',
      nameplate: { volts: 230, horsepower: 1, fullLoadAmps: 9, serviceFactorAmps: 10.5 },
    })
  it('is that of the motor that is in, whenever it was written down', () => {
    const verdicts = [
      [reading('running-current', 9.5, {}, 'prove'), motor()],
      [motor(), reading('running-current', 9.5, {}, 'prove')],
    ].map((entries) => fold([opened(), ...entries]).findings[0]?.judgement)
    for (const judgement of verdicts) expect(judgement).toMatchObject({ high: 10.5, verdict: 'tired' })
    // The old motor's 8.2 A still judge what was read for the fault.
    expect(fold([opened(), reading('running-current', 9.5), motor()]).findings[0]?.judgement).toMatchObject({
      high: 8.2,
      verdict: 'failed',
    })
  })
  it('service-factor amps that are printed forbid, even where full load is not printed', () => {
    const printed = entry('fitted', {
      part: 'motor',
      nameplate: { volts: 230, horsepower: 1.5, serviceFactorAmps: 9.2 },
    })
    const state = fold([opened(), printed, reading('running-current', 10.4, {}, 'prove')])
    expect(state.findings[0]?.judgement).toMatchObject({ verdict: 'failed', high: 9.2 })
  })
})
