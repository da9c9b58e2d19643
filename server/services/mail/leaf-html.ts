import type { Leaf, LeafSection, LeafTable } from '../../../core/visit/leaf'
import { INK, RULE, SLATE } from '../../../core/papers/document'

const ESCAPES: Readonly<Record<string, string>> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
  "'": '&#39;',
}
const safe = (words: string) => words.replace(/[&<>"']/g, (sign) => ESCAPES[sign] as string)

/** A leaf as a mail: one column that a narrow screen takes, styles in place, nothing loaded from anywhere. */
export function leafHtml({ shop, to, date, title, under, sections, foot }: Leaf, greeting?: string): string {
  const lines = (all: readonly string[]) =>
    all
      .filter(Boolean)
      .map((line) => `<p style="margin:0 0 4px">${safe(line)}</p>`)
      .join('')
  return [
    '<!doctype html><html lang="en"><head><meta charset="utf-8">',
    '<meta name="viewport" content="width=device-width, initial-scale=1">',
    `<title>${safe(title)}</title></head>`,
    `<body style="margin:0;background:#ffffff;color:${INK};font:16px/1.45 Arial,Helvetica,sans-serif">`,
    '<div style="max-width:640px;margin:0 auto;padding:20px">',
    greeting ? `<div style="margin-bottom:20px">${lines(greeting.split('\n'))}</div>` : '',
    `<div style="border-bottom:2px solid ${INK};padding-bottom:8px"><strong>${safe(shop.name)}</strong><br>`,
    `${safe(shop.place)}<br><br><strong>For ${safe(to.name)}</strong><br>${safe(to.place)}<br>${safe(date)}</div>`,
    `<h1 style="font-size:24px;line-height:1.2;margin:18px 0 6px">${safe(title)}</h1>`,
    `<div style="color:${SLATE}">${lines(under)}</div>`,
    sections.map(sectionHtml).join(''),
    `<p style="margin-top:24px;border-top:1px solid ${RULE};padding-top:8px;color:${SLATE};font-size:13px">`,
    `${safe(foot)}</p></div></body></html>`,
  ].join('')
}

function sectionHtml({ title, lines = [], table }: LeafSection): string {
  return [
    `<h2 style="font-size:17px;margin:20px 0 4px">${safe(title)}</h2>`,
    table ? tableHtml(table) : '',
    ...lines.map((line) => `<p style="margin:0 0 4px">${safe(line)}</p>`),
  ].join('')
}

function tableHtml({ columns, rows, sums }: LeafTable): string {
  const cell = (words: string, column: number, row: readonly string[], tag: 'td' | 'th', bold: boolean) =>
    `<${tag} style="text-align:${sums && column === row.length - 1 ? 'right' : 'left'};` +
    `padding:4px 10px 4px 0;border-top:1px solid ${RULE};vertical-align:top;` +
    `font-weight:${bold ? 'bold' : 'normal'}">${safe(words)}</${tag}>`
  return [
    '<table style="width:100%;border-collapse:collapse">',
    columns ? `<tr>${columns.map((words, at) => cell(words, at, columns, 'th', false)).join('')}</tr>` : '',
    ...rows.map((row, index) => {
      const isSum = sums === true && index === rows.length - 1
      return `<tr>${row.map((words, at) => cell(words, at, row, 'td', isSum)).join('')}</tr>`
    }),
    '</table>',
  ].join('')
}
