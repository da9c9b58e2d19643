/** What a recording may be: shorter than a breath tells nothing, longer than this is no recording of a pump. */
export const RECORDING_LIMITS = { shortestSeconds: 0.5, longestSeconds: 120, mostBytes: 12_000_000 } as const

/** Why a recording, or a part of what it could tell, cannot be trusted. */
export const DOUBTS = ['short', 'clipped', 'faint', 'unsteady', 'telephone', 'no-low-tones'] as const
export type Doubt = (typeof DOUBTS)[number]

/** Why nothing can be said. */
export const REASONS = [...DOUBTS, 'covered', 'no-number', 'two-parts', 'at-a-beat'] as const
export type Reason = (typeof REASONS)[number]

export const BEARING_PLACES = ['outer', 'inner', 'ball', 'cage'] as const
export type BearingPlace = (typeof BEARING_PLACES)[number]

export const BEARING_HEARD = ['cannot-tell', 'no-blows', 'blows'] as const
/** What a recording says of the bearings. */
export interface BearingVerdict {
  is: (typeof BEARING_HEARD)[number]
  why?: Reason
  /** Of blows: where they are, where they may as well be, and how many a second. */
  place?: BearingPlace
  or?: BearingPlace
  hertz?: number
}

export const WATER_HEARD = ['cannot-tell', 'steady', 'crackle', 'gulps'] as const
/** What a recording says of the water. */
export interface WaterVerdict {
  is: (typeof WATER_HEARD)[number]
  why?: Reason
}

/**
 * How loud parts of a sound are beside its low tones, decibels: free of how far the microphone was held and how far it
 * was turned up, so that one recording can be laid beside another.
 */
export interface Levels {
  /** What has no tone, high up. */
  hissDecibels: number
  /** The line of one turn, where it stands out. */
  turnDecibels?: number
}
