import { parentPort, workerData } from 'node:worker_threads'
import { BEARING_INSIDES } from '#core/knowledge/mechanical/bearing-insides'
import type { Fault, Kind } from '#core/knowledge/vocabulary'
import { chance } from '#core/quantity/random'
import { bearingSigns, SIGN_LIMITS, type BearingSign } from '#core/sound/bearing-signs'
import { listenTo, type Heard } from '#core/sound/listen'
import { buildMachine } from '#core/virtual/build'
import { breakMachine } from '#core/virtual/faults'
import { virtualSound, type Recorded } from '#core/virtual/sound'

/** One virtual recording: a machine by its seed, what is wrong with it, and the noises about it. */
export interface Task {
  seed: number
  kind: Kind
  fault: Fault
  noises: readonly number[]
}
/** What was heard at one noise. */
export interface Row {
  fault: Fault
  noise: number
  place?: BearingSign['place']
  bearing: Heard['bearing']
  water: Heard['water']['is']
  /** The clearest line of a damaged place, however weak. */
  clearest?: Pick<BearingSign, 'prominence' | 'second'>
  hissDecibels: number
}

const HERTZ = 16_000
const SECONDS = 6
const PLACES = ['outer', 'inner', 'ball', 'cage'] as const
/** A quarter of what counts: a curve begins before its limit. */
const WEAK = { line: SIGN_LIMITS.line / 4, second: SIGN_LIMITS.second / 4, alone: SIGN_LIMITS.alone / 4 }

for (const { seed, kind, fault, noises } of (workerData as { tasks: Task[] }).tasks) {
  const dice = chance(seed)
  const machine = buildMachine(kind, dice)
  breakMachine(machine, fault, dice)
  const [balls, ballMillimetres, pitchMillimetres] = dice.pick(Object.values(BEARING_INSIDES))
  const bearing = { balls, ballMillimetres, pitchMillimetres }
  const place = dice.pick(PLACES)
  const recorded: Omit<Recorded, 'noise'> = { hertz: HERTZ, seconds: SECONDS, bearing, vanes: 5, place }
  for (const noise of noises) {
    // The same machine and the same blows, with more about it.
    const values = virtualSound(machine, { ...recorded, noise }, chance(seed + 1))
    const turning = { rpm: 3_450, mainsHertz: 60 }
    const heard = listenTo({ hertz: HERTZ, values }, turning, bearing)
    const [clearest] = bearingSigns(heard.bands, bearing, heard.shaftHertz ?? turning.rpm / 60, WEAK)
    const row: Row = {
      fault,
      noise,
      ...(fault === 'bearings-worn' ? { place } : {}),
      bearing: heard.bearing,
      water: heard.water.is,
      ...(clearest ? { clearest: { prominence: clearest.prominence, second: clearest.second } } : {}),
      hissDecibels: heard.levels.hissDecibels,
    }
    parentPort?.postMessage(row)
  }
}
