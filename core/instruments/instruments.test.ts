import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { judgeFinding } from '../diagnosis/judge-finding'
import { completePlate } from '../motor/nameplate'
import { render, US_READER } from '../quantity/sentence'
import type { InputError } from '../validation/input-error'
import { FUNCTIONS, type FunctionName } from './functions'
import { LineReader, LONGEST_LINE } from './line-reader'
import { functionFor, offerOf } from './offer'
import type { InstrumentReading } from './reading'
import { isFlatBattery, readConfiguration, readNumber, writeConfiguration, writeNumber } from './scpi'
import { checkInstruments } from './settings'
import { isOther, Settling, SETTLING } from './settling'
import { PATIENCE, ScpiTalk } from './talk'

const reading = (value: number | null, at = 0, more: Partial<InstrumentReading> = {}): InstrumentReading => ({
  instrument: 'm',
  name: 'multimeter',
  function: 'VOLT:AC',
  unit: 'V',
  value,
  error: 1.5,
  at,
  ...more,
})

describe('lines from a wire', () => {
  it('are put together however they are cut', () => {
    const text = 'one\r\ntwo\n\nthree\nfo'
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 6 }), { minLength: 1 }), (cuts) => {
        const reader = new LineReader()
        const lines: string[] = []
        for (let from = 0, turn = 0; from < text.length; turn++) {
          const length = cuts[turn % cuts.length] as number
          lines.push(...reader.push(text.slice(from, from + length)))
          from += length
        }
        expect(lines).toEqual(['one', 'two', '', 'three'])
      }),
    )
  })
  it('without an end cost nothing, and what comes after is heard', () => {
    const reader = new LineReader()
    for (let piece = 0; piece < 160; piece++) expect(reader.push('9'.repeat(65_536))).toEqual([])
    expect(reader.dropped).toBe(1)
    expect(reader.push('9\n+1.0E+00\n')).toEqual(['+1.0E+00'])
  })
  it('of the longest length are heard, and one longer are not', () => {
    expect(new LineReader().push(`${'a'.repeat(LONGEST_LINE)}\n`)).toHaveLength(1)
    expect(new LineReader().push(`${'a'.repeat(LONGEST_LINE + 1)}\nb\n`)).toEqual(['b'])
  })
})

describe('numbers of IEEE 488.2', () => {
  it.each([
    ['+2.361000E+02', 236.1],
    ['-12', -12],
    ['.5', 0.5],
    ['7.', 7],
    ['9.9E37', null],
    ['-9.9E+37', null],
    ['9.91E37', undefined],
    ['12 V', undefined],
    ['', undefined],
    ['NaN', undefined],
    ['0x10', undefined],
    ['1e999', undefined],
  ])('%s', (text, value) => expect(readNumber(text)).toBe(value))
  it('come back as they were sent, to seven figures', () => {
    fc.assert(
      fc.property(fc.double({ min: -1e30, max: 1e30, noNaN: true }), (value) => {
        const back = readNumber(writeNumber(value)) as number
        expect(Math.abs(back - value)).toBeLessThanOrEqual(Math.abs(value) * 1e-6)
      }),
    )
    expect(readNumber(writeNumber(null))).toBeNull()
  })
  it('no line of anything is taken for more than it is', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 200 }), (line) => {
        const value = readNumber(line)
        expect(value === undefined || value === null || Number.isFinite(value)).toBe(true)
        const found = readConfiguration(line)
        if (found) expect(Object.keys(FUNCTIONS)).toContain(found.function)
        expect(typeof isFlatBattery(line)).toBe('boolean')
      }),
      { numRuns: 2_000 },
    )
  })
  it('a configuration is read as instruments write it', () => {
    expect(readConfiguration('"VOLT:AC 600,0.1"')).toEqual({ function: 'VOLT:AC', range: 600 })
    expect(readConfiguration('"volt"')).toEqual({ function: 'VOLT:AC' })
    expect(readConfiguration('"FREQ 1E3"')).toBeUndefined()
    expect(readConfiguration('constructor')).toBeUndefined()
    for (const name of Object.keys(FUNCTIONS) as FunctionName[])
      expect(readConfiguration(writeConfiguration({ function: name, range: 20 }))).toEqual({
        function: name,
        range: 20,
      })
  })
  it('bit 9 is a flat battery', () => {
    expect(isFlatBattery('512')).toBe(true)
    expect(isFlatBattery('+256')).toBe(false)
    expect(isFlatBattery('-512')).toBe(false)
  })
})

/** Answers what a talk asks, for so many turns. */
function converse(talk: ScpiTalk, answer: (asked: string) => string | undefined, turns: number): InstrumentReading[] {
  const heard: InstrumentReading[] = []
  for (let turn = 0, now = 0; turn < turns; turn++, now += 250) {
    const asked = talk.next(now)
    const said = asked === undefined ? undefined : answer(asked)
    if (said !== undefined) heard.push(...talk.push(said, now))
  }
  return heard
}
const setting = { id: 'm', name: 'multimeter' }
const meter =
  (set = 'CAP', value = '+2.5E-05') =>
  (asked: string) =>
    asked === '*IDN?' ? 'A,B,C,D\n' : asked === 'CONF?' ? `"${set} 1E-4"\n` : asked === 'READ?' ? `${value}\n` : '0\n'

describe('a talk with an instrument', () => {
  it('makes readings in the program’s unit, with their error and range', () => {
    const [first] = converse(new ScpiTalk(setting), meter(), 6)
    expect(first).toMatchObject({ function: 'CAP', unit: 'uF', value: 25, range: 100, instrument: 'm' })
    expect(first!.error).toBeCloseTo(Math.hypot(0.25, 0.1), 6)
    const [own] = converse(new ScpiTalk({ ...setting, accuracyPercent: 4, accuracyFloor: 0 }), meter(), 6)
    expect(own!.error).toBeCloseTo(1, 6)
  })
  it('says nothing before it knows what the instrument is set to, and unlearns it', () => {
    expect(converse(new ScpiTalk(setting), meter('FREQ'), 20)).toEqual([])
    let set = 'CAP'
    const talk = new ScpiTalk(setting)
    expect(converse(talk, (asked) => meter(set)(asked), 8).length).toBeGreaterThan(0)
    set = 'nonsense'
    expect(converse(talk, (asked) => meter(set)(asked), 60).length).toBeLessThan(20)
    set = 'RES'
    expect(converse(talk, (asked) => meter(set, '+5')(asked), 30).at(-1)).toMatchObject({ unit: 'ohm', value: 5 })
  })
  it('goes on past what is not answered, and says so once it was asked several times', () => {
    const talk = new ScpiTalk(setting)
    for (let now = 0; now < PATIENCE * 5; now += 100) talk.next(now)
    expect(talk.isSilent).toBe(true)
    for (let now = PATIENCE * 5, turn = 0; turn < 40; turn++, now += 250) {
      const asked = talk.next(now)
      if (asked) talk.push(meter()(asked), now)
    }
    expect(talk.isSilent).toBe(false)
  })
  it('turns a dial that may be turned, once', () => {
    let set = 'VOLT:AC'
    const asked: string[] = []
    const answer = (line: string) => {
      asked.push(line)
      if (line.startsWith('CONF:')) set = line.slice(5)
      return line.startsWith('CONF:') ? undefined : meter(set, '+3')(line)
    }
    const talk = new ScpiTalk({ ...setting, turns: true })
    talk.want = 'RES'
    expect(converse(talk, answer, 14).at(-1)).toMatchObject({ function: 'RES', value: 3 })
    expect(asked.filter((line) => line === 'CONF:RES')).toHaveLength(1)
    const stubborn = new ScpiTalk({ ...setting, turns: true })
    stubborn.want = 'CAP'
    const told: string[] = []
    converse(stubborn, (line) => (told.push(line), line.startsWith('CONF:') ? undefined : meter('RES', '+3')(line)), 30)
    expect(told.filter((line) => line === 'CONF:CAP')).toHaveLength(1)
    const fixed = new ScpiTalk(setting)
    fixed.want = 'CAP'
    converse(fixed, (line) => (told.push(line), meter('RES', '+3')(line)), 30)
    expect(told.filter((line) => line.startsWith('CONF:'))).toHaveLength(1)
  })
  it('is moved by no piece of anything: what it makes are readings', () => {
    fc.assert(
      fc.property(fc.array(fc.string({ maxLength: 80 }), { maxLength: 60 }), (pieces) => {
        const talk = new ScpiTalk(setting)
        converse(talk, meter(), 5)
        for (const [index, piece] of pieces.entries()) {
          talk.next(10_000 + index * 300)
          for (const each of talk.push(piece, 10_000 + index * 300)) {
            expect(each.value === null || Number.isFinite(each.value)).toBe(true)
            expect(Object.keys(FUNCTIONS)).toContain(each.function)
          }
        }
      }),
      { numRuns: 500 },
    )
  })
})

describe('a display', () => {
  const after = (...values: (number | null)[]) => {
    const settling = new Settling()
    return values.map((value, index) => settling.push(reading(value, index * 200))).at(-1)!
  }
  it('stands still after four readings that agree, in their middle', () => {
    expect(after(236, 236.2, 235.9).isSteady).toBe(false)
    const still = after(12, 236, 236.2, 235.9, 236.1)
    expect(still).toMatchObject({ isSteady: true, agree: SETTLING.readings })
    expect(still.reading.value).toBe(236.1)
  })
  it('does not while it moves, jumps, pauses, or its battery is flat', () => {
    expect(after(200, 210, 220, 230, 240).isSteady).toBe(false)
    expect(after(236, 236, 236, 120)).toMatchObject({ isSteady: false, agree: 1 })
    expect(after(236, 236, null, 236, 236).isSteady).toBe(false)
    const settling = new Settling()
    for (const at of [0, 200, 400]) settling.push(reading(236, at))
    expect(settling.push(reading(236, 9_000)).agree).toBe(1)
    const flat = new Settling()
    const states = [0, 200, 400, 600].map((at) => flat.push(reading(236, at, { isFlat: true })))
    expect(states.at(-1)?.isSteady).toBe(false)
  })
  it('that is over range stands still too', () =>
    expect(after(null, null, null, null)).toMatchObject({ isSteady: true }))
  it('shows another reading once it has moved, or was turned', () => {
    expect(isOther(reading(236), reading(236.5))).toBe(false)
    expect(isOther(reading(236), reading(240))).toBe(true)
    expect(isOther(reading(236), reading(236, 0, { function: 'RES' }))).toBe(true)
  })
})

describe('what a reading is', () => {
  const cap = { check: 'capacitance', part: 'run-capacitor' }
  it('is decided by the lit check', () => {
    expect(offerOf(reading(236), { check: 'supply-voltage' })).toMatchObject({
      finding: { check: 'supply-voltage', value: 236, unit: 'V', error: 1.5, instrument: 'multimeter' },
    })
    expect(offerOf(reading(236), { check: 'supply-voltage-loaded' })).toMatchObject({
      finding: { check: 'supply-voltage-loaded' },
    })
  })
  it.each([
    ['another unit than is asked for', reading(236), cap, /volts, and μF/],
    ['nothing lit', reading(236), undefined, /nothing is lit/],
    ['a peak', reading(40, 0, { function: 'CURR:AC', unit: 'A' }), { check: 'locked-current' }, /no instrument/],
    ['a check that is seen', reading(236), { check: 'weep-hole' }, /no instrument/],
    ['direct volts for alternating', reading(12), { check: 'battery-voltage' }, /volts/],
    ['a flat battery', reading(236, 0, { isFlat: true }), { check: 'supply-voltage' }, /flat/],
  ])('is none: %s', (_, shown, lit, why) =>
    expect(offerOf(shown, lit)).toMatchObject({ why: expect.stringMatching(why) }),
  )
  it('carries the volts that insulation was asked with', () => {
    const megger = reading(0.4, 0, { function: 'INS', unit: 'Mohm', testVolts: 500, error: 0.02 })
    expect(offerOf(megger, { check: 'insulation-resistance' })).toMatchObject({ finding: { testVolts: 500 } })
    expect(functionFor({ check: 'cut-in' })).toBe('PRES')
  })
})

describe('a reading near a limit', () => {
  const pump = { kind: 'pool' as const, nameplate: { volts: 230, horsepower: 1, runCapacitorMicrofarads: 30 } }
  const judged = (value: number, error?: number) =>
    judgeFinding(
      { check: 'capacitance', part: 'run-capacitor', value, ...(error === undefined ? {} : { error }) },
      { pump, plate: completePlate(pump), findings: [] },
    )
  it('cannot be told where the instrument’s error reaches over it', () => {
    // 30 μF ± 6 %: 28.2 to 31.8.
    expect(judged(28).verdict).toBe('failed')
    expect(judged(28, 0.4).verdict).toBe('unclear')
    expect(render(judged(28, 0.4).because, US_READER)).toMatch(/off by 0\.4 μF, and the limit lies within that/)
    expect(judged(28.3, 0.4).verdict).toBe('unclear')
    expect(judged(30, 5).verdict, 'wider than the band').toBe('unclear')
  })
  it('is judged as ever where it does not', () => {
    expect(judged(20, 0.4).verdict).toBe('failed')
    expect(judged(30, 0.4).verdict).toBe('sound')
    expect(judged(30, 0).verdict).toBe('sound')
  })
})

describe('a list of instruments', () => {
  const good = { id: 'a', name: 'A', by: 'scpi' as const, host: 'localhost', port: 5025 }
  const wrong = (...list: Parameters<typeof checkInstruments>[0]) => {
    try {
      checkInstruments(list)
      return undefined
    } catch (error) {
      return (error as InputError).problems.map(({ field }) => field)
    }
  }
  it('says which field is wrong', () => {
    expect(wrong(good)).toBeUndefined()
    expect(wrong(good, good)).toEqual(['instruments.1.id'])
    expect(wrong({ ...good, host: undefined, port: undefined })).toEqual(['instruments.0.host', 'instruments.0.port'])
    expect(wrong({ id: 'c', name: 'C', by: 'csv' })).toEqual(['instruments.0.file', 'instruments.0.function'])
  })
})
