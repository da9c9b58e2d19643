import { renewedParts } from '../knowledge/repairs/renews'
import type { Kind, Part } from '../knowledge/vocabulary'
import { MILLISECONDS_PER_YEAR } from '../quantity/conversions'
import type { Chance } from '../quantity/random'
import { buildMachine } from './build'
import type { VirtualMachine } from './machine'

/** One way in which a machine of a shop fails: how often in a year of running, at an age of the part it lives in. */
export interface Habit {
  fault: string
  part?: Part
  yearly: (ageYears: number) => number
}

/** A machine that has lived at a shop: instants in milliseconds. */
export interface LivedMachine {
  id: string
  machine: VirtualMachine
  installedAt: number
  fitted: { part: Part; at: number }[]
  knownSince: number
}

/** What became of a shop's machines. */
export interface LivedFleet {
  machines: LivedMachine[]
  failures: { machineId: string; fault: string; at: number }[]
}

export interface LifeOfFleet {
  machines: number
  kinds: readonly Kind[]
  /** Milliseconds. */
  from: number
  to: number
  habitsOf: (machine: VirtualMachine) => readonly Habit[]
  /** How much of a year's running a machine does in a stretch, years. */
  running: (kind: Kind, from: number, to: number) => number
}

const STEP = MILLISECONDS_PER_YEAR / 12
/** Past this age of its motor a failure inside it is answered with a new one. */
const NEW_MOTOR_YEARS = 12

/**
 * Machines of a shop as they live from one day to another: each of its ways to fail comes when it comes, what failed is
 * put right with a new part, and an old motor goes as a whole.
 */
export function liveThrough(
  { machines: count, kinds, from, to, habitsOf, running }: LifeOfFleet,
  chance: Chance,
): LivedFleet {
  const fleet: LivedFleet = { machines: [], failures: [] }
  for (let index = 0; index < count; index++) {
    const machine = buildMachine(chance.pick(kinds), chance)
    // As old as the witness built it in the middle of that time.
    const installedAt = (from + to) / 2 - machine.ageYears * MILLISECONDS_PER_YEAR
    const knownSince = from + chance.next() * (to - from) * 0.5
    const lived: LivedMachine = { id: `machine-${index}`, machine, installedAt, fitted: [], knownSince }
    fleet.machines.push(lived)
    const since = new Map<string, number>()
    const inMotor = renewedParts(['motor'], machine.kind)
    const habits = habitsOf(machine)
    for (let at = Math.max(from, installedAt); at < to; at += STEP) {
      const years = running(machine.kind, at, Math.min(to, at + STEP))
      if (years === 0) continue
      for (const { fault, part, yearly } of habits) {
        const age = (at - ((part && since.get(part)) ?? installedAt)) / MILLISECONDS_PER_YEAR
        if (!chance.hit(1 - Math.exp(-yearly(age) * years))) continue
        const then = at + chance.next() * (Math.min(to, at + STEP) - at)
        fleet.failures.push({ machineId: lived.id, fault, at: then })
        if (part === undefined) continue
        const isOld = (then - (since.get('motor') ?? installedAt)) / MILLISECONDS_PER_YEAR > NEW_MOTOR_YEARS
        const fresh: Part = isOld && inMotor.has(part) ? 'motor' : part
        lived.fitted.push({ part: fresh, at: then })
        for (const inside of renewedParts([fresh], machine.kind)) since.set(inside, then)
      }
    }
    lived.fitted.sort((a, b) => a.at - b.at)
  }
  fleet.failures.sort((a, b) => a.at - b.at)
  return fleet
}
