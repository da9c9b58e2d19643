import type { UnitSystem } from '../../core/quantity/measures'
import { badField } from '../../core/validation/input-error'
import { claimOf } from '../../core/visit/claim'
import type { Entry, MailedPaper, PaperName } from '../../core/visit/entry'
import { journalToShow } from '../../core/visit/issue'
import { issuesTogether, sheetHash } from '../../core/visit/issue-together'
import type { Considered } from '../../core/visit/journey'
import type { Leaf } from '../../core/visit/leaf'
import { claimLeaf, offerLeaf, sheetLeaf } from '../../core/visit/leaves'
import { writeOffer } from '../../core/visit/offer-sheet'
import { writeRecord } from '../../core/visit/record'
import { paperReader, type Sheet } from '../../core/visit/sheet'
import { writeWholeSheet } from '../../core/visit/whole-sheet'
import { leafPdf } from './leaf-pdf'
import type { PictureBytes } from './photos/photo-store'
import { forPaper } from './pictures'
import { recordPdf } from './record-pdf'
import { sheetPdf } from './sheet-pdf'
import { consideredIn, type JourneyView, type VisitPart } from './visit-view'

/** Which paper of which visit. */
export interface PaperAsked {
  view: JourneyView
  pictures: PictureBytes
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
export function papersOf({ view, pictures, units = view.shop.units, issue }: PaperAsked): {
  date: string
  issue?: number
  leaf: (document: MailedPaper) => Leaf
  pdf: (document: PaperName) => Promise<Buffer>
} {
  const { shop } = view
  const parts = issue === undefined ? view.journey : partsAt(view.journey, issue)
  const all = consideredIn(parts, shop)
  // An older issue may have been written before this visit was of its journey: its own papers are those of the whole.
  const { state, job } = (all.find((each) => each.state.id === view.visitId) ?? all[0]) as Considered
  const entriesOf = new Map(parts.map(({ visitId, entries }) => [visitId, entries]))
  const hash = sheetHash(
    all.map(({ state: { id, isIssued } }) => ({ entries: entriesOf.get(id) as Entry[], isIssued })),
  )
  const whole = writeWholeSheet(all, shop, units, { hash, issue: issue ?? issuesTogether(entriesOf).length })
  const sheet = whole.sheets.find(({ visitId }) => visitId === state.id) as Sheet

  function leaf(document: MailedPaper): Leaf {
    if (document === 'sheet') return sheetLeaf(whole, hash)
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
    Promise.all(photos.map(({ hash: name }) => pictures[name] && forPaper(Buffer.from(pictures[name]))))

  async function pdf(document: PaperName): Promise<Buffer> {
    switch (document) {
      case 'sheet':
        return sheetPdf(whole, await images(whole.photos), hash)
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

  return { date: sheet.date, ...(whole.isIssued ? { issue: whole.issue } : {}), leaf, pdf }
}

/**
 * The visits of a journey as its sheet had them in one of its issues.
 *
 * @throws InputError where there is no such issue
 */
function partsAt(journey: readonly VisitPart[], issue: number): VisitPart[] {
  const issues = issuesTogether(new Map(journey.map(({ visitId, entries }) => [visitId, entries])))
  const asked = issues[issue - 1]
  const known = issues.length === 1 ? '1' : `1 to ${issues.length}`
  if (!asked)
    throw badField(
      'issue',
      issue,
      `an issue of this sheet: ${issues.length > 0 ? known : 'it was not handed over yet'}`,
    )
  return journey.flatMap((part) => {
    const entries = journalToShow(part.entries, asked.get(part.visitId) ?? 0)
    return entries ? [{ ...part, entries }] : []
  })
}
