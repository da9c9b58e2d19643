import type { Basis } from '../../judgement/judgement'
import type { MotorType } from '../vocabulary'

/** What the start winding is, beside the main one. */
interface Auxiliary {
  /** Its reactance over the main winding's, before `auxReactance`. */
  reactanceShare: number
  /** Effective turns over the main winding's. */
  turnsRatio: number
}
const ON_A_CAPACITOR: Auxiliary = { reactanceShare: 1.2, turnsRatio: 1.2 }

/**
 * Reactances and rotor of a small single-phase motor, in shares of volts over full-load amps; fitted to four to seven
 * times full load with the rotor locked.
 */
export const TYPICAL_MOTOR = {
  x1: 0.1,
  r2: 0.12,
  x2: 0.09,
  xm: 3,
  auxReactance: 0.16,
  /** Motors that run on a capacitor are wound with more leakage and draw less. */
  runCapacitorWinding: 1.3,
  auxiliary: {
    'split-phase': { reactanceShare: 0.6, turnsRatio: 0.75 },
    'capacitor-start': ON_A_CAPACITOR,
    'capacitor-start-run': ON_A_CAPACITOR,
    'permanent-split': ON_A_CAPACITOR,
    electronic: ON_A_CAPACITOR,
  } satisfies Record<MotorType, Auxiliary> as Record<MotorType, Auxiliary>,
  poles: 2,
  fullLoadSlip: 0.04,
  /** Under this a capacitor carries no current worth reckoning with, microfarads. */
  carriesFromMicrofarads: 0.3,
  /** Where the running slip is looked for, and in what steps. */
  runningSlip: { from: 0.004, to: 0.22, step: 0.002 },
  basis: {
    kind: 'handbook',
    name: 'a typical small motor scaled to this plate, after textbook examples of the double-revolving-field circuit',
  } as Basis,
}

export const STARTING = {
  /** What breaking a pump's shaft away takes, as a share of rated torque. */
  breakawayShare: 0.22,
  /** A winding that runs is warmer than its plate's ohms by about this, °C. */
  runningCelsius: 60,
  basis: { kind: 'common-practice', name: 'a pump breaks away at a fifth to a quarter of rated torque' } as Basis,
}
