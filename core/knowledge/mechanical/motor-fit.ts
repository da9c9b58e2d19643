import type { Basis } from '../../judgement/judgement'

/** How a motor of a frame letter is held, and what its shaft ends in. */
export interface FrameMount {
  flange: 'c-face' | 'square'
  shaft: 'keyed' | 'threaded'
}

/** By the letter behind the frame number. */
export const FRAME_MOUNTS: Readonly<Record<string, FrameMount>> = {
  C: { flange: 'c-face', shaft: 'keyed' },
  J: { flange: 'c-face', shaft: 'threaded' },
  Y: { flange: 'square', shaft: 'threaded' },
  Z: { flange: 'square', shaft: 'threaded' },
}
export const FRAME_BASIS: Basis = {
  kind: 'standard',
  name: 'NEMA MG 1, frame letters (from memory): hold flange and shaft to the old one all the same',
}

/** How far a new motor may be from the old before it is another. Common practice. */
export const MOTOR_MATCH = {
  /** Of the supply: 208 to 240 V goes for a motor of 230 V. */
  voltsShare: 0.1,
  /** Of horsepower × service factor: what rounding on a plate makes. */
  horsepowerShare: 0.02,
  /** Of the speed: what slip makes. */
  speedShare: 0.05,
  /** Volts: less at the terminals is a dead line, or a meter that sees ghosts. */
  leastSupplyVolts: 90,
  /** More amps than this beside the old: breaker and wire are looked at. */
  ampsMore: 0.1,
  basis: {
    kind: 'common-practice',
    name: 'a new motor against the old: volts, hertz, flange, shaft, speed, horsepower × service factor',
  } satisfies Basis,
} as const
