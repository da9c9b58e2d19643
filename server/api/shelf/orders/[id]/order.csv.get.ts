import { getRouterParam, setResponseHeaders } from 'h3'
import { toOrderCsv } from '../../../../../core/shelf/papers/csv'
import { orderPaperOf } from '../../../../services/buying'
import { useShopApp } from '../../../../utils/app'
import { api } from '../../../../utils/problem'
import { pathId } from '../../../../utils/views'

/** An order as a table. */
export default api('look', async (event) => {
  const paper = await orderPaperOf(await useShopApp(), pathId(getRouterParam(event, 'id'), 'order'))
  setResponseHeaders(event, {
    'content-type': 'text/csv; charset=utf-8',
    'content-disposition': 'attachment; filename="order.csv"',
    'cache-control': 'no-store',
  })
  return toOrderCsv(paper)
})
