import fc from 'fast-check'
import { expect, it } from 'vitest'
import { KIND_KNOWLEDGE } from '../knowledge/faults/kinds'
import { proofsFor } from '../knowledge/repairs/proofs'
import { renewedParts } from '../knowledge/repairs/renews'
import { PARTS, type Part } from '../knowledge/vocabulary'
import type { Entry } from './entry'
import { jobOf } from './job'
import { proofListOf } from './proving'
import { writeSheet } from './sheet'
import { UNNAMED_SHOP } from './shop'
import { entry, fold, opened, reading, seen } from './test-journal'

/**
 * Random visits: what was read before and after, what was decided, fitted, said of proofs, left and handed over.
 * Whatever the journal, no sentence of its sheet may contradict it.
 */
const option = fc.constantFrom(...KIND_KNOWLEDGE.pool.actions.map(({ id }) => id))
const line = fc.oneof(
  fc.tuple(fc.constantFrom('test', 'prove'), fc.double({ min: 5, max: 40, noNaN: true })).map(
    ([stage, value]) =>
      () =>
        reading('capacitance', value, { unit: 'uF', part: 'run-capacitor' }, stage as 'test'),
  ),
  fc.tuple(fc.constantFrom('test', 'prove'), fc.double({ min: 1, max: 16, noNaN: true })).map(
    ([stage, value]) =>
      () =>
        reading('running-current', value, {}, stage as 'test'),
  ),
  fc.tuple(fc.constantFrom('test', 'prove'), fc.constantFrom('dry', 'dripping')).map(
    ([stage, outcome]) =>
      () =>
        seen('weep-hole', outcome, stage as 'test'),
  ),
  fc.tuple(fc.constantFrom('test', 'prove'), fc.constantFrom('free', 'gritty', 'seized')).map(
    ([stage, outcome]) =>
      () =>
        seen('shaft-turn', outcome, stage as 'test'),
  ),
  option.map((id) => () => entry('decision', { option: id })),
  fc
    .constantFrom('replace-shaft-seal', 'lid-ring', 'replace-run-capacitor')
    .map((job) => () => entry('job', { job, state: 'agreed' })),
  fc
    .constantFrom<Part>('motor', 'run-capacitor', 'shaft-seal', 'bearings')
    .map(
      (part) => () =>
        entry('fitted', { part, ...(part === 'motor' ? { nameplate: { volts: 230, serviceFactorAmps: 9 } } : {}) }),
    ),
  fc
    .tuple(
      fc.constantFrom(...proofsFor('pool', 'band-clamp').map(({ id }) => id)),
      fc.constantFrom('holds', 'fails', 'left'),
    )
    .map(
      ([proof, outcome]) =>
        () =>
          entry('proof', { proof, outcome: outcome as 'left', why: 'because of the rain' }),
    ),
  fc.constantFrom(() => entry('comeback', { failed: ['amps'] })),
  fc.constantFrom(() => entry('joint-done', { joint: 'repair' })),
  fc.constantFrom(() => entry('handed-over', { watch: '' })),
)
const journal = fc.array(line, { maxLength: 12 }).map((lines) => [opened(), ...lines.map((write): Entry => write())])

it('no sentence of a sheet contradicts its journal', { timeout: 240_000 }, () => {
  fc.assert(
    fc.property(journal, (entries) => {
      const state = fold(entries)
      const job = jobOf(state, UNNAMED_SHOP)
      const sheet = writeSheet(state, UNNAMED_SHOP, job)
      const proofs = proofListOf(state, job)
      const agreed = new Set([...state.agreed, ...state.rounds.flatMap(({ jobs }) => jobs)])
      // Done is only what was agreed; and nothing before it was handed over, closed, or read to prove.
      for (const done of sheet.done) expect(agreed).toContain(done.job)
      const wasTried = state.findings.some(({ stage }) => stage === 'prove')
      if (!state.handedOver && !wasTried && state.rounds.length === 0) expect(sheet.done).toEqual([])
      // A part that is new is not to be watched, unless it is the new one that was read.
      const fitted = renewedParts(
        state.fitted.map(({ part }) => part),
        'pool',
      )
      const readAfter = new Set(
        state.findings.filter(({ stage }) => stage === 'prove').map(({ finding }) => finding.check),
      )
      if (fitted.has('run-capacitor') && !readAfter.has('capacitance'))
        expect(sheet.watch.join()).not.toContain(PARTS['run-capacitor'])
      // What it reads now was read now, and each verdict is that of the newest reading.
      for (const row of sheet.proved) {
        const read = state.findings.filter(({ stage }) => stage === 'prove')
        expect(read.map(({ judgement }) => judgement.verdict)).toContain(row.verdict)
      }
      // Limits after the work are those of the plate that is on it.
      const amps = state.findings.findLast(
        ({ stage, finding }) => stage === 'prove' && finding.check === 'running-current',
      )
      if (amps && state.fitted.some(({ nameplate }) => nameplate)) expect(amps.judgement.high).toBe(9)
      // It is called proved only when everything that is called for was shown, and right only when nothing failed.
      if (/runs as it should/.test(sheet.headline)) {
        expect(proofs.isProved).toBe(true)
        expect(sheet.done.length).toBeGreaterThan(0)
      }
      if (proofs.failed.length > 0 && sheet.done.length > 0 && state.agreed.length > 0)
        expect(sheet.headline).not.toMatch(/runs as it should/)
      for (const { id, said } of proofs.left) {
        expect(said?.outcome).toBe('left')
        expect(sheet.left.join(), id).toContain('Because of the rain')
      }
      // A comeback is told.
      expect(sheet.found.filter(({ text }) => text.startsWith('At first it did not prove'))).toHaveLength(
        state.comebacks.length,
      )
      expect(JSON.stringify(sheet.found)).not.toMatch(/\d\s%/)
    }),
    { numRuns: 80 },
  )
})
