import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Entry, EntryBodies, EntryOf, Machine } from './entry'
import { beforeAfter, tellingReadings } from './before-after'
import { journalLines } from './describe'
import { US_READER } from '../quantity/sentence'
import { diagnose } from '../diagnosis/diagnose'
import { foldVisit, partVerdicts, type VisitState } from './fold'
import { readingRows } from './readings-table'
import { countingRecords } from '../takedown/progress'
import { jobOf, repairOf } from './job'
import { proofListOf } from './proving'
import { writeRecord } from './record'
import { writeSheet } from './sheet'
import { UNNAMED_SHOP } from './shop'
import { entry, fold, opened, reading, seen } from './test-journal'

/** The sheet as the unnamed shop writes it. */
const sheetOf = (state: VisitState) => writeSheet(state, UNNAMED_SHOP, jobOf(state, UNNAMED_SHOP))
const recordOf = (state: VisitState) => writeRecord(state, UNNAMED_SHOP, jobOf(state, UNNAMED_SHOP))

describe('folding a journal', () => {
  it('is nothing until a visit is opened', () => expect(foldVisit([seen('weep-hole', 'dry')])).toBeUndefined())

  it('reckons the age on the day of the visit and the warranty by its date', () => {
    expect(fold([opened()]).pump).toMatchObject({ ageYears: expect.closeTo(9, 1) as number, underWarranty: false })
  })

  it('counts each entry once and reads in one order, whatever order and how often it arrives', () => {
    const journal = [
      opened(),
      entry('call', { complaints: ['hums-no-start'], alreadyReplaced: [], callerSays: 'hums' }),
      reading('supply-voltage', 236),
      seen('shaft-turn', 'free'),
      reading('capacitance', 27, { part: 'run-capacitor' }),
      entry('gate', { gate: 'power-off', shut: true }),
    ]
    const whole = JSON.stringify(fold(journal).case)
    fc.assert(
      fc.property(
        fc.shuffledSubarray(journal, { minLength: journal.length }),
        fc.subarray(journal),
        (shuffled, again) => {
          expect(JSON.stringify(fold([...shuffled, ...again]).case)).toBe(whole)
        },
      ),
    )
  })

  it('lets a correction speak, and a retraction bring the old reading back', () => {
    const first = reading('supply-voltage', 23.6)
    const corrected = entry('finding', { check: 'supply-voltage', value: 236, stage: 'test' }, first.id)
    const undone = entry('retracted', {}, corrected.id)
    const values = (entries: Entry[]) => fold([opened(), ...entries]).findings.map(({ finding }) => finding.value)
    expect(values([first])).toEqual([23.6])
    expect(values([first, corrected])).toEqual([236])
    expect(values([first, corrected, undone])).toEqual([23.6])
    expect(values([first, corrected, undone, entry('retracted', {}, undone.id)])).toEqual([236])
  })

  it('leaves no trace of a superseded reading in the posterior', () => {
    const wrong = seen('shaft-turn', 'seized')
    const base = [opened(), entry('call', { complaints: ['hums-no-start'], alreadyReplaced: [], callerSays: '' })]
    const suspects = (journal: Entry[]) => diagnose(fold(journal).case).suspects
    expect(suspects([...base, wrong])).not.toEqual(suspects(base))
    expect(suspects([...base, wrong, entry('retracted', {}, wrong.id)])).toEqual(suspects(base))
  })

  it('opens the dead gates when the power goes on, and the other way round', () => {
    const shut = (gate: EntryBodies['gate']['gate']) => entry('gate', { gate, shut: true })
    const gates = (entries: Entry[]) => [...fold([opened(), ...entries]).gates.keys()]
    const dead = [shut('power-off'), shut('proved-dead'), shut('discharged'), shut('valves-shut')]
    expect(gates(dead)).toEqual(['power-off', 'proved-dead', 'discharged', 'valves-shut'])
    expect(gates([...dead, shut('power-on')])).toEqual(['valves-shut', 'power-on'])
    expect(gates([...dead, shut('power-on'), shut('power-off')])).toEqual(['valves-shut', 'power-off'])
    expect(gates([...dead, entry('gate', { gate: 'discharged', shut: false })])).not.toContain('discharged')
  })

  it('marks a part by the worst of its newest findings', () => {
    const marks = partVerdicts(
      fold([
        opened(),
        seen('shaft-turn', 'seized'),
        seen('shaft-turn', 'free'),
        seen('shaft-rock', 'rocks'),
        reading('capacitance', 30, { part: 'run-capacitor' }),
      ]),
    )
    expect(marks.get('bearings')?.verdict).toBe('failed')
    expect(marks.get('run-capacitor')?.verdict).toBe('sound')
    expect(marks.has('shaft-seal')).toBe(false)
  })

  it('keeps what the technician says: not this, it was this, passed over', () => {
    const state = fold([
      opened(),
      entry('cause-said', { fault: 'motor-seized', verdict: 'not-this' }),
      entry('cause-said', { fault: 'run-capacitor-failed', verdict: 'it-was-this' }),
      entry('check-skipped', { check: 'winding-resistance', leads: 'run-common' }),
    ])
    expect(state).toMatchObject({
      excluded: ['motor-seized'],
      confirmed: 'run-capacitor-failed',
      skipped: ['winding-resistance:common-run'],
    })
  })

  it('stands at the first stage that is not done', () => {
    expect(fold([opened()]).stage).toBe('call')
    expect(fold([opened(), entry('joint-done', { joint: 'call' }), entry('joint-done', { joint: 'safe' })]).stage).toBe(
      'prepare',
    )
  })

  it('compares insulation with the machine’s last reading', () => {
    const state = foldVisit([opened(), reading('insulation-resistance', 150, { celsius: 40 })], {
      earlier: { 'insulation-resistance:surface-motor': 2400 },
    })
    expect(state?.findings[0]?.judgement).toMatchObject({
      verdict: 'tired',
      because: expect.stringContaining('16 times lower') as string,
    })
  })

  it('reads as lines, newest first, with value and reason', () => {
    const lines = journalLines(
      fold([
        opened(),
        reading('supply-voltage', 236),
        entry('gate', { gate: 'proved-dead', shut: true, lines: [{ line: 'line 1 to ground', volts: 0 }] }),
        entry('note', { text: 'foot cracked', seenAndLeft: true }),
      ]),
      US_READER,
    )
    expect(lines.map(({ text }) => text)).toEqual(['seen and left: foot cracked', 'proved dead', 'supply at rest'])
    expect(lines[2]).toMatchObject({ value: '236 V', verdict: 'sound' })
    expect(lines[1]?.detail).toContain('line 1 to ground 0 V')
  })
})

describe('proving and handing over', () => {
  const repaired = () =>
    fold([
      opened(),
      entry('call', { complaints: ['hums-no-start'], alreadyReplaced: [], callerSays: 'hums since this morning' }),
      reading('supply-voltage', 236),
      seen('shaft-turn', 'free'),
      reading('capacitance', 27, { part: 'run-capacitor' }),
      entry('note', { text: 'foot is cracked', seenAndLeft: true }),
      entry('decision', { option: 'replace-run-capacitor' }),
      entry('step', { step: 'work:run-capacitor:fit', done: true }),
      entry('step', { step: 'down:capacitor-cover', done: true, count: 2 }),
      entry('step', { step: 'back:capacitor-cover', done: true, count: 2 }),
      reading('running-current', 7.4, {}, 'prove'),
      reading('capacitance', 30.2, { part: 'run-capacitor' }, 'prove'),
      entry('handed-over', { watch: 'listen in spring', nextDate: '2027-05-12', price: 52 }),
    ])

  it('puts the same reading before and after on one line', () => {
    const row = beforeAfter(repaired()).find(({ subject }) => subject === 'run capacitor')
    expect([row?.before?.finding.value, row?.after?.finding.value]).toEqual([27, 30.2])
    expect(
      proofListOf(repaired(), jobOf(repaired(), UNNAMED_SHOP))
        .rows.filter(({ found }) => found)
        .map(({ id }) => id),
    ).toEqual(['amps'])
  })

  it('keeps photos, workings and what was found at the bench with their entries and times', () => {
    const photo = entry('photo', { hash: 'a'.repeat(64), caption: 'the can' } as never)
    const kept = entry('working-kept', { question: 'jet-lift', input: {}, units: 'us' })
    const bench = entry('post-mortem', { fault: 'bearings-worn', why: 'ran dry', keeping: 'the foot' })
    const state = fold([opened(), photo, kept, bench])
    expect(state.photos).toMatchObject([{ caption: 'the can', entryId: photo.id, at: photo.at }])
    expect(state.kept).toEqual([{ question: 'jet-lift', input: {}, units: 'us', entryId: kept.id, at: kept.at }])
    expect(state.postMortem).toEqual({ fault: 'bearings-worn', why: 'ran dry', keeping: 'the foot', at: bench.at })
    expect(fold([opened()])).not.toHaveProperty('postMortem')
  })

  it('knows what is in the van: the last word on each', () => {
    const said = (item: string, loaded: boolean) => entry('loaded', { item, loaded })
    const journal = [opened(), said('run-capacitor', true), said('seal', true), said('seal', false), said('oil', false)]
    expect([...fold(journal).loaded]).toEqual(['run-capacitor'])
  })

  it('does not let a proof of the repair weigh in the diagnosis', () => {
    expect(repaired().case.findings?.map(({ value }) => value)).toEqual([236, undefined, 27])
  })

  const ticked = (...steps: string[]) => steps.map((step) => entry('step', { step, done: true }))
  const stepsOf = (journal: Entry[]) => [...fold(journal).steps.keys()]

  it('another repair chosen, or another job agreed: nothing that was done is touched', () => {
    const done = ['down:valves', 'down:lid', 'work:lid-o-ring:groove', 'back:lid']
    const journal = [opened(), entry('decision', { option: 'reprime' }), ...ticked(...done)]
    expect(stepsOf([...journal, entry('decision', { option: 'replace-shaft-seal' })])).toEqual(done)
    const more = fold([...journal, entry('job', { job: 'diffuser', state: 'agreed', from: 'open' })])
    expect([...more.steps.keys()]).toEqual(done)
    expect(more.agreed).toEqual(['reprime', 'diffuser'])
  })

  it('what is opened again is closed no longer', () =>
    expect(stepsOf([opened(), ...ticked('down:lid', 'back:lid', 'down:lid')])).toEqual(['down:lid']))

  it('with the power back, a job that needs it off asks for it anew: off, dead, bled, felt', () => {
    const begun = [opened(), entry('decision', { option: 'replace-run-capacitor' })]
    const gates = ['power-off', 'proved-dead', 'discharged', 'cool'] as const
    const ids = (journal: Entry[]) => {
      const state = fold(journal)
      const repair = repairOf(state, UNNAMED_SHOP, {})
      const counting = countingRecords(repair as NonNullable<typeof repair>, state.steps)
      return (repair?.steps ?? []).map(({ id }) => id).filter((id) => !counting.get(id)?.done)
    }
    for (const safe of [[], gates.map((gate) => entry('gate', { gate, shut: true }))]) {
      const journal = [...begun, ...safe]
      expect(ids(journal).includes('down:make-dead')).toBe(safe.length === 0)
      const whole = [...journal, ...ticked(...ids(journal))]
      expect(ids(whole)).toEqual([])
      // All but the last tick: the same round goes on, and the power is back.
      const more = [...whole.slice(0, -1), entry('job', { job: 'swap-motor', state: 'agreed' })]
      const powered = [...more, ...ticked('back:make-dead')]
      for (const id of ['down:make-dead', 'down:discharge', 'down:cool'])
        expect(ids(powered), `${safe.length} ${id}`).toContain(id)
    }
  })

  it('once all that was planned is done another job begins a new round: what was done is done, and kept', () => {
    const begun = [opened(), entry('decision', { option: 'replace-shaft-seal' })]
    const ids = jobOf(fold(begun), UNNAMED_SHOP).repair?.steps.map(({ id }) => id) ?? []
    const whole = [...begun, ...ticked(...ids)]
    expect(fold(whole)).toMatchObject({ agreed: ['replace-shaft-seal'], pastSteps: [], rounds: [] })
    const again = fold([...whole, entry('job', { job: 'replace-shaft-seal', state: 'agreed', from: 'shop' })])
    expect([...again.steps.keys()]).toEqual([])
    expect(again.pastSteps.map(({ step }) => step)).toEqual(ids)
    expect(again.agreed).toEqual(['replace-shaft-seal'])
    const other = fold([...whole, entry('job', { job: 'lid-ring', state: 'agreed' })])
    expect(other.jobs.map(({ id, state }) => `${id} ${state}`)).toEqual(['replace-shaft-seal done', 'lid-ring agreed'])
    expect(other.rounds).toMatchObject([{ jobs: ['replace-shaft-seal'], standing: 'installed' }])
    // Both are paid for, and the sheet has the work of both.
    const [first, both] = [fold(whole), other].map((state) => jobOf(state, UNNAMED_SHOP).price ?? 0)
    expect(both).toBeGreaterThan((first ?? 0) + 5)
    expect(recordOf(other).steps).toHaveLength(ids.length)
    // With a step still to do it is the same round.
    const same = fold([...begun, ...ticked(...ids.slice(0, -1)), entry('job', { job: 'lid-ring', state: 'agreed' })])
    expect(same.agreed).toEqual(['replace-shaft-seal', 'lid-ring'])
  })

  it('jobs come from the lamp, a wish, the shop; one is left with its reason, and another way takes the first one’s place', () => {
    const journal = [
      opened(),
      entry('wish', { job: 'hose-connectors' }),
      entry('decision', { option: 'replace-shaft-seal' }),
      entry('job', { job: 'hose-connectors', state: 'agreed' }),
      entry('job', { job: 'new-foot', state: 'left', from: 'open', why: 'sits firm' }),
    ]
    expect(fold(journal).jobs.map(({ id, state, from }) => [id, state, from])).toEqual([
      ['replace-shaft-seal', 'agreed', 'lamp'],
      ['hose-connectors', 'agreed', 'wish'],
      ['new-foot', 'left', 'open'],
    ])
    expect(fold(journal).jobs.at(-1)?.why).toBe('sits firm')
    const other = fold([...journal, entry('decision', { option: 'swap-pump' })])
    expect(other.agreed).toEqual(['hose-connectors', 'swap-pump'])
    expect(other.decision).toBe('swap-pump')
    // A wish that was the chosen way stays offered when another way is taken.
    const wished = [opened(), entry('wish', { job: 'swap-motor' }), entry('decision', { option: 'swap-motor' })]
    expect(fold([...wished, entry('decision', { option: 'bearings-and-seal' })]).jobs[0]).toMatchObject({
      id: 'swap-motor',
      state: 'offered',
    })
  })

  it('carries what Safe has shut into the round, and the place where the jobs were agreed', () => {
    const gate = (name: 'power-off' | 'proved-dead', shut: boolean) => entry('gate', { gate: name, shut })
    const safe = [
      opened(),
      gate('power-off', true),
      gate('proved-dead', true),
      entry('decision', { option: 'swap-motor' }),
    ]
    expect(fold(safe).carriedGates).toEqual(['power-off', 'proved-dead'])
    expect(fold([...safe.slice(0, 3), gate('proved-dead', false)]).carriedGates).toEqual(['power-off'])
    // Closed by its step, it stands as opened and closed.
    const back = fold([...safe, ...ticked('down:clamp', 'back:clamp', 'back:make-dead')])
    expect(back.carriedGates).toEqual([])
    expect([...back.steps.keys()]).toContain('down:make-dead')
    expect(fold(safe).agreedStanding).toBe('installed')
    const moved = fold([...safe, entry('standing', { at: 'bench' })])
    expect([moved.standing, moved.agreedStanding]).toEqual(['bench', 'installed'])
  })

  it('what was measured for the repair adds up, the newest of each speaking; a spare may come first', () => {
    const state = fold([
      opened(),
      entry('take-down-measured', { pipeInches: 1.5, celsius: 12 }),
      entry('take-down-measured', { celsius: 3 }),
      entry('decision', { option: 'swap-sump-pump', spareFirst: true }),
    ])
    expect(state.measured).toEqual({ pipeInches: 1.5, celsius: 3 })
    expect(state.spareFirst).toBe(true)
    expect(fold([opened(), entry('decision', { option: 'swap-sump-pump' })])).toMatchObject({
      measured: {},
      spareFirst: false,
    })
  })

  it('writes a sheet with what was wrong, done, read, left and to watch; steps and bases stand in the record', () => {
    const [sheet, record] = [sheetOf(repaired()), recordOf(repaired())]
    expect(sheet.found.map(({ text }) => text).join(' ')).toMatch(/Run capacitor weak/)
    expect(sheet.done).toMatchObject([{ job: 'replace-run-capacitor', text: 'The run capacitor was replaced.' }])
    expect(sheet.left).toContain('Foot is cracked')
    expect(record.steps).toMatchObject([
      { text: expect.stringContaining('cover off') as string, count: 2 },
      { text: expect.stringContaining('Fit it') as string },
      { count: 2 },
    ])
    expect(sheet.price?.total).toBe(52)
    expect(sheet.watch.join(' ')).toMatch(/Current reads .* measured again next time.*listen in spring/)
    expect(record.readings.find(({ subject }) => subject === 'run capacitor')).toMatchObject({
      before: '27 μF',
      beforeVerdict: 'failed',
      after: '30.2 μF',
      afterVerdict: 'sound',
      limits: '28.2 to 31.8 μF',
    })
    expect(sheet.cautions.length).toBeGreaterThan(0)
  })

  it('exports every live reading as a row', () => {
    expect(
      readingRows(repaired(), US_READER).map(({ check, value, outcome, verdict }) => [
        check,
        value || outcome,
        verdict,
      ]),
    ).toContainEqual(['capacitance', '27', 'failed'])
  })

  it('in a metric shop says nothing in psi: journal, sheet, CSV, suspects and the card', () => {
    const first = opened() as EntryOf<'visit-opened'>
    const machine: Machine = {
      ...first.body.machine,
      kind: 'well-two-wire',
      construction: 'submersible-joined',
      nameplate: { volts: 230 },
      installation: { cutInPsi: 40, cutOutPsi: 60 },
    }
    const well: Entry = { ...first, body: { ...first.body, machine } }
    const state = fold([
      well,
      entry('call', { complaints: ['short-cycling'], alreadyReplaced: [], callerSays: '' }),
      reading('tank-precharge', 30, { unit: 'psi' }),
      reading('cut-in', 47, { unit: 'psi' }),
    ])
    const metric = { system: 'metric' } as const
    const shop = { ...UNNAMED_SHOP, units: 'metric' as const }
    const job = jobOf(state, shop)
    const said = JSON.stringify([
      journalLines(state, metric).map(({ text, value, detail }) => [text, value, detail]),
      { ...writeSheet(state, shop, job), shop: undefined },
      writeRecord(state, shop, job),
      readingRows(state, metric).map(({ at: _, ...row }) => row),
      job.diagnosis.suspects,
      job.diagnosis.next,
    ])
    expect(said).toContain('kPa')
    expect(said.match(/.{60}\d psi|"psi"/g)).toBeNull()
    expect(readingRows(state, metric)[0]).toMatchObject({ value: '206.843', unit: 'kPa' })
    expect(readingRows(state, US_READER)[0]).toMatchObject({ value: '30', unit: 'psi' })
    expect(JSON.stringify(writeRecord(state, shop, job, 'us')), 'a person may choose otherwise').toContain('psi')
  })

  it('remembers before the next visit what was not sound, then what was measured', () => {
    expect(tellingReadings(repaired().findings, 2).map(({ judgement }) => judgement.verdict)).toEqual([
      'tired',
      'sound',
    ])
  })
})
