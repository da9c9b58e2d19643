import { Type } from 'class-transformer'
import { IsInt, IsObject, IsString, Max, MaxLength, Min, ValidateNested } from 'class-validator'
import type { Basis } from '../judgement/judgement'
import { formatNumber as n } from '../quantity/format'
import { drawnSpectrum } from '../sound/drawn'
import { listenTo } from '../sound/listen'
import { readWav } from '../sound/recording'
import { RECORDING_LIMITS } from '../sound/verdicts'
import { bearingWords, REASON_WORDS, waterWords } from '../sound/words'
import { badField } from '../validation/input-error'
import { MayBeAbsent, OptionalQuantity, Quantity } from '../validation/rules'
import { cautioned, defineWorking } from './define-working'

class BearingInput {
  @IsInt() @Min(3) @Max(60) balls!: number
  @Quantity({ above: 0, max: 200 }) ballMillimetres!: number
  @Quantity({ above: 0, max: 1000 }) pitchMillimetres!: number
  @OptionalQuantity({ min: 0, max: 60 }) contactDegrees?: number
}
class SoundTonesInput {
  @IsString() @MaxLength(Math.ceil(RECORDING_LIMITS.mostBytes * 1.4)) file!: string
  @Quantity({ above: 0, max: 1e5 }) rpm!: number
  @Quantity({ above: 0, max: 1000 }) mainsHertz!: number
  @MayBeAbsent() @IsObject() @ValidateNested() @Type(() => BearingInput) bearing?: BearingInput
  @MayBeAbsent() @IsInt() @Min(1) @Max(40) vanes?: number
}

const BASIS: Basis = {
  kind: 'handbook',
  name: 'envelope analysis (McFadden and Smith 1984), mean spectrum of overlapping parts (Welch 1967); own limits',
}
const DRAWN = { low: 20, high: 8_000, points: 400 } as const

/** What a recording of a pump tells: a WAV file as base64; the command line takes its path. */
export const soundTonesWorking = defineWorking({
  name: 'sound-tones',
  title: 'What is to be heard in this recording?',
  input: SoundTonesInput,
  basis: BASIS,
  run: ({ file, rpm, mainsHertz, bearing, vanes }) => {
    const heard = listenTo(readWav(fromBase64(file)), { rpm, mainsHertz, vanes }, bearing)
    const [sign] = heard.signs
    return {
      strongestHz: heard.strongestHertz,
      ...(heard.shaftHertz === undefined ? {} : { shaftHz: heard.shaftHertz }),
      ...(sign ? { envelopePeakHz: sign.hertz } : {}),
      bearingFault: sign?.place ?? 'none',
      ...(heard.lowFrequencyFinding ? { lowFrequencyFinding: heard.lowFrequencyFinding } : {}),
      bearingVerdict: heard.bearing.is,
      waterVerdict: heard.water.is,
      ...heard.levels,
      tones: heard.tones.map(({ name, hertz }) => ({ name, hertz })),
      spectrum: drawnSpectrum(heard.spectrum, DRAWN).map(({ x, y }) => ({ hertz: x, decibels: y })),
      basis: BASIS,
      ...cautioned(heard.doubts.map((doubt) => REASON_WORDS[doubt])),
      steps: [
        `strongest tone below 1 kHz: ${n(heard.strongestHertz, 5)} Hz; shaft by its plate ${n(rpm)} / 60 = ` +
          `${n(rpm / 60, 4)} Hz, ` +
          (heard.shaftHertz === undefined ? 'not heard' : `heard at ${n(heard.shaftHertz, 5)} Hz`),
        ...heard.signs.map(
          ({ place, hertz, prominence, band: [low, high] }) =>
            `${place}: ${n(hertz, 5)} Hz in the envelope of ${n(low)} to ${n(high)} Hz, ${n(prominence, 3)} times ` +
            'what is usual about it',
        ),
        bearingWords(heard.bearing),
        waterWords(heard.water),
      ],
    }
  },
})

function fromBase64(text: string): Uint8Array {
  const plain = text.replace(/^data:[^,]*,/, '').replace(/\s+/g, '')
  if (!/^[A-Za-z0-9+/]+={0,2}$/.test(plain))
    throw badField('file', text.slice(0, 40), 'a WAV file as base64; on the command line also its path')
  return Uint8Array.from(atob(plain), (character) => character.charCodeAt(0))
}
