import { ArrayMaxSize, ArrayUnique, IsArray, IsBoolean, IsInt, IsString, Length, Max, Min } from 'class-validator'
import type { ShopVan } from '../knowledge/shop/van'
import type { SeasonDays } from '../knowledge/shop/seasons'
import type { FieldProblem } from '../validation/input-error'
import { CalendarDay, Instant, isCalendarDay, isUuid, MayBeAbsent, Quantity, rule } from '../validation/rules'
import type { EntryBodies, EntryKind, WorkingDay } from './entry'

const MOST_IN_A_VAN = 6
const MINUTES_OF_A_DAY = 1440
const MOST_LITRES = 20_000

export class PlannedBody {
  @MayBeAbsent() @Instant() at?: string
  @MayBeAbsent() @IsBoolean() goesOn?: boolean
  @MayBeAbsent() @IsString() @Length(1, 300) why?: string
}
export class ArrangedBody {
  @MayBeAbsent() @Instant() from?: string
  @MayBeAbsent() @Instant() until?: string
  @MayBeAbsent() @Instant() partsAt?: string
  @MayBeAbsent() @IsInt() @Min(1) @Max(MOST_IN_A_VAN) people?: number
  @MayBeAbsent() @IsInt() @Min(5) @Max(MINUTES_OF_A_DAY) minutes?: number
}
export class CancelledBody {
  @IsString() @Length(1, 300) why!: string
}
export class TogetherBody {
  @MayBeAbsent() @rule('isUuid', isUuid, 'is a UUID in lower case') with?: string
}

/** What names a van: it stays when the van is called otherwise. */
const VAN_ID = /^[a-z0-9][a-z0-9-]{0,39}$/
const isVanId = (value: unknown) => typeof value === 'string' && VAN_ID.test(value)
const VanId = () => rule('isVanId', isVanId, 'must be small letters, digits and hyphens, such as van-1')

export class VanInput implements ShopVan {
  @VanId() id!: string
  @IsString() @Length(1, 60) name!: string
  @IsInt() @Min(1) @Max(MOST_IN_A_VAN) people!: number
  @MayBeAbsent() @Quantity({ min: 1, max: MOST_LITRES }) litres?: number
}
export class WorkingDayInput implements WorkingDay {
  @IsInt() @Min(0) @Max(MINUTES_OF_A_DAY) start!: number
  @IsInt() @Min(0) @Max(MINUTES_OF_A_DAY) end!: number
  @IsInt() @Min(0) @Max(MINUTES_OF_A_DAY) breakFrom!: number
  @IsInt() @Min(0) @Max(240) breakMinutes!: number
}
/** Every day that each year has, so the 29th of February is none. */
const isDayOfYear = (value: unknown) =>
  typeof value === 'string' && /^\d\d-\d\d$/.test(value) && isCalendarDay(`2025-${value}`)
const DayOfYear = () => rule('isDayOfYear', isDayOfYear, 'must be a day that every year has, such as 04-15')

export class SeasonDaysInput implements SeasonDays {
  @DayOfYear() opening!: string
  @DayOfYear() closing!: string
  @DayOfYear() thaw!: string
}
export class DayOrderBody {
  @CalendarDay() on!: string
  @VanId() van!: string
  @IsArray()
  @ArrayMaxSize(200)
  @ArrayUnique()
  @rule('isUuid', isUuid, 'is a UUID in lower case', { each: true })
  visits!: string[]
}

/** What no single field can say of planning. */
export function planningProblem(kind: EntryKind, body: object): FieldProblem | undefined {
  if (kind === 'arranged') {
    const { from, until } = body as EntryBodies['arranged']
    return from !== undefined && until !== undefined && Date.parse(until) <= Date.parse(from)
      ? { field: 'until', value: until, expected: `after ${from}, when it begins` }
      : undefined
  }
  if (kind === 'planned') {
    const { at, goesOn } = body as EntryBodies['planned']
    return goesOn && at === undefined
      ? { field: 'at', value: at, expected: 'the day on which it goes on, as an instant' }
      : undefined
  }
  if (kind !== 'shop-set') return undefined
  const { day, vans = [] } = body as EntryBodies['shop-set']
  if (day && day.end <= day.start)
    return { field: 'day.end', value: day.end, expected: `after ${day.start}, when the day begins` }
  return new Set(vans.map(({ id }) => id)).size < vans.length
    ? { field: 'vans', value: vans.map(({ id }) => id).join(', '), expected: 'vans that each have an id of their own' }
    : undefined
}
