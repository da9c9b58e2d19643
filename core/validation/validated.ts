import 'reflect-metadata'
import { plainToInstance, type ClassConstructor } from 'class-transformer'
import { validateSync, type ValidationError } from 'class-validator'
import { InputError, type FieldProblem } from './input-error'

/**
 * Validates plain data against a class of rules.
 *
 * @returns an instance without the optional fields that were absent
 * @throws InputError with one problem per field: path, value, what would be right
 */
export function validated<T extends object>(type: ClassConstructor<T>, plain: unknown): T {
  if (plain === null || typeof plain !== 'object' || Array.isArray(plain)) throw new InputError([{ field: '', value: plain, expected: 'a JSON object is needed' }])
  const instance = plainToInstance(type, plain, { exposeUnsetFields: false, enableImplicitConversion: false })
  const errors = validateSync(instance, { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true, stopAtFirstError: true })
  if (errors.length > 0) throw new InputError(errors.flatMap((error) => flatten(error)))
  return instance
}

function flatten(error: ValidationError, path = ''): FieldProblem[] {
  const field = path ? `${path}.${error.property}` : error.property
  const own = Object.entries(error.constraints ?? {}).map(([rule, message]) => ({ field, value: error.value as unknown, expected: plainSentence(rule, message, error.property) }))
  return [...own, ...(error.children ?? []).flatMap((child) => flatten(child, field))]
}

/** The library's sentences name the property first; ours say what would be right. */
function plainSentence(rule: string, message: string, property: string): string {
  if (rule === 'whitelistValidation') return 'no field of that name is known here'
  if (rule === 'unknownValue') return 'an object is needed'
  return message.replace(new RegExp(`^(each value in )?${property} `), '$1').replace(/^must/, 'it must')
}
