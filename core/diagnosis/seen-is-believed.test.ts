import { describe, expect, it } from 'vitest'
import { KIND_KNOWLEDGE } from '../knowledge/faults/kinds'
import { KINDS, MOTOR_TYPES, SUBMERGED, type Kind, type MotorType } from '../knowledge/vocabulary'
import { diagnose } from './diagnose'
import type { DiagnosisCase, Finding } from './finding'
import { infer } from './inference'
import { buildModel } from './model'
import { marginals } from './reasoning'

const KIND_IDS = Object.keys(KINDS) as Kind[]
const TYPE_IDS = Object.keys(MOTOR_TYPES) as MotorType[]
/** A complaint that the fault causes at least this often is one it is called for. */
const CAUSES = 0.3
/** Looks that show the same of two faults: what leaks out of one hole, what stays silent for many reasons. */
const AMBIGUOUS: ReadonlySet<string> = new Set(['weep-hole', 'float-bypass', 'wiring-look', 'tank-look', 'tank-air'])

describe('a part looked at and found broken, clogged, burnt, leaking or open', () => {
  it.each(KIND_IDS)('is at the top for the complaint it causes, on every motor: %s', (kind) => {
    const { seen, faults } = KIND_KNOWLEDGE[kind]
    let proved = 0
    for (const motorType of TYPE_IDS) {
      const pump: DiagnosisCase['pump'] = { kind, ageYears: 7, nameplate: { volts: 230, motorType } }
      const model = buildModel(pump)
      for (const row of seen) {
        if (AMBIGUOUS.has(row.check)) continue
        // What is submerged and will not turn as a whole may be bound in either half.
        if (row.check === 'shaft-turn' && !row.half && SUBMERGED.includes(kind)) continue
        for (const [outcome, fault] of Object.entries(row.shows ?? {})) {
          if (!fault || !model.holding.has(fault) || !model.checks.some(({ check }) => check === row.check)) continue
          const known = faults.find((each) => each.fault === fault)
          const said = Object.entries(known?.complaintsByType?.[motorType] ?? known?.complaints ?? {})
          for (const [complaint, given] of said) {
            if (given < CAUSES) continue
            const finding: Finding = { check: row.check, outcome, part: row.part, half: row.half }
            const { probabilities } = infer(model, { complaints: [complaint], findings: [finding] })
            const chance = marginals(model, probabilities).get(fault) ?? 0
            expect(chance, `${motorType}: ${complaint}, ${row.check} ${outcome} → ${fault}`).toBeGreaterThanOrEqual(0.8)
            proved++
          }
        }
      }
    }
    expect(proved).toBeGreaterThan(20)
  })

  it('a clogged basket explains low flow', () => {
    const { suspects, bestAction } = diagnose({
      pump: { kind: 'pool', nameplate: { volts: 230 } },
      complaints: ['low-flow'],
      findings: [{ check: 'basket-look', outcome: 'clogged' }],
    })
    expect(suspects[0]).toMatchObject({ fault: 'suction-blocked' })
    expect(suspects[0]?.probability).toBeGreaterThan(0.8)
    expect(bestAction).toBe('clear-suction')
  })
})

describe('a finding beats an assumption', () => {
  const top = (input: DiagnosisCase) => diagnose(input).suspects[0]?.fault
  it('a start switch seen stuck means that the motor has one, whatever the plate says', () => {
    for (const nameplate of [{ volts: 230 }, { volts: 230, motorType: 'permanent-split' as const }])
      expect(
        top({
          pump: { kind: 'pool', nameplate },
          complaints: ['hums-no-start'],
          findings: [{ check: 'start-switch-look', outcome: 'stuck-open' }],
        }),
      ).toBe('start-switch-failed')
  })
  it('a start can of twice the assumed value is a sound one of the other winding half', () => {
    const found = diagnose({
      pump: { kind: 'jet', ageYears: 12, nameplate: { volts: 230 } },
      complaints: ['hums-no-start'],
      findings: [
        { check: 'capacitance', part: 'start-capacitor', value: 172 },
        { check: 'shaft-turn', outcome: 'seized' },
      ],
    })
    expect(found.suspects[0]?.fault).toBe('motor-seized')
    expect(found.judgements[0]).toMatchObject({
      verdict: 'unclear',
      because: expect.stringContaining('read the can') as string,
    })
  })
  it('the cut-in that was seen measures the tank’s air, not the one that was assumed', () => {
    const tank = (...more: Finding[]): DiagnosisCase => ({
      pump: { kind: 'jet', nameplate: { volts: 230 } },
      complaints: ['short-cycles'],
      findings: [{ check: 'tank-precharge', value: 38 }, ...more],
    })
    const chance = (input: DiagnosisCase) =>
      diagnose(input)
        .suspects.filter(({ fault }) => fault.startsWith('tank-'))
        .reduce((sum, { probability }) => sum + probability, 0)
    expect(chance(tank({ check: 'cut-in', value: 40 }))).toBeLessThan(0.1)
    expect(chance(tank({ check: 'cut-in', value: 60 }))).toBeGreaterThan(0.5)
  })
  it('a 3-wire start winding without a maker’s figure is measured by the main one on the same leads', () => {
    const pump: DiagnosisCase['pump'] = {
      kind: 'well-three-wire',
      ageYears: 9,
      nameplate: { volts: 230, motorType: 'capacitor-start', horsepower: 0.75 },
    }
    const ohms = (main: number, start: number) =>
      diagnose({
        pump,
        complaints: ['hums-no-start', 'no-water'],
        findings: [
          { check: 'winding-resistance', leads: 'yellow-black', value: main },
          { check: 'winding-resistance', leads: 'yellow-red', value: start },
          { check: 'winding-resistance', leads: 'red-black', value: main + start },
        ],
      }).suspects[0]?.fault
    expect(ohms(3.4, 13)).not.toMatch(/winding|leads/)
    expect(ohms(13, 3.4)).toBe('leads-swapped')
  })
})

describe('rest and loaded volts speak together', () => {
  it('238 at rest and 198 loaded is the line, not a winding; the drop test finds the joint', () => {
    const line: DiagnosisCase = {
      pump: { kind: 'pool', ageYears: 6, nameplate: { volts: 230, motorType: 'permanent-split', fullLoadAmps: 7 } },
      complaints: ['cuts-out-hot'],
      findings: [
        { check: 'supply-voltage', value: 238 },
        { check: 'supply-voltage-loaded', value: 198 },
      ],
    }
    const of = (input: DiagnosisCase, ...faults: string[]) =>
      diagnose(input)
        .suspects.filter(({ fault }) => faults.includes(fault))
        .reduce((sum, { probability }) => sum + probability, 0)
    expect(of(line, 'low-supply-voltage', 'loose-connection')).toBeGreaterThan(0.8)
    expect(of(line, 'winding-shorted')).toBeLessThan(0.03)
    const joint = { ...line, findings: [...(line.findings ?? []), { check: 'drop-test', value: 34 }] }
    expect(of(joint, 'loose-connection')).toBeGreaterThan(0.8)
  })
})

describe('what was renewed', () => {
  const pump: DiagnosisCase['pump'] = {
    kind: 'pool',
    ageYears: 9,
    nameplate: { volts: 230, motorType: 'permanent-split' },
  }
  const prior = (fault: string, replaced: string[], of = pump) => {
    const model = buildModel(of, replaced)
    return marginals(model, model.priors).get(fault) ?? 0
  }
  it('with a motor: its bearings, windings and capacitor fall to about a twentieth; with a box, what is in it', () => {
    for (const fault of ['bearings-worn', 'run-winding-open', 'run-capacitor-failed', 'winding-to-ground'])
      expect(prior(fault, ['motor']) / prior(fault, []), fault).toBeLessThan(0.15)
    expect(prior('shaft-seal-leaking', ['motor']) / prior('shaft-seal-leaking', [])).toBeGreaterThan(0.9)
    expect(prior('shaft-seal-leaking', ['pump']) / prior('shaft-seal-leaking', [])).toBeLessThan(0.15)
    const well: DiagnosisCase['pump'] = {
      kind: 'well-three-wire',
      nameplate: { volts: 230, motorType: 'capacitor-start' },
    }
    expect(prior('start-relay-failed', ['control-box'], well) / prior('start-relay-failed', [], well)).toBeLessThan(
      0.15,
    )
    expect(
      prior('start-capacitor-failed', ['motor'], well) / prior('start-capacitor-failed', [], well),
    ).toBeGreaterThan(0.9)
  })
  it('brings faults of its own: the wrong can, a bearing or a seal badly fitted, crossed leads, a nicked cable', () => {
    for (const [part, fault] of [
      ['run-capacitor', 'wrong-capacitor-fitted'],
      ['bearings', 'bearing-misfitted'],
      ['shaft-seal', 'seal-misfitted'],
    ] as const)
      expect(prior(fault, [part]), fault).toBeGreaterThan(4 * prior(fault, []))
    const well: DiagnosisCase['pump'] = {
      kind: 'well-three-wire',
      nameplate: { volts: 230, motorType: 'capacitor-start' },
    }
    for (const fault of ['leads-swapped', 'cable-to-ground'])
      expect(prior(fault, ['motor'], well), fault).toBeGreaterThan(1.3 * prior(fault, [], well))
  })
  it('and did not cure is looked at before it is renewed again', () => {
    const { next } = diagnose({
      pump: { kind: 'booster', ageYears: 6, nameplate: { volts: 230, motorType: 'capacitor-start' } },
      complaints: ['leak-under-motor'],
      alreadyReplaced: ['shaft-seal'],
      findings: [{ check: 'weep-hole', outcome: 'dripping' }],
    })
    expect(['o-ring-look', 'seal-look']).toContain(next?.check)
  })
})

describe('two findings that cannot both be true', () => {
  const quiet: DiagnosisCase = {
    pump: { kind: 'pool', ageYears: 7, nameplate: { volts: 230, motorType: 'permanent-split', fullLoadAmps: 7 } },
    complaints: ['hums-no-start'],
    findings: [
      { check: 'running-current', value: 6.9 },
      { check: 'listen', outcome: 'quiet' },
      { check: 'shaft-turn', outcome: 'seized' },
    ],
  }
  it('count neither, are said, and the dead one is made again, once', () => {
    const found = diagnose(quiet)
    expect(found.disagreement?.because).toMatch(/Both cannot be true/)
    expect(found.next?.check).toBe('shaft-turn')
    const again = diagnose({
      ...quiet,
      findings: [...(quiet.findings ?? []), { check: 'shaft-turn', outcome: 'seized' }],
    })
    expect(again.next?.check).not.toBe('shaft-turn')
    expect(
      diagnose({ ...quiet, findings: [...(quiet.findings ?? []), { check: 'shaft-turn', outcome: 'free' }] })
        .disagreement,
    ).toBeUndefined()
  })
})
