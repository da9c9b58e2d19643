import { describe, expect, it } from 'vitest'
import { KINDS, type Kind } from '../knowledge/vocabulary'
import { diagnose } from './diagnose'
import { ESTIMATE_WEIGHT } from '../knowledge/faults/thresholds'
import { experienceOf, learnFrom } from './experience'

const of = (counts: Record<string, number>, fault: string) =>
  learnFrom('pool', counts).find((each) => each.fault === fault) as ReturnType<typeof learnFrom>[number]

describe('what the shop’s own visits teach', () => {
  it('leaves the estimate as it is when nothing was counted', () => {
    expect(experienceOf('pool', {})).toEqual({})
    for (const { multiple } of learnFrom('pool', {})) expect(multiple).toBeCloseTo(1, 12)
  })

  it.each(Object.keys(KINDS) as Kind[])('keeps shares that sum to one, for %s', (kind) => {
    const learned = learnFrom(kind, { 'motor-seized': 5, 'no-supply': 3, 'not-a-fault-of-it': 9 })
    expect(learned.reduce((sum, each) => sum + each.learned, 0)).toBeCloseTo(1, 9)
    expect(learned.reduce((sum, each) => sum + each.estimated, 0)).toBeCloseTo(1, 9)
  })

  it('is the Dirichlet mean: (w·p + n) / (w + N)', () => {
    const { estimated, learned } = of({ 'run-capacitor-failed': 6, 'shaft-seal-leaking': 4 }, 'run-capacitor-failed')
    expect(learned).toBeCloseTo((ESTIMATE_WEIGHT.visits * estimated + 6) / (ESTIMATE_WEIGHT.visits + 10), 12)
  })

  it('ten visits begin to matter and a hundred dominate', () => {
    const rare = of({}, 'seal-plate-cracked').estimated
    expect(of({ 'seal-plate-cracked': 10 }, 'seal-plate-cracked').learned).toBeGreaterThan(0.18)
    expect(of({ 'seal-plate-cracked': 100 }, 'seal-plate-cracked').learned).toBeGreaterThan(0.7)
    expect(rare).toBeLessThan(0.02)
  })

  it('moves the lamp: the same complaint, another suspect first', () => {
    const input = {
      pump: { kind: 'pool' as const, nameplate: { volts: 230, motorType: 'permanent-split' as const } },
      complaints: ['leak-under-motor'],
    }
    expect(diagnose(input).suspects[0]?.fault).toBe('shaft-seal-leaking')
    expect(diagnose(input, { experience: experienceOf('pool', { 'seal-plate-cracked': 60 }) }).suspects[0]?.fault).toBe(
      'seal-plate-cracked',
    )
  })
})
