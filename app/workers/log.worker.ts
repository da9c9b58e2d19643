import { expose } from 'comlink'
import { currentTrace, type CurrentTrace } from '#core/logs/current-trace'
import { drawnLog } from '#core/logs/drawn'
import { pressureLog, type PressureLog } from '#core/logs/pressure-log'
import { readLog } from '#core/logs/read-log'
import type { DrawnPoint } from '#core/sound/drawn'
import { InputError } from '#core/validation/input-error'

/** What a log tells, and how it looks; or why it cannot be read. */
export type LogRead =
  | ({ startedAt?: number; leftOut: number; points: DrawnPoint[] } & (
      { is: 'pressure'; found: PressureLog } | { is: 'current'; found: CurrentTrace }
    ))
  | { is: 'problem'; problem: string }

const POINTS = 900

const reader = {
  read(text: string, fullLoadAmps?: number): LogRead {
    try {
      const log = readLog(text)
      const { startedAt, leftOut } = log
      const seen = { ...(startedAt === undefined ? {} : { startedAt }), leftOut, points: drawnLog(log, POINTS) }
      return log.quantity === 'pressure'
        ? { ...seen, is: 'pressure', found: pressureLog(log) }
        : { ...seen, is: 'current', found: currentTrace(log, fullLoadAmps) }
    } catch (error) {
      if (error instanceof InputError) return { is: 'problem', problem: error.message }
      throw error
    }
  },
}
export type LogReader = typeof reader

expose(reader)
