import { expect, it } from 'vitest'
import { play, type PlayedVisit } from './job'
import { WHOLE_JOBS } from './whole-jobs'

/** A sheet as a person reads it. */
function asText({ sheet, plan }: PlayedVisit): string {
  const money = (amount: number) => amount.toFixed(2).padStart(9)
  const block = (title: string, lines: readonly string[]) =>
    lines.length > 0 ? [title, ...lines.map((line) => `  ${line}`)] : []
  return [
    sheet.headline,
    ...block(
      'What was wrong',
      sheet.found.map(({ verdict, text }) => `${verdict}: ${text}`),
    ),
    ...block(
      'What was done',
      sheet.done.map(({ text }) => text),
    ),
    ...block('What it reads now', [
      ...sheet.proved.map(
        ({ label, before, after, verdict, limit }) =>
          `${label}: ${after}, ${verdict}${limit ? ` (${limit})` : ''}${before ? `, was ${before}` : ''}`,
      ),
      ...(sheet.assumed ? [sheet.assumed] : []),
    ]),
    ...block('Seen and left', sheet.left),
    ...block('What to watch', sheet.watch),
    ...block('When we come again', sheet.next ? [sheet.next] : []),
    ...block('What it costs', [
      ...sheet.price.lines.map(({ label, amount }) => `${money(amount)}  ${label}`),
      `${money(sheet.price.total)}  in all`,
    ]),
    ...block('To mind', sheet.cautions),
    ...block(
      'Proofs',
      plan.prove.map(({ id, stands }) => `${id}: ${stands}`),
    ),
  ].join('\n')
}

it('the sheets of the eighteen jobs read as they were read and found right', async () => {
  const text = Object.entries(WHOLE_JOBS)
    .map(([title, script]) => `# ${title}\n\n${asText(play(script))}\n`)
    .join('\n')
  await expect(text).toMatchFileSnapshot('sheets.golden.txt')
})
