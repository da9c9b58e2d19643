import { getRouterParam } from 'h3'
import { foldVisit, type VisitState } from '../../../../core/visit/fold'
import { useShopApp } from '../../../utils/app'
import { api } from '../../../utils/problem'
import { pathId, journeyView } from '../../../utils/views'

/**
 * A visit's journal, its machine's history, the other visits of its journey, the shop, and what is known of the way
 * in. The screen folds the journal itself.
 */
export default api('look', async (event) => {
  const app = await useShopApp()
  const view = await journeyView(app, pathId(getRouterParam(event, 'id'), 'visit'))
  const { machine } = foldVisit(view.entries) as VisitState
  const site = await app.register.siteOf(machine)
  const journey = view.journey.filter(({ visitId }) => visitId !== view.visitId)
  return { ...view, journey, ...(site ? { site } : {}) }
})
