import { quantileSorted } from 'simple-statistics'
import type { Levels } from './verdicts'

/** Where the middle eight of ten machines lie, and their middle, decibels. */
export interface UsualLevel {
  low: number
  middle: number
  high: number
}
/** What machines of one kind sound like. */
export interface UsualLevels {
  machines: number
  hiss?: UsualLevel
  turn?: UsualLevel
}

/** Fewer machines are no kind. */
const FEWEST = 5

/** Where the levels of machines of one kind usually lie; nothing of levels that too few of them have. */
export function usualLevels(of: readonly Levels[]): UsualLevels {
  const hiss = spanOf(of.map(({ hissDecibels }) => hissDecibels))
  const turn = spanOf(of.flatMap(({ turnDecibels }) => turnDecibels ?? []))
  return { machines: of.length, ...(hiss ? { hiss } : {}), ...(turn ? { turn } : {}) }
}

function spanOf(values: readonly number[]): UsualLevel | undefined {
  if (values.length < FEWEST) return undefined
  const sorted = [...values].sort((a, b) => a - b)
  const at = (share: number) => quantileSorted(sorted, share)
  return { low: at(0.1), middle: at(0.5), high: at(0.9) }
}
