import { getRouterParam } from 'h3'
import { toldOf } from '../../../../core/planning/day'
import { useShopApp } from '../../../utils/app'
import { api, Problem } from '../../../utils/problem'
import { pathId } from '../../../utils/views'

const MOST_VISITS = 12

/** A customer with places and machines, who may be the same, what was merged, and what is still open. */
export default api(async (event) => {
  const asked = pathId(getRouterParam(event, 'id'), 'customer')
  const { repository, register, index } = await useShopApp()
  const customer = await register.customer(asked)
  if (!customer) throw new Problem(404, `There is no customer with the id ${asked}.`)
  await index.caughtUpSoon()
  const { id } = customer
  return {
    customer,
    sites: await register.sitesOf(id),
    machines: await register.machinesOf([id]),
    twins: await register.twinsOf([id]),
    merged: await register.mergedInto('customer', id),
    open: await register.openVisitsOf(id),
    visits: (await repository.visitsOfCustomer(id, MOST_VISITS)).map(
      ({ id: visitId, scheduledAt, machine, callerSays, complaints, handedOver, stage, cancelled }) => ({
        id: visitId,
        scheduledAt,
        machine: machine.name,
        words: toldOf({ complaints, callerSays }),
        handedOver,
        stage,
        ...(cancelled === undefined ? {} : { cancelled }),
      }),
    ),
  }
})
