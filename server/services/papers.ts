import { readFile } from 'node:fs/promises'
import type { UnitSystem } from '../../core/quantity/measures'
import { badField } from '../../core/validation/input-error'
import { claimOf } from '../../core/visit/claim'
import type { MailedPaper, PaperName } from '../../core/visit/entry'
import { issuesOf, journalHash, journalOfSheet, journalToShow } from '../../core/visit/issue'
import { jobOf } from '../../core/visit/job'
import type { Leaf } from '../../core/visit/leaf'
import { claimLeaf, offerLeaf, sheetLeaf } from '../../core/visit/leaves'
import { writeOffer } from '../../core/visit/offer-sheet'
import { writeRecord } from '../../core/visit/record'
import { paperReader, writeSheet } from '../../core/visit/sheet'
import { leafPdf } from './leaf-pdf'
import { forPaper } from './pictures'
import { recordPdf } from './record-pdf'
import { sheetPdf } from './sheet-pdf'
import { stateOf, type VisitView } from './visit-view'

/** Which paper of which visit. */
export interface PaperAsked {
  view: VisitView
  /** Where the pictures lie, by their hash. */
  paths: Record<string, string>
  units?: UnitSystem
  /** Of the sheet; as the visit stands now where nothing is said. */
  issue?: number
}
/** A paper as it leaves by mail. */
export interface PaperMail {
  subject: string
  html: string
  text: string
  pdf: Uint8Array
  filename: string
  issue?: number
}

/**
 * The papers of a visit, written from one state.
 *
 * @throws InputError where there is no such issue, no claim, or nothing to offer
 */
export function papersOf({ view: whole, paths, units = whole.shop.units, issue }: PaperAsked): {
  date: string
  issue?: number
  leaf: (document: MailedPaper) => Leaf
  pdf: (document: PaperName) => Promise<Buffer>
} {
  const entries = issue === undefined ? whole.entries : journalToShow(whole.entries, issue)
  if (!entries)
    throw badField('issue', issue, `an issue of this sheet: ${issuesOf(whole.entries) || 'it was not handed over yet'}`)
  const view = { ...whole, entries }
  const { shop } = view
  const state = stateOf(view)
  const job = jobOf(state, shop, view.pace, view.experience)
  const hash = journalHash(journalOfSheet(entries, state.isIssued))
  const sheet = writeSheet(state, shop, job, units, hash)

  function leaf(document: MailedPaper): Leaf {
    if (document === 'sheet') return sheetLeaf(sheet, hash)
    if (document === 'offer') {
      const offer = writeOffer(state, shop, job)
      if (offer.ways.length === 0 || shop.unset)
        throw badField(
          'paper',
          document,
          shop.unset ? 'a shop that has said what it charges' : 'a visit with a way to offer',
        )
      return offerLeaf(offer)
    }
    const claim = claimOf(state, shop.rates, paperReader(shop, units))
    if (!claim) throw badField('paper', document, 'a visit with a claim')
    return claimLeaf(claim, { shop, date: sheet.date, name: state.machine.name })
  }

  const images = (photos: readonly { hash: string }[]) =>
    Promise.all(photos.map(({ hash: name }) => readFile(paths[name] as string).then(forPaper, () => undefined)))

  async function pdf(document: PaperName): Promise<Buffer> {
    switch (document) {
      case 'sheet':
        return sheetPdf(sheet, await images(sheet.photos), hash)
      case 'record': {
        const record = writeRecord(state, shop, job, units)
        return recordPdf(record, sheet, await images(record.photos), hash)
      }
      case 'offer':
        return leafPdf(leaf('offer'), shop.units)
      case 'claim':
        return leafPdf(leaf('claim'), shop.units, {
          captions: state.photos.map(({ caption, name }) => caption ?? name),
          images: await images(state.photos),
        })
    }
  }

  return { date: sheet.date, ...(state.isIssued ? { issue: sheet.issue } : {}), leaf, pdf }
}
