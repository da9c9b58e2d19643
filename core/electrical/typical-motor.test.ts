import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { runMotor } from './motor-circuit'
import { estimateRunning, estimateStart, ratedTorque, typicalMotor } from './typical-motor'

const plate = { volts: 230, fullLoadAmps: 8 }
const motor = (motorType: Parameters<typeof typicalMotor>[0]['motorType']) =>
  typicalMotor({ ...plate, motorType }, 2, 5)
const ONE_HORSEPOWER = { volts: 230, hertz: 60, horsepower: 1 }

describe('a typical motor scaled to its plate', () => {
  it('has its reactances in shares of volts over amps, and the ohms that were read', () => {
    // 230 V / 8 A = 28.75 Ω.
    const { circuit, auxiliary, poles } = motor('capacitor-start')
    expect(circuit.r1Ohms).toBe(2)
    expect(circuit.x1Ohms).toBeCloseTo(2.875, 9)
    expect(circuit.r2Ohms).toBeCloseTo(3.45, 9)
    expect(circuit.x2Ohms).toBeCloseTo(2.5875, 9)
    expect(circuit.xmOhms).toBeCloseTo(86.25, 9)
    expect(auxiliary).toEqual({ auxOhms: 5, auxReactanceOhms: expect.closeTo(5.52, 9), turnsRatio: 1.2 })
    expect(poles).toBe(2)
    expect(motor('split-phase').auxiliary).toMatchObject({
      auxReactanceOhms: expect.closeTo(2.76, 9) as number,
      turnsRatio: 0.75,
    })
    expect(motor('permanent-split').circuit.xmOhms, 'wound with more leakage').toBeCloseTo(86.25 * 1.3, 9)
  })
  it('gives a horsepower’s torque at full-load slip', () => {
    expect(ratedTorque({ horsepower: 1, hertz: 60, poles: 2 })).toBeCloseTo(746 / (2 * Math.PI * 60 * 0.96), 9)
    expect(ratedTorque({ horsepower: 2, hertz: 50, poles: 4 })).toBeCloseTo(1492 / (2 * Math.PI * 25 * 0.96), 9)
  })
})

describe('starting', () => {
  const start = (microfarads?: number, volts = 230, type: 'split-phase' | 'capacitor-start' = 'capacitor-start') =>
    estimateStart(motor(type), { ...ONE_HORSEPOWER, volts, ...(microfarads === undefined ? {} : { microfarads }) })
  it('has no torque at all with an open capacitor, and the current of the main winding alone', () => {
    const alone = runMotor(motor('capacitor-start').circuit, { volts: 230, hertz: 60, poles: 2, slip: 1 })
    for (const open of [0, 0.3]) {
      expect(start(open).torqueShare).toBeCloseTo(0, 9)
      expect(start(open).amps).toBeCloseTo(alone.inputAmps, 9)
    }
    expect(start(0.4).torqueShare).toBeGreaterThan(0)
  })
  it('has torque without a capacitor where the winding hangs straight on the line', () => {
    expect(start(undefined, 230, 'split-phase').torqueShare).toBeGreaterThan(0.5)
    expect(start(undefined, 230, 'split-phase').torqueShare).not.toBeCloseTo(
      start(300, 230, 'split-phase').torqueShare,
      2,
    )
  })
  it('goes with the square of the volts, and its amps with the volts', () => {
    fc.assert(
      fc.property(fc.double({ min: 80, max: 260, noNaN: true }), (volts) => {
        expect(start(150, volts).torqueShare / start(150).torqueShare).toBeCloseTo((volts / 230) ** 2, 6)
        expect(start(150, volts).amps / start(150).amps).toBeCloseTo(volts / 230, 6)
      }),
    )
  })
  it('is a share of the torque of the rated horsepower', () => {
    const half = estimateStart(motor('capacitor-start'), { ...ONE_HORSEPOWER, horsepower: 0.5, microfarads: 150 })
    expect(half.torqueShare).toBeCloseTo(2 * start(150).torqueShare, 9)
  })
})

describe('running', () => {
  const amps = (runMicrofarads?: number, volts = 230, horsepower = 1) =>
    estimateRunning(motor('permanent-split'), {
      ...ONE_HORSEPOWER,
      volts,
      horsepower,
      ...(runMicrofarads === undefined ? {} : { runMicrofarads }),
    })
  it('stands at the slip where the motor first gives its rated torque', () => {
    const { circuit, auxiliary } = motor('permanent-split')
    const rated = ratedTorque({ horsepower: 1, hertz: 60, poles: 2 })
    const at = (slip: number) =>
      runMotor(circuit, { volts: 230, hertz: 60, poles: 2, slip }, { ...auxiliary, runMicrofarads: 30 })
    const found = Array.from({ length: 109 }, (_, step) => 0.004 + step * 0.002).find(
      (slip) => at(slip).developedTorqueNewtonMetres >= rated,
    ) as number
    expect(found).toBeGreaterThan(0.004)
    expect(amps(30)).toBeCloseTo(at(found).inputAmps, 6)
  })
  it('is another current with an open capacitor, the same as with none', () => {
    expect(amps(0.3)).toBe(amps())
    expect(amps(0)).toBe(amps())
    expect(amps(30)).not.toBeCloseTo(amps() as number, 1)
  })
  it('is not to be had where the motor cannot give its torque', () => {
    expect(amps(30, 60)).toBeUndefined()
    expect(amps(30, 230, 20)).toBeUndefined()
  })
})
