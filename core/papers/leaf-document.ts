import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces'
import type { Leaf, LeafSection, LeafTable } from '../visit/leaf'
import type { UnitSystem } from '../quantity/measures'
import { INK, PAGE_WIDTHS, documentOf, pictures, RULED, rule, section, SLATE, text } from './document'

/**
 * A leaf as a document: the offer, or the claim.
 *
 * @param units the shop’s: they say its paper
 * @param photos with their words, as the address of its data, a JPEG; undefined for one that cannot be shown
 */
export function leafDocument(
  leaf: Leaf,
  units: UnitSystem,
  photos: { captions: readonly string[]; images: readonly (string | undefined)[] } = { captions: [], images: [] },
): TDocumentDefinitions {
  const pageSize = units === 'us' ? 'LETTER' : 'A4'
  const width = PAGE_WIDTHS[pageSize]
  return documentOf({
    pageSize,
    info: { title: leaf.title, author: leaf.shop.name },
    footer: (page, pages) => ({
      columns: [text(leaf.foot), { text: `${page} of ${pages}`, alignment: 'right', width: 60 }],
      margin: [48, 14, 48, 0],
      fontSize: 8,
      color: SLATE,
    }),
    content: [
      paperHead(leaf.shop, [leaf.to.name, leaf.to.place, leaf.date]),
      rule(width, INK, 1.2),
      text(leaf.title, { bold: true, fontSize: 17, margin: [0, 10, 0, 3], lineHeight: 1.05 }),
      ...leaf.under.map((line) => text(line, { color: SLATE })),
      ...leaf.sections.flatMap(sectionOf),
      ...section('Pictures', pictures(photos.captions, photos.images, photos.captions.length > 4 ? 4 : 2)),
    ],
  })
}

/** Who writes, and to whom. */
export function paperHead(shop: { name: string; place: string }, [name, ...under]: readonly string[]): Content {
  return {
    columns: [
      { stack: [text(shop.name, { bold: true, fontSize: 12.5 }), text(shop.place, { color: SLATE })] },
      {
        stack: [text(`For ${name}`, { bold: true }), ...under.map((line) => text(line, { color: SLATE }))],
        alignment: 'right',
      },
    ],
    margin: [0, 0, 0, 6],
  }
}

function sectionOf({ title, lines = [], table }: LeafSection): Content[] {
  return section(title, [...(table ? [tableOf(table)] : []), ...lines.map((line) => text(line))])
}

function tableOf({ columns, rows, sums }: LeafTable): Content {
  const body = [...(columns ? [columns] : []), ...rows]
  const count = Math.max(...body.map((row) => row.length))
  return {
    table: {
      widths: Array.from({ length: count }, (_, column) => (column === 0 ? (count === 3 ? 170 : 110) : '*')),
      headerRows: columns ? 1 : 0,
      dontBreakRows: true,
      body: body.map((row, index) =>
        row.map(
          (cell, column): TableCell =>
            text(cell, {
              ...(columns && index === 0 ? { color: SLATE, fontSize: 9 } : {}),
              ...(sums && index === body.length - 1 ? { bold: true } : {}),
              ...(sums && column === row.length - 1 ? { alignment: 'right' } : {}),
            }) as TableCell,
        ),
      ),
    },
    layout: RULED,
  }
}
