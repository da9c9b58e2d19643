import type { Series, Spectrum } from './fourier'

/** A point of a picture of a sound. */
export interface DrawnPoint {
  x: number
  y: number
}

/** Where the ear stops to tell loud from silent, decibels under the loudest. */
const LOWEST_DECIBELS = -90

/**
 * A spectrum as it is drawn: the highest of each step of a ruler of equal ratios, Hz and decibels under the loudest.
 *
 * @param points how many steps
 */
export function drawnSpectrum(
  { stepHertz, amplitudes }: Spectrum,
  { low, high, points }: { low: number; high: number; points: number },
): DrawnPoint[] {
  const loudest = mostOf(amplitudes.subarray(1))
  const top = Math.min(high, (amplitudes.length - 1) * stepHertz)
  const edge = (at: number) => low * (top / low) ** (at / points)
  return Array.from({ length: points }, (_, at) => {
    const from = Math.max(1, Math.floor(edge(at) / stepHertz))
    const until = Math.max(from + 1, Math.ceil(edge(at + 1) / stepHertz))
    const highest = mostOf(amplitudes.subarray(from, until))
    return { x: (edge(at) + edge(at + 1)) / 2, y: Math.max(LOWEST_DECIBELS, 20 * Math.log10(highest / loudest)) }
  })
}

/** A spectrum as it is drawn on an even ruler: the highest of each step, as a share of the highest of all. */
export function drawnLine(
  { stepHertz, amplitudes }: Spectrum,
  { low, high, points }: { low: number; high: number; points: number },
): DrawnPoint[] {
  const width = (high - low) / points
  const highest = Array.from({ length: points }, (_, at) => {
    const from = Math.max(1, Math.floor((low + at * width) / stepHertz))
    return mostOf(amplitudes.subarray(from, Math.max(from + 1, Math.ceil((low + (at + 1) * width) / stepHertz))))
  })
  const most = Math.max(...highest)
  return highest.map((amplitude, at) => ({ x: low + (at + 0.5) * width, y: amplitude / most }))
}

/** How loud it is from moment to moment as it is drawn: the highest of each piece, seconds and share of full scale. */
export function drawnTime({ hertz, values }: Series, points: number): DrawnPoint[] {
  const length = Math.max(1, Math.floor(values.length / points))
  return Array.from({ length: Math.min(points, values.length) }, (_, at) => ({
    x: (at * length) / hertz,
    y: values.subarray(at * length, (at + 1) * length).reduce((most, value) => Math.max(most, Math.abs(value)), 0),
  }))
}

/** Never quite nothing: a silent recording is drawn too. */
function mostOf(values: Float64Array): number {
  return values.reduce((most, value) => Math.max(most, value), 1e-12)
}
