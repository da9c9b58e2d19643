/** A table of a leaf: rows of words, the last column to the right where it holds amounts. */
export interface LeafTable {
  columns?: string[]
  rows: string[][]
  /** The last row is a sum. */
  sums?: true
}
export interface LeafSection {
  title: string
  lines?: readonly string[]
  table?: LeafTable
}

/** A paper as what stands on it, whatever it is shown with: mail in HTML and in plain text, a page, a PDF. */
export interface Leaf {
  shop: { name: string; place: string }
  to: { name: string; place: string }
  /** ISO date. */
  date: string
  title: string
  under: string[]
  sections: LeafSection[]
  foot: string
}

/** Sections that have something in them. */
export function filled(sections: readonly LeafSection[]): LeafSection[] {
  return sections.filter(({ lines = [], table }) => lines.length > 0 || (table?.rows.length ?? 0) > 0)
}

/** A leaf as plain text, for who reads mail without its looks. */
export function leafText({ shop, to, date, title, under, sections, foot }: Leaf): string {
  const head = [shop.name, shop.place, '', `For ${to.name}`, to.place, date, '', title, ...under]
  const body = sections.flatMap(({ title: name, lines = [], table }) => [
    '',
    name.toUpperCase(),
    ...(table ? tableText(table) : []),
    ...lines,
  ])
  return [...head, ...body, '', foot, ''].join('\n').replace(/\n{3,}/g, '\n\n')
}

function tableText({ columns, rows }: LeafTable): string[] {
  const all = columns ? [columns, ...rows] : rows
  const widths = (all[0] ?? []).map((_, column) => Math.max(...all.map((row) => (row[column] ?? '').length)))
  return all.map((row) =>
    row
      .map((cell, column) => (column === row.length - 1 ? cell : cell.padEnd(widths[column] as number)))
      .join('  ')
      .trimEnd(),
  )
}
