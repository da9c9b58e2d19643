import { WARRANTED } from '../knowledge/constructions/part-groups'
import { livesOf, NEW_WARRANTY_YEARS } from '../knowledge/faults/lives'
import type { EnteredRates } from '../knowledge/shop/rates'
import { partsPrice, type PricedFor } from '../diagnosis/part-price'
import { chanceOfFailing } from '../takedown/while-open'
import type { Option } from './options'

/**
 * What the warranty of a repair's new machine is worth: the replacement it is expected to save within its years.
 *
 * @returns 0 where nothing in it has a warranty
 */
export function warrantyWorth(
  { parts }: Pick<Option, 'parts'>,
  rates: EnteredRates,
  machine: PricedFor,
  years: number = NEW_WARRANTY_YEARS,
): number {
  return parts
    .filter(({ part }) => WARRANTED.includes(part))
    .reduce(
      (sum, { part }) =>
        sum + chanceOfFailing(livesOf(part, machine.kind) ?? [7, 12], 0, years) * partsPrice([part], rates, machine),
      0,
    )
}
