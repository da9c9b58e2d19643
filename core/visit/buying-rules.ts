import { Type } from 'class-transformer'
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsEmail,
  IsInt,
  IsObject,
  IsString,
  Length,
  Max,
  Min,
  ValidateNested,
} from 'class-validator'
import type { FieldProblem } from '../validation/input-error'
import { CalendarDay, IdOf, isUuid, MayBeAbsent, Quantity, rule, Uuid } from '../validation/rules'
import { MOST_PIECES } from './shelf-rules'
import { ORDER_MOVES, type OrderMoved, type OrderPlaced, type Supplier, type SupplierOffer } from './buying'

const MOST_CENTS = 10_000_000_00
const MOST_LINES = 500

const THIS_MACHINE: ReadonlySet<string> = new Set(['127.0.0.1', 'localhost', '[::1]'])
/** Whoever answers there is asked by the server: over TLS, or on this very machine. */
function isService(value: unknown): boolean {
  if (typeof value !== 'string' || value.length > 200 || !URL.canParse(value)) return false
  const { protocol, hostname, username, password } = new URL(value)
  if (username || password) return false
  return protocol === 'https:' || (protocol === 'http:' && THIS_MACHINE.has(hostname))
}

class SupplierInput implements Supplier {
  @Uuid() id!: string
  @IsString() @Length(1, 120) name!: string
  @MayBeAbsent() @IsEmail() @Length(3, 200) mail?: string
  @MayBeAbsent()
  @rule('isService', isService, 'an address with https, or on this machine, such as http://127.0.0.1:4177')
  service?: string
  @MayBeAbsent() @IsInt() @Min(0) @Max(MOST_CENTS) freight?: number
  @MayBeAbsent() @IsInt() @Min(0) @Max(MOST_CENTS) freeFrom?: number
  @MayBeAbsent() @IsInt() @Min(0) @Max(MOST_CENTS) minimum?: number
  @MayBeAbsent() @Quantity({ min: 0, max: 365 }) leadDays?: number
  @MayBeAbsent() @IsBoolean() gone?: boolean
}
export class SupplierSetBody {
  @ValidateNested() @Type(() => SupplierInput) @IsObject() supplier!: SupplierInput
}
class PriceBreakInput {
  @Quantity({ above: 0, max: MOST_PIECES }) from!: number
  @IsInt() @Min(0) @Max(MOST_CENTS) price!: number
}
class OfferInput implements SupplierOffer {
  @Uuid() article!: string
  @Uuid() supplier!: string
  @IsString() @Length(1, 80) code!: string
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(20)
  @ValidateNested({ each: true })
  @Type(() => PriceBreakInput)
  prices!: PriceBreakInput[]
  @MayBeAbsent() @Quantity({ above: 0, max: MOST_PIECES }) pack?: number
  @CalendarDay() pricedOn!: string
  @MayBeAbsent() @IsBoolean() gone?: boolean
}
export class OfferSetBody {
  @ValidateNested() @Type(() => OfferInput) @IsObject() offer!: OfferInput
}
export class LevelSetBody {
  @Uuid() article!: string
  @MayBeAbsent() @Quantity({ min: 0, max: MOST_PIECES }) level?: number
}
export class KeepingSetBody {
  @MayBeAbsent() @IsInt() @Min(0) @Max(MOST_CENTS) most?: number
}
class OrderLineInput {
  @IsInt() @Min(1) @Max(MOST_LINES) line!: number
  @Uuid() article!: string
  @Quantity({ above: 0, max: MOST_PIECES }) count!: number
  @MayBeAbsent() @IsString() @Length(1, 80) code?: string
  @MayBeAbsent() @IsInt() @Min(0) @Max(MOST_CENTS) price?: number
  @MayBeAbsent()
  @IsArray()
  @ArrayMaxSize(50)
  @ArrayUnique()
  @rule('areVisits', (value) => Array.isArray(value) && value.every(isUuid), 'UUIDs of visits in lower case')
  visits?: string[]
}
export class OrderPlacedBody implements OrderPlaced {
  @Uuid() order!: string
  @Uuid() supplier!: string
  @IsString() @Length(1, 40) number!: string
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(MOST_LINES)
  @ValidateNested({ each: true })
  @Type(() => OrderLineInput)
  lines!: OrderLineInput[]
  @MayBeAbsent() @IsInt() @Min(0) @Max(MOST_CENTS) freight?: number
}
class OrderLineChange {
  @IsInt() @Min(1) @Max(MOST_LINES) line!: number
  @Quantity({ min: 0, max: MOST_PIECES }) count!: number
}
export class OrderMovedBody implements OrderMoved {
  @Uuid() order!: string
  @IdOf(ORDER_MOVES) to!: keyof typeof ORDER_MOVES
  @MayBeAbsent() @CalendarDay() expectedOn?: string
  @MayBeAbsent()
  @IsArray()
  @ArrayMaxSize(MOST_LINES)
  @ValidateNested({ each: true })
  @Type(() => OrderLineChange)
  lines?: OrderLineChange[]
  @MayBeAbsent() @IsString() @Length(1, 300) note?: string
}

/** What no single field can say of orders and offers. */
export function buyingProblem(kind: string, body: object): FieldProblem | undefined {
  if (kind === 'order-placed') {
    const { lines } = body as OrderPlaced
    const index = lines.findIndex(({ line }, at) => lines.findIndex((each) => each.line === line) !== at)
    return index < 0
      ? undefined
      : { field: `lines.${index}.line`, value: lines[index]?.line, expected: 'a number of its own in the order' }
  }
  if (kind === 'offer-set') {
    const { prices } = (body as { offer: SupplierOffer }).offer
    const index = prices.findIndex(({ from }, at) => at > 0 && from <= (prices[at - 1]?.from ?? 0))
    return index < 0
      ? undefined
      : { field: `offer.prices.${index}.from`, value: prices[index]?.from, expected: 'more than in the step before it' }
  }
  return undefined
}
