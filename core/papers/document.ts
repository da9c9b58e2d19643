import type { Column, Content, CustomTableLayout, TDocumentDefinitions } from 'pdfmake/interfaces'
import type { Verdict } from '../judgement/judgement'

export const INK = '#14242B'
export const RULE = '#CFC7B2'
export const SLATE = '#5C6970'
export const VERDICT_COLOURS: Record<Verdict, string> = {
  sound: '#3F6B2C',
  tired: '#8A5A00',
  failed: '#A83A1E',
  unclear: SLATE,
}

/** A document in the shop's look: its faces, its margins. */
export function documentOf(definition: TDocumentDefinitions): TDocumentDefinitions {
  return {
    pageMargins: [48, 44, 48, 52],
    ...definition,
    defaultStyle: { font: 'Text', fontSize: 10, color: INK, lineHeight: 1.16, ...definition.defaultStyle },
  }
}

/** Text in runs, so that μ and Ω find a face that has them; arrows, which neither has, become words. */
export function text(value: string, style: object = {}): Content {
  const runs = value
    .replaceAll('→', ', then')
    .replaceAll(' , then', ', then')
    .split(/([\u0370-\u03ff]+)/u)
    .filter(Boolean)
    .map((run) => (/[\u0370-\u03ff]/u.test(run) ? { text: run, font: 'Greek' } : { text: run }))
  return { text: runs, ...style }
}

export function heading(title: string): Content {
  return { text: title, bold: true, fontSize: 11, margin: [0, 9, 0, 2] }
}

/** A heading with what belongs under it, or nothing; no heading is left alone at the foot of a page. */
export function section(title: string, [first, ...others]: readonly Content[]): Content[] {
  return first === undefined ? [] : [{ stack: [heading(title), first], unbreakable: true }, ...others]
}

/** A table whose rows are ruled, and nothing else. */
export const RULED: CustomTableLayout = {
  hLineWidth: () => 0.5,
  vLineWidth: () => 0,
  hLineColor: () => RULE,
  paddingTop: () => 2,
  paddingBottom: () => 2,
}

/** How wide a page is between its margins, points. */
export const PAGE_WIDTHS = { LETTER: 516, A4: 499 } as const

export function rule(width: number, colour = RULE, lineWidth = 0.7): Content {
  return { canvas: [{ type: 'line', x1: 0, y1: 0, x2: width, y2: 0, lineWidth, lineColor: colour }] }
}

/**
 * Pictures with their words, in rows; undefined for one that cannot be shown.
 *
 * @param perRow how many stand side by side: few that are looked at, or many that are kept
 */
export function pictures(
  captions: readonly string[],
  photos: readonly (string | undefined)[],
  perRow: 2 | 4 = 2,
): Content[] {
  const fit: [number, number] = perRow === 2 ? [236, 170] : [112, 84]
  const cells = captions.map((caption, index): Column => {
    const photo = photos[index]
    const words = text(photo ? caption : `${caption} (this picture cannot be shown)`, {
      fontSize: perRow === 2 ? 8.5 : 7.5,
    })
    const shown: Content[] = photo ? [{ image: photo, fit }, words] : [words]
    return { stack: shown, margin: [0, 4, 0, 4], width: `${100 / perRow}%` }
  })
  const rows = Array.from({ length: Math.ceil(cells.length / perRow) }, (_, row) =>
    cells.slice(row * perRow, (row + 1) * perRow),
  )
  return rows.map((row): Content => ({ columns: row, columnGap: 10, unbreakable: true }))
}
