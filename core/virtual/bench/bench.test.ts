import { describe, expect, it } from 'vitest'
import { checkInfo } from '../../knowledge/checks/checks'
import { KINDS, WELLS, type Fault, type Kind } from '../../knowledge/vocabulary'
import { MOTOR_HAS } from '../../motor/nameplate'
import { chance } from '../../quantity/random'
import { answer, type Question } from '../answer'
import { buildMachine } from '../build'
import { breakMachine } from '../faults'
import type { VirtualMachine } from '../machine'
import { AS_FOUND, type Hands, type Parted } from './hands'
import { letsGo, meterShows, stateUnder, type Dial, type Probing } from './meter'
import { placesFor } from './places'
import { benchReads } from './reads'

const dice = () => chance(7)
const DEAD: Hands = { ...AS_FOUND, power: false, electronicsOff: true }
const at = (dial: Dial, a: string, b?: string): Probing => ({ dial, a, b })
const shown = (machine: VirtualMachine, hands: Hands, probing: Probing): number | null => {
  const shows = meterShows(machine, hands, probing, dice())
  if (shows.is === 'over') return null
  if (shows.is !== 'figure') throw new Error(`the display shows ${JSON.stringify(shows)}`)
  return shows.value
}
const parted = (...what: Parted[]): Hands => ({ ...DEAD, parted: new Set(what) })

/** A sound machine of a kind and motor type. */
function sound(kind: Kind, motorType?: string, seed = 1): VirtualMachine {
  for (let turn = 0; ; turn++) {
    const machine = buildMachine(kind, chance(seed + turn))
    if (motorType === undefined || machine.motorType === motorType) return machine
  }
}
const broken = (machine: VirtualMachine, fault: Fault, seed = 3) => {
  const again = structuredClone(machine)
  breakMachine(again, fault, chance(seed))
  return again
}

describe('the circuit under the leads', () => {
  it('a 240 V pump that runs: its volts at the disconnect, half of it to ground, nothing behind an open disconnect', () => {
    const pump = sound('pool', 'permanent-split')
    const full = shown(pump, AS_FOUND, at('volts', 't1', 't2')) as number
    expect(full).toBeGreaterThan(215)
    expect(full).toBeLessThan(250)
    expect(shown(pump, AS_FOUND, at('volts', 't1', 'ground'))).toBeCloseTo(full / 2, -1)
    const off = { ...AS_FOUND, asked: false }
    expect(shown(pump, off, at('volts', 't1', 't2'))).toBeGreaterThan(full)
    expect(shown(pump, off, at('volts', 'm1', 'm2'))).toBeLessThan(1)
  })

  it('across an open contact a meter shows the whole supply, however little it draws', () => {
    const well = broken(sound('well-two-wire'), 'pressure-switch-failed')
    well.house.contacts = 'not-closing'
    // Only one of the two contacts is bridged by the meter: the other is open as well.
    expect(shown(well, AS_FOUND, at('volts', 'c1', 'c2'))).toBeGreaterThan(220)
    expect(shown(well, AS_FOUND, at('volts', 't1', 't2'))).toBeLessThan(1)
  })

  it('a can in its circuit reads as what lies beside it, and as itself with one wire off', () => {
    const pump = sound('pool', 'permanent-split')
    expect(meterShows(pump, DEAD, at('microfarads', 'rc1', 'rc2'), dice()).is).toBe('shorted-can')
    const alone = shown(pump, parted('run-can'), at('microfarads', 'rc1', 'rc2'))
    expect(alone).toBeCloseTo(pump.motor.runMicrofarads, 0)
  })

  it('of a leak that breaks down only under volts the ohmmeter sees nothing', () => {
    const well = sound('well-three-wire')
    well.insulation.cableMegohms = 0.19
    well.insulation.lowVoltFactor = 300
    expect(shown(well, DEAD, at('volts-500', 'k2', 'ground'))).toBeCloseTo(0.19, 1)
    expect(shown(well, DEAD, at('ohms', 'k2', 'ground'))).toBeNull()
  })

  it('parted at the splice, cable and motor are two', () => {
    const well = sound('well-three-wire')
    well.insulation.cableMegohms = 0.19
    const apart = { ...parted('splice'), pulled: true }
    expect(shown(well, apart, at('volts-500', 'kx', 'ground'))).toBeCloseTo(0.19, 1)
    expect(shown(well, apart, at('volts-500', 'km', 'ground'))).toBeGreaterThan(5)
  })

  it('a lead on paint finds every motor sound', () => {
    const pump = sound('pool', 'permanent-split')
    pump.insulation.windingMegohms = 0.01
    expect(shown(pump, DEAD, at('volts-500', 'm1', 'ground'))).toBeLessThan(0.2)
    expect(shown(pump, DEAD, at('volts-500', 'm1', 'paint'))).toBeNull()
  })

  it('a jaw round both lines shows nothing, whatever flows', () => {
    const pump = sound('pool', 'permanent-split')
    expect(shown(pump, AS_FOUND, at('amps', 'jaw-one'))).toBeGreaterThan(3)
    expect(shown(pump, AS_FOUND, at('amps', 'jaw-both'))).toBeLessThan(0.2)
  })

  it('leads that were swapped at the splice show as windings that do not add up', () => {
    const well = sound('well-three-wire')
    const [main, aux] = [well.motor.circuit.r1Ohms, well.motor.auxOhms]
    well.cable.swapped = 'common-start'
    expect(shown(well, DEAD, at('ohms', 'y2', 'k2'))).toBeCloseTo(main + aux + well.cable.loopOhms, 0)
    well.cable.swapped = 'run-start'
    expect(shown(well, DEAD, at('ohms', 'y2', 'k2'))).toBeCloseTo(aux + well.cable.loopOhms, 0)
  })
})

describe('what a meter does not forgive', () => {
  it('ohms and insulation on what is live, test volts on electronics, a can that nobody bled', () => {
    const pool = sound('pool', 'permanent-split')
    const harm = (machine: VirtualMachine, hands: Hands, probing: Probing) => {
      const shows = meterShows(machine, hands, probing, dice())
      return shows.is === 'harm' ? shows.harm : shows.is
    }
    expect(harm(pool, AS_FOUND, at('ohms', 't1', 't2'))).toBe('live-ohms')
    expect(harm(pool, AS_FOUND, at('microfarads', 't1', 'ground'))).toBe('live-ohms')
    expect(harm(pool, AS_FOUND, at('volts-500', 't1', 'ground'))).toBe('live-insulation')
    expect(harm(pool, { ...DEAD, charged: true }, at('ohms', 'rc1', 'rc2'))).toBe('charged-meter')
    expect(harm(sound('well-three-wire'), { ...DEAD, electronicsOff: false }, at('volts-500', 'k', 'ground'))).toBe(
      'insulation-on-electronics',
    )
    expect(harm(sound('pool', 'electronic'), { ...DEAD, electronicsOff: false }, at('volts-500', 'm1', 'ground'))).toBe(
      'insulation-on-electronics',
    )
    expect(harm(pool, DEAD, at('volts-500', 'm1', 'ground'))).toBe('figure')
  })

  it('a grounded motor lets the breaker go as soon as it is asked for, and not before', () => {
    const well = sound('well-two-wire')
    well.insulation.windingMegohms = 0.0001
    expect(letsGo(well, AS_FOUND)).toBe(true)
    expect(letsGo(well, { ...AS_FOUND, asked: false })).toBe(false)
    expect(letsGo(well, { ...AS_FOUND, power: false })).toBe(false)
  })
})

/** Where each check is read on a kind, and how the machine stands for it. */
function probingOf(question: Question, machine: VirtualMachine): [Hands, Probing] | undefined {
  const { check, setup, half } = question
  const { kind, motor } = machine
  const well = WELLS.includes(kind)
  if (setup && setup !== (well || kind === 'sump' ? setup : 'surface-motor')) return undefined
  if ((half || setup?.endsWith('-alone')) && !well) return undefined
  if (setup === 'surface-motor' && (well || kind === 'sump')) return undefined
  // Behind an open winding each lead has its own leak, where the check takes all of them together.
  if (setup && setup !== 'cable-alone' && (motor.runOpen || motor.protectorOpen)) return undefined
  const places = placesFor(question, machine)
  if (!places) return undefined
  const isLive = checkInfo(check)?.gates.includes('power-on') ?? false
  const base = isLive
    ? { ...AS_FOUND, asked: places.asked ?? true }
    : { ...DEAD, pulled: places.parted?.includes('splice') ?? check === 'capacitance' }
  return [{ ...base, parted: new Set(places.parted) }, places.probing]
}

const ASKED: readonly Question[] = [
  { check: 'breaker-voltage' },
  { check: 'outlet-voltage' },
  { check: 'battery-voltage' },
  { check: 'running-current' },
  { check: 'locked-current' },
  { check: 'supply-voltage' },
  { check: 'supply-voltage-loaded' },
  { check: 'load-side-voltage' },
  { check: 'drop-test' },
  { check: 'ground-ohmmeter' },
  { check: 'capacitance', part: 'run-capacitor' },
  { check: 'capacitance', part: 'start-capacitor' },
  { check: 'winding-resistance', leads: 'run-common' },
  { check: 'winding-resistance', leads: 'start-common' },
  { check: 'winding-resistance', leads: 'run-common', half: 'motor' },
  { check: 'thermal-protector-continuity' },
  { check: 'insulation-resistance', setup: 'surface-motor' },
  { check: 'insulation-resistance', setup: 'motor-and-cable' },
  { check: 'insulation-resistance', setup: 'cable-alone' },
  { check: 'insulation-resistance', setup: 'motor-alone' },
]
const FAULTS: readonly Fault[] = [
  'nothing-wrong',
  'no-supply',
  'run-capacitor-failed',
  'start-capacitor-failed',
  'run-winding-open',
  'start-winding-open',
  'winding-shorted',
  'winding-to-ground',
  'cable-to-ground',
  'cable-open',
  'leads-swapped',
  'lead-connector-leaking',
  'water-in-motor',
  'thermal-protector-open',
  'low-supply-voltage',
  'backup-battery-failed',
  'motor-seized',
]

describe('leads, dial and checks say the same of one machine', () => {
  it.each(Object.keys(KINDS) as Kind[])('%s: every reading of the bench is what the check answers', (kind) => {
    let compared = 0
    for (let seed = 0; seed < 60; seed++) {
      const machine = broken(sound(kind, undefined, seed * 5), FAULTS[seed % FAULTS.length] as Fault, seed)
      for (const question of ASKED) {
        if (question.leads === 'start-common' && !MOTOR_HAS.startWinding(machine.motorType)) continue
        if (question.part === 'run-capacitor' && !MOTOR_HAS.runCapacitor(machine.motorType)) continue
        if (question.part === 'start-capacitor' && !MOTOR_HAS.startCapacitor(machine.motorType)) continue
        const probed = probingOf(question, machine)
        if (!probed) continue
        const [hands, probing] = probed
        const now = { ...hands, tripped: letsGo(machine, hands) }
        const reads = benchReads(machine, now, probing, meterShows(machine, now, probing, dice()))
        const read = reads.find(({ question: { check } }) => check === question.check)
        const asked = answer(machine, question, chance(seed))
        // What has let go shows nothing, where the check takes it that somebody holds it in for a moment.
        if (now.tripped) continue
        // Under load the line takes its part, which the check is read without.
        if (question.check === 'load-side-voltage' && stateUnder(machine, now).energised) continue
        expect(JSON.parse(JSON.stringify(read?.question ?? {})), machine.motorType).toEqual(question)
        const say = `${seed} ${FAULTS[seed % FAULTS.length]} ${machine.motorType} ${JSON.stringify(question)}`
        if (typeof asked.value === 'number' && typeof read?.answer.value === 'number')
          expect(Math.abs(read.answer.value - asked.value), `${say} ${asked.value} ${read.answer.value}`).toBeLessThan(
            0.16 * Math.max(asked.value, read.answer.value) + 1,
          )
        else if (asked.outcome === undefined) expect(read?.answer.value, say).toBe(asked.value)
        compared++
      }
    }
    expect(compared).toBeGreaterThan(100)
  })
})
