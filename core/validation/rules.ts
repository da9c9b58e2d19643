// Decorators of class-transformer read metadata as the classes are defined, so it must be there before them.
import 'reflect-metadata'
import { isEmail, IsNumber, Max, Min, registerDecorator, ValidateIf, type ValidationOptions } from 'class-validator'

/**
 * Smaller than anything measured in any unit used here. Below it, quotients of two sound-looking numbers stop being
 * numbers.
 */
const LEAST_MAGNITUDE = 1e-9

/** A finite number within bounds, 0 or of a size that can be measured. `above` is exclusive. */
export function Quantity(bounds: { above?: number; min?: number; max?: number } = {}): PropertyDecorator {
  return (target, property) => {
    IsNumber({ allowNaN: false, allowInfinity: false })(target, property as string)
    rule(
      'isMeasurable',
      (value) => typeof value === 'number' && (value === 0 || Math.abs(value) >= LEAST_MAGNITUDE),
      `must be 0, or at least ${LEAST_MAGNITUDE} in size`,
    )(target, property)
    if (bounds.min !== undefined) Min(bounds.min)(target, property as string)
    if (bounds.max !== undefined) Max(bounds.max)(target, property as string)
    if (bounds.above !== undefined) {
      const limit = bounds.above
      rule('isAbove', (value) => typeof value === 'number' && value > limit, `must be above ${limit}`)(target, property)
    }
  }
}

/** The field may be absent, but not null: null is how an open reading is written, never "not given". */
export function MayBeAbsent(): PropertyDecorator {
  return ValidateIf((_, value) => value !== undefined)
}

/** The same as `Quantity`, and the field may be absent. */
export function OptionalQuantity(bounds: { above?: number; min?: number; max?: number } = {}): PropertyDecorator {
  return (target, property) => {
    MayBeAbsent()(target, property)
    Quantity(bounds)(target, property)
  }
}

/** One number above zero, or two with the lower first. */
export function QuantityOrRange(options?: ValidationOptions): PropertyDecorator {
  return rule(
    'isQuantityOrRange',
    (value) => positive(value) || isRange(value),
    'must be a number above 0, or a range [low, high] of two such numbers',
    options,
  )
}

/** Two numbers above zero, the lower first. */
export function QuantityRange(options?: ValidationOptions): PropertyDecorator {
  return rule('isQuantityRange', isRange, 'must be a range [low, high] of two numbers above 0', options)
}

/** An id of a table of the vocabulary. */
export function IdOf(table: object, options?: ValidationOptions): PropertyDecorator {
  const ids = Object.keys(table)
  const listed =
    ids.length > 20 ? `${ids.slice(0, 12).join(', ')}, … (${ids.length} in all; see docs/formats)` : ids.join(', ')
  return rule(
    'isIdOf',
    (value) => typeof value === 'string' && Object.hasOwn(table, value),
    `must be one of ${listed}`,
    options,
  )
}

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/
const INSTANT = /^(\d{4})-(\d{2})-(\d{2})T(\d{2}):(\d{2})(?::(\d{2})(?:\.\d{1,6})?)?(?:Z|[+-](\d{2}):(\d{2}))$/
const DAY = /^(\d{4})-(\d{2})-(\d{2})$/
/** PostgreSQL takes no zone of sixteen hours or more. */
const MOST_ZONE_HOURS = 15

/** A UUID as it is kept: in lower case, so that one thing has one id whoever compares it. */
export const isUuid = (value: unknown): value is string => typeof value === 'string' && UUID.test(value)

const UUID_V7 = /^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/
/** An id that was made where its thing was made: its first group is a clock. */
export const isUuidV7 = (value: unknown): value is string => typeof value === 'string' && UUID_V7.test(value)

/** A mail address that a mail program takes. */
export function MailAddress(): PropertyDecorator {
  return rule('isMailAddress', (value) => isEmail(value), 'must be a mail address, such as name@example.org')
}

/** A UUID in lower case. */
export function Uuid(): PropertyDecorator {
  return rule('isLowerUuid', isUuid, 'must be a UUID in lower case')
}

/**
 * An instant that the calendar has and PostgreSQL takes: ISO 8601 with its zone, a year of four digits, a day that
 * exists.
 *
 * @example isInstant('2026-02-30T10:00:00Z') // false: there is no such day
 */
export function isInstant(value: unknown): value is string {
  const [, year, month, day, hour, minute, second = '0', zoneHours = '0', zoneMinutes = '0'] =
    (typeof value === 'string' && INSTANT.exec(value)) || []
  // There is no year 0 in an instant.
  if (year === undefined || Number(year) === 0 || !isRealDay(Number(year), Number(month), Number(day))) return false
  const endOfDay = Number(hour) === 24 && Number(minute) === 0 && Number(second) === 0
  return (
    (Number(hour) < 24 || endOfDay) &&
    Number(minute) < 60 &&
    Number(second) < 60 &&
    Number(zoneHours) <= MOST_ZONE_HOURS &&
    Number(zoneMinutes) < 60
  )
}

/** A calendar day that exists, such as 2026-05-12. */
export function isCalendarDay(value: unknown): value is string {
  const [, year, month, day] = (typeof value === 'string' && DAY.exec(value)) || []
  return year !== undefined && isRealDay(Number(year), Number(month), Number(day))
}

export function Instant(): PropertyDecorator {
  return rule('isInstant', isInstant, 'must be an ISO instant that exists, with its zone, such as 2026-05-12T10:20:00Z')
}

export function CalendarDay(): PropertyDecorator {
  return rule('isCalendarDay', isCalendarDay, 'must be a day that exists, such as 2026-05-12')
}

const MONTH_DAYS = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31]

/** By the Gregorian rule, without a `Date`: a journal of a million lines asks a million times. */
function isRealDay(year: number, month: number, day: number): boolean {
  const leapDay = month === 2 && year % 4 === 0 && (year % 100 !== 0 || year % 400 === 0) ? 1 : 0
  return day >= 1 && day <= (MONTH_DAYS[month - 1] ?? 0) + leapDay
}

/** A rule of our own, in one place. */
export function rule(
  name: string,
  holds: (value: unknown) => boolean,
  expected: string,
  options?: ValidationOptions,
): PropertyDecorator {
  return (target, property) => {
    registerDecorator({
      name,
      target: target.constructor,
      propertyName: property as string,
      options,
      validator: {
        validate: holds,
        defaultMessage: () =>
          `${String(property)} ${options?.each ? 'must hold only values each of which ' : ''}${expected}`,
      },
    })
  }
}

function positive(value: unknown): value is number {
  return typeof value === 'number' && Number.isFinite(value) && value > 0
}

function isRange(value: unknown): boolean {
  return (
    Array.isArray(value) && value.length === 2 && value.every(positive) && (value[0] as number) <= (value[1] as number)
  )
}

/** An object with fields, and no list. */
export const isRecord = (value: unknown): value is Record<string, unknown> =>
  value !== null && typeof value === 'object' && !Array.isArray(value)
