import Papa from 'papaparse'
import { readUnit } from '../quantity/units'
import { badField } from '../validation/input-error'
import { LOG_LIMITS } from './read-log-limits'

/** What a logger wrote of one thing, one value after the other: psi or amperes, and the seconds since its first. */
export interface Log {
  quantity: 'pressure' | 'current'
  /** Where it says the time of day: the clock of its first value, milliseconds as if it were UTC. */
  startedAt?: number
  seconds: Float64Array
  values: Float64Array
  /** Lines without a figure, or out of their order in time. */
  leftOut: number
}

const TIME_NAMED = /\b(?:time|date|timestamp|seconds?|secs?|s|t)\b/i
const UNIT_IN_NAME = /[([]\s*([^)\]]+?)\s*[)\]]|\b(psi|kpa|bar|ma|amps?|a)\s*$/i

const DELIMITERS = [',', ';', '\t']
/** What is longer names nothing. */
const LONGEST_NAME = 100
/** A logger may say something of itself before its names, in so many lines. */
const MOST_BEFORE = 40

interface Columns {
  time: number
  value: number
  quantity: Log['quantity']
  toCanonical: (value: number) => number
}

/**
 * A log from the text of a CSV file with a line of names: one column is the time (instants, times of day, or seconds),
 * one has a unit of pressure or of current in its name. A line without a figure is left out and counted.
 *
 * @throws InputError naming what is wrong, and what would be right
 */
export function readLog(text: string): Log {
  if (text.length > LOG_LIMITS.mostCharacters)
    throw badField('file', `${text.length} characters`, `at most ${LOG_LIMITS.mostCharacters}`)
  const plain = text.replace(/^\uFEFF/, '')
  for (const delimiter of DELIMITERS) {
    const { data } = Papa.parse<string[]>(plain, { delimiter, skipEmptyLines: 'greedy' })
    if (data.length > LOG_LIMITS.mostLines)
      throw badField('file', `${data.length} lines`, `at most ${LOG_LIMITS.mostLines}`)
    const head = data.slice(0, MOST_BEFORE).findIndex((row) => row.length > 1 && row.some((name) => unitIn(name)))
    if (head >= 0) return valuesOf(data.slice(head + 1), columnsOf(data[head] as string[]))
  }
  throw badField(
    'file',
    shortened(plain.split('\n', 1)),
    'a line of names, one of them with its unit: time, pressure (psi)',
  )
}

const shortened = (row: readonly string[] = []) => row.join(', ').slice(0, 80)

function columnsOf(names: readonly string[]): Columns {
  const measured = names.flatMap((name, value) => {
    const unit = unitIn(name)
    return unit ? [{ value, ...unit }] : []
  })
  const [first] = measured
  if (!first || measured.length > 1)
    throw badField('file', shortened(names), 'one column of pressure or of current, not several')
  const time = names.findIndex((name, at) => at !== first.value && TIME_NAMED.test(name))
  if (time < 0) throw badField('file', shortened(names), 'a column of the time: time, date, or seconds')
  return { time, ...first }
}

function unitIn(name: string): Pick<Columns, 'quantity' | 'toCanonical'> | undefined {
  const found = name.length <= LONGEST_NAME ? UNIT_IN_NAME.exec(name) : undefined
  const unit = found && readUnit((found[1] ?? found[2]) as string)
  if (unit?.unit === 'psi') return { quantity: 'pressure', toCanonical: unit.toCanonical }
  if (unit?.unit === 'A') return { quantity: 'current', toCanonical: unit.toCanonical }
  return undefined
}

function valuesOf(rows: readonly string[][], { time, value, quantity, toCanonical }: Columns): Log {
  const seconds: number[] = []
  const values: number[] = []
  let first: { at: number; isClock: boolean } | undefined
  let days = 0
  let before = -Infinity
  for (const row of rows) {
    const moment = momentOf(row[time] ?? '')
    const figure = numberOf(row[value] ?? '')
    if (!moment || figure === undefined) continue
    // A clock without its day begins anew at midnight.
    if (moment.isTimeOfDay && moment.at + days < before - HALF_A_DAY) days += DAY
    const at = moment.at + days
    if (at <= before) continue
    before = at
    first ??= { at, isClock: moment.isClock }
    seconds.push(at - first.at)
    values.push(toCanonical(figure))
  }
  if (!first || values.length < LOG_LIMITS.fewestValues)
    throw badField('file', `${values.length} lines with a time and a figure`, `at least ${LOG_LIMITS.fewestValues}`)
  return {
    quantity,
    ...(first.isClock ? { startedAt: first.at * 1000 } : {}),
    seconds: Float64Array.from(seconds),
    values: Float64Array.from(values),
    leftOut: rows.length - values.length,
  }
}

const DAY = 86_400
const HALF_A_DAY = 43_200
const TIME_OF_DAY = /^(\d{1,2}):(\d{2})(?::(\d{2}(?:\.\d+)?))?$/
const INSTANT = /^(\d{4}-\d{2}-\d{2})[T ](\d{1,2}:\d{2}(?::\d{2}(?:\.\d+)?)?)(?:Z|[+-]\d{2}:?\d{2})?$/

/** When a line was written, seconds: by the logger's own clock, or since it began. */
function momentOf(text: string): { at: number; isClock: boolean; isTimeOfDay: boolean } | undefined {
  const plain = text.trim()
  const instant = INSTANT.exec(plain)
  if (instant) {
    const [, day, clock] = instant as unknown as [string, string, string]
    const midnight = Date.parse(`${day}T00:00:00Z`) / 1000
    const since = timeOfDay(clock)
    return Number.isNaN(midnight) || since === undefined
      ? undefined
      : { at: midnight + since, isClock: true, isTimeOfDay: false }
  }
  const since = timeOfDay(plain)
  if (since !== undefined) return { at: since, isClock: true, isTimeOfDay: true }
  const at = numberOf(plain)
  return at === undefined ? undefined : { at, isClock: false, isTimeOfDay: false }
}

function timeOfDay(text: string): number | undefined {
  const found = TIME_OF_DAY.exec(text)
  if (!found) return undefined
  const [hours, minutes, rest] = [Number(found[1]), Number(found[2]), Number(found[3] ?? 0)]
  return hours < 24 && minutes < 60 && rest < 60 ? hours * 3600 + minutes * 60 + rest : undefined
}

function numberOf(text: string): number | undefined {
  const plain = text.trim().replace(/^(-?\d+),(\d+)$/, '$1.$2')
  if (!/^[+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?$/i.test(plain)) return undefined
  const value = Number(plain)
  return Number.isFinite(value) ? value : undefined
}
