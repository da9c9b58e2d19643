import type { Construction, MotorType, Part } from '#core/knowledge/vocabulary'
import { MOTOR_HAS } from '#core/motor/nameplate'

/** Where a part sits in the drawing and where its name stands, in the drawing's own units. */
export interface PartPlace { part: Part; name: string; anchor: readonly [number, number]; at: readonly [number, number]; side: 'top' | 'bottom' | 'right' }

export const VIEW = { width: 760, height: 440 } as const

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
