import { describe, expect, it } from 'vitest'
import { CHECKS, checkInfo } from '../knowledge/checks/checks'
import { FAULTS, KINDS, type Fault, type Kind } from '../knowledge/vocabulary'
import { answer } from './answer'
import { buildMachine } from './build'
import { complaintsOfMachine, noticeableComplaints } from './complaint'
import { electricState, leakMegohms } from './electrics'
import { breakMachine } from './faults'
import { INSTRUMENTS, read } from './instruments'
import type { VirtualMachine } from './machine'
import { chance } from '../quantity/random'
import { cycleSeconds, waterPoint } from './water'

const KIND_IDS = Object.keys(KINDS) as Kind[]
const sound = (kind: Kind, seed = 1): VirtualMachine => buildMachine(kind, chance(seed))
const broken = (kind: Kind, fault: Fault, seed = 1): VirtualMachine => {
  const dice = chance(seed)
  const machine = buildMachine(kind, dice)
  breakMachine(machine, fault, dice)
  return machine
}
const many = <T>(make: (seed: number) => T): T[] => Array.from({ length: 40 }, (_, seed) => make(seed + 1))

describe('a virtual pump', () => {
  it('is the same pump for the same seed, and another for another', () => {
    expect(sound('pool', 7)).toEqual(sound('pool', 7))
    expect(sound('pool', 7)).not.toEqual(sound('pool', 8))
  })

  it.each(KIND_IDS)('sound, a %s starts, runs near its plate and moves water', (kind) => {
    for (const machine of many((seed) => sound(kind, seed))) {
      const state = electricState(machine)
      expect(state.turning).toBe(true)
      expect(state.amps / (machine.nameplate.fullLoadAmps as number)).toBeGreaterThan(0.75)
      expect(state.amps / (machine.nameplate.fullLoadAmps as number)).toBeLessThan(1.17)
      expect(state.water.flow).toBeGreaterThan(0.8)
      expect(state.tripsBreaker || state.tripsGfci || state.cutsOut).toBe(false)
    }
  })

  it.each(KIND_IDS)('answers every check of the vocabulary for a %s, in the check’s own terms', (kind) => {
    const dice = chance(3)
    const machine = sound(kind, 5)
    for (const check of Object.keys(CHECKS)) {
      const info = checkInfo(check)
      const told = answer(machine, { check, part: info?.parts?.[0] }, dice)
      if (info?.outcomes) expect(Object.keys(info.outcomes), check).toContain(told.outcome)
      else if (told.value !== null) {
        expect(told.value, check).toBeGreaterThanOrEqual(info?.plausible?.[0] ?? 0)
        expect(told.value, check).toBeLessThanOrEqual(info?.plausible?.[1] ?? Infinity)
      }
    }
    expect(() => answer(machine, { check: 'wobble' }, dice)).toThrow(RangeError)
  })

  it('takes every fault of the vocabulary as a change in itself', () => {
    for (const fault of Object.keys(FAULTS) as Fault[]) {
      if (fault === 'nothing-wrong') expect(broken('jet', fault)).toEqual(sound('jet'))
      else
        expect(
          KIND_IDS.some((kind) =>
            many((seed) => JSON.stringify(broken(kind, fault, seed)) !== JSON.stringify(sound(kind, seed))).some(
              Boolean,
            ),
          ),
          fault,
        ).toBe(true)
    }
  })
})

describe('what follows from the physics', () => {
  const machinesOf = (kind: Kind, type: string, fault: Fault) =>
    many((seed) => broken(kind, fault, seed)).filter(({ motorType }) => motorType === type)

  it(
    'a permanent-split motor whose capacitor is open stands and hums; one with a start capacitor beside it starts ' +
      'and runs hot',
    () => {
      for (const machine of machinesOf('spa', 'permanent-split', 'run-capacitor-failed').filter(
        ({ motor, nameplate }) => motor.runMicrofarads < 0.05 * (nameplate.runCapacitorMicrofarads as number),
      ))
        expect(electricState(machine)).toMatchObject({ turning: false, hums: true })
      const beside = machinesOf('jet', 'capacitor-start-run', 'run-capacitor-failed').filter(
        ({ motor }) => motor.runMicrofarads < 1,
      )
      expect(beside.length).toBeGreaterThan(0)
      for (const machine of beside) {
        expect(electricState(machine).turning).toBe(true)
        const whole = structuredClone(machine)
        whole.motor.runMicrofarads = machine.nameplate.runCapacitorMicrofarads as number
        expect(electricState(machine).overload).toBeGreaterThan(1.05 * electricState(whole).overload)
      }
    },
  )

  it('draws four to ten times its full load with the rotor held', () => {
    for (const machine of many((seed) => broken('booster', 'motor-seized', seed))) {
      const state = electricState(machine)
      expect(state.turning).toBe(false)
      expect(state.amps / (machine.nameplate.fullLoadAmps as number)).toBeGreaterThan(3)
      expect(state.amps / (machine.nameplate.fullLoadAmps as number)).toBeLessThan(11)
    }
  })

  it('sags under load where the line is poor, and not at rest', () => {
    for (const machine of many((seed) => broken('pool', 'low-supply-voltage', seed)).filter(
      ({ supply, motorType }) => supply.panelVolts > 220 && motorType !== 'electronic',
    )) {
      const state = electricState(machine)
      expect(state.restVolts).toBeGreaterThan(220)
      expect(state.loadedVolts / state.restVolts).toBeLessThan(0.93)
    }
  })

  it('leaks as a network: the whole is below each part, and a GFCI opens above five milliamperes', () => {
    const machine = broken('well-three-wire', 'cable-to-ground', 4)
    expect(leakMegohms(machine)).toBeLessThan(machine.insulation.cableMegohms)
    const pool = sound('pool')
    pool.insulation.windingMegohms = 0.04
    expect(electricState(pool).tripsGfci).toBe(true)
    pool.insulation.windingMegohms = 0.2
    expect(electricState(pool).tripsGfci).toBe(false)
  })

  it('an ohmmeter misses what only the megohmmeter sees', () => {
    const missed = many((seed) => broken('pool', 'winding-to-ground', seed)).filter(
      (machine) => answer(machine, { check: 'ground-ohmmeter' }, chance(2)).outcome === 'open',
    )
    expect(missed.length).toBeGreaterThan(3)
    for (const machine of missed)
      expect(answer(machine, { check: 'insulation-resistance' }, chance(2)).value).toBeLessThan(5)
  })

  it('a blocked suction pulls vacuum, a blocked discharge raises the filter gauge, both take the flow', () => {
    const [open, suction, discharge] = [
      sound('pool'),
      broken('pool', 'suction-blocked'),
      broken('pool', 'discharge-blocked'),
    ].map((machine) => waterPoint(machine)) as [
      ReturnType<typeof waterPoint>,
      ReturnType<typeof waterPoint>,
      ReturnType<typeof waterPoint>,
    ]
    expect(suction.vacuumInHg).toBeGreaterThan(open.vacuumInHg)
    expect(suction.filterPsi).toBeLessThan(open.filterPsi)
    expect(discharge.filterPsi).toBeGreaterThan(open.filterPsi)
    expect(discharge.vacuumInHg).toBeLessThan(open.vacuumInHg)
    expect(Math.max(suction.flow, discharge.flow)).toBeLessThan(open.flow)
    expect(waterPoint(sound('pool'), 0)).toMatchObject({ flow: 0, filterPsi: 0 })
  })

  it('a tank without air cycles in seconds, a worn pump never reaches its cut-out', () => {
    const lost = broken('jet', 'tank-waterlogged', 3)
    const well = sound('jet', 3)
    expect(cycleSeconds(lost, waterPoint(lost)) as number).toBeLessThan(
      (cycleSeconds(well, waterPoint(well)) as number) / 3,
    )
    const worn = many((seed) => broken('well-two-wire', 'stages-worn', seed)).filter(({ wheel }) => wheel.wear > 0.9)
    for (const machine of worn) expect(answer(machine, { check: 'cut-out' }, chance(1)).value).toBeNull()
  })

  it('swapped leads show in the ohms, and the motor cannot start', () => {
    const machine = many((seed) => broken('well-three-wire', 'leads-swapped', seed)).find(
      ({ cable }) => cable.swapped === 'run-start',
    ) as VirtualMachine
    const [run, start] = ['run-common', 'start-common'].map(
      (leads) => answer(machine, { check: 'winding-resistance', leads }, chance(1)).value as number,
    ) as [number, number]
    expect(run).toBeGreaterThan(start)
    expect(electricState(machine).turning).toBe(false)
  })

  it('half-splits as a technician would: the cable alone, the motor alone, the pump plugged straight in', () => {
    const cable = broken('well-three-wire', 'cable-to-ground', 4)
    expect(answer(cable, { check: 'insulation-resistance', setup: 'cable-alone' }, chance(1)).value).toBeLessThan(1)
    expect(answer(cable, { check: 'insulation-resistance', setup: 'motor-alone' }, chance(1)).value).toBeGreaterThan(5)
    const float = many((seed) => broken('sump', 'float-switch-failed', seed)).find(
      ({ pit }) => pit.float === 'dead',
    ) as VirtualMachine
    expect(electricState(float).turning).toBe(false)
    expect(answer(float, { check: 'float-bypass' }, chance(1)).outcome).toBe('runs')
    const bound = broken('well-two-wire', 'stages-bound')
    expect(answer(bound, { check: 'shaft-turn', half: 'motor' }, chance(1)).outcome).toBe('free')
    expect(answer(bound, { check: 'shaft-turn', half: 'pump-end' }, chance(4)).outcome).toMatch(/seized|tight/)
  })

  it('where a joint, a breaker or a long line keeps the volts, each is measured at its place', () => {
    const volts = (machine: VirtualMachine, check: string) => answer(machine, { check }, chance(2)).value as number
    const dark = broken('sump', 'no-supply')
    expect(volts(dark, 'breaker-voltage')).toBeLessThan(1)
    const outlet = broken('sump', 'outlet-dead')
    expect(volts(outlet, 'outlet-voltage')).toBeLessThan(1)
    expect(volts(outlet, 'breaker-voltage')).toBeGreaterThan(110)
    const stalled = many((seed) => broken('sump', 'low-supply-voltage', seed)).filter((machine) => {
      const { turning, hums } = electricState(machine)
      return !turning && hums
    })
    expect(stalled.length).toBeGreaterThan(3)
    for (const machine of stalled) expect(answer(machine, { check: 'dry-bump' }, chance(3)).outcome).toBe('turns')
  })

  it('a jet pump draws a vacuum of its lift and an inch or two of friction', () => {
    for (const machine of many((seed) => sound('jet', seed))) {
      const lifted = (machine.installation.liftMetres as number) * 2.9
      const { vacuumInHg } = waterPoint(machine)
      expect(vacuumInHg).toBeGreaterThan(lifted)
      expect(vacuumInHg).toBeLessThan(lifted + 3)
    }
  })

  it('a circulation pump whose water has fallen shows it at the level, and its alarm tells', () => {
    const low = broken('circulation', 'low-water')
    expect(answer(low, { check: 'water-level' }, chance(1)).outcome).toBe('low')
    expect(noticeableComplaints(low)).toContain('alarm-sounding')
    expect(noticeableComplaints(sound('circulation'))).toEqual([])
  })

  it('nobody calls where nothing is to be noticed', () => {
    expect(complaintsOfMachine(sound('pool'), false, chance(1))).toEqual([])
    expect(complaintsOfMachine(broken('pool', 'motor-seized'), false, chance(1)).length).toBeGreaterThan(0)
  })

  it('reads with the instrument’s own error and steps', () => {
    const dice = chance(9)
    const readings = many(() => read(INSTRUMENTS.volts, 236, dice))
    expect(Math.max(...readings) - Math.min(...readings)).toBeGreaterThan(0.3)
    for (const value of readings) expect(Math.abs(value - 236)).toBeLessThan(236 * 0.006 * 2.5 + 1)
    expect(read(INSTRUMENTS.ohms, 0, dice)).toBeGreaterThanOrEqual(0)
  })
})
