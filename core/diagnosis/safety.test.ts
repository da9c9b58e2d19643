import { describe, expect, it } from 'vitest'
import { SAFETY } from '../knowledge/checks/safety'
import { DEFAULT_RATES } from '../knowledge/shop/rates'
import { KINDS, MOTOR_TYPES, type Kind, type MotorType } from '../knowledge/vocabulary'
import { diagnose } from './diagnose'
import { checkKey, type DiagnosisCase, type Finding } from './finding'
import { gatesFor } from './gates'
import { buildModel } from './model'

const KIND_IDS = Object.keys(KINDS) as Kind[]
const pumpOf = (kind: Kind, motorType: MotorType = 'capacitor-start-run'): DiagnosisCase['pump'] => ({
  kind,
  ageYears: 8,
  nameplate: { volts: 230, motorType, fullLoadAmps: 8 },
})
const wells = (kind: Kind) => kind.startsWith('well')
const meg = (kind: Kind, value: number): Finding => ({
  check: 'insulation-resistance',
  value,
  testVolts: 500,
  setup: wells(kind) || kind === 'sump' ? 'motor-and-cable' : 'surface-motor',
})

/** Every check that is lit, one after the other, when each is passed over. */
function lit(input: DiagnosisCase): string[] {
  const skipped: string[] = []
  const ids: string[] = []
  for (let turn = 0; turn < 40; turn++) {
    const { next } = diagnose({ ...input, skipped })
    if (!next) break
    skipped.push(checkKey(next))
    ids.push(next.check)
  }
  return ids
}
const isLive = (kind: Kind) => (check: string) =>
  gatesFor({ check }, kind, { motorType: 'capacitor-start-run' }).includes('power-on')

describe('after a trip', () => {
  it.each(KIND_IDS)('no live check and no reset of a %s until its insulation was read and passed, dead', (kind) => {
    const tripped: DiagnosisCase = {
      pump: pumpOf(kind),
      complaints: ['trips-breaker', 'no-water'],
      gates: ['power-on'],
    }
    const before = lit(tripped)
    expect(before.length).toBeGreaterThan(1)
    expect(before.filter(isLive(kind))).toEqual([])
    expect(diagnose(tripped).safety).toEqual([SAFETY.tripped.reason])
    expect(diagnose({ ...tripped, findings: [meg(kind, 300)] }).safety).toEqual([])
    expect(diagnose({ ...tripped, findings: [meg(kind, 0.05)] }).safety).toEqual([SAFETY.grounded.reason])
  })

  it('a reading at too few volts, an ohmmeter’s open and a new part’s reading pass nothing', () => {
    const tripped: DiagnosisCase = { pump: pumpOf('pool'), complaints: ['trips-gfci'] }
    for (const finding of [
      { ...meg('pool', 900), testVolts: 9 },
      { check: 'ground-ohmmeter', outcome: 'open' },
      { ...meg('pool', 900), of: 'new' as const },
    ])
      expect(diagnose({ ...tripped, findings: [finding] }).safety).toEqual([SAFETY.tripped.reason])
  })

  it('it may have been found on the way: a breaker or a GFCI that tripped, a barrel that trips', () => {
    for (const [kind, check, outcome] of [
      ['pool', 'breaker', 'tripped'],
      ['pool', 'gfci', 'trips-again'],
      ['well-two-wire', 'barrel-run', 'trips'],
    ] as const)
      expect(diagnose({ pump: pumpOf(kind), complaints: ['no-water'], findings: [{ check, outcome }] }).safety).toEqual(
        [SAFETY.tripped.reason],
      )
  })
})

describe('what is never energised', () => {
  it.each(KIND_IDS)('a %s that reads to ground, by megohmmeter or ohmmeter, on one lead as on all', (kind) => {
    for (const finding of [
      meg(kind, 0.02),
      { check: 'ground-ohmmeter', outcome: 'shorted' },
      { check: 'ground-ohmmeter', outcome: 'shorted', lead: 'black' },
      { check: 'winding-resistance', leads: 'black-ground', value: 0.4 },
    ]) {
      const grounded: DiagnosisCase = { pump: pumpOf(kind), complaints: ['no-water'], findings: [finding] }
      expect(lit(grounded).filter(isLive(kind)), JSON.stringify(finding)).toEqual([])
      expect(diagnose(grounded).safety).toEqual([SAFETY.grounded.reason])
    }
  })
  it('stays so until what failed was read again and passed: a part read alone clears only itself', () => {
    const whole = meg('well-two-wire', 0.1)
    const alone: Finding = { ...whole, setup: 'motor-alone', value: 300 }
    const of = (...findings: Finding[]) =>
      diagnose({ pump: pumpOf('well-two-wire', 'split-phase'), complaints: ['trips-breaker'], findings }).safety
    expect(of(whole, alone)).toEqual([SAFETY.grounded.reason])
    expect(of(whole, alone, { ...whole, value: 80 })).toEqual([])
  })
  it('what is seized, or has water in it', () => {
    const seized: DiagnosisCase = {
      pump: pumpOf('pool'),
      complaints: ['hums-no-start'],
      findings: [{ check: 'shaft-turn', outcome: 'seized' }],
    }
    expect(lit(seized).filter(isLive('pool'))).toEqual([])
    expect(diagnose(seized).safety).toEqual([SAFETY.seized.reason])
    expect(
      diagnose({
        pump: pumpOf('sump'),
        complaints: ['dead'],
        findings: [{ check: 'motor-fill-look', outcome: 'water' }],
      }).safety,
    ).toEqual([SAFETY.flooded.reason])
  })
})

describe('amps and wet floors', () => {
  it('no amps are read where the volts are 14 % low', () => {
    const of = (value: number): DiagnosisCase => ({
      pump: pumpOf('pool'),
      complaints: ['cuts-out-hot'],
      findings: [{ check: 'supply-voltage', value }],
    })
    expect(lit(of(197))).not.toContain('running-current')
    expect(diagnose(of(197)).safety).toEqual([SAFETY.lowVolts.reason])
    expect(lit(of(199))).toContain('running-current')
  })
  it('on a wet floor the outlet is lit first, and nothing else before it', () => {
    const flooded: DiagnosisCase = { pump: pumpOf('sump', 'permanent-split'), complaints: ['pit-flooded', 'dead'] }
    expect(lit(flooded)).toEqual(['outlet-voltage'])
    expect(diagnose(flooded).safety).toEqual([SAFETY.wetFloor.reason])
    const proved = { ...flooded, findings: [{ check: 'outlet-voltage', value: 231 }] }
    expect(diagnose(proved).safety).toEqual([])
  })
})

describe('a charged capacitor', () => {
  it('is bled before a hand goes into any space that holds it, whatever the job', () => {
    for (const motorType of Object.keys(MOTOR_TYPES) as MotorType[]) {
      const holds = motorType !== 'split-phase'
      const gate = motorType === 'electronic' ? 'drive-discharged' : 'discharged'
      for (const check of [
        'wiring-look',
        'fan-look',
        'shaft-turn',
        'selector-setting',
        'conduit-look',
        'capacitor-look',
      ])
        expect(gatesFor({ check }, 'pool', { motorType }).includes(gate), `${motorType} ${check}`).toBe(holds)
    }
    for (const check of ['relay-look', 'wiring-look', 'control-box-swap'])
      expect(gatesFor({ check }, 'well-three-wire', { motorType: 'capacitor-start' }), check).toContain('discharged')
  })
  it('of a sealed well pump is bled on the bench before it is touched', () =>
    expect(
      gatesFor({ check: 'capacitance', part: 'run-capacitor' }, 'well-two-wire', { motorType: 'permanent-split' }),
    ).toContain('discharged'))
  it('is the first thing asked of a GFCI that nobody is in the water', () =>
    expect(
      buildModel(pumpOf('pool')).checks.some(({ check }) => check === 'gfci') &&
        gatesFor({ check: 'gfci' }, 'pool', { motorType: 'permanent-split' }),
    ).toContain('hands-clear'))
})

describe('what live work is worth avoiding', () => {
  it('is a price of the shop’s own: set high, a dead check goes before a live one', () => {
    const dripping: DiagnosisCase = {
      pump: { kind: 'booster', ageYears: 8, nameplate: { volts: 230, motorType: 'capacitor-start', horsepower: 0.75 } },
      complaints: ['leak-under-motor'],
      findings: [{ check: 'weep-hole', outcome: 'dripping' }],
    }
    const first = (liveRisk: number) =>
      diagnose(dripping, { rates: { ...DEFAULT_RATES, liveRisk } }).next?.gates.includes('power-on')
    expect(first(0)).toBe(true)
    expect(first(500)).toBe(false)
  })
})
