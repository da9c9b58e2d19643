import { describe, expect, it } from 'vitest'
import { runMotor } from '../electrical/motor-circuit'
import { KINDS, MOTOR_TYPES, type Kind, type MotorType } from '../knowledge/vocabulary'
import { chance } from '../quantity/random'
import { buildMachine } from './build'
import { electricState } from './electrics'
import { planMotor } from './motor-plan'
import { OUTSIDE } from './outside'
import { shownPlate } from './plate-shown'

const plan = (motorType: MotorType, horsepower = 1, volts = 230, kind: Kind = 'pool', seed = 3) =>
  planMotor({ kind, motorType, horsepower, volts }, chance(seed))

describe('a motor designed for its duty', () => {
  it('has half the ohms at twice the horsepower, and four times the can at half the volts', () => {
    expect(plan('split-phase', 1).circuit.r1Ohms / plan('split-phase', 2).circuit.r1Ohms).toBeCloseTo(2, 6)
    expect(plan('split-phase', 1, 230).circuit.r1Ohms / plan('split-phase', 1, 115).circuit.r1Ohms).toBeCloseTo(4, 6)
    const [full, half] = [plan('permanent-split', 0.5, 230), plan('permanent-split', 0.5, 115)]
    expect((half.runMicrofarads as number) / (full.runMicrofarads as number)).toBeGreaterThan(3)
  })
  it('has the cans of its type and no others', () => {
    for (const motorType of Object.keys(MOTOR_TYPES) as MotorType[]) {
      const made = plan(motorType)
      expect(made.runMicrofarads !== undefined).toBe(['permanent-split', 'capacitor-start-run'].includes(motorType))
      expect(made.startMicrofarads !== undefined).toBe(['capacitor-start', 'capacitor-start-run'].includes(motorType))
    }
  })
  it('starts harder with its start can than without, whose currents then stand apart', () => {
    const { circuit, auxiliary, startMicrofarads } = plan('capacitor-start')
    const torque = (runMicrofarads?: number) =>
      Math.abs(
        runMotor(
          circuit,
          { volts: 230, hertz: 60, poles: 2, slip: 1 },
          runMicrofarads ? { ...auxiliary, runMicrofarads } : undefined,
        ).developedTorqueNewtonMetres,
      )
    expect(torque()).toBeLessThan(0.01)
    expect(torque(startMicrofarads?.[0])).toBeGreaterThan(torque((startMicrofarads?.[0] ?? 0) / 4))
  })
  it('of a 3-wire box has a start winding of 3.5 to 4.5 times the main one', () => {
    for (let seed = 1; seed < 30; seed++) {
      const { circuit, auxiliary } = plan('capacitor-start', 0.75, 230, 'well-three-wire', seed)
      const times = auxiliary.auxOhms / circuit.r1Ohms
      expect(times).toBeGreaterThanOrEqual(3.5)
      expect(times).toBeLessThanOrEqual(4.5)
    }
  })
})

describe('what can be read of a plate', () => {
  const plate = { volts: 230, hertz: 60, motorType: 'permanent-split' as const, horsepower: 1, fullLoadAmps: 7 }
  const seen = Array.from({ length: 200 }, (_, seed) => shownPlate(plate, chance(seed + 1)))
  it('is all of it mostly, some, nothing but the volts, or another motor’s', () => {
    const of = (state: string) => seen.filter((each) => each.state === state)
    expect(of('whole').length).toBeGreaterThan(100)
    expect(of('gone').every(({ shown }) => Object.keys(shown).join() === 'volts')).toBe(true)
    expect(of('foreign').length).toBeGreaterThan(3)
    expect(of('foreign').every(({ shown }) => shown.fullLoadAmps !== 7)).toBe(true)
  })
})

describe('what nobody’s list has', () => {
  it('changes every machine that it can befall, and is told of', () => {
    for (const { id, kinds, change } of OUTSIDE)
      for (const kind of kinds) {
        expect(Object.keys(KINDS)).toContain(kind)
        const [before, after] = [buildMachine(kind, chance(5)), buildMachine(kind, chance(5))]
        change(after, chance(9))
        expect(JSON.stringify(after), `${id} ${kind}`).not.toBe(JSON.stringify(before))
        expect(electricState(after).loadedVolts).toBeGreaterThanOrEqual(0)
      }
  })
})
