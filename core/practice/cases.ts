import { buildModel, motorHas } from '../diagnosis/model'
import { FAULT_TRAITS } from '../knowledge/faults/fault-traits'
import type { Complaint, Fault, Kind, Part } from '../knowledge/vocabulary'
import { KINDS } from '../knowledge/vocabulary'
import type { Pump } from '../motor/nameplate'
import { buildMachine } from '../virtual/build'
import { complaintsOfMachine, noticeableComplaints } from '../virtual/complaint'
import { breakMachine } from '../virtual/faults'
import { houseWater, type VirtualMachine } from '../virtual/machine'
import { OUTSIDE, type Outside } from '../virtual/outside'
import { chance, type Chance } from '../quantity/random'

/** A case as it is kept: everything else of it follows. */
export interface CaseData {
  seed: number
  /** The machine before anything was wrong with it. */
  whole: VirtualMachine
  /** What is wrong, in the list's terms: what stands outside the list goes by what a repair of it would cure. */
  faults: Fault[]
  outside?: string
  complaints: Complaint[]
  alreadyReplaced: Part[]
  /** How each of its faults came out, and that of no list. */
  turnSeed: number
  outsideSeed: number
}

export interface VirtualCase extends Omit<CaseData, 'whole' | 'turnSeed' | 'outsideSeed'> {
  machine: VirtualMachine
  pump: Pump
  /** Of what the caller told, what is there still once these causes are cured. */
  toldStill: (cures: readonly string[]) => Complaint[]
  /** The same machine once these causes are cured, and with what was broken on it since. */
  machineAfter: (cures: readonly string[], brokenSince?: readonly Fault[]) => VirtualMachine
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

/** What is wrong with a machine, and what somebody did to it before. */
export interface Wrong {
  faults: Fault[]
  outside?: Outside
  alreadyReplaced: Part[]
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
    const faults: Fault[] = only ? [only] : outside ? [outside.curedAs] : drawFaults(machine, world, dice)
    const earlier = !only && dice.hit(REPAIRED_BEFORE) ? earlierRepair(machine, dice) : undefined
    const called = calledAbout(
      machine,
      {
        faults: earlier?.trouble && !outside ? [earlier.trouble] : faults,
        outside,
        alreadyReplaced: earlier ? [earlier.part] : [],
      },
      dice,
      seed,
    )
    if (called) return caseOf(called)
  }
  return undefined
}

/** What somebody has replaced on such a machine before, and the trouble that came of it, if any did. */
export function earlierRepair(
  { kind, motorType }: VirtualMachine,
  dice: Chance,
): { part: Part; trouble?: Fault } | undefined {
  const earlier = EARLIER.filter(({ kinds }) => kinds.includes(kind))
  if (earlier.length === 0) return undefined
  const { part, left } = dice.pick(earlier)
  const trouble = dice.pick(left)
  return trouble && canHave(motorType, trouble) ? { part, trouble } : { part }
}

/** Troubles that earlier repairs leave on a kind, each with the part that was replaced. */
export function badRepairsOf({ kind, motorType }: VirtualMachine): { part: Part; trouble: Fault }[] {
  return EARLIER.filter(({ kinds }) => kinds.includes(kind)).flatMap(({ part, left }) =>
    left.flatMap((trouble) => (trouble && canHave(motorType, trouble) ? [{ part, trouble }] : [])),
  )
}

const canHave = (motorType: VirtualMachine['motorType'], fault: Fault): boolean =>
  fault === 'nothing-wrong' || motorHas(motorType, FAULT_TRAITS[fault].needs)

/**
 * The machine broken as is said, if anybody would call about it.
 *
 * @returns undefined where nobody would notice
 */
export function calledAbout(
  whole: VirtualMachine,
  { faults, outside, alreadyReplaced }: Wrong,
  dice: Chance,
  seed: number,
): CaseData | undefined {
  const turnSeed = Math.floor(dice.next() * 2 ** 31)
  const outsideSeed = outside ? Math.floor(dice.next() * 2 ** 31) : 0
  const data: CaseData = {
    seed,
    whole: structuredClone(whole),
    faults,
    ...(outside ? { outside: outside.id } : {}),
    complaints: [],
    alreadyReplaced,
    turnSeed,
    outsideSeed,
  }
  const now = brokenAs(data, [])
  const sound = faults.includes('nothing-wrong')
  // A sound machine that somebody calls about is as rare as its rate says: no second chance at being noticed.
  const said = complaintsOfMachine(now, sound, dice)
  const complaints =
    houseWater(now.kind) && said.includes('no-water') && dice.hit(SAYS_ONLY_NO_WATER)
      ? (['no-water'] as Complaint[])
      : said
  // What somebody has lived with since the well was drilled makes nobody call today.
  const livedWith = noticeableComplaints(whole)
  const isNoticed = sound ? complaints.length > 0 : complaints.some((complaint) => !livedWith.includes(complaint))
  return isNoticed ? { ...data, complaints } : undefined
}

/** The machine of a case once these causes are cured, and with what was broken on it since. */
function brokenAs(
  { whole, faults, outside, turnSeed, outsideSeed }: CaseData,
  cures: readonly string[],
  brokenSince: readonly Fault[] = [],
): VirtualMachine {
  const again = structuredClone(whole)
  const left = outside ? [] : faults.filter((fault) => !cures.includes(fault))
  for (const fault of [...left, ...brokenSince]) breakMachine(again, fault, chance(turnSeed + faultSeed(fault)))
  const foreign = OUTSIDE.find(({ id }) => id === outside)
  if (foreign && !cures.includes(foreign.curedAs)) foreign.change(again, chance(outsideSeed))
  return again
}

/** A case with all that follows from it. */
export function caseOf(data: CaseData): VirtualCase {
  const { seed, whole, faults, outside, complaints, alreadyReplaced } = data
  const machine = brokenAs(data, [])
  return {
    seed,
    machine,
    pump: pumpOfMachine(machine),
    faults,
    ...(outside ? { outside } : {}),
    complaints,
    alreadyReplaced,
    toldStill: (cures) => {
      const left = faults.filter((fault) => !cures.includes(fault))
      if (outside || faults.includes('nothing-wrong')) return left.length > 0 ? complaints : []
      const noticed = noticeableComplaints(brokenAs(data, cures))
      const livedWith = noticeableComplaints(whole)
      return complaints.filter((complaint) => noticed.includes(complaint) && !livedWith.includes(complaint))
    },
    machineAfter: (cures, brokenSince) => brokenAs(data, cures, brokenSince),
  }
}

/** Drawn for the machine as it is, not as its plate reads. */
export function drawFaults(
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
