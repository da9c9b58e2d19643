import { jobsFor } from '../knowledge/repairs/jobs'
import type { EnteredRates } from '../knowledge/shop/rates'
import type { CompletePlate, Pump } from '../motor/nameplate'
import { partsPrice } from '../diagnosis/loss'
import { likelyMinutes } from '../takedown/clock'
import { repairSteps, type RepairOptions } from '../takedown/step-plan'
import { partLabel, type Option } from './options'

/** Work that no fault asks for, priced as a repair is: parts, and the likely minutes of its steps. */
export function jobOptions(pump: Pump, plate: CompletePlate, rates: EnteredRates, here: RepairOptions = {}): Option[] {
  const { kind, construction } = pump
  if (!construction) return []
  return jobsFor(kind, construction).map(({ id, label, parts, because }): Option => {
    const minutes = Math.round(likelyMinutes(repairSteps(kind, construction, id, here)?.steps ?? []))
    const [materials, labour] = [partsPrice(parts, rates, pump), (minutes / 60) * rates.hourly]
    return {
      id,
      label,
      because,
      minutes,
      tools: [],
      parts: parts.map((part) => ({ part, label: partLabel(part, plate), price: partsPrice([part], rates, pump) })),
      partsPrice: materials,
      labourPrice: labour,
      price: materials + labour,
      expectedCost: materials + labour,
      chanceRight: 0,
    }
  })
}
