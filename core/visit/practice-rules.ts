import { Type } from 'class-transformer'
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsString,
  Length,
  Max,
  Min,
  ValidateNested,
} from 'class-validator'
import { readCode } from '../knowledge/practice/case-code'
import { HARMS, IDEAS, type Harm, type Idea } from '../knowledge/practice/harms'
import { LAMP_HELP, type LampHelp } from '../knowledge/practice/lamp-help'
import type { FieldProblem } from '../validation/input-error'
import { CalendarDay, IdOf, MayBeAbsent, rule, Uuid } from '../validation/rules'
import { TRY_ENDS, type CourseSet, type EntryKind, type Mark, type PracticeTried } from './entry'

/** A week by the clock of practice. */
const MOST_MINUTES = 7 * 1440
const MOST_CENTS = 100_000_00
const MOST_MARKS = 10_000
const MOST_CASES = 40

const isCaseCode = (value: unknown) => typeof value === 'string' && readCode(value) !== undefined
const IS_CODE = 'must be the code of a case, such as jet.two.1k9f'

class MarkInput implements Mark {
  @IdOf(IDEAS) idea!: Idea
  @IsInt() @Min(0) @Max(MOST_MARKS) right!: number
  @IsInt() @Min(1) @Max(MOST_MARKS) of!: number
}
export class PracticeTriedBody implements PracticeTried {
  @rule('isCaseCode', isCaseCode, IS_CODE) code!: string
  @IsIn(TRY_ENDS) ended!: (typeof TRY_ENDS)[number]
  @IsBoolean() found!: boolean
  @IsNumber() @Min(0) @Max(MOST_MINUTES) minutes!: number
  @IsInt() @Min(0) @Max(MOST_CENTS) price!: number
  @IsIn(LAMP_HELP) lamp!: LampHelp
  @IsArray() @ArrayMaxSize(500) @IdOf(HARMS, { each: true }) harms!: Harm[]
  @IsArray()
  @ArrayMaxSize(Object.keys(IDEAS).length)
  @ValidateNested({ each: true })
  @Type(() => MarkInput)
  marks!: MarkInput[]
}
export class CourseSetBody implements CourseSet {
  @Uuid() course!: string
  @IsString() @Length(1, 120) title!: string
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(MOST_CASES)
  @ArrayUnique()
  @rule('isCaseCode', isCaseCode, IS_CODE, { each: true })
  cases!: string[]
  @IsArray() @ArrayMaxSize(200) @ArrayUnique() @IsString({ each: true }) @Length(1, 120, { each: true }) for!: string[]
  @MayBeAbsent() @CalendarDay() by?: string
  @MayBeAbsent() @IsString() @Length(1, 500) note?: string
  @MayBeAbsent() @IsBoolean() ended?: boolean
}

/** What no single field can say of practice. */
export function practiceProblem(kind: EntryKind, body: object): FieldProblem | undefined {
  if (kind !== 'practice-tried') return undefined
  const { marks } = body as PracticeTried
  if (new Set(marks.map(({ idea }) => idea)).size < marks.length)
    return { field: 'marks', value: marks.map(({ idea }) => idea).join(', '), expected: 'each idea once' }
  const over = marks.findIndex(({ right, of }) => right > of)
  return over < 0
    ? undefined
    : {
        field: `marks.${over}.right`,
        value: marks[over]?.right,
        expected: `at most ${marks[over]?.of}, what was asked`,
      }
}
