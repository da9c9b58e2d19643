import { getRouterParam, setResponseHeaders } from 'h3'
import { toUblOrder } from '../../../../../core/shelf/papers/ubl'
import { orderPaperOf } from '../../../../services/buying'
import { useShopApp } from '../../../../utils/app'
import { api } from '../../../../utils/problem'
import { pathId } from '../../../../utils/views'

/** An order as UBL 2.1. */
export default api('look', async (event) => {
  const paper = await orderPaperOf(await useShopApp(), pathId(getRouterParam(event, 'id'), 'order'))
  setResponseHeaders(event, {
    'content-type': 'application/xml; charset=utf-8',
    'content-disposition': 'attachment; filename="order.xml"',
    'cache-control': 'no-store',
  })
  return toUblOrder(paper)
})
