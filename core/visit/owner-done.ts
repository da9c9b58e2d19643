import { IDENTITIES } from '../knowledge/repairs/identities'
import { DONE } from '../knowledge/repairs/owner-words'
import { NOTHING_TO_PROVE } from '../knowledge/repairs/proofs'
import { renewedParts } from '../knowledge/repairs/renews'
import { RINGS } from '../knowledge/constructions/part-groups'
import { isIdOf, PARTS, type Part } from '../knowledge/vocabulary'
import { jobLabel } from '../language/other-words'
import { formatNumber } from '../quantity/format'
import { jobRow } from '../takedown/step-plan'
import { countingRecords } from '../takedown/progress'
import { trayOf } from '../takedown/tray'
import type { VisitState } from './fold'
import type { Job } from './job'

/** How far a job has come: carried out, begun and not closed, or agreed only. */
export type JobProgress = 'done' | 'open' | 'agreed'
export interface JobOnSheet {
  id: string
  progress: JobProgress
}

/**
 * The jobs that were agreed in this visit, and how far each has come. What was agreed in one plan is carried out
 * together; a job that is nothing but work of its own, such as a trial, when that work is done. Where nobody ticked a
 * step, the hand-over says that it was done.
 */
export function jobsOnSheet(
  state: Pick<VisitState, 'machine' | 'rounds' | 'agreed' | 'steps' | 'handedOver' | 'findings'>,
  { repair }: Pick<Job, 'repair'>,
): JobOnSheet[] {
  const progress = planProgress(state, { repair })
  const known = new Map<string, JobOnSheet>()
  for (const id of state.rounds.flatMap(({ jobs }) => jobs)) known.set(id, { id, progress: 'done' })
  for (const id of state.agreed)
    known.set(id, { id, progress: progress === 'open' && isOwnWorkDone(id, state, repair) ? 'done' : progress })
  return [...known.values()]
}

/** Jobs that repair something: what is nothing but a look, a trial or a return changes no machine. */
export function repairsDone(jobs: readonly JobOnSheet[]): JobOnSheet[] {
  return jobs.filter(({ id, progress }) => progress === 'done' && NOTHING_TO_PROVE[id] === undefined)
}

/** Is the machine there after the visit, to be watched? What was only tried, opened or taken away is not. */
export function staysInPlace(jobs: readonly JobOnSheet[]): boolean {
  return jobs.length === 0 || repairsDone(jobs).length > 0 || jobs.some(({ id }) => id === 'leave-it')
}

/** Every part that is new after this visit: what is written as fitted, and what a plan renews that was carried out. */
export function renewedIn(
  state: Pick<
    VisitState,
    'machine' | 'fitted' | 'rounds' | 'agreed' | 'steps' | 'handedOver' | 'findings' | 'priceChanges'
  >,
  job: Pick<Job, 'repair' | 'bill'>,
): ReadonlySet<string> {
  const isDone = repairsDone(jobsOnSheet(state, job)).length > 0
  const kept = keptIn(state)
  const parts = isDone ? (job.bill?.parts.map(({ part }) => part) ?? []).filter((part) => !kept.has(part)) : []
  return renewedParts([...state.fitted.map(({ part }) => part), ...parts], state.machine.kind)
}

/**
 * How far the plan of what is agreed has come. Handed over, or read to prove, with nothing left in the tray, it is
 * carried out, whatever was not ticked.
 */
export function planProgress(
  { steps, handedOver, findings }: Pick<VisitState, 'steps' | 'handedOver' | 'findings'>,
  { repair }: Pick<Job, 'repair'>,
): JobProgress {
  const isOver = handedOver !== undefined || findings.some(({ stage }) => stage === 'prove')
  const records = repair ? countingRecords(repair, steps) : steps
  const done = repair?.steps.filter(({ id }) => records.get(id)?.done).length ?? 0
  if (done === 0) return isOver ? 'done' : 'agreed'
  if (done === repair?.steps.length) return 'done'
  return isOver && repair && trayOf(repair, records).length === 0 ? 'done' : 'open'
}

function isOwnWorkDone(id: string, { machine, steps }: Pick<VisitState, 'machine' | 'steps'>, repair: Job['repair']) {
  if (NOTHING_TO_PROVE[id] === undefined) return false
  const row = jobRow(machine.kind, machine.construction, id)
  const own = (row && 'extra' in row ? row.extra : undefined) ?? []
  const planned = repair?.steps.filter((step) => own.some((each) => step.id.endsWith(`:${each.id}`))) ?? []
  return planned.length > 0 && planned.every((step) => steps.get(step.id)?.done)
}

/**
 * What was done, a sentence a job: the job, then what is new with it, each part by what identifies it. A spare that
 * went in first is said before all.
 */
export function doneSentences(
  state: Pick<
    VisitState,
    'machine' | 'fitted' | 'rounds' | 'agreed' | 'steps' | 'handedOver' | 'findings' | 'spareFirst' | 'priceChanges'
  >,
  job: Pick<Job, 'repair' | 'bill'>,
): { job: string; text: string }[] {
  const done = jobsOnSheet(state, job).filter(({ progress }) => progress === 'done')
  return done.map(({ id }, index) => ({
    job: id,
    text: [
      ...(index === 0 && state.spareFirst ? [SPARE_FIRST] : []),
      ...(index === 0 && wasPulled(job) ? ['The pump was pulled from its well.'] : []),
      doneText(id),
      ...(NOTHING_TO_PROVE[id] === undefined ? withIt(id, state, job) : []),
    ].join(' '),
  }))
}

const SPARE_FIRST = 'The spare went in first; your old pump was repaired on the bench and is the spare now.'
const wasPulled = ({ repair }: Pick<Job, 'repair'>) => repair?.assemblies.includes('well-installation') ?? false

/** A job in the past, as a sentence. */
export function doneText(id: string): string {
  return DONE[id] ?? `${jobLabel(id)}.`
}

/** What a job renewed besides what its own sentence names. */
function withIt(
  id: string,
  { machine, fitted, priceChanges }: Pick<VisitState, 'machine' | 'fitted' | 'priceChanges'>,
  { bill }: Pick<Job, 'bill'>,
) {
  const row = jobRow(machine.kind, machine.construction, id)
  const parts = bill?.lines.find((line) => line.id === id)?.parts ?? []
  const own = row?.parts[0]
  const named = [own, ...parts.filter((part) => part !== own)].flatMap((part) => {
    const last = part && fitted.findLast((each) => each.part === part)
    return last && part ? [`${capital(PARTS[part])}: ${identityText(last)}.`] : []
  })
  const others = [...new Set(parts)].filter((part) => part !== own && !isSaidBy(id, part))
  const went = keptIn({ priceChanges })
  const kept = parts.filter((part) => went.has(part))
  const unnamed = others.filter((part) => !went.has(part) && !fitted.some((each) => each.part === part))
  return [
    ...named.filter((text) => !/: \.$/.test(text)),
    ...(unnamed.length > 0 ? [`New with it: ${listed(unnamed)}.`] : []),
    ...(kept.length > 0 ? [`Kept, clean and sound: ${listed(kept)}.`] : []),
  ]
}

/** Parts that a plan would renew and that went back as they were. */
function keptIn({ priceChanges }: Pick<VisitState, 'priceChanges'>): ReadonlySet<string> {
  return new Set(priceChanges.flatMap(({ kept }) => kept ?? []))
}

/** Does the job’s own sentence name it already? Rings alone are always worth naming. */
function isSaidBy(id: string, part: Part): boolean {
  return !RINGS.includes(part) && doneText(id).toLowerCase().includes(PARTS[part].toLowerCase())
}

function identityText({ part, identity, nameplate }: VisitState['fitted'][number]): string {
  const plate = nameplate
    ? [
        nameplate.horsepower === undefined ? '' : `${formatNumber(nameplate.horsepower)} hp`,
        `${nameplate.volts} V`,
        nameplate.frame ?? '',
      ]
    : []
  return [identity ?? '', ...(IDENTITIES[part] ? plate : [])].filter(Boolean).join(', ')
}

/** Names in a row: “shaft seal, housing O-ring and lid O-ring”. */
export function listed(parts: readonly string[]): string {
  const names = parts.map((part) => (isIdOf(PARTS, part) ? PARTS[part] : part))
  return names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`
}

export const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

/** A job as it stands in a sentence: “swap the motor, with a new seal”. */
export function jobWords(id: string, { machine }: Pick<VisitState, 'machine'>): string {
  const label = jobRow(machine.kind, machine.construction, id)?.label ?? jobLabel(id)
  return label.charAt(0).toLowerCase() + label.slice(1)
}
