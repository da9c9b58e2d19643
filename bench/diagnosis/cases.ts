import { buildModel, motorHas } from '#core/diagnosis/model'
import { FAULT_TRAITS } from '#core/knowledge/faults/fault-traits'
import type { Complaint, Fault, Kind } from '#core/knowledge/vocabulary'
import { KINDS } from '#core/knowledge/vocabulary'
import type { Pump } from '#core/motor/nameplate'
import { buildMachine } from '#core/virtual/build'
import { complaintsOfMachine } from '#core/virtual/complaint'
import { breakMachine } from '#core/virtual/faults'
import type { VirtualMachine } from '#core/virtual/machine'
import { chance, type Chance } from '#core/quantity/random'

export interface VirtualCase {
  seed: number
  machine: VirtualMachine
  pump: Pump
  faults: Fault[]
  complaints: Complaint[]
  chance: Chance
}

const MOST_TRIES = 400
/** So many machines with one fault and nobody notices: then nobody calls about it. */
const MOST_UNNOTICED = 60

/** The machine as its visit would enter it: what stands on the plate and is known of the place. */
export function pumpOfMachine(machine: VirtualMachine): Pump {
  const { kind, construction, ageYears, underWarranty, nameplate, installation } = machine
  return { kind, construction, ageYears: Number(ageYears.toFixed(1)), underWarranty, nameplate, installation }
}

/**
 * A machine somebody calls about. What fails is drawn at the stated rates (a machine's own priors), the machine is
 * broken physically, and where nobody would notice, nobody calls.
 *
 * @param only one fault instead of a drawn one, for the pass over every fault
 * @returns undefined where this machine cannot have the fault, or nobody ever calls about it
 */
export function drawCase(seed: number, kind: Kind, only?: Fault): VirtualCase | undefined {
  const dice = chance(seed)
  for (let turn = 0; turn < (only ? MOST_UNNOTICED : MOST_TRIES); turn++) {
    const machine = buildMachine(kind, dice)
    const pump = pumpOfMachine(machine)
    if (only && only !== 'nothing-wrong' && !motorHas(machine.motorType, FAULT_TRAITS[only].needs)) continue
    const drawn = only ? [only] : drawFaults(pump, dice)
    for (const fault of drawn) breakMachine(machine, fault, dice)
    const sound = drawn.includes('nothing-wrong')
    // A sound machine that somebody calls about is as rare as its rate says: no second chance at being noticed.
    const complaints = complaintsOfMachine(machine, sound, dice)
    if (complaints.length > 0) return { seed, machine, pump, faults: drawn, complaints, chance: dice }
  }
  return undefined
}

function drawFaults(pump: Pump, dice: Chance): Fault[] {
  const { hypotheses, priors } = buildModel(pump)
  return [...(hypotheses[dice.weighted(priors)]?.faults ?? [])] as Fault[]
}

export const ALL_KINDS = Object.keys(KINDS) as Kind[]
