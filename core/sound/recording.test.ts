import * as wavefile from 'wavefile'
import { describe, expect, it } from 'vitest'
import { chance } from '../quantity/random'
import { readWav, writeWav } from './recording'
import { bearingWords, REASON_WORDS, waterWords } from './words'
import { BEARING_HEARD, REASONS, RECORDING_LIMITS, WATER_HEARD } from './verdicts'

const { WaveFile } = 'WaveFile' in wavefile ? wavefile : (wavefile as { default: typeof wavefile }).default
const HERTZ = 8_000
const sine = (amplitude = 0.5) =>
  Float64Array.from({ length: HERTZ }, (_, at) => amplitude * Math.sin((2 * Math.PI * 50 * at) / HERTZ))
function wav(channels: number, depth: string, samples: Float64Array | Float64Array[], hertz = HERTZ): Uint8Array {
  const file = new WaveFile()
  file.fromScratch(channels, hertz, depth, samples)
  return file.toBuffer()
}

describe('a recording as a file', () => {
  it('comes back as it was written, to half a step of 16 bits', () => {
    const written = sine()
    const { hertz, values } = readWav(writeWav({ hertz: HERTZ, values: written }))
    expect(hertz).toBe(HERTZ)
    expect(values).toHaveLength(written.length)
    for (const [at, value] of values.entries()) expect(Math.abs(value - written[at]!)).toBeLessThan(2 ** -14)
  })

  it('cuts what is louder than full scale instead of turning it over', () => {
    const { values } = readWav(writeWav({ hertz: HERTZ, values: sine(3) }))
    expect(Math.max(...values)).toBeCloseTo(1, 3)
    expect(values[Math.round(HERTZ / 200)]).toBeCloseTo(1, 3)
  })

  it.each([
    ['8', 128, 127],
    ['16', 0, 32_767],
    ['24', 0, 8_388_607],
    ['32', 0, 2_147_483_647],
    ['32f', 0, 1],
    ['64', 0, 1],
  ] as const)('is read of %s bits', (depth, middle, scale) => {
    const whole = depth === '32f' || depth === '64' ? sine() : sine().map((value) => Math.round(value * scale) + middle)
    const { values } = readWav(wav(1, depth, whole))
    for (const [at, value] of sine().entries()) expect(values[at]).toBeCloseTo(value, 1.7)
    expect(Math.max(...values)).toBeCloseTo(0.5, 1.7)
  })

  it('takes two channels together', () => {
    const [left, right] = [sine(0.6), sine(0.2)].map((each) => each.map((value) => Math.round(value * 32_767)))
    const { values } = readWav(wav(2, '16', [left!, right!]))
    expect(Math.max(...values)).toBeCloseTo(0.4, 2)
  })

  it.each([
    ['no file at all', new Uint8Array()],
    ['text', new TextEncoder().encode('RIFF and nothing more')],
    ['one that is torn in its head', writeWav({ hertz: HERTZ, values: sine() }).slice(0, 30)],
    ['too short', writeWav({ hertz: HERTZ, values: sine().slice(0, 2_000) })],
    [
      'a rate that no sound has',
      wav(
        1,
        '16',
        sine().map((value) => Math.round(value * 9_999)),
        500,
      ),
    ],
    ['larger than can be', new Uint8Array(RECORDING_LIMITS.mostBytes + 1)],
  ])('is refused with a sentence: %s', (_, bytes) => {
    expect(() => readWav(bytes)).toThrow(expect.objectContaining({ name: 'InputError' }))
    try {
      readWav(bytes)
    } catch (error) {
      const [problem] = (error as { problems: { field: string; expected: string }[] }).problems
      expect(problem?.field).toBe('file')
      expect(problem?.expected).not.toBe('')
    }
  })
})

describe('a file that somebody has been at', () => {
  it('is read or refused with a sentence, whatever its bytes', () => {
    const dice = chance(21)
    const good = writeWav({ hertz: HERTZ, values: sine() })
    const ends = { read: 0, refused: 0 }
    for (let turn = 0; turn < 400; turn++) {
      const bytes = good.slice(0, dice.hit(0.2) ? Math.floor(dice.between(0, good.length)) : undefined)
      for (let change = 0; change < 1 + (turn % 6); change++)
        bytes[Math.floor(dice.between(0, Math.min(60, bytes.length)))] = Math.floor(dice.between(0, 256))
      try {
        const { values } = readWav(bytes)
        expect(values.every(Number.isFinite)).toBe(true)
        ends.read++
      } catch (error) {
        expect((error as Error).name).toBe('InputError')
        ends.refused++
      }
    }
    expect(Math.min(ends.read, ends.refused)).toBeGreaterThan(20)
  })
})

describe('what is said of a recording', () => {
  it('is a sentence for every verdict and every reason', () => {
    for (const why of REASONS) expect(REASON_WORDS[why]).toMatch(/^[A-Z].*\.$/)
    for (const is of BEARING_HEARD) expect(bearingWords({ is, place: 'outer', hertz: 175.5 })).toMatch(/^[A-Z].*\.$/)
    for (const is of WATER_HEARD) expect(waterWords({ is })).toMatch(/^[A-Z].*\.$/)
  })

  it('names the place, and the other that it may be', () => {
    expect(bearingWords({ is: 'blows', place: 'outer', or: 'cage', hertz: 175.55 })).toBe(
      'Blows come 175.6 times a second, as of a damaged outer race or a loose cage.',
    )
    expect(bearingWords({ is: 'cannot-tell', why: 'clipped' })).toBe(REASON_WORDS.clipped)
  })
})
