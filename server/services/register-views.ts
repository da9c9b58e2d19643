import type { CardSources, MachineCard } from '../../core/pumps/card'
import type { Entry, Site } from '../../core/visit/entry'
import { toldVisitOf, type VisitRow } from '../../core/visit/visit-row'
import { shopOf } from '../../core/visit/visit-view'
import type { ShopApp } from './shop-app'

const MOST_VISITS = 12

/** A machine's visits, oldest first, with their journals. */
export interface MachineVisits {
  visits: readonly VisitRow[]
  journals: Entry[][]
}

export async function machineVisits({ repository }: Pick<ShopApp, 'repository'>, id: string): Promise<MachineVisits> {
  const visits = await repository.visitsOfMachine(id)
  const journals = await repository.entriesOfVisits(visits.map((visit) => visit.id))
  return { visits, journals: visits.map((visit) => journals.get(visit.id) ?? []) }
}

/** What a machine's card says besides what follows from its visits. */
export interface CardFrame {
  of: Pick<CardSources, 'machine' | 'customer' | 'site' | 'retired'>
  sites: Site[]
}

/** Nothing where the shop knows of no such machine. */
export async function cardFrame(
  { register }: Pick<ShopApp, 'register'>,
  asked: string,
): Promise<CardFrame | undefined> {
  const row = await register.machine(asked)
  const customer = row && (await register.customer(row.customerId))
  if (!customer) return undefined
  const { machine, retired } = row
  const sites = await register.sitesOf(customer.id)
  const site = sites.find(({ id }) => id === (machine.siteId ?? customer.id))
  return { of: { machine, customer, ...(site ? { site } : {}), ...(retired ? { retired } : {}) }, sites }
}

/** Everything the shop remembers of one machine; nothing where it knows of none. */
export async function cardView(app: ShopApp, asked: string, now: string): Promise<object | undefined> {
  const frame = await cardFrame(app, asked)
  if (!frame) return undefined
  const read = await machineVisits(app, frame.of.machine.id)
  const { card } = await app.work.run('machine', { of: frame.of, journals: read.journals, visits: [], now })
  return framedCard(app, frame, { ...read, card, now })
}

/** A card with what is asked on its page. */
export async function framedCard(
  { repository, register }: Pick<ShopApp, 'repository' | 'register'>,
  { of: { machine, customer }, sites }: CardFrame,
  { card, visits, now }: Pick<MachineVisits, 'visits'> & { card: MachineCard | undefined; now: string },
): Promise<object> {
  return {
    card,
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
