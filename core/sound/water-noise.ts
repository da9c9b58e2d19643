import { medianOf } from '../quantity/middle'
import { ringing } from './bearing-signs'
import { floorOf, loudnessOf, peakOf, type Bands, type Series } from './fourier'

/** How the broad noise of a pump goes: bubbles that collapse crackle without a beat, air comes through in gulps. */
export interface WaterNoise {
  /** Share of its moments that hold something far louder than noise ever is by chance. */
  crackle: number
  /** The crackle comes at a beat: then something that turns makes it, not the water. */
  beats: boolean
  /** How its loudness goes up and down, as a share of it; a few knocks do not move it. */
  gulps: number
}

const CRACKLE_HERTZ = [2_500, 7_000] as const
const GULP_HERTZ = [800, 3_000] as const
/** A filter does not reach the end of what is recorded. */
const USABLE = 0.45
/** Noise of chance is over so many times the median of its envelope five times in a million. */
const FAR = 4.2
const MOMENT_SECONDS = 1 / 16
/** A beat is looked for between these, Hz, and is one from so many times the usual amplitude on. */
const BEAT = { low: 5, high: 600, standsOut: 16 } as const

/**
 * How the water sounds, by the envelopes of two bands.
 *
 * @source cavitation as random bursts of broad noise: Brennen, Hydrodynamics of Pumps (1994), ch. 5; limits: own
 */
export function waterNoise(bands: Bands): WaterNoise {
  const high = [CRACKLE_HERTZ[0], Math.min(CRACKLE_HERTZ[1], bands.hertz * USABLE)] as const
  const spectrum = ringing(bands, high)
  const peak = peakOf(spectrum, BEAT.low, BEAT.high)
  return {
    crackle: crackleOf(bands.envelopeOf(high)),
    beats: peak !== undefined && peak.amplitude > BEAT.standsOut * floorOf(spectrum, BEAT.low, BEAT.high),
    gulps: spreadOf(loudnessOf(bands.envelopeOf(GULP_HERTZ), MOMENT_SECONDS)),
  }
}

function crackleOf({ hertz, values }: Series): number {
  const far = FAR * medianOf(values)
  const length = Math.max(1, Math.round(hertz * MOMENT_SECONDS))
  const moments = Math.max(1, Math.floor(values.length / length))
  const loud = Array.from({ length: moments }, (_, at) =>
    values.subarray(at * length, (at + 1) * length).some((value) => value > far),
  )
  return loud.filter(Boolean).length / moments
}

/** From the tenth of the quiet to the tenth of the loud, as a share of the middle. */
function spreadOf(pieces: Float64Array): number {
  const sorted = pieces.slice().sort()
  const at = (share: number) => sorted[Math.floor(share * (sorted.length - 1))] ?? 0
  const middle = at(0.5)
  return middle > 0 ? (at(0.9) - at(0.1)) / middle : 0
}
