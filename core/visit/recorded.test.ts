import { describe, expect, it } from 'vitest'
import { judgeFinding } from '../diagnosis/judge-finding'
import { diagnose } from '../diagnosis/diagnose'
import { completePlate } from '../motor/nameplate'
import { attachedIn } from './attached'
import { journalLines, saidAgain } from './describe'
import type { Entry, EntryBodies, HeardInRecording } from './entry'
import { validEntry } from './entry-rules'
import { foldVisit } from './fold'
import { historyIn } from './history-of'
import { recordedDrafts } from './recorded'
import { entry, opened } from './test-journal'

const HEARD: HeardInRecording = {
  bearing: { is: 'blows', place: 'outer', hertz: 175.5 },
  water: { is: 'cannot-tell', why: 'at-a-beat' },
  doubts: [],
  shaftHertz: 57.6,
  strongestHertz: 120,
  hissDecibels: -48.2,
  turnDecibels: -9,
}
const body = (heard: Partial<HeardInRecording> = {}, side: 'motor' | 'pump' = 'motor'): EntryBodies['recording'] => ({
  hash: 'c'.repeat(64),
  type: 'audio/wav',
  bytes: 480_044,
  name: 'motor.wav',
  seconds: 10,
  side,
  rpm: 3_450,
  mainsHertz: 60,
  bearing: '6203',
  heard: { ...HEARD, ...heard },
})
const linesOf = (recording = body()) =>
  recordedDrafts(recording, 'test').map(({ kind, body: of }) => entry(kind, of as never)) as Entry[]
const reader = { system: 'us' as const }

describe('a recording in a visit', () => {
  it('says of bearings and water what it can tell, and nothing where it cannot', () => {
    expect(recordedDrafts(body(), 'test')).toEqual([
      { kind: 'recording', body: body() },
      { kind: 'finding', body: { check: 'bearing-sound', outcome: 'blows', stage: 'test' } },
    ])
    const nothing = body({ bearing: { is: 'cannot-tell', why: 'short' }, water: { is: 'cannot-tell', why: 'short' } })
    expect(recordedDrafts(nothing, 'prove')).toHaveLength(1)
  })

  it('is a line that the edge takes, with all it was listened to with', () => {
    for (const line of linesOf()) expect(validEntry(line)).toMatchObject({ body: line.body })
  })

  it.each([
    ['body.hash', { hash: '../../x' }],
    ['body.type', { type: 'audio/mpeg' }],
    ['body.seconds', { seconds: 900 }],
    ['body.rpm', { rpm: 0 }],
    ['body.side', { side: 'both' }],
    ['body.heard.bearing.is', { heard: { ...HEARD, bearing: { is: 'fine' } } }],
    ['body.heard.hissDecibels', { heard: { ...HEARD, hissDecibels: 'loud' } }],
    ['body.heard.doubts', { heard: { ...HEARD, doubts: ['noisy'] } }],
  ])('is refused with the field that is wrong: %s', (field, wrong) => {
    expect(() => validEntry(entry('recording', { ...body(), ...wrong } as never))).toThrow(
      expect.objectContaining({ problems: [expect.objectContaining({ field: expect.stringContaining(field) })] }),
    )
  })

  it('stands in the journal in words, and is not corrected by typing', () => {
    const state = foldVisit([opened(), ...linesOf()])!
    const lines = journalLines(state, reader)
    const recorded = lines.find((line) => line.entry.kind === 'recording')!
    expect(recorded.text).toBe('recorded: 10 s at the motor')
    expect(recorded.detail).toContain('Blows come 175.5 times a second, as of a damaged outer race.')
    const heard = lines.find((line) => line.entry.kind === 'finding')!
    expect(heard).toMatchObject({ text: 'bearings, recorded', value: 'blows', verdict: 'tired' })
    expect([saidAgain(recorded), saidAgain(heard)]).toEqual(['', ''])
  })

  it('is what the next one is laid beside', () => {
    const state = foldVisit([opened(), ...linesOf(), ...linesOf(body({ hissDecibels: -41 }, 'pump'))])!
    expect(
      historyIn(state).flatMap(({ check, setup, value, unit }) => (unit === 'dB' ? [[check, setup, value]] : [])),
    ).toEqual([
      ['hiss-level', 'motor', -48.2],
      ['turn-level', 'motor', -9],
      ['hiss-level', 'pump', -41],
      ['turn-level', 'pump', -9],
    ])
  })

  it('is a file of its visit like a picture', () => {
    const photo = entry('photo', { hash: 'a'.repeat(64), type: 'image/png', bytes: 1, name: 'x.png' })
    expect(attachedIn([opened(), photo, ...linesOf(), ...linesOf()])).toEqual(['a'.repeat(64), 'c'.repeat(64)])
  })
})

describe('what a recording says to the lamp', () => {
  const pump = { kind: 'pool' as const, nameplate: { volts: 230 } }
  const chanceOf = (fault: string, findings: object[]) =>
    diagnose({ pump, complaints: ['noise-whine'], findings: findings as never }).suspects.find(
      (each) => each.fault === fault,
    )?.probability ?? 0
  const heard = (check: string, outcome: string) => [{ check, outcome }]

  it('blows speak for a bearing, and less than a shaft that is felt to be gritty', () => {
    const [before, recorded, felt] = [
      chanceOf('bearings-worn', []),
      chanceOf('bearings-worn', heard('bearing-sound', 'blows')),
      chanceOf('bearings-worn', heard('shaft-turn', 'gritty')),
    ]
    expect(recorded).toBeGreaterThan(before)
    expect(felt).toBeGreaterThan(recorded)
    expect(chanceOf('bearings-worn', heard('bearing-sound', 'no-blows'))).toBeLessThan(before)
    // Nothing heard does not clear a bearing: it halves the doubt at most.
    expect(chanceOf('bearings-worn', heard('bearing-sound', 'no-blows'))).toBeGreaterThan(before / 3)
  })

  it('crackle speaks for a starved pump, gulps for air', () => {
    const of = (fault: string, outcome: string) =>
      diagnose({ pump, complaints: ['noise-rattle'], findings: heard('water-sound', outcome) as never }).suspects.find(
        (each) => each.fault === fault,
      )?.probability ?? 0
    expect(of('cavitation', 'crackle')).toBeGreaterThan(of('cavitation', 'steady'))
    expect(of('suction-air-leak', 'gulps')).toBeGreaterThan(of('suction-air-leak', 'steady'))
  })

  it('is never asked for: a recording is made when somebody wishes', () => {
    const { next } = diagnose({ pump, complaints: ['noise-whine'] })
    expect(next?.check).not.toMatch(/-sound$/)
  })

  it.each([
    ['bearing-sound', 'no-blows', 'sound'],
    ['bearing-sound', 'blows', 'tired'],
    ['water-sound', 'steady', 'sound'],
    ['water-sound', 'crackle', 'tired'],
    ['water-sound', 'gulps', 'tired'],
  ])('%s %s is judged %s, in a sentence of its own', (check, outcome, verdict) => {
    const judged = judgeFinding({ check, outcome }, { pump, plate: completePlate(pump), findings: [], earlier: {} })
    expect(judged.verdict).toBe(verdict)
    expect(judged.because).not.toBe(outcome)
  })
})
