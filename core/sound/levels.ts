import { floorOf, type Spectrum } from './fourier'
import type { Tone } from './tones'
import type { Levels } from './verdicts'

const LOW_HERTZ = [30, 1_000] as const
const HISS_HERTZ = [3_000, 7_000] as const
/** A filter does not reach the end of what is recorded. */
const USABLE = 0.45
/** Noise through a window of Hann is as if its steps were half as wide again. */
const HANN_WIDTH = 1.5

/** The levels of a spectrum in which the tones were found. */
export function levelsOf(spectrum: Spectrum, tones: readonly Tone[]): Levels {
  const { stepHertz, amplitudes } = spectrum
  const low = rmsBetween(spectrum, ...LOW_HERTZ)
  const top = Math.min(HISS_HERTZ[1], amplitudes.length * stepHertz * 2 * USABLE)
  const decibels = (amplitude: number) => 20 * Math.log10(Math.max(1e-6, amplitude / Math.max(1e-9, low)))
  const turn = tones.find(({ name }) => name === 'shaft')
  return {
    hissDecibels: decibels(floorOf(spectrum, HISS_HERTZ[0], Math.max(top, HISS_HERTZ[0] + stepHertz))),
    ...(turn ? { turnDecibels: decibels(turn.amplitude / Math.SQRT2) } : {}),
  }
}

function rmsBetween({ stepHertz, amplitudes }: Spectrum, low: number, high: number): number {
  const stretch = amplitudes.subarray(Math.floor(low / stepHertz), Math.ceil(high / stepHertz))
  return Math.sqrt(stretch.reduce((sum, amplitude) => sum + amplitude ** 2, 0) / (2 * HANN_WIDTH))
}
