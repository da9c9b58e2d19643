import type { Unit } from '../quantity/units'
import type { FunctionName } from './functions'

/** What an instrument showed at one instant, in the program’s unit. */
export interface InstrumentReading {
  /** Which of the shop’s instruments. */
  instrument: string
  name: string
  function: FunctionName
  unit: Unit
  /** Nothing where it is over range. */
  value: number | null
  /** How far it may be off, in its unit. */
  error: number
  /** The end of the range that it was read in. */
  range?: number
  /** Volts that an insulation tester asked with. */
  testVolts?: number
  /** Its battery is flat: what it shows may be anything. */
  isFlat?: boolean
  /** By the clock of whoever heard it, milliseconds. */
  at: number
}

/** How it stands with an instrument. */
export interface InstrumentState {
  instrument: string
  name: string
  is: 'connected' | 'away' | 'off'
  /** What is the matter, in a sentence. */
  says?: string
}
