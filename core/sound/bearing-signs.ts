import type { BearingInside } from '../knowledge/mechanical/bearing-insides'
import { SOUND_LIMITS } from '../knowledge/mechanical/sound-limits'
import { medianOf } from '../quantity/middle'
import { bearingTones } from '../mechanics/bearing'
import { fineSpectrumOf, peakOf, type Bands, type Spectrum } from './fourier'
import type { BearingPlace } from './verdicts'
import { prominenceAt } from './tones'

/** What a bearing's rates follow from. */
export interface BearingGeometry extends BearingInside {
  contactDegrees?: number
}
/** A place of a bearing that a sound speaks of. */
export interface BearingSign {
  place: BearingPlace
  /** Another place of which its line may as well be. */
  or?: BearingPlace
  /** Where its line stands in the spectrum of the envelope, Hz. */
  hertz: number
  /** Times the usual amplitude about it. */
  prominence: number
  /** How many times its double stands out. */
  second: number
  /** The band in which the blows ring, Hz. */
  band: readonly [low: number, high: number]
}

/** Bands in which blows can ring, Hz. Below lie the machine's own tones. */
const BANDS: readonly (readonly [number, number])[] = [
  [500, 1_500],
  [1_000, 2_000],
  [1_500, 3_000],
  [2_000, 3_900],
  [3_000, 6_000],
  [4_000, 7_600],
  [7_000, 12_000],
]
/** A filter does not reach the end of what is recorded. */
const USABLE = 0.49
/** Balls slide a little, and the angle of contact is not known: share of a tone. */
const SLIDES = 0.015
/** A line stands out by this much, its double by that, or it alone by far. Times the usual amplitude about it. */
export interface SignLimits {
  line: number
  second: number
  alone: number
}
export const SIGN_LIMITS: SignLimits = SOUND_LIMITS.sign
/** A single knock is no tone: an envelope counts up to so many times its median. */
const KNOCK = 12
/** A cage that is so clear beside the outer race makes its line too; a line of so much of a sign is a hint of one. */
const CAGE_OF_OUTER = 0.6
const HINT = 0.4
/** Nearer to a whole multiple of the shaft than this, a line is the shaft's: share, and steps of the spectrum. */
const WHOLE = { share: 0.003, steps: 1.5 } as const

/**
 * Which places of a bearing are heard, the clearest first: blows that come at their own rate ring in some band, and the
 * envelope of that band has their line.
 *
 * @param shaftHertz turns a second, as heard or of the plate
 * @source envelope analysis after McFadden and Smith 1984; limits: own, by recordings of the virtual pump
 */
export function bearingSigns(
  bands: Bands,
  bearing: BearingGeometry,
  shaftHertz: number,
  limits = SIGN_LIMITS,
): BearingSign[] {
  const tones = bearingTones({ ...bearing, rpm: shaftHertz * 60 })
  const rates = { outer: tones.outerHz, inner: tones.innerHz, ball: tones.ballHz, cage: tones.cageHz }
  const spectra = BANDS.filter(([, high]) => high < bands.hertz * USABLE).map((band) => ({
    band,
    spectrum: ringing(bands, band),
  }))
  const clearest = (place: BearingPlace, least: SignLimits): BearingSign[] =>
    spectra
      .flatMap(({ band, spectrum }) => {
        const sign = signIn(spectrum, { rate: rates[place], shaftHertz, limits: least })
        return sign ? [{ place, ...sign, band }] : []
      })
      .sort((a, b) => b.prominence - a.prominence)
      .slice(0, 1)
  const others = (['outer', 'inner', 'ball'] as const)
    .flatMap((place) => clearest(place, limits))
    .sort((a, b) => b.prominence - a.prominence)
  const hint = { line: limits.line * HINT, second: limits.second * HINT, alone: limits.alone * HINT }
  const signs = withCage(others, clearest('cage', hint)[0], limits)
  return signs.filter(
    (sign, at) => !signs.slice(0, at).some((clearer) => isBeside(sign, clearer, shaftHertz, rates.cage)),
  )
}

/**
 * A damaged ball is loud once in each turn of the cage: beside it the cage's own line says nothing. But the rate of the
 * outer race is that of the cage times its balls, so that blows of a loose cage have a line there too.
 */
function withCage(others: BearingSign[], cage: BearingSign | undefined, limits: SignLimits): BearingSign[] {
  const [first, ...rest] = others
  if (!first) return cage && isSign(cage, limits) ? [cage] : []
  if (!cage || first.place !== 'outer') return others
  return cage.prominence > CAGE_OF_OUTER * first.prominence ? [cage] : [{ ...first, or: 'cage' }, ...rest]
}

/** Blows that are louder on one side of a turn have lines beside their own, a turn of the shaft or of the cage away. */
function isBeside(sign: BearingSign, of: BearingSign, ...turns: number[]): boolean {
  const away = Math.abs(sign.hertz - of.hertz)
  return turns.some((turn) => [1, 2].some((times) => Math.abs(away - times * turn) < Math.max(1, 0.01 * turn)))
}

/** The tones of a band's envelope, single knocks taken down. */
export function ringing(bands: Bands, band: readonly [low: number, high: number]): Spectrum {
  const { hertz, values } = bands.envelopeOf(band)
  const most = KNOCK * medianOf(values)
  return fineSpectrumOf({ hertz, values: values.map((value) => Math.min(value, most)) })
}

function signIn(
  spectrum: Spectrum,
  { rate, shaftHertz, limits }: { rate: number; shaftHertz: number; limits: SignLimits },
): Pick<BearingSign, 'hertz' | 'prominence' | 'second'> | undefined {
  const peak = peakOf(spectrum, rate * (1 - SLIDES), rate * (1 + SLIDES))
  if (!peak || isWhole(peak.hertz, shaftHertz, spectrum.stepHertz)) return undefined
  const prominence = prominenceAt(spectrum, peak.hertz, peak.amplitude)
  const double = peakOf(spectrum, 2 * peak.hertz - 2 * spectrum.stepHertz, 2 * peak.hertz + 2 * spectrum.stepHertz)
  const second = double ? prominenceAt(spectrum, double.hertz, double.amplitude) : 0
  const sign = { hertz: peak.hertz, prominence, second }
  return isSign(sign, limits) ? sign : undefined
}

/** Does a line stand out enough to be one of a damaged place? */
export function isSign(
  { prominence, second }: Pick<BearingSign, 'prominence' | 'second'>,
  limits: SignLimits,
): boolean {
  return prominence >= limits.line && (second >= limits.second || prominence >= limits.alone)
}

/** Vanes, coupling and imbalance beat at whole multiples of the shaft. */
function isWhole(hertz: number, shaftHertz: number, stepHertz: number): boolean {
  const multiple = Math.max(1, Math.round(hertz / shaftHertz)) * shaftHertz
  return Math.abs(hertz - multiple) <= Math.max(WHOLE.share * multiple, WHOLE.steps * stepHertz)
}
