import type { Account, AccountLine } from '../decision/account'
import type { LifeLeft } from '../decision/life'
import type { Way } from '../decision/offer'
import { DECIDING } from '../knowledge/faults/thresholds'
import { formatMinutes, formatPercent } from '../quantity/format'
import { formatAboutMoney } from '../quantity/number-style'
import type { VisitState } from './fold'
import { visitAccount, type Job } from './job'
import { capital } from './owner-done'
import { describeMachine } from './sheet'
import { moneyOf, type Shop } from './shop'

/** What an owner weighs, in the order in which it is read. */
export const OFFER_ROWS = [
  'chance',
  'cures',
  'leaves',
  'minutes',
  'warranty',
  'life',
  'per-year',
  'power',
  'all',
] as const
export interface OfferRow {
  id: (typeof OFFER_ROWS)[number]
  label: string
  value: string
}
/** One way as it is put before the owner. */
export interface OfferWay {
  id: string
  label: string
  from: Way['from']
  isChosen: boolean
  price: number
  /** With all else that is agreed, journey and taxes. */
  account: Account
  rows: OfferRow[]
  /** How long it serves and what that costs a year; nothing where no table tells. */
  block?: Block
}
/** A block whose width is years and whose height is money a year: its area is the price. */
export interface Block {
  years: number
  from: number
  to: number
  perYear: number
  /** So much of its width is under warranty, years. */
  warrantyYears: number
}

/** What is offered before the work, as data: the page, the PDF and the mail show the same. */
export interface OfferSheet {
  shop: Shop
  visitId: string
  date: string
  customer: { name: string; place: string }
  machine: { name: string; description: string }
  complaint: string
  ways: OfferWay[]
  /** What holds of all of them. */
  notes: string[]
  agreed?: { by: string; price: number; at: string }
}

const MONTHS_PER_YEAR = 12

/** The offer of a visit: up to three ways side by side, each with all else that is agreed. */
export function writeOffer(
  state: VisitState,
  shop: Shop,
  { ways, diagnosis }: Pick<Job, 'ways' | 'diagnosis'>,
): OfferSheet {
  const power = ways[0]?.powerPerYear
  const isSamePower = power !== undefined && ways.every(({ powerPerYear }) => powerPerYear === power)
  return {
    shop,
    visitId: state.id,
    date: (state.startedAt ?? state.scheduledAt).slice(0, 10),
    customer: { name: state.customer.name, place: state.customer.place },
    machine: { name: state.machine.name, description: describeMachine(state) },
    complaint: state.call.callerSays,
    ways: ways.map((way) => offerWay(way, { state, shop, isSamePower })),
    notes: [
      ...(diagnosis.next && (ways[0]?.chance ?? 1) < DECIDING.sure
        ? [`It is not certain yet what it is. We would first: ${diagnosis.next.title.toLowerCase()}.`]
        : []),
      ...(state.journey.rides ? ['The journey is charged once, with another machine of this visit.'] : []),
      ...(isSamePower ? [`Power costs about ${aboutMoney(shop)(power)} a year with each of them.`] : []),
      ...(shop.rates.workWarrantyMonths
        ? [`On our own work we stand for ${monthsText(shop.rates.workWarrantyMonths)}.`]
        : []),
      'How long it lasts is what is usual for its kind and age: half of them last longer, half less.',
    ],
    ...(state.priceAgreed ? { agreed: state.priceAgreed } : {}),
  }
}

const aboutMoney =
  ({ rates, numbers }: Shop) =>
  (amount: number) =>
    formatAboutMoney(amount, rates.currency, numbers)

function offerWay(
  way: Way,
  { state, shop, isSamePower }: { state: VisitState; shop: Shop; isSamePower: boolean },
): OfferWay {
  const { warranty, life, perYear, powerPerYear } = way
  const about = aboutMoney(shop)
  const account = visitAccount(state, way.bill, shop)
  const power = isSamePower ? undefined : powerPerYear
  return {
    id: way.id,
    label: way.label,
    from: way.from,
    isChosen: way.id === state.decision,
    price: way.price,
    account,
    rows: [
      { id: 'chance', label: 'mends it', value: formatPercent(way.chance) },
      ...(way.cures.length > 0 ? [{ id: 'cures' as const, label: 'cures', value: listed(way.cures) }] : []),
      ...(way.leaves.length > 0 ? [{ id: 'leaves' as const, label: 'leaves', value: listed(way.leaves) }] : []),
      {
        id: 'minutes',
        label: 'takes',
        value: `${formatMinutes(way.minutes.p50)} to ${formatMinutes(way.minutes.p90)}`,
      },
      ...(warranty && !(warranty.isUsual && shop.unset)
        ? [
            {
              id: 'warranty' as const,
              label: 'warranty',
              value: `${monthsText(warranty.months)}${warranty.isUsual ? ', as is usual' : ''}`,
            },
          ]
        : []),
      ...(life ? [{ id: 'life' as const, label: 'lasts about', value: lifeText(life) }] : []),
      ...(perYear === undefined ? [] : [{ id: 'per-year' as const, label: 'a year of it', value: about(perYear) }]),
      ...(power === undefined ? [] : [{ id: 'power' as const, label: 'power a year', value: about(power) }]),
      ...(way.bill ? [{ id: 'all' as const, label: allOf(account), value: moneyOf(shop)(account.total) }] : []),
    ],
    ...(life && perYear !== undefined
      ? { block: { ...life, perYear, warrantyYears: (warranty?.months ?? 0) / MONTHS_PER_YEAR } }
      : {}),
  }
}

/** What the whole sum holds besides the jobs. */
function allOf({ lines }: Account): string {
  const has = (kind: AccountLine['kind']) => lines.some((line) => line.kind === kind)
  const besides = [...(has('journey') ? ['journey'] : []), ...(has('tax') ? ['tax'] : [])]
  return besides.length > 0 ? `with ${besides.join(' and ')}` : 'in all'
}

const listed = (faults: readonly string[]) => capital(faults.map((fault) => fault.toLowerCase()).join(', or '))

/** “1 year”, “18 months”: whole years where they are whole. */
export function monthsText(months: number): string {
  const [count, unit] =
    months % MONTHS_PER_YEAR === 0 && months > 0 ? [months / MONTHS_PER_YEAR, 'year'] : [months, 'month']
  return `${count} ${unit}${count === 1 ? '' : 's'}`
}

/** “8 years, 6 to 11”; halves of a year where it is few of them: “1½ years, 1 to 2½”. */
export function lifeText({ years, from, to }: LifeLeft): string {
  const step = to < FEW_YEARS ? 0.5 : 1
  const [middle, low, high] = [years, from, to].map((value) => Math.max(step, Math.round(value / step) * step)) as [
    number,
    number,
    number,
  ]
  const words = (value: number) => (Number.isInteger(value) ? `${value}` : `${Math.floor(value) || ''}½`)
  return `${words(middle)} ${middle <= 1 ? 'year' : 'years'}${low === high ? '' : `, ${words(low)} to ${words(high)}`}`
}

/** Below it halves of a year matter. */
const FEW_YEARS = 5
