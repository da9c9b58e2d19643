import { faultLabel } from '../diagnosis/words/fault-label'
import type { Verdict } from '../judgement/judgement'
import { practiceLines } from '../knowledge/shop/practices'
import { formatPercent } from '../quantity/format'
import type { UnitSystem } from '../quantity/measures'
import { formatRange } from '../quantity/reading'
import { render, type Reader } from '../quantity/sentence'
import { beforeAfter } from './before-after'
import { valueText } from './describe'
import type { JudgedFinding, VisitState } from './fold'
import type { Job } from './job'
import { keptAnswer } from './kept-working'
import { proofListOf, type ProofRow } from './proving'
import { paperReader } from './sheet'
import type { Shop } from './shop'

export interface RecordReading {
  subject: string
  before?: string
  beforeVerdict?: Verdict
  after?: string
  afterVerdict?: Verdict
  limits: string
  because: string
  basis: string
}

/** What the workshop keeps of a visit: every step with its count and time, every reading with its limit and basis. */
export interface WorkshopRecord {
  visitId: string
  steps: { at: string; text: string; count?: number; reason?: string }[]
  readings: RecordReading[]
  proofs: { label: string; stands: ProofRow['stands']; why?: string; basis: string }[]
  suspects: string[]
  comebacks: { at: string; failed: string[] }[]
  workings: { title: string; answer: string; verdict: Verdict; figures: string }[]
  /** How this shop does what good practice does in more than one way, where it mattered here. */
  practices: string[]
  assumed: string[]
  notes: { at: string; text: string }[]
  photos: { hash: string; caption: string; at: string }[]
}

const MOST_SUSPECTS = 5

/** Writes the workshop’s record of a visit, from the same facts as its sheet. */
export function writeRecord(state: VisitState, shop: Shop, job: Job, system: UnitSystem = shop.units): WorkshopRecord {
  const reader = paperReader(shop, system)
  return {
    visitId: state.id,
    ...workDone(state, shop, job, reader),
    readings: beforeAfter(state).map((row) => recordReading(row, reader)),
    proofs: proofListOf(state, job).rows.map(({ label, stands, said, basis }) => ({
      label,
      stands,
      ...(said?.why ? { why: said.why } : {}),
      basis: basis.name,
    })),
    suspects: job.diagnosis.suspects
      .slice(0, MOST_SUSPECTS)
      .map(({ fault, probability }) => `${faultLabel(fault)}, ${formatPercent(probability)}`),
    comebacks: state.comebacks,
    workings: state.kept.map((kept) => keptAnswer(kept, reader)),
    assumed: state.machine.plateUnreadable
      ? ['The plate could not be read.', ...state.plate.assumed]
      : [...state.plate.assumed],
    notes: state.notes.filter(({ seenAndLeft }) => !seenAndLeft).map(({ at, text }) => ({ at, text })),
    photos: state.photos.map(({ hash, caption, name, at }) => ({ hash, at, caption: caption ?? name })),
  }
}

function recordReading(
  { subject, before, after }: { subject: string; before?: JudgedFinding; after?: JudgedFinding },
  reader: Reader,
): RecordReading {
  const judged = (after ?? before) as JudgedFinding
  return {
    subject,
    limits: formatRange(judged.judgement, judged.judgement.unit, reader.system),
    because: render(judged.judgement.because, reader),
    basis: judged.judgement.basis.name,
    ...(before ? { before: valueText(before, reader), beforeVerdict: before.judgement.verdict } : {}),
    ...(after ? { after: valueText(after, reader), afterVerdict: after.judgement.verdict } : {}),
  }
}

function workDone(
  state: VisitState,
  { schools: practices }: Shop,
  { repair, before }: Job,
  reader: Reader,
): Pick<WorkshopRecord, 'steps' | 'practices'> {
  const past = new Map(state.pastSteps.map((record) => [record.step, record]))
  const done = [
    ...before.map((step) => ({ step, record: past.get(step.id) })),
    ...(repair?.steps ?? []).map((step) => ({ step, record: state.steps.get(step.id) })),
  ].flatMap(({ step, record }) => (record?.done ? [{ ...step, record }] : []))
  return {
    steps: done.map(({ text, record: { at, count, reason } }) => ({
      text: render(text, reader),
      at,
      ...(count === undefined ? {} : { count }),
      ...(reason ? { reason } : {}),
    })),
    practices: practiceLines([...new Set(done.flatMap((step) => step.practices ?? []))], practices),
  }
}
