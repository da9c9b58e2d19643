import { partOfFinding } from '../knowledge/checks/checks'
import { formatRange } from '../quantity/reading'
import type { Reader } from '../quantity/sentence'
import { beforeAfter } from './before-after'
import { valueText } from './describe'
import type { VisitState } from './fold'
import type { Job } from './job'
import { jobsOnSheet, renewedIn, staysInPlace } from './owner-done'
import { ownerLabel } from './owner-label'
import type { ProofList, ProofRow } from './proving'

type WatchedState = Pick<
  VisitState,
  'findings' | 'machine' | 'fitted' | 'handedOver' | 'rounds' | 'agreed' | 'steps' | 'jobs' | 'priceChanges'
>

/**
 * What to watch: what is tired and still in the machine, what is allowed for a day, and what the technician wrote. A
 * part that is new is none of it, however tired the one before was.
 */
export function watchTexts(
  state: WatchedState,
  job: Pick<Job, 'repair' | 'bill'>,
  { rows }: Pick<ProofList, 'rows'>,
  reader: Reader,
): string[] {
  const said = new Set(rows.flatMap((row) => (row.check && row.allowed && isAllowed(row) ? [row.check] : [])))
  const written = state.handedOver?.watch.trim()
  return [
    // What is not there to be watched is told with what was found.
    ...(staysInPlace(jobsOnSheet(state, job)) ? tired(state, renewedIn(state, job), said, reader) : []),
    ...rows.flatMap((row) => (row.allowed && isAllowed(row) ? [row.allowed.text] : [])),
    ...(written ? [written] : []),
  ].filter((text, index, all) => all.indexOf(text) === index)
}

function isAllowed({ allowed, stands, found }: ProofRow): boolean {
  return allowed?.when === 'always' ? stands !== 'failed' : found?.judgement.verdict === 'tired'
}

function tired(
  { findings }: Pick<VisitState, 'findings'>,
  renewed: ReadonlySet<string>,
  said: ReadonlySet<string>,
  reader: Reader,
): string[] {
  return beforeAfter({ findings }).flatMap(({ before, after }) => {
    const judged = after ?? before
    if (
      !judged ||
      judged.judgement.verdict !== 'tired' ||
      judged.finding.of === 'new' ||
      said.has(judged.finding.check)
    )
      return []
    if (!after && (judged.replaced || renewed.has(partOfFinding(judged.finding) ?? ''))) return []
    const range = formatRange(judged.judgement, judged.judgement.unit, reader.system)
    const name = ownerLabel(judged)
    return [
      range
        ? `${name} reads ${valueText(judged, reader)}, inside ${range} with little to spare: measured again next time.`
        : `${name}: ${valueText(judged, reader)}. It is looked at again next time.`,
    ]
  })
}
