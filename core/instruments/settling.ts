import type { Basis } from '../judgement/judgement'
import { median } from 'simple-statistics'
import { errorOf, meterFunction } from './functions'
import type { InstrumentReading } from './reading'

/** When a display stands still: so many readings, one after the other, no farther apart than this. */
export const SETTLING = {
  readings: 4,
  share: 0.01,
  /** Readings farther apart in time than this do not follow each other, milliseconds. */
  gap: 3_000,
  basis: { kind: 'common-practice', name: 'a reading is taken once the display stands still' } as Basis,
} as const

/** How far a display is on its way to standing still. */
export interface Settled {
  reading: InstrumentReading
  /** Readings that agree so far, up to those that are asked for. */
  agree: number
  isSteady: boolean
}

/** Follows one instrument. */
export class Settling {
  #recent: InstrumentReading[] = []

  push(reading: InstrumentReading): Settled {
    const last = this.#recent.at(-1)
    if (!last || !follows(last, reading)) this.#recent = []
    this.#recent = [...this.#recent, reading].slice(-SETTLING.readings)
    let agree = 1
    while (agree < this.#recent.length && areClose(this.#recent.slice(-agree - 1))) agree++
    // What disagrees with the newest is no part of what it settles to.
    this.#recent = this.#recent.slice(-agree)
    const isSteady = agree >= SETTLING.readings && !reading.isFlat
    return { reading: isSteady ? { ...reading, value: middle(this.#recent) } : reading, agree, isSteady }
  }
}

const follows = (last: InstrumentReading, next: InstrumentReading): boolean =>
  last.function === next.function && next.at >= last.at && next.at - last.at <= SETTLING.gap

function areClose(readings: readonly InstrumentReading[]): boolean {
  const values = readings.flatMap(({ value }) => value ?? [])
  if (values.length < readings.length) return values.length === 0
  const [least, most] = [Math.min(...values), Math.max(...values)]
  const { accuracy } = meterFunction((readings[0] as InstrumentReading).function)
  return most - least <= Math.max(SETTLING.share * Math.abs(most), 2 * errorOf(0, accuracy))
}

function middle(readings: readonly InstrumentReading[]): number | null {
  const values = readings.flatMap(({ value }) => value ?? [])
  return values.length === 0 ? null : Number(median(values).toPrecision(4))
}

/** Has what is on the leads changed so far that it is another reading? */
export function isOther(taken: InstrumentReading, now: InstrumentReading): boolean {
  if (taken.instrument !== now.instrument || taken.function !== now.function) return true
  return !areClose([taken, now])
}
