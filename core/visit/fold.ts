import { checkKey, newestFindings, type DiagnosisCase, type Finding } from '../diagnosis/finding'
import { judgeFinding } from '../diagnosis/judge-finding'
import type { AccountBeside } from '../decision/account'
import type { OfferGrounds } from '../decision/offer'
import { worstVerdict, type Judgement, type Verdict } from '../judgement/judgement'
import type { Earlier } from '../diagnosis/diagnose'
import { partOfFinding } from '../knowledge/checks/checks'
import {
  GATES,
  STAGES,
  usualStanding,
  type Gate,
  type MotorType,
  type Part,
  type Stage,
  type Standing,
} from '../knowledge/vocabulary'
import type { CompletePlate, Pump } from '../motor/nameplate'
import type { JobConditions } from '../takedown/conditions'
import type { TakeDownFound } from '../takedown/plan'
import { MILLISECONDS_PER_YEAR } from '../quantity/conversions'
import type { Customer, Entry, EntryBodies, Machine } from './entry'
import type { VisitJob } from './agreed'
import { partAgesOf, speakingStill } from './fitted'
import { foldWork, measuredIn, turnedBy, type Round } from './fold-work'
import { isChangedSince } from './issue'
import { newestOf, ofKind } from './of-kind'
import { judgedUntil, platesOf } from './plate-at'
import { rivalsIn } from './rivals'
import { scheduleOf, togetherIn, type Schedule } from './schedule'
import type { StepRecordAt } from './step-book'
import { supersessionOf, type Conflict } from './supersession'

/** Stages that a comeback does not go back to. */
const BEFORE_TEST: readonly Stage[] = ['call', 'prepare', 'safe']

/** A finding with its place in the journal and its judgement. */
export interface JudgedFinding {
  entryId: string
  at: string
  stage: 'test' | 'prove'
  finding: Finding
  judgement: Judgement
  /** What was read is new since: it says nothing of the new one. */
  replaced?: true
}

export interface GateState {
  gate: Gate
  at: string
  lines?: { line: string; volts: number }[]
  seconds?: number
}

/** Who bears what is charged once for a journey, and what the others of it come to. */
export interface JourneyPlace {
  rides: boolean
  beside: readonly AccountBeside[]
}

/** Everything a visit is, worked out from its journal alone. */
export interface VisitState {
  id: string
  opened: boolean
  scheduledAt: string
  schedule: Schedule
  /** The first visit of its journey, where that is another. */
  together?: string
  /** Its place in its journey: what its account hangs on besides its own journal. */
  journey: JourneyPlace
  plannedMinutes: number
  customer: Customer
  machine: Machine
  pump: Pump
  plate: CompletePlate
  call: EntryBodies['call']
  callTaken: boolean
  loaded: ReadonlySet<string>
  /** Gates that hold now, by id. */
  gates: ReadonlyMap<Gate, GateState>
  /**
   * All live findings in order; the newest of each mechanism speaks. Those in conflict say nothing until one is chosen.
   */
  findings: JudgedFinding[]
  /** Findings of which two devices say different things. */
  contested: JudgedFinding[]
  /** Where two devices said different things and nobody has chosen yet. */
  conflicts: Conflict[]
  standing: Standing
  /** Jobs that the customer asks for, by id. */
  wished: string[]
  notes: (EntryBodies['note'] & { entryId: string; at: string })[]
  photos: (EntryBodies['photo'] & { entryId: string; at: string })[]
  /** Recordings of the machine, oldest first. */
  recordings: (EntryBodies['recording'] & { entryId: string; at: string })[]
  skipped: string[]
  excluded: string[]
  confirmed?: string
  /** What the bench found later in the machine that was taken out. */
  postMortem?: EntryBodies['post-mortem'] & { at: string }
  /** Workings kept in this visit, oldest first. */
  kept: (EntryBodies['working-kept'] & { entryId: string; at: string })[]
  /** The way chosen for what is wrong. */
  decision?: string
  /** All jobs of the visit, in the order in which they came up. */
  jobs: VisitJob[]
  /** Ids of the jobs that are agreed and not done yet: what the plan is for. */
  agreed: string[]
  /** Where the machine stood when they were agreed: their price is that of this place. */
  agreedStanding: Standing
  /** A spare goes in first, and the chosen repair follows on the bench. */
  spareFirst: boolean
  /** What was met in this round: joints that would not open, parts that are damaged. */
  takeDownFound: TakeDownFound[]
  /** What was carried out and closed before. */
  rounds: Round[]
  /** The type of the motor that this round takes apart or out. */
  workedOn: MotorType
  measured: JobConditions
  /** New parts that are in their place, oldest first. */
  fitted: EntryBodies['fitted'][]
  /** New parts as they were read before they went in, the newest word on each. */
  newParts: ReadonlyMap<Part, EntryBodies['new-part']>
  /** What the ways of mending it hang on besides its jobs. */
  grounds: OfferGrounds
  /** What was put on the account by hand, or taken off it. */
  priceChanges: (EntryBodies['price-change'] & { entryId: string })[]
  /** What the customer agreed to last, and when. */
  priceAgreed?: EntryBodies['price-agreed'] & { at: string }
  /** What the customer drew, oldest first; each under the sheet of one fingerprint. */
  signatures: (EntryBodies['signed'] & { at: string })[]
  /** Papers that left by mail, oldest first. */
  mailed: (EntryBodies['mailed'] & { at: string })[]
  payments: (EntryBodies['paid'] & { entryId: string })[]
  /** What goes back under its warranty, and how far it has come since. */
  claim?: EntryBodies['claim'] & { at: string; moves: EntryBodies['claim-moved'][] }
  /** What was said of proofs since the last comeback, the newest word on each. */
  proofs: ReadonlyMap<string, EntryBodies['proof'] & { entryId: string; at: string }>
  /** Times that the work did not prove and went back to Test, oldest first. */
  comebacks: (EntryBodies['comeback'] & { at: string })[]
  steps: ReadonlyMap<string, StepRecordAt>
  /** Steps of rounds that were closed before another job was agreed, oldest first. */
  pastSteps: readonly StepRecordAt[]
  /** Gates that Safe has shut for this round: the plan does not ask for them again. */
  carriedGates: Gate[]
  stagesDone: ReadonlyMap<Stage, string>
  /** The first stage that is not done yet. */
  stage: Stage
  handedOver?: EntryBodies['handed-over'] & { at: string; author: string }
  /** How often it was handed over: each makes a new issue of the sheet. */
  issues: number
  /** It was handed over, and nothing that its sheet would say was written, changed or taken back since. */
  isIssued: boolean
  /** When somebody first did something there, and last. */
  startedAt?: string
  workedAt?: string
  /** Newest earlier readings of this machine, for trends. */
  earlier: Earlier
  /** What the diagnosis starts from. */
  case: DiagnosisCase
  entries: Entry[]
}

/** When the first and the last was written of a visit that is not said beforehand. */
function workedOf(live: readonly Entry[]): Pick<VisitState, 'startedAt' | 'workedAt'> {
  const there = live.filter(
    (entry) =>
      !BEFORE_IT_STARTS.has(entry.kind) &&
      !(entry.kind === 'joint-done' && ['call', 'prepare'].includes(entry.body.joint)),
  )
  return { startedAt: there[0]?.at, workedAt: there.at(-1)?.at }
}

/** What is written of a visit before anybody goes there. */
const BEFORE_IT_STARTS: ReadonlySet<Entry['kind']> = new Set<Entry['kind']>([
  'visit-opened',
  'call',
  'planned',
  'arranged',
  'cancelled',
  'together',
  'loaded',
  'machine-set',
])

/**
 * Folds a journal into the state of its visit. Same journal, same state, on every machine.
 *
 * @param entries of one visit, in any order; repeated ids count once
 * @param earlier readings of its machine in visits before; `journey` its place among the other visits of its journey:
 *   what its own journal says of it where the others are not at hand
 * @returns undefined where no entry opens the visit
 */
export function foldVisit(
  entries: readonly Entry[],
  { earlier = {}, journey }: { earlier?: Earlier; journey?: JourneyPlace } = {},
): VisitState | undefined {
  const { live, conflicts: contradictions } = supersessionOf(entries)
  const opened = newestOf(live, 'visit-opened')
  if (!opened) return undefined
  const conflicts = withRivals(contradictions, rivalsIn(live, entries))
  const { customer, plannedMinutes, callerSays } = opened.body
  const schedule = scheduleOf(live)
  const { scheduledAt } = schedule
  const together = togetherIn(live)
  const machine = machineOf(live) as Machine
  const findingEntries = ofKind(live, 'finding')
  const fitted = ofKind(live, 'fitted')
  const plateAt = platesOf(live, machine, pumpOf(machine, scheduledAt))
  const { pump, plate } = plateAt(live.length)
  // The motor that a round takes apart or out has its own inside, whatever is fitted for it meanwhile.
  const motorBefore = (index: number): MotorType => plateAt(index).plate.motorType
  const work = foldWork(live, machine, motorBefore)
  const callEntry = newestOf(live, 'call')
  const call = callEntry?.body ?? { complaints: [], alreadyReplaced: [], callerSays }
  const inConflict = new Set(conflicts.flatMap(({ claims }) => claims.map(({ entry }) => entry.id)))
  const plain = findingEntries.filter(({ id }) => !inConflict.has(id)).map(({ body }) => body)
  const cameBack = live.findLastIndex(({ kind }) => kind === 'comeback')
  const sinceComeback = live.slice(cameBack + 1)
  // What failed to prove is what is known when the search goes on.
  const knownBefore = new Set(live.slice(0, Math.max(cameBack, 0)).map(({ id }) => id))
  const speaking = speakingStill(live, machine.kind, work.renewedBy)
  const judged = findingEntries.map((entry): JudgedFinding => ({
    entryId: entry.id,
    at: entry.at,
    stage: knownBefore.has(entry.id) ? 'test' : entry.body.stage,
    finding: entry.body,
    judgement: judgeFinding(entry.body, {
      ...plateAt(entry.body.of === 'new' ? live.length : judgedUntil(live, entry)),
      findings: plain,
      earlier,
    }),
    ...(speaking.has(entry.id) ? {} : { replaced: true as const }),
  }))
  const gates = foldGates(live)
  const stagesDone = new Map(
    [
      ...ofKind(live, 'joint-done').filter(({ body }) => BEFORE_TEST.includes(body.joint)),
      ...ofKind(sinceComeback, 'joint-done'),
    ].map(({ body, at }) => [body.joint, at]),
  )
  const causes = causesSaid(live)
  const handedOver = newestOf(live, 'handed-over')
  const dissected = newestOf(live, 'post-mortem')
  const priceAgreed = newestOf(live, 'price-agreed')
  const excluded = [...causes].filter(([, verdict]) => verdict === 'not-this').map(([fault]) => fault)
  const standing = newestOf(live, 'standing')?.body.at ?? usualStanding(machine.construction)
  const { book, steps, rounds, found, agreedStanding = standing } = work
  const newParts = new Map(ofKind(live, 'new-part').map(({ body }) => [body.part, body]))
  const skipped = ofKind(live, 'check-skipped').map(({ body }) => checkKey(body))
  return {
    id: opened.visitId as string,
    opened: true,
    scheduledAt,
    schedule,
    ...(together ? { together } : {}),
    journey: journey ?? { rides: together !== undefined, beside: [] },
    plannedMinutes,
    customer,
    machine,
    pump,
    plate,
    call,
    callTaken: callEntry !== undefined,
    gates,
    findings: judged.filter(({ entryId }) => !inConflict.has(entryId)),
    contested: judged.filter(({ entryId }) => inConflict.has(entryId)),
    conflicts,
    earlier,
    loaded: new Set(
      [...new Map(ofKind(live, 'loaded').map(({ body }) => [body.item, body.loaded]))]
        .filter(([, isLoaded]) => isLoaded)
        .map(([item]) => item),
    ),
    standing,
    wished: [...new Set(ofKind(live, 'wish').map(({ body }) => body.job))],
    notes: ofKind(live, 'note').map(({ id, at, body }) => ({ ...body, entryId: id, at })),
    photos: ofKind(live, 'photo').map(({ id, at, body }) => ({ ...body, entryId: id, at })),
    recordings: ofKind(live, 'recording').map(({ id, at, body }) => ({ ...body, entryId: id, at })),
    skipped,
    excluded,
    confirmed: confirmedCause(sinceComeback),
    ...(dissected ? { postMortem: { ...dissected.body, at: dissected.at } } : {}),
    kept: ofKind(live, 'working-kept').map(({ id, at, body }) => ({ ...body, entryId: id, at })),
    decision: book.decided,
    jobs: book.jobs,
    agreed: book.agreed,
    agreedStanding,
    spareFirst: newestOf(live, 'decision')?.body.spareFirst ?? false,
    takeDownFound: found,
    rounds,
    workedOn: motorBefore(work.roundFrom),
    measured: measuredIn(live),
    fitted: fitted.map(({ body }) => body),
    newParts,
    grounds: {
      ...groundsOf(judged.filter(({ entryId }) => !inConflict.has(entryId))),
      inHand: [...newParts.values()],
      today: scheduledAt.slice(0, 10),
    },
    priceChanges: ofKind(live, 'price-change').map(({ id, body }) => ({ ...body, entryId: id })),
    ...(priceAgreed ? { priceAgreed: { ...priceAgreed.body, at: priceAgreed.at } } : {}),
    signatures: ofKind(live, 'signed').map(({ body, at }) => ({ ...body, at })),
    mailed: ofKind(live, 'mailed').map(({ body, at }) => ({ ...body, at })),
    payments: ofKind(live, 'paid').map(({ id, body }) => ({ ...body, entryId: id })),
    ...claimIn(live),
    proofs: new Map(
      ofKind(sinceComeback, 'proof').map(({ id, body, at }) => [body.proof, { ...body, entryId: id, at }]),
    ),
    comebacks: ofKind(live, 'comeback').map(({ body, at }) => ({ ...body, at })),
    steps: steps.steps,
    pastSteps: steps.past,
    carriedGates: steps.carried,
    stagesDone,
    stage: STAGES.find((stage) => !stagesDone.has(stage)) ?? 'hand-over',
    ...(handedOver ? { handedOver: { ...handedOver.body, at: handedOver.at, author: handedOver.author } } : {}),
    issues: ofKind(live, 'handed-over').length,
    isIssued: handedOver !== undefined && !isChangedSince(handedOver, entries),
    ...workedOf(live),
    case: {
      pump,
      complaints: call.complaints,
      alreadyReplaced: [
        ...new Set([
          ...call.alreadyReplaced,
          ...fitted.map(({ body }) => body.part),
          ...[...work.renewedBy.values()].flat(),
        ]),
      ],
      findings: findingEntries
        .filter(
          ({ id, body }) => !inConflict.has(id) && speaking.has(id) && (body.stage === 'test' || knownBefore.has(id)),
        )
        .map(({ body }) => body),
      excluded,
      standing,
      gates: [...gates.keys()],
      skipped,
    },
    entries: live,
  }
}

/**
 * The machine as the visit says it: as it was opened, or as it was written down since. What was written of another
 * machine is not of this one.
 */
export function machineOf(live: readonly Entry[]): Machine | undefined {
  const opened = newestOf(live, 'visit-opened')?.body.machine
  return ofKind(live, 'machine-set').findLast(({ body }) => body.machine.id === opened?.id)?.body.machine ?? opened
}

/** The machine as the computation sees it on the day of the visit. */
export function pumpOf(machine: Machine, onDay: string): Pump {
  const age = machine.installedOn
    ? Math.max(0, (Date.parse(onDay) - Date.parse(machine.installedOn)) / MILLISECONDS_PER_YEAR)
    : undefined
  return {
    kind: machine.kind,
    construction: machine.construction,
    nameplate: machine.nameplate,
    installation: machine.installation,
    ...(age === undefined ? {} : { ageYears: age }),
    underWarranty: machine.warrantyUntil !== undefined && machine.warrantyUntil >= onDay.slice(0, 10),
    ...(machine.fitted ? { partAges: partAgesOf(machine, onDay), fitted: machine.fitted } : {}),
  }
}

/** What contradicts itself in a journal; lines that replace one and the same are told once. */
function withRivals(contradictions: readonly Conflict[], rivals: readonly Conflict[]): Conflict[] {
  const told = new Set(contradictions.flatMap(({ claims }) => claims.map(({ entry }) => entry.id)))
  return [...contradictions, ...rivals.filter(({ claims }) => !claims.every(({ entry }) => told.has(entry.id)))]
}

/** Gates as they stand: as they were turned, and the power on again where the last step of the way back put it on. */
function foldGates(live: readonly Entry[]): Map<Gate, GateState> {
  const gates = new Map<Gate, GateState>()
  for (const entry of live) {
    const turned = turnedBy(entry)
    if (!turned) continue
    const { body, at } = turned
    gates.delete(body.gate)
    if (!body.shut) continue
    for (const undone of GATES[body.gate].undoes ?? []) gates.delete(undone)
    gates.set(body.gate, { gate: body.gate, at, lines: body.lines, seconds: body.seconds })
  }
  return gates
}

/** The worst that the readings of a visit say at its end; undefined where nothing was read. */
export function visitVerdict(state: Pick<VisitState, 'findings'>): Verdict | undefined {
  return worstVerdict([...partVerdicts(state).values()].map(({ verdict }) => verdict))
}

/** The mark of each part: the worst of its newest findings. A part that was not looked at is not in the map. */
export function partVerdicts(
  state: Pick<VisitState, 'findings'>,
): Map<string, { verdict: Verdict; latest: JudgedFinding }> {
  const newest = newestFindings(state.findings.map((judged) => ({ ...judged.finding, judged })))
  const byPart = new Map<string, JudgedFinding[]>()
  for (const { judged } of newest) {
    const part = partOfFinding(judged.finding)
    if (part) byPart.set(part, [...(byPart.get(part) ?? []), judged])
  }
  return new Map(
    [...byPart].map(([part, list]) => {
      const verdict = worstVerdict(list.map(({ judgement }) => judgement.verdict)) as Verdict
      return [
        part,
        { verdict, latest: list.findLast(({ judgement }) => judgement.verdict === verdict) as JudgedFinding },
      ]
    }),
  )
}

/** The claim as it was written last, and how far it came since it was first. */
export function claimIn(live: readonly Entry[]): Pick<VisitState, 'claim'> {
  const claim = newestOf(live, 'claim')
  return claim
    ? { claim: { ...claim.body, at: claim.at, moves: ofKind(live, 'claim-moved').map(({ body }) => body) } }
    : {}
}

/** What readings say of parts, and what it drew while it ran as it should: a stalled motor’s amps are no year’s. */
function groundsOf(findings: JudgedFinding[]): Pick<OfferGrounds, 'verdicts' | 'amps'> {
  const amps = findings.findLast(
    ({ finding, judgement, replaced }) =>
      finding.check === 'running-current' && finding.of !== 'new' && judgement.verdict !== 'failed' && !replaced,
  )?.finding.value
  return {
    verdicts: Object.fromEntries([...partVerdicts({ findings })].map(([part, { verdict }]) => [part, verdict])),
    ...(typeof amps === 'number' ? { amps } : {}),
  }
}

/** The newest word on each cause. */
function causesSaid(live: readonly Entry[]): Map<string, EntryBodies['cause-said']['verdict']> {
  return new Map(ofKind(live, 'cause-said').map(({ body }) => [body.fault, body.verdict]))
}

/** The cause that was confirmed, if any. */
export function confirmedCause(live: readonly Entry[]): string | undefined {
  return [...causesSaid(live)].findLast(([, verdict]) => verdict === 'it-was-this')?.[0]
}

/**
 * What a closed visit teaches about its kind of pump: what the bench found, else the cause that was confirmed. An open
 * visit teaches nothing yet.
 */
export function causeTaught({
  handedOver,
  postMortem,
  confirmed,
}: {
  handedOver?: object
  postMortem?: { fault: string }
  confirmed?: string
}): string | undefined {
  return postMortem?.fault ?? (handedOver ? confirmed : undefined)
}
