import { LIKELIHOOD } from '../knowledge/faults/thresholds'
import { mechanismOf, type Finding } from './finding'
import { normalise, type Posterior } from './inference'
import { modelCheckOf, type DiagnosisModel, type ModelCheck } from './model'

/** A finding that is likelier to be a slip than to be so. */
export interface Slip {
  finding: Finding
  check: ModelCheck
  /** The figure with its decimal, or its prefix, put right; absent for what was seen. */
  likely?: number
  /** The posterior without it. */
  without: Float64Array
}

/** What was read is this many times what was written: a decimal slipped, or a prefix misread. */
const SLIPS = [10, 0.1, 1000, 0.001]

/**
 * A finding that a slip explains better than anything that can be wrong with the machine, as all the others have it: a
 * figure whose decimal slipped, a look that nothing led to expect. Undefined where there is none, or where it was made
 * a second time and came out the same.
 *
 * @param made all findings, every one that was made
 */
export function slipOf(model: DiagnosisModel, posterior: Posterior, made: readonly Finding[]): Slip | undefined {
  const once = (finding: Finding) => made.filter((other) => mechanismOf(other) === mechanismOf(finding)).length === 1
  let likeliest: { slip: Slip; odds: number } | undefined
  for (const { finding, likelihood } of posterior.weighed) {
    const check = once(finding) ? modelCheckOf(model, finding) : undefined
    if (!check) continue
    const others = normalise(posterior.probabilities.map((p, h) => Math.log(p) - Math.log(likelihood[h] as number)))
    const foreseen = (densities: Float64Array) => densities.reduce((sum, density, h) => sum + density * others[h]!, 0)
    const asWritten = foreseen(likelihood)
    for (const { likely, chance } of slipsOf(finding, check, foreseen)) {
      const odds = (LIKELIHOOD.slip * chance) / asWritten
      if (odds > 1 && odds > (likeliest?.odds ?? 0))
        likeliest = { slip: { finding, check, ...(likely === undefined ? {} : { likely }), without: others }, odds }
    }
  }
  return likeliest?.slip
}

/** What may have been meant instead, and how likely that was to be found. */
function slipsOf(
  finding: Finding,
  check: ModelCheck,
  foreseen: (densities: Float64Array) => number,
): { likely?: number; chance: number }[] {
  const { value, outcome } = finding
  if (outcome !== undefined) return [{ chance: 1 }]
  if (typeof value !== 'number' || value <= 0) return []
  return SLIPS.flatMap((times) => {
    const meant = check.weigh({ ...finding, value: value * times })
    return meant ? [{ likely: value * times, chance: foreseen(meant) }] : []
  })
}
