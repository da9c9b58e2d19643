import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces'
import { VERDICT_WORDS, type Verdict } from '../judgement/judgement'
import { shortHash } from '../visit/issue'
import type { RecordReading, WorkshopRecord } from '../visit/record'
import type { Sheet } from '../visit/sheet'
import { heading, documentOf, pictures, RULE, section, SLATE, text, VERDICT_COLOURS } from './document'

const at = (instant: string) => instant.slice(11, 16)

/**
 * The workshop's record as a document: steps, counts, times, all readings and where each limit comes from. Times are
 * UTC, as the journal keeps them.
 *
 * @param photos by the order of the record's photos, as the address of its data, a JPEG; undefined for one that cannot
 *   be shown
 */
export function recordDocument(
  record: WorkshopRecord,
  { shop, date, customer, machine }: Sheet,
  photos: readonly (string | undefined)[],
  hash: string,
): TDocumentDefinitions {
  const lines = (words: readonly string[]) => words.map((each) => text(each))
  return documentOf({
    pageSize: shop.units === 'us' ? 'LETTER' : 'A4',
    defaultStyle: { fontSize: 9 },
    info: { title: `Record ${date}, ${machine.name}`, author: shop.name },
    footer: (page, pages) => ({
      columns: [
        text(`${shop.name} · the workshop’s record · times in UTC`),
        { text: `journal ${shortHash(hash)} · ${page} of ${pages}`, alignment: 'right' },
      ],
      margin: [48, 14, 48, 0],
      fontSize: 8,
      color: SLATE,
    }),
    content: [
      text('The workshop’s record', { bold: true, fontSize: 15 }),
      text(`${customer.name}, ${machine.name} · ${date}`, { color: SLATE }),
      text(machine.description, { color: SLATE }),
      ...(record.readings.length > 0 ? [heading('Readings'), readingsTable(record.readings)] : []),
      ...section('Proofs', [
        ...lines(record.proofs.map(({ label, stands, why }) => `${label}: ${stands}${why ? `, ${why}` : ''}`)),
        ...lines(
          record.comebacks.map((each) => `${at(each.at)} back to Test: ${each.failed.join(', ').replaceAll('-', ' ')}`),
        ),
      ]),
      ...section(
        'Worked out',
        lines(record.workings.map(({ title, answer, figures }) => `${title} ${answer} ${figures}`)),
      ),
      ...section(
        'Steps',
        record.steps.map(({ at: when, text: step, count, reason }) => ({
          columns: [
            { text: at(when), width: 34, color: SLATE },
            text(`${step}${count === undefined ? '' : ` (${count})`}${reason ? `: ${reason}` : ''}`),
          ],
          margin: [0, 0.5, 0, 0.5],
        })),
      ),
      ...(record.practices.length > 0
        ? [text(`How this shop does it. ${record.practices.join('. ')}.`, { margin: [0, 3, 0, 0] })]
        : []),
      ...section('Thought of, in order', lines(record.suspects)),
      ...section('Taken as usual, where the plate does not say', lines(record.assumed)),
      ...section('Notes', lines(record.notes.map(({ at: when, text: words }) => `${at(when)} ${words}`))),
      ...section(
        'Pictures',
        pictures(
          record.photos.map(({ caption }) => caption),
          photos,
          4,
        ),
      ),
    ],
  })
}

function readingsTable(readings: readonly RecordReading[]): Content {
  const marked = (value: string | undefined, verdict: Verdict | undefined): TableCell =>
    value === undefined
      ? { text: '' }
      : (text(verdict ? `${value}, ${VERDICT_WORDS[verdict]}` : value, {
          ...(verdict ? { color: VERDICT_COLOURS[verdict] } : {}),
        }) as TableCell)
  const head = ['reading', 'before', 'after', 'limits', 'where the limit comes from']
  return {
    table: {
      headerRows: 1,
      dontBreakRows: true,
      widths: [112, 72, 72, 78, '*'],
      body: [
        head.map((title): TableCell => ({ text: title, bold: true })),
        ...readings.map((reading): TableCell[] => [
          text(reading.subject) as TableCell,
          marked(reading.before, reading.beforeVerdict),
          marked(reading.after, reading.afterVerdict),
          text(reading.limits) as TableCell,
          text(reading.basis, { fontSize: 8 }) as TableCell,
        ]),
      ],
    },
    layout: { hLineWidth: () => 0.5, vLineWidth: () => 0, hLineColor: () => RULE },
  }
}
