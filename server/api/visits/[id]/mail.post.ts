import { getRouterParam } from 'h3'
import { MailTrouble } from '../../../services/mail/mail-outlet'
import { mailRequest } from '../../../services/mail/mail-request'
import { NoSender, sendPaper, SheetMoved } from '../../../services/mail/send-paper'
import { serverNow, useShopApp } from '../../../utils/app'
import { readJson } from '../../../utils/body'
import { api, Problem } from '../../../utils/problem'
import { writerOf } from '../../../utils/signed-in'
import { pathId, picturesIn, journeyView } from '../../../utils/views'

/** Sends a paper of a visit by mail, and answers with the line that says so. */
export default api('send', async (event) => {
  const id = pathId(getRouterParam(event, 'id'), 'visit')
  const { author, ...request } = mailRequest(await readJson(event))
  const writer = await writerOf(event, author)
  const app = await useShopApp()
  const view = await journeyView(app, id)
  try {
    return { entry: await sendPaper(app, view, await picturesIn(app, view), request, { writer, now: serverNow() }) }
  } catch (error) {
    if (error instanceof SheetMoved || error instanceof NoSender) throw new Problem(409, error.message)
    if (error instanceof MailTrouble) throw new Problem(502, error.message)
    throw error
  }
})
