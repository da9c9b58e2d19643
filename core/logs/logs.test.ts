import { describe, expect, it } from 'vitest'
import { currentTrace } from './current-trace'
import { drawnLog } from './drawn'
import { pressureLog } from './pressure-log'
import { readLog } from './read-log'
import { gapsIn, slopeOf, withoutSpikes } from './steps'
import { currentWords, pressureWords } from './words'
import { render } from '../quantity/sentence'

const read = (lines: readonly string[]) => readLog(lines.join('\n'))
const rows = (head: string, count = 12, row = (at: number) => `${at * 10},${40 + at}`) => [
  head,
  ...Array.from({ length: count }, (_, at) => row(at)),
]
const problemOf = (lines: readonly string[]) => {
  try {
    read(lines)
  } catch (error) {
    return (error as { problems: { field: string; expected: string }[] }).problems[0]
  }
  return undefined
}

describe('a log as a file', () => {
  it.each([
    ['psi', 'time s,pressure (psi)', 40, 'pressure'],
    ['kPa, turned to psi', 'seconds;pressure [kPa]', 40 / 6.894757, 'pressure'],
    ['bar', 'Time,Pressure bar', 40 * 14.50377, 'pressure'],
    ['amperes', 'timestamp,current (A)', 40, 'current'],
    ['milliamperes', 't,clamp (mA)', 0.04, 'current'],
  ])('in %s', (_, head, first, quantity) => {
    const log = read(rows(head, 12, (at) => (head.includes(';') ? `${at};${40 + at}` : `${at},${40 + at}`)))
    expect(log.quantity).toBe(quantity)
    expect(log.values[0]).toBeCloseTo(first, 3)
    expect([...log.seconds.slice(0, 3)]).toEqual([0, 1, 2])
    expect(log).toMatchObject({ leftOut: 0 })
    expect(log.startedAt).toBeUndefined()
  })

  it('by a clock, over midnight, with a comma for a point, and lines before its head', () => {
    const log = read([
      'Logger of the house',
      'time;pressure (bar)',
      ...Array.from({ length: 12 }, (_, at) => `${at < 6 ? '23:5' + at : '00:0' + (at - 6)}:00;2,5`),
    ])
    expect([...log.seconds.slice(4, 8)]).toEqual([240, 300, 600, 660])
    expect(log.startedAt).toBe(23 * 3_600_000 + 50 * 60_000)
    expect(log.values[0]).toBeCloseTo(36.26, 2)
  })

  it('by instants, and what is none, has no figure or stands out of order is left out and counted', () => {
    const log = read([
      'date,p (psi)',
      ...Array.from({ length: 12 }, (_, at) => `2026-05-12 06:00:${10 + at},40`),
      '2026-05-12T06:00:25Z,OL',
      'flat battery,40',
      '2026-05-12 05:00:00,40',
      '2026-13-40 05:00:00,40',
    ])
    expect(log.values).toHaveLength(12)
    expect(log.leftOut).toBe(4)
    expect(log.startedAt).toBe(Date.UTC(2026, 4, 12, 6, 0, 10))
  })

  it.each([
    ['nothing', [], 'a line of names'],
    ['words', ['a letter', 'of some lines'], 'a line of names'],
    ['no unit', rows('time,pressure'), 'a line of names'],
    ['volts', rows('time,supply (V)'), 'a line of names'],
    ['two of them', rows('time,in (psi),out (psi)'), 'one column of pressure or of current'],
    ['a name without an end', rows(`time,pressure (${' '.repeat(200_000)}`), 'a line of names'],
    ['no time', rows('value,pressure (psi)'), 'a column of the time'],
    ['too few lines', rows('time,pressure (psi)', 4), 'at least 10'],
  ])('is refused with a sentence: %s', (_, lines, expected) => {
    expect(problemOf(lines)).toMatchObject({ field: 'file', expected: expect.stringContaining(expected) })
  })
})

describe('steps of a log', () => {
  it('a single spike is taken away, a step stays', () => {
    expect([...withoutSpikes(Float64Array.of(1, 1, 9, 1, 1, 7, 7, 7))]).toEqual([1, 1, 1, 1, 1, 7, 7, 7])
  })
  it('a turn of the pressure is none: it is near one of its neighbours', () => {
    const turn = Float64Array.of(40, 36, 32, 30, 44, 50)
    expect(withoutSpikes(turn)).toEqual(turn)
  })
  it('a gap is far longer than a step, and a minute at least', () => {
    const seconds = Float64Array.of(0, 10, 20, 30, 400, 410, 460)
    expect(gapsIn({ seconds })).toEqual([4])
  })
  it('the line through points has their slope', () => {
    expect(slopeOf(Float64Array.of(0, 1, 2, 3), Float64Array.of(5, 3, 1, -1))).toBeCloseTo(-2, 9)
    expect(slopeOf(Float64Array.of(1), Float64Array.of(5))).toBe(0)
  })
  it('is drawn with its lowest and highest, in their order', () => {
    const values = Float64Array.from({ length: 1_000 }, (_, at) => (at === 500 ? 99 : at === 501 ? -99 : 0))
    const points = drawnLog({ seconds: Float64Array.from({ length: 1_000 }, (_, at) => at), values }, 40)
    expect(points.length).toBeLessThanOrEqual(41)
    expect(points.map(({ y }) => y).filter(Boolean)).toEqual([99, -99])
    expect(points.every(({ x }, at) => at === 0 || x > points[at - 1]!.x)).toBe(true)
  })
})

/** A pressure that goes up and down between two turns, so many seconds each way, with an hour of rest after them. */
function sawtooth({ low = 30, high = 50, up = 60, down = 240, count = 8, step = 5, rest = 3_600, loss = 0 } = {}): {
  seconds: number[]
  values: number[]
} {
  const [seconds, values]: [number[], number[]] = [[], []]
  let at = 0
  const go = (from: number, to: number, takes: number) => {
    for (let since = 0; since < takes; since += step) {
      seconds.push(at)
      values.push(from + ((to - from) * since) / takes)
      at += step
    }
  }
  go((low + high) / 2, low, down / 2)
  for (let cycle = 0; cycle < count; cycle++) {
    go(low, high, up)
    go(high, low, down)
  }
  go(low, high, up)
  go(high, high - (loss * rest) / 3_600, rest)
  go(high - (loss * rest) / 3_600, low, down)
  go(low, high, up)
  return { seconds, values }
}
const logOf = ({ seconds, values }: { seconds: number[]; values: number[] }, quantity = 'pressure' as const) => ({
  quantity,
  seconds: Float64Array.from(seconds),
  values: Float64Array.from(values),
  leftOut: 0,
})

describe('a pressure log', () => {
  it('has its starts, the pressures at which it turns, and the times of its rounds', () => {
    const found = pressureLog(logOf(sawtooth()))
    expect(found.cycles).toHaveLength(10)
    expect(found.cutInPsi).toBeCloseTo(30, 0)
    expect(found.cutOutPsi).toBeCloseTo(50, 0)
    expect(found.fastestCycleSeconds).toBeCloseTo(300, -1)
    expect(Math.abs(found.shortestRunSeconds! - 60)).toBeLessThanOrEqual(5)
    expect(found.gaps).toEqual([])
    expect(found.prechargePsi).toBeUndefined()
  })

  it('finds its quietest stretch, and what is lost in it', () => {
    expect(pressureLog(logOf(sawtooth())).quiet?.psiPerHour).toBeCloseTo(0, 1)
    const losing = pressureLog(logOf(sawtooth({ loss: 4 })))
    expect(losing.quiet?.psiPerHour).toBeCloseTo(4, 1)
    expect(losing.quiet?.untilSeconds).toBeGreaterThan((losing.quiet?.fromSeconds ?? 0) + 1_000)
  })

  it('does not take the turns of a tap for starts', () => {
    const { seconds, values } = sawtooth()
    const rippled = values.map((value, at) => value + (at % 2 === 0 ? 0.6 : -0.6))
    expect(pressureLog(logOf({ seconds, values: rippled })).cycles).toHaveLength(10)
  })

  it('knows nothing over a gap: no round goes through it', () => {
    const { seconds, values } = sawtooth()
    const torn = seconds.map((at) => (at > 1_000 ? at + 7_200 : at))
    const found = pressureLog(logOf({ seconds: torn, values }))
    expect(found.gaps).toEqual([{ fromSeconds: 1_000, untilSeconds: 8_205 }])
    expect(Math.max(...found.cycles.map(({ restSeconds = 0 }) => restSeconds))).toBeLessThan(4_000)
  })

  it('of nothing that turns, says that it never started', () => {
    const seconds = Array.from({ length: 200 }, (_, at) => at * 10)
    const found = pressureLog(logOf({ seconds, values: seconds.map(() => 42) }))
    expect(found.cycles).toEqual([])
    expect(pressureWords(found).map((each) => render(each, { system: 'us' }))).toEqual([
      'In 0.6 h the pump did not start once, or never stopped.',
    ])
  })
})

/** Runs of a current: their seconds, and the amperes at each instant since the start. */
function runs(all: readonly { seconds: number; amps: (since: number) => number }[], step = 0.1) {
  const [seconds, values]: [number[], number[]] = [[], []]
  let at = 0
  const go = (takes: number, amps: (since: number) => number) => {
    for (let since = 0; since < takes; since += step) {
      seconds.push(at)
      values.push(amps(since))
      at = Number((at + step).toFixed(3))
    }
  }
  go(5, () => 0.02)
  for (const run of all) {
    go(run.seconds, run.amps)
    go(10, () => 0.02)
  }
  return {
    quantity: 'current' as const,
    seconds: Float64Array.from(seconds),
    values: Float64Array.from(values),
    leftOut: 0,
  }
}
const sound = (since: number) => (since < 0.4 ? 32 : 7)

describe('a trace of the current', () => {
  it('has its runs, what they draw, and how long a start takes', () => {
    const found = currentTrace(
      runs([
        { seconds: 30, amps: sound },
        { seconds: 60, amps: sound },
      ]),
      7,
    )
    expect(found.runs).toHaveLength(2)
    expect(found.runningAmps).toBeCloseTo(7, 2)
    expect(found.inrushAmps).toBeCloseTo(32, 2)
    expect(found.longestStartSeconds).toBeCloseTo(0.4, 1)
    expect([found.shortestRunSeconds, found.longestRunSeconds]).toEqual([expect.closeTo(30, 0), expect.closeTo(60, 0)])
    expect(found.startSwitch).toBe('lets-go')
  })

  it('a start winding that stays in is late, one that leaps back slips', () => {
    const late = currentTrace(runs([{ seconds: 30, amps: (since) => (since < 2.2 ? 30 : 7) }]), 7)
    expect(late.startSwitch).toBe('late')
    const back = currentTrace(
      runs([{ seconds: 30, amps: (since) => (since > 12 && since < 12.6 ? 22 : sound(since)) }]),
      7,
    )
    expect(back).toMatchObject({ startSwitch: 'comes-back', runs: [{ leaps: 1, stalls: false }] })
  })

  it('a rotor that stands is no run of its own', () => {
    const found = currentTrace(
      runs([
        { seconds: 8, amps: () => 31 },
        { seconds: 8, amps: () => 31 },
      ]),
      7,
    )
    expect(found.runs.map(({ stalls }) => stalls)).toEqual([true, true])
    expect(found).toMatchObject({ startSwitch: 'cannot-tell' })
    expect(found.runningAmps).toBeUndefined()
    expect(currentWords(found).map((each) => render(each, { system: 'us' }))).toContain(
      '2 times it stood and drew what it draws standing.',
    )
  })

  it('in steps of a second sees no start, and does not say that it does', () => {
    const found = currentTrace(runs([{ seconds: 60, amps: sound }], 1), 7)
    expect(found).toMatchObject({ seesStarts: false, startSwitch: 'cannot-tell' })
    expect(found.inrushAmps).toBeUndefined()
    expect(found.runningAmps).toBeCloseTo(7, 2)
  })

  it('of nothing that ran, says so', () => {
    const found = currentTrace(runs([{ seconds: 60, amps: () => 0.01 }]), 7)
    expect(found.runs).toEqual([])
    expect(render(currentWords(found)[0]!, { system: 'us' })).toBe('In 0 h it did not run.')
  })
})
