import type { Customer } from './entry'

/** One thing that two records of a customer say differently; an empty text where one says nothing. */
export interface Difference {
  field: 'name' | 'place' | 'phone' | 'mail'
  here: string
  there: string
}

const FIELDS = ['name', 'place', 'phone', 'mail'] as const satisfies readonly (keyof Customer)[]

/** What a record from elsewhere says otherwise than the shop's own. */
export function differences(here: Customer, there: Customer): Difference[] {
  return FIELDS.flatMap((field): Difference[] => {
    const [ours, theirs] = [here[field] ?? '', there[field] ?? '']
    return ours === theirs ? [] : [{ field, here: ours, there: theirs }]
  })
}
