// Decorators of class-transformer read metadata as the classes are defined, so it must be there before them.
import 'reflect-metadata'
import { IsNumber, IsOptional, Max, Min, registerDecorator, type ValidationOptions } from 'class-validator'

/** A finite number within bounds. `above` is exclusive. */
export function Quantity(bounds: { above?: number; min?: number; max?: number } = {}): PropertyDecorator {
  return (target, property) => {
    IsNumber({ allowNaN: false, allowInfinity: false })(target, property as string)
    if (bounds.min !== undefined) Min(bounds.min)(target, property as string)
    if (bounds.max !== undefined) Max(bounds.max)(target, property as string)
    if (bounds.above !== undefined) {
      const limit = bounds.above
      rule('isAbove', (value) => typeof value === 'number' && value > limit, `must be above ${limit}`)(target, property)
    }
  }
}

/** The same, and the field may be absent (but not null). */
export function OptionalQuantity(bounds: { above?: number; min?: number; max?: number } = {}): PropertyDecorator {
  return (target, property) => {
    IsOptional()(target, property as string)
    Quantity(bounds)(target, property)
  }
}

/** One number above zero, or two with the lower first. */
export function QuantityOrRange(options?: ValidationOptions): PropertyDecorator {
  return rule('isQuantityOrRange', (value) => positive(value) || isRange(value), 'must be a number above 0, or a range [low, high] of two such numbers', options)
}

/** Two numbers above zero, the lower first. */
export function QuantityRange(options?: ValidationOptions): PropertyDecorator {
  return rule('isQuantityRange', isRange, 'must be a range [low, high] of two numbers above 0', options)
}

/** An id of a table of the vocabulary. */
export function IdOf(table: object, options?: ValidationOptions): PropertyDecorator {
  const ids = Object.keys(table)
  const listed = ids.length > 20 ? `${ids.slice(0, 12).join(', ')}, … (${ids.length} in all; see docs/formats)` : ids.join(', ')
  return rule('isIdOf', (value) => typeof value === 'string' && Object.hasOwn(table, value), `must be one of ${listed}`, options)
}

/** A rule of our own, in one place. */
export function rule(name: string, holds: (value: unknown) => boolean, expected: string, options?: ValidationOptions): PropertyDecorator {
  return (target, property) => {
    registerDecorator({ name, target: target.constructor, propertyName: property as string, options, validator: { validate: holds, defaultMessage: () => `${String(property)} ${options?.each ? 'must hold only values each of which ' : ''}${expected}` } })
  }
}

function positive(value: unknown): value is number {
  return typeof value === 'number' && Number.isFinite(value) && value > 0
}

function isRange(value: unknown): boolean {
  return Array.isArray(value) && value.length === 2 && value.every(positive) && (value[0] as number) <= (value[1] as number)
}
