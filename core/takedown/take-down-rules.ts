import { Type } from 'class-transformer'
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsString,
  Length,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator'
import { PRACTICES, type PracticeId } from '../knowledge/shop/practices'
import { CONDITION_BOUNDS } from './conditions'
import { MOST_PIECES } from './tray'
import { MayBeAbsent, OptionalQuantity, rule } from '../validation/rules'

export class PlaceInput {
  @IsString() @Length(1, 60) place!: string
  @IsInt() @Min(0) @Max(MOST_PIECES) count!: number
}

export class JointCorrectionInput {
  @IsString() @Length(1, 60) joint!: string
  @MayBeAbsent() @IsInt() @Min(0) @Max(MOST_PIECES) count?: number
  @MayBeAbsent()
  @IsArray()
  @ArrayMaxSize(12)
  @ValidateNested({ each: true })
  @Type(() => PlaceInput)
  places?: PlaceInput[]
  @MayBeAbsent() @IsIn(['right', 'left']) hand?: 'right' | 'left'
  @MayBeAbsent() @IsString() @MaxLength(80) tool?: string
  @MayBeAbsent() @IsString() @Length(1, 120) orientation?: string
  @MayBeAbsent() @IsString() @Length(1, 120) extra?: string
  @MayBeAbsent() @IsArray() @ArrayMaxSize(12) @IsString({ each: true }) @Length(1, 60, { each: true }) after?: string[]
}

export class JobConditionsInput {
  @OptionalQuantity(CONDITION_BOUNDS.pipeInches) pipeInches?: number
  @OptionalQuantity(CONDITION_BOUNDS.celsius) celsius?: number
  @OptionalQuantity(CONDITION_BOUNDS.bearingClearanceMm) bearingClearanceMm?: number
  @OptionalQuantity(CONDITION_BOUNDS.outletHigherMm) outletHigherMm?: number
  @MayBeAbsent() @IsBoolean() oneBearing?: boolean
  @MayBeAbsent() @IsBoolean() hot?: boolean
}

/** The practices of a shop, each one of its own ways. */
export function PracticeWaysField(): PropertyDecorator {
  const sorts = Object.entries(PRACTICES)
    .map(([id, { ways }]) => `${id}: ${Object.keys(ways).join(' or ')}`)
    .join('; ')
  const known = (value: unknown): boolean =>
    typeof value === 'object' &&
    value !== null &&
    !Array.isArray(value) &&
    Object.entries(value).every(
      ([id, way]) =>
        Object.hasOwn(PRACTICES, id) && typeof way === 'string' && Object.hasOwn(PRACTICES[id as PracticeId].ways, way),
    )
  return (target, property) => {
    MayBeAbsent()(target, property)
    rule('isPracticeWays', known, `must name a practice and one of its ways: ${sorts}`)(target, property)
  }
}
