import { describe, expect, it } from 'vitest'
import { USUAL_INSIDE } from '../knowledge/mechanical/bearing-insides'
import { bearingTones } from '../mechanics/bearing'
import { medianOf } from '../quantity/middle'
import { chance } from '../quantity/random'
import { drawnLine, drawnSpectrum, drawnTime } from './drawn'
import { Bands, fineSpectrumOf, floorOf, peakOf, rmsOf, spectrumOf, type Series } from './fourier'
import { levelsOf } from './levels'
import { listenTo } from './listen'
import { pictureOf } from './picture'
import { heardShaft, strongestTone, tonesSpectrum, usualTones } from './tones'
import { turningOf } from './turning'
import { usualLevels } from './usual-levels'

const HERTZ = 16_000
const SECONDS = 5
const TURNING = { rpm: 3_450, mainsHertz: 60 }
const silence = (): Float64Array => new Float64Array(HERTZ * SECONDS)
/** A sound of tones over a little noise. */
function tones(all: readonly (readonly [hertz: number, amplitude: number])[], noise = 0.005): Series {
  const dice = chance(5)
  const values = silence().map(
    (_, at) =>
      dice.normal(0, noise) +
      all.reduce((sum, [hertz, amplitude]) => sum + amplitude * Math.sin((2 * Math.PI * hertz * at) / HERTZ), 0),
  )
  return { hertz: HERTZ, values }
}
/** Blows at a rate that ring at 3 kHz, on a humming machine. */
function blows(rate: number, { loud = 0.3, noise = 0.005 } = {}): Series {
  const sound = tones(
    [
      [57.5, 0.05],
      [120, 0.15],
    ],
    noise,
  )
  for (let blow = 0; blow < SECONDS; blow += 1 / rate)
    for (let at = 0; at < 100 && Math.round(blow * HERTZ) + at < sound.values.length; at++)
      sound.values[Math.round(blow * HERTZ) + at]! +=
        loud * Math.exp(-at / 16) * Math.sin((2 * Math.PI * 3_000 * at) / HERTZ)
  return sound
}
const rates = bearingTones({ ...USUAL_INSIDE, rpm: 3_450 })

describe('spectra', () => {
  it('a sine of amplitude 1 stands as 1 where it is, between the steps too', () => {
    const spectrum = spectrumOf(tones([[440.3, 1]], 0), 16_384)
    const peak = peakOf(spectrum, 400, 480)
    expect(peak?.hertz).toBeCloseTo(440.3, 1)
    expect(peak?.amplitude).toBeGreaterThan(0.85)
    expect(peak?.amplitude).toBeLessThan(1.01)
  })

  it('noise is flat: its usual amplitude is the same low and high', () => {
    const spectrum = spectrumOf(tones([], 0.1), 8_192)
    expect(floorOf(spectrum, 100, 1_000) / floorOf(spectrum, 5_000, 7_000)).toBeCloseTo(1, 0.5)
  })

  it('has no peak where there is no stretch', () => {
    const spectrum = spectrumOf(tones([[440, 1]]), 1_024)
    expect(peakOf(spectrum, 100, 90)).toBeUndefined()
    expect(peakOf(spectrum, 9_000, 9_500)).toBeUndefined()
  })

  it('the envelope of a tone that swells is its swelling, at the loudness of the tone', () => {
    const swelling = silence().map(
      (_, at) =>
        (1 + 0.5 * Math.cos((2 * Math.PI * 7 * at) / HERTZ)) * 0.2 * Math.sin((2 * Math.PI * 2_500 * at) / HERTZ),
    )
    const envelope = new Bands({ hertz: HERTZ, values: swelling }).envelopeOf([2_000, 3_000])
    // The ends ring.
    const middle = envelope.values.slice(envelope.values.length / 8, (envelope.values.length * 7) / 8)
    expect(medianOf(middle)).toBeCloseTo(0.2, 2)
    expect(Math.max(...middle)).toBeCloseTo(0.3, 2)
    expect(peakOf(fineSpectrumOf({ hertz: envelope.hertz, values: middle }), 2, 40)?.hertz).toBeCloseTo(7, 1)
  })

  it('the mean of squares of a sine is half its square', () => {
    expect(rmsOf(tones([[200, 1]], 0).values)).toBeCloseTo(Math.SQRT1_2, 3)
    expect(rmsOf(new Float64Array())).toBe(0)
    expect(medianOf(new Float64Array())).toBe(0)
  })
})

describe('tones', () => {
  it('hears the speed by its own line, and not from far off the plate', () => {
    const spectrum = tonesSpectrum(
      tones([
        [58.2, 0.05],
        [120, 0.2],
      ]),
    )
    expect(heardShaft(spectrum, TURNING)).toBeCloseTo(58.2, 1)
    expect(heardShaft(spectrum, { rpm: 1_725 })).toBeUndefined()
    expect(strongestTone(spectrum)).toBeCloseTo(120, 1)
  })

  it('names shaft, hum and vanes that stand out, and no others', () => {
    const spectrum = tonesSpectrum(
      tones([
        [57.5, 0.05],
        [120, 0.2],
        [287.5, 0.04],
      ]),
    )
    expect(usualTones(spectrum, { ...TURNING, vanes: 5 }).map(({ name }) => name)).toEqual(['shaft', 'hum', 'vanes'])
    expect(usualTones(spectrum, { ...TURNING, vanes: 7 }).map(({ name }) => name)).toEqual(['shaft', 'hum'])
  })

  it('says what turns where the loudest low tone is one of the shaft', () => {
    const of = (all: readonly (readonly [number, number])[]) => listenTo(tones(all), TURNING).lowFrequencyFinding
    expect(
      of([
        [57.5, 0.3],
        [120, 0.1],
      ]),
    ).toBe('once-per-revolution')
    expect(
      of([
        [57.5, 0.1],
        [115, 0.3],
      ]),
    ).toBe('twice-per-revolution')
    expect(
      of([
        [57.5, 0.1],
        [120, 0.3],
      ]),
    ).toBeUndefined()
  })

  it('hears a slow motor too', () => {
    const slow = tones([
      [19, 0.3],
      [120, 0.1],
    ])
    const { strongestHertz, lowFrequencyFinding } = listenTo(slow, { rpm: 1_140, mainsHertz: 60 })
    expect(strongestHertz).toBeCloseTo(19, 1)
    expect(lowFrequencyFinding).toBe('once-per-revolution')
  })

  it('takes its speed from the plate: what is read, its poles, or two of them', () => {
    expect(turningOf({ volts: 230, hertz: 60 })).toEqual({ rpm: 3_450, mainsHertz: 60 })
    expect(turningOf({ volts: 230, hertz: 50, poles: 4 })).toEqual({ rpm: 1_438, mainsHertz: 50 })
    expect(turningOf({ volts: 230, hertz: 60, rpm: 3_500 })).toEqual({ rpm: 3_500, mainsHertz: 60 })
  })
})

describe('a bearing', () => {
  it.each([
    ['outer', rates.outerHz],
    ['inner', rates.innerHz],
    ['ball', rates.ballHz],
    ['cage', rates.cageHz],
  ] as const)('that hits at the rate of its %s is heard as that', (place, rate) => {
    const { bearing, signs } = listenTo(blows(rate), TURNING, USUAL_INSIDE)
    expect(bearing).toMatchObject({ is: 'blows', place })
    expect(signs[0]?.hertz).toBeCloseTo(rate, 0)
  })

  it('is not heard where nothing hits, nor where something else hits', () => {
    expect(listenTo(blows(91), TURNING, USUAL_INSIDE).bearing).toEqual({ is: 'no-blows' })
    expect(listenTo(blows(57.5 * 3), TURNING, USUAL_INSIDE).bearing).toEqual({ is: 'no-blows' })
    expect(
      listenTo(
        tones([
          [57.5, 0.05],
          [120, 0.15],
        ]),
        TURNING,
        USUAL_INSIDE,
      ).bearing,
    ).toEqual({ is: 'no-blows' })
  })

  it('cannot be told of without its number, nor cleared where noise would cover it', () => {
    expect(listenTo(blows(rates.outerHz), TURNING).bearing).toEqual({ is: 'cannot-tell', why: 'no-number' })
    const loud = listenTo(
      tones(
        [
          [57.5, 0.05],
          [120, 0.15],
        ],
        0.25,
      ),
      TURNING,
      USUAL_INSIDE,
    )
    expect(loud.bearing).toEqual({ is: 'cannot-tell', why: 'covered' })
    expect(loud.water).toEqual({ is: 'cannot-tell', why: 'covered' })
  })
})

describe('a recording is judged before the machine', () => {
  const humming = () =>
    tones([
      [57.5, 0.05],
      [120, 0.15],
    ]).values
  const why = (values: Float64Array, hertz = HERTZ) => {
    const { bearing, water } = listenTo({ hertz, values }, TURNING, USUAL_INSIDE)
    expect(bearing.why).toBe(water.why)
    return bearing.why
  }

  it.each([
    ['short', () => humming().slice(0, HERTZ * 2)],
    ['clipped', () => humming().map((value) => Math.max(-1, Math.min(1, value * 20)))],
    ['faint', () => humming().map((value) => value / 1_000)],
    ['unsteady', () => humming().map((value, at, all) => (at < all.length / 3 ? value : value / 8))],
    ['telephone', () => bandLimited(3_300)],
  ] as const)('%s', (reason, values) => {
    expect(why(values())).toBe(reason)
  })

  it('a machine without low tones has no speed, and its bearing may still be heard', () => {
    const { doubts, bearing } = listenTo(thinned(blows(rates.outerHz)), TURNING, USUAL_INSIDE)
    expect(doubts).toContain('no-low-tones')
    expect(bearing).toMatchObject({ is: 'blows', place: 'outer' })
  })

  /** Noise and hum with nothing above so many hertz. */
  function bandLimited(most: number): Float64Array {
    const dice = chance(9)
    const parts = Array.from({ length: 600 }, () => [dice.between(30, most), dice.between(0, 6.3)] as const)
    return silence().map(
      (_, at) =>
        0.1 * Math.sin((2 * Math.PI * 120 * at) / HERTZ) +
        parts.reduce((sum, [hertz, phase]) => sum + 0.002 * Math.sin((2 * Math.PI * hertz * at) / HERTZ + phase), 0),
    )
  }
  /** With less the lower it is: the difference from one value to the next, four times. */
  function thinned({ hertz, values }: Series): Series {
    const differences = (all: Float64Array) => all.map((value, at) => value - (all[at - 1] ?? 0))
    return { hertz, values: [1, 2, 3, 4].reduce(differences, values) }
  }
})

describe('levels', () => {
  it('are the same however far the microphone was turned up', () => {
    const near = tones(
      [
        [57.5, 0.05],
        [120, 0.15],
      ],
      0.01,
    )
    const far = { hertz: HERTZ, values: near.values.map((value) => value / 7) }
    const of = (sound: Series) => {
      const spectrum = tonesSpectrum(sound)
      return levelsOf(spectrum, usualTones(spectrum, TURNING))
    }
    expect(of(far).hissDecibels).toBeCloseTo(of(near).hissDecibels, 6)
    expect(of(far).turnDecibels).toBeCloseTo(of(near).turnDecibels as number, 6)
    // 0.05 of the root of the squares of 0.05 and 0.15.
    expect(of(near).turnDecibels).toBeCloseTo(20 * Math.log10(0.05 / Math.hypot(0.05, 0.15)), 0)
  })

  it('rise with the noise as it does', () => {
    const hiss = (noise: number) => {
      const spectrum = tonesSpectrum(tones([[120, 0.15]], noise))
      return levelsOf(spectrum, []).hissDecibels
    }
    expect(hiss(0.02) - hiss(0.002)).toBeCloseTo(20, 0)
  })

  it('of a kind are there from five machines on', () => {
    const of = (count: number) =>
      usualLevels(Array.from({ length: count }, (_, at) => ({ hissDecibels: -50 - at, turnDecibels: at })))
    expect(of(4)).toEqual({ machines: 4 })
    expect(of(11)).toEqual({
      machines: 11,
      hiss: { low: -59, middle: -55, high: -51 },
      turn: { low: 1, middle: 5, high: 9 },
    })
    expect(usualLevels([...Array.from({ length: 6 }, () => ({ hissDecibels: -50 }))]).turn).toBeUndefined()
  })
})

describe('pictures', () => {
  it('draw a tone where it is, the loudest at the top', () => {
    const points = drawnSpectrum(tonesSpectrum(tones([[500, 0.3]])), { low: 20, high: 8_000, points: 200 })
    const top = points.reduce((most, point) => (point.y > most.y ? point : most))
    expect(top.y).toBe(0)
    expect(top.x / 500).toBeCloseTo(1, 1)
    expect(points.every(({ y }) => y >= -90)).toBe(true)
  })

  it('draw silence without a number that is none', () => {
    const spectrum = tonesSpectrum({ hertz: HERTZ, values: silence() })
    for (const point of [
      ...drawnSpectrum(spectrum, { low: 20, high: 8_000, points: 50 }),
      ...drawnLine(spectrum, { low: 5, high: 400, points: 50 }),
      ...drawnTime({ hertz: HERTZ, values: silence() }, 50),
    ])
      expect(Number.isFinite(point.x) && Number.isFinite(point.y)).toBe(true)
  })

  it('name what was looked for, and say what of it was heard', () => {
    const sound = blows(rates.outerHz)
    const picture = pictureOf(sound, listenTo(sound, TURNING, USUAL_INSIDE), TURNING, USUAL_INSIDE)
    expect(picture.tones.lines.map(({ name, heard }) => [name, heard])).toEqual([
      ['one turn', true],
      ['mains hum', true],
    ])
    expect(picture.beat?.lines.filter(({ heard }) => heard).map(({ name }) => name)).toEqual(['outer race'])
    const top = picture.beat?.points.reduce((most, point) => (point.y > most.y ? point : most))
    expect(top?.x).toBeCloseTo(rates.outerHz, -0.5)
    expect(pictureOf(sound, listenTo(sound, TURNING), TURNING).beat).toBeUndefined()
  })
})
