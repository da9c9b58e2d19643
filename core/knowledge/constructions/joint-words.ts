import type { JointType } from './joint'

/** What the pieces of a joint are called, one and several. */
export const JOINT_PIECES: Readonly<Record<JointType, readonly [one: string, several: string]>> = {
  bolt: ['bolt', 'bolts'],
  screw: ['screw', 'screws'],
  'clamp-band': ['clamp band', 'clamp bands'],
  thread: ['thread', 'threads'],
  'press-fit': ['press fit', 'press fits'],
  snap: ['snap', 'snaps'],
  'wire-terminal': ['wire', 'wires'],
  'wire-splice': ['splice', 'splices'],
  'cord-plug': ['plug', 'plugs'],
  union: ['union', 'unions'],
  'glued-pipe': ['glued joint', 'glued joints'],
  'o-ring-seat': ['ring', 'rings'],
  shims: ['shim', 'shims'],
  gate: ['valve', 'valves'],
  support: ['support', 'supports'],
}
