import { describe, expect, it } from 'vitest'
import { machineAfter } from './fitted'
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
    const card = machineAfter(state.machine, state.entries, '2026-05-12')
    expect(card.nameplate).toMatchObject({ horsepower: 1.5, serviceFactorAmps: 11 })
    expect(card.installedOn).toBe('2017-05-12')
    expect(card.fitted).toMatchObject([
      { part: 'motor', since: '2017-05-12', until: '2026-05-12', nameplate: { runCapacitorMicrofarads: 30 } },
      { part: 'motor', since: '2026-05-12', identity: '56Y, square flange', warrantyUntil: '2028-05-12' },
    ])
    const next = machineAfter(card, [...state.entries, motor()], '2030-01-01')
    expect(next.fitted?.filter(({ until }) => until === undefined)).toHaveLength(1)
    expect(machineAfter(state.machine, [opened()], '2026-05-12')).toEqual(state.machine)
  })

  it('a whole new pump is a new machine in its place', () => {
    const pump = entry('fitted', { part: 'pump', nameplate: { volts: 230 }, warrantyUntil: '2029-05-12' })
    const state = fold([opened(), pump])
    expect(machineAfter(state.machine, state.entries, '2026-05-12')).toMatchObject({
      installedOn: '2026-05-12',
      warrantyUntil: '2029-05-12',
    })
  })
})
