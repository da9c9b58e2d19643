import { floorOf, peakOf, spectrumOf, type Spectrum } from './fourier'
import type { Recording } from './recording'

/** What a machine is known to turn and to be fed with. */
export interface Turning {
  rpm: number
  mainsHertz: number
  /** Of its impeller, where they are known. */
  vanes?: number
}

/** Names of the lines that a pump's sound has whatever is wrong with it. */
export type ToneName = 'shaft' | 'twice-shaft' | 'hum' | 'vanes'
/** One line of a sound: where it was looked for, where it stands, how far it stands out. */
export interface Tone {
  name: ToneName
  hertz: number
  amplitude: number
  /** Times the usual amplitude about it. */
  prominence: number
}

/** Steps of some two thirds of a hertz at usual rates: shaft and hum lie 2.5 Hz from each other. */
const STEP_HERTZ = 1
/** Below it no motor of these trades turns. */
const LOWEST_HERTZ = 10
const LOW_TONES_HERTZ = 1_000
/** An induction motor between overload and none, as shares of its plate's speed. */
const SPEEDS = { slowest: 0.96, fastest: 1.045 } as const
/** How far a line must stand out to be one. */
export const STANDS_OUT = 6
/** On both sides of a line, Hz: what the usual amplitude is taken of. */
const ABOUT_HERTZ = 40

/** The spectrum in which the tones of a recording are looked for. */
export function tonesSpectrum(recording: Recording): Spectrum {
  return spectrumOf(recording, 2 ** Math.ceil(Math.log2(recording.hertz / STEP_HERTZ)))
}

/** The strongest tone below 1 kHz, Hz. */
export function strongestTone(spectrum: Spectrum): number {
  return peakOf(spectrum, LOWEST_HERTZ, LOW_TONES_HERTZ)?.hertz ?? 0
}

/** How many times the usual amplitude about it a line is. */
export function prominenceAt(spectrum: Spectrum, hertz: number, amplitude: number): number {
  const floor = floorOf(spectrum, hertz - ABOUT_HERTZ, hertz + ABOUT_HERTZ)
  return floor > 0 ? amplitude / floor : 0
}

/**
 * The speed that a sound itself tells, turns a second: by its line at the shaft's own frequency.
 *
 * @returns nothing where no such line stands out
 */
export function heardShaft(spectrum: Spectrum, { rpm }: Pick<Turning, 'rpm'>): number | undefined {
  const shaft = rpm / 60
  const peak = peakOf(spectrum, shaft * SPEEDS.slowest, shaft * SPEEDS.fastest)
  return peak && prominenceAt(spectrum, peak.hertz, peak.amplitude) >= STANDS_OUT ? peak.hertz : undefined
}

/** The lines of shaft, hum and vanes that stand out. */
export function usualTones(spectrum: Spectrum, { rpm, mainsHertz, vanes }: Turning): Tone[] {
  const shaft = heardShaft(spectrum, { rpm }) ?? rpm / 60
  const wanted: [ToneName, number][] = [
    ['shaft', shaft],
    ['twice-shaft', 2 * shaft],
    ['hum', 2 * mainsHertz],
    ...(vanes ? [['vanes', vanes * shaft] as [ToneName, number]] : []),
  ]
  return wanted.flatMap(([name, hertz]) => {
    const peak = peakOf(spectrum, hertz - spectrum.stepHertz * 1.5, hertz + spectrum.stepHertz * 1.5)
    const prominence = peak ? prominenceAt(spectrum, peak.hertz, peak.amplitude) : 0
    return peak && prominence >= STANDS_OUT ? [{ name, ...peak, prominence }] : []
  })
}
