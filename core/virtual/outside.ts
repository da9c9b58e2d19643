import type { Fault, Kind } from '../knowledge/vocabulary'
import type { Chance } from '../quantity/random'
import type { VirtualMachine } from './machine'

/**
 * What nobody’s list of faults has: each a physical change like any other, and cured by whatever repair replaces or
 * mends the same thing.
 */
export interface Outside {
  id: string
  kinds: readonly Kind[]
  change: (machine: VirtualMachine, chance: Chance) => void
  /** A repair cures it that cures this fault. */
  curedAs: Fault
}

const SURFACE: readonly Kind[] = ['pool', 'booster', 'spa', 'jet', 'circulation', 'utility']
const WELLS: readonly Kind[] = ['well-two-wire', 'well-three-wire']

export const OUTSIDE: readonly Outside[] = [
  {
    // Cracked rotor bars: less torque, more slip, a growl, and windings that measure well.
    id: 'rotor bars cracked',
    kinds: [...SURFACE, ...WELLS],
    change: ({ motor }, chance) => {
      motor.circuit = { ...motor.circuit, r2Ohms: motor.circuit.r2Ohms * chance.between(2.2, 3.2) }
    },
    curedAs: 'rotor-rubbing',
  },
  {
    // A gasket pressed into the waterway after a repair.
    id: 'gasket in the waterway',
    kinds: ['pool', 'spa', 'booster', 'circulation'],
    change: ({ discharge }, chance) => {
      discharge.blocked = chance.between(0.6, 0.9)
      discharge.where = 'line'
    },
    curedAs: 'discharge-blocked',
  },
  {
    // A neighbour’s machine on the same feeder drags the volts down whenever it runs.
    id: 'a neighbour on the feeder',
    kinds: [...SURFACE, ...WELLS],
    change: ({ supply }, chance) => {
      supply.panelVolts *= chance.between(0.82, 0.88)
    },
    curedAs: 'low-supply-voltage',
  },
  {
    // A wasps’ nest in the fan cover.
    id: 'nest in the fan cover',
    kinds: SURFACE,
    change: ({ motor }) => {
      motor.coolingBlocked = true
    },
    curedAs: 'cooling-blocked',
  },
]
