import { getQuery, getRouterParam, setResponseHeaders, type H3Event } from 'h3'
import { badField } from '../../core/validation/input-error'
import { useShopApp } from './app'
import { askedUnits } from './units'
import type { PaperName } from '../../core/visit/entry'
import { pathId, picturesIn, journeyView } from './views'

/** A paper of a visit as PDF, fonts embedded. */
export async function paperOf(event: H3Event, document: PaperName): Promise<Buffer> {
  const id = pathId(getRouterParam(event, 'id'), 'visit')
  const units = askedUnits(event)
  const issue = askedIssue(event)
  const app = await useShopApp()
  const view = await journeyView(app, id)
  const pictures = await picturesIn(app, view)
  const { pdf, date } = await app.work.run('paper', { view, pictures, document, units, issue })
  setResponseHeaders(event, {
    'content-type': 'application/pdf',
    'content-disposition': `inline; filename="${document}-${date}-${id.slice(0, 8)}.pdf"`,
    'cache-control': 'no-store',
  })
  return Buffer.from(pdf)
}

function askedIssue(event: H3Event): number | undefined {
  const { issue } = getQuery(event)
  if (issue === undefined) return undefined
  const number = Number(issue)
  if (!Number.isInteger(number) || number < 1) throw badField('issue', issue, 'the number of an issue, from 1')
  return number
}
