import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces'
import { VERDICT_WORDS } from '../judgement/judgement'
import { dayWords } from '../quantity/day'
import { shortHash } from '../visit/issue'
import { moneyLines, priceTitle, underOf } from '../visit/leaves'
import { comingAgain, type Proved, type Sheet } from '../visit/sheet'
import { moneyOf } from '../visit/shop'
import { signaturePath } from '../visit/signature'
import type { WholeSheet } from '../visit/whole-sheet'
import { paperHead } from './leaf-document'
import {
  heading,
  INK,
  PAGE_WIDTHS,
  documentOf,
  pictures,
  RULE,
  rule,
  section,
  SLATE,
  text,
  VERDICT_COLOURS,
  RULED,
} from './document'

const GAP = 22

/**
 * The owner's sheet as a document: of several machines each has its part, under its name.
 *
 * @param photos by the order of the sheet's photos, as the address of its data, a JPEG; undefined for one that cannot
 *   be shown
 * @param hash of the journal it was written from
 */
export function sheetDocument(
  whole: WholeSheet,
  photos: readonly (string | undefined)[],
  hash: string,
): TDocumentDefinitions {
  const state = whole.isIssued ? `Sheet, issue ${whole.issue}` : 'Not handed over yet'
  const pageSize = whole.shop.units === 'us' ? 'LETTER' : 'A4'
  const width = PAGE_WIDTHS[pageSize]
  const [first, ...others] = whole.sheets as [Sheet, ...Sheet[]]
  return documentOf({
    pageSize,
    info: { title: `Sheet ${whole.date}, ${whole.title}`, author: whole.shop.name },
    footer: (page, pages) => ({
      columns: [
        text(`${state}${whole.author ? `, written by ${whole.author}` : ''}`),
        { text: `journal ${shortHash(hash)} · ${page} of ${pages}`, alignment: 'right' },
      ],
      margin: [48, 14, 48, 0],
      fontSize: 8,
      color: SLATE,
    }),
    content: [
      paperHead(whole.shop, [whole.customer.name, whole.customer.place, dayWords(whole.date)]),
      rule(width, INK, 1.2),
      ...(others.length === 0
        ? bodyOf(first, width)
        : whole.sheets.flatMap((sheet) => [
            text(sheet.machine.name, { bold: true, fontSize: 11, margin: [0, 12, 0, 0] }),
            rule(width, RULE),
            ...bodyOf(sheet, width, true),
          ])),
      ...(others.length === 0
        ? []
        : [
            rule(width, INK),
            side(
              section(
                'To mind',
                whole.cautions.map((words) => text(words, { fontSize: 9 })),
              ),
              sumOf(whole, (width - GAP) / 2),
            ),
          ]),
      ...signatureOf(whole),
      ...section(
        'Pictures',
        pictures(
          whole.photos.map(({ caption }) => caption),
          photos,
        ),
      ),
    ],
  })
}

/** One machine's part of it; `isNamed` where its name stands over it. */
function bodyOf(sheet: Sheet, width: number, isNamed = false): Content[] {
  return [
    text(sheet.headline, { bold: true, fontSize: 17, margin: [0, 10, 0, 3], lineHeight: 1.05 }),
    ...underOf(sheet, isNamed).map((words) => text(words, { color: SLATE })),
    side(
      section(
        'What was wrong',
        sheet.found.map(({ text: words, verdict }) => text(words, { color: VERDICT_COLOURS[verdict] })),
      ),
      section(
        'What was done',
        sheet.done.map(({ text: words }) => text(words)),
      ),
    ),
    ...(sheet.proved.length > 0 ? [heading('What it reads now'), provedTable(sheet.proved)] : []),
    ...(sheet.assumed ? [text(sheet.assumed, { fontSize: 8.5, color: SLATE, margin: [0, 2, 0, 0] })] : []),
    ...section(
      'Worked out',
      sheet.workings.map(({ title, answer }) => text(`${title} ${answer}`)),
    ),
    side(
      [
        ...section(
          'Seen and left',
          sheet.left.map((words) => text(words)),
        ),
        ...section(
          'What to watch',
          sheet.watch.map((words) => text(words)),
        ),
        ...section(
          'When we come again',
          comingAgain(sheet).map(({ on, what }) => text(what ? `${dayWords(on)}: ${what}` : dayWords(on))),
        ),
        ...section(
          'To mind',
          sheet.cautions.map((words) => text(words, { fontSize: 9 })),
        ),
      ],
      priceOf(sheet, (width - GAP) / 2),
    ),
  ]
}

/** Two columns, each with what it has. */
function side(left: Content[], right: Content[]): Content {
  return {
    columns: [
      { stack: left, width: '*' },
      { stack: right, width: '*' },
    ],
    columnGap: GAP,
  }
}

function provedTable(rows: readonly Proved[]): Content {
  return {
    table: {
      widths: [150, 'auto', 130, '*'],
      dontBreakRows: true,
      body: rows.map((row): TableCell[] => [
        text(row.label) as TableCell,
        text(row.verdict === 'sound' ? row.after : `${row.after}, ${VERDICT_WORDS[row.verdict]}`, {
          bold: true,
          color: VERDICT_COLOURS[row.verdict],
        }) as TableCell,
        row.line ? { svg: lineSvg(row), width: 120 } : { text: '' },
        text(
          [row.limit, row.before && row.before !== row.after ? `was ${row.before}` : ''].filter(Boolean).join('; '),
          { color: SLATE, fontSize: 9 },
        ) as TableCell,
      ]),
    },
    layout: RULED,
  }
}

/** The reading as a dot on the line of what is allowed, as the page draws it. */
function lineSvg({ line, verdict }: Proved): string {
  if (!line) return ''
  const x = (share: number) => 4 + share * 192
  const [from, to] = [x(line.low ?? 0), x(line.high ?? 1)]
  const end = (at: number) => `<line x1="${at}" x2="${at}" y1="3" y2="13" stroke="${INK}" stroke-width="2"/>`
  return (
    '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 200 16">' +
    `<line x1="2" x2="198" y1="8" y2="8" stroke="${RULE}" stroke-width="2"/>` +
    `<line x1="${from}" x2="${to}" y1="8" y2="8" stroke="${INK}" stroke-width="2.5"/>` +
    `${line.low === undefined ? '' : end(from)}${line.high === undefined ? '' : end(to)}` +
    `<circle cx="${x(line.at)}" cy="8" r="5" fill="${VERDICT_COLOURS[verdict]}"/></svg>`
  )
}

function priceOf(sheet: Sheet, width: number): Content[] {
  const { price } = sheet
  return price ? amounts(priceTitle(sheet), price, { width, total: 'In all', sheet }) : []
}

/** What all machines come to together. */
function sumOf(whole: WholeSheet, width: number): Content[] {
  const { sum } = whole
  if (!sum) return []
  return amounts(
    `${priceTitle(whole)}, all together`,
    { lines: sum.rows, total: sum.total },
    { width, total: 'All together', sheet: whole },
  )
}

/** Amounts under each other, their sum, and what stands under that. */
function amounts(
  title: string,
  { lines, total }: { lines: readonly { label: string; amount: number }[]; total: number },
  of: { width: number; total: string; sheet: Parameters<typeof moneyLines>[0] },
): Content[] {
  const money = moneyOf(of.sheet.shop)
  const row = (label: string, amount: string, bold = false): Content => ({
    columns: [text(label, { bold }), { text: amount, alignment: 'right', width: 72, bold }],
    margin: [0, 1, 0, 1],
  })
  return section(title, [
    ...lines.map(({ label, amount }) => row(label, money(amount))),
    rule(of.width, INK),
    row(of.total, money(total), true),
    ...moneyLines(of.sheet).map((line) => text(line)),
  ])
}

/** The customer’s signature over their name. */
function signatureOf({ signature }: Pick<Sheet, 'signature'>): Content[] {
  if (!signature) return []
  const { width, height, by, at } = signature
  const drawing =
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}"><path d="${signaturePath(signature)}" ` +
    `fill="none" stroke="${INK}" stroke-width="3" stroke-linecap="round" stroke-linejoin="round"/></svg>`
  return [
    {
      stack: [
        { svg: drawing, fit: [200, 60] },
        rule(200),
        text(`${by}, ${dayWords(at.slice(0, 10))}`, { color: SLATE, fontSize: 9 }),
      ],
      margin: [0, 14, 0, 0],
      unbreakable: true,
    },
  ]
}
