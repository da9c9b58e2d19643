import { LIKELIHOOD } from '../knowledge/faults/thresholds'
import { mechanismOf, type Finding } from './finding'
import type { Posterior } from './inference'
import { shares } from './likelihood'
import { modelCheckOf, type DiagnosisModel, type ModelCheck } from './model'

/** A figure that is likelier to be a slip than to be so. What is seen is believed. */
export interface Slip {
  finding: Finding
  check: ModelCheck
  /** The figure with its decimal, or its prefix, put right. */
  likely: number
  /** The posterior without it. */
  without: Float64Array
}

/** What was read is this many times what was written: a decimal slipped, or a prefix misread. */
const SLIPS = [10, 0.1, 1000, 0.001]

/**
 * A figure that a slipped decimal explains better than anything that can be wrong with the machine, as all the other
 * findings have it. Undefined where there is none, or where it was made a second time and came out the same.
 *
 * @param made all findings, every one that was made
 */
export function slipOf(model: DiagnosisModel, posterior: Posterior, made: readonly Finding[]): Slip | undefined {
  const once = (finding: Finding) => made.filter((other) => mechanismOf(other) === mechanismOf(finding)).length === 1
  let likeliest: { slip: Slip; odds: number } | undefined
  for (const { finding, likelihood } of posterior.weighed) {
    const { value } = finding
    const check = modelCheckOf(model, finding)
    if (!check || typeof value !== 'number' || value <= 0 || !once(finding)) continue
    const without = shares(posterior.probabilities.map((probability, h) => probability / (likelihood[h] as number)))
    const foreseen = (given: Float64Array) => given.reduce((sum, density, h) => sum + density * without[h]!, 0)
    const asWritten = foreseen(likelihood)
    for (const times of SLIPS) {
      const likely = value * times
      const meant = check.weigh({ ...finding, value: likely })
      const odds = meant ? (LIKELIHOOD.slip * foreseen(meant)) / asWritten : 0
      if (odds > 1 && odds > (likeliest?.odds ?? 0)) likeliest = { slip: { finding, check, likely, without }, odds }
    }
  }
  return likeliest?.slip
}
