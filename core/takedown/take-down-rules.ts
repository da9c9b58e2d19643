import { Type } from 'class-transformer'
import { ArrayMaxSize, IsArray, IsBoolean, IsIn, IsInt, IsString, Length, Max, MaxLength, Min, ValidateNested } from 'class-validator'
import { SCHOOLS, type SchoolId } from '../knowledge/schools'
import { MayBeAbsent, OptionalQuantity, rule } from '../validation/rules'

export class PlaceInput {
  @IsString() @Length(1, 60) place!: string
  @IsInt() @Min(0) @Max(200) count!: number
}

export class JointCorrectionInput {
  @IsString() @Length(1, 60) joint!: string
  @MayBeAbsent() @IsInt() @Min(0) @Max(200) count?: number
  @MayBeAbsent() @IsArray() @ArrayMaxSize(12) @ValidateNested({ each: true }) @Type(() => PlaceInput) places?: PlaceInput[]
  @MayBeAbsent() @IsIn(['right', 'left']) hand?: 'right' | 'left'
  @MayBeAbsent() @IsString() @MaxLength(80) tool?: string
}

export class JobConditionsInput {
  @OptionalQuantity({ above: 0, max: 12 }) pipeInches?: number
  @OptionalQuantity({ min: -30, max: 60 }) celsius?: number
  @OptionalQuantity({ min: 0, max: 5 }) bearingClearanceMm?: number
  @OptionalQuantity({ min: -2000, max: 2000 }) outletHigherMm?: number
  @MayBeAbsent() @IsBoolean() oneBearing?: boolean
  @MayBeAbsent() @IsBoolean() hot?: boolean
}

/** The schools of a shop, each one of its own ways. */
export function SchoolWaysField(): PropertyDecorator {
  const sorts = Object.entries(SCHOOLS).map(([id, { ways }]) => `${id}: ${Object.keys(ways).join(' or ')}`).join('; ')
  const known = (value: unknown): boolean => typeof value === 'object' && value !== null && !Array.isArray(value) && Object.entries(value).every(([id, way]) => Object.hasOwn(SCHOOLS, id) && typeof way === 'string' && Object.hasOwn(SCHOOLS[id as SchoolId].ways, way))
  return (target, property) => {
    MayBeAbsent()(target, property)
    rule('isSchoolWays', known, `must name a school and one of its ways: ${sorts}`)(target, property)
  }
}
