import { USUAL_INSIDE } from '../knowledge/mechanical/bearing-insides'
import { bearingTones } from '../mechanics/bearing'
import type { Chance } from '../quantity/random'
import { electricState } from './electrics'
import type { VirtualMachine } from './machine'
import type { WaterPoint } from './water'

/** How a virtual pump is recorded. */
export interface Recorded {
  hertz: number
  seconds: number
  /** Of the surroundings, beside a machine's own loudness of 1. */
  noise: number
  bearing: { balls: number; ballMillimetres: number; pitchMillimetres: number }
  vanes: number
  /** The place of the bearing that is damaged, where it is worn. */
  place: 'outer' | 'inner' | 'ball' | 'cage'
}

/** As a telephone held to it would record it, in a quiet place. */
const QUIET = { hertz: 16_000, seconds: 5, noise: 0.01, vanes: 5 } as const

const MAINS_HERTZ = 60
const SYNCHRONOUS_HERTZ = 60
/** A blow rings in what it hits, Hz and seconds. */
const RINGS = { hertz: 3_300, seconds: 0.0012 } as const
/** How loud a blow is for the wear over that at which it begins, beside a machine's own loudness of 1. */
const BLOW = 0.6
const SILENT_WEAR = 0.4
/** Wear from which a bearing is heard to hit, and air from which water is heard to gulp. */
const HEARD_WEAR = 0.5
const HEARD_AIR = 0.25
/** Water that flows, of full scale; bubbles that collapse, Hz, seconds and how many; gulps of air. */
const RUSH = 0.01
const AIR_LOUDER = 4
const BURST = { hertz: 5_200, seconds: 0.0004, perSecond: 160 } as const
const GULPS_PER_SECOND = 8

/**
 * A recording of a virtual pump: hum of the mains, the shaft's own lines, vanes, blows of a worn bearing, water that
 * boils or carries air, and what is around. What stands still hums or is silent.
 *
 * @returns samples from -1 to 1
 * @source blows as of McFadden and Smith 1984: an impulse at each pass, ringing down, with a slip of a percent
 */
export function virtualSound(machine: VirtualMachine, recorded: Recorded, chance: Chance): Float64Array {
  const { hertz, seconds, noise } = recorded
  const state = electricState(machine)
  const samples = new Float64Array(Math.round(hertz * seconds))
  for (let at = 0; at < samples.length; at++) samples[at] = chance.normal(0, noise)
  if (state.energised) addTone(samples, hertz, 2 * MAINS_HERTZ, state.hums ? 0.5 : 0.12 * Math.max(0.5, state.overload))
  if (state.turning) {
    const shaft = state.speed * SYNCHRONOUS_HERTZ
    const { bearing, wheel, suction } = machine
    addTone(samples, hertz, shaft, 0.03 + bearing.runoutInches * 12 + bearing.looseMillimetres * 0.6)
    addTone(samples, hertz, 2 * shaft, machine.coupled ? 0.012 : 0.15)
    addTone(samples, hertz, recorded.vanes * shaft, 0.02 + (wheel.broken === 'no' ? 0 : 0.1))
    if (bearing.wear > HEARD_WEAR) addBlows(samples, recorded, shaft, bearing.wear, chance)
    addRush(samples, hertz, { crackle: crackleOf(machine, state.water), air: suction.airLeak }, chance)
  }
  return state.energised ? levelled(samples) : samples
}

/** A recording in a quiet place, of a machine with the usual bearings. */
export function quietRecording(machine: VirtualMachine, chance: Chance): { hertz: number; values: Float64Array } {
  const place = chance.pick(['outer', 'inner', 'ball'] as const)
  return { hertz: QUIET.hertz, values: virtualSound(machine, { ...QUIET, bearing: USUAL_INSIDE, place }, chance) }
}

function addTone(samples: Float64Array, hertz: number, tone: number, amplitude: number): void {
  for (let at = 0; at < samples.length; at++)
    samples[at]! += amplitude * Math.sin((2 * Math.PI * tone * at) / hertz + tone)
}

/** Blows at the rate of the damaged place; what turns through the load is louder on one side of it. */
function addBlows(
  samples: Float64Array,
  { hertz, bearing, place }: Recorded,
  shaft: number,
  wear: number,
  chance: Chance,
): void {
  const { outerHz, innerHz, ballHz, cageHz } = bearingTones({ ...bearing, rpm: shaft * 60 })
  const rate = { outer: outerHz, inner: innerHz, ball: ballHz, cage: cageHz }[place]
  const passes = { outer: 0, inner: shaft, ball: cageHz, cage: 0 }[place]
  const loudest = BLOW * (wear - SILENT_WEAR)
  const length = Math.round(RINGS.seconds * 6 * hertz)
  const ring = Math.min(RINGS.hertz, hertz * 0.4)
  for (let blow = 0; blow < samples.length / hertz; blow += (1 / rate) * chance.normal(1, 0.006)) {
    const load = passes === 0 ? 1 : 1 + 0.8 * Math.cos(2 * Math.PI * passes * blow)
    const from = Math.round(blow * hertz)
    for (let at = from; at < Math.min(samples.length, from + length); at++) {
      const since = (at - from) / hertz
      samples[at]! += loudest * load * Math.exp(-since / RINGS.seconds) * Math.sin(2 * Math.PI * ring * since)
    }
  }
}

/** From where on water boils in the wheel: a jet pump lifts by its vacuum. */
function crackleOf({ kind }: VirtualMachine, { vacuumInHg }: WaterPoint): number {
  const from = kind === 'jet' ? 23 : 11
  return Math.min(1, Math.max(0, (vacuumInHg - from) / 6))
}

/** Water rushes; what boils in it collapses in bursts without a beat; with air in it, it comes in gulps. */
function addRush(
  samples: Float64Array,
  hertz: number,
  { crackle, air }: { crackle: number; air: number },
  chance: Chance,
): void {
  const piece = Math.round(hertz / GULPS_PER_SECOND)
  const rush = RUSH * (1 + AIR_LOUDER * air)
  let [before, loud] = [0, 1]
  for (let at = 0; at < samples.length; at++) {
    if (air > HEARD_AIR && at % piece === 0) loud = chance.between(0.4, 2.6)
    const now = chance.normal(0, 1)
    samples[at]! += rush * loud * (now - before)
    before = now
  }
  if (crackle === 0) return
  const burst = Math.min(BURST.hertz, hertz * 0.4)
  const length = Math.round(BURST.seconds * 6 * hertz)
  for (let at = 0; at < samples.length; at += Math.ceil((-Math.log(1 - chance.next()) * hertz) / BURST.perSecond)) {
    const size = crackle * chance.between(0.1, 0.5)
    for (let on = at; on < Math.min(samples.length, at + length); on++) {
      const since = (on - at) / hertz
      samples[on]! += size * Math.exp(-since / BURST.seconds) * Math.sin(2 * Math.PI * burst * since)
    }
  }
}

/** As a telephone sets its own level: the loudest is well below the stop. */
function levelled(samples: Float64Array): Float64Array {
  let loudest = 0
  for (const sample of samples) loudest = Math.max(loudest, Math.abs(sample))
  return samples.map((sample) => (0.7 * sample) / loudest)
}
