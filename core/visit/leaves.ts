import { VERDICT_WORDS } from '../judgement/judgement'
import { dayWords } from '../quantity/day'
import { CLAIM_MOVES } from '../knowledge/repairs/returns'
import type { Claim } from './claim'
import { shortHash } from './issue'
import { filled, type Leaf, type LeafSection, type LeafTable } from './leaf'
import { OFFER_ROWS, type OfferSheet } from './offer-sheet'
import { comingAgain, type Sheet } from './sheet'
import { moneyOf, type Shop } from './shop'
import type { WholeSheet } from './whole-sheet'

/**
 * The owner's sheet as a leaf: of several machines each has its own sections, under its name.
 */
export function sheetLeaf(whole: WholeSheet, hash: string): Leaf {
  const [first, ...others] = whole.sheets as [Sheet, ...Sheet[]]
  const isAlone = others.length === 0
  return {
    shop: whole.shop,
    to: whole.customer,
    date: dayWords(whole.date),
    title: isAlone ? first.headline : whole.title,
    under: isAlone ? underOf(first) : [],
    sections: filled([
      ...(isAlone
        ? sectionsOf(first)
        : whole.sheets.flatMap((sheet) => [
            { title: sheet.machine.name, lines: [sheet.headline, ...underOf(sheet, true)] },
            ...sectionsOf(sheet),
          ])),
      { title: 'To mind', lines: whole.cautions },
      sumSection(whole),
    ]),
    foot: footOf(whole, hash),
  }
}

/** What stands at the foot of a sheet: which issue, by whom, from which journal. */
function footOf({ isIssued, issue, author }: WholeSheet, hash: string): string {
  return [
    isIssued ? `Sheet, issue ${issue}` : 'Not handed over yet',
    ...(author ? [`written by ${author}`] : []),
    `journal ${shortHash(hash)}`,
  ].join(', ')
}

/** What stands under a headline: the machine, unless its name stands over it, and what the call was for. */
export const underOf = ({ machine, complaint }: Pick<Sheet, 'machine' | 'complaint'>, isNamed = false) => [
  isNamed ? machine.description : `${machine.name} · ${machine.description}`,
  ...(complaint ? [`Called for: ${complaint}`] : []),
]

function sectionsOf(sheet: Sheet): LeafSection[] {
  const money = moneyOf(sheet.shop)
  return [
    { title: 'What was wrong', lines: sheet.found.map(({ text }) => text) },
    { title: 'What was done', lines: sheet.done.map(({ text }) => text) },
    {
      title: 'What it reads now',
      table: {
        rows: sheet.proved.map(({ label, after, limit, verdict, before }) => [
          label,
          verdict === 'sound' ? after : `${after}, ${VERDICT_WORDS[verdict]}`,
          [limit, before && before !== after ? `was ${before}` : ''].filter(Boolean).join('; '),
        ]),
      },
      ...(sheet.assumed ? { lines: [sheet.assumed] } : {}),
    },
    { title: 'Worked out', lines: sheet.workings.map(({ title, answer }) => `${title} ${answer}`) },
    { title: 'Seen and left', lines: sheet.left },
    { title: 'What to watch', lines: sheet.watch },
    {
      title: 'When we come again',
      lines: comingAgain(sheet).map(({ on, what }) => (what ? `${dayWords(on)}: ${what}` : dayWords(on))),
    },
    { title: 'To mind', lines: sheet.cautions },
    {
      title: priceTitle(sheet),
      ...(sheet.price
        ? {
            table: {
              sums: true as const,
              rows: [
                ...sheet.price.lines.map(({ label, amount }) => [label, money(amount)]),
                ['In all', money(sheet.price.total)],
              ],
            },
            lines: moneyLines(sheet),
          }
        : {}),
    },
  ]
}

/** What all machines of a visit come to together. */
function sumSection(whole: WholeSheet): LeafSection {
  const money = moneyOf(whole.shop)
  const { sum } = whole
  return {
    title: `${priceTitle(whole)}, all together`,
    ...(sum
      ? {
          table: {
            sums: true as const,
            rows: [...sum.rows.map(({ label, amount }) => [label, money(amount)]), ['All together', money(sum.total)]],
          },
          lines: moneyLines(whole),
        }
      : {}),
  }
}

/** What stands over its lines: before the work they are what was agreed. */
export function priceTitle({ isDone }: Pick<Sheet, 'isDone'>): string {
  return isDone ? 'What it costs' : 'What was agreed'
}

/** What stands under the sum: who agreed, what is paid, what is still to pay, and how long the shop stands for it. */
export function moneyLines(sheet: Pick<Sheet, 'shop' | 'agreed' | 'settled' | 'account' | 'warrantyUntil'>): string[] {
  const money = moneyOf(sheet.shop)
  const { agreed, settled, account, warrantyUntil } = sheet
  return [
    ...(agreed
      ? [[`${agreed.by} agreed to ${money(agreed.price)} before the work.`, agreed.why].filter(Boolean).join(' ')]
      : []),
    ...(settled?.payments ?? []).map(
      ({ amount, on, how }) =>
        `${amount < 0 ? 'Paid back' : 'Paid'} ${money(Math.abs(amount))} on ${dayWords(on)}${how ? `, ${how}` : ''}.`,
    ),
    ...(settled && settled.payments.length > 0
      ? [settled.open > 0 ? `Still to pay: ${money(settled.open)}.` : 'Paid in full.']
      : []),
    ...(account ? [`Account ${account}.`] : []),
    ...(warrantyUntil ? [`Warranty on our work: to ${dayWords(warrantyUntil)}.`] : []),
  ]
}

/** The offer as a leaf: the ways side by side. */
export function offerLeaf(offer: OfferSheet): Leaf {
  const money = moneyOf(offer.shop)
  return {
    shop: offer.shop,
    to: offer.customer,
    date: dayWords(offer.date),
    title: offer.ways.length === 1 ? 'What we offer' : `${countWord(offer.ways.length)} ways to mend it`,
    under: [
      `${offer.machine.name} · ${offer.machine.description}`,
      ...(offer.complaint ? [`Called for: ${offer.complaint}`] : []),
    ],
    sections: filled([
      { title: 'Side by side', table: sideBySide(offer) },
      { title: 'For all of them', lines: offer.notes },
      { title: 'Agreed', lines: offer.agreed ? [`${offer.agreed.by} agreed to ${money(offer.agreed.price)}.`] : [] },
    ]),
    foot: 'An offer before the work. What shows when it is opened is said before it is done.',
  }
}

/** A column for each way, a line for each thing that an owner weighs. */
function sideBySide({ ways, shop }: OfferSheet): LeafTable {
  const money = moneyOf(shop)
  const labels = new Map(ways.flatMap(({ rows }) => rows.map(({ id, label }) => [id, label])))
  const ids = OFFER_ROWS.filter((id) => labels.has(id))
  return {
    columns: ['', ...ways.map(({ label, isChosen }) => `${label}${isChosen ? ' (chosen)' : ''}`)],
    rows: [
      ['costs', ...ways.map(({ price }) => money(price))],
      ...ids.map((id) => [
        labels.get(id) as string,
        ...ways.map(({ rows }) => rows.find((row) => row.id === id)?.value ?? ''),
      ]),
    ],
  }
}

const countWord = (count: number) => ['No', 'One', 'Two', 'Three'][count] ?? String(count)

/** The claim as a leaf: it lies in the parcel. */
export function claimLeaf(claim: Claim, { shop, date, name }: { shop: Shop; date: string; name: string }): Leaf {
  const dates = [
    ['Bought', claim.boughtOn],
    ['Fitted', claim.installedOn],
    ['Failed', date],
    ['Under warranty to', claim.warrantyUntil],
  ].flatMap(([label, on]) => (label && on ? [[label, dayWords(on)]] : []))
  return {
    shop,
    to: { name: claim.to ?? 'Whoever sold it', place: claim.reference ? `claim ${claim.reference}` : '' },
    date: dayWords(date),
    title: `${claim.label} back under warranty`,
    under: [[name, claim.kind, ...claim.plate].join(' · ')],
    sections: filled([
      {
        title: 'What it is',
        table: {
          rows: [
            ['Part', claim.label],
            ...(claim.identity ? [['Serial or number', claim.identity]] : []),
            ...(claim.plate.length > 0 ? [['Plate', claim.plate.join(', ')]] : []),
            ...dates,
            ['Opened', claim.opened ? `Yes${claim.openedWhy ? `: ${claim.openedWhy}` : ''}` : 'No, as it was found'],
          ],
        },
      },
      { title: 'What is wrong', lines: [claim.complaint] },
      {
        title: 'What it reads',
        table: {
          columns: ['', 'reads', 'limit'],
          rows: claim.readings.map(({ label, value, limit, verdict }) => [
            label,
            verdict === 'sound' ? value : `${value}, ${VERDICT_WORDS[verdict]}`,
            limit,
          ]),
        },
      },
      { title: 'In the parcel', lines: claim.send },
      { title: 'Stays here', lines: claim.keep },
      { title: 'Packed', lines: claim.packing },
      {
        title: 'Where it stands',
        lines: claim.moves.map(({ to, on, note }) => `${dayWords(on)}: ${CLAIM_MOVES[to]}${note ? `, ${note}` : ''}`),
      },
    ]),
    foot: shop.mail ? `Answers to ${shop.mail}` : 'Answers to the shop above',
  }
}
