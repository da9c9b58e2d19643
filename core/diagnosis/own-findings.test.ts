import { describe, expect, it } from 'vitest'
import { diagnose } from './diagnose'
import type { Finding } from './finding'
import { ownFindings } from './own-findings'

const leg = (lead: 'l1' | 'l2', value: number): Finding => ({ check: 'supply-voltage', lead, value, unit: 'V' })

describe('what the findings say of the machine', () => {
  it('takes two legs for the one supply that they are', () => {
    expect(ownFindings([leg('l1', 119), leg('l2', 118)])).toEqual([{ check: 'supply-voltage', value: 237, unit: 'V' }])
  })

  it('takes one leg alone for no supply', () => expect(ownFindings([leg('l1', 119)])).toEqual([]))

  it('leaves out what was read of a part that is not fitted', () => {
    const fitted: Finding = { check: 'capacitance', part: 'run-capacitor', value: 12 }
    expect(ownFindings([fitted, { ...fitted, value: 30, of: 'new' }])).toEqual([fitted])
  })

  it('takes an insulation for as good as its worst lead', () => {
    const lead = (name: string, value: number | null): Finding => ({
      check: 'insulation-resistance',
      lead: name,
      value,
    })
    expect(ownFindings([lead('black', 200), lead('red', 0.2), lead('yellow', null)])).toEqual([lead('red', 0.2)])
  })

  it('lets one grounded lead speak for the winding', () => {
    const lead = (name: string, outcome: string): Finding => ({ check: 'ground-ohmmeter', lead: name, outcome })
    expect(ownFindings([lead('black', 'shorted'), lead('red', 'open')])).toEqual([lead('black', 'shorted')])
  })

  it('takes a shaft for as loose as its looser bearing, whichever was tried last', () => {
    const end = (at: string, outcome: string): Finding => ({ check: 'bearing-fit', at, outcome })
    expect(ownFindings([end('top', 'loose'), end('bottom', 'tight')])).toEqual([end('top', 'loose')])
  })

  it('is what the diagnosis weighs: a good lead after a bad one saves nothing', () => {
    const pump = { kind: 'well-three-wire', nameplate: { volts: 230, motorType: 'capacitor-start' } } as const
    const lead = (name: string, value: number): Finding => ({
      check: 'insulation-resistance',
      lead: name,
      value,
      unit: 'Mohm',
      setup: 'motor-alone',
    })
    const of = (findings: Finding[]) => diagnose({ pump, complaints: ['trips-breaker'], findings }).suspects[0]?.fault
    expect(of([lead('red', 0.02), lead('black', 400)])).toBe('winding-to-ground')
  })
})
