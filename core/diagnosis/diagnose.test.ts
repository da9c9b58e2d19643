import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { MOTOR_TYPES, type MotorType } from '../knowledge/vocabulary'
import { diagnose } from './diagnose'
import type { DiagnosisCase, Finding } from './finding'
import { buildModel } from './model'
import { gatesFor } from './gates'

/** The humming pool pump of the trade: nine summers, permanent-split, a plate that can be read. */
const HUMMING: DiagnosisCase = {
  pump: {
    kind: 'pool',
    construction: 'band-clamp',
    ageYears: 9,
    underWarranty: false,
    installation: { dutyHoursPerDay: 8 },
    nameplate: {
      volts: 230,
      hertz: 60,
      motorType: 'permanent-split',
      horsepower: 1,
      serviceFactor: 1.25,
      fullLoadAmps: 7,
      serviceFactorAmps: 8.2,
      runCapacitorMicrofarads: 30,
      runCapacitorVolts: 370,
      runWindingOhms: [1.8, 2.4],
      startWindingOhms: [3.4, 4.6],
    },
  },
  complaints: ['hums-no-start'],
}
const supply: Finding = { check: 'supply-voltage', value: 236 }
const free: Finding = { check: 'shaft-turn', outcome: 'free' }
const seized: Finding = { check: 'shaft-turn', outcome: 'seized' }
const weak: Finding = { check: 'capacitance', part: 'run-capacitor', value: 27 }
const good: Finding = { check: 'capacitance', part: 'run-capacitor', value: 29.9 }
const weeping: Finding = { check: 'weep-hole', outcome: 'dripping' }
const dryJoints: Finding = { check: 'joint-look', outcome: 'dry' }

const withType = (motorType: MotorType, more: Partial<DiagnosisCase> = {}): DiagnosisCase => ({
  ...HUMMING,
  ...more,
  pump: { ...HUMMING.pump, nameplate: { volts: 230, hertz: 60, motorType, horsepower: 1 } },
})
const top = (input: DiagnosisCase) => diagnose(input).suspects[0]?.fault
const chance = (input: DiagnosisCase, fault: string) =>
  diagnose(input).suspects.find((suspect) => suspect.fault === fault)?.probability ?? 0

describe('the humming pool pump', () => {
  it('suspects the capacitor by far, from the complaint alone', () => {
    expect(top(HUMMING)).toBe('run-capacitor-failed')
    expect(chance(HUMMING, 'run-capacitor-failed')).toBeGreaterThan(3 * chance(HUMMING, 'motor-seized'))
  })

  it('lights the capacitor when the supply is good and the shaft turns freely', () => {
    const { next, settled } = diagnose({ ...HUMMING, findings: [supply, free] })
    expect(next).toMatchObject({
      check: 'capacitance',
      part: 'run-capacitor',
      gates: ['power-off', 'proved-dead', 'discharged'],
    })
    expect(next?.outcomes[0]).toMatchObject({
      if: 'under 28.2 μF',
      then: expect.stringMatching(/^run capacitor weak, (over )?9\d\u00a0%/) as string,
    })
    expect(settled).toBe(false)
  })

  it('settles on the capacitor at 27 of 30 μF, and says why', () => {
    const result = diagnose({ ...HUMMING, findings: [supply, free, weak] })
    expect(result).toMatchObject({ settled: true, next: null, bestAction: 'replace-run-capacitor' })
    expect(result.suspects[0]?.probability).toBeGreaterThan(0.8)
    expect(result.suspects[0]?.because.join('; ')).toMatch(/run capacitor 27 μF speaks for it/)
  })

  it('goes on to the windings when the capacitor is good', () => {
    const { next, suspects } = diagnose({ ...HUMMING, findings: [supply, free, good] })
    expect(suspects[0]?.fault).toBe('start-winding-open')
    expect(next).toMatchObject({ check: 'winding-resistance', leads: 'start-common' })
  })

  it('names a seized motor when the shaft will not turn', () => {
    expect(top({ ...HUMMING, findings: [supply, seized] })).toBe('motor-seized')
  })

  it('knows a bulged can before it is measured', () => {
    expect(
      chance(
        { ...HUMMING, findings: [{ check: 'capacitor-look', part: 'run-capacitor', outcome: 'bulged' }] },
        'run-capacitor-failed',
      ),
    ).toBeGreaterThan(0.75)
  })

  it('finds the stuck switch behind a good start capacitor', () => {
    const input = withType('capacitor-start', {
      findings: [
        supply,
        free,
        { check: 'capacitance', part: 'start-capacitor', value: 115 },
        { check: 'winding-resistance', leads: 'start-common', value: 5.5 },
        { check: 'start-switch-look', outcome: 'stuck-open' },
      ],
    })
    expect(top(input)).toBe('start-switch-failed')
  })
})

describe('other calls to a pool pump', () => {
  it('names the seal from a drip at the weep hole with dry joints', () => {
    const result = diagnose({ ...HUMMING, complaints: ['leak-under-motor'], findings: [weeping, dryJoints, free] })
    expect(result.bestAction).toBe('replace-shaft-seal')
    // Before the wet end opens, what would change the job is looked at: the bearing behind the seal.
    expect(
      diagnose({
        ...HUMMING,
        complaints: ['leak-under-motor'],
        findings: [
          weeping,
          dryJoints,
          free,
          { check: 'listen', outcome: 'quiet' },
          { check: 'shaft-rock', outcome: 'none' },
        ],
      }),
    ).toMatchObject({ settled: true, bestAction: 'replace-shaft-seal' })
    expect(result.suspects[0]?.fault).toBe('shaft-seal-leaking')
  })

  it('suspects the plate or the O-ring on the shaft after a new seal that still drips', () => {
    const before = { ...HUMMING, complaints: ['leak-under-motor'] }
    const after = { ...before, alreadyReplaced: ['shaft-seal'] }
    expect(chance(after, 'shaft-seal-leaking')).toBeLessThan(chance(before, 'shaft-seal-leaking'))
    expect(chance(after, 'shaft-seal-leaking')).toBeGreaterThan(0.05)
    expect(chance(after, 'housing-seal-leaking')).toBeGreaterThan(chance(before, 'housing-seal-leaking'))
  })

  it('asks for the supply first when it is dead, and finds the breaker at 0 V', () => {
    const dead = { ...HUMMING, complaints: ['dead'] }
    expect(diagnose(dead).next?.check).toBe('supply-voltage')
    expect(top({ ...dead, findings: [{ check: 'supply-voltage', value: 0 }] })).toBe('no-supply')
  })

  it('never asks a pump that stands still to show its vacuum', () => {
    const skipped: string[] = []
    for (let turn = 0; turn < 20; turn++) {
      const { next } = diagnose({ ...HUMMING, findings: [supply], skipped })
      if (!next) break
      expect(['suction-vacuum', 'filter-pressure', 'pot-look', 'running-current', 'spin-start']).not.toContain(
        next.check,
      )
      skipped.push(
        next.part
          ? `${next.check}:${next.part}`
          : next.leads
            ? `${next.check}:${next.leads.split('-').sort().join('-')}`
            : next.check,
      )
    }
    expect(skipped.length).toBeGreaterThan(8)
  })

  it('finds wet windings behind a GFCI that trips, by the megohmmeter', () => {
    const input = {
      ...HUMMING,
      complaints: ['trips-gfci'],
      findings: [{ check: 'insulation-resistance', value: 0.4, celsius: 25 }],
    }
    const result = diagnose(input)
    expect(['winding-to-ground', 'water-in-motor']).toContain(result.suspects[0]?.fault)
    expect(result.bestAction).toBe('swap-motor')
  })

  it('sends a machine under warranty back rather than opening it', () => {
    const input: DiagnosisCase = {
      ...HUMMING,
      pump: { ...HUMMING.pump, underWarranty: true, ageYears: 1 },
      complaints: ['noise-grind'],
      findings: [
        { check: 'shaft-turn', outcome: 'gritty' },
        { check: 'motor-alone-listen', outcome: 'same-noise' },
        { check: 'impeller-look', outcome: 'clear' },
      ],
    }
    expect(diagnose(input).bestAction).toBe('return-under-warranty')
  })
})

describe('what the engine must always do', () => {
  it('knows no fault that the motor type cannot have', () => {
    const faultsOf = (type: MotorType) =>
      new Set(buildModel(withType(type).pump).hypotheses.flatMap(({ faults }) => faults))
    expect(faultsOf('permanent-split').has('start-switch-failed')).toBe(false)
    expect(faultsOf('permanent-split').has('start-capacitor-failed')).toBe(false)
    expect(faultsOf('split-phase').has('run-capacitor-failed')).toBe(false)
    expect(faultsOf('electronic').has('start-winding-open')).toBe(false)
    expect(faultsOf('capacitor-start-run').has('start-switch-failed')).toBe(true)
  })

  it.each(Object.keys(MOTOR_TYPES) as MotorType[])('works for both constructions with motor type %s', (type) => {
    for (const construction of ['band-clamp', 'bolted-seal-plate'] as const) {
      const input = withType(type)
      const result = diagnose({ ...input, pump: { ...input.pump, construction } })
      expect(result.next?.check).toBeDefined()
    }
  })

  const pool: Finding[] = [
    supply,
    free,
    weak,
    weeping,
    dryJoints,
    { check: 'listen', outcome: 'hum' },
    { check: 'insulation-resistance', value: 210, celsius: 22 },
    { check: 'winding-resistance', leads: 'run-common', value: 2.1 },
    { check: 'basket-look', outcome: 'clogged' },
    { check: 'filter-pressure', value: 12 },
    { check: 'shaft-rock', outcome: 'rocks' },
    { check: 'winding-resistance', leads: 'start-common', value: null },
  ]
  const subsets = fc.shuffledSubarray(pool, { minLength: 0 })

  it('gives the same posterior whatever the order of the evidence', () => {
    fc.assert(
      fc.property(subsets, fc.integer(), (findings, seed) => {
        const shuffled = [...findings].sort(
          (a, b) => ((JSON.stringify(a).length * 31 + seed) % 7) - ((JSON.stringify(b).length * 31 + seed) % 7),
        )
        expect(diagnose({ ...HUMMING, findings: shuffled }).suspects.map(({ probability }) => probability)).toEqual(
          diagnose({ ...HUMMING, findings }).suspects.map(({ probability }) => probability),
        )
      }),
      { numRuns: 30 },
    )
  })

  it('sums to one over singles, nothing wrong and pairs', () => {
    fc.assert(
      fc.property(subsets, (findings) => {
        const { suspects } = diagnose({ ...HUMMING, findings })
        const sum = suspects.reduce((total, { probability }) => total + probability, 0)
        expect(sum).toBeGreaterThan(0)
        expect(sum).toBeLessThanOrEqual(1 + 1e-9)
      }),
      { numRuns: 30 },
    )
  })

  it('is moved by nothing that cannot tell: a multimeter’s open reading to ground, a hot protector', () => {
    const plain = diagnose({ ...HUMMING, findings: [supply] }).suspects
    for (const silent of [
      { check: 'ground-ohmmeter', outcome: 'open' },
      { check: 'thermal-protector-continuity', outcome: 'open-hot' },
      { check: 'insulation-resistance', value: 900, testVolts: 9 },
    ]) {
      expect(
        diagnose({ ...HUMMING, findings: [supply, silent] }).suspects.map(({ probability }) => probability),
      ).toEqual(plain.map(({ probability }) => probability))
    }
  })

  it('counts one mechanism once: the newest reading speaks', () => {
    const once = diagnose({ ...HUMMING, findings: [weak] }).suspects
    expect(diagnose({ ...HUMMING, findings: [good, weak, weak, weak] }).suspects).toEqual(once)
  })

  it('takes "not this" at its word, and says so when nothing is left to explain', () => {
    const result = diagnose({ ...HUMMING, findings: [supply, free, weak], excluded: ['run-capacitor-failed'] })
    expect(result.suspects.find(({ fault }) => fault === 'run-capacitor-failed')?.probability ?? 0).toBe(0)
  })

  it('calls out two readings that no cause explains together', () => {
    const result = diagnose({
      ...HUMMING,
      complaints: ['noise-whine'],
      findings: [seized, { check: 'running-current', value: 6.6 }],
    })
    expect(result.disagreement?.because).toMatch(/disagree/)
    expect(diagnose({ ...HUMMING, findings: [supply, free, weak] }).disagreement).toBeUndefined()
    // Two unrelated faults are a coincidence, not a contradiction.
    expect(diagnose({ ...HUMMING, findings: [weak, weeping] }).disagreement).toBeUndefined()
  })

  it('keeps the gates of a check by motor type: a drive waits, a split-phase motor holds no charge', () => {
    const gates = (type: MotorType) => gatesFor({ check: 'insulation-resistance' }, 'pool', { motorType: type })
    expect(gates('electronic')).toEqual([
      'power-off',
      'proved-dead',
      'drive-discharged',
      'electronics-disconnected',
      'hands-clear',
    ])
    expect(gates('split-phase')).toEqual(['power-off', 'proved-dead', 'hands-clear'])
    expect(gates('permanent-split')).toContain('discharged')
  })
})
