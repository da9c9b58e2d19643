import { cardOf } from '../../core/pumps/card'
import { machineStates } from '../../core/visit/machine-states'
import type { VisitState } from '../../core/visit/fold'
import { toldVisitOf, type VisitRow } from '../../core/visit/visit-row'
import { shopOf } from '../../core/visit/visit-view'
import type { ShopApp } from './shop-app'

const MOST_VISITS = 12

/** A machine's visits, oldest first, as they are read once for all that is said of it. */
export interface MachineVisits {
  visits: readonly VisitRow[]
  states: readonly VisitState[]
}

export async function machineVisits({ repository }: Pick<ShopApp, 'repository'>, id: string): Promise<MachineVisits> {
  const visits = await repository.visitsOfMachine(id)
  const journals = await repository.entriesOfVisits(visits.map((visit) => visit.id))
  return { visits, states: machineStates(visits.map((visit) => journals.get(visit.id) ?? [])) }
}

/** Everything the shop remembers of one machine; nothing where it knows of none. */
export async function cardView(
  { repository, register }: Pick<ShopApp, 'repository' | 'register'>,
  asked: string,
  now: string,
  read?: MachineVisits,
): Promise<object | undefined> {
  const row = await register.machine(asked)
  const customer = row && (await register.customer(row.customerId))
  if (!customer) return undefined
  const { machine, retired } = row
  const { visits, states } = read ?? (await machineVisits({ repository }, machine.id))
  const sites = await register.sitesOf(customer.id)
  const site = sites.find(({ id }) => id === (machine.siteId ?? customer.id))
  const of = { machine, customer, ...(site ? { site } : {}), ...(retired ? { retired } : {}) }
  return {
    card: cardOf({ ...of, states, now }),
    sites,
    merged: await register.mergedInto('machine', machine.id),
    others: (await register.machinesOf([customer.id])).filter((other) => other.machine.id !== machine.id),
    open: visits.filter(({ handedOver, cancelled }) => !handedOver && cancelled === undefined).map(({ id }) => id),
    shop: shopOf((await repository.shopEntries()).map(({ entry }) => entry)),
    now,
  }
}

/** A customer with places and machines, who may be the same, what was merged, and what is still open. */
export async function customerView(
  { repository, register }: Pick<ShopApp, 'repository' | 'register'>,
  asked: string,
): Promise<object | undefined> {
  const customer = await register.customer(asked)
  if (!customer) return undefined
  const { id } = customer
  return {
    customer,
    sites: await register.sitesOf(id),
    machines: await register.machinesOf([id]),
    twins: await register.twinsOf([id]),
    merged: await register.mergedInto('customer', id),
    open: await register.openVisitsOf(id),
    ...((await repository.forgotten()).forgotten.customers.has(id) ? { isForgotten: true } : {}),
    visits: (await repository.visitsOfCustomer(id, MOST_VISITS)).map(toldVisitOf),
  }
}
