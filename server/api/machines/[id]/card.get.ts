import { getRouterParam } from 'h3'
import { cardOf } from '../../../../core/pumps/card'
import { machineStates } from '../../../../core/visit/machine-states'
import { shopOf } from '../../../services/visit-view'
import { serverNow, useShopApp } from '../../../utils/app'
import { api, Problem } from '../../../utils/problem'
import { pathId } from '../../../utils/views'

/** Everything the shop remembers of one machine. */
export default api(async (event) => {
  const asked = pathId(getRouterParam(event, 'id'), 'machine')
  const { repository, register } = await useShopApp()
  const row = await register.machine(asked)
  if (!row) throw new Problem(404, `There is no machine with the id ${asked}.`)
  const { machine, customerId, retired } = row
  const customer = await register.customer(customerId)
  if (!customer) throw new Problem(404, `There is no customer with the id ${customerId}.`)
  const sites = await register.sitesOf(customer.id)
  const site = sites.find(({ id }) => id === (machine.siteId ?? customer.id))
  const visits = await repository.visitsOfMachine(machine.id)
  const journals = await repository.entriesOfVisits(visits.map(({ id }) => id))
  const states = machineStates(visits.map(({ id }) => journals.get(id) ?? []))
  const card = cardOf({
    machine,
    customer,
    ...(site ? { site } : {}),
    ...(retired ? { retired } : {}),
    states,
    now: serverNow(),
  })
  return {
    card,
    sites,
    merged: await register.mergedInto('machine', machine.id),
    others: (await register.machinesOf([customer.id])).filter((other) => other.machine.id !== machine.id),
    open: visits.filter(({ handedOver, cancelled }) => !handedOver && cancelled === undefined).map(({ id }) => id),
    shop: shopOf((await repository.shopEntries()).map(({ entry }) => entry)),
    now: serverNow(),
  }
})
