import type { Basis } from '../../judgement/judgement'

/** What a recording is judged by: itself first, then the machine on it. */
export const SOUND_LIMITS = {
  /** Of the recording: too short, samples at the stops, faintness, loudest over quietest quarter of a second. */
  recording: { seconds: 3, atStops: 0.0005, stop: 0.985, faint: 0.0005, unsteady: 4, pieceSeconds: 0.25 },
  /** Of a bearing's line: it stands out by this much and its double by that, or it alone by far. */
  sign: { line: 7, second: 3, alone: 16 },
  /** So much noise beside the low tones, decibels, covers a bearing, or the water, which comes out of less of it. */
  covered: { bearing: -38, water: -43 },
  /** From here on the water crackles, or gulps. */
  water: { crackle: 0.7, gulps: 0.45 },
  basis: {
    kind: 'shop',
    name: 'limits of what is heard, by recordings of virtual pumps (npm run bench:sound)',
  } as Basis,
} as const
