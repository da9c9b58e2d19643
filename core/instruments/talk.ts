import { errorOf, meterFunction, type FunctionName } from './functions'
import { LineReader } from './line-reader'
import type { InstrumentReading } from './reading'
import { ASKS, configure, isFlatBattery, readConfiguration, readNumber, type Configuration } from './scpi'
import { accuracyOf, type InstrumentSetting } from './settings'

/** An instrument that says nothing for so long is asked again, milliseconds. */
export const PATIENCE = 1_500
/** From one reading to the next, milliseconds. */
const PACE = 200
/** After so many readings it is asked anew how it is set, and how its battery is. */
const ASKED_ANEW = 10
/** As often in a row without an answer, and it is said not to answer. */
const MOST_MISSES = 3

type Ask = keyof typeof ASKS

/**
 * Talks with one instrument, whatever carries the lines: says what to send next, and makes readings of what comes back.
 * A line that is no answer is passed over, one that nobody asked for is a reading where it is a number.
 */
export class ScpiTalk {
  readonly #lines = new LineReader()
  #awaiting: { ask: Ask; since: number } | undefined
  #due: Ask[] = ['identity', 'configuration', 'condition']
  #configuration: Configuration | undefined
  #isFlat = false
  #readings = 0
  #misses = 0
  #readAt = -Infinity
  /** It was told to turn to this, and did not. */
  #refused: FunctionName | undefined
  #turningTo: FunctionName | undefined
  identity: string | undefined
  /** What the lit check asks for, where its dial is turned from here. */
  want: FunctionName | undefined

  constructor(
    private readonly setting: Pick<
      InstrumentSetting,
      'id' | 'name' | 'accuracyPercent' | 'accuracyFloor' | 'testVolts' | 'turns'
    >,
  ) {}

  /** It was asked several times, and has not answered. */
  get isSilent(): boolean {
    return this.#misses >= MOST_MISSES
  }

  /** What is to be sent now, a line without its end; nothing while an answer is waited for. */
  next(now: number): string | undefined {
    if (this.#awaiting) {
      if (now - this.#awaiting.since < PATIENCE) return undefined
      this.#misses++
      if (this.#awaiting.ask !== 'reading') this.#due.push(this.#awaiting.ask)
      this.#awaiting = undefined
    }
    const turn = this.#turn()
    if (turn) return turn
    const ask = this.#due.shift() ?? (now - this.#readAt >= PACE ? 'reading' : undefined)
    if (!ask) return undefined
    this.#awaiting = { ask, since: now }
    return ASKS[ask]
  }

  /** Turns the dial, where it is turned from here and stands elsewhere. */
  #turn(): string | undefined {
    const { want } = this
    if (!this.setting.turns || !want || !this.#configuration) return undefined
    if (want === this.#configuration.function || want === this.#refused || want === this.#turningTo) return undefined
    this.#turningTo = want
    this.#due = ['configuration']
    return configure(want)
  }

  /** Makes readings of a piece of what came. */
  push(piece: string, now: number): InstrumentReading[] {
    return this.#lines.push(piece).flatMap((line) => this.#hear(line, now) ?? [])
  }

  #hear(line: string, now: number): InstrumentReading | undefined {
    const ask = this.#awaiting?.ask ?? 'reading'
    this.#awaiting = undefined
    switch (ask) {
      case 'identity':
        this.identity = line.slice(0, 120)
        return undefined
      case 'configuration':
        return this.#configured(readConfiguration(line))
      case 'condition':
        this.#isFlat = isFlatBattery(line)
        return undefined
      case 'reading':
        return this.#read(readNumber(line), now)
    }
  }

  #configured(found: Configuration | undefined): undefined {
    if (!found) {
      // What it is set to is not known any more: nothing that it says is a reading until it is.
      this.#configuration = undefined
      this.#due = ['configuration', ...this.#due.filter((ask) => ask !== 'configuration')]
      return
    }
    this.#configuration = found
    if (this.#turningTo !== undefined && found.function !== this.#turningTo) this.#refused = this.#turningTo
    this.#turningTo = undefined
  }

  #read(si: number | null | undefined, now: number): InstrumentReading | undefined {
    this.#readAt = now
    if (si === undefined) return undefined
    this.#misses = 0
    if (++this.#readings % ASKED_ANEW === 0) this.#due.push('configuration', 'condition')
    const { id, name, testVolts } = this.setting
    if (!this.#configuration) return undefined
    const { function: set, range } = this.#configuration
    const { unit, perSi } = meterFunction(set)
    const inUnit = (value: number) => Number((value * perSi).toPrecision(7))
    const value = si === null ? null : inUnit(si)
    return {
      instrument: id,
      name,
      function: set,
      unit,
      value,
      error: value === null ? 0 : errorOf(value, accuracyOf(this.setting, set)),
      ...(range === undefined ? {} : { range: inUnit(range) }),
      ...(set === 'INS' && testVolts ? { testVolts } : {}),
      ...(this.#isFlat ? { isFlat: true } : {}),
      at: now,
    }
  }
}
