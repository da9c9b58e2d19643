import { quantileSorted } from 'simple-statistics'
import type { Verdict } from '../judgement/judgement'
import { chance } from '../quantity/random'
import { InputError } from '../validation/input-error'
import type { NumberField } from './fields'
import type { Question } from './question'

/** How far off each assumption may be, percent of itself, by field. */
export type Doubts = Readonly<Record<string, number>>
export interface Spread {
  runs: number
  share: Record<Verdict | 'none', number>
  low?: number
  middle?: number
  high?: number
  bins: { from: number; to: number; count: number }[]
}
export interface SweepPoint {
  x: number
  y?: number
  verdict?: Verdict
}

const BINS = 24
const BETWEEN_REPORTS = 200

const numbersOf = (question: Question): NumberField[] =>
  question.fields.filter((field): field is NumberField => field.as === 'number')

/**
 * Asks a question many times, each assumption shaken about its value (triangular, no farther than its doubt): how sure
 * is the answer?
 *
 * Yields how many are done, so that the caller can show it and stop; the same seed gives the same spread.
 *
 * @returns shares of each verdict, and the tenth, half and nine tenths of the number it follows; `none` where the
 *   question had no answer
 */
export function* spreadOf(
  question: Question,
  input: object,
  doubts: Doubts,
  { runs, seed }: { runs: number; seed: number },
): Generator<number, Spread> {
  const { next } = chance(seed)
  const fields = numbersOf(question).filter(
    ({ name }) => (doubts[name] ?? 0) > 0 && typeof (input as Record<string, unknown>)[name] === 'number',
  )
  const followed: number[] = []
  const counts: Record<Verdict | 'none', number> = { sound: 0, tired: 0, failed: 0, unclear: 0, none: 0 }
  for (let run = 0; run < runs; run++) {
    if (run > 0 && run % BETWEEN_REPORTS === 0) yield run
    const shaken: Record<string, unknown> = { ...input }
    for (const { name, min = -Infinity, max, above, whole } of fields) {
      const value = shaken[name] as number
      const moved = value * (1 + ((doubts[name] as number) / 100) * (next() + next() - 1))
      shaken[name] = whole
        ? Math.round(moved)
        : Math.min(max, Math.max(min, above !== undefined && moved <= above ? value : moved))
    }
    const solved = answered(question, shaken)
    counts[solved?.verdict ?? 'none']++
    const amount = solved && question.follow.amount(solved)?.value
    if (amount !== undefined && Number.isFinite(amount)) followed.push(amount)
  }
  followed.sort((a, b) => a - b)
  const at = (share: number) => (followed.length === 0 ? undefined : quantileSorted(followed, share))
  return {
    runs,
    share: Object.fromEntries(
      Object.entries(counts).map(([verdict, count]) => [verdict, count / runs]),
    ) as Spread['share'],
    low: at(0.1),
    middle: at(0.5),
    high: at(0.9),
    bins: binned(followed),
  }
}

/** Follows the answer while one assumption goes from one end to the other; a gap where there is no answer. */
export function sweepOf(
  question: Question,
  input: object,
  field: string,
  from: number,
  to: number,
  steps: number,
): SweepPoint[] {
  const whole = numbersOf(question).find(({ name }) => name === field)?.whole ?? false
  return Array.from({ length: steps }, (_, step) => {
    const x = from + ((to - from) * step) / (steps - 1)
    const solved = answered(question, { ...input, [field]: whole ? Math.round(x) : x })
    const y = solved && question.follow.amount(solved)?.value
    return {
      x,
      ...(y === undefined || !Number.isFinite(y) ? {} : { y }),
      ...(solved ? { verdict: solved.verdict } : {}),
    }
  })
}

function answered(question: Question, input: object): { verdict: Verdict } | undefined {
  try {
    return question.solve(input)
  } catch (error) {
    if (error instanceof InputError) return undefined
    throw error
  }
}

function binned(sorted: readonly number[]): Spread['bins'] {
  const [first, last] = [sorted[0], sorted.at(-1)]
  if (first === undefined || last === undefined) return []
  const width = (last - first) / BINS || 1
  const bins = Array.from({ length: last > first ? BINS : 1 }, (_, index) => ({
    from: first + index * width,
    to: first + (index + 1) * width,
    count: 0,
  }))
  for (const value of sorted)
    (bins[Math.min(bins.length - 1, Math.floor((value - first) / width))] as { count: number }).count++
  return bins
}
