import type { ActionRow } from '../knowledge/faults/model-types'
import { DECIDING } from '../knowledge/faults/thresholds'
import { PARTS, type Part } from '../knowledge/vocabulary'
import { accessGateOf } from '../diagnosis/gates'
import { actionCost, actionMinutes, cureChance, expectedLosses, partsPrice } from '../diagnosis/loss'
import { bestRepair, repairBeside, type Reasoning } from '../diagnosis/reasoning'
import { faultLabel } from '../diagnosis/words/fault-label'
import { formatPercent } from '../quantity/format'
import type { CompletePlate } from '../motor/nameplate'

export interface OptionPart {
  part: Part
  label: string
  price: number
}
export interface Option {
  id: string
  label: string
  parts: OptionPart[]
  minutes: number
  partsPrice: number
  labourPrice: number
  price: number
  /** Price plus what being wrong is expected to cost. */
  expectedCost: number
  /** Probability that this repair cures everything that is wrong. */
  chanceRight: number
  because: string
  tools: readonly string[]
}

/**
 * The repairs worth considering, side by side, least expected cost first.
 *
 * Expected cost is the price plus, over every explanation the repair would not cure, what finding and mending that then
 * costs.
 *
 * @param chosen a repair that stays among them however unlikely it has become: it is the one being done
 */
export function optionsFor(reasoning: Reasoning, chosen?: string): Option[] {
  const { input, rates, reckoned, model, held, losses } = reasoning
  // With every cause set aside there is nothing that a repair could be for.
  if (!reasoning.explicable) return []
  const { pump } = input
  const { probabilities } = reasoning.posterior
  const open = held.has(accessGateOf(pump.kind))
  const expected = expectedLosses(losses, probabilities)
  const options = model.actions.map((action, index): Option => {
    const chanceRight = cureChance(model.hypotheses, probabilities, action.cures)
    const materials = partsPrice(action.parts, rates, pump)
    const price = actionCost(action, pump, rates, open)
    return {
      id: action.id,
      label: action.label,
      tools: action.tools,
      minutes: Math.round(actionMinutes(action, pump, open)),
      partsPrice: materials,
      parts: action.parts.map((part) => ({
        part,
        label: partLabel(part, model.plate),
        price: partsPrice([part], rates, pump),
      })),
      labourPrice: price - materials,
      price,
      expectedCost: price + (expected[index] as number) - actionCost(action, pump, reckoned, open),
      chanceRight,
      because: reason(action, chanceRight),
    }
  })
  // What is hardly the cure stands behind what may be it, however cheap it is.
  const leads = ({ chanceRight }: Option) => chanceRight >= DECIDING.worthLeading
  const sorted = options.sort((a, b) => Number(leads(b)) - Number(leads(a)) || a.expectedCost - b.expectedCost)
  const { action } = bestRepair(reasoning)
  // What the lamp would do is always among them, and so is what was chosen.
  const always = new Set([action.id, repairBeside(reasoning, action)?.id, chosen])
  const likely = sorted.filter(({ chanceRight }, index) => index === 0 || chanceRight >= DECIDING.worthShowing)
  const shown = new Set(likely.slice(0, DECIDING.mostOptions))
  return sorted.filter((option) => shown.has(option) || always.has(option.id))
}

function reason(action: ActionRow, chanceRight: number): string {
  const cured =
    action.cures.length <= 2 ? action.cures.map((fault) => faultLabel(fault).toLowerCase()).join(' or ') : ''
  return `${action.reason} ${formatPercent(chanceRight)} likely to be the whole cure${cured ? ` (${cured})` : ''}.`
}

/** A part with its rating, as it goes on the loading list and the sheet. */
export function partLabel(
  part: Part,
  plate: Pick<
    CompletePlate,
    'runCapacitorMicrofarads' | 'runCapacitorVolts' | 'startCapacitorMicrofarads' | 'horsepower' | 'volts'
  >,
): string {
  const name = PARTS[part]
  if (part === 'run-capacitor' && plate.runCapacitorMicrofarads !== undefined)
    return `${name} ${plate.runCapacitorMicrofarads} μF, ${plate.runCapacitorVolts ?? 370} V or more`
  if (part === 'start-capacitor' && plate.startCapacitorMicrofarads !== undefined) {
    const rated = plate.startCapacitorMicrofarads
    return `${name} ${typeof rated === 'number' ? rated : `${rated[0]} to ${rated[1]}`} μF`
  }
  if (part === 'motor')
    return `${name}, ${Number(plate.horsepower.toFixed(2))} hp, ${plate.volts} V, same flange and shaft`
  if (part === 'shaft-seal') return `${name} set of this pump`
  if (part === 'bearings') return 'bearings, both ends (read the rings)'
  return name
}
