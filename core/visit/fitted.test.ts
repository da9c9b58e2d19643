import { describe, expect, it } from 'vitest'
import { identifiedAs, identityOf, machineAfter, partAgesOf } from './fitted'
import { earlierReadings } from './history-of'
import { entry, fold, opened, reading } from './test-journal'

const motor = () =>
  entry('fitted', {
    part: 'motor',
    identity: '56Y, square flange',
    nameplate: { volts: 230, horsepower: 1.5, fullLoadAmps: 9, serviceFactorAmps: 11, motorType: 'permanent-split' },
    warrantyUntil: '2028-05-12',
  })

describe('what is fitted', () => {
  it('judges from then on by its own plate; what was read before stays judged by the old one', () => {
    const state = fold([opened(), reading('running-current', 10), motor(), reading('running-current', 10, {}, 'prove')])
    expect(state.findings.map(({ judgement }) => judgement.verdict)).toEqual(['failed', 'tired'])
    expect(state.plate.serviceFactorAmps).toBe(11)
    // What the new plate does not say is not the old one’s.
    expect(state.pump.nameplate.runCapacitorMicrofarads).toBeUndefined()
  })

  it('readings start afresh for what is new and what came with it; the wet end’s go on speaking', () => {
    const state = fold([
      opened(),
      reading('capacitance', 22, { part: 'run-capacitor' }),
      entry('finding', { check: 'weep-hole', outcome: 'dry', stage: 'test' }),
      motor(),
    ])
    expect(state.case.findings?.map(({ check }) => check)).toEqual(['weep-hole'])
    expect(state.case.alreadyReplaced).toContain('motor')
    // The history stays readable.
    expect(state.findings).toHaveLength(2)
  })

  it('is on the card with its dates, the old one beside it; a new motor leaves the machine its age', () => {
    const state = fold([opened(), motor()])
    const card = machineAfter(state.machine, state.entries)
    expect(card.nameplate).toMatchObject({ horsepower: 1.5, serviceFactorAmps: 11 })
    expect(card.installedOn).toBe('2017-05-12')
    expect(card.fitted).toMatchObject([
      { part: 'motor', since: '2017-05-12', until: '2026-05-12', nameplate: { runCapacitorMicrofarads: 30 } },
      { part: 'motor', since: '2026-05-12', identity: '56Y, square flange', warrantyUntil: '2028-05-12' },
    ])
    const next = machineAfter(card, [...state.entries, motor()])
    expect(next.fitted?.filter(({ until }) => until === undefined)).toHaveLength(1)
    expect(machineAfter(state.machine, [opened()])).toEqual(state.machine)
  })

  it('what was inside the old motor leaves with it; what is outside stays', () => {
    const bearings = entry('fitted', { part: 'bearings', identity: '6203 both' })
    const seal = entry('fitted', { part: 'shaft-seal', identity: '5/8 in' })
    const state = fold([opened(), bearings, seal, motor()])
    const left = machineAfter(state.machine, state.entries).fitted?.filter(({ until }) => until === undefined)
    expect(left?.map(({ part }) => part)).toEqual(['shaft-seal', 'motor'])
  })

  it('a whole new pump is a new machine in its place', () => {
    const pump = entry('fitted', { part: 'pump', nameplate: { volts: 230 }, warrantyUntil: '2029-05-12' })
    const state = fold([opened(), pump])
    expect(machineAfter(state.machine, state.entries)).toMatchObject({
      installedOn: '2026-05-12',
      warrantyUntil: '2029-05-12',
    })
  })

  it('the next visit knows each part’s own age, and compares no reading with that of the motor before', () => {
    const state = fold([opened(), motor()])
    const card = machineAfter(state.machine, state.entries)
    const ages = partAgesOf(card, '2028-05-12')
    expect(ages.motor).toBeCloseTo(2, 1)
    expect(ages.bearings).toBeCloseTo(2, 1)
    expect(ages['shaft-seal']).toBeUndefined()
    expect(partAgesOf(state.machine, '2028-05-12')).toEqual({})
    const read = (at: string, value: number, replaced?: true) => ({
      visitId: 'v',
      at,
      check: 'insulation-resistance',
      setup: 'surface-motor',
      value,
      verdict: 'sound',
      subject: 'insulation',
      ...(replaced ? { replaced } : {}),
    })
    const before = read('2025-05-01T08:00:00Z', 40)
    const sameDay = read('2026-05-12T08:00:00Z', 0.4, true)
    expect(earlierReadings([before, sameDay], card)).toEqual({})
    expect(earlierReadings([before, sameDay], state.machine)).toEqual({ 'insulation-resistance:surface-motor': 40 })
    expect(earlierReadings([before, sameDay, read('2026-05-12T12:00:00Z', 640)], card)).toEqual({
      'insulation-resistance:surface-motor': 640,
    })
  })

  it('keeps what is read off an old part without a date, and the new one ends it', () => {
    const before = fold([opened()]).machine
    const read = identifiedAs(before, 'bearings', '6203 drive')
    expect(identityOf(before, 'bearings')).toBeUndefined()
    expect(identityOf(read, 'bearings')).toBe('6203 drive')
    // Read once more it is corrected, not fitted twice.
    const both = identifiedAs(read, 'bearings', '6203 drive, 6204 far')
    expect(both.fitted).toEqual([{ part: 'bearings', identity: '6203 drive, 6204 far' }])
    expect(partAgesOf(both, '2028-05-12')).toEqual({})
    const state = fold([opened(), motor()])
    const card = machineAfter({ ...state.machine, fitted: both.fitted }, state.entries)
    expect(identityOf(card, 'bearings')).toBeUndefined()
    expect(card.fitted?.[0]).toMatchObject({ part: 'bearings', until: expect.any(String) as string })
  })
})
