import { describe, expect, it } from 'vitest'
import { colebrook } from '#core/hydraulics/pipe'
import { combine, operatingPoint, pumpCurve } from '#core/hydraulics/pump-curve'
import { atmosphereKpa, metresOf, waterProperties } from '#core/hydraulics/water'
import { near, of, run } from './open-cases'

/** The cases of water, tanks, pits, bearings and energy, each against the source that stands in it. */
const FOOT = 0.3048
const INCH = 25.4
const LITRE_PER_SECOND = 0.0630901964
const PSI = 6.894757
const GALLON = 3.785411784
const celsius = (fahrenheit: unknown) => ((fahrenheit as number) - 32) / 1.8
const feet = (metres: unknown) => (metres as number) / FOOT
const gpm = (litresPerSecond: unknown) => (litresPerSecond as number) / LITRE_PER_SECOND
const flow = (gallons: unknown) => (gallons as number) * LITRE_PER_SECOND
type Given = Record<string, number>

const pipe = (g: Given, more: object = {}) => ({
  insideMillimetres: (g.inside_diameter_in as number) * INCH,
  lengthMetres: ((g.length_ft ?? g.pipe_length_ft ?? 0) as number) * FOOT,
  method: 'hazen-williams' as const,
  hazenWilliamsC: g.c_factor,
  ...more,
})

describe('pipes', () => {
  it.each(of('darcy-colebrook'))('%s: %s', (_, __, each) => {
    const g = each.given as Given
    const velocity = flow(g.flow_gpm) / 1000 / ((Math.PI / 4) * ((g.inside_diameter_in as number) * 0.0254) ** 2)
    near(each, feet(velocity), each.expect.velocity_ft_s)
    const reynolds =
      (velocity * (g.inside_diameter_in as number) * 0.0254) / ((g.kinematic_viscosity_ft2_s as number) * FOOT ** 2)
    near(each, reynolds, each.expect.reynolds)
    const factor = colebrook(reynolds, ((g.roughness_ft as number) * 12) / (g.inside_diameter_in as number))
    near(each, factor, each.expect.friction_factor_colebrook)
    // The working goes by temperature: at the one whose kinematic viscosity this is, its head is the case's.
    const viscosity = (t: number) => waterProperties(t).viscosityPascalSeconds / waterProperties(t).densityKgPerM3
    const wanted = (g.kinematic_viscosity_ft2_s as number) * FOOT ** 2
    let [low, high] = [0.1, 60]
    for (let turn = 0; turn < 60; turn++) {
      const middle = (low + high) / 2
      if (viscosity(middle) > wanted) low = middle
      else high = middle
    }
    const got = run('pipe-friction', {
      ...pipe(g, {
        method: 'darcy',
        roughnessMillimetres: (g.roughness_ft as number) * FOOT * 1000,
        celsius: low,
        hazenWilliamsC: undefined,
      }),
      flowLitresPerSecond: flow(g.flow_gpm),
    })
    near(each, feet(got.headMetres), each.expect.head_loss_ft)
  })

  it.each(of('hazen-williams'))('%s: %s', (_, __, each) => {
    near(
      each,
      feet(
        run('pipe-friction', { ...pipe(each.given as Given), flowLitresPerSecond: flow(each.given.flow_gpm) })
          .headMetres,
      ),
      each.expect.head_loss_ft,
    )
  })

  it.each(of('minor-losses'))('%s: %s', (_, __, each) => {
    const k = (each.given.K_values as number[]).reduce((sum, value) => sum + value, 0)
    const got = run('pipe-friction', {
      insideMillimetres: (each.given.inside_diameter_in as number) * INCH,
      lengthMetres: 0,
      method: 'darcy',
      minorLossK: k,
      flowLitresPerSecond: flow(each.given.flow_gpm),
    })
    near(each, feet(got.velocityMetresPerSecond), each.expect.velocity_ft_s)
    near(each, feet(got.headMetres), each.expect.head_loss_ft)
  })

  it.each(of('tdh'))('%s: %s', (_, __, each) => {
    const g = each.given as Given
    const got = run('total-head', {
      liftMetres: (g.vertical_lift_ft as number) * FOOT,
      pressureKpa: (g.delivery_pressure_psi as number) * PSI,
      flowLitresPerSecond: flow(g.flow_gpm),
      pipes: [pipe(g, { lengthMetres: ((g.pipe_length_ft as number) + (g.fittings_equivalent_ft as number)) * FOOT })],
    })
    near(each, feet(got.frictionMetres), each.expect.friction_ft)
    near(each, feet(got.headMetres), each.expect.tdh_ft)
  })

  it.each(of('parallel-pipes'))('%s: %s', (_, __, each) => {
    const [a, b] = [each.given.branch_a, each.given.branch_b] as [Given, Given]
    const got = run('pipe-split', {
      flowLitresPerSecond: flow(each.given.total_flow_gpm),
      branches: [pipe(a), pipe(b)],
    }) as unknown as { flowsLitresPerSecond: number[]; headMetres: number }
    near(each, gpm(got.flowsLitresPerSecond[0]), each.expect.branch_a_gpm)
    near(each, gpm(got.flowsLitresPerSecond[1]), each.expect.branch_b_gpm)
    near(each, feet(got.headMetres), each.expect.head_loss_ft)
  })

  it.each(of('gravity-pipe-flow'))('%s: %s', (_, __, each) => {
    const g = each.given as Given
    // A fall through a pipe is a pump of that head and no slope: the flow at which friction eats it all.
    const steep = pumpCurve({
      points: [
        { flowLitresPerSecond: 0, headMetres: (g.available_head_ft as number) * FOOT },
        { flowLitresPerSecond: 1e6, headMetres: (g.available_head_ft as number) * FOOT - 1e-6 },
      ],
    })
    near(
      each,
      gpm(operatingPoint({ ...steep, runoutLitresPerSecond: 100 }, 0, [pipe(g)]).flowLitresPerSecond),
      each.expect.flow_gpm,
    )
  })
})

describe('pumps', () => {
  it.each(of('operating-point'))('%s: %s', (_, __, each) => {
    const g = each.given as unknown as Given & { pump_curve_gpm_ft: [number, number][] }
    const points = g.pump_curve_gpm_ft.map(([q, h]) => ({ flowLitresPerSecond: flow(q), headMetres: h * FOOT }))
    const got = run('operating-point', {
      pump: { points, parallel: g.pumps, speedRatio: g.speed_ratio },
      staticMetres: (g.static_lift_ft as number) * FOOT,
      pipes: [pipe(g, { minorLossK: g.minor_loss_K })],
    })
    near(each, gpm(got.flowLitresPerSecond), each.expect.flow_gpm)
    near(each, feet(got.headMetres), each.expect.head_ft)
    if (each.expect.flow_per_pump_gpm !== undefined)
      near(each, gpm((got.flowLitresPerSecond as number) / (g.pumps as number)), each.expect.flow_per_pump_gpm)
  })

  it.each(of('two-unequal-pumps'))('%s: %s', (_, __, each) => {
    const {
      pump_1_H_ft: one,
      pump_2_H_ft: two,
      system_ft: system,
    } = each.given as unknown as Record<string, { a: number; b: number; static: number; k: number }>
    const curve = ({ a, b }: { a: number; b: number }) => ({
      shutoffMetres: a,
      runoutLitresPerSecond: Math.sqrt(a / b),
      headAt: (q: number) => a - b * q * q,
      flowAt: (h: number) => (h >= a ? 0 : Math.sqrt((a - h) / b)),
    })
    const curves = [curve(one as never), curve(two as never)]
    const both = combine(curves, 'parallel')
    let [low, high] = [0, both.runoutLitresPerSecond]
    for (let turn = 0; turn < 80; turn++) {
      const q = (low + high) / 2
      if ((system?.static as number) + (system?.k as number) * q * q < both.headAt(q)) low = q
      else high = q
    }
    near(each, low, each.expect.total_flow_gpm)
    near(each, both.headAt(low), each.expect.head_ft)
    near(each, curves[0]?.flowAt(both.headAt(low)), each.expect.pump_1_gpm)
    near(each, curves[1]?.flowAt(both.headAt(low)), each.expect.pump_2_gpm)
  })

  it.each(of('stages'))('%s: %s', (_, __, each) => {
    const {
      stage_H_ft: { a, b },
      stages,
      system_ft: system,
    } = each.given as unknown as {
      stage_H_ft: { a: number; b: number }
      stages: number
      system_ft: { static: number; k: number }
    }
    const points = [0, 6, 12].map((q) => ({ flowLitresPerSecond: q, headMetres: a - b * q * q }))
    const stack = pumpCurve({ points, stages })
    near(each, stack.shutoffMetres, each.expect.shutoff_head_ft)
    let [low, high] = [0, stack.runoutLitresPerSecond]
    for (let turn = 0; turn < 80; turn++) {
      const q = (low + high) / 2
      if (system.static + system.k * q * q < stack.headAt(q)) low = q
      else high = q
    }
    near(each, low, each.expect.flow_gpm)
    near(each, stack.headAt(low), each.expect.head_ft)
  })

  it.each(of('affinity'))('%s: %s', (_, __, each) => {
    const g = each.given as Given
    const got = run('affinity', {
      flow: g.flow_gpm,
      head: g.head_ft,
      power: g.power_W,
      ...(g.speed_1_rpm
        ? { speedRatio: (g.speed_2_rpm as number) / g.speed_1_rpm }
        : { diameterRatio: (g.diameter_2_in as number) / (g.diameter_1_in as number) }),
    })
    near(each, got.flow, each.expect.flow_gpm)
    near(each, got.head, each.expect.head_ft)
    near(each, got.power, each.expect.power_W)
  })

  it.each(of('power-efficiency'))('%s: %s', (_, __, each) => {
    const got = run('wire-to-water', {
      flowLitresPerSecond: flow(each.given.flow_gpm),
      headMetres: (each.given.head_ft as number) * FOOT,
      inputWatts: each.given.input_W,
    })
    near(each, got.waterWatts, each.expect.water_W)
    near(each, got.efficiency, each.expect.wire_to_water)
  })
})

describe('suction and air', () => {
  it.each(of('npsh-available'))('%s: %s', (_, __, each) => {
    const g = each.given as Given
    const got = run('suction-lift', {
      altitudeMetres: (g.altitude_ft as number) * FOOT,
      celsius: celsius(g.water_F),
      frictionMetres: (g.suction_friction_ft as number) * FOOT,
      npshRequiredMetres: (g.npsh_required_ft as number) * FOOT,
      marginMetres: 0,
    })
    near(each, (got.atmosphereKpa as number) / PSI, each.expect.barometric_psia)
    near(
      each,
      feet(got.npshAvailableMetres as number) + (g.water_above_pump_ft as number),
      each.expect.npsh_available_ft,
    )
    near(
      each,
      feet(metresOf(got.vapourPressureKpa as number, waterProperties(celsius(g.water_F)).densityKgPerM3)),
      each.expect.vapour_head_ft,
    )
  })

  it.each(of('max-suction-lift'))('%s: %s', (_, __, each) => {
    const g = each.given as Given
    const got = run('suction-lift', {
      altitudeMetres: (g.altitude_ft as number) * FOOT,
      celsius: celsius(g.water_F),
      frictionMetres: (g.suction_friction_ft as number) * FOOT,
      npshRequiredMetres: (g.npsh_required_ft as number) * FOOT,
      marginMetres: 0,
    })
    near(each, feet(got.longestLiftMetres), each.expect.zero_margin_lift_ft)
  })

  it.each(of('water-properties'))('%s: %s', (_, __, each) => {
    const got = run('water-properties', { celsius: celsius(each.given.water_F) })
    near(each, (got.vapourPressureKpa as number) / PSI, each.expect.vapour_psia)
    near(each, got.densityKgPerM3, each.expect.density_kg_m3)
  })

  it(
    'finds the published check values: IF97 at 300 K 3.53658941 kPa, IAPWS viscosity at 298.15 K 889.735 μPa·s at ' +
      '998 kg/m³',
    () => {
      expect(waterProperties(26.85).vapourPressureKpa).toBeCloseTo(3.53658941, 5)
      expect(waterProperties(25).viscosityPascalSeconds * 1e6).toBeCloseTo(890.0, 0)
    },
  )

  it.each(of('barometric-pressure'))('%s: %s', (_, __, each) =>
    near(each, atmosphereKpa((each.given.altitude_ft as number) * FOOT) / PSI, each.expect.pressure_psia),
  )
})

describe('tanks and pits', () => {
  it.each(of('tank-drawdown'))('%s: %s', (_, __, each) => {
    const g = each.given as Given
    const got = run('tank-drawdown', {
      tankLitres: (g.tank_total_gal as number) * GALLON,
      prechargeKpa: (g.precharge_psi as number) * PSI,
      cutInKpa: (g.cut_in_psi as number) * PSI,
      cutOutKpa: (g.cut_out_psi as number) * PSI,
      atmosphereKpa: (g.atmosphere_psia as number) * PSI,
    })
    near(each, (got.drawdownLitres as number) / GALLON, each.expect.drawdown_gal)
    expect(JSON.stringify(got.cautions ?? []).includes('above cut-in')).toBe(each.expect.empties_before_cut_in)
    if (each.expect.empties_before_cut_in) expect(got.verdict).toBe('failed')
  })

  it.each(of('minimum-tank'))('%s: %s', (_, __, each) => {
    const g = each.given as Given
    const got = run('tank-size', {
      flowLitresPerSecond: flow(g.pump_gpm),
      minimumRunSeconds: g.minimum_run_s,
      cutInKpa: (g.cut_in_psi as number) * PSI,
      cutOutKpa: (g.cut_out_psi as number) * PSI,
      prechargeKpa: (g.precharge_psi as number) * PSI,
      atmosphereKpa: (g.atmosphere_psia as number) * PSI,
    })
    near(each, (got.tankLitres as number) / GALLON, each.expect.tank_total_gal)
    const cycle = run('cycle', {
      drawLitresPerSecond: flow(g.demand_gpm),
      pumpLitresPerSecond: flow(g.pump_gpm),
      storedLitres: got.drawdownLitres,
    })
    near(each, (cycle.onSeconds as number) / 60, each.expect.on_time_min)
    near(each, (cycle.offSeconds as number) / 60, each.expect.off_time_min)
    near(each, cycle.startsPerHour, each.expect.starts_per_hour)
  })

  it.each(of('sump-cycle'))('%s: %s', (_, __, each) => {
    const g = each.given as Given
    const got = run('sump-cycle', {
      diameterMetres: (g.pit_diameter_in as number) * 0.0254,
      onLevelMetres: (g.level_difference_in as number) * 0.0254,
      offLevelMetres: 0,
      inflowLitresPerSecond: flow(g.inflow_gpm),
      pumpLitresPerSecond: flow(g.pump_gpm),
      drainBackLitres: (g.drain_back_gal as number) * GALLON,
    })
    near(each, (got.storedLitres as number) / GALLON, each.expect.volume_gal)
    near(each, got.onSeconds, each.expect.on_time_s)
    near(each, got.offSeconds, each.expect.off_time_s)
    near(each, got.startsPerHour, each.expect.starts_per_hour)
  })

  it.each(of('pipe-drain-back'))('%s: %s', (_, __, each) =>
    near(
      each,
      (run('drain-back', {
        pipes: [
          {
            insideMillimetres: (each.given.inside_diameter_in as number) * INCH,
            lengthMetres: (each.given.length_ft as number) * FOOT,
          },
        ],
      }).litres as number) / GALLON,
      each.expect.volume_gal,
    ),
  )

  it.each(of('pit-draw-test'))('%s: %s', (_, __, each) => {
    const g = each.given as Given
    const got = run('pit-draw', {
      diameterMetres: (g.pit_diameter_in as number) * 0.0254,
      riseMetres: (g.rise_in as number) * 0.0254,
      riseSeconds: g.rise_s,
      fallMetres: (g.fall_in as number) * 0.0254,
      fallSeconds: g.fall_s,
    })
    near(each, gpm(got.inflowLitresPerSecond), each.expect.inflow_gpm)
    near(each, gpm(got.pumpLitresPerSecond), each.expect.pump_gpm)
  })
})

describe('bearings, energy, pools', () => {
  it.each(of('boundary-dimensions'))('%s: %s', (_, __, each) => {
    for (const designation of each.given.designations as string[]) {
      const got = run('bearing-size', { designation: `${designation}-2RS` })
      const wanted = each.expect[designation] as Given
      near(each, got.boreMillimetres, wanted.bore_mm)
      near(each, got.outsideMillimetres, wanted.outside_mm)
      near(each, got.widthMillimetres, wanted.width_mm)
    }
  })

  it.each(of('defect-frequencies'))('%s: %s', (_, __, each) => {
    const g = each.given as Given
    const scale = g.ball_diameter_in === undefined ? 1 : INCH
    const got = run('bearing-tones', {
      balls: g.n_balls,
      ballMillimetres: ((g.ball_diameter_in ?? g.ball_diameter_mm) as number) * scale,
      pitchMillimetres: ((g.pitch_diameter_in ?? g.pitch_diameter_mm) as number) * scale,
      contactDegrees: g.contact_angle_deg,
      rpm: g.shaft_rpm,
    })
    const wanted = each.expect.frequency_Hz as Given
    near(each, got.outerHz, wanted.bpfo)
    near(each, got.innerHz, wanted.bpfi)
    near(each, got.cageHz, wanted.ftf)
    near(each, got.ballSpinHz, wanted.bsf)
    near(each, got.ballHz, wanted.ball_defect_2xbsf)
  })

  it.each(of('l10-life'))('%s: %s', (_, __, each) => {
    const g = each.given as Given
    const got = run('bearing-life', {
      dynamicNewtons: g.dynamic_rating_N,
      loadNewtons: g.equivalent_load_N,
      rpm: g.speed_rpm,
      exponent: g.exponent,
    })
    near(each, got.millionRevolutions, each.expect.l10_million_rev)
    near(each, got.hours, each.expect.l10_hours)
  })

  it.each(of('two-speed-by-affinity'))('%s: %s', (_, __, each) => {
    const g = each.given as Given
    const single = run('energy-cost', {
      items: [{ watts: g.single_speed_W, hoursPerDay: g.hours_per_day }],
      pricePerKwh: g.rate_per_kWh,
    })
    const low = run('affinity', { flow: 1, head: 1, power: g.single_speed_W, speedRatio: g.speed_ratio })
    near(each, low.power, each.expect.low_W)
    const slow = run('energy-cost', {
      items: [{ watts: low.power, hoursPerDay: (g.hours_per_day as number) / (g.speed_ratio as number) }],
      pricePerKwh: g.rate_per_kWh,
    })
    near(each, single.costPerYear, each.expect.single_cost_year)
    near(each, slow.kwhPerYear, each.expect.low_kWh_year)
    near(each, (single.costPerYear as number) - (slow.costPerYear as number), each.expect.saving_year)
  })

  it.each(of('schedule-cost'))('%s: %s', (_, __, each) => {
    const items = (rows: unknown) =>
      (rows as [number, number][]).map(([watts, hoursPerDay]) => ({ watts, hoursPerDay }))
    const [one, two] = [each.given.schedule_1_W_h, each.given.schedule_2_W_h].map((rows) =>
      run('energy-cost', {
        items: items(rows),
        pricePerKwh: each.given.rate_per_kWh,
        daysPerYear: each.given.days_per_year,
      }),
    ) as [Record<string, number>, Record<string, number>]
    near(each, one.kwhPerYear, each.expect.kWh_1)
    near(each, two.kwhPerYear, each.expect.kWh_2)
    near(each, (one.costPerYear as number) - (two.costPerYear as number), each.expect.saving)
  })

  it.each(of('turnover'))('%s: %s', (_, __, each) => {
    near(
      each,
      run('turnover', {
        poolLitres: (each.expect.volume_gal as number) * GALLON,
        flowLitresPerSecond: flow(each.given.flow_gpm),
      }).hours,
      each.expect.turnover_at_flow_h,
    )
  })
})

describe('evidence', () => {
  it.each(of('noisy-or'))('%s: %s', (_, __, each) => {
    const {
      causes,
      effects,
      evidence,
      candidate_tests: candidates,
    } = each.given as { causes: object; effects: object; evidence: object; candidate_tests: string[] }
    const got = run('evidence-weigh', { model: 'noisy-or', priors: causes, tables: effects, evidence, candidates })
    for (const [cause, p] of Object.entries(each.expect.posterior_true as Given)) near(each, got.posterior[cause], p)
    for (const [test, bits] of Object.entries(each.expect.eig_joint_bits as Given)) near(each, got.gainBits[test], bits)
    near(each, got.entropyBits, each.expect.joint_entropy_bits)
    expect(got.best).toBe(each.expect.best_test)
  })

  it.each(of('naive-bayes'))('%s: %s', (_, __, each) => {
    const {
      prior,
      tests,
      evidence,
      candidate_tests: candidates,
      test_minutes: minutes,
    } = each.given as {
      prior: object
      tests: object
      evidence: object
      candidate_tests: string[]
      test_minutes?: object
    }
    const input = { model: 'naive', priors: prior, tables: tests, evidence, candidates }
    const got = run('evidence-weigh', input)
    for (const [cause, p] of Object.entries(each.expect.posterior as Given)) near(each, got.posterior[cause], p)
    for (const [test, bits] of Object.entries(each.expect.eig_bits as Given)) near(each, got.gainBits[test], bits)
    near(each, got.entropyBits, each.expect.entropy_bits)
    expect(got.best).toBe(each.expect.best_test)
    if (minutes) expect(run('evidence-weigh', { ...input, minutes }).best).toBe(each.expect.best_test_per_minute)
  })
})
