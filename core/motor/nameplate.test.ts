import { describe, expect, it } from 'vitest'
import { completePlate, worstCapacitorVolts, type Pump } from './nameplate'

const pump = (nameplate: Pump['nameplate'], kind: Pump['kind'] = 'pool'): Pump => ({ kind, nameplate })

describe('a plate that cannot be read', () => {
  it('is filled from kind and voltage, and every filling is said', () => {
    const plate = completePlate(pump({ volts: 230 }))
    expect(plate.motorType).toBe('capacitor-start-run')
    expect(plate.fullLoadAmps).toBeCloseTo(8)
    expect(plate.assumed.join(' ')).toMatch(
      /mains 60 Hz.*full load 8 A.*run capacitor 30 μF.*run winding about 2.1 Ω.*age/,
    )
  })

  it('says nothing of what the plate gives', () => {
    const plate = completePlate({
      kind: 'pool',
      ageYears: 3,
      installation: { dutyHoursPerDay: 8 },
      nameplate: {
        volts: 230,
        hertz: 60,
        motorType: 'permanent-split',
        horsepower: 1,
        fullLoadAmps: 7,
        serviceFactorAmps: 8.2,
        runCapacitorMicrofarads: 30,
        runWindingOhms: [1.8, 2.4],
        startWindingOhms: [3, 4],
      },
    })
    expect(plate.assumed).toEqual([])
    expect(plate.runWinding).toMatchObject({ low: 1.8, high: 2.4 })
  })

  it('reads the motor type off the capacitors when the type itself is gone', () => {
    expect(completePlate(pump({ volts: 230, runCapacitorMicrofarads: 30 })).motorType).toBe('permanent-split')
    expect(completePlate(pump({ volts: 230, startCapacitorMicrofarads: 161 })).motorType).toBe('capacitor-start')
    expect(
      completePlate(pump({ volts: 230, startCapacitorMicrofarads: 161, runCapacitorMicrofarads: 20 })).motorType,
    ).toBe('capacitor-start-run')
  })

  it('doubles amps and quarters ohms at half the voltage', () => {
    const [high, low] = [
      completePlate(pump({ volts: 230, horsepower: 1, motorType: 'capacitor-start' })),
      completePlate(pump({ volts: 115, horsepower: 1, motorType: 'capacitor-start' })),
    ]
    expect(low.fullLoadAmps).toBeCloseTo(high.fullLoadAmps * 2)
    expect(low.runWinding.low).toBeCloseTo(high.runWinding.low / 4)
    expect((low.startCapacitorMicrofarads as number[])[0]).toBeGreaterThan(
      (high.startCapacitorMicrofarads as number[])[0] as number,
    )
  })

  it('reckons the charge of a run capacitor from √2 × the larger of its rating and 1.6 × the line', () => {
    expect(worstCapacitorVolts({ volts: 230, motorType: 'permanent-split', runCapacitorVolts: 370 })).toBeCloseTo(
      Math.SQRT2 * 370,
    )
    expect(worstCapacitorVolts({ volts: 230, motorType: 'permanent-split', runCapacitorVolts: 250 })).toBeCloseTo(
      Math.SQRT2 * 368,
    )
    expect(worstCapacitorVolts({ volts: 230, motorType: 'capacitor-start' })).toBeCloseTo(Math.SQRT2 * 230)
  })
})
