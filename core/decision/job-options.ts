import { KIND_KNOWLEDGE } from '../knowledge/faults/kinds'
import { jobsFor } from '../knowledge/repairs/jobs'
import { sumOfCents } from '../quantity/money'
import { reckoningOf, type Pricing, type Reckoning } from './bill'
import type { Option } from './options'

/**
 * Work that no fault asks for, and what was asked for besides, priced as a repair is. What cannot be done where the
 * machine stands is not among them.
 *
 * @param asked ids of jobs or repairs that were wished for or agreed, whatever the lamp thinks of them
 * @param agreed ids of what is agreed: what was asked for says what it adds to it
 * @param bill what they come to
 */
export function jobOptions(
  pricing: Pricing,
  asked: readonly string[] = [],
  agreed: readonly string[] = [],
  bill?: Reckoning,
): Option[] {
  const { kind, construction } = pricing.pump
  if (!construction) return []
  const offered = jobsFor(kind, construction)
  const repairs = (KIND_KNOWLEDGE[kind]?.actions ?? []).filter(({ id }) => asked.includes(id))
  const rows = [
    ...offered.map(({ id, label, because }) => ({ id, label, because })),
    ...repairs.map(({ id, label, reason }) => ({ id, label, because: reason })),
  ]
  return rows.flatMap(({ id, label, because }): Option[] => {
    const reckoning = reckoningOf([id], pricing)
    if (!reckoning) return []
    const together =
      bill && asked.includes(id) && !agreed.includes(id) ? reckoningOf([...agreed, id], pricing) : undefined
    return [
      {
        ...reckoning,
        id,
        label,
        because,
        expectedCost: reckoning.price,
        chanceRight: 0,
        ...(bill && together
          ? {
              added: {
                minutes: together.minutes.p50 - bill.minutes.p50,
                price: sumOfCents([together.price, -bill.price]),
              },
            }
          : {}),
      },
    ]
  })
}
