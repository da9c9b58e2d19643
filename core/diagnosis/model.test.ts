import { describe, expect, it } from 'vitest'
import { KIND_KNOWLEDGE } from '../knowledge/faults/kinds'
import type { MotorType } from '../knowledge/vocabulary'
import type { Pump } from '../motor/nameplate'
import { ageFactor, buildModel, complaintLikelihood, modelCheckOf, motorHas, type DiagnosisModel } from './model'

const pump = (more: Partial<Pump> = {}): Pump => ({
  kind: 'pool',
  construction: 'bolted-seal-plate',
  ageYears: 8,
  nameplate: { volts: 230, motorType: 'capacitor-start-run', horsepower: 1 },
  ...more,
})
const prior = ({ hypotheses }: DiagnosisModel, ...faults: string[]) =>
  hypotheses.find((one) => one.faults.join() === faults.join())?.prior as number
/** How much likelier one cause is than another: what no renormalising moves. */
const odds = (model: DiagnosisModel, fault: string, against = 'no-supply') =>
  prior(model, fault) / prior(model, against)

describe('the hazard at an age (Weibull), over that at the row’s own', () => {
  it.each([
    [{ shape: 2, atYears: 5 }, 10, 2],
    [{ shape: 2, atYears: 5 }, 5, 1],
    [{ shape: 2, atYears: 5 }, 1, 0.2],
    [{ shape: 2, atYears: 5 }, 1.5, 0.3],
    [{ shape: 2, atYears: 5 }, 30, 5],
    [{ shape: 1, atYears: 5 }, 30, 1],
    [{ shape: 0.5, atYears: 5 }, 20, 0.5],
    [{ shape: 0.5, atYears: 4 }, 0, 4],
  ])('%j at %d years is %d', (row, age, factor) => expect(ageFactor(row, age)).toBeCloseTo(factor, 9))
})

describe('what a motor has', () => {
  it.each<[MotorType, ...boolean[]]>([
    ['split-phase', false, false, true, true, false],
    ['capacitor-start', false, true, true, true, false],
    ['permanent-split', true, false, false, true, false],
    ['capacitor-start-run', true, true, true, true, false],
    ['electronic', false, false, false, false, true],
  ])('%s', (type, ...has) =>
    expect(
      (['run-capacitor', 'start-capacitor', 'start-switch', 'start-winding', 'electronics'] as const).map((needs) =>
        motorHas(type, needs),
      ),
    ).toEqual(has),
  )
  it('everything has what needs nothing', () => expect(motorHas('electronic', undefined)).toBe(true))
  it('cannot fail by what it has not', () => {
    const of = (motorType: MotorType) =>
      buildModel(pump({ nameplate: { volts: 230, motorType } })).hypotheses.flatMap(({ faults }) => faults)
    expect(of('permanent-split')).toContain('run-capacitor-failed')
    expect(of('permanent-split')).not.toContain('start-capacitor-failed')
    expect(of('split-phase')).not.toContain('run-capacitor-failed')
  })
})

describe('how likely each cause is before anything is known', () => {
  const plain = buildModel(pump())
  it('sums to one over no cause, single causes and pairs, each pair once', () => {
    expect(plain.hypotheses.reduce((sum, { prior: each }) => sum + each, 0)).toBeCloseTo(1, 12)
    const names = plain.hypotheses.map(({ faults }) => faults.join('+'))
    expect(new Set(names).size).toBe(names.length)
    const singles = plain.hypotheses.filter(({ faults }) => faults.length === 1).length - 1
    expect(plain.hypotheses.length).toBe(1 + singles + (singles * (singles - 1)) / 2)
    expect([...plain.priors]).toEqual(plain.hypotheses.map(({ prior: each }) => each))
    for (const [fault, list] of plain.holding)
      for (const h of list) expect(plain.hypotheses[h]?.faults).toContain(fault)
  })
  it('a part that was renewed is less likely, and what such a repair masks more', () => {
    const { lowered, raised, masks } = KIND_KNOWLEDGE.pool.replacement
    const after = buildModel(pump(), ['run-capacitor'])
    expect(odds(after, 'run-capacitor-failed') / odds(plain, 'run-capacitor-failed')).toBeCloseTo(lowered, 9)
    expect(odds(after, 'bearings-worn')).toBeCloseTo(odds(plain, 'bearings-worn'), 12)
    const [part, [masked]] = Object.entries(masks).find(([, list]) => list.length > 0) as [string, [string]]
    const masking = buildModel(pump(), [part])
    expect(odds(masking, masked) / odds(plain, masked)).toBeCloseTo(raised, 9)
  })
  it('what the shop learned multiplies a rate, also that of no fault', () => {
    const learned = buildModel(pump(), [], { 'bearings-worn': 3, 'nothing-wrong': 0.5 })
    expect(odds(learned, 'bearings-worn') / odds(plain, 'bearings-worn')).toBeCloseTo(3, 9)
    expect(odds(learned, 'nothing-wrong') / odds(plain, 'nothing-wrong')).toBeCloseTo(0.5, 9)
  })
  it('wear grows with the root of the hours, and chance does not', () => {
    const hours = (dutyHoursPerDay: number) => buildModel(pump({ installation: { dutyHoursPerDay } }))
    expect(odds(hours(2), 'bearings-worn') / odds(hours(8), 'bearings-worn')).toBeCloseTo(0.5, 9)
    expect(odds(hours(2), 'cooling-blocked') / odds(hours(8), 'cooling-blocked')).toBeCloseTo(1, 9)
  })
  it('a pair is chance upon chance, or follows from its first', () => {
    const { pairs, unnoticed } = KIND_KNOWLEDGE.pool
    const sum = 1 / (prior(plain, 'no-supply') / yearly('no-supply'))
    function yearly(fault: string): number {
      const row = KIND_KNOWLEDGE.pool.faults.find((each) => each.fault === fault)!
      return (row.per1000 / 1000) * ageFactor(row, 8)
    }
    const unlinked = prior(plain, 'no-supply', 'bearings-worn')
    expect(unlinked * sum).toBeCloseTo(yearly('no-supply') * yearly('bearings-worn') * unnoticed, 9)
    const { faults, given } = pairs.find(({ faults: two }) => two.every((fault) => prior(plain, fault) > 0))!
    const linked = plain.hypotheses.find(
      (one) => one.faults.length === 2 && faults.every((fault) => one.faults.includes(fault)),
    )!
    const [first, second] = faults
    expect(linked.prior * sum).toBeCloseTo(yearly(first) * yearly(second) * unnoticed + yearly(first) * given, 9)
  })
  it('sends back under warranty only what is under it', () => {
    const offers = (underWarranty?: boolean) =>
      buildModel(pump({ underWarranty })).actions.some(({ onlyUnderWarranty }) => onlyUnderWarranty)
    expect([offers(true), offers(false), offers()]).toEqual([true, false, false])
  })
})

describe('what the caller says (noisy-or)', () => {
  it('comes of any of the causes, or of none', () => {
    const model = buildModel(pump())
    const { complaintLeak: leaks, faults } = KIND_KNOWLEDGE.pool
    const complaintLeak = leaks['hums-no-start'] as number
    const says = complaintLikelihood(model, 'hums-no-start')
    const of = (fault: string) =>
      ((faults.find((row) => row.fault === fault)?.complaints ?? {}) as Record<string, number>)['hums-no-start'] ?? 0
    const at = (...names: string[]) =>
      says[model.hypotheses.findIndex((one) => one.faults.join() === names.join())] as number
    const [a, b] = ['motor-seized', 'no-supply']
    expect(of(a)).toBeGreaterThan(0)
    expect(at(a)).toBeCloseTo(1 - (1 - complaintLeak) * (1 - of(a)), 12)
    const pair = model.hypotheses.find((one) => one.faults.length === 2 && [a, b].every((f) => one.faults.includes(f)))!
    expect(at(...pair.faults)).toBeCloseTo(1 - (1 - complaintLeak) * (1 - of(a)) * (1 - of(b)), 12)
  })
})

describe('which check a finding speaks to', () => {
  const well: Pump = { kind: 'well-three-wire', nameplate: { volts: 230 } }
  const wellModel = buildModel(well)
  it('by part, by leads and their colours, by setup, by half', () => {
    const key = (finding: Parameters<typeof modelCheckOf>[1]) => modelCheckOf(wellModel, finding)?.key
    expect(key({ check: 'winding-resistance', leads: 'yellow-black', value: 3 })).toBe('winding-resistance:common-run')
    expect(key({ check: 'winding-resistance', leads: 'red-yellow', value: 3 })).toBe('winding-resistance:common-start')
    expect(key({ check: 'winding-resistance', value: 3 })).toBe('winding-resistance:common-run')
    const above = key({ check: 'winding-resistance', value: 3 })
    expect(key({ check: 'winding-resistance', half: 'motor', value: 3 })).not.toBe(above)
    expect(key({ check: 'winding-resistance', throughCable: false, value: 3 })).toBe(
      key({ check: 'winding-resistance', half: 'motor', value: 3 }),
    )
    expect(key({ check: 'insulation-resistance', setup: 'cable-alone', value: 3 })).toContain('cable-alone')
    expect(key({ check: 'insulation-resistance', value: 3 }), 'the usual setup of a well').toContain('motor-and-cable')
    expect(key({ check: 'no-such-check', value: 1 })).toBeUndefined()
    const sump = buildModel({ kind: 'sump', nameplate: { volts: 115 } })
    expect(modelCheckOf(sump, { check: 'no-such-check', value: 1 }), 'no outlet is meant by it').toBeUndefined()
  })
  it('by the half whose shaft was turned; the whole is no half, and no other check asks', () => {
    const key = (half?: 'whole' | 'motor' | 'pump-end') =>
      modelCheckOf(wellModel, { check: 'shaft-turn', outcome: 'tight', ...(half ? { half } : {}) })
    expect([key()?.half, key('whole')?.half, key('motor')?.half, key('pump-end')?.half]).toEqual([
      undefined,
      undefined,
      'motor',
      'pump-end',
    ])
    expect(key('motor')?.check).toBe('shaft-turn')
  })
  it('a cord’s terminals and its outlet are one supply', () => {
    const sump = buildModel({ kind: 'sump', nameplate: { volts: 115 } })
    expect(modelCheckOf(sump, { check: 'supply-voltage', value: 118 })?.check).toBe('outlet-voltage')
    expect(modelCheckOf(buildModel(pump()), { check: 'supply-voltage', value: 230 })?.check).toBe('supply-voltage')
  })
  it('two capacitors are two checks, and one that is alone needs no name', () => {
    const model = buildModel(pump())
    const key = (part?: string) =>
      modelCheckOf(model, { check: 'capacitance', value: 30, ...(part ? { part } : {}) })?.part
    expect([key('run-capacitor'), key('start-capacitor')]).toEqual(['run-capacitor', 'start-capacitor'])
    expect(key('impeller')).toBeUndefined()
    const alone = (motorType: MotorType) =>
      modelCheckOf(buildModel(pump({ nameplate: { volts: 230, motorType } })), { check: 'capacitance', value: 30 })
        ?.part
    expect(alone('permanent-split')).toBe('run-capacitor')
    expect(alone('capacitor-start')).toBe('start-capacitor')
    expect(key(), 'of two, the first of the table').toBe('run-capacitor')
  })
})

describe('how a finding weighs', () => {
  const model = buildModel(pump())
  const meg = (more: object) => {
    const finding = { check: 'insulation-resistance', value: 200, ...more }
    return modelCheckOf(model, finding)?.weigh(finding)
  }
  it('nothing, where insulation was read on fewer than 250 V, or an outcome stands where a figure belongs', () => {
    expect(meg({ testVolts: 249 })).toBeNull()
    expect(meg({ testVolts: 250 })).not.toBeNull()
    expect(meg({})).not.toBeNull()
    expect(meg({ outcome: 'sound' })).toBeNull()
  })
  it('nothing, where a look has no such outcome', () => {
    const look = { check: 'weep-hole', outcome: 'dripping' }
    expect(modelCheckOf(model, look)?.weigh(look)).not.toBeNull()
    expect(modelCheckOf(model, look)?.weigh({ ...look, outcome: 'purple' })).toBeNull()
    expect(modelCheckOf(model, look)?.weigh({ check: 'weep-hole' })).toBeNull()
  })
  it('for the leaking seal against all else, where the weep hole drips', () => {
    const look = { check: 'weep-hole', outcome: 'dripping' }
    const weights = modelCheckOf(model, look)?.weigh(look) as Float64Array
    const of = (fault: string) => weights[model.hypotheses.findIndex(({ faults }) => faults.join() === fault)] as number
    expect(of('shaft-seal-leaking')).toBeGreaterThan(10 * of('no-supply'))
    expect(of('nothing-wrong')).toBeCloseTo(of('no-supply'), 12)
  })
  it('a live check tells of nothing else where there is no power', () => {
    const amps = { check: 'running-current', value: 7 }
    const check = modelCheckOf(model, amps)!
    const count = check.states.length
    const row = (...faults: string[]) => {
      const h = model.hypotheses.findIndex(
        (one) => faults.every((f) => one.faults.includes(f)) && one.faults.length === faults.length,
      )
      return [...check.rows.slice(h * count, (h + 1) * count)]
    }
    expect(row('no-supply', 'bearings-worn')).toEqual(row('no-supply'))
    expect(row('bearings-worn')).not.toEqual(row('no-supply'))
  })
})
