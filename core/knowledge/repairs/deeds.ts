import type { Part } from '../vocabulary'

/**
 * What a repair reaches, where that is not the parts it renews; and whether its own sentence is a step of the work.
 * Common practice.
 */
export interface Deed {
  /** Parts that are reached for it. */
  at?: readonly Part[]
  /** Nothing is done at what is reached but the deed itself. */
  only?: true
  /** Joints that are opened for it, whatever part they hold. */
  through?: readonly string[]
  /** What is done at its parts is the deed: it needs no sentence of its own. */
  worked?: true
  /** The water is shut and let down for it. */
  water?: true
  /** The pump is out and leaves: packed and written up, after whatever else is done to it. */
  leaves?: true
}

/** Packing a pump, with its papers. Shop estimate. */
export const PACKING_MINUTES = 15

/** Repairs that are a deed rather than a new part. */
export const DEEDS: Readonly<Record<string, Deed>> = {
  'clear-impeller': { at: ['lid-o-ring'], water: true },
  'open-and-clear-impeller': { at: ['housing-o-ring'] },
  'clear-suction': { at: ['lid-o-ring'], water: true },
  reprime: { at: ['lid-o-ring'], water: true },
  'seal-suction': { at: ['lid-o-ring'], water: true },
  'open-discharge': { water: true },
  'clear-cooling': {},
  'refill-source': {},
  'remake-joint': { water: true },
  'clear-switch-nipple': { at: ['pressure-switch'], only: true },
  'set-pressure-switch': {},
  'pump-up-tank': { water: true },
  'recharge-tank': { at: ['tank'] },
  'mend-system-leak': { water: true },
  'rest-the-well': {},
  'open-house-filter': { water: true },
  'swap-leads-above': { at: ['control-box'], only: true },
  'free-float': { at: ['backup-float'], only: true },
  'set-float-heights': { at: ['backup-float'], worked: true },
  'clear-sump-impeller': { at: ['impeller'] },
  'open-sump-discharge': { at: ['check-valve'] },
  'drill-air-hole': { at: ['check-valve'], only: true },
  'return-under-warranty': { at: ['pump'], only: true, leaves: true },
  'return-well-pump': { at: ['pump'], only: true, leaves: true },
  'return-sump-pump': { at: ['pump'], only: true, leaves: true },
  'replace-check-valve-above': { water: true },
  'restore-supply': {},
  'mend-supply': {},
  'dry-conduit': {},
  'mend-wiring': { at: ['terminal-board'] },
  'remake-surface-wiring': { at: ['terminal-board'] },
  'service-start-switch': { at: ['start-switch'], worked: true },
  'fetch-motor': { through: ['motor-out'] },
  'strip-motor': { at: ['bearings'], only: true },
  'post-mortem': { at: ['lead-connector', 'stages'], only: true },
  'barrel-trial': {},
  'bench-trial': {},
  'replace-drive': { at: ['drive-electronics'] },
}
