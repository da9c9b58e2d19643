import { v7 as uuidv7 } from 'uuid'
import { foldVisit } from '../../../core/visit/fold'
import { nextLamport, type Entry, type Writer } from '../../../core/visit/entry'
import { writtenAfter } from '../../../core/visit/seen'
import { validEntry } from '../../../core/visit/entry-rules'
import { sheetHash } from '../../../core/visit/issue-together'
import { calendarOf } from '../calendar'
import { visitDues } from '../due-book'
import type { PictureBytes } from '../photos/photo-store'
import type { ShopApp } from '../shop-app'
import type { JourneyView } from '../../../core/visit/visit-view'
import type { Mail } from './mail-outlet'
import type { MailRequest } from './mail-request'

/** What the screen shows is not what the server has: lines are still on their way, or somebody else wrote some. */
export class SheetMoved extends Error {}
/** Nobody would know whom to answer. */
export class NoSender extends Error {}

/**
 * Sends a paper of a visit by mail and writes that it left. The same request twice sends once and writes once.
 *
 * @throws SheetMoved, NoSender, InputError where there is no such paper, MailTrouble where nobody takes it
 */
export async function sendPaper(
  app: Pick<ShopApp, 'work' | 'outlet' | 'journal' | 'repository'>,
  view: JourneyView,
  pictures: PictureBytes,
  { id, paper, to, note, hash }: Omit<MailRequest, 'author'>,
  { writer, now }: { writer: Writer; now: string },
): Promise<Entry> {
  const known = (await app.repository.entriesById([id])).get(id)
  if (known) return known
  const { shop, entries, visitId } = view
  if (shop.unset || !shop.mail) throw new NoSender('The shop has no mail address yet: it is entered under Settings.')
  const states = new Map(
    view.journey.flatMap(({ visitId: each, entries: journal }) => {
      const folded = foldVisit(journal)
      return folded ? [[each, { ...folded, entries: journal }] as const] : []
    }),
  )
  const state = states.get(visitId)
  // The sheet is of the whole journey; other papers are of this visit.
  const shown = paper === 'sheet' ? [...states.values()] : state ? [state] : []
  if (!state || sheetHash(shown) !== hash)
    throw new SheetMoved('What is shown has not all arrived, or somebody wrote on: look once more, then send it.')
  const written = await app.work.run('mail', { view, pictures, document: paper, ...(note ? { note } : {}) })
  const dues = paper === 'sheet' ? shown.flatMap(visitDues).filter(({ kind }) => kind !== 'claim') : []
  const mail: Mail = {
    id,
    at: now,
    from: { name: shop.name, address: shop.mail },
    to,
    subject: written.subject,
    html: written.html,
    text: written.text,
    attachments: [
      { filename: written.filename, content: Buffer.from(written.pdf), contentType: 'application/pdf' },
      ...(dues.length > 0
        ? [
            {
              filename: 'dates.ics',
              content: Buffer.from(calendarOf(dues, new Date(now))),
              contentType: 'text/calendar; charset=utf-8',
            },
          ]
        : []),
    ],
  }
  await app.outlet.send(mail)
  const entry = validEntry({
    id,
    visitId,
    kind: 'mailed',
    at: now,
    ...writer,
    ...writtenAfter(entries),
    body: {
      paper,
      to,
      mail: id,
      ...(paper === 'sheet' && written.issue !== undefined ? { issue: written.issue } : {}),
      by: app.outlet.kind,
    },
  })
  await app.journal.append([entry, ...(await addressEntry(app, state.customer.id, { paper, to, writer, now }))])
  return entry
}

/** The next visit knows where this customer’s papers go: said of the customer as the shop knows them now. */
async function addressEntry(
  { repository }: Pick<ShopApp, 'repository'>,
  customerId: string,
  { paper, to, writer, now }: Pick<MailRequest, 'paper' | 'to'> & { writer: Writer; now: string },
): Promise<Entry[]> {
  const customer = await repository.customer(customerId)
  if (paper === 'claim' || !customer || customer.mail === to) return []
  const shopEntries = (await repository.shopEntries()).map(({ entry }) => entry)
  return [
    validEntry({
      id: uuidv7(),
      visitId: null,
      kind: 'customer-set',
      at: now,
      ...writer,
      lamport: nextLamport(shopEntries),
      body: { customer: { ...customer, mail: to } },
    }),
  ]
}
