import { existsSync, readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import PdfPrinter from 'pdfmake'
import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces'
import { VERDICT_WORDS, type Verdict } from '../../core/judgement/judgement'
import type { Sheet, SheetReading } from '../../core/visit/sheet'

const INK = '#14242B'
const RULE = '#CFC7B2'
const COLOURS: Record<Verdict, string> = { sound: '#3F6B2C', tired: '#8A5A00', failed: '#A83A1E', unclear: '#5C6970' }

/**
 * The sheet as PDF.
 *
 * @param photos by the order of the sheet's photos, as JPEG; undefined for one that cannot be shown
 */
export function sheetPdf(sheet: Sheet, photos: readonly (Buffer | undefined)[]): Promise<Buffer> {
  const printer = new PdfPrinter(fonts())
  const document = printer.createPdfKitDocument(definition(sheet, photos))
  return new Promise((resolve, reject) => {
    const chunks: Buffer[] = []
    document.on('data', (chunk: Buffer) => chunks.push(chunk))
    document.on('end', () => resolve(Buffer.concat(chunks)))
    document.on('error', reject)
    document.end()
  })
}

let loaded: ConstructorParameters<typeof PdfPrinter>[0] | undefined

/** The shipped faces, embedded; Greek letters (μ, Ω) come from a companion that has them. */
function fonts(): ConstructorParameters<typeof PdfPrinter>[0] {
  const face = (file: string) => readFileSync(fontPath(file)) as unknown as string
  loaded ??= {
    Text: {
      normal: face('atkinson-hyperlegible-next-latin-400-normal.woff'),
      bold: face('atkinson-hyperlegible-next-latin-700-normal.woff'),
    },
    Greek: { normal: face('noto-sans-greek-400-normal.woff'), bold: face('noto-sans-greek-400-normal.woff') },
  }
  return loaded
}

function fontPath(file: string): string {
  const here = dirname(fileURLToPath(import.meta.url))
  const [, family] = /^(.*?)-(?:latin|greek)-/.exec(file) ?? []
  const candidates = [
    join(process.cwd(), '.output/server/fonts', file),
    ...['fonts', '../fonts', '../../fonts', '../../../fonts'].map((up) => join(here, up, file)),
    join(process.cwd(), 'node_modules/@fontsource', family ?? '', 'files', file),
  ]
  const found = candidates.find((path) => existsSync(path))
  if (!found) throw new Error(`The sheet's font ${file} is missing from the build.`)
  return found
}

/** Text in runs, so that μ and Ω find a face that has them. */
function text(value: string, style: object = {}): Content {
  const runs = value
    .split(/([\u0370-\u03ff]+)/u)
    .filter(Boolean)
    .map((run) => (/[\u0370-\u03ff]/u.test(run) ? { text: run, font: 'Greek' } : { text: run }))
  return { text: runs, ...style }
}

function definition(sheet: Sheet, photos: readonly (Buffer | undefined)[]): TDocumentDefinitions {
  const money = (amount: number) =>
    new Intl.NumberFormat('en-US', { style: 'currency', currency: sheet.shop.rates.currency }).format(amount)
  return {
    pageSize: sheet.shop.units === 'us' ? 'LETTER' : 'A4',
    pageMargins: [48, 48, 48, 56],
    defaultStyle: { font: 'Text', fontSize: 10.5, color: INK, lineHeight: 1.2 },
    info: { title: `Sheet ${sheet.date}, ${sheet.machine.name}`, author: sheet.shop.name },
    footer: (page, pages) => ({
      columns: [
        text(`${sheet.shop.name} · visit ${sheet.visitId.slice(0, 8)}`),
        { text: `page ${page} of ${pages}`, alignment: 'right' },
      ],
      margin: [48, 16, 48, 0],
      fontSize: 8.5,
    }),
    content: [
      { columns: [text(sheet.shop.name, { bold: true, fontSize: 13 }), { text: sheet.date, alignment: 'right' }] },
      text(sheet.shop.place, { margin: [0, 0, 0, 8] }),
      line(),
      text(`${sheet.customer.name}: ${sheet.machine.name}`, { bold: true, fontSize: 16, margin: [0, 8, 0, 2] }),
      text(`${sheet.customer.place} · ${sheet.machine.description}`),
      ...(sheet.complaint ? [text(`Called for: ${sheet.complaint}`)] : []),
      text(sheet.summary, { bold: true, margin: [0, 8, 0, 4] }),
      ...section(
        'What was found',
        sheet.findings.map(({ text: sentence, verdict }) => ({
          columns: [text(VERDICT_WORDS[verdict], { color: COLOURS[verdict], bold: true, width: 68 }), text(sentence)],
          margin: [0, 1, 0, 1],
        })),
      ),
      ...(sheet.readings.length > 0 ? [heading('Readings, before and after'), readingsTable(sheet.readings)] : []),
      ...section(
        'Worked out',
        sheet.workings.map(({ title, answer, verdict, figures }) => ({
          columns: [
            text(VERDICT_WORDS[verdict], { color: COLOURS[verdict], bold: true, width: 68 }),
            text(`${title} ${answer} ${figures}`),
          ],
          margin: [0, 1, 0, 1],
        })),
      ),
      ...section(
        'Work done',
        sheet.work.map(({ text: step, count }) =>
          text(`${step}${count === undefined ? '' : ` (${count})`}`, { margin: [0, 1, 0, 1] }),
        ),
      ),
      ...(sheet.practices.length > 0
        ? [text(`How this shop does it. ${sheet.practices.join('. ')}.`, { fontSize: 9, margin: [0, 3, 0, 0] })]
        : []),
      ...section('Parts and price', priceLines(sheet, money)),
      ...section(
        'Seen and left alone',
        sheet.seenAndLeft.map((note) => text(note)),
      ),
      ...section(
        'What to watch',
        sheet.watch.map((note) => text(note)),
      ),
      ...(sheet.nextDate ? section('Next visit', [text(sheet.nextDate)]) : []),
      ...section(
        'Assumed, where the plate does not say',
        sheet.machine.assumed.map((note) => text(note, { fontSize: 9 })),
      ),
      ...section(
        'Cautions',
        sheet.cautions.map((note) => text(note)),
      ),
      ...photoContent(sheet, photos),
    ],
  }
}

function heading(title: string): Content {
  return { text: title, bold: true, fontSize: 12, margin: [0, 12, 0, 3] }
}

function section(title: string, content: Content[]): Content[] {
  return content.length > 0 ? [heading(title), ...content] : []
}

function line(): Content {
  return { canvas: [{ type: 'line', x1: 0, y1: 0, x2: 515, y2: 0, lineWidth: 0.7, lineColor: RULE }] }
}

function readingsTable(readings: readonly SheetReading[]): Content {
  const marked = (value: string | undefined, verdict: Verdict | undefined): TableCell =>
    value === undefined
      ? { text: '' }
      : (text(verdict ? `${value}, ${VERDICT_WORDS[verdict]}` : value, {
          noWrap: true,
          ...(verdict ? { color: COLOURS[verdict] } : {}),
        }) as TableCell)
  const head = ['reading', 'before', 'after', 'limits', 'where the limit comes from'].map((title): TableCell => ({
    text: title,
    bold: true,
  }))
  return {
    table: {
      headerRows: 1,
      widths: ['auto', 'auto', 'auto', 'auto', '*'],
      body: [
        head,
        ...readings.map((reading): TableCell[] => [
          text(reading.subject) as TableCell,
          marked(reading.before, reading.beforeVerdict),
          marked(reading.after, reading.afterVerdict),
          text(reading.limits, { noWrap: true }) as TableCell,
          text(reading.basis, { fontSize: 8.5 }) as TableCell,
        ]),
      ],
    },
    layout: { hLineWidth: () => 0.5, vLineWidth: () => 0, hLineColor: () => RULE },
  }
}

function priceLines(sheet: Sheet, money: (amount: number) => string): Content[] {
  const row = (label: string, amount: string, bold = false): Content => ({
    columns: [text(label, { bold }), { text: amount, alignment: 'right', width: 90, bold }],
  })
  const { bill, price } = sheet
  if (!bill) return price === undefined ? [] : [row('In all', money(price), true)]
  return [
    ...bill.parts.map(({ label, price: each }) => row(label, money(each))),
    row(`Labour, ${bill.minutes.p50} minutes`, money(bill.labourPrice)),
    row('In all', money(price ?? bill.price), true),
  ]
}

function photoContent(sheet: Sheet, photos: readonly (Buffer | undefined)[]): Content[] {
  const pictures = sheet.photos.flatMap(({ caption }, index): Content[] => {
    const photo = photos[index]
    const words = text(photo ? caption : `${caption} (this picture cannot be shown)`, { fontSize: 9 })
    return photo
      ? [{ image: `data:image/jpeg;base64,${photo.toString('base64')}`, fit: [240, 180], margin: [0, 4, 0, 2] }, words]
      : [words]
  })
  return section('Pictures', pictures)
}
