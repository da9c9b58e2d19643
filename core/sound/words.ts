import type { BearingPlace, BearingVerdict, Reason, WaterVerdict } from './verdicts'

/** What the levels of a recording are called. */
export const LEVEL_LABELS = { hiss: 'rush', turn: 'beat of one turn' } as const
/** What each reason means to whoever recorded it, and what to do. */
export const REASON_WORDS: Readonly<Record<Reason, string>> = {
  short: 'It is too short: let it run for ten seconds.',
  clipped: 'It is overdriven: hold the microphone farther away.',
  faint: 'Hardly anything is on it: hold the microphone to the motor, nothing over it.',
  unsteady: 'Something else was louder at times: wait until it is quiet around, and keep the machine at one speed.',
  telephone: 'The microphone lets nothing through above what a voice needs: blows of a bearing ring above that.',
  'no-low-tones': 'The microphone lets no low tones through: the speed cannot be heard from it.',
  covered: 'So much noise is about it that nothing could be heard in it: nearer, or when it is quiet.',
  'no-number': 'The bearing’s number is not known: its rates cannot be looked for.',
  'two-parts': 'Blows are heard at the rates of more than one part of the bearing.',
  'at-a-beat': 'What crackles comes at a beat: it is not the water, and covers it.',
}
export const PLACE_WORDS: Readonly<Record<BearingPlace, string>> = {
  outer: 'a damaged outer race',
  inner: 'a damaged inner race',
  ball: 'a damaged ball',
  cage: 'a loose cage',
}
const WATER_WORDS: Readonly<Record<Exclude<WaterVerdict['is'], 'cannot-tell'>, string>> = {
  steady: 'The rush of the water is even.',
  crackle: 'It crackles without a beat, as bubbles do that collapse.',
  gulps: 'The rush of the water comes and goes several times a second, as with air in it.',
}
const CANNOT_TELL = 'It cannot be told.'
const reason = (why: Reason | undefined) => (why ? REASON_WORDS[why] : CANNOT_TELL)

/** What a recording says of the bearings, in a sentence. */
export function bearingWords({ is, why, place, or, hertz }: BearingVerdict): string {
  if (is === 'cannot-tell') return reason(why)
  if (is === 'no-blows') return 'No blows are heard at the rates of this bearing.'
  const as = [place, or].flatMap((each) => (each ? [PLACE_WORDS[each]] : [])).join(' or ')
  return `Blows come ${hertz?.toFixed(1) ?? 'some'} times a second, as of ${as}.`
}

/** What a recording says of the water, in a sentence. */
export function waterWords({ is, why }: WaterVerdict): string {
  return is === 'cannot-tell' ? reason(why) : WATER_WORDS[is]
}
