import { Type } from 'class-transformer'
import { ArrayMaxSize, ArrayMinSize, IsArray, IsIn, IsString, MaxLength, ValidateNested } from 'class-validator'
import { CONSTRUCTION_GRAPHS } from '../knowledge/constructions'
import {
  GATES,
  KIND_CONSTRUCTIONS,
  KINDS,
  MOTOR_TYPES,
  PARTS,
  STANDINGS,
  type Construction,
  type Gate,
  type Kind,
  type MotorType,
  type Part,
  type Standing,
} from '../knowledge/vocabulary'
import { proofsFor } from '../knowledge/repairs/proofs'
import { touchedBy } from '../takedown/touched'
import type { PracticeWays } from '../knowledge/shop/practices'
import { planTakeDown, type StepPhase, type TakeDownStep } from '../takedown/plan'
import { jobsHere, stepPlan, type RepairOptions, type StepPlan } from '../takedown/step-plan'
import { JobConditionsInput, JointCorrectionInput, PracticeWaysField } from '../takedown/take-down-rules'
import { formatNumber as n } from '../quantity/format'
import { METRIC_READER, render } from '../quantity/sentence'
import { badField } from '../validation/input-error'
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
  /** What is reached in this one assembly; or jobs, through every assembly of the machine. */
  @MayBeAbsent() @IsArray() @ArrayMinSize(1) @ArrayMaxSize(20) @IdOf(PARTS, { each: true }) targets?: Part[]
  @MayBeAbsent() @IsArray() @ArrayMinSize(1) @ArrayMaxSize(12) @IsString({ each: true }) jobs?: string[]
  /** Whose jobs they are; without it, a kind that is built so. */
  @MayBeAbsent() @IdOf(KINDS) kind?: Kind
  @MayBeAbsent() @IdOf(MOTOR_TYPES) motorType?: MotorType
  @MayBeAbsent() @IsIn(STANDINGS) standing?: Standing
  @MayBeAbsent() @IsArray() @ArrayMaxSize(30) @IdOf(GATES, { each: true }) gatesHeld?: Gate[]
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
  run: ({ construction, targets, jobs, options, ...where }) => {
    const { schools: practices, ...others } = options ?? {}
    const here = { ...others, ...where, ...(practices ? { practices } : {}) }
    const kind = where.kind ?? kindOf(construction)
    const plan = jobs ? planJobs(construction, kind, jobs, here) : planTakeDown(construction, targets ?? [], here)
    const of = (phase: StepPhase) => plan.steps.filter((step) => step.phase === phase).map(told)
    return {
      ...withSchools(plan),
      construction,
      down: of('down'),
      work: of('work'),
      back: of('back'),
      commission: of('commission'),
      prove: proofsFor(kind, construction as Construction, where.standing, touchedBy(plan)).map(
        ({ id, label, ask, check, caution }) => ({
          id,
          label,
          text: ask,
          ...(check ? { check } : {}),
          ...(caution ? { caution } : {}),
        }),
      ),
      waits: plan.waits.map((wait) => ({ ...wait, what: render(wait.what, METRIC_READER) })),
      basis: BASIS,
      steps: plan.steps.map(
        ({ phase, text, minutes }) => `${phase}: ${render(text, METRIC_READER)} (${n(minutes)} min)`,
      ),
    }
  },
})

/** A kind that is built so: the first of them, a three-wire well where both are. */
function kindOf(construction: string): Kind {
  const kinds = (Object.keys(KIND_CONSTRUCTIONS) as Kind[]).filter((kind) =>
    KIND_CONSTRUCTIONS[kind].some((each) => each === construction),
  )
  return (construction === 'motor-bench' ? kinds[0] : kinds.at(-1)) ?? 'well-three-wire'
}

function planJobs(construction: string, kind: Kind, jobs: readonly string[], options: RepairOptions): StepPlan {
  const unit = construction as Construction
  if (!KIND_CONSTRUCTIONS[kind].includes(unit))
    throw badField('construction', construction, `one of a ${kind}: ${KIND_CONSTRUCTIONS[kind].join(', ')}`)
  const known = jobsHere(kind, unit, options)
  for (const [index, job] of jobs.entries())
    if (!known.includes(job))
      throw badField(`jobs.${index}`, job, `a job of this machine where it stands: ${known.join(', ')}`)
  return stepPlan(kind, unit, jobs, options) as StepPlan
}
