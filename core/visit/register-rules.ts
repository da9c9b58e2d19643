import { Type } from 'class-transformer'
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsIn,
  IsObject,
  IsString,
  Length,
  MaxLength,
  ValidateNested,
} from 'class-validator'
import type { FieldProblem } from '../validation/input-error'
import { CalendarDay, isUuid, MailAddress, MayBeAbsent, rule, Uuid } from '../validation/rules'
import { REGISTERED, type Customer, type EntryBodies, type EntryKind, type Registered, type Site } from './entry'

export class CustomerInput implements Customer {
  @Uuid() id!: string
  @IsString() @Length(1, 120) name!: string
  @IsString() @MaxLength(200) place!: string
  @MayBeAbsent() @IsString() @MaxLength(40) phone?: string
  @MayBeAbsent() @MailAddress() mail?: string
}
export class CustomerSetBody {
  @ValidateNested() @Type(() => CustomerInput) @IsObject() customer!: CustomerInput
}

/** What is known of a place in one field: a sentence or two. */
function Known(): PropertyDecorator {
  return (target, property) => {
    MayBeAbsent()(target, property)
    IsString()(target, property as string)
    Length(1, 300)(target, property as string)
  }
}
class SiteInput implements Site {
  @Uuid() id!: string
  @Uuid() customerId!: string
  @MayBeAbsent() @IsString() @Length(1, 200) address?: string
  @Known() gate?: string
  @Known() key?: string
  @Known() dog?: string
  @Known() breaker?: string
  @Known() shutOff?: string
  @Known() pit?: string
  @MayBeAbsent() @IsString() @Length(1, 2000) wellLog?: string
  @MayBeAbsent() @IsString() @Length(1, 1000) note?: string
}
export class SiteSetBody {
  @ValidateNested() @Type(() => SiteInput) @IsObject() site!: SiteInput
}

export class MachineRetiredBody {
  @Uuid() machineId!: string
  @CalendarDay() on!: string
  @IsString() @MaxLength(500) why!: string
}
export class MergedBody {
  @IsIn(REGISTERED) what!: Registered
  @Uuid() gone!: string
  @Uuid() into!: string
}
export class KeptApartBody {
  @IsIn(REGISTERED) what!: Registered
  @IsArray()
  @ArrayMinSize(2)
  @ArrayMaxSize(2)
  @rule('isUuid', isUuid, 'is a UUID in lower case', { each: true })
  these!: string[]
}

/** Far more machines and visits than anybody has. */
const MOST_FORGOTTEN = 10_000
/** Ids of records whose person was removed. */
function Ids(fewest: number): PropertyDecorator {
  return (target, property) => {
    IsArray()(target, property as string)
    ArrayMinSize(fewest)(target, property as string)
    ArrayMaxSize(MOST_FORGOTTEN)(target, property as string)
    rule('isUuid', isUuid, 'is a UUID in lower case', { each: true })(target, property as string)
  }
}
export class CustomerForgottenBody {
  @Ids(1) customers!: string[]
  @Ids(0) machines!: string[]
  @Ids(0) visits!: string[]
}

/** What no single field can say of the register's lines. */
export function registerProblem(kind: EntryKind, body: object): FieldProblem | undefined {
  if (kind === 'merged') {
    const { gone, into } = body as EntryBodies['merged']
    return gone === into ? { field: 'into', value: into, expected: 'another one than the one that is gone' } : undefined
  }
  if (kind === 'kept-apart') {
    const { these } = body as EntryBodies['kept-apart']
    return these[0] === these[1] ? { field: 'these', value: these, expected: 'two different ones' } : undefined
  }
  if (kind !== 'site-set') return undefined
  const { id, customerId, address } = (body as EntryBodies['site-set']).site
  const isOwn = id === customerId
  if (isOwn && address !== undefined)
    return {
      field: 'site.address',
      value: address,
      expected: 'no address: the customer’s own place is the customer’s address',
    }
  return isOwn || address
    ? undefined
    : { field: 'site.address', value: address, expected: 'the address of a place that is not the customer’s own' }
}
