import FFT from 'fft.js'
import { medianOf } from '../quantity/middle'

/** Amplitudes at equal steps of frequency from nothing on. */
export interface Spectrum {
  stepHertz: number
  amplitudes: Float64Array
}
/** Values at equal steps of time. */
export interface Series {
  hertz: number
  values: Float64Array
}

const atLeast = (length: number) => 2 ** Math.ceil(Math.log2(length))
/** Hann's window: a tone between two steps stays near them. */
const hann = (length: number) =>
  Float64Array.from({ length }, (_, at) => 0.5 - 0.5 * Math.cos((2 * Math.PI * at) / length))
const squared = (complex: ArrayLike<number>, at: number) =>
  (complex[2 * at] as number) ** 2 + (complex[2 * at + 1] as number) ** 2

/**
 * The spectrum of a whole stretch, mean over halves that overlap; a sine of amplitude 1 stands as 1.
 *
 * @param size samples of each part, a power of two; shorter recordings are one part
 * @source Welch 1967, with Hann's window
 */
export function spectrumOf({ values, hertz }: Series, size: number): Spectrum {
  const length = Math.min(size, atLeast(values.length) / 2)
  const fft = new FFT(length)
  const window = hann(length)
  const part = new Float64Array(length)
  const out = new Float64Array(2 * length)
  const power = new Float64Array(length / 2)
  let parts = 0
  for (let from = 0; from + length <= values.length; from += length / 2) {
    for (let at = 0; at < length; at++) part[at] = (values[from + at] as number) * (window[at] as number)
    fft.realTransform(out, part)
    for (let at = 0; at < power.length; at++) power[at]! += squared(out, at)
    parts++
  }
  // A window of Hann halves what it lets through; a tone is in two halves of the spectrum.
  return { stepHertz: hertz / length, amplitudes: power.map((sum) => (4 * Math.sqrt(sum / parts)) / length) }
}

/** The spectrum of what remains of values without their mean, at the finest steps that they have. */
export function fineSpectrumOf({ values, hertz }: Series): Spectrum {
  const length = atLeast(values.length)
  const fft = new FFT(length)
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length
  const window = hann(values.length)
  const padded = new Float64Array(length)
  for (let at = 0; at < values.length; at++) padded[at] = ((values[at] as number) - mean) * (window[at] as number)
  const out = new Float64Array(2 * length)
  fft.realTransform(out, padded)
  return {
    stepHertz: hertz / length,
    amplitudes: Float64Array.from({ length: length / 2 }, (_, at) => (4 * Math.sqrt(squared(out, at))) / values.length),
  }
}

/** All frequencies of a recording at once, of which bands are taken out one after the other. */
export class Bands {
  private readonly length: number
  private readonly all: Float64Array

  constructor(private readonly recording: Series) {
    this.length = atLeast(recording.values.length)
    const padded = new Float64Array(this.length)
    padded.set(recording.values)
    this.all = new Float64Array(2 * this.length)
    new FFT(this.length).realTransform(this.all, padded)
  }

  /** Samples a second of the recording. */
  get hertz(): number {
    return this.recording.hertz
  }

  /**
   * How loud a band is at each instant: the length of its analytic signal, which stays the same where the band is moved
   * down to nothing. So it takes only as many values as the band is wide.
   *
   * @source Hilbert transform by the discrete Fourier transform, negative frequencies set to nothing
   */
  envelopeOf([low, high]: readonly [low: number, high: number]): Series {
    const { hertz, values } = this.recording
    const [from, until] = [low, high].map((edge) => Math.round((edge * this.length) / hertz)) as [number, number]
    const size = Math.min(this.length, 2 * atLeast(until - from))
    const [band, out] = [new Float64Array(2 * size), new Float64Array(2 * size)]
    band.set(this.all.subarray(2 * from, 2 * until))
    new FFT(size).inverseTransform(out, band)
    const share = size / this.length
    // The inverse is divided by its own length; a tone is in two halves of the spectrum.
    return {
      hertz: hertz * share,
      values: Float64Array.from(
        { length: Math.floor(values.length * share) },
        (_, at) => 2 * share * Math.sqrt(squared(out, at)),
      ),
    }
  }
}

/** Where the highest amplitude of a stretch of a spectrum stands, between its steps; nothing where it has none. */
export function peakOf(
  { stepHertz, amplitudes }: Spectrum,
  low: number,
  high: number,
): { hertz: number; amplitude: number } | undefined {
  const from = Math.max(1, Math.ceil(low / stepHertz))
  const until = Math.min(amplitudes.length - 2, Math.floor(high / stepHertz))
  if (from > until) return undefined
  let highest = from
  for (let at = from; at <= until; at++) if (amplitudes[at]! > amplitudes[highest]!) highest = at
  const [before, top, after] = [-1, 0, 1].map((by) => Math.log(Math.max(1e-12, amplitudes[highest + by]!))) as [
    number,
    number,
    number,
  ]
  const bend = before - 2 * top + after
  // A parabola through the logarithms of three steps.
  const beside = bend === 0 ? 0 : Math.max(-0.5, Math.min(0.5, (before - after) / (2 * bend)))
  return { hertz: (highest + beside) * stepHertz, amplitude: amplitudes[highest]! }
}

/** The usual amplitude of a stretch: its median, which single tones do not move. */
export function floorOf({ stepHertz, amplitudes }: Spectrum, low: number, high: number): number {
  return medianOf(amplitudes.slice(Math.max(1, Math.floor(low / stepHertz)), Math.max(2, Math.ceil(high / stepHertz))))
}

/** The root of the mean square. */
export function rmsOf(values: Float64Array): number {
  return Math.sqrt(values.reduce((sum, value) => sum + value * value, 0) / Math.max(1, values.length))
}

/** The loudness of each piece of so many seconds, one after the other. */
export function loudnessOf({ values, hertz }: Series, seconds: number): Float64Array {
  const length = Math.max(1, Math.round(hertz * seconds))
  return Float64Array.from({ length: Math.floor(values.length / length) }, (_, piece) =>
    rmsOf(values.subarray(piece * length, (piece + 1) * length)),
  )
}
