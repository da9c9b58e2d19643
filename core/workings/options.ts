import { Type } from 'class-transformer'
import { ArrayMaxSize, IsArray, IsString, Length, ValidateNested } from 'class-validator'
import { jobOptions } from '../decision/job-options'
import { optionsFor, type Option } from '../decision/options'
import { canonicalCase, DiagnoseInput } from '../diagnosis/case-rules'
import { bestRepair, reasonOn } from '../diagnosis/reasoning'
import { DEFAULT_RATES } from '../knowledge/shop/rates'
import type { PracticeWays } from '../knowledge/shop/practices'
import { PracticeWaysField } from '../takedown/take-down-rules'
import { MayBeAbsent } from '../validation/rules'
import { RatesInput } from '../visit/money-rules'
import { defineWorking } from './define-working'

class ShopInput {
  @PracticeWaysField() schools?: PracticeWays
}
class OptionsInput extends DiagnoseInput {
  @MayBeAbsent() @ValidateNested() @Type(() => RatesInput) rates?: RatesInput
  @MayBeAbsent() @ValidateNested() @Type(() => ShopInput) shop?: ShopInput
  /** Jobs that the customer asks for. */
  @MayBeAbsent() @IsArray() @ArrayMaxSize(12) @IsString({ each: true }) @Length(1, 60, { each: true }) wishes?: string[]
}

const BASIS = {
  kind: 'shop',
  name: 'the plan of each repair at the shop’s pace and prices, and what being wrong is expected to cost',
} as const

const shown = ({ id, label, parts, minutes, price, expectedCost, chanceRight, because }: Option) => ({
  id,
  label,
  jobs: [id],
  parts,
  minutes,
  price,
  expected: expectedCost,
  cure: chanceRight,
  because,
})

/** What is worth doing: repairs and wishes side by side, from the planner and the list of materials of the work. */
export const optionsWorking = defineWorking({
  name: 'options',
  title: 'What is worth doing?',
  input: OptionsInput,
  basis: BASIS,
  run: (input, { models }) => {
    const { rates = DEFAULT_RATES, shop, wishes = [], ...asked } = input
    const of = canonicalCase(asked)
    const reasoning = reasonOn(of, { rates, model: models.modelOf(of) })
    const here = { standing: of.standing, ...(shop?.schools ? { practices: shop.schools } : {}) }
    const options = optionsFor(reasoning, [], here)
    const known = new Set(options.map(({ id }) => id))
    const { plate } = reasoning.model
    const wished = jobOptions({ pump: of.pump, plate, rates, here }, wishes).filter(
      ({ id }) => wishes.includes(id) && !known.has(id),
    )
    return {
      options: [...options, ...wished].map(shown),
      best: options[0]?.id ?? wished[0]?.id ?? null,
      lamp: reasoning.explicable ? bestRepair(reasoning).action.id : null,
      steps: options.map(({ label, because }) => `${label}: ${because}`),
      basis: BASIS,
    }
  },
})
