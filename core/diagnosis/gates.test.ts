import { describe, expect, it } from 'vitest'
import { gateInfo, type Gate, type Kind, type MotorType } from '../knowledge/vocabulary'
import type { Pump } from '../motor/nameplate'
import type { Asked } from './finding'
import { accessGateOf, accessMinutes, gateMinutes, gatesFor, safeGates } from './gates'

const gates = (asked: Asked, kind: Kind, motorType: MotorType = 'permanent-split') =>
  gatesFor(asked, kind, { motorType })
const has = (gate: Gate, asked: Asked, kind: Kind, motorType?: MotorType) =>
  gates(asked, kind, motorType).includes(gate)

describe('what a check needs first', () => {
  it('a capacitor is bled before its compartment is measured, where one is in reach', () => {
    expect(gates({ check: 'capacitance', part: 'run-capacitor' }, 'pool')).toEqual([
      'power-off',
      'proved-dead',
      'discharged',
    ])
    expect(has('discharged', { check: 'capacitance' }, 'pool', 'split-phase')).toBe(false)
    expect(has('discharged', { check: 'capacitance' }, 'pool', 'capacitor-start')).toBe(true)
    expect(has('drive-discharged', { check: 'insulation-resistance' }, 'pool', 'electronic')).toBe(true)
    expect(has('discharged', { check: 'insulation-resistance' }, 'pool', 'electronic')).toBe(false)
    expect(has('discharged', { check: 'insulation-resistance' }, 'well-two-wire'), 'its can is down the well').toBe(
      false,
    )
  })
  it('electronics are taken off before a megohmmeter, where there are any', () => {
    const off = (kind: Kind, type?: MotorType) =>
      has('electronics-disconnected', { check: 'insulation-resistance' }, kind, type)
    expect([off('pool'), off('pool', 'electronic'), off('well-three-wire'), off('sump')]).toEqual([
      false,
      true,
      true,
      false,
    ])
  })
  it('a shaft is turned dead, and on a well only once the string is up', () => {
    expect(gates({ check: 'shaft-turn' }, 'pool')).toEqual(['power-off', 'proved-dead', 'discharged'])
    expect(gates({ check: 'shaft-turn' }, 'well-two-wire')).toEqual([
      'power-off',
      'proved-dead',
      'string-secured',
      'pulled',
    ])
    expect(gates({ check: 'shaft-turn' }, 'sump')).toEqual([
      'power-off',
      'proved-dead',
      'battery-disconnected',
      'pulled',
    ])
  })
  it('a half is turned with the wet end off', () => {
    expect(has('wet-end-open', { check: 'shaft-turn', half: 'motor' }, 'pool')).toBe(true)
    expect(has('wet-end-open', { check: 'shaft-turn', half: 'pump-end' }, 'pool')).toBe(true)
    expect(has('wet-end-open', { check: 'shaft-turn', half: 'whole' }, 'pool')).toBe(false)
  })
  it('an impeller’s eye is reached through the pot where there is one, and nothing needs opening for the lid’s ring', () => {
    expect(has('wet-end-open', { check: 'impeller-look' }, 'pool')).toBe(false)
    expect(has('wet-end-open', { check: 'impeller-look' }, 'utility')).toBe(false)
    expect(has('wet-end-open', { check: 'impeller-look' }, 'jet')).toBe(true)
    expect(has('wet-end-open', { check: 'o-ring-look', part: 'lid-o-ring' }, 'pool')).toBe(false)
    expect(has('wet-end-open', { check: 'o-ring-look', part: 'housing-o-ring' }, 'pool')).toBe(true)
    expect(has('pulled', { check: 'impeller-look' }, 'sump')).toBe(true)
  })
  it('a winding is read from above through its cable, or at the motor once that is up', () => {
    expect(has('pulled', { check: 'winding-resistance' }, 'well-three-wire')).toBe(false)
    expect(has('pulled', { check: 'winding-resistance', half: 'motor' }, 'well-three-wire')).toBe(true)
    for (const setup of ['cable-alone', 'motor-alone'] as const)
      expect(has('pulled', { check: 'insulation-resistance', setup }, 'well-two-wire'), setup).toBe(true)
    expect(has('pulled', { check: 'insulation-resistance', setup: 'motor-and-cable' }, 'well-two-wire')).toBe(false)
  })
  it('the can of a 3-wire well is in its box above ground, that of a 2-wire below', () => {
    expect(has('pulled', { check: 'capacitance' }, 'well-three-wire', 'capacitor-start')).toBe(false)
    expect(has('pulled', { check: 'capacitor-look' }, 'well-three-wire', 'capacitor-start')).toBe(false)
    expect(has('pulled', { check: 'capacitance' }, 'well-two-wire')).toBe(true)
  })
  it('what stands in its water is not primed, and has neither guards nor valves of its own', () => {
    expect(gates({ check: 'running-current' }, 'pool')).toEqual(
      expect.arrayContaining(['power-on', 'primed', 'guards-on']),
    )
    expect(gates({ check: 'running-current' }, 'sump')).toEqual(['power-on'])
    expect(has('primed', { check: 'running-current' }, 'circulation'), 'a closed loop is full').toBe(false)
    expect(has('guards-on', { check: 'running-current' }, 'circulation')).toBe(true)
  })
  it('nothing that is pulled is energised', () => {
    for (const check of ['shaft-turn', 'connector-look', 'intake-look', 'end-play'])
      expect(has('power-on', { check }, 'well-two-wire'), check).toBe(false)
  })
})

describe('how long the way in takes', () => {
  const well = (installation?: Pump['installation']): Pump => ({
    kind: 'well-two-wire',
    nameplate: { volts: 230 },
    installation,
  })
  it('by the metre of a well, by its lift where the depth is not known, by the usual where neither is', () => {
    expect(accessMinutes(well({ wellDepthMetres: 50 }))).toBeCloseTo(45, 9)
    expect(accessMinutes(well({ wellDepthMetres: 50, liftMetres: 20 }))).toBeCloseTo(45, 9)
    expect(accessMinutes(well({ liftMetres: 20 }))).toBeCloseTo(27, 9)
    expect(accessMinutes(well())).toBeCloseTo(39, 9)
  })
  it('is short out of a pit, and the wet end’s own on a surface pump', () => {
    expect(accessMinutes({ kind: 'sump', nameplate: { volts: 115 } })).toBe(8)
    expect(accessMinutes({ kind: 'pool', nameplate: { volts: 230 } })).toBe(20)
  })
  it('counts the clamp at the well head with the pulling', () => {
    expect(gateMinutes('string-secured', well())).toBe(0)
    expect(gateMinutes('pulled', well())).toBeCloseTo(39, 9)
    expect(gateMinutes('power-off', well())).toBe(2)
    expect(gateMinutes('wet-end-open', { kind: 'pool', nameplate: { volts: 230 } })).toBe(20)
  })
  it('leads out of the water or into the wet end', () =>
    expect(
      (['pool', 'jet', 'circulation', 'sump', 'well-two-wire', 'well-three-wire'] as const).map(accessGateOf),
    ).toEqual(['wet-end-open', 'wet-end-open', 'wet-end-open', 'pulled', 'pulled', 'pulled']))
})

describe('what makes a machine safe to touch', () => {
  it.each<[Kind, MotorType, Gate[]]>([
    ['sump', 'split-phase', ['power-off', 'battery-disconnected', 'proved-dead']],
    ['well-two-wire', 'permanent-split', ['power-off', 'proved-dead', 'depressurised']],
    ['well-three-wire', 'capacitor-start', ['power-off', 'proved-dead', 'discharged', 'depressurised']],
    ['pool', 'permanent-split', ['power-off', 'proved-dead', 'discharged', 'cool', 'valves-shut', 'depressurised']],
    ['pool', 'split-phase', ['power-off', 'proved-dead', 'cool', 'valves-shut', 'depressurised']],
    ['pool', 'electronic', ['power-off', 'proved-dead', 'drive-discharged', 'cool', 'valves-shut', 'depressurised']],
  ])('%s, %s', (kind, motorType, gates) => expect(safeGates(kind, { motorType })).toEqual(gates))
})

describe('on the bench', () => {
  const plate = { motorType: 'permanent-split' } as const
  it('no gate of the site is asked for: no panel, no valve, no string; what bleeds is bled, what is live is live', () => {
    const asked = { check: 'capacitance', part: 'run-capacitor' }
    expect(gatesFor(asked, 'pool', plate)).toEqual(expect.arrayContaining(['power-off', 'proved-dead', 'discharged']))
    expect(gatesFor(asked, 'pool', plate, 'bench')).toEqual(['power-off', 'discharged'])
    expect(gatesFor({ check: 'shaft-turn', half: 'motor' }, 'well-two-wire', plate)).toContain('pulled')
    expect(gatesFor({ check: 'shaft-turn', half: 'motor' }, 'well-two-wire', plate, 'bench')).toEqual(['power-off'])
    expect(gatesFor({ check: 'listen' }, 'pool', plate, 'barrel')).toContain('power-on')
  })
  it('Safe is: off every supply, and bled', () => {
    expect(safeGates('pool', plate, 'bench')).toEqual(['power-off', 'discharged'])
    expect(safeGates('well-two-wire', plate, 'barrel')).toEqual(['power-off'])
    expect(gateInfo('power-off', 'bench').action).toMatch(/Plug out, test leads off/)
    expect(gateInfo('power-off').action).toMatch(/breaker/)
    expect(gateInfo('discharged', 'bench')).toEqual(gateInfo('discharged'))
  })
})
