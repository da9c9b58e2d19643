import type { Kind, Part } from '../vocabulary'
import type { Needs } from '../faults/model-types'

/** Rings that a practice may put back, and a joint spends: alone, they are the repair. */
export const RINGS: readonly Part[] = [
  'housing-o-ring',
  'diffuser-o-ring',
  'lid-o-ring',
  'lock-screw-gasket',
  'shaft-o-ring',
]
/** Rings that lie in a joint on the way and have an assembly of their own. */
export const RINGS_ALONE: readonly Part[] = ['housing-o-ring', 'diffuser-o-ring', 'lid-o-ring']
export const PRESSURE_SIDE: readonly Part[] = ['pressure-switch', 'pressure-gauge', 'relief-valve', 'tank', 'tank-tee']
/** Inside a motor: it leaves its machine and is opened on the bench. */
export const IN_THE_MOTOR: readonly Part[] = [
  'bearings',
  'switch-springs',
  'wave-washer',
  'rotor',
  'shaft',
  'through-bolts',
]
/** A well pump's own parts, reached once the string is up. */
export const IN_THE_PUMP: readonly Part[] = [
  'motor',
  'pump-end',
  'stages',
  'coupling',
  'lead-connector',
  'intake-screen',
  'thrust-bearing',
  'cable-guard',
]
/** Parts that are sold with a warranty of their own. */
export const WARRANTED: readonly Part[] = ['motor', 'pump', 'pump-end']

/** Rings that are a step of their own on the way back, wherever a joint that spends them was opened. */
export const RINGS_FITTED: readonly Part[] = ['housing-o-ring', 'diffuser-o-ring', 'shaft-o-ring', 'lid-o-ring']
/** Parts that only some motors have. */
export const PART_OF_MOTOR: Readonly<Partial<Record<Part, Needs>>> = {
  'run-capacitor': 'run-capacitor',
  'start-capacitor': 'start-capacitor',
  'start-switch': 'start-switch',
  'switch-springs': 'start-switch',
  'drive-electronics': 'electronics',
}
/** Parts that only some kinds have. */
export const PART_OF_KIND: Readonly<Partial<Record<Part, readonly Kind[]>>> = {
  'control-box': ['well-three-wire'],
  'start-relay': ['well-three-wire'],
}

/** Parts that are in a machine: a job for one that nothing leads to cannot be done where it stands. */
export const IN_A_MACHINE: ReadonlySet<Part> = new Set<Part>([
  'run-capacitor',
  'start-capacitor',
  'start-switch',
  'switch-springs',
  'bearings',
  'motor',
  'pump',
  'pump-end',
  'shaft-seal',
  'impeller',
  'stages',
  'coupling',
  'seal-plate',
  'lead-connector',
  'control-box',
  'start-relay',
  'shims',
  'foot',
  'drop-pipe',
  'cable',
])

/** What a motor without its pump has. */
export const IN_A_MOTOR_ALONE: ReadonlySet<Part> = new Set<Part>([
  ...IN_THE_MOTOR,
  'motor',
  'run-capacitor',
  'start-capacitor',
  'start-switch',
  'run-winding',
  'start-winding',
  'insulation',
  'thermal-protector',
  'bearing-retainer',
  'end-bell',
  'fan',
  'fan-cover',
  'rear-cap',
  'terminal-board',
  'selector',
  'drive-electronics',
])
