import { partsPrice } from '../diagnosis/loss'
import type { EnteredRates } from '../knowledge/shop/rates'
import { PARTS, type Construction, type Kind } from '../knowledge/vocabulary'
import type { Pump } from '../motor/nameplate'
import { likelyMinutes } from '../takedown/clock'
import { repairSteps, type RepairOptions } from '../takedown/step-plan'
import type { Option } from './options'

/**
 * The chosen repair with what was found damaged on the way: each part that was not in it joins its price, and so do the
 * minutes its work adds.
 *
 * @param here what the repair is planned with, the findings among it
 */
export function withFound(
  option: Option,
  machine: { kind: Kind; construction: Construction; installation?: Pump['installation'] },
  rates: EnteredRates,
  here: RepairOptions,
): Option {
  const { kind, construction } = machine
  const found = [
    ...new Set((here.found ?? []).flatMap(({ part, what }) => (part && what === 'damaged' ? [part] : []))),
  ].filter((part) => !option.parts.some((each) => each.part === part))
  if (found.length === 0) return option
  const likely = (options: RepairOptions) =>
    likelyMinutes(repairSteps(kind, construction, option.id, options)?.steps ?? [])
  const minutes = Math.max(
    0,
    Math.round(likely(here) - likely({ ...here, found: here.found?.filter(({ what }) => what !== 'damaged') })),
  )
  const [materials, labour] = [partsPrice(found, rates, machine), (minutes / 60) * rates.hourly]
  return {
    ...option,
    parts: [
      ...option.parts,
      ...found.map((part) => ({
        part,
        label: `${PARTS[part]}, found damaged`,
        price: partsPrice([part], rates, machine),
      })),
    ],
    minutes: option.minutes + minutes,
    partsPrice: option.partsPrice + materials,
    labourPrice: option.labourPrice + labour,
    price: option.price + materials + labour,
    expectedCost: option.expectedCost + materials + labour,
  }
}
