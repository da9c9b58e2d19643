import { describe, expect, it } from 'vitest'
import type { Fault } from '../knowledge/vocabulary'
import { currentTrace } from '../logs/current-trace'
import { pressureLog } from '../logs/pressure-log'
import { readLog } from '../logs/read-log'
import { chance } from '../quantity/random'
import { buildMachine } from './build'
import { logCsv } from './csv'
import { electricState } from './electrics'
import { breakMachine } from './faults'
import { virtualCurrentLog, virtualPressureLog, type PressureLogged } from './logs'
import type { VirtualMachine } from './machine'

const DAY: PressureLogged = { hours: 24, stepSeconds: 5, noisePsi: 0.2, drawsPerHour: 3 }
function house(fault: Fault, seed = 4, change: (machine: VirtualMachine) => void = () => undefined): VirtualMachine {
  const dice = chance(seed)
  const machine = buildMachine('well-two-wire', dice)
  machine.house.prechargePsi = machine.house.cutInPsi - 2
  breakMachine(machine, fault, dice)
  change(machine)
  return machine
}
const dayOf = (machine: VirtualMachine, how: Partial<PressureLogged> = {}) =>
  pressureLog(
    readLog(logCsv(virtualPressureLog(machine, { ...DAY, ...how }, chance(8)), 'pressure (kPa)', '2026-05-12T00:00')),
  )

describe('a day of a virtual house', () => {
  it.each([4, 5, 6, 7])('has the pressures of its switch, and is tight (house %i)', (seed) => {
    const machine = house('nothing-wrong', seed)
    const found = dayOf(machine)
    expect(found.hours).toBeCloseTo(24, 1)
    expect(found.cycles.length).toBeGreaterThan(5)
    expect(Math.abs(found.cutInPsi! - machine.house.cutInPsi)).toBeLessThan(1.5)
    expect(Math.abs(found.cutOutPsi! - machine.house.cutOutPsi)).toBeLessThan(1.5)
    expect(found.quiet?.psiPerHour).toBeLessThan(0.5)
    expect(found.prechargePsi).toBeUndefined()
  })

  it('that leaks loses pressure at its quietest, the more the more it leaks', () => {
    const lost = (gpm: number) =>
      dayOf(house('nothing-wrong', 4, ({ leaks }) => (leaks.houseGallonsPerMinute = gpm))).quiet!.psiPerHour
    expect(lost(0.02)).toBeGreaterThan(1)
    expect(lost(0.1)).toBeGreaterThan(3 * lost(0.02))
  })

  it('whose tank is full of water comes round faster', () => {
    const full = dayOf(house('nothing-wrong', 4, (machine) => (machine.house.waterInTank = true)))
    const sound = dayOf(house('nothing-wrong'))
    expect(full.fastestCycleSeconds!).toBeLessThan(0.5 * sound.fastestCycleSeconds!)
  })

  it('written each ten seconds still has the pressures of its switch, and no empty tank where there is none', () => {
    const machine = house('nothing-wrong', 4, (own) => {
      own.house.waterInTank = true
      own.leaks.houseGallonsPerMinute = 0.03
    })
    const found = dayOf(machine, { stepSeconds: 10 })
    expect(Math.abs(found.cutInPsi! - machine.house.cutInPsi)).toBeLessThan(1.5)
    expect(found.prechargePsi).toBeUndefined()
  })

  it('whose tank has too much air shows its air where it runs empty', () => {
    const machine = house('nothing-wrong', 4, ({ house: own }) => (own.prechargePsi = own.cutInPsi + 6))
    const found = dayOf(machine, { stepSeconds: 1, drawsPerHour: 6 })
    expect(Math.abs(found.prechargePsi! - machine.house.prechargePsi)).toBeLessThan(2)
  })
})

describe('the current of a virtual motor', () => {
  const RUNS = Array.from({ length: 4 }, () => ({ seconds: 25, rest: 8 }))
  const traceOf = (machine: VirtualMachine, how: { startSeconds?: number; comesBackPerMinute?: number } = {}) =>
    currentTrace(
      readLog(
        logCsv(
          virtualCurrentLog(machine, { stepSeconds: 0.1, noiseAmps: 0.08, runs: RUNS, ...how }, chance(2)),
          'current (A)',
        ),
      ),
      machine.nameplate.fullLoadAmps,
    )

  it('has its runs, its running and its starting current', () => {
    const machine = house('nothing-wrong')
    const { amps, lockedAmps } = electricState(machine, true)
    const found = traceOf(machine)
    expect(found.runs).toHaveLength(4)
    expect(found.runningAmps! / amps).toBeCloseTo(1, 1)
    expect(found.inrushAmps! / lockedAmps).toBeCloseTo(1, 1)
    expect(found.startSwitch).toBe('lets-go')
  })

  it('tells a switch that is late or slips, and a rotor that stands', () => {
    expect(traceOf(house('nothing-wrong'), { startSeconds: 2.5 }).startSwitch).toBe('late')
    expect(traceOf(house('nothing-wrong'), { comesBackPerMinute: 6 }).startSwitch).toBe('comes-back')
    const stuck = traceOf(house('motor-seized'))
    expect(stuck.runs.every(({ stalls }) => stalls)).toBe(true)
  })
})
