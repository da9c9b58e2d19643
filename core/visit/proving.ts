import { mechanismOf } from '../diagnosis/finding'
import { NOTHING_TO_PROVE, proofsFor, type ProofItem } from '../knowledge/repairs/proofs'
import { touchedBy } from '../takedown/touched'
import type { EntryBodies } from './entry'
import type { JudgedFinding, VisitState } from './fold'
import type { Job } from './job'

/** One proof with what was read for it, or said of it. */
export interface ProofRow extends ProofItem {
  found?: JudgedFinding
  before?: JudgedFinding
  /** Said outright: it holds, it fails, or it was left with its reason. */
  said?: EntryBodies['proof'] & { at: string }
  stands: 'open' | 'shown' | 'failed' | 'left'
  /** The instant from which its look counts, while the machine must run first. */
  readyAt?: string
}

/** What this visit has to prove, and how far that has come. */
export interface ProofList {
  rows: ProofRow[]
  /** Why there is nothing to prove; absent where there is. */
  notDue?: string
  open: ProofRow[]
  failed: ProofRow[]
  left: ProofRow[]
  /** Everything that is called for was shown and holds. */
  isProved: boolean
}

type ProvedState = Pick<
  VisitState,
  'machine' | 'standing' | 'findings' | 'proofs' | 'agreed' | 'rounds' | 'call' | 'fitted' | 'entries'
>
type ProvedJob = Pick<Job, 'bill' | 'repair' | 'before'>

const MINUTE = 60_000
/** Read only while it runs: the first of these starts the clock of what needs minutes. */
const RUNNING: ReadonlySet<string> = new Set(['bleed', 'prime', 'loaded', 'amps', 'float', 'display', 'air-out'])

/**
 * The proofs that the jobs of this visit call for, each with its reading after the repair and the one before. What was
 * replaced, opened and told decides; nothing is asked that no job touched.
 */
export function proofListOf(state: ProvedState, job: ProvedJob): ProofList {
  const jobs = [...new Set([...state.rounds.flatMap((round) => round.jobs), ...state.agreed])]
  const due = jobs.filter((id) => NOTHING_TO_PROVE[id] === undefined)
  const notDue = whyNotDue(jobs, due, job)
  const touched = touchedBy({
    steps: [...job.before, ...(job.repair?.steps ?? [])],
    consumables: [
      ...(job.repair?.consumables ?? []),
      ...(job.bill?.parts.map(({ part }) => ({ part, because: '' })) ?? []),
    ],
  })
  const items = notDue
    ? []
    : proofsFor(state.machine.kind, state.machine.construction, state.standing, {
        renewed: [...touched.renewed, ...state.fitted.map(({ part }) => part)],
        opened: touched.opened,
        told: [...state.call.complaints, ...state.findings.map(({ finding }) => finding.check)],
      })
  const ranFrom = runningSince(items, state)
  const rows = items.map((item) => proofRow(item, state, ranFrom))
  const standing = (stands: ProofRow['stands']) => rows.filter((row) => row.stands === stands)
  return {
    rows,
    ...(notDue ? { notDue } : {}),
    open: standing('open'),
    failed: standing('failed'),
    left: standing('left'),
    isProved: rows.length > 0 && rows.every(({ stands }) => stands === 'shown'),
  }
}

function whyNotDue(jobs: readonly string[], due: readonly string[], { repair }: ProvedJob): string | undefined {
  if (repair?.endsOpen) return NOTHING_TO_PROVE['post-mortem']
  if (jobs.length === 0) return 'No job was agreed: there is nothing to prove.'
  return due.length === 0 ? NOTHING_TO_PROVE[jobs.at(-1) as string] : undefined
}

function proofRow(item: ProofItem, { findings, proofs, entries }: ProvedState, ranFrom: string | undefined): ProofRow {
  const { check, id, waitMinutes } = item
  const read = (stage: JudgedFinding['stage']) =>
    check === undefined
      ? undefined
      : findings.findLast((judged) => judged.stage === stage && judged.finding.check === check && isItsOwn(judged))
  const found = read('prove')
  const before = read('test')
  const said = proofs.get(id)
  const place = (entryId: string) => entries.findIndex(({ id: each }) => each === entryId)
  // The later word of the journal speaks, whatever the clocks said.
  const speaks = said && (!found || place(said.entryId) > place(found.entryId)) ? said : undefined
  return {
    ...item,
    ...(found ? { found } : {}),
    ...(before ? { before } : {}),
    ...(speaks ? { said: speaks } : {}),
    stands: speaks ? STANDS[speaks.outcome] : found ? stoodBy(found, findings) : 'open',
    ...(waitMinutes && ranFrom ? { readyAt: new Date(Date.parse(ranFrom) + waitMinutes * MINUTE).toISOString() } : {}),
  }
}

const STANDS = { holds: 'shown', fails: 'failed', left: 'left' } as const
/** Of the machine as it stands, not of a part in the hand. */
const isItsOwn = ({ finding }: JudgedFinding) => finding.of !== 'new'

/** One lead, one place, one speed that fails is a failure, whatever was read after it elsewhere. */
function stoodBy(found: JudgedFinding, findings: readonly JudgedFinding[]): ProofRow['stands'] {
  const newest = new Map<string, JudgedFinding>()
  for (const judged of findings)
    if (judged.stage === 'prove' && judged.finding.check === found.finding.check && isItsOwn(judged))
      newest.set(mechanismOf(judged.finding), judged)
  return [...newest.values()].some(({ judgement }) => judgement.verdict === 'failed') ? 'failed' : 'shown'
}

/** When the machine was first seen to run after the work. */
function runningSince(items: readonly ProofItem[], { findings, proofs }: ProvedState): string | undefined {
  const running = items.filter(({ id }) => RUNNING.has(id))
  const times = running.flatMap(({ id, check }) => [
    ...findings.filter(({ stage, finding }) => stage === 'prove' && finding.check === check).map(({ at }) => at),
    ...(proofs.get(id) ? [(proofs.get(id) as { at: string }).at] : []),
  ])
  return times.sort()[0]
}

/** What is to be proved next: what needs no wait first, then what has run long enough, then what still has to. */
export function nextProof({ open }: Pick<ProofList, 'open'>, now: string): ProofRow | undefined {
  const waits = (row: ProofRow) => row.waitMinutes !== undefined && (row.readyAt === undefined || row.readyAt > now)
  return (
    open.find((row) => row.readyAt !== undefined && row.readyAt <= now) ?? open.find((row) => !waits(row)) ?? open[0]
  )
}
