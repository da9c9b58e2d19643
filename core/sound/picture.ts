import type { BearingInside } from '../knowledge/mechanical/bearing-insides'
import { bearingTones } from '../mechanics/bearing'
import { ringing } from './bearing-signs'
import { drawnLine, drawnSpectrum, drawnTime, type DrawnPoint } from './drawn'
import type { Heard } from './listen'
import type { Recording } from './recording'
import type { Turning } from './tones'

/** A line of a picture, and whether it stands out. */
export interface NamedLine {
  name: string
  hertz: number
  heard: boolean
}
/** How a recording looks: how loud from moment to moment, of which tones, and at which beat it is loud. */
export interface SoundPicture {
  time: DrawnPoint[]
  tones: { points: DrawnPoint[]; lines: NamedLine[] }
  /** Where the bearing is known: the beat of its ringing, with the rates of its places. */
  beat?: { points: DrawnPoint[]; lines: NamedLine[]; band: readonly [low: number, high: number] }
}

const POINTS = 480
const TONES = { low: 20, high: 8_000, points: POINTS } as const
/** Where the blows of small bearings ring, where no sign says it. */
const USUAL_BAND = [2_000, 3_900] as const
/** A picture of the beat ends so far over the highest rate. */
const BEYOND = 1.25
const TONE_WORDS = { shaft: 'one turn', 'twice-shaft': 'two a turn', hum: 'mains hum', vanes: 'vanes' } as const
const PLACES = { outer: 'outer race', inner: 'inner race', ball: 'ball', cage: 'cage' } as const

/** The picture of what was heard. */
export function pictureOf(recording: Recording, heard: Heard, turning: Turning, bearing?: BearingInside): SoundPicture {
  const shaft = heard.shaftHertz ?? turning.rpm / 60
  const expected: [keyof typeof TONE_WORDS, number][] = [
    ['shaft', shaft],
    ['hum', 2 * turning.mainsHertz],
    ...(turning.vanes ? [['vanes', turning.vanes * shaft] as ['vanes', number]] : []),
  ]
  const lines = expected.map(([name, hertz]): NamedLine => {
    const tone = heard.tones.find((each) => each.name === name)
    return { name: TONE_WORDS[name], hertz: tone?.hertz ?? hertz, heard: tone !== undefined }
  })
  return {
    time: drawnTime(recording, POINTS),
    tones: { points: drawnSpectrum(heard.spectrum, TONES), lines },
    ...(bearing ? { beat: beatOf(heard, shaft, bearing) } : {}),
  }
}

function beatOf({ signs, bands }: Heard, shaft: number, bearing: BearingInside): NonNullable<SoundPicture['beat']> {
  const band = signs[0]?.band ?? USUAL_BAND
  const { outerHz, innerHz, ballHz, cageHz } = bearingTones({ ...bearing, rpm: shaft * 60 })
  const rates = { outer: outerHz, inner: innerHz, ball: ballHz, cage: cageHz }
  const lines = (Object.keys(rates) as (keyof typeof rates)[]).map((place): NamedLine => {
    const sign = signs.find((each) => each.place === place)
    return { name: PLACES[place], hertz: sign?.hertz ?? rates[place], heard: sign !== undefined }
  })
  const spectrum = ringing(bands, band)
  return { points: drawnLine(spectrum, { low: 5, high: BEYOND * innerHz, points: POINTS }), lines, band }
}
