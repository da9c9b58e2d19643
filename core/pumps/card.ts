import type { Verdict } from '../judgement/judgement'
import { COMPLAINTS, isIdOf, PARTS, type Part, type Stage } from '../knowledge/vocabulary'
import type { JointCorrection } from '../takedown/as-here'
import { conditionText } from '../takedown/conditions'
import { machineGraph } from '../takedown/machine-graph'
import { jointOf } from '../takedown/step-ref'
import { US_READER, type Reader } from '../quantity/sentence'
import type { JointType } from '../knowledge/constructions/joint'
import { JOINT_PIECES } from '../knowledge/constructions/joint-words'
import { causeChain, faultLabel } from '../diagnosis/words/fault-label'
import type { Customer, Due, EntryBodies, Machine, Site } from '../visit/entry'
import { pumpOf, visitVerdict, type JudgedFinding, type VisitState } from '../visit/fold'
import { completePlate, type CompletePlate } from '../motor/nameplate'
import { duesLeft } from '../visit/claim'
import { doneText, jobWords } from '../visit/owner-done'
import { newestFindings } from '../diagnosis/finding'
import { fittedSince } from '../visit/fitted'
import { partOfFinding } from '../knowledge/checks/checks'
import { cardRows, type CardRow } from './card-rows'

/** A visit as the card tells it. */
export interface CardVisit {
  id: string
  scheduledAt: string
  words: string
  stage: Stage
  handedOver: boolean
  /** It was called off, and why. */
  cancelled?: string
  photos: number
  verdict?: Verdict
}

/** What was counted when it was last apart. */
export interface CardCount {
  count: number
  words: string
  /** What of it this machine has otherwise: places, hand, order. */
  detail?: string
}

/** Everything the shop remembers of one machine. */
export interface MachineCard {
  machine: Machine
  customer: Customer
  /** The place it stands at, where anything is known of it. */
  site?: Site
  plate: CompletePlate
  /** What its section shows: the newest word on each part, as far as it speaks of what is there now. */
  findings: JudgedFinding[]
  rows: CardRow[]
  visits: CardVisit[]
  /** When it was counted, and what. */
  counts: { on?: string; counted: CardCount[] }
  measured: string[]
  left: { text: string; on: string; visitId: string }[]
  due: (Due & { visitId: string })[]
  warranty: { what: string; until: string }[]
  photos: { hash: string; caption: string; on: string; visitId: string }[]
  retired?: Omit<EntryBodies['machine-retired'], 'machineId'>
  /** What ended it, or its forerunner, once it was opened. */
  postMortem?: { words: string; why: string; keeping: string; on: string }
}

export interface CardSources {
  machine: Machine
  customer: Customer
  site?: Site
  retired?: MachineCard['retired']
  /** Its visits, oldest first. */
  states: readonly VisitState[]
  /** ISO instant. */
  now: string
}

/** The card of a machine, from the journals of its visits. */
export function cardOf(
  { machine, customer, site, retired, states, now }: CardSources,
  reader: Reader = US_READER,
): MachineCard {
  const dissected = states.findLast(({ postMortem }) => postMortem)?.postMortem
  return {
    machine,
    customer,
    ...(site ? { site } : {}),
    plate: completePlate(pumpOf(machine, now)),
    findings: speakingOf(machine, states),
    rows: cardRows(machine, states, Date.parse(now)),
    visits: states.map(cardVisit),
    counts: countsOf(machine, states),
    measured: [...new Set(states.map(({ measured }) => conditionText(measured, reader)).filter(Boolean))].slice(-1),
    left: leftOf(states),
    due: duesOfCard(states),
    warranty: warrantyOf(machine, now.slice(0, 10)),
    photos: states
      .flatMap(({ id, photos }) =>
        photos.map(({ hash, caption, name, at }) => ({
          hash,
          caption: caption ?? name,
          on: at.slice(0, 10),
          visitId: id,
        })),
      )
      .reverse(),
    ...(retired ? { retired } : {}),
    ...(dissected
      ? {
          postMortem: {
            words: causeChain(dissected),
            why: dissected.why,
            keeping: dissected.keeping,
            on: dissected.at.slice(0, 10),
          },
        }
      : {}),
  }
}

/** The newest of each reading over all visits, without what was read of a part that is no longer there. */
function speakingOf(machine: Machine, states: readonly VisitState[]): JudgedFinding[] {
  const speaking = states
    .flatMap(({ findings }) => findings)
    .filter(({ finding, at, replaced }) => {
      const part = partOfFinding(finding)
      const since = part && fittedSince(machine, part as Part)
      return !replaced && finding.of !== 'new' && (since === undefined || at.slice(0, 10) >= since)
    })
  return newestFindings(speaking.map((judged) => ({ ...judged.finding, judged }))).map(({ judged }) => judged)
}

function cardVisit(state: VisitState): CardVisit {
  const verdict = visitVerdict(state)
  return {
    id: state.id,
    scheduledAt: state.scheduledAt,
    words: visitWords(state),
    stage: state.stage,
    handedOver: state.handedOver !== undefined,
    ...(state.schedule.cancelled === undefined ? {} : { cancelled: state.schedule.cancelled }),
    photos: state.photos.length,
    ...(verdict ? { verdict } : {}),
  }
}

/** What a visit came to, in a few words: what was done, else what it was, else what was complained of. */
export function visitWords(
  state: Pick<VisitState, 'jobs' | 'postMortem' | 'confirmed' | 'call' | 'handedOver' | 'machine' | 'schedule'>,
): string {
  if (state.schedule.cancelled !== undefined) return `called off: ${state.schedule.cancelled}`
  const done = state.jobs.filter((job) => job.state === 'done')
  if (done.length > 0) return done.map(({ id }) => doneText(id)).join(' ')
  const agreed = state.handedOver ? undefined : state.jobs.findLast((job) => job.state === 'agreed')
  if (agreed) return jobWords(agreed.id, state)
  if (state.postMortem) return causeChain(state.postMortem)
  if (state.confirmed) return faultLabel(state.confirmed)
  const said = state.call.complaints.map((each) => (isIdOf(COMPLAINTS, each) ? COMPLAINTS[each] : each))
  return said.join(', ') || state.call.callerSays || 'looked at'
}

/** What was counted at the last take-down, and what this machine has otherwise than its construction. */
function countsOf(machine: Machine, states: readonly VisitState[]): MachineCard['counts'] {
  const joints = new Map(
    machineGraph(machine.construction, { kind: machine.kind }).joints.map((joint) => [joint.id, joint]),
  )
  const own = new Map((machine.joints ?? []).map((correction) => [correction.joint, correction]))
  const apart = states.findLast(({ steps, pastSteps }) =>
    [...steps.values(), ...pastSteps].some(({ count, done }) => done && count !== undefined),
  )
  const counted = new Map<string, { count: number; note?: string }>()
  for (const record of apart ? [...apart.pastSteps, ...apart.steps.values()] : []) {
    const joint = jointOf(record.step)
    if (joint !== undefined && record.done && record.count !== undefined)
      counted.set(joint, { count: record.count, ...(record.note ? { note: record.note } : {}) })
  }
  for (const [joint, { count }] of own) if (count !== undefined && !counted.has(joint)) counted.set(joint, { count })
  const rows = [...counted].map(([id, { count, note }]): CardCount => {
    const joint = joints.get(id)
    const detail = [detailOf(own.get(id)), note].filter(Boolean).join(', ')
    return {
      count,
      words: joint ? `${piecesOf(joint.type, count)}, ${PARTS[joint.part]}` : id.replaceAll(/[.-]/g, ' '),
      ...(detail ? { detail } : {}),
    }
  })
  const uncounted = [...own.values()].filter(({ joint }) => !counted.has(joint))
  return {
    ...(apart ? { on: apart.scheduledAt.slice(0, 10) } : {}),
    counted: [
      ...rows,
      ...uncounted.flatMap((correction): CardCount[] => {
        const detail = detailOf(correction)
        const joint = joints.get(correction.joint)
        return detail ? [{ count: 1, words: joint ? PARTS[joint.part] : correction.joint, detail }] : []
      }),
    ],
  }
}

const piecesOf = (type: JointType, count: number) => JOINT_PIECES[type][count === 1 ? 0 : 1]

function detailOf(correction: JointCorrection | undefined): string {
  if (!correction) return ''
  const { places = [], hand, tool, orientation, extra } = correction
  return [
    places.map(({ place, count }) => `${count} ${place}`).join(', '),
    hand === 'left' ? 'left-hand thread' : undefined,
    tool,
    orientation,
    extra && `with it ${extra}`,
  ]
    .filter(Boolean)
    .join(', ')
}

function leftOf(states: readonly VisitState[]): MachineCard['left'] {
  return states
    .flatMap(({ id, notes, jobs, machine }) => [
      ...notes
        .filter(({ seenAndLeft }) => seenAndLeft)
        .map(({ text, at }) => ({ text, on: at.slice(0, 10), visitId: id })),
      ...jobs
        .filter((job) => job.state === 'left')
        .map((job) => ({
          text: [jobWords(job.id, { machine }), job.why].filter(Boolean).join(': '),
          on: states.find((state) => state.id === id)?.scheduledAt.slice(0, 10) as string,
          visitId: id,
        })),
    ])
    .reverse()
}

/** What the newest visit has made due: whoever has been there since has seen to the rest. */
function duesOfCard(states: readonly VisitState[]): MachineCard['due'] {
  const last = states.at(-1)
  return last ? duesLeft(last).map((due) => ({ ...due, visitId: last.id })) : []
}

/** Every warranty, the machine's first; what ended is told for as long as the thing itself is there. */
function warrantyOf({ warrantyUntil, fitted = [] }: Machine, today: string): MachineCard['warranty'] {
  return [
    ...(warrantyUntil ? [{ what: 'the machine', until: warrantyUntil }] : []),
    ...fitted
      .filter(({ until, warrantyUntil: end }) => until === undefined && end !== undefined && end >= today)
      .map(({ part, identity, warrantyUntil: end }) => ({
        what: [PARTS[part], identity].filter(Boolean).join(' '),
        until: end as string,
      })),
  ]
}
