import { canOrBound } from './can-or-bound'
import type { Live } from './live'
import { newBearings } from './new-bearings'
import { ohmmeter } from './ohmmeter'
import { restAndLoaded } from './rest-and-loaded'
import { safeHands } from './safe-hands'
import { suctionAir } from './suction-air'
import { switchOrPump } from './switch-or-pump'
import { tankAir } from './tank-air'
import { threeLeads } from './three-leads'
import { upThrust } from './up-thrust'

/** The pictures with live numbers, by the lesson that each belongs to. */
export const LIVES = {
  ohmmeter,
  'three-leads': threeLeads,
  'can-or-bound': canOrBound,
  'new-bearings': newBearings,
  'rest-and-loaded': restAndLoaded,
  'switch-or-pump': switchOrPump,
  'suction-air': suctionAir,
  'tank-air': tankAir,
  'up-thrust': upThrust,
  'safe-hands': safeHands,
} as const satisfies Record<string, Live>
export type LiveId = keyof typeof LIVES

/** Wider than the rest: as plain pictures. */
export const liveOf = (id: LiveId): Live => LIVES[id]
