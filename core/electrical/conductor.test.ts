import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { WIRE_SIZES } from '../knowledge/electrical/wire'
import {
  gaugeArea,
  gaugeMillimetres,
  longestRun,
  motorVolts,
  ohmsPerKilometre,
  sizeByAmpacity,
  sizeCandidates,
  startingVoltage,
} from './conductor'

describe('wire by gauge (ASTM B258)', () => {
  it.each([
    ['12', 2.053],
    [' 12 ', 2.053],
    ['1', 7.348],
    ['1/0', 8.251],
    ['4/0', 11.684],
    [' 2/0', 9.266],
    ['40', 0.0799],
  ])('%s is %d mm', (awg, millimetres) => expect(gaugeMillimetres(awg)).toBeCloseTo(millimetres, 3))
  it('has the area of its circle', () => expect(gaugeArea('12')).toBeCloseTo(3.309, 3))
  it.each(['41', '5/0', '0/0', '112', '12a', 'a12', '1/00', '21/0', '', 'x'])('knows no %s', (awg) =>
    expect(() => gaugeMillimetres(awg)).toThrow(/a gauge from "40" to "1", or "1\/0" to "4\/0"/),
  )
})

describe('ohms of a kilometre (IEC 60028)', () => {
  it('of copper, aluminium, stranded, warm', () => {
    expect(ohmsPerKilometre({ squareMillimetres: 2.5 }, 20)).toBeCloseTo(6.8966, 4)
    expect(ohmsPerKilometre({ squareMillimetres: 2.5 }, 20, 'aluminium')).toBeCloseTo(11.3056, 4)
    expect(ohmsPerKilometre({ squareMillimetres: 2.5, stranded: true }, 20)).toBeCloseTo(7.0345, 4)
    expect(ohmsPerKilometre({ awg: '12' }, 75)).toBeCloseTo((1000 / 58 / 3.3088) * (1 + 0.00393 * 55), 3)
  })
  it('given outright stands as it is, at any temperature', () =>
    expect(ohmsPerKilometre({ ohmsPerKilometre: 5.2, stranded: true }, 75)).toBe(5.2))
  it.each([{}, { awg: '12', squareMillimetres: 4 }, { squareMillimetres: 4, ohmsPerKilometre: 1 }])(
    'is named by exactly one of three',
    (spec) => expect(() => ohmsPerKilometre(spec, 20)).toThrow(/exactly one of/),
  )
})

describe('volts at the end of a line', () => {
  const load = { sourceVolts: 240, amps: 10, powerFactor: 1, phases: 1 as const }
  it('loses there and back on one phase, one conductor on three', () => {
    expect(motorVolts(load, 0.5)).toBeCloseTo(230, 9)
    expect(motorVolts({ ...load, sourceVolts: 400, phases: 3 }, 0.5)).toBeCloseTo(
      (400 / Math.sqrt(3) - 5) * Math.sqrt(3),
      9,
    )
  })
  it('adds resistance and reactance as phasors, exactly', () => {
    // Line 1 + j0.5 Ω, 10 A at 0.8: 11 V along the motor's volts, 2 V across them.
    expect(motorVolts({ ...load, powerFactor: 0.8 }, 0.5, 0.25)).toBeCloseTo(Math.sqrt(240 ** 2 - 2 ** 2) - 11, 9)
  })
  it('is refused where nothing would be left', () => {
    for (const amps of [240, 500]) expect(() => motorVolts({ ...load, amps }, 0.5)).toThrow(/drops all of its 240 V/)
    // All of the drop lies across the volts here, and is as long as they are.
    expect(() => motorVolts({ sourceVolts: 10, amps: 10, powerFactor: 0, phases: 1 }, 0.5)).toThrow(/drops all/)
  })
  it('reaches its share of the source at the longest run, on one phase and on three', () => {
    fc.assert(
      fc.property(
        fc.constantFrom<1 | 3>(1, 3),
        fc.double({ min: 0.6, max: 1, noNaN: true }),
        fc.double({ min: 0.01, max: 0.3, noNaN: true }),
        fc.double({ min: 0, max: 0.001, noNaN: true }),
        (phases, powerFactor, share, x) => {
          const line = { ...load, phases, powerFactor }
          const metres = longestRun(line, share, 0.005, x)
          expect(motorVolts(line, 0.005 * metres, x * metres)).toBeCloseTo(240 * (1 - share), 6)
        },
      ),
    )
  })
})

describe('sizes of building wire', () => {
  it('has every size with its drop, straight: ohms of both ways times amps', () => {
    const load = { sourceVolts: 230, amps: 10, powerFactor: 1, phases: 1 as const }
    const sizes = sizeCandidates(load, 30, 3, 75)
    expect(sizes.map(({ awg }) => awg)).toEqual(WIRE_SIZES.map(({ awg }) => awg))
    const twelve = sizes.find(({ awg }) => awg === '12')
    const ohms = (ohmsPerKilometre({ awg: '12' }, 75) * 30) / 1000
    expect(twelve?.dropPercent).toBeCloseTo((100 * 10 * 2 * ohms) / 230, 9)
    expect(sizeCandidates({ ...load, phases: 3 }, 30, 3, 75)[1]?.dropPercent).toBeCloseTo(
      (100 * 10 * ohms) / (230 / Math.sqrt(3)),
      9,
    )
    expect(sizeCandidates(load, 30, twelve?.dropPercent as number, 75)[1]?.keepsDrop, 'at the limit').toBe(true)
    expect(sizeCandidates(load, 30, (twelve?.dropPercent as number) - 0.001, 75)[1]?.keepsDrop).toBe(false)
    expect(sizeCandidates(load, 90_000, 3, 75)[0]).toMatchObject({ dropPercent: 100, keepsDrop: false })
  })
  it('takes the thinnest that carries the amps', () => {
    expect([15, 15.1, 20, 195].map(sizeByAmpacity)).toEqual(['14', '12', '12', '4/0'])
    expect(sizeByAmpacity(196)).toBeUndefined()
  })
})

describe('starting at the end of a line', () => {
  it('is a divider of the rotor’s impedance and the loop; torque goes with the square', () => {
    // 230 V / 46 A = 5 Ω at 0.6: 3 + j4; with 1 Ω of loop 4 + j4.
    const found = startingVoltage({
      sourceVolts: 240,
      ratedVolts: 230,
      lockedRotorAmps: 46,
      lockedRotorPowerFactor: 0.6,
      loopOhms: 1,
    })
    expect(found.startAmps).toBeCloseTo(240 / Math.hypot(4, 4), 9)
    expect(found.motorVolts).toBeCloseTo((240 / Math.hypot(4, 4)) * 5, 9)
    expect(found.torqueFraction).toBeCloseTo((found.motorVolts / 230) ** 2, 9)
  })
})
