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
  Min,
  validateSync,
  ValidateNested,
} from 'class-validator'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { holdable, jsonLevels, MOST_LEVELS } from './holdable'
import type { InputError } from './input-error'
import { isCalendarDay, isInstant, MayBeAbsent, OptionalQuantity, Quantity } from './rules'
import { validated } from './validated'

class Inner {
  @IsInt() count!: number
}
class Outer {
  @IsString() @Length(1, 5) name!: string
  @Quantity({ min: 0, max: 10 }) value!: number
  @MayBeAbsent() @IsBoolean() flag?: boolean
  @MayBeAbsent() @IsIn(['a', 'b']) choice?: string
  @OptionalQuantity({ above: 0 }) amount?: number
  @MayBeAbsent() @IsArray() @ArrayMaxSize(2) @IsString({ each: true }) words?: string[]
  @MayBeAbsent() @IsInt() @Min(1) @Max(3) place?: number
  @MayBeAbsent() @ValidateNested({ each: true }) @Type(() => Inner) inner?: Inner[]
}

const refused = (plain: unknown) => {
  try {
    validated(Outer, plain)
    return []
  } catch (error) {
    return (error as InputError).problems.map(({ field }) => field)
  }
}

describe('validating against a class', () => {
  it('says exactly what the library says, whichever way it is read', () => {
    const anything = fc.record(
      {
        name: fc.oneof(fc.string({ maxLength: 7 }), fc.constant(undefined), fc.constant(null), fc.integer()),
        value: fc.oneof(fc.double(), fc.integer({ min: -2, max: 12 }), fc.string()),
        flag: fc.oneof(fc.boolean(), fc.constant(null), fc.constant('true')),
        choice: fc.constantFrom('a', 'b', 'c', 7),
        amount: fc.oneof(fc.double({ min: -1, max: 1 }), fc.constant(null)),
        words: fc.oneof(fc.array(fc.oneof(fc.string(), fc.integer()), { maxLength: 3 }), fc.string(), fc.constant({})),
        place: fc.oneof(fc.integer({ min: 0, max: 4 }), fc.double()),
        inner: fc.oneof(
          fc.array(fc.record({ count: fc.oneof(fc.integer(), fc.string()) }), { maxLength: 2 }),
          fc.string(),
        ),
        stranger: fc.integer(),
      },
      { requiredKeys: [] },
    )
    fc.assert(
      fc.property(anything, (plain) => {
        const instance = Object.assign(
          Object.create(Outer.prototype) as Outer,
          JSON.parse(JSON.stringify(plain)) as object,
        )
        if (Array.isArray(instance.inner))
          instance.inner = instance.inner.map((each) => Object.assign(new Inner(), each))
        const library = validateSync(instance, {
          whitelist: true,
          forbidNonWhitelisted: true,
          forbidUnknownValues: true,
        }).map(({ property }) => property)
        expect(new Set(refused(JSON.parse(JSON.stringify(plain))).map((field) => field.split('.')[0]))).toEqual(
          new Set(library),
        )
      }),
      { numRuns: 3000 },
    )
  })
  it('takes what is right, and only that', () => {
    expect(validated(Outer, { name: 'abc', value: 3 })).toEqual({ name: 'abc', value: 3 })
    for (const name of ['constructor', '__proto__', 'toString', 'hasOwnProperty'])
      expect(refused(JSON.parse(`{"name":"abc","value":3,"${name}":{"flag":7}}`))).toEqual([name])
    for (const nothing of [null, undefined, 7, 'x', []]) expect(refused(nothing)).toEqual([''])
  })
})

describe('what a database can hold', () => {
  it('refuses null characters and halves of characters, in text and in names, each by its place', () => {
    const problems = (plain: unknown) => {
      try {
        holdable(plain)
        return []
      } catch (error) {
        return (error as InputError).problems.map(({ field }) => field)
      }
    }
    expect(problems({ a: ['fine', 'bad\0'], b: { c: '\ud83d', d: '\udca7x', e: '💧' } })).toEqual(['a.1', 'b.c', 'b.d'])
    expect(problems({ 'half \ud83d': 1 })).toEqual(['half \ufffd'])
    expect(problems('💧 whole')).toEqual([])
    expect(
      problems(JSON.parse('{"a":[{"constructor":{}}],"b":{"__proto__":1}}')),
      'names that every object has',
    ).toEqual(['a.0.constructor', 'b.__proto__'])
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), (text) => {
        expect(problems(text).length).toBe(text.includes('\0') ? 1 : 0)
      }),
    )
  })
  it('counts levels as they are, brackets in strings not, and stops counting a monster', () => {
    const nested = (levels: number) => '['.repeat(levels) + ']'.repeat(levels)
    expect(jsonLevels(nested(5))).toBe(5)
    expect(jsonLevels('{"a":"[[[[\\"[[{","b":[1]}')).toBe(2)
    expect(jsonLevels('"\\\\"')).toBe(0)
    expect(jsonLevels(nested(1_000_000))).toBe(MOST_LEVELS + 1)
    const depth = (value: unknown): number =>
      value !== null && typeof value === 'object' ? 1 + Math.max(0, ...Object.values(value).map(depth)) : 0
    fc.assert(
      fc.property(fc.jsonValue({ maxDepth: 8 }), (value) => {
        expect(jsonLevels(JSON.stringify(value))).toBe(depth(value))
      }),
    )
    expect(() => holdable(JSON.parse(nested(MOST_LEVELS + 1)))).toThrow(/levels/)
  })
})

describe('instants and days', () => {
  // PostgreSQL documentation, 8.5 Date/Time Types: no year 0, zones below sixteen hours, days of the calendar.
  it.each([
    '2026-05-12T10:20:00Z',
    '2026-05-12T10:20Z',
    '2024-02-29T23:59:59.999999+15:59',
    '0001-01-01T00:00:00Z',
    '9999-12-31T24:00:00Z',
    '1969-12-31T00:00:00-14:00',
  ])('%s exists', (text) => expect(isInstant(text)).toBe(true))
  it.each([
    '2026-02-30T10:00:00Z',
    '2026-02-29T10:00:00Z',
    '0000-01-01T00:00:00Z',
    '2026-05-12T10:00:00+23:59',
    '2026-05-12T10:00:00+16:00',
    '2026-05-12T25:00:00Z',
    '2026-05-12T24:00:01Z',
    '2026-05-12T10:60:00Z',
    '2026-13-01T00:00:00Z',
    '2026-05-12',
    '2026-05-12T10:00:00',
    '+012026-05-12T10:00:00Z',
    '2026-05-12T10:00:00.1234567Z',
    '',
  ])('%s does not', (text) => expect(isInstant(text)).toBe(false))
  it('knows the days of the months', () => {
    expect(['2026-02-28', '2024-02-29', '2000-02-29'].every(isCalendarDay)).toBe(true)
    expect(['2026-02-30', '1900-02-29', '2026-04-31', '2026-00-10', '26-01-01', 20260101].some(isCalendarDay)).toBe(
      false,
    )
  })
})
