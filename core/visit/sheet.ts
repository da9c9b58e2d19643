import { KINDS } from '../knowledge/vocabulary'
import { cautionsFor } from '../knowledge/repairs/owner-words'
import type { Verdict } from '../judgement/judgement'
import { complaintWords } from '../planning/day'
import { firstOf } from '../planning/stops'
import { formatNumber } from '../quantity/format'
import type { UnitSystem } from '../quantity/measures'
import { inNumberStyle } from '../quantity/number-style'
import { formatRange } from '../quantity/reading'
import type { Reader } from '../quantity/sentence'
import { valueText } from './describe'
import { after, duesIn } from './due'
import type { Due, EntryBodies } from './entry'
import type { JudgedFinding, VisitState } from './fold'
import type { Job } from './job'
import { capital, doneSentences, jobsOnSheet, renewedIn, repairsDone, jobWords, staysInPlace } from './owner-done'
import { accountNumber, settled } from './ledger'
import { foundTexts, type Found } from './owner-found'
import { keptAnswer } from './kept-working'
import { ownerLabel } from './owner-label'
import { headlineOf } from './owner-headline'
import { watchTexts } from './owner-watch'
import { pricedOf, type Priced } from './price-lines'
import { proofListOf, type ProofList } from './proving'
import type { Shop } from './shop'

/** One thing that was read after the work, against its limit. */
export interface Proved {
  label: string
  before?: string
  after: string
  verdict: Verdict
  limit: string
  /** Where the reading lies, and its limits, as shares of a line; nothing of what is only seen. */
  line?: LimitLine
}
export interface LimitLine {
  at: number
  low?: number
  high?: number
}

/** The paper that is left with the owner, as data: the page, the PDF and the mail show the same. */
export interface Sheet {
  shop: Shop
  visitId: string
  date: string
  /** Which issue of the sheet it is: each hand-over makes a new one. */
  issue: number
  /** It was handed over, and nothing was written since. */
  isIssued: boolean
  /** What was agreed is carried out: what stands under the line is what it costs. */
  isDone: boolean
  author: string
  customer: { name: string; place: string }
  machine: { name: string; description: string }
  complaint: string
  headline: string
  found: Found[]
  done: { job: string; text: string }[]
  proved: Proved[]
  /** Where limits come from that the plate does not give, in one line. */
  assumed?: string
  left: string[]
  /** Workings that were kept: the question and its answer. */
  workings: { title: string; answer: string; verdict: Verdict }[]
  watch: string[]
  nextDate?: string
  due: Due[]
  price?: Priced
  /** The number of its account. */
  account?: string
  /** What of it is paid, once it is handed over. */
  settled?: { paid: number; open: number; payments: readonly EntryBodies['paid'][] }
  /** What was agreed before the work, and why it is another price now. */
  agreed?: { by: string; price: number; at: string; why?: string }
  /** How long the shop stands for its work: ISO date. */
  warrantyUntil?: string
  cautions: string[]
  /** What the customer drew under this very issue. */
  signature?: EntryBodies['signed'] & { at: string }
  photos: { hash: string; caption: string; at: string }[]
}

/** Who reads the shop’s papers: its units, unless a person chose otherwise, its money and its way with numbers. */
export function paperReader({ units, rates, numbers }: Shop, system: UnitSystem = units): Reader {
  return { system, currency: rates.currency, ...(numbers ? { numbers } : {}) }
}

/** As many pictures as an owner looks at; the rest stand in the workshop’s record. */
const MOST_PHOTOS = 4

/**
 * Writes the sheet of a visit: what became of it, what was wrong, what was done, what it reads now, what was left, what
 * to watch, and what it costs.
 *
 * @param job what follows from the state: the sheet shows it and works nothing out anew
 * @param system in whose units it is read: the shop's, unless a person chose otherwise
 * @param hash the fingerprint of its journal: what was signed under another is not under this one
 */
export function writeSheet(
  state: VisitState,
  shop: Shop,
  job: Job,
  system: UnitSystem = shop.units,
  hash?: string,
): Sheet {
  const reader = paperReader(shop, system)
  const proofs = proofListOf(state, job)
  const date = (state.handedOver?.at ?? state.startedAt ?? state.scheduledAt).slice(0, 10)
  const jobs = jobsOnSheet(state, job)
  const repairs = repairsDone(jobs)
  const proved = provedOf(state, reader)
  // What a shop would charge that has not said so is nothing to print; what was agreed outright is.
  const price = inStyle(shop.unset ? outright(state) : pricedOf(state, job), reader)
  const assumed = assumedLine(state, proved)
  const signature = state.isIssued ? state.signatures.findLast((each) => each.hash === hash) : undefined
  return {
    shop,
    visitId: state.id,
    date,
    issue: Math.max(1, state.issues),
    isIssued: state.isIssued,
    isDone: jobs.length === 0 || jobs.every(({ progress }) => progress === 'done'),
    author: state.handedOver?.author ?? '',
    customer: { name: state.customer.name, place: state.customer.place },
    machine: { name: state.machine.name, description: describeMachine(state) },
    complaint: [complaintWords(state.call.complaints), state.call.callerSays].filter(Boolean).join(': '),
    headline: headlineOf(state, job, proofs),
    found: foundTexts(state, job, reader, {
      isRepaired: repairs.length > 0 && proofs.failed.length === 0,
      hasJobs: jobs.length > 0,
      isInPlace: staysInPlace(jobs),
      renewed: renewedIn(state, job),
    }),
    done: doneSentences(state, job),
    proved,
    ...(assumed ? { assumed } : {}),
    left: leftTexts(state, proofs),
    workings: state.kept.map((kept) => keptAnswer(kept, reader)),
    watch: watchTexts(state, job, proofs, reader),
    nextDate: state.handedOver?.nextDate,
    due: state.handedOver?.due ?? [],
    ...(price ? { price, account: accountNumber(firstOf(state), date) } : {}),
    ...((price || state.payments.length > 0) && state.handedOver
      ? { settled: { ...settled(price?.total ?? 0, state.payments), payments: state.payments } }
      : {}),
    ...(signature ? { signature } : {}),
    ...(state.priceAgreed ? { agreed: agreedOf(state.priceAgreed, price, state.handedOver?.priceWhy) } : {}),
    ...(repairs.length > 0 && shop.rates.workWarrantyMonths
      ? { warrantyUntil: after(date, { months: shop.rates.workWarrantyMonths }) }
      : {}),
    cautions: cautionsFor(state.machine.kind),
    photos: state.photos
      .filter(({ caption, of }) => caption !== undefined || of !== undefined)
      .slice(-MOST_PHOTOS)
      .map(({ hash, caption, name, at }) => ({ hash, at, caption: caption ?? name })),
  }
}

function outright({ handedOver }: VisitState): Priced | undefined {
  const amount = handedOver?.price
  return amount === undefined ? undefined : { lines: [{ label: 'As agreed', amount }], total: amount }
}

/** A tax names its base: a figure that the program put into words. */
function inStyle(price: Priced | undefined, { numbers }: Reader): Priced | undefined {
  return (
    price && {
      ...price,
      lines: price.lines.map((line) =>
        line.kind === 'tax' ? { ...line, label: inNumberStyle(line.label, numbers) } : line,
      ),
    }
  )
}

/** A price that is another than was agreed says why. */
function agreedOf(
  agreed: NonNullable<VisitState['priceAgreed']>,
  price: Priced | undefined,
  why: string | undefined,
): Sheet['agreed'] {
  return { ...agreed, ...(why && price?.total !== agreed.price ? { why } : {}) }
}

/** The readings that prove the work, the newest of each beside the one before. */
function provedOf({ findings }: VisitState, reader: Reader): Proved[] {
  const rows = new Map<string, { before?: JudgedFinding; after?: JudgedFinding }>()
  for (const judged of findings) {
    if (judged.finding.of === 'new') continue
    const key = ownerLabel(judged)
    rows.set(key, { ...rows.get(key), [judged.stage === 'prove' ? 'after' : 'before']: judged })
  }
  return [...rows].flatMap(([label, { before, after }]): Proved[] => {
    if (!after) return []
    const { judgement } = after
    const line = limitLine(judgement)
    return [
      {
        label,
        ...(before ? { before: valueText(before, reader) } : {}),
        after: valueText(after, reader),
        verdict: judgement.verdict,
        limit: limitText(judgement, reader),
        ...(line ? { line } : {}),
      },
    ]
  })
}

/** What cannot be told for certain is held against what is usual, and says so. */
export function limitText(judgement: JudgedFinding['judgement'], { system, numbers }: Reader): string {
  const range = inNumberStyle(formatRange(judgement, judgement.unit, system), numbers)
  return range && judgement.verdict === 'unclear' ? `usual ${range}` : range
}

/** How much of the line lies beyond the limits, on each side. */
const BEYOND = 0.25

/**
 * A reading and its limits on a line from 0 to 1. A reading far outside stands at its end.
 *
 * @returns nothing for what was only seen, is open, or has no limit
 */
export function limitLine({
  value,
  low,
  high,
}: Pick<JudgedFinding['judgement'], 'value' | 'low' | 'high'>): LimitLine | undefined {
  if (typeof value !== 'number' || (low === undefined && high === undefined)) return undefined
  const from = low ?? 0
  // With one limit only, the line reaches as far again beyond it, or to the reading.
  const to = high ?? Math.max(2 * from, value * (1 + BEYOND))
  const margin = (to - from) * BEYOND
  const [start, end] = [low === undefined ? 0 : from - margin, to + margin]
  const share = (each: number) => Math.min(1, Math.max(0, (each - start) / (end - start)))
  return {
    at: share(value),
    ...(low === undefined ? {} : { low: share(low) }),
    ...(high === undefined ? {} : { high: share(high) }),
  }
}

function assumedLine(
  { machine, plate, fitted }: Pick<VisitState, 'machine' | 'plate' | 'fitted'>,
  proved: readonly Proved[],
): string | undefined {
  if (!proved.some(({ limit }) => limit)) return undefined
  if (machine.plateUnreadable && !fitted.some(({ nameplate }) => nameplate))
    return (
      'The plate could not be read: limits are those usual for ' +
      `${formatNumber(plate.horsepower)} hp at ${plate.volts} V.`
    )
  return proved.some(({ verdict, limit }) => limit && verdict === 'unclear')
    ? 'Where it cannot be told, the plate does not give the limit: it is held against what is usual for its size.'
    : undefined
}

function leftTexts(state: Pick<VisitState, 'notes' | 'jobs' | 'machine'>, { left, failed }: ProofList): string[] {
  const byReason = new Map<string, string[]>()
  for (const { label, said } of [...left, ...failed])
    if (said?.why) byReason.set(said.why, [...(byReason.get(said.why) ?? []), label])
  return [
    ...state.notes.filter(({ seenAndLeft }) => seenAndLeft).map(({ text }) => capital(text)),
    ...state.jobs
      .filter((each) => each.state === 'left')
      .map(({ id, why }) => `Not done: ${jobWords(id, state)}${why ? `. ${capital(why)}` : ''}`),
    ...[...byReason].map(([why, labels]) => `Not proved: ${labels.join(', ')}. ${capital(why)}`),
  ]
}

export function describeMachine({ machine, plate, pump }: VisitState): string {
  const age =
    pump.ageYears === undefined
      ? undefined
      : pump.ageYears < 1
        ? 'under a year old'
        : `${Math.round(pump.ageYears)} years old`
  return [
    KINDS[machine.kind],
    `${formatNumber(plate.horsepower)} hp`,
    `${plate.volts} V ${plate.hertz} Hz`,
    age,
    pump.underWarranty ? 'under warranty' : 'out of warranty',
  ]
    .filter(Boolean)
    .join(' · ')
}

/** When somebody comes again, and for what: in the order of the days. */
export function comingAgain(sheet: Pick<Sheet, 'due' | 'nextDate'>): Due[] {
  return duesIn(sheet)
}
