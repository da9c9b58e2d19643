import { mechanismOf } from '../diagnosis/finding'
import { causeChain, faultLabel } from '../diagnosis/words/fault-label'
import type { Verdict } from '../judgement/judgement'
import { partOfFinding } from '../knowledge/checks/checks'
import { DECIDING } from '../knowledge/faults/thresholds'
import { formatRange } from '../quantity/reading'
import type { Reader } from '../quantity/sentence'
import { valueText } from './describe'
import type { JudgedFinding, VisitState } from './fold'
import type { Job } from './job'
import { capital, listed } from './owner-done'
import { ownerLabel } from './owner-label'

export interface Found {
  verdict: Verdict
  text: string
}
type FoundState = Pick<VisitState, 'findings' | 'contested' | 'confirmed' | 'postMortem' | 'comebacks' | 'proofs'>

/** What the sheet knows besides the journal when it says what was wrong. */
export interface FoundScene {
  /** Something was repaired, and nothing failed its proof. */
  isRepaired: boolean
  /** Something was agreed: whoever agreed did not come to find nothing. */
  hasJobs: boolean
  /** The machine was not just looked at, or taken away. */
  isInPlace: boolean
  /** Parts that are new by now. */
  renewed: ReadonlySet<string>
}

/**
 * What was wrong, as the owner reads it: what was confirmed, what was read or seen out of its limits, and what is still
 * open, as open. A percent is never said of what was in the hand.
 */
export function foundTexts(
  state: FoundState,
  { diagnosis }: Pick<Job, 'diagnosis'>,
  reader: Reader,
  { isRepaired, hasJobs, isInPlace, renewed }: FoundScene,
): Found[] {
  const failed = beforeTheWork(state).filter(({ judgement }) => judgement.verdict === 'failed')
  const worn = beforeTheWork(state).filter(
    ({ finding, judgement, replaced }) =>
      judgement.verdict === 'tired' && (replaced || renewed.has(partOfFinding(finding) ?? '') || !isInPlace),
  )
  const cause = causeKnown(state, diagnosis, failed.length > 0)
  return [
    ...(state.postMortem ? postMortem(state.postMortem) : []),
    ...(cause && cause !== state.postMortem?.fault
      ? [{ verdict: 'failed' as const, text: `${faultLabel(cause)}.` }]
      : []),
    ...together(failed, reader).map((text) => ({ verdict: 'failed' as const, text })),
    ...together(worn, reader).map((text) => ({ verdict: 'tired' as const, text })),
    ...unsettled(state, reader),
    ...(cause || state.postMortem || isRepaired ? [] : stillOpen(diagnosis, state, hasJobs)),
    ...state.comebacks.map(cameBack),
  ]
}

function cameBack({ failed }: FoundState['comebacks'][number]): Found {
  const proofs = failed.map((id) => id.replaceAll('-', ' ')).join(', ')
  return { verdict: 'failed', text: `At first it did not prove: ${proofs}. It was looked for again.` }
}

/** The newest of each reading from before the work, of the machine’s own parts. */
export function beforeTheWork({ findings }: Pick<VisitState, 'findings'>): JudgedFinding[] {
  const own = findings.filter(({ stage, finding }) => stage === 'test' && finding.of !== 'new')
  return [...new Map(own.map((judged) => [mechanismOf(judged.finding), judged])).values()]
}

/** The cause that was confirmed, or that what was in the hand leaves no doubt of. */
export function causeKnown(
  { confirmed, postMortem }: Pick<VisitState, 'confirmed' | 'postMortem'>,
  { suspects: [top] }: Job['diagnosis'],
  wasSeen: boolean,
): string | undefined {
  if (confirmed) return confirmed
  if (postMortem) return postMortem.fault
  const sure = top && wasSeen && top.probability >= DECIDING.sure && top.fault !== 'nothing-wrong'
  return sure ? top.fault : undefined
}

function postMortem({ why, keeping, ...cause }: NonNullable<VisitState['postMortem']>): Found[] {
  const reason = why ? ` ${capital(why.replace(/\.$/, ''))}.` : ''
  return [
    { verdict: 'failed', text: `${causeChain(cause)}.${reason}` },
    ...(keeping ? [{ verdict: 'sound' as const, text: `Worth keeping: ${keeping.replace(/\.$/, '')}.` }] : []),
  ]
}

/** Readings of one thing with one value at several leads or places are said in one breath. */
function together(judged: readonly JudgedFinding[], reader: Reader): string[] {
  const said = new Map<string, { subjects: string[]; rest: string }>()
  for (const each of judged) {
    const range = formatRange(each.judgement, each.judgement.unit, reader.system)
    const rest = `${valueText(each, reader)}${range ? `, where ${range} is right` : ''}`
    const key = `${each.finding.check}|${each.finding.setup ?? ''}|${each.finding.half ?? ''}|${rest}`
    const known = said.get(key) ?? { subjects: [], rest }
    said.set(key, { rest, subjects: [...known.subjects, ownerLabel(each)] })
  }
  return [...said.values()].map(({ subjects, rest }) => `${joined(subjects)}: ${rest}.`)
}

/** “Motor insulation, black, yellow and red” out of subjects that begin alike. */
function joined(subjects: readonly string[]): string {
  const [first = '', ...others] = subjects
  if (others.length === 0) return first
  const words = subjects.map((subject) => subject.split(', '))
  const shared = (words[0] as string[]).findIndex((word, index) => words.some((each) => each[index] !== word))
  if (shared < 1) return listed(subjects)
  const head = (words[0] as string[]).slice(0, shared).join(', ')
  return `${head}, ${listed(words.map((each) => each.slice(shared).join(', ')))}`
}

/** Readings of which two devices wrote different things: neither is taken for true before one is chosen. */
function unsettled({ contested }: Pick<VisitState, 'contested'>, reader: Reader): Found[] {
  const bySubject = new Map<string, string[]>()
  for (const judged of contested)
    bySubject.set(judged.judgement.subject, [
      ...(bySubject.get(judged.judgement.subject) ?? []),
      valueText(judged, reader),
    ])
  return [...bySubject].map(([subject, values]) => ({
    verdict: 'unclear',
    text: `${capital(subject)}: written down as ${values.join(' and as ')}, not settled.`,
  }))
}

const MOST_OPEN = 3
const WORTH_NAMING = 0.1

function stillOpen(
  { suspects }: Job['diagnosis'],
  { findings }: Pick<VisitState, 'findings'>,
  hasJobs: boolean,
): Found[] {
  const [top] = suspects
  if (!top) return []
  if (top.fault === 'nothing-wrong')
    return findings.length > 0 && !hasJobs ? [{ verdict: 'sound', text: 'Nothing was found wrong.' }] : []
  const open = suspects
    .filter(({ fault, probability }) => fault !== 'nothing-wrong' && probability >= WORTH_NAMING)
    .slice(0, MOST_OPEN)
    .map(({ fault }) => faultLabel(fault).toLowerCase())
  if (open.length === 0) return [{ verdict: 'unclear', text: 'The cause is still open.' }]
  return [{ verdict: 'unclear', text: `The cause is still open. It may be: ${open.join('; ')}.` }]
}
