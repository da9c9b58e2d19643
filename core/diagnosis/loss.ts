import { BEING_WRONG, type Rates } from '../knowledge/rates'
import type { ActionRow } from '../knowledge/model-types'
import type { DiagnosisModel } from './model'

/** What a repair costs the customer when it goes as planned: parts with the shop's markup, and minutes. */
export function actionCost(action: Pick<ActionRow, 'parts' | 'minutes'>, rates: Rates): number {
  return partsPrice(action.parts, rates) + (action.minutes / 60) * rates.hourly
}

/** Price of parts, markup included. A part without a price counts nothing and is listed by the caller. */
export function partsPrice(parts: ActionRow['parts'], rates: Rates): number {
  return parts.reduce((sum, part) => sum + (rates.partPrices[part] ?? 0), 0) * (1 + rates.partsMarkup)
}

export interface LossTable {
  /** The row after the last action: testing on until the cause is known, then the right repair. */
  carryOn: number
  /** `table[a * hypotheses + h]`: cost of doing action `a` when `h` is true, mistakes included. */
  table: Float64Array
  actions: number
  hypotheses: number
}

/**
 * The loss of every action under every hypothesis.
 *
 * What an action leaves uncured is found out, usually in Prove while the van is still there, else on a second trip; then it is put right
 * by the cheapest repairs that cure it.
 */
export function lossTable(model: DiagnosisModel, rates: Rates): LossTable {
  const { actions, hypotheses } = model
  const costs = actions.map((action) => actionCost(action, rates))
  const cures = actions.map(({ cures: list }) => new Set<string>(list))
  const cheapestFor = new Map<string, number>()
  const cheapest = (faults: readonly string[]): number => {
    const key = faults.join('+')
    const known = cheapestFor.get(key)
    if (known !== undefined) return known
    const single = Math.min(...costs.filter((_, index) => faults.every((fault) => cures[index]?.has(fault))))
    const apart = faults.length > 1 ? faults.reduce((sum, fault) => sum + cheapest([fault]), 0) : Infinity
    const least = Math.min(single, apart)
    const value = Number.isFinite(least) ? least : Math.max(...costs)
    cheapestFor.set(key, value)
    return value
  }
  const perMinute = rates.hourly / 60
  const wrong = BEING_WRONG.noticedOnSite * BEING_WRONG.onSiteMinutes * perMinute + (1 - BEING_WRONG.noticedOnSite) * (rates.trip + BEING_WRONG.laterMinutes * perMinute + rates.downtime)
  // Leaving a faulty machine running is never noticed on site: it comes back as a call.
  const comeback = rates.trip + BEING_WRONG.laterMinutes * perMinute + rates.downtime
  const rows = actions.length + 1
  const table = new Float64Array(rows * hypotheses.length)
  actions.forEach((action, a) => {
    hypotheses.forEach(({ faults }, h) => {
      const left = faults.filter((fault) => fault !== 'nothing-wrong' && !cures[a]?.has(fault))
      const consequence = left.length === 0 ? 0 : (action.cures.includes('nothing-wrong') ? comeback : wrong) + cheapest(left)
      table[a * hypotheses.length + h] = (costs[a] as number) + consequence
    })
  })
  hypotheses.forEach(({ faults }, h) => {
    const known = faults.filter((fault) => fault !== 'nothing-wrong')
    table[actions.length * hypotheses.length + h] = BEING_WRONG.carryOnMinutes * perMinute + (known.length === 0 ? 0 : cheapest(known))
  })
  return { table, actions: rows, hypotheses: hypotheses.length, carryOn: actions.length }
}

/** Expected loss of each action, then of testing on. */
export function expectedLosses({ table, actions, hypotheses }: LossTable, probabilities: Float64Array): Float64Array {
  const losses = new Float64Array(actions)
  for (let a = 0; a < actions; a++) {
    let sum = 0
    for (let h = 0; h < hypotheses; h++) sum += (probabilities[h] as number) * (table[a * hypotheses + h] as number)
    losses[a] = sum
  }
  return losses
}
