import { SOUND_LIMITS } from '../knowledge/mechanical/sound-limits'
import { bearingSigns, type BearingGeometry, type BearingSign } from './bearing-signs'
import { Bands, floorOf, type Spectrum } from './fourier'
import { levelsOf } from './levels'
import type { Recording } from './recording'
import { heardShaft, strongestTone, tonesSpectrum, usualTones, type Tone, type Turning } from './tones'
import { doubtsOf, isFatal } from './usable'
import type { BearingVerdict, Doubt, Levels, Reason, WaterVerdict } from './verdicts'
import { waterNoise, type WaterNoise } from './water-noise'

/** What a recording of a machine holds. */
export interface Heard {
  doubts: Doubt[]
  /** Turns a second as its own line tells; nothing where that cannot be heard. */
  shaftHertz?: number
  strongestHertz: number
  /** What turns makes the loudest of the low tones. */
  lowFrequencyFinding?: 'once-per-revolution' | 'twice-per-revolution'
  tones: Tone[]
  signs: BearingSign[]
  levels: Levels
  bearing: BearingVerdict
  water: WaterVerdict
  /** In which the tones were looked for, and the bands in which the blows were. */
  spectrum: Spectrum
  bands: Bands
}
/** The clearest sign must be this many times as clear as the next of another place. */
const CLEARER = 1.4
/** What a voice needs, Hz. */
const TELEPHONE_HERTZ = 3_400
/** Above it, this share of what is below: a microphone that lets nothing through. */
const NOTHING_ABOVE = 0.004
const LOW_TONES = [30, 100] as const
const MIDDLE_TONES = [150, 600] as const
/** How near a line is to a whole multiple of the shaft, as a share. */
const SAME_TONE = 0.01
const { covered: COVERED, water: WATER } = SOUND_LIMITS

/**
 * All that a recording tells of a pump. "Cannot tell" comes before a wrong word: the recording itself is judged first.
 *
 * @throws InputError where the bearing's balls do not fit on their circle
 */
export function listenTo(recording: Recording, turning: Turning, bearing?: BearingGeometry): Heard {
  const spectrum = tonesSpectrum(recording)
  const shaftHertz = heardShaft(spectrum, turning)
  const bands = new Bands(recording)
  const signs = bearing ? bearingSigns(bands, bearing, shaftHertz ?? turning.rpm / 60) : []
  const doubts = [...doubtsOf(recording), ...microphone(spectrum, recording.hertz)]
  const tones = usualTones(spectrum, turning)
  const strongestHertz = strongestTone(spectrum)
  const turns = timesOfShaft(strongestHertz, { ...turning, shaftHertz })
  const levels = levelsOf(spectrum, tones)
  return {
    doubts,
    ...(shaftHertz === undefined ? {} : { shaftHertz }),
    strongestHertz,
    ...(turns ? { lowFrequencyFinding: turns } : {}),
    tones,
    signs,
    levels,
    bearing: bearingVerdict({ doubts, signs, levels }, bearing),
    water: waterVerdict({ doubts, signs, levels }, waterNoise(bands)),
    spectrum,
    bands,
  }
}

function microphone(spectrum: Spectrum, hertz: number): Doubt[] {
  const middle = floorOf(spectrum, ...MIDDLE_TONES)
  const above = hertz / 2 > TELEPHONE_HERTZ ? floorOf(spectrum, TELEPHONE_HERTZ * 1.15, hertz * 0.48) : 0
  return [
    ...(above < NOTHING_ABOVE * middle ? (['telephone'] as const) : []),
    ...(floorOf(spectrum, ...LOW_TONES) < NOTHING_ABOVE * middle ? (['no-low-tones'] as const) : []),
  ]
}

function timesOfShaft(
  hertz: number,
  { shaftHertz, mainsHertz }: { shaftHertz?: number; mainsHertz: number },
): Heard['lowFrequencyFinding'] {
  const is = (tone: number) => Math.abs(hertz - tone) <= SAME_TONE * tone
  if (shaftHertz === undefined || is(2 * mainsHertz)) return undefined
  return is(shaftHertz) ? 'once-per-revolution' : is(2 * shaftHertz) ? 'twice-per-revolution' : undefined
}

type Judged = Pick<Heard, 'doubts' | 'signs' | 'levels'>

function bearingVerdict(
  { doubts, signs: [first, second], levels }: Judged,
  bearing: BearingGeometry | undefined,
): BearingVerdict {
  const fatal = doubts.find(isFatal)
  if (fatal) return cannotTell(fatal)
  if (!bearing) return cannotTell('no-number')
  if (first && second && first.prominence < CLEARER * second.prominence) return cannotTell('two-parts')
  if (first) {
    const { place, or, hertz } = first
    return { is: 'blows', place, ...(or ? { or } : {}), hertz }
  }
  if (doubts.includes('telephone')) return cannotTell('telephone')
  if (levels.hissDecibels > COVERED.bearing) return cannotTell('covered')
  return { is: 'no-blows' }
}

function waterVerdict({ doubts, signs, levels }: Judged, { crackle, beats, gulps }: WaterNoise): WaterVerdict {
  const fatal = doubts.find(isFatal)
  if (fatal) return cannotTell(fatal)
  if (doubts.includes('telephone')) return cannotTell('telephone')
  // What comes at a beat is made by something that turns, and covers the water.
  if (crackle > WATER.crackle) return signs.length > 0 || beats ? cannotTell('at-a-beat') : { is: 'crackle' }
  if (gulps > WATER.gulps) return { is: 'gulps' }
  if (levels.hissDecibels > COVERED.water) return cannotTell('covered')
  return { is: 'steady' }
}

const cannotTell = (why: Reason) => ({ is: 'cannot-tell' as const, why })
