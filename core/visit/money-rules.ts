import { Type } from 'class-transformer'
import { ArrayMaxSize, IsArray, IsBoolean, IsIn, IsString, Length, Matches, ValidateNested } from 'class-validator'
import { ACCOUNT_LINES, type AccountChange, type AccountLine } from '../decision/account'
import { TAXED, type TaxLine } from '../knowledge/shop/rates'
import { PARTS, type Part } from '../knowledge/vocabulary'
import { CalendarDay, IdOf, isRecord, MayBeAbsent, OptionalQuantity, Quantity, rule } from '../validation/rules'
import type { PriceLine } from './entry'
import { isPartPrice, MOST_PRICE } from './part-price'

export class PriceLineInput implements PriceLine {
  @IsString() @Length(1, 300) label!: string
  @Quantity({ min: -1e7, max: 1e7 }) amount!: number
  @MayBeAbsent() @IsIn(ACCOUNT_LINES) kind?: AccountLine['kind']
}
export class PriceChangeBody implements AccountChange {
  @IsString() @Length(1, 200) label!: string
  @OptionalQuantity({ min: -1e6, max: 1e6 }) amount?: number
  @MayBeAbsent() @IsIn(['work', 'all']) waives?: 'work' | 'all'
  @MayBeAbsent() @IdOf(PARTS) own?: Part
  @MayBeAbsent() @IdOf(PARTS) kept?: Part
  @OptionalQuantity({ above: 0, max: 1440 }) afterHours?: number
}
export class PriceAgreedBody {
  @IsString() @Length(1, 120) by!: string
  @Quantity({ min: 0, max: 1e7 }) price!: number
}
export class PaidBody {
  @Quantity({ min: -1e7, max: 1e7 }) amount!: number
  @CalendarDay() on!: string
  @MayBeAbsent() @IsString() @Length(1, 80) how?: string
}

/** A price for each part: of every kind, or of one kind's own as `motor:pool`. */
function PricesByPart(): PropertyDecorator {
  return rule(
    'isPricesByPart',
    (value) => isRecord(value) && Object.entries(value).every(([part, price]) => isPartPrice(part, price)),
    `must give each part, such as motor or motor:pool, a price from 0 to ${MOST_PRICE}`,
  )
}

class TaxInput implements TaxLine {
  @IsString() @Length(1, 60) name!: string
  @Quantity({ min: 0, max: 100 }) percent!: number
  @IsIn(TAXED) on!: TaxLine['on']
}
export class RatesInput {
  @IsString() @Matches(/^[A-Z]{3}$/) currency!: string
  @Quantity({ min: 0, max: 100000 }) hourly!: number
  @Quantity({ min: 0, max: 100000 }) trip!: number
  @Quantity({ min: 0, max: 10 }) partsMarkup!: number
  @Quantity({ min: 0, max: 1000000 }) downtime!: number
  @OptionalQuantity({ min: 0, max: 10000 }) liveRisk?: number
  @OptionalQuantity({ min: 0, max: 100000 }) helperHourly?: number
  @OptionalQuantity({ min: 1, max: 10 }) afterHours?: number
  @MayBeAbsent() @IsBoolean() chargesJourney?: boolean
  @OptionalQuantity({ min: 0, max: 100000 }) minimum?: number
  @MayBeAbsent() @IsArray() @ArrayMaxSize(6) @ValidateNested({ each: true }) @Type(() => TaxInput) taxes?: TaxInput[]
  @OptionalQuantity({ min: 0, max: 120 }) workWarrantyMonths?: number
  @OptionalQuantity({ min: 0, max: 240 }) partWarrantyMonths?: number
  @OptionalQuantity({ min: 0, max: 1000 }) energyPrice?: number
  @PricesByPart() partPrices!: Record<string, number>
}
