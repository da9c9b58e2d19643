import type { Entry, Registered } from '../../core/visit/entry'
import type { FieldProblem } from '../../core/validation/input-error'
import type { Repository } from '../database/repository'

/** What a line of the register speaks of, and by which field it names it. */
interface Named {
  field: string
  id: string
  what: Registered
}

function namedIn(entry: Entry): Named[] {
  if (entry.visitId !== null) return []
  switch (entry.kind) {
    case 'machine-set':
      return [{ field: 'body.machine.customerId', id: entry.body.machine.customerId, what: 'customer' }]
    case 'site-set':
      return [{ field: 'body.site.customerId', id: entry.body.site.customerId, what: 'customer' }]
    case 'machine-retired':
      return [{ field: 'body.machineId', id: entry.body.machineId, what: 'machine' }]
    case 'merged': {
      const { what, gone, into } = entry.body
      return [
        { field: 'body.gone', id: gone, what },
        { field: 'body.into', id: into, what },
      ]
    }
    case 'kept-apart':
      return entry.body.these.map((id, index) => ({ field: `body.these.${index}`, id, what: entry.body.what }))
    default:
      return []
  }
}

/** What a batch makes known by itself. */
function madeKnown(entry: Entry): Named[] {
  if (entry.kind === 'customer-set') return [{ field: '', id: entry.body.customer.id, what: 'customer' }]
  if (entry.kind === 'machine-set' && entry.visitId === null)
    return [{ field: '', id: entry.body.machine.id, what: 'machine' }]
  if (entry.kind !== 'visit-opened') return []
  return [
    { field: '', id: entry.body.customer.id, what: 'customer' },
    { field: '', id: entry.body.machine.id, what: 'machine' },
  ]
}

const keyOf = ({ what, id }: Pick<Named, 'what' | 'id'>) => `${what} ${id}`

/** Customers and machines that these lines name and nobody has ever heard of. */
export async function unknownInRegister(
  repository: Pick<Repository, 'registeredAmong'>,
  accepted: readonly Entry[],
  all: readonly Entry[],
): Promise<ReadonlySet<string>> {
  const named = accepted.flatMap(namedIn)
  if (named.length === 0) return new Set()
  const known = await repository.registeredAmong([...new Set(named.map(({ id }) => id))])
  const made = new Set(all.flatMap(madeKnown).map(keyOf))
  return new Set(
    named
      .filter(
        (each) => !made.has(keyOf(each)) && !known[each.what === 'customer' ? 'customers' : 'machines'].has(each.id),
      )
      .map(keyOf),
  )
}

/** Why a line of the register cannot be kept: it speaks of what is not there. */
export function registerProblems(
  entry: Entry,
  unknown: ReadonlySet<string>,
  at: (field: string) => string,
): FieldProblem[] {
  return namedIn(entry)
    .filter((each) => unknown.has(keyOf(each)))
    .map(({ field, id, what }) => ({ field: at(field), value: id, expected: `the id of a ${what} that is known` }))
}
