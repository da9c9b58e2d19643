import type { Machine, Site } from '../visit/entry'
import { KINDS, CONSTRUCTIONS } from '../knowledge/vocabulary'
import { REGISTER_FIELDS, REGISTER_FIELD_IDS, type RegisterFieldId } from './register-fields'
import type { KnownCustomer } from './register-import'

/** The heads of the register as a table. */
export const REGISTER_HEADS = REGISTER_FIELD_IDS.map((id) => REGISTER_FIELDS[id].label)

/**
 * The register as a table: a line for each machine, and one for each customer without any. What it says is read back by
 * its own heads.
 */
export function registerTable(customers: readonly KnownCustomer[]): Record<string, string>[] {
  return customers.flatMap((known) =>
    known.machines.length === 0 ? [rowOf(known)] : known.machines.map((machine) => rowOf(known, machine)),
  )
}

function rowOf({ customer, sites }: KnownCustomer, machine?: Machine): Record<string, string> {
  const own: Partial<Site> = sites.find(({ id }) => id === customer.id) ?? {}
  const stands = machine?.siteId && sites.find(({ id }) => id === machine.siteId)?.address
  const { nameplate } = machine ?? {}
  const fields: Partial<Record<RegisterFieldId, string | number | undefined>> = {
    ...own,
    customerId: customer.id,
    customer: customer.name,
    place: customer.place,
    phone: customer.phone,
    mail: customer.mail,
    machineId: machine?.id,
    machine: machine?.name,
    kind: machine && KINDS[machine.kind],
    construction: machine && CONSTRUCTIONS[machine.construction],
    stands: stands || undefined,
    installedOn: machine?.installedOn,
    warrantyUntil: machine?.warrantyUntil,
    volts: nameplate?.volts,
    horsepower: nameplate?.horsepower,
    fullLoadAmps: nameplate?.fullLoadAmps,
    runCapacitorMicrofarads: nameplate?.runCapacitorMicrofarads,
  }
  return Object.fromEntries(REGISTER_FIELD_IDS.map((id) => [REGISTER_FIELDS[id].label, String(fields[id] ?? '')]))
}
