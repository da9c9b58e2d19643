import type { Construction, MotorType, Part } from '#core/knowledge/vocabulary'
import { MOTOR_HAS } from '#core/motor/nameplate'

/** Where a part sits in the drawing and where its name stands, in the drawing's own units. */
export interface PartPlace { part: Part; name: string; anchor: readonly [number, number]; at: readonly [number, number]; side: 'top' | 'bottom' | 'right' }

export const VIEW = { width: 796, height: 440 } as const

/** Where the lamp falls on parts that carry no name of their own. */
export const UNNAMED_PLACES: Partial<Record<Part, readonly [number, number]>> = {
  'rear-cap': [656, 228], 'bonding-lug': [434, 345], selector: [628, 163], 'clamp-band': [344, 104], volute: [300, 170], 'seal-plate': [346, 170], diffuser: [238, 200], 'lock-screw': [228, 228],
  motor: [514, 228], 'discharge-pipe': [295, 80], shaft: [345, 228], 'suction-pipe': [20, 250], 'intake-screen': [20, 250], union: [20, 250], breaker: [628, 163], timer: [628, 163], fan: [643, 228], rotor: [486, 210],
}

/** The parts of a pool pump's section with their names, placed so that no leader crosses a name. */
export function poolPlaces(construction: Construction, motorType: MotorType): PartPlace[] {
  const bolted = construction === 'bolted-seal-plate'
  const run = MOTOR_HAS.runCapacitor(motorType)
  const start = MOTOR_HAS.startCapacitor(motorType)
  const places: (PartPlace | false)[] = [
    { part: 'lid-o-ring', name: 'lid O-ring', anchor: [70, 150], at: [22, 62], side: 'top' },
    { part: 'housing-o-ring', name: 'housing O-ring', anchor: [bolted ? 330 : 336, 118], at: [340, 22], side: 'top' },
    run && { part: 'run-capacitor', name: 'run capacitor', anchor: [start ? 452 : 484, 100], at: [492, 22], side: 'top' },
    start && { part: 'start-capacitor', name: 'start capacitor', anchor: [516, 100], at: run ? [632, 60] : [492, 22], side: 'top' },
    motorType === 'electronic' && { part: 'drive-electronics', name: 'drive', anchor: [484, 100], at: [492, 22], side: 'top' },
    { part: 'terminal-board', name: 'supply', anchor: [640, 166], at: [678, 132], side: 'right' },
    MOTOR_HAS.startSwitch(motorType) && { part: 'start-switch', name: 'start switch', anchor: [594, 206], at: [678, 206], side: 'right' },
    { part: 'insulation', name: 'insulation', anchor: [566, 292], at: [678, 292], side: 'right' },
    { part: 'strainer', name: 'basket', anchor: [104, 300], at: [22, 392], side: 'bottom' },
    { part: 'impeller', name: 'impeller', anchor: [272, 280], at: [168, 392], side: 'bottom' },
    { part: 'shaft-seal', name: 'shaft seal', anchor: [322, 246], at: [314, 392], side: 'bottom' },
    { part: 'run-winding', name: 'windings', anchor: [480, 296], at: [460, 392], side: 'bottom' },
    { part: 'bearings', name: 'bearings', anchor: [615, 246], at: [606, 392], side: 'bottom' },
  ]
  return places.filter((place): place is PartPlace => place !== false)
}
