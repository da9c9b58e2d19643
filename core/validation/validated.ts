import 'reflect-metadata'
import { plainToInstance, type ClassConstructor } from 'class-transformer'
import { getMetadataStorage, validateSync, ValidationTypes, type ValidationError } from 'class-validator'
import { InputError, type FieldProblem } from './input-error'

/**
 * Validates plain data against a class of rules.
 *
 * @param shallow the class has no nested classes: what lies deeper is left as it is
 * @returns an instance without the optional fields that were absent
 * @throws InputError with one problem per field: path, value, what would be right
 */
export function validated<T extends object>(type: ClassConstructor<T>, plain: unknown, { shallow = false } = {}): T {
  if (plain === null || typeof plain !== 'object' || Array.isArray(plain))
    throw new InputError([{ field: '', value: plain, expected: 'a JSON object is needed' }])
  // A name that every object has would hide the class itself from the library.
  const hiding = Object.keys(plain).find((name) => name in Object.prototype)
  if (hiding !== undefined)
    throw new InputError([
      {
        field: hiding,
        value: (plain as Record<string, unknown>)[hiding],
        expected: 'no field of that name is known here',
      },
    ])
  const instance = instanceOf(type, plain, shallow)
  if (passes(type, instance)) return instance
  const errors = validateSync(instance, {
    whitelist: true,
    forbidNonWhitelisted: true,
    forbidUnknownValues: true,
    stopAtFirstError: true,
  })
  if (errors.length > 0) throw new InputError(errors.flatMap((error) => flatten(error)))
  return instance
}

/**
 * Nested classes need the library's transformation; flat data is dressed in its class by hand, which takes a tenth of
 * the time.
 */
function instanceOf<T extends object>(type: ClassConstructor<T>, plain: object, shallow: boolean): T {
  const fields = Object.entries(plain)
  const isFlat = shallow || fields.every(([, value]) => value === null || typeof value !== 'object')
  if (!isFlat) return plainToInstance(type, plain, { exposeUnsetFields: false, enableImplicitConversion: false })
  const instance = Object.create(type.prototype as object) as T
  for (const [field, value] of fields) if (value !== undefined) instance[field as keyof T] = value as T[keyof T]
  return instance
}

/**
 * The rules of a class as the library keeps them, field by field: looked up once, since they never change after the
 * class is defined.
 */
interface FieldRules {
  conditions: ((instance: object, value: unknown) => boolean)[]
  checks: { each: boolean; holds: (value: unknown, instance: object) => boolean }[]
  nested: boolean
}
const rulesOf = new Map<unknown, ReadonlyMap<string, FieldRules>>()

/**
 * Does an instance keep every rule of its class? The same rules that `validateSync` runs, without its bookkeeping, for
 * what is right nearly
 * always: whatever is not certainly right is left to the library, which says what is wrong. A journal of a million
 * lines is taken in with this.
 */
function passes(type: ClassConstructor<object>, instance: object): boolean {
  const rules = rulesOf.get(type) ?? fieldRules(type)
  if (!Object.keys(instance).every((field) => rules.has(field))) return false
  for (const [field, { conditions, checks, nested }] of rules) {
    const value = (instance as Record<string, unknown>)[field]
    if (!conditions.every((condition) => condition(instance, value))) continue
    if (
      !checks.every(({ each, holds }) =>
        each ? Array.isArray(value) && value.every((item) => holds(item, instance)) : holds(value, instance),
      )
    )
      return false
    if (nested && !(Array.isArray(value) ? value : [value]).every(passesNested)) return false
  }
  return true
}

/**
 * What the library's transformation made an instance of a class of rules; anything else is for the library to refuse.
 */
function passesNested(value: unknown): boolean {
  if (value === null || typeof value !== 'object' || Array.isArray(value)) return false
  // Not by `value.constructor`: data from outside may have a field of that name.
  const { constructor } = Object.getPrototypeOf(value) as { constructor: ClassConstructor<object> }
  return constructor !== (Object as unknown) && passes(constructor, value)
}

function fieldRules(type: ClassConstructor<object>): ReadonlyMap<string, FieldRules> {
  const storage = getMetadataStorage()
  const fields = new Map<string, FieldRules>()
  for (const rule of storage.getTargetValidationMetadatas(type, '', false, false)) {
    const field = fields.get(rule.propertyName) ?? { conditions: [], checks: [], nested: false }
    fields.set(rule.propertyName, field)
    if (rule.type === ValidationTypes.CONDITIONAL_VALIDATION)
      field.conditions.push(rule.constraints[0] as FieldRules['conditions'][number])
    else if (rule.type !== ValidationTypes.CUSTOM_VALIDATION) field.nested ||= rule.type !== ValidationTypes.WHITELIST
    else {
      for (const { instance: constraint } of storage.getTargetValidatorConstraints(rule.constraintCls)) {
        field.checks.push({
          each: rule.each,
          holds: (value, object) =>
            constraint.validate(value, {
              value,
              object,
              constraints: rule.constraints,
              property: rule.propertyName,
              targetName: type.name,
            }) === true,
        })
      }
    }
  }
  rulesOf.set(type, fields)
  return fields
}

function flatten(error: ValidationError, path = ''): FieldProblem[] {
  const field = path ? `${path}.${error.property}` : error.property
  const own = Object.entries(error.constraints ?? {}).map(([rule, message]) => ({
    field,
    value: error.value as unknown,
    expected: plainSentence(rule, message, error.property),
  }))
  return [...own, ...(error.children ?? []).flatMap((child) => flatten(child, field))]
}

/** The library's sentences name the property first; ours say what would be right. */
function plainSentence(rule: string, message: string, property: string): string {
  if (rule === 'whitelistValidation') return 'no field of that name is known here'
  if (rule === 'unknownValue') return 'an object is needed'
  return message.replace(new RegExp(`^(each value in )?${property} `), '$1').replace(/^must/, 'it must')
}
