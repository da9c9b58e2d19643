import { execFileSync } from 'node:child_process'
import type { TDocumentDefinitions } from 'pdfmake/interfaces'
import { mkdirSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import sharp from 'sharp'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { UnitSystem } from '#core/quantity/measures'
import { US_READER } from '#core/quantity/sentence'
import { claimOf } from '#core/visit/claim'
import { jobOf } from '#core/visit/job'
import { claimLeaf, offerLeaf } from '#core/visit/leaves'
import { writeOffer } from '#core/visit/offer-sheet'
import { writeRecord } from '#core/visit/record'
import { playScript } from '#core/visit/script'
import { writeSheet } from '#core/visit/sheet'
import { wholeOf } from '#core/visit/whole-sheet'
import { UNNAMED_SHOP, type Shop } from '#core/visit/shop'
import { leafDocument } from '#core/papers/leaf-document'
import { recordDocument } from '#core/papers/record-document'
import { sheetDocument } from '#core/papers/sheet-document'
import { WHOLE_JOBS } from '../jobs/whole-jobs'
import { printPdf } from '../../server/services/print-pdf'
import { temporaryFolder } from './serve'

const LONG_SHOP = 'Lantern & Leat Pump Service and Wells of the Upper Valley'
const LONG_NAME = 'A household with a very long name at the far end of the upper valley road'
const LONG_MACHINE = 'the cleaner booster behind the wooden shed with the ivy on it and the long hose'
const HASH = 'abc'.repeat(22).slice(0, 64)
const shopIn = (units: UnitSystem): Shop => ({
  ...UNNAMED_SHOP,
  name: LONG_SHOP,
  units,
  rates: {
    ...UNNAMED_SHOP.rates,
    chargesJourney: true,
    taxes: [{ name: 'Value added tax', percent: 20, on: 'all' }],
    workWarrantyMonths: 12,
  },
})
const script = WHOLE_JOBS['10'] ?? Object.entries(WHOLE_JOBS).find(([name]) => name.startsWith('10'))?.[1]

const played = new Map<UnitSystem, ReturnType<typeof playScript>['state']>()
function playedIn(units: UnitSystem) {
  const { machine, call, do: deeds } = script as (typeof WHOLE_JOBS)[string]
  const known =
    played.get(units) ??
    playScript(
      {
        machine: { ...machine, name: LONG_MACHINE },
        place: LONG_NAME,
        call: { alreadyReplaced: [], wishes: [], ...call },
        do: deeds,
      } as never,
      shopIn(units),
    ).state
  played.set(units, known)
  return known
}

function visitWith(pictures: number, units: UnitSystem = 'us') {
  const shop = shopIn(units)
  const photos = Array.from({ length: pictures }, (_, index) => ({
    hash: 'a'.repeat(64),
    type: 'image/jpeg',
    bytes: 1,
    name: `p${index}.jpg`,
    caption: `picture ${index}: the shaft ring as it came out, with its groove`,
    entryId: `${index}`,
    at: '2026-06-02T08:00:00Z',
  }))
  const state = { ...playedIn(units), photos }
  const job = jobOf(state, shop)
  return { shop, state, job, sheet: writeSheet(state, shop, job) }
}

describe('papers as PDF', () => {
  const folder = temporaryFolder()
  let jpeg: string
  beforeAll(async () => {
    mkdirSync(folder.path, { recursive: true })
    const made = await sharp({ create: { width: 800, height: 600, channels: 3, background: '#88aaaa' } })
      .jpeg()
      .toBuffer()
    jpeg = `data:image/jpeg;base64,${made.toString('base64')}`
  })
  afterAll(() => folder.remove())

  /** A PDF as poppler reads it: its pages, their size, and its words in the order of the page. */
  async function read(definition: TDocumentDefinitions): Promise<{ pages: number; size: string; text: string }> {
    const file = join(folder.path, 'paper.pdf')
    writeFileSync(file, await printPdf(definition))
    const told = execFileSync('pdfinfo', [file], { encoding: 'utf8' })
    const field = (name: string) => new RegExp(`^${name}:\\s+(.*)$`, 'm').exec(told)?.[1] ?? ''
    const text = execFileSync('pdftotext', [file, '-'], { encoding: 'utf8' }).replace(/\s+/g, ' ')
    return { pages: Number(field('Pages')), size: field('Page size'), text }
  }

  it.each([
    ['us', 'letter'],
    ['metric', 'A4'],
  ] as const)(
    'the sheet on %s paper: long names whole, each line of it, on two pages at most',
    async (units, paper) => {
      const { sheet } = visitWith(0, units)
      const { pages, size, text } = await read(sheetDocument(wholeOf([sheet]), [], HASH))
      expect(size).toContain(paper)
      expect(pages).toBeLessThanOrEqual(2)
      const printed = new Set(text.split(' '))
      for (const words of [
        LONG_SHOP,
        LONG_NAME,
        sheet.headline,
        ...sheet.found.map((each) => each.text),
        ...sheet.done.map((each) => each.text),
        ...sheet.watch,
        ...sheet.left,
        ...sheet.proved.map(({ label }) => label),
      ])
        // Two columns are read across: a line is there when each of its words is.
        expect(words.split(/\s+/).filter((word) => !printed.has(word))).toEqual([])
      expect(text).toContain('abca bcab cabc')
    },
  )

  it('a sheet has four pictures at most; the record all forty, and says which cannot be shown', async () => {
    const { shop, state, job, sheet } = visitWith(40)
    expect(sheet.photos).toHaveLength(4)
    const sheetPages = await read(
      sheetDocument(
        wholeOf([sheet]),
        sheet.photos.map(() => jpeg),
        HASH,
      ),
    )
    expect(sheetPages.pages).toBeLessThanOrEqual(3)
    const record = writeRecord(state, shop, job)
    const images = record.photos.map((_, index) => (index === 3 ? undefined : jpeg))
    const { pages, text } = await read(recordDocument(record, sheet, images, HASH))
    expect(pages).toBeGreaterThanOrEqual(3)
    expect(pages).toBeLessThanOrEqual(6)
    for (let index = 0; index < 40; index++) expect(text).toContain(`picture ${index}:`)
    expect(text.match(/this picture cannot be shown/g)).toHaveLength(1)
  })

  it('the customer’s signature stands over the name', async () => {
    const { sheet } = visitWith(0)
    const signature = {
      by: 'N. Harrow',
      hash: HASH,
      at: '2026-06-02T08:00:00Z',
      width: 600,
      height: 160,
      strokes: [[10, 10, 200, 90]],
    }
    expect((await read(sheetDocument(wholeOf([{ ...sheet, signature }]), [], HASH))).text).toContain(
      'N. Harrow, Tuesday 2 June 2026',
    )
  })

  it('the offer stands on one page, its ways side by side', async () => {
    const { shop, state, job } = visitWith(0)
    const offer = writeOffer(state, shop, job)
    const { pages, text } = await read(leafDocument(offerLeaf(offer), shop.units))
    expect(pages).toBe(1)
    for (const { label } of offer.ways) expect(text).toContain(label.split(' ').slice(0, 2).join(' '))
    expect(text).toContain('An offer before the work')
  })

  it('the claim has its pictures behind it', async () => {
    const { shop, state, sheet } = visitWith(6)
    const claim = { part: 'motor' as const, complaint: 'grinds', opened: false, at: '2026-06-02T08:00:00Z', moves: [] }
    const told = claimOf({ ...state, claim }, shop.rates, US_READER)!
    const leaf = claimLeaf(told, { shop, date: sheet.date, name: LONG_MACHINE })
    const captions = told.photos.map(({ caption }) => caption)
    const { pages, text } = await read(leafDocument(leaf, shop.units, { captions, images: captions.map(() => jpeg) }))
    expect(pages).toBeLessThanOrEqual(3)
    for (const words of ['Motor back under warranty', 'No, as it was found', 'picture 5:'])
      expect(text).toContain(words)
  })
})
