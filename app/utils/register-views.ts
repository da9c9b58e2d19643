import type { MachineCard } from '#core/pumps/card'
import type { Verdict } from '#core/judgement/judgement'
import type { Customer, Machine, Site } from '#core/visit/entry'
import type { Shop } from '#core/visit/shop'
import type { ToldVisit } from '#core/visit/visit-row'
import type { Twins } from './pumps-found'

/** A machine as lists of the register have it. */
export interface MachineView {
  machine: Machine
  customerId: string
  verdict?: Verdict
  dueOn?: string
  retired?: { on: string; why: string }
  visits: number
  lastVisit?: string
}
export interface MergedView {
  id: string
  name: string
  entryId: string
  into: string
}
export interface CustomerView {
  customer: Customer
  sites: Site[]
  machines: MachineView[]
  twins: Twins[]
  merged: MergedView[]
  /** Ids of visits that are not handed over. */
  open: string[]
  /** Their data were removed. */
  isForgotten?: boolean
  /** The newest visits, newest first. */
  visits: ToldVisit[]
}
export interface CardView {
  card: MachineCard
  sites: Site[]
  merged: MergedView[]
  others: MachineView[]
  open: string[]
  shop: Shop
  now: string
}
