import type { JointType } from '#core/knowledge/constructions/joint'
import type { Part } from '#core/knowledge/vocabulary'

/** How a part is drawn on the axis: its form, and its size in the drawing's units. */
export type PieceShape =
  | 'case'
  | 'ring'
  | 'cone'
  | 'screw'
  | 'bolts'
  | 'impeller'
  | 'plate'
  | 'band'
  | 'cap'
  | 'wires'
  | 'union'
  | 'plug'
  | 'clip'
  | 'stack'
  | 'shims'
  | 'seal'
  | 'bearing'
  | 'spring'
  | 'can'
  | 'motor'
  | 'pipe'
  | 'box'
  | 'valve'
const SIZES: Record<PieceShape, readonly [width: number, height: number]> = {
  case: [58, 120],
  ring: [12, 104],
  cone: [34, 92],
  screw: [44, 18],
  bolts: [34, 112],
  impeller: [46, 100],
  plate: [20, 128],
  band: [16, 122],
  cap: [22, 84],
  wires: [40, 44],
  union: [34, 46],
  plug: [22, 26],
  clip: [14, 40],
  stack: [56, 60],
  shims: [18, 60],
  seal: [30, 46],
  bearing: [18, 48],
  spring: [34, 20],
  can: [26, 64],
  motor: [90, 96],
  pipe: [40, 40],
  box: [52, 66],
  valve: [40, 52],
}

const BY_PART: Partial<Record<Part, PieceShape>> = {
  volute: 'case',
  'housing-o-ring': 'ring',
  'diffuser-o-ring': 'ring',
  'lid-o-ring': 'cap',
  'lock-screw-gasket': 'ring',
  diffuser: 'cone',
  impeller: 'impeller',
  'seal-plate': 'plate',
  bracket: 'plate',
  'lock-screw': 'screw',
  'clamp-band': 'band',
  'rear-cap': 'cap',
  'fan-cover': 'cap',
  fan: 'impeller',
  'shaft-seal': 'seal',
  bearings: 'bearing',
  'bearing-retainer': 'clip',
  'switch-springs': 'spring',
  'wave-washer': 'ring',
  'run-capacitor': 'can',
  'start-capacitor': 'can',
  motor: 'motor',
  pump: 'motor',
  rotor: 'stack',
  stages: 'stack',
  'stack-clip': 'clip',
  shims: 'shims',
  'end-bell': 'plate',
  'start-switch': 'clip',
  'through-bolts': 'bolts',
  'pressure-switch': 'box',
  'control-box': 'box',
  tank: 'can',
  'pressure-gauge': 'valve',
  'relief-valve': 'valve',
  'check-valve': 'valve',
  'foot-valve': 'valve',
  'float-switch': 'valve',
  'drop-pipe': 'pipe',
  'suction-pipe': 'pipe',
  'discharge-pipe': 'pipe',
  union: 'union',
  ejector: 'cone',
  'intake-screen': 'cap',
  'pump-end': 'stack',
  'terminal-board': 'wires',
  'bonding-lug': 'wires',
  splice: 'wires',
  'lead-connector': 'wires',
  outlet: 'plug',
  foot: 'bolts',
  'hose-connector': 'plug',
  'cable-guard': 'cap',
}
const BY_JOINT: Partial<Record<JointType, PieceShape>> = {
  bolt: 'bolts',
  screw: 'bolts',
  'clamp-band': 'band',
  'o-ring-seat': 'ring',
  'wire-terminal': 'wires',
  'wire-splice': 'wires',
  'cord-plug': 'plug',
  union: 'union',
  'glued-pipe': 'pipe',
  snap: 'clip',
  thread: 'plug',
  shims: 'shims',
}
/** Wires and bolts are drawn as what holds, whatever they hold; a drain plug is a plug. */
const HOLDS: readonly JointType[] = [
  'wire-terminal',
  'wire-splice',
  'cord-plug',
  'shims',
  'clamp-band',
  'o-ring-seat',
  'union',
  'glued-pipe',
]

export function shapeOf(part: Part, joint?: JointType): PieceShape {
  if (joint && HOLDS.includes(joint)) return BY_JOINT[joint] ?? 'plug'
  if (part === 'volute' && joint === 'thread') return 'plug'
  if (part === 'motor' && joint === 'bolt') return 'bolts'
  return BY_PART[part] ?? (joint ? BY_JOINT[joint] : undefined) ?? 'plug'
}

export function sizeOf(shape: PieceShape): readonly [width: number, height: number] {
  return SIZES[shape]
}
