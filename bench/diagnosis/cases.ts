import { buildModel, motorHas } from '#core/diagnosis/model'
import { FAULT_TRAITS } from '#core/knowledge/faults/fault-traits'
import type { Complaint, Fault, Kind, Part } from '#core/knowledge/vocabulary'
import { KINDS } from '#core/knowledge/vocabulary'
import type { Pump } from '#core/motor/nameplate'
import { buildMachine } from '#core/virtual/build'
import { complaintsOfMachine, noticeableComplaints } from '#core/virtual/complaint'
import { breakMachine } from '#core/virtual/faults'
import { houseWater, type VirtualMachine } from '#core/virtual/machine'
import { OUTSIDE } from '#core/virtual/outside'
import { chance, type Chance } from '#core/quantity/random'

export interface VirtualCase {
  seed: number
  machine: VirtualMachine
  pump: Pump
  /** What is wrong, in the list's terms: what stands outside the list goes by what a repair of it would cure. */
  faults: Fault[]
  outside?: string
  complaints: Complaint[]
  alreadyReplaced: Part[]
  /** Of what the caller told, what is there still once these causes are cured. */
  toldStill: (cures: readonly string[]) => Complaint[]
  chance: Chance
}

const MOST_TRIES = 400
/** So many machines with one fault and nobody notices: then nobody calls about it. */
const MOST_UNNOTICED = 60
/** Each fault is this many times as common, or as rare, as the engine believes, at the most. */
const RATES_DIFFER_BY = 3
const OUTSIDE_SHARE = 0.03
const REPAIRED_BEFORE = 0.2
/** Who has no water at the tap says that, and half the time nothing else. */
const SAYS_ONLY_NO_WATER = 0.5

/** What somebody has replaced before, and what came of it now and then. */
const EARLIER: readonly { part: Part; kinds: readonly Kind[]; left: readonly (Fault | undefined)[] }[] = [
  {
    part: 'run-capacitor',
    kinds: ['pool', 'spa', 'circulation', 'utility'],
    left: ['wrong-capacitor-fitted', ...Array<undefined>(9)],
  },
  {
    part: 'shaft-seal',
    kinds: ['pool', 'booster', 'spa', 'jet', 'circulation'],
    left: ['seal-misfitted', 'shaft-o-ring-leaking', ...Array<undefined>(10)],
  },
  { part: 'bearings', kinds: ['pool', 'spa', 'utility'], left: ['bearing-misfitted', ...Array<undefined>(7)] },
  { part: 'motor', kinds: ['pool', 'jet', 'well-three-wire'], left: ['loose-connection', ...Array<undefined>(9)] },
  {
    part: 'pressure-switch',
    kinds: ['well-two-wire', 'well-three-wire', 'jet'],
    left: Array<undefined>(8).fill(undefined),
  },
  { part: 'float-switch', kinds: ['sump'], left: Array<undefined>(8).fill(undefined) },
  { part: 'control-box', kinds: ['well-three-wire'], left: Array<undefined>(8).fill(undefined) },
]

/** The machine as its visit would enter it: what can be read of its plate, and what is known of the place. */
export function pumpOfMachine(machine: VirtualMachine): Pump {
  const { kind, construction, ageYears, underWarranty, shownPlate, installation } = machine
  return {
    kind,
    construction,
    ageYears: Number(ageYears.toFixed(1)),
    underWarranty,
    nameplate: shownPlate,
    installation,
  }
}

/** A number of a fault’s own. */
const faultSeed = (fault: string) =>
  [...fault].reduce((sum, letter) => (Math.imul(sum, 31) + letter.charCodeAt(0)) >>> 0, 7)

/** How much commoner each fault of this world is than the engine believes: one draw a world and fault. */
export function worldOf(seed: number): (fault: string) => number {
  const known = new Map<string, number>()
  return (fault) => {
    const factor = known.get(fault) ?? RATES_DIFFER_BY ** chance(seed + faultSeed(fault)).between(-1, 1)
    known.set(fault, factor)
    return factor
  }
}

/**
 * A machine somebody calls about. What fails is drawn at rates that differ from the engine's, the machine is broken
 * physically, and where nobody would notice, nobody calls.
 *
 * @param only one fault instead of a drawn one, for the pass over every fault
 * @returns undefined where this machine cannot have the fault, or nobody ever calls about it
 */
export function drawCase(
  seed: number,
  kind: Kind,
  world: (fault: string) => number,
  only?: Fault,
): VirtualCase | undefined {
  const dice = chance(seed)
  for (let turn = 0; turn < (only ? MOST_UNNOTICED : MOST_TRIES); turn++) {
    const machine = buildMachine(kind, dice)
    if (only && only !== 'nothing-wrong' && !motorHas(machine.motorType, FAULT_TRAITS[only].needs)) continue
    const outside =
      !only && dice.hit(OUTSIDE_SHARE) ? dice.pick(OUTSIDE.filter(({ kinds }) => kinds.includes(kind))) : undefined
    const drawn: Fault[] = only ? [only] : outside ? [outside.curedAs] : drawFaults(machine, world, dice)
    const alreadyReplaced: Part[] = []
    if (!only && dice.hit(REPAIRED_BEFORE)) {
      const earlier = EARLIER.filter(({ kinds }) => kinds.includes(kind))
      if (earlier.length > 0) {
        const { part, left } = dice.pick(earlier)
        alreadyReplaced.push(part)
        const trouble = dice.pick(left)
        if (trouble && !outside && motorHas(machine.motorType, FAULT_TRAITS[trouble as 'gfci-worn'].needs))
          drawn.splice(0, drawn.length, trouble)
      }
    }
    // What somebody has lived with since the well was drilled makes nobody call today.
    const livedWith = noticeableComplaints(machine)
    const whole = structuredClone(machine)
    const turnSeed = Math.floor(dice.next() * 2 ** 31)
    const broken = (faults: readonly Fault[]) => {
      const again = structuredClone(whole)
      for (const fault of faults) breakMachine(again, fault, chance(turnSeed + faultSeed(fault)))
      return again
    }
    if (outside) outside.change(machine, dice)
    else Object.assign(machine, broken(drawn))
    const sound = drawn.includes('nothing-wrong')
    // A sound machine that somebody calls about is as rare as its rate says: no second chance at being noticed.
    const said = complaintsOfMachine(machine, sound, dice)
    const complaints =
      houseWater(kind) && said.includes('no-water') && dice.hit(SAYS_ONLY_NO_WATER)
        ? (['no-water'] as Complaint[])
        : said
    if (sound ? complaints.length > 0 : complaints.some((complaint) => !livedWith.includes(complaint)))
      return {
        seed,
        machine,
        pump: pumpOfMachine(machine),
        faults: drawn,
        outside: outside?.id,
        complaints,
        alreadyReplaced,
        toldStill: (cures) => {
          const left = drawn.filter((fault) => !cures.includes(fault))
          if (outside || sound) return left.length > 0 ? complaints : []
          const noticed = noticeableComplaints(broken(left))
          return complaints.filter((complaint) => noticed.includes(complaint) && !livedWith.includes(complaint))
        },
        chance: dice,
      }
  }
  return undefined
}

/** Drawn for the machine as it is, not as its plate reads. */
function drawFaults(
  { kind, construction, ageYears, nameplate, installation }: VirtualMachine,
  world: (fault: string) => number,
  dice: Chance,
): Fault[] {
  const { hypotheses, priors } = buildModel({ kind, construction, ageYears, nameplate, installation })
  const weights = hypotheses.map(({ faults }, h) =>
    faults.reduce((weight, fault) => weight * world(fault), priors[h] as number),
  )
  return [...(hypotheses[dice.weighted(weights)]?.faults ?? [])] as Fault[]
}

export const ALL_KINDS = Object.keys(KINDS) as Kind[]
