import { IN_A_MOTOR_ALONE, IN_THE_MOTOR, IN_THE_PUMP } from '../knowledge/constructions/part-groups'
import {
  CLAIM_ASKED_AFTER_DAYS,
  CLAIM_MOVES,
  isReturn,
  parcelOf,
  type ClaimMove,
  type Parcel,
} from '../knowledge/repairs/returns'
import { KINDS, PARTS, type Part } from '../knowledge/vocabulary'
import type { Verdict } from '../judgement/judgement'
import { formatQuantity } from '../quantity/format'
import type { Reader } from '../quantity/sentence'
import type { Nameplate } from '../motor/nameplate'
import { isOpening } from '../takedown/step-ref'
import { valueText } from './describe'
import { after, duesIn } from './due'
import type { Due, EntryBodies } from './entry'
import type { VisitState } from './fold'
import type { Job } from './job'
import { capital } from './owner-done'
import { beforeTheWork } from './owner-found'
import { ownerLabel } from './owner-label'
import { limitText } from './sheet'

type Draft = EntryBodies['claim']

const CLOSED: readonly ClaimMove[] = ['refused', 'credited', 'back']

/** What goes back under its warranty: what it is, what was read on it, what is sent, and where it stands. */
export interface Claim extends Draft, Parcel {
  label: string
  kind: string
  plate: string[]
  readings: { label: string; value: string; limit: string; verdict: Verdict }[]
  photos: { hash: string; caption: string; at: string }[]
  moves: EntryBodies['claim-moved'][]
  /** The second journey, where the shop charges one. */
  secondJourney?: number
}

/** Is it still out, so that somebody waits for it? */
export function isClaimOut({ claim }: Pick<VisitState, 'claim'>): boolean {
  return claim !== undefined && !claim.moves.some(({ to }) => CLOSED.includes(to))
}

/** Does this visit lead to a claim, or has it one already? */
export function mayClaim({ claim, pump, jobs }: Pick<VisitState, 'claim' | 'pump' | 'jobs'>): boolean {
  return (
    claim !== undefined || pump.underWarranty === true || jobs.some(({ id, state }) => isReturn(id) && state !== 'left')
  )
}

/**
 * What the claim would say if nobody had written it yet: the machine by its own dates, and whether it was opened by the
 * steps that were ticked.
 */
export function claimDraft(
  { machine, call, ...state }: Pick<VisitState, 'machine' | 'call' | 'steps' | 'pastSteps'>,
  job: Pick<Job, 'repair' | 'before'> | undefined,
): Draft {
  const { installedOn, warrantyUntil } = machine
  return {
    part: 'pump',
    complaint: call.callerSays,
    opened: job !== undefined && wasOpened(state, job),
    ...(installedOn ? { installedOn } : {}),
    ...(warrantyUntil ? { warrantyUntil } : {}),
  }
}

const INSIDE: ReadonlySet<Part> = new Set([...IN_THE_MOTOR, ...IN_THE_PUMP])

/** Was the motor, or a sealed pump, opened by what was ticked? */
function wasOpened(
  { steps, pastSteps }: Pick<VisitState, 'steps' | 'pastSteps'>,
  { repair, before }: Pick<Job, 'repair' | 'before'>,
): boolean {
  const done = new Set([...steps.values(), ...pastSteps].flatMap((step) => (step.done ? [step.step] : [])))
  return [...before, ...(repair?.steps ?? [])].some(
    ({ id, part }) => done.has(id) && isOpening(id) && INSIDE.has(part as Part),
  )
}

/**
 * The claim as it goes into the parcel.
 *
 * @returns undefined where none is written
 */
export function claimOf(
  state: Pick<VisitState, 'claim' | 'machine' | 'findings' | 'photos' | 'fitted' | 'agreedStanding'>,
  charges: { trip: number; chargesJourney?: boolean },
  reader: Reader,
): Claim | undefined {
  const { claim, machine } = state
  if (!claim) return undefined
  const { at: _, moves, ...said } = claim
  return {
    ...said,
    ...parcelOf(claim.part, machine.kind),
    label: capital(PARTS[claim.part]),
    kind: KINDS[machine.kind],
    plate: IN_A_MOTOR_ALONE.has(claim.part) || claim.part === 'pump' ? plateLines(machine.nameplate) : [],
    readings: beforeTheWork(state).map((judged) => ({
      label: ownerLabel(judged),
      value: valueText(judged, reader),
      limit: limitText(judged.judgement, reader),
      verdict: judged.judgement.verdict,
    })),
    photos: state.photos.map(({ hash, caption, name, at }) => ({ hash, at, caption: caption ?? name })),
    moves,
    ...(charges.chargesJourney && state.agreedStanding === 'installed' && charges.trip > 0
      ? { secondJourney: charges.trip }
      : {}),
  }
}

/** What is printed on it, as it is asked for: only what was read. */
function plateLines(plate: Nameplate): string[] {
  return [
    plate.horsepower === undefined ? '' : `${plate.horsepower} hp`,
    `${plate.volts} V${plate.hertz === undefined ? '' : ` ${plate.hertz} Hz`}`,
    plate.fullLoadAmps === undefined ? '' : formatQuantity(plate.fullLoadAmps, 'A'),
    plate.rpm === undefined ? '' : `${plate.rpm} rpm`,
    plate.frame === undefined ? '' : `frame ${plate.frame}`,
  ].filter(Boolean)
}

/** When somebody asks after a claim that is out: two weeks after it last moved. */
export function claimDues({ claim }: Pick<VisitState, 'claim'>): Due[] {
  if (!claim || !isClaimOut({ claim })) return []
  const last = claim.moves.at(-1)
  return [
    last
      ? {
          kind: 'claim',
          on: after(last.on, { days: CLAIM_ASKED_AFTER_DAYS }),
          what: `${capital(PARTS[claim.part])} under warranty: ${CLAIM_MOVES[last.to]}, not back yet`,
        }
      : {
          kind: 'claim',
          on: claim.at.slice(0, 10),
          what: `${capital(PARTS[claim.part])} to be sent back under warranty`,
        },
  ]
}

/** All that a visit left to come back for, its claim among it. */
export function duesLeft({ handedOver, claim }: Pick<VisitState, 'handedOver' | 'claim'>): Due[] {
  return [...duesIn(handedOver), ...claimDues({ claim })]
}
