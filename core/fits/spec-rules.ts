import type { Spec, SpecField } from '../knowledge/fits/family'
import { FAMILIES, type FamilyId } from '../knowledge/fits/families'
import type { FieldProblem } from '../validation/input-error'

/**
 * What is wrong with the measures of an article: each by its name, its value and what would be right. None where all
 * are measures of its family.
 */
export function specProblems(family: FamilyId | undefined, spec: unknown, path = 'spec'): FieldProblem[] {
  if (spec === null || typeof spec !== 'object' || Array.isArray(spec))
    return [{ field: path, value: spec, expected: 'its measures, by their names' }]
  const fields: Readonly<Record<string, SpecField>> = family ? FAMILIES[family].fields : {}
  return Object.entries(spec).flatMap(([name, value]): FieldProblem[] => {
    const expected = wrongIn(fields, name, value)
    return expected ? [{ field: `${path}.${name}`, value, expected }] : []
  })
}

/** Of the measures those that a part of the family can have. */
export function possible(family: FamilyId, spec: Spec): Spec {
  const { fields } = FAMILIES[family]
  return Object.fromEntries(Object.entries(spec).filter(([name, value]) => wrongIn(fields, name, value) === undefined))
}

function wrongIn(fields: Readonly<Record<string, SpecField>>, name: string, value: unknown): string | undefined {
  const field = Object.hasOwn(fields, name) ? fields[name] : undefined
  return field ? wrong(field, value) : `one of ${Object.keys(fields).join(', ') || 'no measures: it has no family'}`
}

function wrong(field: SpecField, value: unknown): string | undefined {
  if (field.as === 'number') {
    const { above = -Infinity, max } = field
    return typeof value === 'number' && Number.isFinite(value) && value > above && value <= max
      ? undefined
      : `a number above ${above}, at most ${max}`
  }
  if (field.as === 'choice')
    return field.choices.some(({ id }) => id === value)
      ? undefined
      : `one of ${field.choices.map(({ id }) => id).join(', ')}`
  return typeof value === 'string' && value.length > 0 && value.length <= field.most
    ? undefined
    : `a text of 1 to ${field.most} letters`
}
