import { faultLabel } from '../diagnosis/words/fault-label'
import { GONE } from '../knowledge/repairs/owner-words'
import { NOTHING_TO_PROVE } from '../knowledge/repairs/proofs'
import { isReturn } from '../knowledge/repairs/returns'
import { isIdOf, COMPLAINTS } from '../knowledge/vocabulary'
import type { VisitState } from './fold'
import type { Job } from './job'
import { capital, doneText, jobsOnSheet, jobWords, planProgress, repairsDone, type JobOnSheet } from './owner-done'
import type { ProofList } from './proving'

type ToldState = Pick<
  VisitState,
  | 'machine'
  | 'call'
  | 'standing'
  | 'rounds'
  | 'agreed'
  | 'steps'
  | 'handedOver'
  | 'findings'
  | 'postMortem'
  | 'confirmed'
>

/** The one sentence that the owner reads first: what became of it. It claims no more than the journal does. */
export function headlineOf(state: ToldState, job: Pick<Job, 'repair' | 'bill'>, proofs: ProofList): string {
  const name = named(state.machine.name)
  const jobs = jobsOnSheet(state, job)
  const last = jobs.at(-1)
  const repairs = jobs.filter(({ id }) => NOTHING_TO_PROVE[id] === undefined)
  if (!job.repair?.endsOpen && planProgress(state, job) === 'open') return standsOpen(name, jobs, state)
  if (!last) return state.postMortem ? opened(name, state.postMortem.fault) : lookedAt(name, state)
  const done = repairsDone(jobs)[0]
  if (last.progress === 'agreed' && done)
    return `${doneText(done.id)} Agreed, and still to be done: ${wishes(jobs.filter(isAgreed), state)}.`
  if (last.progress === 'agreed') return `Agreed for ${lower(name)}, and still to be done: ${wishes(jobs, state)}.`
  if (repairs.length === 0) return withoutRepair(name, last.id, state)
  const [main] = repairs.filter(({ progress }) => progress === 'done')
  if (!main) return doneText(last.id)
  if (proofs.failed.length > 0)
    return `${name} is not right yet: ${proofs.failed.map(({ label }) => label).join(', ')} did not prove.`
  if (!proofs.isProved) return `${doneText(main.id)} ${unproved(proofs)}`
  if (state.standing === 'bench' || state.standing === 'barrel')
    return `${name} is repaired and passed its tests on the bench.`
  const gone = whatIsGone(state.call.complaints)
  if (gone === '') return `${doneText(main.id).replace(/\.$/, '')}, and ${lower(name)} runs as it should.`
  return `${name} ${gone}.`
}

function unproved({ left, rows, open }: ProofList): string {
  if (left.length > 0 && open.length === 0) return 'What could not be proved yet stands below.'
  return open.length === rows.length ? 'It is still to be proved.' : 'Not all of it is proved yet.'
}

/** What of the complaints is no more, two of them at most; nothing where none was told. */
function whatIsGone(complaints: readonly string[]): string {
  const said = complaints.flatMap((id) => (isIdOf(COMPLAINTS, id) ? [GONE[id]] : []))
  return [...new Set(said)].slice(0, 2).join(' and ')
}

function standsOpen(name: string, jobs: readonly JobOnSheet[], state: ToldState): string {
  const { standing } = state
  const where = standing === 'bench' || standing === 'barrel' ? 'in our shop' : 'in its place'
  const fetched = jobs.some(({ id }) => id === 'fetch-motor')
  if (fetched) return `The motor of ${lower(name)} goes to our shop; until it is back, nothing runs here.`
  const left = jobs.filter(({ progress }) => progress === 'open')
  return `${name} stands open ${where}.${left.length > 0 ? ` Still to be done: ${wishes(left, state)}.` : ''}`
}

function withoutRepair(name: string, job: string, { handedOver, postMortem, confirmed }: ToldState): string {
  const cause = postMortem?.fault ?? confirmed
  if (isReturn(job)) return `${name} goes back under its warranty, as it is.`
  switch (job) {
    case 'post-mortem':
      return cause ? opened(name, cause) : `${name} was opened to find its cause.`
    case 'leave-it':
      return `${name} was looked at, and nothing was changed.`
    default:
      return handedOver ? doneText(job) : `${doneText(job)} More is to come.`
  }
}

function opened(name: string, fault: string): string {
  return `We opened ${lower(name)}. What ended it: ${faultLabel(fault).toLowerCase()}.`
}

function lookedAt(name: string, { confirmed }: ToldState): string {
  return confirmed
    ? `${name}: ${faultLabel(confirmed).toLowerCase()}. Nothing was repaired yet.`
    : `${name} was looked at. Nothing was repaired.`
}

const wishes = (jobs: readonly JobOnSheet[], state: ToldState) =>
  jobs.map(({ id }) => jobWords(id, state)).join(', and ')
const isAgreed = ({ progress }: JobOnSheet) => progress === 'agreed'
/** “The filter pump 2”, “Our pump” as it is called. */
function named(name: string): string {
  return /^(the|our|your|my)\b/i.test(name) ? capital(name) : `The ${name}`
}
const lower = (name: string) => name.charAt(0).toLowerCase() + name.slice(1)
