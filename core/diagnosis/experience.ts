import { KIND_KNOWLEDGE } from '../knowledge/faults/kinds'
import { ESTIMATE_WEIGHT } from '../knowledge/faults/thresholds'
import type { Kind } from '../knowledge/vocabulary'

/** One cause with what was estimated and what the shop's own visits make of it, as shares of all causes of its kind. */
export interface Learned {
  fault: string
  estimated: number
  counted: number
  learned: number
  multiple: number
}

/**
 * What confirmed causes make of the estimated shares: Dirichlet counts, the estimate weighing as `ESTIMATE_WEIGHT`
 * visits.
 *
 * @param counts confirmed causes by fault; a fault this kind cannot have counts nothing
 * @returns every fault of the kind, by how far it moved
 */
export function learnFrom(kind: Kind, counts: Readonly<Record<string, number>>): Learned[] {
  const { faults, nothingWrong } = KIND_KNOWLEDGE[kind]
  const rates = [
    ...faults.map(({ fault, per1000 }) => [fault as string, per1000] as const),
    ['nothing-wrong', nothingWrong.per1000] as const,
  ]
  const total = rates.reduce((sum, [, rate]) => sum + rate, 0)
  const counted = rates.reduce((sum, [fault]) => sum + (counts[fault] ?? 0), 0)
  const { visits } = ESTIMATE_WEIGHT
  return rates
    .map(([fault, rate]): Learned => {
      const estimated = rate / total
      const learned = (visits * estimated + (counts[fault] ?? 0)) / (visits + counted)
      return { fault, estimated, counted: counts[fault] ?? 0, learned, multiple: learned / estimated }
    })
    .sort((a, b) => Math.abs(Math.log(b.multiple)) - Math.abs(Math.log(a.multiple)))
}

/** The multiples alone, as the model takes them; empty where nothing was counted. */
export function experienceOf(kind: Kind, counts: Readonly<Record<string, number>>): Record<string, number> {
  if (Object.values(counts).every((count) => count === 0)) return {}
  return Object.fromEntries(learnFrom(kind, counts).map(({ fault, multiple }) => [fault, multiple]))
}
