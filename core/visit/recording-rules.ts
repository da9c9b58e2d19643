import { Type } from 'class-transformer'
import {
  ArrayMaxSize,
  IsArray,
  IsIn,
  IsInt,
  IsObject,
  IsString,
  Length,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator'
import {
  BEARING_HEARD,
  BEARING_PLACES,
  DOUBTS,
  REASONS,
  RECORDING_LIMITS,
  WATER_HEARD,
  type BearingPlace,
  type BearingVerdict,
  type Doubt,
  type Reason,
  type WaterVerdict,
} from '../sound/verdicts'
import { MayBeAbsent, OptionalQuantity, Quantity } from '../validation/rules'
import type { EntryBodies, HeardInRecording } from './entry'

const AnyHertz = () => Quantity({ min: 0, max: 100_000 })
class BearingHeardInput implements BearingVerdict {
  @IsIn(BEARING_HEARD) is!: BearingVerdict['is']
  @MayBeAbsent() @IsIn(REASONS) why?: Reason
  @MayBeAbsent() @IsIn(BEARING_PLACES) place?: BearingPlace
  @MayBeAbsent() @IsIn(BEARING_PLACES) or?: BearingPlace
  @MayBeAbsent() @AnyHertz() hertz?: number
}
class WaterHeardInput implements WaterVerdict {
  @IsIn(WATER_HEARD) is!: WaterVerdict['is']
  @MayBeAbsent() @IsIn(REASONS) why?: Reason
}
class HeardInput implements HeardInRecording {
  @ValidateNested() @Type(() => BearingHeardInput) @IsObject() bearing!: BearingVerdict
  @ValidateNested() @Type(() => WaterHeardInput) @IsObject() water!: WaterVerdict
  @IsArray() @ArrayMaxSize(DOUBTS.length) @IsIn(DOUBTS, { each: true }) doubts!: Doubt[]
  @MayBeAbsent() @AnyHertz() shaftHertz?: number
  @AnyHertz() strongestHertz!: number
  @Quantity({ min: -300, max: 100 }) hissDecibels!: number
  @OptionalQuantity({ min: -300, max: 100 }) turnDecibels?: number
}
/** A recording of the machine, as a line of the journal. */
export class RecordingBody implements Omit<EntryBodies['recording'], 'type'> {
  @Matches(/^[0-9a-f]{64}$/) hash!: string
  @IsIn(['audio/wav']) type!: string
  @IsInt() @Min(1) bytes!: number
  @IsString() @MaxLength(200) name!: string
  @Quantity({ above: 0, max: RECORDING_LIMITS.longestSeconds }) seconds!: number
  @IsIn(['motor', 'pump']) side!: 'motor' | 'pump'
  @Quantity({ above: 0, max: 1e5 }) rpm!: number
  @Quantity({ above: 0, max: 1000 }) mainsHertz!: number
  @MayBeAbsent() @IsString() @Length(1, 20) bearing?: string
  @MayBeAbsent() @IsInt() @Min(1) @Max(40) vanes?: number
  @ValidateNested() @Type(() => HeardInput) @IsObject() heard!: HeardInRecording
}
