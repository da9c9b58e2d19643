import * as wavefile from 'wavefile'
import { badField } from '../validation/input-error'
import type { Series } from './fourier'
import { RECORDING_LIMITS } from './verdicts'

/** A recording of one channel; its values from -1 to 1. */
export type Recording = Series

// A bundler takes the package's module, Node its older form, in which everything hangs on the default.
const { WaveFile } = 'WaveFile' in wavefile ? wavefile : (wavefile as { default: typeof wavefile }).default
const FULL_SCALE = 32_767
const RATES = { lowest: 4_000, highest: 192_000 } as const

/**
 * A recording from the bytes of a WAV file: whole numbers of 8 to 32 bits or floating point, any number of channels,
 * which are taken together.
 *
 * @throws InputError where it is no such file, or none that can be a recording of a pump
 */
export function readWav(bytes: Uint8Array): Recording {
  if (bytes.length > RECORDING_LIMITS.mostBytes)
    throw badField('file', `${bytes.length} bytes`, `at most ${RECORDING_LIMITS.mostBytes} bytes`)
  const { fmt, bitDepth, samples } = parsed(bytes)
  const hertz = fmt.sampleRate
  if (!(hertz >= RATES.lowest && hertz <= RATES.highest))
    throw badField('file', `${hertz} samples a second`, `from ${RATES.lowest} to ${RATES.highest}`)
  const [first = new Float64Array()] = samples
  const seconds = first.length / hertz
  const { shortestSeconds, longestSeconds } = RECORDING_LIMITS
  if (!(seconds >= shortestSeconds && seconds <= longestSeconds))
    throw badField('file', `${seconds.toFixed(2)} s`, `from ${shortestSeconds} to ${longestSeconds} s`)
  const scale = samples.length * (bitDepth.endsWith('f') || bitDepth === '64' ? 1 : 2 ** (Number(bitDepth) - 1))
  const middle = bitDepth === '8' ? 128 : 0
  return {
    hertz,
    values: first.map((_, at) => samples.reduce((sum, channel) => sum + ((channel[at] ?? 0) - middle), 0) / scale),
  }
}

function parsed(bytes: Uint8Array) {
  const file = new WaveFile()
  try {
    file.fromBuffer(bytes)
    const samples = file.getSamples(false, Float64Array) as unknown as Float64Array | Float64Array[]
    return {
      fmt: file.fmt as { sampleRate: number },
      bitDepth: file.bitDepth,
      samples: Array.isArray(samples) ? samples : [samples],
    }
  } catch (error) {
    throw badField('file', (error as Error).message, 'a WAV file of plain samples (PCM or floating point)')
  }
}

/** A recording as the bytes of a WAV file: one channel of 16 bits. */
export function writeWav({ hertz, values }: Recording): Uint8Array<ArrayBuffer> {
  const file = new WaveFile()
  const whole = values.map((value) => Math.round(Math.max(-1, Math.min(1, value)) * FULL_SCALE))
  file.fromScratch(1, Math.round(hertz), '16', whole)
  return new Uint8Array(file.toBuffer())
}
