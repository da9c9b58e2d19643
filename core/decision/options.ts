import type { ActionRow } from '../knowledge/faults/model-types'
import { DECIDING } from '../knowledge/faults/thresholds'
import { accessGateOf } from '../diagnosis/gates'
import { actionCost, cureChance, expectedLosses } from '../diagnosis/loss'
import { partsPrice } from '../diagnosis/part-price'
import { bestRepair, repairBeside, type Reasoning } from '../diagnosis/reasoning'
import { faultLabel } from '../diagnosis/words/fault-label'
import { formatPercent } from '../quantity/format'
import { cents, sumOfCents } from '../quantity/money'
import type { RepairOptions } from '../takedown/step-plan'
import { reckoningOf, type Reckoning } from './bill'
import { partLabel } from './part-label'

export interface Option extends Reckoning {
  id: string
  label: string
  /** Price plus what being wrong is expected to cost. */
  expectedCost: number
  /** Probability that this repair cures everything that is wrong. */
  chanceRight: number
  because: string
  /** No plan leads to it where the machine stands: the table’s minutes say what it would come to. */
  isUnplanned?: true
  /** What it adds to what is agreed; absent where nothing is, or where it is one of them. */
  added?: { minutes: number; price: number }
}

/**
 * The repairs worth considering, side by side, least expected cost first: minutes and price from the plan that would be
 * carried out.
 *
 * Expected cost is the price plus, over every explanation the repair would not cure, what finding and mending that then
 * costs.
 *
 * @param chosen repairs that stay among them however unlikely they have become: they are being done
 * @param here what a repair of this machine is planned with
 */
export function optionsFor(reasoning: Reasoning, chosen: readonly string[] = [], here: RepairOptions = {}): Option[] {
  const { input, rates, reckoned, model, held, losses } = reasoning
  // With every cause set aside there is nothing that a repair could be for.
  if (!reasoning.explicable) return []
  const { pump } = input
  const { probabilities } = reasoning.posterior
  const open = held.has(accessGateOf(pump.kind))
  const expected = expectedLosses(losses, probabilities)
  const rows = model.actions.map((action, index) => ({
    action,
    chanceRight: cureChance(model.hypotheses, probabilities, action.cures),
    // What is expected beyond the repair itself.
    wrong: (expected[index] as number) - actionCost(action, pump, reckoned, open),
    rough: actionCost(action, pump, rates, open),
  }))
  // What is hardly the cure stands behind what may be it, however cheap it is.
  const leads = ({ chanceRight }: { chanceRight: number }) => chanceRight >= DECIDING.worthLeading
  rows.sort((a, b) => Number(leads(b)) - Number(leads(a)) || a.rough + a.wrong - (b.rough + b.wrong))
  const { action: best } = bestRepair(reasoning)
  // What the lamp would do is always among them, and so is what was chosen.
  const always = new Set([best.id, repairBeside(reasoning, best)?.id, ...chosen])
  const likely = rows.filter(({ chanceRight }, index) => index === 0 || chanceRight >= DECIDING.worthShowing)
  const shown = new Set(likely.slice(0, DECIDING.mostOptions))
  const options = rows
    .filter((row) => shown.has(row) || always.has(row.action.id))
    .map(({ action, chanceRight, wrong }): Option => {
      const planned = reckoningOf([action.id], { pump, plate: model.plate, rates, here })
      const reckoning = planned ?? tableReckoning(action)
      return {
        ...reckoning,
        ...(planned ? {} : { isUnplanned: true as const }),
        id: action.id,
        label: action.label,
        expectedCost: reckoning.price + wrong,
        chanceRight,
        because: reason(action, chanceRight),
      }
    })
  return options.sort((a, b) => Number(leads(b)) - Number(leads(a)) || a.expectedCost - b.expectedCost)

  /** A repair that no plan leads to where the machine stands now. */
  function tableReckoning(action: ActionRow): Reckoning {
    const materials = sumOfCents(action.parts.map((part) => cents(partsPrice([part], rates, pump))))
    const price = cents(actionCost(action, pump, rates, open))
    const minutes = Math.round(((price - materials) / rates.hourly) * 60)
    return {
      parts: action.parts.map((part) => ({
        part,
        label: partLabel(part, model.plate),
        price: cents(partsPrice([part], rates, pump)),
      })),
      minutes: { p50: minutes, p90: minutes },
      phases: { down: 0, work: minutes, back: 0, commission: 0 },
      partsPrice: materials,
      labourPrice: sumOfCents([price, -materials]),
      price,
      tools: action.tools,
    }
  }
}

function reason(action: ActionRow, chanceRight: number): string {
  const cured =
    action.cures.length <= 2 ? action.cures.map((fault) => faultLabel(fault).toLowerCase()).join(' or ') : ''
  return `${action.reason} ${formatPercent(chanceRight)} likely to be the whole cure${cured ? ` (${cured})` : ''}.`
}
