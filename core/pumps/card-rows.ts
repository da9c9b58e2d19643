import { mechanismOf } from '../diagnosis/finding'
import { worstVerdict, type Verdict } from '../judgement/judgement'
import { checkInfo, partOfFinding } from '../knowledge/checks/checks'
import { livesOf } from '../knowledge/faults/lives'
import { isIdOf, PARTS, type Part } from '../knowledge/vocabulary'
import type { Machine } from '../visit/entry'
import { fittedSince, identityOf } from '../visit/fitted'
import type { JudgedFinding, VisitState } from '../visit/fold'
import type { HistoryReading } from '../visit/history'
import { historyOf } from '../visit/history-of'
import { crossingOf, type Crossing } from './crossing'

/** A reading in the life of a part. */
export interface LifePoint {
  at: string
  visitId: string
  verdict: Verdict
  /** Absent where it was seen and not measured. */
  value?: number
  /** Read of the part that was there before: it says nothing of this one. */
  before?: true
}

/** A part of a machine with its age, its readings over the years, and when the next is to be expected. */
export interface CardRow {
  key: string
  part?: Part
  label: string
  identity?: string
  /** ISO date since which this part is in it; that of the machine where nobody fitted another. */
  since?: string
  points: LifePoint[]
  last?: HistoryReading
  verdict?: Verdict
  bounds: { low?: number; high?: number }
  logarithmic: boolean
  crossing: Crossing
  /** Years of the calendar between which such a part usually ends, where nothing measured says it better. */
  usual?: { from: number; to: number }
}

interface Read {
  visitId: string
  judged: JudgedFinding
  state: VisitState
}

/**
 * What is known of a machine part by part: what is measured as a line to its limit, what is seen as marks, and what was
 * never read by its age alone. What is nearest to its end stands first.
 *
 * @param states its visits, oldest first
 * @param now milliseconds
 */
export function cardRows(machine: Machine, states: readonly VisitState[], now: number): CardRow[] {
  const reads = states.flatMap((state) => state.findings.map((judged): Read => ({ visitId: state.id, judged, state })))
  const measured = grouped(reads.filter(isMeasured), ({ judged }) => mechanismOf(judged.finding))
  const measuredParts = new Set(reads.filter(isMeasured).flatMap(({ judged }) => partOf(judged) ?? []))
  const seen = grouped(
    reads.filter((read) => !isMeasured(read) && !measuredParts.has(partOf(read.judged) as Part)),
    ({ judged }) => partOf(judged) ?? `check:${judged.finding.check}`,
  )
  const rows = [
    ...[...measured].map(([key, list]) => measuredRow(key, list, machine, now)),
    ...[...seen].map(([key, list]) => seenRow(key, list, machine)),
  ]
  const known = new Set(rows.map(({ part }) => part))
  const fitted = (machine.fitted ?? []).filter(({ part, until }) => until === undefined && !known.has(part))
  return [...rows, ...fitted.map(({ part }) => agedRow(part, machine))].sort(byUrgency)
}

const isMeasured = ({ judged }: Read) => typeof judged.finding.value === 'number'

function partOf({ finding, judgement }: JudgedFinding): Part | undefined {
  const part = partOfFinding(finding) ?? judgement.part
  return part !== undefined && isIdOf(PARTS, part) ? (part as Part) : undefined
}

function measuredRow(key: string, list: readonly Read[], machine: Machine, now: number): CardRow {
  const last = list.at(-1) as Read
  const part = partOf(last.judged)
  const { check, of } = last.judged.finding
  const logarithmic = check === 'insulation-resistance'
  const since = part && fittedSince(machine, part)
  const points = list.map(({ visitId, judged }): LifePoint => ({
    at: judged.at,
    visitId,
    verdict: judged.judgement.verdict,
    value: judged.judgement.corrected?.value ?? (judged.finding.value as number),
    ...(isOfBefore(judged, since) ? { before: true as const } : {}),
  }))
  const { low, high } = last.judged.judgement
  const bounds = { ...(low === undefined ? {} : { low }), ...(high === undefined ? {} : { high }) }
  const own = points.filter(({ before }) => !before)
  return {
    key,
    ...(part ? { part } : {}),
    label: last.judged.judgement.subject,
    ...aged(machine, part),
    points,
    ...(own.length > 0 && of !== 'new' ? lastOf(last) : {}),
    bounds,
    logarithmic,
    crossing: isForetold(last.judged)
      ? crossingOf(
          onePerDay(own).map(({ at, value }) => ({ at: Date.parse(at), value: value as number })),
          bounds,
          { logarithmic, now },
        )
      : { is: 'untold' },
  }
}

/**
 * A limit that rests on a guess judges nothing, and nothing is foretold by it. Nor is anything of copper, which does
 * not wear: what two readings of a winding differ by is the meter's and the cable's.
 */
const isForetold = ({ finding, judgement }: JudgedFinding) =>
  judgement.verdict !== 'unclear' && finding.check !== 'winding-resistance'

/** Of several readings on one day the last counts: a reading that was made again is no fall. */
function onePerDay(points: readonly LifePoint[]): LifePoint[] {
  return [...new Map(points.map((point) => [point.at.slice(0, 10), point])).values()]
}

function seenRow(key: string, list: readonly Read[], machine: Machine): CardRow {
  const last = list.at(-1) as Read
  const part = partOf(last.judged)
  const since = part && fittedSince(machine, part)
  const byVisit = grouped(list, ({ visitId }) => visitId)
  const points = [...byVisit].map(([visitId, reads]): LifePoint => {
    const own = reads.filter(({ judged }) => !isOfBefore(judged, since))
    const telling = own.length > 0 ? own : reads
    return {
      at: (telling.at(-1) as Read).judged.at,
      visitId,
      verdict: worstVerdict(telling.map(({ judged }) => judged.judgement.verdict)) as Verdict,
      ...(own.length > 0 ? {} : { before: true as const }),
    }
  })
  const speaking = worstOf(list.filter(({ judged }) => !isOfBefore(judged, since)))
  return {
    key,
    ...(part ? { part } : {}),
    label: part ? PARTS[part] : (checkInfo(last.judged.finding.check)?.label ?? last.judged.judgement.subject),
    ...aged(machine, part),
    points,
    ...(speaking ? lastOf(speaking) : {}),
    bounds: {},
    logarithmic: false,
    crossing: { is: 'untold' },
    ...usualEnd(machine, part),
  }
}

/** Of the newest word on each thing that was seen the worst: a part that turns freely and rocks is not sound. */
function worstOf(reads: readonly Read[]): Read | undefined {
  const newest = [...grouped(reads, ({ judged }) => mechanismOf(judged.finding)).values()].map(
    (list) => list.at(-1) as Read,
  )
  const worst = worstVerdict(newest.map(({ judged }) => judged.judgement.verdict))
  return newest.findLast(({ judged }) => judged.judgement.verdict === worst)
}

/** A part that was fitted and never read since. */
function agedRow(part: Part, machine: Machine): CardRow {
  return {
    key: part,
    part,
    label: PARTS[part],
    ...aged(machine, part),
    points: [],
    bounds: {},
    logarithmic: false,
    crossing: { is: 'untold' },
    ...usualEnd(machine, part),
  }
}

function lastOf({ visitId, judged, state }: Read): Pick<CardRow, 'last' | 'verdict'> {
  return { last: historyOf(visitId, judged, state.pump), verdict: judged.judgement.verdict }
}

/** Was it read of the part that is no longer there? */
function isOfBefore({ at, replaced, finding }: JudgedFinding, since: string | undefined): boolean {
  if (finding.of === 'new') return false
  return replaced === true || (since !== undefined && at.slice(0, 10) < since)
}

function aged(machine: Machine, part: Part | undefined): Pick<CardRow, 'identity' | 'since'> {
  const identity = part && identityOf(machine, part)
  const since = (part && fittedSince(machine, part)) ?? machine.installedOn
  return { ...(identity ? { identity } : {}), ...(since ? { since } : {}) }
}

function usualEnd(machine: Machine, part: Part | undefined): Pick<CardRow, 'usual'> {
  const life = part && livesOf(part, machine.kind)
  const since = (part && fittedSince(machine, part)) ?? machine.installedOn
  if (!life || !since) return {}
  const year = Number(since.slice(0, 4))
  return { usual: { from: year + life[0], to: year + life[1] } }
}

function grouped<T>(list: readonly T[], keyOf: (item: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>()
  for (const item of list) groups.set(keyOf(item), [...(groups.get(keyOf(item)) ?? []), item])
  return groups
}

const BAD_FIRST: Readonly<Record<Verdict | 'none', number>> = { failed: 0, tired: 2, unclear: 3, sound: 3, none: 4 }

/** What is past its limit or failed first, then by the day on which it is to be expected, then what is tired. */
function byUrgency(a: CardRow, b: CardRow): number {
  return rankOf(a) - rankOf(b) || endOf(a) - endOf(b) || (a.label < b.label ? -1 : 1)
}
function rankOf({ crossing, verdict }: CardRow): number {
  if (crossing.is === 'past' || verdict === 'failed') return 0
  return crossing.is === 'ahead' ? 1 : BAD_FIRST[verdict ?? 'none']
}
function endOf({ crossing, usual }: CardRow): number {
  if (crossing.is === 'ahead') return crossing.at
  return usual ? Date.UTC(usual.from, 0, 1) : Number.MAX_SAFE_INTEGER
}
