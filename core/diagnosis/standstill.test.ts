import { describe, expect, it } from 'vitest'
import type { Finding } from './finding'
import { fightOf, showsNoPower, standstillOf, turningSeen } from './standstill'

const plate = { fullLoadAmps: 8, volts: 230 }
const amps = (value: number): Finding => ({ check: 'running-current', value })
const heard = (outcome: string): Finding => ({ check: 'listen', outcome })
const volts = (value: number): Finding => ({ check: 'supply-voltage', value })

describe('what a finding says of the shaft', () => {
  it.each<[Finding, boolean | undefined]>([
    [amps(7.5), true],
    [amps(0.2), false],
    [amps(40), false],
    [heard('whine'), true],
    [heard('hum'), false],
    [{ check: 'shaft-turn', outcome: 'seized' }, false],
    [{ check: 'shaft-turn', outcome: 'free' }, undefined],
    [{ check: 'flow', value: 9 }, true],
    [{ check: 'flow', value: 0 }, undefined],
    [{ check: 'thermal-protector-continuity', outcome: 'open' }, false],
    [{ check: 'winding-resistance', leads: 'black-black', value: null }, false],
    [{ check: 'winding-resistance', leads: 'start-common', value: null }, undefined],
    [{ check: 'float-bypass', outcome: 'runs' }, true],
    [{ check: 'capacitance', value: 30 }, undefined],
  ])('%j', (finding, turns) => expect(turningSeen(finding, plate)).toBe(turns))
})

describe('how the machine stands', () => {
  it('is what was found last, and else what was told', () => {
    expect(standstillOf([], ['hums-no-start'], plate)).toEqual({ still: true, dead: false, noPower: false })
    expect(standstillOf([], ['dead'], plate)).toMatchObject({ still: true, dead: true })
    expect(standstillOf([amps(7.6)], ['hums-no-start'], plate).still).toBe(false)
    expect(standstillOf([amps(7.6), heard('hum')], ['low-flow'], plate).still).toBe(true)
  })
  it('is silence, not quiet running, where it was told dead', () =>
    expect(standstillOf([heard('quiet')], ['dead'], plate)).toMatchObject({ still: true, dead: true }))
  it('has no power where none was read; one leg to ground says nothing of that', () => {
    expect(standstillOf([volts(0)], [], plate).noPower).toBe(true)
    expect(standstillOf([volts(0), volts(236)], [], plate).noPower).toBe(false)
    expect(showsNoPower({ ...volts(0), lead: 'l1' }, plate)).toBe(false)
  })
})

describe('findings that cannot all be true', () => {
  const seized: Finding = { check: 'shaft-turn', outcome: 'seized' }
  it('are a seized shaft, no volts or no amps beside one that turns', () => {
    expect(fightOf([amps(7), heard('quiet'), seized], plate)).toEqual({ dead: seized, live: [amps(7), heard('quiet')] })
    expect(fightOf([volts(0), amps(7)], plate)?.dead).toEqual(volts(0))
    const loaded: Finding = { check: 'supply-voltage-loaded', value: 0.24 }
    const shutoff: Finding = { check: 'shutoff-pressure', value: 62 }
    expect(fightOf([shutoff, loaded], plate)).toEqual({ dead: loaded, live: [shutoff] })
    expect(fightOf([{ check: 'cut-out', value: 50 }, loaded], plate), 'as the label says').toBeUndefined()
    expect(fightOf([heard('whine'), amps(0.008)], plate)?.dead).toEqual(amps(0.008))
  })
  it('are none where it hums seized, or turns freely', () => {
    expect(fightOf([heard('hum'), seized], plate)).toBeUndefined()
    expect(fightOf([amps(7), { check: 'shaft-turn', outcome: 'free' }], plate)).toBeUndefined()
  })
})
