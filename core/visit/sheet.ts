import type { Bill } from '../decision/bill'
import { jobLabel } from '../language/other-words'
import { faultLabel } from '../diagnosis/words/fault-label'
import { VERDICT_WORDS, type Verdict } from '../judgement/judgement'
import { practiceLines } from '../knowledge/shop/practices'
import { KINDS, PARTS, isIdOf } from '../knowledge/vocabulary'
import { complaintWords } from '../planning/day'
import { formatNumber, formatPercent } from '../quantity/format'
import type { UnitSystem } from '../quantity/measures'
import { formatRange } from '../quantity/reading'
import { render, type Reader } from '../quantity/sentence'
import { beforeAfter } from './before-after'
import { valueText } from './describe'
import type { JudgedFinding, VisitState } from './fold'
import type { Job } from './job'
import { keptAnswer } from './kept-working'
import type { Shop } from './shop'

export interface SheetReading {
  subject: string
  before?: string
  beforeVerdict?: Verdict
  after?: string
  afterVerdict?: Verdict
  limits: string
  basis: string
}

/** The paper that is left with the owner, as data: the page and the PDF show the same. */
export interface Sheet {
  shop: Shop
  visitId: string
  date: string
  customer: { name: string; place: string }
  machine: { name: string; description: string; assumed: string[] }
  complaint: string
  summary: string
  findings: { text: string; verdict: Verdict }[]
  readings: SheetReading[]
  seenAndLeft: string[]
  /** Workings that were kept: the question and its answer. */
  workings: { title: string; answer: string; verdict: Verdict; figures: string }[]
  work: { text: string; count?: number; at: string }[]
  /** How this shop does what good practice does in more than one way, where it mattered here. */
  practices: string[]
  /** What the agreed jobs come to: their parts, their minutes, the sum. */
  bill?: Bill
  price?: number
  watch: string[]
  nextDate?: string
  cautions: string[]
  photos: { hash: string; caption: string; at: string }[]
}

/**
 * Writes the sheet of a visit.
 *
 * @param job what follows from the state: the sheet shows it and works nothing out anew
 * @param system in whose units it is read: the shop's, unless a person chose otherwise
 */
export function writeSheet(state: VisitState, shop: Shop, job: Job, system: UnitSystem = shop.units): Sheet {
  const reader: Reader = { system, currency: shop.rates.currency }
  const last = new Map(state.findings.map((judged) => [`${judged.judgement.subject}|${judged.stage}`, judged]))
  return {
    shop,
    visitId: state.id,
    date: (state.handedOver?.at ?? state.startedAt ?? state.scheduledAt).slice(0, 10),
    customer: { name: state.customer.name, place: state.customer.place },
    machine: {
      name: state.machine.name,
      description: describeMachine(state),
      assumed: state.machine.plateUnreadable
        ? ['The plate could not be read.', ...state.plate.assumed]
        : state.plate.assumed,
    },
    complaint: [complaintWords(state.call.complaints), state.call.callerSays].filter(Boolean).join(': '),
    summary: summary(state, job),
    findings: [
      ...[...last.values()]
        .filter(({ stage }) => stage === 'test')
        .map(({ judgement }) => ({
          text: `${judgement.subject}: ${render(judgement.because, reader)}`,
          verdict: judgement.verdict,
        })),
      ...unsettled(state, reader),
    ],
    readings: beforeAfter(state).map(({ subject, before, after }) => ({
      subject,
      limits: limitsText(after ?? before, system),
      basis: (after ?? before)?.judgement.basis.name ?? '',
      ...(before ? { before: valueText(before, reader), beforeVerdict: before.judgement.verdict } : {}),
      ...(after ? { after: valueText(after, reader), afterVerdict: after.judgement.verdict } : {}),
    })),
    seenAndLeft: [
      ...state.notes.filter(({ seenAndLeft }) => seenAndLeft).map(({ text }) => text),
      ...state.jobs
        .filter((each) => each.state === 'left')
        .map(({ id, why }) => `${jobLabel(id)}${why ? `: ${why}` : ''}`),
    ],
    workings: state.kept.map((kept) => keptAnswer(kept, reader)),
    ...workDone(state, shop, job, reader),
    bill: job.bill && named(job.bill, state.fitted),
    price: job.price,
    watch: [...watchList(state, reader), ...(state.handedOver?.watch ? [state.handedOver.watch] : [])],
    nextDate: state.handedOver?.nextDate,
    cautions: CAUTIONS,
    photos: state.photos.map(({ hash, caption, name, at }) => ({ hash, at, caption: caption ?? name })),
  }
}

/** Readings of which two devices wrote different things: neither is taken for true before one is chosen. */
function unsettled({ contested }: VisitState, reader: Reader): Sheet['findings'] {
  const bySubject = new Map<string, string[]>()
  for (const judged of contested)
    bySubject.set(judged.judgement.subject, [
      ...(bySubject.get(judged.judgement.subject) ?? []),
      valueText(judged, reader),
    ])
  return [...bySubject].map(([subject, values]) => ({
    text: `${subject}: written down as ${values.join(' and as ')}, not settled`,
    verdict: 'unclear',
  }))
}

const CAUTIONS = [
  'Electrical and potable-water work is licensed in many places: local codes and licensed practice decide.',
  'Do not run the pump dry, and do not open lid, filter or clamp under pressure.',
  'A pool or spa does not run with a drain cover missing or broken.',
]

function describeMachine({ machine, plate, pump }: VisitState): string {
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

function summary(state: VisitState, { bill, diagnosis }: Job): string {
  const cause = state.confirmed ? `${faultLabel(state.confirmed)}, confirmed.` : leading(diagnosis)
  const done = bill
    ? `${bill.lines.map(({ label }) => label).join('; ')}${state.handedOver ? ': done.' : '.'}`
    : 'No repair was chosen.'
  return `${cause} ${done}`
}

/** A new part goes by what identifies it, so that the right one is ordered next time. */
function named(bill: Bill, fitted: VisitState['fitted']): Bill {
  return {
    ...bill,
    parts: bill.parts.map((each) => {
      const identity = fitted.findLast(({ part }) => part === each.part)?.identity
      return identity ? { ...each, label: `${each.label}: ${identity}` } : each
    }),
  }
}

function leading({ suspects: [top] }: Job['diagnosis']): string {
  return top ? `Most likely: ${top.label.toLowerCase()} (${formatPercent(top.probability)}).` : 'No cause was found.'
}

function limitsText(judged: JudgedFinding | undefined, system: UnitSystem): string {
  return judged ? formatRange(judged.judgement, judged.judgement.unit, system) : ''
}

function workDone(
  state: VisitState,
  { schools: practices }: Shop,
  { repair, before }: Job,
  reader: Reader,
): Pick<Sheet, 'work' | 'practices'> {
  const past = new Map(state.pastSteps.map((record) => [record.step, record]))
  const done = [
    ...before.map((step) => ({ step, record: past.get(step.id) })),
    ...(repair?.steps ?? []).map((step) => ({ step, record: state.steps.get(step.id) })),
  ].flatMap(({ step, record }) => (record?.done ? [{ ...step, record }] : []))
  return {
    work: done.map(({ text, record: { at, count } }) => ({
      text: render(text, reader),
      at,
      ...(count === undefined ? {} : { count }),
    })),
    practices: practiceLines([...new Set(done.flatMap((step) => step.practices ?? []))], practices),
  }
}

/** What is tired after the visit, said with its margin: what to watch. */
export function watchList(state: Pick<VisitState, 'findings'>, reader: Reader): string[] {
  return beforeAfter(state).flatMap(({ subject, before, after }) => {
    const judged = after ?? before
    if (judged?.judgement.verdict !== 'tired') return []
    const part = judged.judgement.part && isIdOf(PARTS, judged.judgement.part) ? PARTS[judged.judgement.part] : subject
    return [
      `${subject.includes(part) ? subject : `${part}, ${subject}`} is ${VERDICT_WORDS.tired}: ` +
        render(judged.judgement.because, reader),
    ]
  })
}
