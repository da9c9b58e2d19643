import { describe, expect, it } from 'vitest'
import type { DiagnosisCase, Finding } from './finding'
import { checksPossible, reasonOn } from './reasoning'

const possible = (input: DiagnosisCase): string[] => checksPossible(reasonOn(input)).map(({ key }) => key)
const pool = (complaints: string[], ...findings: Finding[]): DiagnosisCase => ({
  pump: { kind: 'pool', ageYears: 8, nameplate: { volts: 230, motorType: 'permanent-split', fullLoadAmps: 7 } },
  complaints,
  findings,
})
const well = (more: Partial<DiagnosisCase> = {}): DiagnosisCase => ({
  pump: { kind: 'well-two-wire', ageYears: 9, nameplate: { volts: 230, motorType: 'split-phase', fullLoadAmps: 5 } },
  complaints: ['low-pressure', 'no-water'],
  ...more,
})

describe('what may be lit', () => {
  it('is not made already, not passed over, and not history', () => {
    const all = possible(pool(['hums-no-start']))
    expect(all).toContain('shaft-turn')
    expect(all).not.toContain('spin-start')
    expect(possible(pool(['hums-no-start'], { check: 'shaft-turn', outcome: 'free' }))).not.toContain('shaft-turn')
    for (const skipped of ['capacitance', 'capacitance:run-capacitor'])
      expect(possible({ ...pool(['hums-no-start']), skipped: [skipped] })).not.toContain('capacitance:run-capacitor')
  })
  it('is no weep hole on a dry complaint, and not the joints once the weep hole drips', () => {
    expect(possible(pool(['noise-whine']))).not.toContain('weep-hole')
    expect(possible(pool(['leak-under-motor']))).toContain('weep-hole')
    expect(possible(pool(['leak-under-motor'], { check: 'weep-hole', outcome: 'dripping' }))).not.toContain(
      'joint-look',
    )
  })
  it('is not the same by another name', () => {
    const reads = possible(pool(['trips-gfci'], { check: 'insulation-resistance', value: 40 }))
    expect(reads).not.toContain('ground-ohmmeter')
    const free: Finding = { check: 'shaft-turn', outcome: 'free' }
    expect(possible(pool(['noise-whine'], free)).some((key) => key.startsWith('shaft-turn'))).toBe(false)
    const measured = possible(pool(['hums-no-start'], { check: 'capacitance', part: 'run-capacitor', value: 29 }))
    expect(measured).not.toContain('capacitor-look:run-capacitor')
  })
  it('needs no turning shaft where none turns, by what was found as by what was told', () => {
    expect(possible(pool(['hums-no-start']))).not.toContain('running-current')
    expect(possible(pool(['low-flow'], { check: 'listen', outcome: 'hum' }))).not.toContain('suction-vacuum')
    expect(possible(pool(['low-flow']))).toContain('suction-vacuum')
    expect(possible(pool(['low-flow']))).not.toContain('locked-current')
  })
  it('without volts is upstream of them', () => {
    const found = possible(pool(['dead'], { check: 'supply-voltage', value: 0 }))
    expect(found).toContain('breaker')
    expect(found).not.toContain('supply-voltage-loaded')
  })
  it('is no panel opened before its breaker was looked at, nor where volts arrive', () => {
    const dead: Finding = { check: 'supply-voltage', value: 0 }
    const on: Finding = { check: 'breaker', outcome: 'on' }
    expect(possible(pool(['dead'], dead))).not.toContain('breaker-voltage')
    expect(possible(pool(['dead'], dead, on))).toContain('breaker-voltage')
    expect(possible(pool(['dead'], dead, { check: 'breaker', outcome: 'tripped' }))).not.toContain('breaker-voltage')
    expect(possible(pool(['dead'], { check: 'supply-voltage', value: 236 }, on))).not.toContain('breaker-voltage')
  })
  it('is what a joint loses also under a rotor that stands and hums, never where nothing is drawn', () => {
    const low: Finding = { check: 'supply-voltage-loaded', value: 170 }
    expect(possible(pool(['hums-no-start'], low))).toContain('drop-test')
    expect(possible(pool(['dead'], { check: 'supply-voltage', value: 236 }))).not.toContain('drop-test')
  })
  it('is no float bypassed where it hums: what hums has its float closed', () => {
    const sump = (...findings: Finding[]): DiagnosisCase => ({
      pump: { kind: 'sump', ageYears: 6, nameplate: { volts: 115 } },
      complaints: ['hums-no-start'],
      findings,
    })
    expect(possible(sump())).toContain('float-bypass')
    expect(possible(sump({ check: 'listen', outcome: 'hum' }))).not.toContain('float-bypass')
  })
  it('on the bench has no site, and trials of its own; in the barrel it may run', () => {
    const at = (standing: DiagnosisCase['standing']) => possible(well({ standing }))
    expect(at('installed')).toEqual(expect.arrayContaining(['static-water-level']))
    expect(at('installed')).not.toContain('barrel-run')
    expect(at('bench')).toContain('barrel-run')
    for (const key of ['static-water-level', 'flow', 'insulation-resistance:motor-and-cable', 'cut-in'])
      expect(at('bench'), key).not.toContain(key)
    expect(at('barrel')).toContain('flow')
  })
})
