import type { Part } from '../knowledge/vocabulary'
import type { Machine } from '../visit/entry'
import type { VisitState } from '../visit/fold'
import type { HistoryReading } from '../visit/history'
import { cardRows } from './card-rows'

/** A reading of a machine that stands past its limit, or whose line will meet it. */
export interface MachineTrend {
  label: string
  part?: Part
  last: HistoryReading
  limit?: number
  /** ISO dates: when the line meets the limit, and between when and when it may; absent where it stands past it. */
  on?: string
  earliest?: string
  latest?: string
}

const dayOf = (instant: number) => new Date(instant).toISOString().slice(0, 10)

/**
 * What of a machine's readings asks to be read again, the first to meet its limit first.
 *
 * @param states its visits, oldest first
 * @param now milliseconds
 */
export function machineTrends(machine: Machine, states: readonly VisitState[], now: number): MachineTrend[] {
  return cardRows(machine, states, now).flatMap(({ label, part, last, crossing }): MachineTrend[] => {
    if (!last || (crossing.is !== 'past' && crossing.is !== 'ahead')) return []
    const of = { label, ...(part ? { part } : {}), last }
    if (crossing.is === 'past') return [of]
    const { at, limit, earliest, latest } = crossing
    return [
      {
        ...of,
        limit,
        on: dayOf(at),
        ...(earliest === undefined ? {} : { earliest: dayOf(earliest) }),
        ...(latest === undefined ? {} : { latest: dayOf(latest) }),
      },
    ]
  })
}
