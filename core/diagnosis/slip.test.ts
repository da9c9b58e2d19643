import { describe, expect, it } from 'vitest'
import { diagnose } from './diagnose'
import type { DiagnosisCase, Finding } from './finding'

const PUMP: DiagnosisCase['pump'] = {
  kind: 'pool',
  ageYears: 8,
  nameplate: { volts: 230, motorType: 'permanent-split', horsepower: 1, fullLoadAmps: 7, serviceFactorAmps: 8.2 },
}
const withFindings = (...findings: Finding[]): DiagnosisCase => ({ pump: PUMP, complaints: ['low-flow'], findings })
const SOUND: Finding[] = [
  { check: 'supply-voltage', value: 236 },
  { check: 'listen', outcome: 'quiet' },
  { check: 'filter-pressure', value: 12 },
]

describe('a figure that is likelier a slip than so', () => {
  it('is made once more before anything hangs on it, and the card says which figure would fit', () => {
    const { next } = diagnose(withFindings(...SOUND, { check: 'running-current', value: 68 }))
    expect(next?.check).toBe('running-current')
    expect(next?.because).toMatch(/^Read it once more: .*68 A fits nothing else that was found, 6\.8 A would\.$/)
  })
  it('is believed when it comes out the same a second time', () => {
    const odd: Finding = { check: 'supply-voltage', value: 23.6 }
    const once = withFindings({ check: 'listen', outcome: 'quiet' }, { check: 'filter-pressure', value: 12 }, odd)
    expect(diagnose(once).next?.check).toBe('supply-voltage')
    expect(diagnose({ ...once, findings: [...(once.findings ?? []), odd] }).next?.check).not.toBe('supply-voltage')
  })
  it('is not asked for again where it was passed over', () => {
    const odd = withFindings(...SOUND.slice(0, 2), { check: 'filter-pressure', value: 120 })
    expect(diagnose(odd).next?.check).toBe('filter-pressure')
    expect(diagnose({ ...odd, skipped: ['filter-pressure'] }).next?.check).not.toBe('filter-pressure')
  })
  it('is no look, however odd: what is seen is believed', () => {
    const { next } = diagnose(withFindings(...SOUND, { check: 'plate-look', outcome: 'cracked' }))
    expect(next?.check).not.toBe('plate-look')
  })
  it('is not what a fault explains, however bad it is', () => {
    for (const finding of [
      { check: 'filter-pressure', value: 27 },
      { check: 'basket-look', outcome: 'clogged' },
      { check: 'impeller-look', outcome: 'clogged' },
      { check: 'suction-vacuum', value: 16 },
    ])
      expect(diagnose(withFindings(...SOUND.slice(0, 2), finding)).next?.check, finding.check).not.toBe(finding.check)
  })
})
