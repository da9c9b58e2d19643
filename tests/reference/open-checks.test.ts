import { describe, expect, it } from 'vitest'
import { gaugeArea, gaugeMillimetres, ohmsPerKilometre } from '#core/electrical/conductor'
import { cases, near, of, run } from './open-cases'

const METRES_PER_FOOT = 0.3048
/** Ohms per thousand feet as ohms per kilometre. */
const perKilometre = (ohmsPerThousandFeet: unknown) => (ohmsPerThousandFeet as number) / METRES_PER_FOOT
const metres = (feet: unknown) => (feet as number) * METRES_PER_FOOT

describe('conductors', () => {
  it.each(of('copper-resistance'))('%s: %s', (_, __, each) => {
    const { ohms } = run('conductor-resistance', {
      awg: each.given.awg,
      lengthMetres: 1000,
      celsius: each.given.temperature_C,
    })
    near(each, ohms, each.expect.ohm_per_km)
  })

  it.each(of('awg-geometry'))('%s: %s', (_, __, each) => {
    near(each, gaugeMillimetres(each.given.awg as string), each.expect.diameter_mm)
    near(each, gaugeArea(each.given.awg as string), each.expect.area_mm2)
  })

  it.each(of('table-resistance-75C'))('%s: %s', (_, __, each) => {
    for (const [key, value] of Object.entries(each.expect)) {
      const [, awg, form] = /^awg_(\d+)_(solid|stranded)/.exec(key) as unknown as [string, string, string]
      near(
        each,
        (run('conductor-resistance', { awg, stranded: form === 'stranded', lengthMetres: 1000, celsius: 75 })
          .ohms as number) * METRES_PER_FOOT,
        value,
      )
    }
  })

  it.each(of('voltage-drop'))('%s: %s', (_, __, each) => {
    const got = run('voltage-drop', {
      sourceVolts: each.given.source_V,
      amps: each.given.current_A,
      ohmsPerKilometre: perKilometre(each.given.conductor_ohm_per_kft),
      oneWayMetres: metres(each.given.one_way_length_ft),
    })
    near(each, got.dropVolts, each.expect.drop_V)
    near(each, got.dropPercent, each.expect.drop_percent)
    near(each, got.motorVolts, each.expect.motor_V)
  })

  it.each(of('voltage-drop-phasor'))('%s: %s', (_, __, each) => {
    const got = run('voltage-drop', {
      sourceVolts: each.given.source_V,
      amps: each.given.current_A,
      powerFactor: each.given.motor_power_factor_lagging,
      ohmsPerKilometre: perKilometre(each.given.conductor_ohm_per_kft),
      oneWayMetres: metres(each.given.one_way_length_ft),
    })
    near(each, got.dropVolts, each.expect.drop_V)
    near(each, got.motorVolts, each.expect.motor_V)
  })

  it.each(of('max-one-way-length'))('%s: %s', (_, __, each) => {
    near(
      each,
      run('longest-run', {
        sourceVolts: each.given.source_V,
        amps: each.given.current_A,
        dropPercent: each.given.allowed_drop_percent,
        ohmsPerKilometre: perKilometre(each.given.conductor_ohm_per_kft),
      }).oneWayMetres,
      each.expect.max_one_way_m,
    )
  })

  it.each(of('starting-voltage'))('%s: %s', (_, __, each) => {
    const got = run('starting-voltage', {
      sourceVolts: each.given.source_V,
      ratedVolts: each.given.motor_rated_V,
      lockedRotorAmps: each.given.locked_rotor_A_at_rated_V,
      lockedRotorPowerFactor: each.given.locked_rotor_power_factor,
      ohmsPerKilometre: perKilometre(each.given.conductor_ohm_per_kft),
      oneWayMetres: metres(each.given.one_way_length_ft),
    })
    near(each, got.motorVolts, each.expect.motor_V_at_start)
    near(each, got.startAmps, each.expect.start_current_A)
    near(each, got.torqueFraction, each.expect.start_torque_fraction_of_rated_voltage)
  })

  it.each(of('motor-branch-conductor'))('%s: %s', (_, __, each) => {
    const horsepower = { '1-1/2': 1.5, '2': 2, '1/2': 0.5 }[each.given.hp as string]
    const got = run('full-load-current', { horsepower, volts: each.given.volts, phases: each.given.phase })
    near(each, got.amps, each.expect.full_load_current_A)
    near(each, got.conductorAmps, each.expect.min_ampacity_A)
    expect(got.conductorAwg).toBe(each.expect.smallest_awg_by_ampacity)
  })

  it.each(of('locked-rotor-code'))('%s: %s', (_, __, each) => {
    const got = run('locked-rotor-code', {
      codeLetter: each.given.code_letter,
      horsepower: each.given.hp,
      volts: each.given.volts,
      phases: each.given.phase,
    })
    near(each, got.kvaPerHorsepowerLow, each.expect.kva_per_hp_min)
    near(each, got.kvaPerHorsepowerBelow, each.expect.kva_per_hp_below)
    near(each, got.lowAmps, each.expect.locked_rotor_A_min)
    near(each, got.highAmps, each.expect.locked_rotor_A_max)
  })
})

describe('motors', () => {
  it.each(of('double-revolving-field'))('%s: %s', (_, __, each) => {
    const g = each.given
    const got = run('motor-circuit', {
      volts: g.voltage_V,
      hertz: g.frequency_Hz,
      poles: g.poles,
      r1Ohms: g.R1_ohm,
      x1Ohms: g.X1_ohm,
      r2Ohms: g.R2_ohm,
      x2Ohms: g.X2_ohm,
      xmOhms: g.Xm_ohm,
      slip: g.slip,
      frictionWatts: g.rotational_loss_W,
    })
    const names = {
      current_A: 'inputAmps',
      power_factor: 'powerFactor',
      input_W: 'inputWatts',
      airgap_forward_W: 'airGapForwardWatts',
      airgap_backward_W: 'airGapBackwardWatts',
      developed_torque_Nm: 'developedTorqueNewtonMetres',
      speed_rpm: 'speedRpm',
      output_W: 'shaftWatts',
      shaft_torque_Nm: 'shaftTorqueNewtonMetres',
      efficiency: 'efficiency',
    }
    for (const [key, value] of Object.entries(each.expect)) near(each, got[names[key as keyof typeof names]], value)
  })

  it.each(of('capacitor-run-two-winding'))('%s: %s', (_, __, each) => {
    const g = each.given
    const got = run('motor-circuit', {
      volts: g.voltage_V,
      hertz: g.frequency_Hz,
      poles: g.poles,
      r1Ohms: g.main_R1_ohm,
      x1Ohms: g.main_X1_ohm,
      r2Ohms: g.R2_ohm,
      x2Ohms: g.X2_ohm,
      xmOhms: g.Xm_ohm,
      slip: g.slip,
      auxOhms: g.aux_R1_ohm,
      auxReactanceOhms: g.aux_X1_ohm,
      turnsRatio: g.turns_ratio_aux_to_main,
      runMicrofarads: g.run_capacitor_uF,
    })
    const names = {
      main_current_A: 'mainAmps',
      aux_current_A: 'auxAmps',
      line_current_A: 'inputAmps',
      power_factor: 'powerFactor',
      input_W: 'inputWatts',
      mechanical_W: 'shaftWatts',
      developed_torque_Nm: 'developedTorqueNewtonMetres',
      capacitor_V: 'capacitorVolts',
      speed_rpm: 'speedRpm',
    }
    for (const [key, value] of Object.entries(each.expect)) near(each, got[names[key as keyof typeof names]], value)
  })

  it.each(of('start-torque-with-weak-capacitor'))('%s: %s', (_, __, each) => {
    const g = each.given
    const [main, aux] = [g.main_ohm, g.auxiliary_ohm] as [number, number][]
    const got = run('motor-start', {
      volts: g.voltage_V,
      hertz: g.frequency_Hz,
      mainOhms: main?.[0],
      mainReactanceOhms: main?.[1],
      auxOhms: aux?.[0],
      auxReactanceOhms: aux?.[1],
      ratedMicrofarads: g.rated_uF,
      measuredMicrofarads: g.measured_uF,
    }) as unknown as { torqueRatio: number; rated: Record<string, number>; measured: Record<string, number> }
    near(each, got.torqueRatio, each.expect.torque_ratio)
    near(each, got.rated.auxAmps, each.expect.aux_current_rated_A)
    near(each, got.measured.auxAmps, each.expect.aux_current_measured_A)
    near(each, got.rated.lineAmps, each.expect.line_current_rated_A)
    near(each, got.measured.lineAmps, each.expect.line_current_measured_A)
    near(each, got.rated.angleDegrees, each.expect.angle_rated_deg)
    near(each, got.measured.angleDegrees, each.expect.angle_measured_deg)
    near(each, got.measured.capacitorVolts, each.expect.capacitor_V_measured)
  })

  it.each(of('quadrature-capacitor'))('%s: %s', (_, __, each) => {
    const [main, aux] = [each.given.main_ohm, each.given.auxiliary_ohm] as [number, number][]
    const got = run('start-capacitor', {
      mainOhms: main?.[0],
      mainReactanceOhms: main?.[1],
      auxOhms: aux?.[0],
      auxReactanceOhms: aux?.[1],
      hertz: each.given.frequency_Hz,
    })
    near(each, got.microfarads, each.expect.capacitance_uF)
    near(each, got.capacitiveReactanceOhms, each.expect.capacitive_reactance_ohm)
  })

  it.each(of('slip-torque'))('%s: %s', (_, __, each) => {
    const got = run('slip-torque', {
      hertz: each.given.frequency_Hz,
      poles: each.given.poles,
      rpm: each.given.speed_rpm,
      shaftWatts: each.given.shaft_power_W,
    })
    near(each, got.synchronousRpm, each.expect.synchronous_rpm)
    near(each, got.slip, each.expect.slip)
    near(each, got.torqueNewtonMetres, each.expect.shaft_torque_Nm)
  })
})

describe('winding heat', () => {
  it.each(of('resistance-method-temperature'))('%s: %s', (_, __, each) => {
    const got = run('winding-temperature', {
      coldOhms: each.given.cold_ohm,
      coldCelsius: each.given.cold_C,
      hotOhms: each.given.hot_ohm,
      ambientCelsius: each.given.coolant_C,
      thermalClass: each.given.thermal_class,
    })
    near(each, got.hotCelsius, each.expect.winding_C)
    near(each, got.riseKelvin, each.expect.rise_K)
    if (each.expect.rise_limit_K === undefined) return
    near(each, got.limitKelvin, each.expect.rise_limit_K)
    expect(got.verdict !== 'failed').toBe(each.expect.within_limit)
  })

  it.each(of('cooling'))('%s: %s', (_, __, each) => {
    const g = each.given as Record<string, number>
    const got = run('winding-cooling', {
      ambientCelsius: g.ambient_C,
      targetCelsius: g.target_C,
      readings: [1, 2].map((k) => ({ seconds: 60 * (g[`time_${k}_min`] as number), celsius: g[`temperature_${k}_C`] })),
    })
    near(each, (got.timeConstantSeconds as number) / 60, each.expect.time_constant_min)
    near(each, got.celsiusAtStop, each.expect.temperature_at_stop_C)
    near(each, (got.secondsToTarget as number) / 60, each.expect.time_to_target_min)
  })

  it.each(of('back-extrapolation'))('%s: %s', (_, __, each) => {
    const readings = (each.given.readings_s_ohm as [number, number][]).map(([seconds, ohms]) => ({ seconds, ohms }))
    const got = run('winding-cooling', {
      ambientCelsius: each.given.ambient_C,
      coldOhms: each.given.cold_ohm,
      coldCelsius: each.given.cold_C,
      readings,
    })
    near(each, got.celsiusAtStop, each.expect.temperature_at_shutdown_C)
    near(each, got.timeConstantSeconds, each.expect.time_constant_s)
  })

  it.each(of('locked-rotor-heating'))('%s: %s', (_, __, each) => {
    const got = run('stall-heating', {
      amps: each.given.current_A,
      wireMillimetres: each.given.wire_diameter_mm,
      startCelsius: each.given.start_C,
      limitCelsius: each.given.limit_C,
    })
    near(each, got.kelvinPerSecond, each.expect.rate_at_20C_K_per_s)
    near(each, got.seconds, each.expect.time_to_limit_s)
  })
})

describe('supply', () => {
  it.each(of('voltage-window'))('%s: %s', (_, __, each) => {
    const got = run('supply-judgement', {
      nameplateVolts: each.given.rated_V,
      restVolts: each.given.measured_V_running,
    })
    near(each, got.lowVolts, each.expect.min_V)
    near(each, got.highVolts, each.expect.max_V)
    expect(got.verdict === 'failed').toBe(!each.expect.within)
  })
})

describe('capacitors', () => {
  it.each(of('capacitance-from-amps-volts'))('%s: %s', (_, __, each) =>
    near(
      each,
      run('capacitance-from-current', {
        amps: each.given.current_A,
        volts: each.given.voltage_V,
        hertz: each.given.frequency_Hz,
      }).microfarads,
      each.expect.capacitance_uF,
    ),
  )

  it.each(of('capacitor-tolerance'))('%s: %s', (_, __, each) => {
    const got = run('capacitor-judgement', {
      role: 'run',
      ratedMicrofarads: each.given.rated_uF,
      tolerancePercent: each.given.tolerance_plus_percent,
      measuredMicrofarads: each.given.measured_uF,
    })
    near(each, got.lowMicrofarads, each.expect.min_uF)
    near(each, got.highMicrofarads, each.expect.max_uF)
    near(each, got.deviationPercent, each.expect.deviation_percent)
    expect(got.verdict !== 'failed').toBe(each.expect.within)
  })

  it.each(of('start-capacitor-range'))('%s: %s', (_, __, each) => {
    const range = String(each.given.marked_range_uF).split('-').map(Number)
    const got = run('capacitor-judgement', {
      role: 'start',
      ratedRangeMicrofarads: range,
      measuredMicrofarads: each.given.measured_uF,
    })
    expect(got.verdict !== 'failed').toBe(each.expect.within)
    near(
      each,
      run('capacitor-judgement', {
        role: 'start',
        ratedMicrofarads: each.expect.rated_uF,
        measuredMicrofarads: each.given.measured_uF,
      }).highMicrofarads,
      each.expect.max_from_rule_uF,
    )
  })

  it.each(of('bleed-down'))('%s: %s', (_, __, each) => {
    const got = run('capacitor-bleed', {
      microfarads: each.given.capacitance_uF,
      ohms: each.given.resistance_ohm,
      volts: each.given.start_V,
      safeVolts: each.given.end_V,
    })
    near(each, got.seconds, each.expect.time_s)
    near(each, got.joules, each.expect.stored_energy_J)
  })

  it.each(of('max-bleeder'))('%s: %s', (_, __, each) => {
    const volts = Math.SQRT2 * (each.given.service_V_rms as number)
    near(each, volts, each.expect.peak_V)
    near(
      each,
      run('capacitor-bleed', {
        microfarads: each.given.capacitance_uF,
        ohms: each.expect.max_resistance_ohm,
        volts,
        safeVolts: each.given.residual_V,
      }).seconds,
      each.given.time_s,
    )
  })
})

describe('capacitors together', () => {
  it.each(of('capacitor-combination'))('%s: %s', (_, __, each) => {
    const got = run('capacitor-combination', {
      connection: each.given.connection,
      microfarads: each.given.capacitances_uF,
      volts: each.given.applied_V,
    }) as unknown as { microfarads: number; voltsEach?: number[] }
    near(each, got.microfarads, each.expect.total_uF)
    for (const [index, volts] of ((each.expect.voltages_V as number[] | undefined) ?? []).entries())
      near(each, got.voltsEach?.[index], volts)
  })
})

describe('windings', () => {
  it.each(of('identify-leads'))('%s: %s', (_, __, each) => {
    const got = run('three-leads', {
      ohms: each.given.pair_ohm as object,
      tolerancePercent: each.given.max_mismatch_percent,
    })
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

  it.each(of('correct-to-temperature'))('%s: %s', (_, __, each) =>
    near(
      each,
      run('resistance-corrected', {
        ohms: each.given.resistance_ohm,
        celsius: each.given.at_C,
        toCelsius: each.given.to_C,
      }).ohms,
      each.expect.resistance_ohm,
    ),
  )

  it.each(of('subtract-cable'))('%s: %s', (_, __, each) => {
    const loop = (2 * (each.given.one_way_length_ft as number) * 0.3048 * ohmsPerKilometre({ awg: '12' }, 20)) / 1000
    near(each, loop, each.expect.cable_loop_ohm)
    const got = run('three-leads', { ohms: each.given.measured_at_top_ohm as object, cableOhms: loop })
    const motor = each.expect.motor_ohm as Record<string, number>
    near(each, got.runOhms, motor['yellow-black'])
    near(each, got.startOhms, motor['yellow-red'])
  })
})

describe('insulation', () => {
  it.each(of('correct-to-40C'))('%s: %s', (_, __, each) =>
    near(
      each,
      run('insulation-corrected', { megohms: each.given.measured_Mohm, celsius: each.given.winding_C }).megohms,
      each.expect.at_40C_Mohm,
    ),
  )

  it.each(of('minimum-below-1kV'))('%s: %s', (_, __, each) => {
    const got = run('insulation-judgement', {
      megohms: each.given.measured_Mohm,
      setup: 'surface-motor',
      celsius: each.given.winding_C,
    })
    near(each, got.megohmsAt40, each.expect.at_40C_Mohm)
    near(each, got.lowMegohms, each.expect.minimum_at_40C_Mohm)
    expect(got.verdict !== 'failed').toBe(each.expect.acceptable)
  })

  it.each(of('implied-motor-insulation'))('%s: %s', (_, __, each) => {
    const ask = () =>
      run('insulation-split', { totalMegohms: each.given.total_Mohm, cableMegohms: each.given.cable_alone_Mohm })
    if (each.expect.consistent) near(each, ask().motorMegohms, each.expect.implied_motor_Mohm)
    else expect(ask).toThrow(/cableMegohms/)
  })
})

describe('insulation that climbs', () => {
  it.each(of('pi-dar'))('%s: %s', (_, __, each) => {
    const g = each.given
    const got = run('absorption', {
      megohms30s: g.r_30s_Mohm,
      megohms60s: g.r_60s_Mohm,
      megohms600s: g.r_600s_Mohm,
      thermalClass: g.thermal_class,
    })
    near(each, got.absorptionRatio, each.expect.dielectric_absorption_ratio)
    near(each, got.polarizationIndex, each.expect.polarization_index)
    near(each, got.indexMinimum, each.expect.pi_minimum_class_F)
    expect(got.verdict === 'sound').toBe(each.expect.pi_ok)
  })

  it.each(of('implied-motor-insulation-range'))('%s: %s', (_, __, each) => {
    const got = run('insulation-split', {
      totalMegohms: each.given.total_Mohm,
      cableMegohms: each.given.cable_alone_Mohm,
      readingErrorPercent: each.given.reading_error_percent,
    })
    near(each, got.motorMegohms, each.expect.implied_motor_Mohm)
    near(each, got.lowestMegohms, each.expect.lowest_Mohm)
    near(each, got.highestMegohms, each.expect.highest_Mohm)
  })
})

describe('the set', () => {
  it('leaves no case of these topics unread', () => {
    const read = [
      'awg-geometry',
      'back-extrapolation',
      'bleed-down',
      'capacitance-from-amps-volts',
      'capacitor-combination',
      'capacitor-run-two-winding',
      'capacitor-tolerance',
      'cooling',
      'copper-resistance',
      'correct-to-40C',
      'correct-to-temperature',
      'double-revolving-field',
      'envelope-diagnosis',
      'identify-leads',
      'implied-motor-insulation',
      'implied-motor-insulation-range',
      'locked-rotor-code',
      'locked-rotor-heating',
      'max-bleeder',
      'max-one-way-length',
      'minimum-below-1kV',
      'motor-branch-conductor',
      'naive-bayes',
      'open-pattern',
      'pi-dar',
      'quadrature-capacitor',
      'resistance-method-temperature',
      'slip-torque',
      'start-capacitor-range',
      'start-torque-with-weak-capacitor',
      'starting-voltage',
      'subtract-cable',
      'table-resistance-75C',
      'voltage-drop',
      'voltage-drop-phasor',
      'voltage-window',
      // In water-checks.test.ts.
      'noisy-or',
      'affinity',
      'barometric-pressure',
      'boundary-dimensions',
      'darcy-colebrook',
      'defect-frequencies',
      'gravity-pipe-flow',
      'hazen-williams',
      'l10-life',
      'max-suction-lift',
      'minimum-tank',
      'minor-losses',
      'npsh-available',
      'operating-point',
      'parallel-pipes',
      'pipe-drain-back',
      'pit-draw-test',
      'power-efficiency',
      'schedule-cost',
      'stages',
      'sump-cycle',
      'tank-drawdown',
      'tdh',
      'turnover',
      'two-speed-by-affinity',
      'two-unequal-pumps',
      'water-properties',
    ]
    expect(cases.filter(({ calc }) => !read.includes(calc)).map(({ id }) => id)).toEqual([])
  })
})
