import { describe, expect, it } from 'vitest'
import { USUAL_INSIDE } from '../knowledge/mechanical/bearing-insides'
import type { Fault } from '../knowledge/vocabulary'
import { chance } from '../quantity/random'
import { rmsOf } from '../sound/fourier'
import { listenTo, type Heard } from '../sound/listen'
import { buildMachine } from './build'
import { breakMachine } from './faults'
import type { VirtualMachine } from './machine'
import { virtualSound, type Recorded } from './sound'

const RECORDED: Recorded = { hertz: 16_000, seconds: 5, noise: 0.01, bearing: USUAL_INSIDE, vanes: 5, place: 'outer' }
function pump(fault: Fault, change: (machine: VirtualMachine) => void = () => undefined): VirtualMachine {
  const dice = chance(11)
  const machine = buildMachine('pool', dice)
  breakMachine(machine, fault, dice)
  change(machine)
  return machine
}
const record = (machine: VirtualMachine, how: Partial<Recorded> = {}) =>
  virtualSound(machine, { ...RECORDED, ...how }, chance(3))
const hear = (machine: VirtualMachine, how: Partial<Recorded> = {}): Heard =>
  listenTo({ hertz: RECORDED.hertz, values: record(machine, how) }, { rpm: 3_450, mainsHertz: 60 }, USUAL_INSIDE)

describe('the sound of a virtual pump', () => {
  it('is the same for the same seed, as long as asked, and never over full scale', () => {
    const values = record(pump('nothing-wrong'))
    expect(values).toEqual(record(pump('nothing-wrong')))
    expect(values).toHaveLength(80_000)
    expect(Math.max(...values.map(Math.abs))).toBeLessThanOrEqual(0.7 + 1e-9)
  })

  it('has the hum of its mains and its own speed, and says nothing bad of a sound one', () => {
    const heard = hear(pump('nothing-wrong'))
    expect(heard.tones.map(({ name }) => name)).toEqual(expect.arrayContaining(['shaft', 'hum']))
    expect(heard.shaftHertz! / 57.5).toBeCloseTo(1, 1)
    expect(heard).toMatchObject({ bearing: { is: 'no-blows' }, water: { is: 'steady' }, doubts: [] })
  })

  it.each(['outer', 'inner', 'ball', 'cage'] as const)('worn, it hits at the rate of its %s', (place) => {
    expect(hear(pump('bearings-worn'), { place }).bearing).toMatchObject({ is: 'blows', place })
  })

  it('is louder once a turn where its shaft is bent or its bearing loose', () => {
    const turn = (fault: Fault) => hear(pump(fault)).levels.turnDecibels as number
    expect(turn('shaft-bent') - turn('nothing-wrong')).toBeGreaterThan(3)
    expect(turn('bearing-loose-on-shaft') - turn('nothing-wrong')).toBeGreaterThan(3)
  })

  it('crackles where the water boils, and gulps where air comes with it', () => {
    const starved = pump('suction-blocked', ({ suction }) => (suction.blocked = 0.75))
    expect(hear(starved).water).toEqual({ is: 'crackle' })
    const airy = pump('suction-air-leak', ({ suction }) => {
      suction.airLeak = 0.6
      suction.primed = true
    })
    expect(hear(airy).water).toEqual({ is: 'gulps' })
  })

  it('standing still it hums, or is silent without power', () => {
    const stuck = hear(pump('motor-seized'))
    expect(stuck.shaftHertz).toBeUndefined()
    expect(stuck.strongestHertz).toBeCloseTo(120, 0)
    const dead = record(pump('no-supply', ({ supply }) => (supply.breakerDead = true)))
    expect(rmsOf(dead)).toBeCloseTo(RECORDED.noise, 3)
  })
})
