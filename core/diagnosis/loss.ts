import { BEING_WRONG, type Rates } from '../knowledge/shop/rates'
import type { ActionRow } from '../knowledge/faults/model-types'
import type { Kind } from '../knowledge/vocabulary'
import type { Pump } from '../motor/nameplate'
import { accessMinutes } from './gates'
import type { DiagnosisModel } from './model'

/** Minutes of a repair, with reaching the place unless it stands open already. */
export function actionMinutes(action: Pick<ActionRow, 'minutes' | 'access'>, pump: Pump, open = false): number {
  return action.minutes + (action.access && !open ? accessMinutes(pump) : 0)
}

/** What a repair costs the customer when it goes as planned: parts with the shop's markup, and minutes. */
export function actionCost(
  action: Pick<ActionRow, 'parts' | 'minutes' | 'access'>,
  pump: Pump,
  rates: Rates,
  open = false,
): number {
  return partsPrice(action.parts, rates, pump.kind) + (actionMinutes(action, pump, open) / 60) * rates.hourly
}

/**
 * Price of parts, markup included; a kind's own price before the general one. A part without a price counts nothing and
 * is listed by the caller.
 */
export function partsPrice(parts: ActionRow['parts'], rates: Rates, kind: Kind): number {
  return (
    parts.reduce((sum, part) => sum + (rates.partPrices[`${part}:${kind}`] ?? rates.partPrices[part] ?? 0), 0) *
    (1 + rates.partsMarkup)
  )
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
 * What an action leaves uncured is found out, usually in Prove while the van is still there, else on a second trip;
 * then it is put right
 * by the cheapest repairs that cure it.
 *
 * @param open the wet end stands open, or the pump is out, already: the work behind that gate costs its own minutes
 *   only
 */
export function lossTable(model: DiagnosisModel, rates: Rates, open = false): LossTable {
  const { actions, hypotheses, pump } = model
  const costs = actions.map((action) => actionCost(action, pump, rates, open))
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
  const wrong =
    BEING_WRONG.noticedOnSite * BEING_WRONG.onSiteMinutes * perMinute +
    (1 - BEING_WRONG.noticedOnSite) * (rates.trip + BEING_WRONG.laterMinutes * perMinute + rates.downtime)
  // Leaving a faulty machine running is never noticed on site: it comes back as a call.
  const comeback = rates.trip + BEING_WRONG.laterMinutes * perMinute + rates.downtime
  const rows = actions.length + 1
  const table = new Float64Array(rows * hypotheses.length)
  actions.forEach((action, a) => {
    hypotheses.forEach(({ faults }, h) => {
      // A repair of what was never wrong leaves the complaint as it was.
      const left = faults.filter((fault) => !cures[a]?.has(fault))
      const consequence =
        left.length === 0 ? 0 : (action.cures.includes('nothing-wrong') ? comeback : wrong) + cheapest(left)
      table[a * hypotheses.length + h] = (costs[a] as number) + consequence
    })
  })
  hypotheses.forEach(({ faults }, h) => {
    table[actions.length * hypotheses.length + h] = BEING_WRONG.carryOnMinutes * perMinute + cheapest(faults)
  })
  return { table, actions: rows, hypotheses: hypotheses.length, carryOn: actions.length }
}

/** Probability that curing these faults cures everything that is wrong. */
export function cureChance(
  hypotheses: DiagnosisModel['hypotheses'],
  probabilities: Float64Array,
  cures: readonly string[],
): number {
  const cured = new Set(cures)
  return hypotheses.reduce(
    (sum, { faults }, h) => (faults.every((fault) => cured.has(fault)) ? sum + (probabilities[h] as number) : sum),
    0,
  )
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
