import type { TDocumentDefinitions } from 'pdfmake/interfaces'
import type { UnitSystem } from '../quantity/measures'
import { badField } from '../validation/input-error'
import { claimOf } from '../visit/claim'
import type { Entry, MailedPaper, PaperName } from '../visit/entry'
import { journalToShow } from '../visit/issue'
import { issuesTogether, sheetHash } from '../visit/issue-together'
import type { Considered } from '../visit/journey'
import type { Leaf } from '../visit/leaf'
import { claimLeaf, offerLeaf, sheetLeaf } from '../visit/leaves'
import { writeOffer } from '../visit/offer-sheet'
import { writeRecord } from '../visit/record'
import { paperReader, type Sheet } from '../visit/sheet'
import { writeWholeSheet } from '../visit/whole-sheet'
import { leafDocument } from './leaf-document'
import { recordDocument } from './record-document'
import { sheetDocument } from './sheet-document'
import { consideredIn, type JourneyView, type VisitPart } from '../visit/visit-view'

/** Which paper of which visit. */
export interface PaperAsked {
  view: JourneyView
  /** The addresses of their data, JPEGs as paper takes them, by their hash. */
  pictures: Readonly<Record<string, string>>
  units?: UnitSystem
  /** Of the sheet; as the visit stands now where nothing is said. */
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
  document: (name: PaperName) => TDocumentDefinitions
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

  const images = (photos: readonly { hash: string }[]) => photos.map((photo) => pictures[photo.hash])

  function document(name: PaperName): TDocumentDefinitions {
    switch (name) {
      case 'sheet':
        return sheetDocument(whole, images(whole.photos), hash)
      case 'record': {
        const record = writeRecord(state, shop, job, units)
        return recordDocument(record, sheet, images(record.photos), hash)
      }
      case 'offer':
        return leafDocument(leaf('offer'), shop.units)
      case 'claim':
        return leafDocument(leaf('claim'), shop.units, {
          captions: state.photos.map(({ caption, name: file }) => caption ?? file),
          images: images(state.photos),
        })
    }
  }

  return { date: sheet.date, ...(whole.isIssued ? { issue: whole.issue } : {}), leaf, document }
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
