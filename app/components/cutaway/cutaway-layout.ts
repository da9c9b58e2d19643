import type { Construction, Kind, MotorType, Part } from '#core/knowledge/vocabulary'
import { MOTOR_HAS } from '#core/motor/nameplate'

/** Where a part sits in the drawing and where its name stands, in the drawing's own units. */
export interface PartPlace {
  part: Part
  name: string
  anchor: readonly [number, number]
  at: readonly [number, number]
  side: 'top' | 'bottom' | 'right' | 'left'
}

export const VIEW = { width: 796, height: 440 } as const

type Place = PartPlace | false
const top = (part: Part, name: string, anchor: readonly [number, number], x: number, y = 22): PartPlace => ({
  part,
  name,
  anchor,
  at: [x, y],
  side: 'top',
})
const low = (part: Part, name: string, anchor: readonly [number, number], x: number): PartPlace => ({
  part,
  name,
  anchor,
  at: [x, 392],
  side: 'bottom',
})
const left = (part: Part, name: string, anchor: readonly [number, number], x: number, y: number): PartPlace => ({
  part,
  name,
  anchor,
  at: [x, y],
  side: 'left',
})
const right = (part: Part, name: string, anchor: readonly [number, number], y: number, x = 678): PartPlace => ({
  part,
  name,
  anchor,
  at: [x, y],
  side: 'right',
})

/** Where a leader leaves its name, so that it crosses none: below, above, or past its end. */
export function leaderStart({ at: [x, y], side, name }: PartPlace): readonly [number, number] {
  if (side === 'left') return [x + 24 + Math.max(name.length * 7.6, 82), y + 2]
  return [x, y + (side === 'bottom' ? -13 : side === 'top' ? 13 : 0)]
}

/** The names on a horizontal motor, the same on every pump that has one. */
function motorPlaces(motorType: MotorType): Place[] {
  const run = MOTOR_HAS.runCapacitor(motorType)
  const start = MOTOR_HAS.startCapacitor(motorType)
  return [
    run && top('run-capacitor', 'run capacitor', [start ? 452 : 484, 100], 492),
    start && top('start-capacitor', 'start capacitor', [516, 100], run ? 632 : 492, run ? 60 : 22),
    motorType === 'electronic' && top('drive-electronics', 'drive', [484, 100], 492),
    right('terminal-board', 'supply', [640, 166], 132),
    MOTOR_HAS.startSwitch(motorType) && right('start-switch', 'start switch', [594, 206], 206),
    right('insulation', 'insulation', [566, 292], 292),
    low('run-winding', 'windings', [480, 296], 460),
    low('bearings', 'bearings', [615, 246], 606),
  ]
}

const POOL_WET_END = (bolted: boolean): Place[] => [
  top('lid-o-ring', 'lid O-ring', [70, 150], 22, 62),
  top('housing-o-ring', 'housing O-ring', [bolted ? 330 : 336, 118], 340),
  low('strainer', 'basket', [104, 300], 22),
  low('impeller', 'impeller', [272, 280], 168),
  low('shaft-seal', 'shaft seal', [322, 246], 314),
]

function submersiblePlaces(box: boolean, motorType: MotorType): Place[] {
  return [
    left('pressure-switch', 'switch', [172, 54], 14, 62),
    { part: 'tank', name: 'tank', anchor: [412, 60], at: [438, 60], side: 'right' },
    box &&
      MOTOR_HAS.startCapacitor(motorType) && {
        part: 'start-capacitor',
        name: 'start cap',
        anchor: [569, 44],
        at: [654, 22],
        side: 'right',
      },
    box &&
      MOTOR_HAS.runCapacitor(motorType) && {
        part: 'run-capacitor',
        name: 'run cap',
        anchor: [613, 60],
        at: [654, 62],
        side: 'right',
      },
    box &&
      MOTOR_HAS.startSwitch(motorType) && {
        part: 'start-relay',
        name: 'relay',
        anchor: [521, 84],
        at: [654, 102],
        side: 'right',
      },
    left('terminal-board', 'supply', [172, 34], 14, 18),
    { part: 'cable', name: 'cable', anchor: [190, 176], at: [190, 152], side: 'top' },
    { part: 'lead-connector', name: 'connector', anchor: [467, 190], at: [510, 160], side: 'top' },
    { part: 'insulation', name: 'insulation', anchor: [640, 222], at: [654, 160], side: 'right' },
    low('check-valve', 'check valve', [50, 310], 12),
    low('stages', 'stages', [210, 320], 136),
    low('coupling', 'coupling', [424, 296], 258),
    low('run-winding', 'windings', [530, 326], 382),
    low('bearings', 'bearings', [687, 300], 506),
    low('thrust-bearing', 'thrust bearing', [738, 308], 632),
  ]
}

const WET_ENDS: Record<Construction, (kind: Kind, motorType: MotorType) => Place[]> = {
  'band-clamp': (_, type) => [...POOL_WET_END(false), ...motorPlaces(type)],
  'bolted-seal-plate': (_, type) => [...POOL_WET_END(true), ...motorPlaces(type)],
  'bracket-booster': (_, type) => [
    left('hose-connector', 'hose', [244, 30], 110, 22),
    top('housing-o-ring', 'housing O-ring', [325, 103], 320),
    low('impeller', 'impeller', [270, 270], 120),
    low('shaft-seal', 'shaft seal', [314, 248], 290),
    ...motorPlaces(type),
  ],
  'spa-cabinet': (_, type) => [
    top('union', 'union', [100, 190], 22, 62),
    top('housing-o-ring', 'housing O-ring', [311, 120], 320),
    low('impeller', 'impeller', [270, 280], 66),
    low('shaft-seal', 'shaft seal', [304, 248], 290),
    ...motorPlaces(type),
  ],
  'jet-end': (_, type) => [
    top('pressure-gauge', 'pressure', [132, 80], 22),
    top('pressure-switch', 'switch', [272, 48], 330),
    top('foot-valve', 'foot valve', [26, 326], 12, 196),
    low('ejector', 'ejector', [120, 266], 78),
    low('impeller', 'impeller', [270, 270], 204),
    low('shaft-seal', 'shaft seal', [306, 248], 332),
    ...motorPlaces(type),
  ],
  'flooded-circulation': (_, type) => [
    left('check-valve', 'check valve', [216, 50], 82, 22),
    top('housing-o-ring', 'housing O-ring', [315, 114], 320),
    low('intake-screen', 'intake', [28, 244], 22),
    low('impeller', 'impeller', [270, 270], 150),
    low('shaft-seal', 'shaft seal', [306, 248], 300),
    ...motorPlaces(type),
  ],
  'vertical-shimmed': (_, type) => [
    MOTOR_HAS.runCapacitor(type) && left('run-capacitor', 'run capacitor', [244, 140], 44, 130),
    !MOTOR_HAS.runCapacitor(type) &&
      MOTOR_HAS.startCapacitor(type) &&
      left('start-capacitor', 'start capacitor', [244, 140], 44, 130),
    left('fan', 'fan', [350, 38], 120, 40),
    right('terminal-board', 'supply', [546, 150], 120),
    right('bearings', 'bearings', [430, 68], 40),
    right('run-winding', 'windings', [490, 186], 192),
    right('insulation', 'insulation', [496, 220], 250),
    right('shims', 'shims', [490, 245], 310),
    left('shaft-seal', 'shaft seal', [378, 312], 44, 270),
    left('impeller', 'impeller', [336, 362], 44, 340),
    left('strainer', 'basket', [372, 412], 120, 404),
    right('coupling', 'coupling', [412, 284], 372),
    MOTOR_HAS.startSwitch(type) && left('start-switch', 'start switch', [364, 86], 44, 200),
  ],
  'submersible-joined': (kind, type) => submersiblePlaces(kind === 'well-three-wire', type),
  'submersible-sealed': (kind, type) => submersiblePlaces(kind === 'well-three-wire', type),
  'motor-bench': (_, type) => [low('shaft', 'shaft', [336, 224], 290), ...motorPlaces(type)],
  'sump-sealed': () => [
    { part: 'outlet', name: 'outlet', anchor: [36, 78], at: [14, 138], side: 'bottom' },
    { part: 'float-switch', name: 'float', anchor: [180, 262], at: [112, 176], side: 'top' },
    { part: 'insulation', name: 'insulation', anchor: [312, 200], at: [226, 118], side: 'top' },
    { part: 'check-valve', name: 'check valve', anchor: [462, 170], at: [330, 40], side: 'top' },
    { part: 'battery', name: 'battery', anchor: [716, 70], at: [676, 138], side: 'bottom' },
    { part: 'backup-float', name: 'backup float', anchor: [624, 204], at: [630, 252], side: 'bottom' },
    left('run-winding', 'windings', [320, 290], 112, 330),
    left('impeller', 'impeller', [316, 374], 112, 388),
    right('bearings', 'bearings', [385, 318], 276, 520),
  ],
}

/** Parts that carry no name of their own on any drawing, and the part that carries it for them. */
const BESIDE: Partial<Record<Part, Part>> = {
  'rear-cap': 'bearings',
  'bonding-lug': 'terminal-board',
  selector: 'terminal-board',
  'clamp-band': 'housing-o-ring',
  volute: 'impeller',
  'seal-plate': 'shaft-seal',
  diffuser: 'impeller',
  'lock-screw': 'impeller',
  motor: 'run-winding',
  'discharge-pipe': 'check-valve',
  shaft: 'shaft-seal',
  'suction-pipe': 'strainer',
  'intake-screen': 'stages',
  union: 'housing-o-ring',
  breaker: 'terminal-board',
  gfci: 'terminal-board',
  timer: 'terminal-board',
  fan: 'bearings',
  rotor: 'run-winding',
  'start-winding': 'run-winding',
  'thermal-protector': 'run-winding',
  'control-box': 'start-relay',
  splice: 'cable',
  'pump-end': 'stages',
  pump: 'impeller',
  'drop-pipe': 'cable',
  'tank-tee': 'tank',
  'shaft-o-ring': 'shaft-seal',
  'relief-valve': 'tank',
  outlet: 'terminal-board',
  'hose-connector': 'impeller',
  ejector: 'impeller',
  'foot-valve': 'ejector',
  'pressure-gauge': 'pressure-switch',
}

/** The named parts of a machine's section. */
export function placesOf(construction: Construction, kind: Kind, motorType: MotorType): PartPlace[] {
  return WET_ENDS[construction](kind, motorType).filter((place): place is PartPlace => place !== false)
}

/** Where the lamp falls for a part: its own place, or that of the part beside it. */
export function placeOfPart(places: readonly PartPlace[], part: Part): readonly [number, number] | undefined {
  for (let next: Part | undefined = part, turns = 0; next !== undefined && turns < 4; next = BESIDE[next], turns++) {
    const found = places.find((place) => place.part === next)
    if (found) return found.anchor
  }
  return undefined
}
