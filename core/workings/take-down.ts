import { Type } from 'class-transformer'
import { ArrayMaxSize, ArrayMinSize, IsArray, IsIn, IsString, MaxLength, ValidateNested } from 'class-validator'
import { CONSTRUCTION_GRAPHS } from '../knowledge/constructions'
import { PARTS, type Part } from '../knowledge/vocabulary'
import type { PracticeWays } from '../knowledge/shop/practices'
import { planTakeDown, type TakeDownStep } from '../takedown/plan'
import { JobConditionsInput, JointCorrectionInput, PracticeWaysField } from '../takedown/take-down-rules'
import { formatNumber as n } from '../quantity/format'
import { METRIC_READER, render } from '../quantity/sentence'
import { IdOf, MayBeAbsent } from '../validation/rules'
import { defineWorking } from './define-working'

class Found {
  @MayBeAbsent() @IsString() @MaxLength(60) joint?: string
  @MayBeAbsent() @IdOf(PARTS) part?: Part
  @IsIn(['stuck', 'damaged']) what!: 'stuck' | 'damaged'
}
class TakeDownOptionsInput {
  @MayBeAbsent()
  @IsArray()
  @ArrayMaxSize(60)
  @ValidateNested({ each: true })
  @Type(() => JointCorrectionInput)
  machineCorrections?: JointCorrectionInput[]
  @MayBeAbsent() @IsArray() @ArrayMaxSize(60) @IsString({ each: true }) opened?: string[]
  @MayBeAbsent() @IsArray() @ArrayMaxSize(60) @ValidateNested({ each: true }) @Type(() => Found) found?: Found[]
  @MayBeAbsent() @IsArray() @ArrayMaxSize(60) @IsString({ each: true }) alternativesExcluded?: string[]
  /** The shop’s practices, under the name that has always been given here. */
  @PracticeWaysField() schools?: PracticeWays
  @MayBeAbsent() @ValidateNested() @Type(() => JobConditionsInput) conditions?: JobConditionsInput
}
class TakeDownInput {
  @IdOf(Object.fromEntries(CONSTRUCTION_GRAPHS.map(({ id, label }) => [id, label]))) construction!: string
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(20) @IdOf(PARTS, { each: true }) targets!: Part[]
  @MayBeAbsent() @ValidateNested() @Type(() => TakeDownOptionsInput) options?: TakeDownOptionsInput
}
const BASIS = {
  kind: 'common-practice',
  name: 'joints, counts and minutes usual for the construction: the technician’s count wins',
} as const

/** Under the name that this working has always given out. */
function withSchools<T extends { practices?: unknown }>({ practices, ...rest }: T) {
  return practices === undefined ? rest : { ...rest, schools: practices }
}

const told = (step: TakeDownStep) => ({ ...withSchools(step), text: render(step.text, METRIC_READER) })

export const takeDown = defineWorking({
  name: 'take-down',
  title: 'How does it come apart, and go back?',
  input: TakeDownInput,
  basis: BASIS,
  run: ({ construction, targets, options }) => {
    const { schools: practices, ...others } = options ?? {}
    const plan = planTakeDown(construction, targets, { ...others, ...(practices ? { practices } : {}) })
    return {
      ...withSchools(plan),
      down: plan.down.map(told),
      work: plan.work.map(told),
      back: plan.back.map(told),
      waits: plan.waits.map((wait) => ({ ...wait, what: render(wait.what, METRIC_READER) })),
      basis: BASIS,
      steps: [...plan.down, ...plan.work, ...plan.back].map(
        ({ phase, text, minutes }) => `${phase}: ${render(text, METRIC_READER)} (${n(minutes)} min)`,
      ),
    }
  },
})
