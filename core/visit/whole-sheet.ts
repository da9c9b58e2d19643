import { sumOfCents } from '../quantity/money'
import type { UnitSystem } from '../quantity/measures'
import type { Considered } from './journey'
import { writeSheet, type Sheet } from './sheet'
import type { Shop } from './shop'

/** What is left with the owner: a section for each machine of the journey, one sum, one signature. */
export interface WholeSheet extends Pick<
  Sheet,
  'shop' | 'customer' | 'date' | 'issue' | 'isIssued' | 'isDone' | 'author' | 'account' | 'settled' | 'signature'
> {
  /** What the machines are called, one after the other. */
  title: string
  /** One for each machine. Of several, what holds of all of them stands in the whole and not in them. */
  sheets: Sheet[]
  /** What each machine of several comes to, and all of them. */
  sum?: { rows: { label: string; amount: number }[]; total: number }
  /** Of several: each is said once. */
  cautions: string[]
  photos: Sheet['photos']
}

/** The sheet of all visits of a journey, the one that bears the journey first. */
export function writeWholeSheet(
  visits: readonly Considered[],
  shop: Shop,
  system: UnitSystem = shop.units,
  { hash, issue }: { hash?: string; issue?: number } = {},
): WholeSheet {
  return wholeOf(
    visits.map(({ state, job }) => writeSheet(state, shop, job, system, hash)),
    issue,
  )
}

/**
 * Several sheets as one paper; a single one is itself.
 *
 * @param sheets at least one
 * @param issue which issue of the whole it is: that of the only sheet where there is one
 */
export function wholeOf(sheets: readonly Sheet[], issue?: number): WholeSheet {
  const first = sheets[0] as Sheet
  const { shop, customer, date } = first
  const priced = sheets.flatMap(({ machine, price }) => (price ? [{ label: machine.name, amount: price.total }] : []))
  const settled = settledOf(sheets)
  const signature = sheets.flatMap((sheet) => sheet.signature ?? [])[0]
  const account = sheets.find((sheet) => sheet.account)?.account
  const isAlone = sheets.length === 1
  const isIssued = sheets.every((sheet) => sheet.isIssued)
  return {
    shop,
    customer,
    date,
    title: listed(sheets.map(({ machine }) => machine.name)),
    issue: Math.max(1, issue ?? first.issue),
    isIssued,
    isDone: sheets.every(({ isDone }) => isDone),
    author: [...new Set(sheets.map(({ author }) => author).filter(Boolean))].join(', '),
    sheets: isAlone ? [...sheets] : sheets.map(asSection),
    ...(priced.length > 0 && !isAlone
      ? { sum: { rows: priced, total: sumOfCents(priced.map(({ amount }) => amount)) } }
      : {}),
    ...(account ? { account } : {}),
    ...(settled ? { settled } : {}),
    ...(signature ? { signature } : {}),
    cautions: isAlone ? [] : [...new Set(sheets.flatMap(({ cautions }) => cautions))],
    photos: sheets.flatMap(({ photos }) => photos),
  }
}

/** A machine's part of a sheet of several: what is said of all of them is not said of each. */
function asSection({ settled: _, account: __, signature: ___, ...sheet }: Sheet): Sheet {
  return { ...sheet, cautions: [] }
}

/** What is paid of all of them: one payment may be for several. */
function settledOf(sheets: readonly Sheet[]): Sheet['settled'] {
  const all = sheets.flatMap(({ settled }) => settled ?? [])
  if (all.length === 0) return undefined
  return {
    paid: sumOfCents(all.map(({ paid }) => paid)),
    open: sumOfCents(all.map(({ open }) => open)),
    payments: all.flatMap(({ payments }) => payments),
  }
}

const listed = (names: readonly string[]) =>
  names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`
