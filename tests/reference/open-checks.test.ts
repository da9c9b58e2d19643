import { describe, expect, it } from 'vitest'
import { runByName } from '#core/workings/registry'
import openChecks from './open-checks.json'

/**
 * Cases from published standards, handbook tables and reference programs (open-checks.json carries the source of each).
 * A value passes within max(rel × |expected|, abs), whichever the case states.
 */
interface Case { id: string; calc: string; given: Record<string, unknown>; expect: Record<string, unknown>; tolerance: { rel?: number; abs?: number }; source: string }
const cases = openChecks as unknown as Case[]
const of = (calc: string) => cases.filter((each) => each.calc === calc).map((each) => [each.id, each.source, each] as const)
const run = (name: string, input: object) => runByName(name, input) as Record<string, number & string>

function near({ tolerance }: Case, got: unknown, expected: unknown): void {
  if (typeof expected !== 'number') return expect(got).toEqual(expected)
  const allowed = Math.max((tolerance.rel ?? 0) * Math.abs(expected), tolerance.abs ?? 0)
  expect(Math.abs((got as number) - expected)).toBeLessThanOrEqual(allowed)
}

/** Solid copper by gauge: ASTM B258 diameter, IEC 60028 resistivity at 20 °C. */
function copperOhmPerKm(awg: number): number {
  const millimetres = 0.127 * 92 ** ((36 - awg) / 39)
  return 1000 / 58 / ((Math.PI / 4) * millimetres ** 2)
}

describe('conductors', () => {
  it.each(of('copper-resistance'))('%s: %s', (_, __, each) => {
    const { ohms } = run('resistance-corrected', { ohms: copperOhmPerKm(Number(each.given.awg)), celsius: 20, toCelsius: each.given.temperature_C })
    near(each, ohms, each.expect.ohm_per_km)
  })
})

describe('supply', () => {
  it.each(of('voltage-window'))('%s: %s', (_, __, each) => {
    const got = run('supply-judgement', { nameplateVolts: each.given.rated_V, restVolts: each.given.measured_V_running })
    near(each, got.lowVolts, each.expect.min_V)
    near(each, got.highVolts, each.expect.max_V)
    expect(got.verdict === 'failed').toBe(!each.expect.within)
  })
})

describe('capacitors', () => {
  it.each(of('capacitance-from-amps-volts'))('%s: %s', (_, __, each) => near(each, run('capacitance-from-current', { amps: each.given.current_A, volts: each.given.voltage_V, hertz: each.given.frequency_Hz }).microfarads, each.expect.capacitance_uF))

  it.each(of('capacitor-tolerance'))('%s: %s', (_, __, each) => {
    const got = run('capacitor-judgement', { role: 'run', ratedMicrofarads: each.given.rated_uF, tolerancePercent: each.given.tolerance_plus_percent, measuredMicrofarads: each.given.measured_uF })
    near(each, got.lowMicrofarads, each.expect.min_uF)
    near(each, got.highMicrofarads, each.expect.max_uF)
    near(each, got.deviationPercent, each.expect.deviation_percent)
    expect(got.verdict !== 'failed').toBe(each.expect.within)
  })

  it.each(of('start-capacitor-range'))('%s: %s', (_, __, each) => {
    const range = String(each.given.marked_range_uF).split('-').map(Number)
    const got = run('capacitor-judgement', { role: 'start', ratedRangeMicrofarads: range, measuredMicrofarads: each.given.measured_uF })
    expect(got.verdict !== 'failed').toBe(each.expect.within)
    near(each, run('capacitor-judgement', { role: 'start', ratedMicrofarads: each.expect.rated_uF, measuredMicrofarads: each.given.measured_uF }).highMicrofarads, each.expect.max_from_rule_uF)
  })

  it.each(of('bleed-down'))('%s: %s', (_, __, each) => {
    const got = run('capacitor-bleed', { microfarads: each.given.capacitance_uF, ohms: each.given.resistance_ohm, volts: each.given.start_V, safeVolts: each.given.end_V })
    near(each, got.seconds, each.expect.time_s)
    near(each, got.joules, each.expect.stored_energy_J)
  })

  it.each(of('max-bleeder'))('%s: %s', (_, __, each) => {
    const volts = Math.SQRT2 * (each.given.service_V_rms as number)
    near(each, volts, each.expect.peak_V)
    near(each, run('capacitor-bleed', { microfarads: each.given.capacitance_uF, ohms: each.expect.max_resistance_ohm, volts, safeVolts: each.given.residual_V }).seconds, each.given.time_s)
  })
})

describe('windings', () => {
  it.each(of('identify-leads'))('%s: %s', (_, __, each) => {
    const got = run('three-leads', { ohms: each.given.pair_ohm as object, tolerancePercent: each.given.max_mismatch_percent })
    near(each, got.sumErrorPercent, each.expect.mismatch_percent)
    if (!each.expect.consistent) return expect(got).not.toHaveProperty('common')
    expect(got).toMatchObject({ common: each.expect.common, run: each.expect.run, start: each.expect.start })
    near(each, got.runOhms, each.expect.run_ohm)
    near(each, got.startOhms, each.expect.start_ohm)
  })

  it.each(of('open-pattern'))('%s: %s', (_, __, each) => {
    const got = run('three-leads', { ohms: each.given.pair_ohm as object })
    expect(got.openLead).toBe(each.expect.open_lead)
    expect(got).not.toHaveProperty('common')
    near(each, got.remainingOhms, each.expect.remaining_pair_ohm)
  })

  it.each(of('correct-to-temperature'))('%s: %s', (_, __, each) => near(each, run('resistance-corrected', { ohms: each.given.resistance_ohm, celsius: each.given.at_C, toCelsius: each.given.to_C }).ohms, each.expect.resistance_ohm))

  it.each(of('subtract-cable'))('%s: %s', (_, __, each) => {
    const loop = (2 * (each.given.one_way_length_ft as number) * 0.3048 * copperOhmPerKm(12)) / 1000
    near(each, loop, each.expect.cable_loop_ohm)
    const got = run('three-leads', { ohms: each.given.measured_at_top_ohm as object, cableOhms: loop })
    const motor = each.expect.motor_ohm as Record<string, number>
    near(each, got.runOhms, motor['yellow-black'])
    near(each, got.startOhms, motor['yellow-red'])
  })
})

describe('insulation', () => {
  it.each(of('correct-to-40C'))('%s: %s', (_, __, each) => near(each, run('insulation-corrected', { megohms: each.given.measured_Mohm, celsius: each.given.winding_C }).megohms, each.expect.at_40C_Mohm))

  it.each(of('minimum-below-1kV'))('%s: %s', (_, __, each) => {
    const got = run('insulation-judgement', { megohms: each.given.measured_Mohm, setup: 'surface-motor', celsius: each.given.winding_C })
    near(each, got.megohmsAt40, each.expect.at_40C_Mohm)
    near(each, got.lowMegohms, each.expect.minimum_at_40C_Mohm)
    expect(got.verdict !== 'failed').toBe(each.expect.acceptable)
  })

  it.each(of('implied-motor-insulation'))('%s: %s', (_, __, each) => {
    const ask = () => run('insulation-split', { totalMegohms: each.given.total_Mohm, cableMegohms: each.given.cable_alone_Mohm })
    if (each.expect.consistent) near(each, ask().motorMegohms, each.expect.implied_motor_Mohm)
    else expect(ask).toThrow(/cableMegohms/)
  })
})

describe('the set', () => {
  it('leaves no case of these topics unread', () => {
    const read = ['copper-resistance', 'voltage-window', 'capacitance-from-amps-volts', 'capacitor-tolerance', 'start-capacitor-range', 'bleed-down', 'max-bleeder', 'identify-leads', 'open-pattern', 'correct-to-temperature', 'subtract-cable', 'correct-to-40C', 'minimum-below-1kV', 'implied-motor-insulation', 'naive-bayes']
    expect(cases.filter(({ calc }) => !read.includes(calc)).map(({ id }) => id)).toEqual([])
  })
})
