import { checkKey, type Asked } from '../diagnosis/finding'
import { judgeFinding } from '../diagnosis/judge-finding'
import { accessGateOf, gateMinutes, gatesFor } from '../diagnosis/gates'
import type { Verdict } from '../judgement/judgement'
import { checkInfo } from '../knowledge/checks/checks'
import { UNPRIMED } from '../knowledge/checks/reach'
import type { Harm } from '../knowledge/practice/harms'
import type { Gate } from '../knowledge/vocabulary'
import { chance } from '../quantity/random'
import { answer, type Question } from '../virtual/answer'
import { PARTED, type Parted } from '../virtual/bench/hands'
import { letsGo, meterShows, TEST_VOLTS, type MeterShows, type Probing } from '../virtual/bench/meter'
import { benchReads, type BenchRead } from '../virtual/bench/reads'
import type { EntryBodies, EntryKind } from '../visit/entry'
import { turnedBy } from '../visit/fold-work'
import { repairOf } from '../visit/job'
import type { TryState } from './fold-try'
import type { PracticeCase } from './practice-case'
import { findingOf, type Reading } from './readings'
import { draft, type TryDraft } from './try'

/** What came of an act: lines to write, or why it cannot be done. */
export type Acted = { drafts: TryDraft[]; refused?: undefined } | { refused: string; drafts?: undefined }

/** Minutes that a touch takes: a wire off, a handle turned, a figure looked at that no check is read by. */
const TOUCH = 1
/** Minutes of what is written and not measured. */
const WRITING: Partial<Record<EntryKind, number>> = { decision: 3, 'handed-over': 5 }
const OF_STAGE: Partial<Record<string, number>> = { call: 3, prepare: 2 }
const USUAL_STEP = 3
/** Checks at the supply itself, which the machine behind it takes no part in. */
const AT_SUPPLY: ReadonlySet<string> = new Set(['breaker', 'gfci', 'interlock', 'float-bypass'])
const INSIDE: ReadonlySet<Gate> = new Set<Gate>(['power-off', 'proved-dead'])

const dice = (practice: PracticeCase, state: TryState, more = 0) =>
  chance((practice.seed + 977 * (state.reads.length + 1) + 31 * more) >>> 0)

/** A check by eyes, ears, hands or a gauge. What it needs and has not is either impossible, or it is harm. */
export function byHand(practice: PracticeCase, state: TryState, question: Question): Acted {
  const info = checkInfo(question.check)
  if (!info) return { refused: 'Nothing here is called that.' }
  const asked = question as Asked
  const { visit } = state
  const gates = gatesFor(asked, visit.pump.kind, visit.plate, visit.standing)
  const held = (gate: Gate) => visit.gates.has(gate)
  const access = accessGateOf(visit.pump.kind)
  if (gates.includes(access) && !held(access))
    return { refused: access === 'pulled' ? 'It is down in its water: pull it first.' : 'It is closed: open it first.' }
  if (gates.includes('power-on') && !AT_SUPPLY.has(question.check)) {
    const why = whyStill(state, gates.includes(access))
    if (why) return { refused: why }
  }
  const harms = handsInside(state, gates)
  // Who is hurt reads nothing.
  if (harms.some((harm) => harm === 'live-hands' || harm === 'charged-hands'))
    return { drafts: [...harmed(harms, question.check), draft('waited', { minutes: info.minutes }, info.minutes)] }
  const told = answer(state.machine, question, dice(practice, state), 0)
  return {
    drafts: [
      ...harmed(harms, question.check),
      draft('read', { question, answer: told, by: 'hands', minutes: info.minutes }, info.minutes),
    ],
  }
}

/**
 * Why nothing turns that could be listened to or read while it runs.
 *
 * @param isOpened it is run opened up, on purpose
 */
function whyStill({ hands, visit }: TryState, isOpened: boolean): string | undefined {
  if (!hands.power) return 'The power is off: nothing runs.'
  if (hands.tripped) return 'The supply has let go: nothing runs until it is reset.'
  if (!isOpened && visit.gates.has(accessGateOf(visit.pump.kind))) return 'It is open: close it before it runs.'
  return hands.asked ? undefined : 'It is turned off at its own control.'
}

/** What it is to reach inside now. */
function handsInside({ hands, visit }: TryState, gates: readonly Gate[]): Harm[] {
  if (!gates.some((gate) => INSIDE.has(gate))) return []
  if (hands.power && !hands.tripped) return ['live-hands']
  const harms: Harm[] = []
  if (gates.includes('proved-dead') && !visit.gates.has('proved-dead')) harms.push('not-proved')
  const bleeds = gates.includes('discharged') || gates.includes('drive-discharged')
  if (bleeds && hands.charged) harms.push('charged-hands')
  return harms
}

const harmed = (harms: readonly Harm[], at: string): TryDraft[] => harms.map((harm) => draft('harmed', { harm, at }))

/** What the bench shows now, and what it can be a reading of. It is looked at, not yet written. */
export interface OnBench {
  shows: MeterShows
  reads: BenchRead[]
}

export function onBench(practice: PracticeCase, state: TryState, probing: Probing): OnBench {
  const shows = meterShows(state.machine, state.hands, probing, dice(practice, state, probing.dial.length))
  return { shows, reads: benchReads(state.machine, state.hands, probing, shows) }
}

/** Leads on, dial set, and the figure stands: it costs its minutes, and what a meter does not forgive is harm. */
export function probe(practice: PracticeCase, state: TryState, probing: Probing, lit?: Asked): TryDraft[] {
  const { shows, reads } = onBench(practice, state, probing)
  if (shows.is === 'nothing') return []
  if (shows.is === 'harm') return [draft('harmed', { harm: shows.harm, at: probing.dial }, TOUCH)]
  const { hands } = state
  const before: Harm[] =
    hands.power || probing.dial === 'volts' || state.visit.gates.has('proved-dead') ? [] : ['not-proved']
  if ((TEST_VOLTS[probing.dial] ?? 0) > 500) before.push('over-volts')
  const read = readFor(reads, lit)
  if (!read) {
    if (shows.is === 'shorted-can') return [...harmed(before, probing.dial), draft('waited', { minutes: TOUCH }, TOUCH)]
    const value = shows.is === 'figure' ? shows.value : null
    return [
      ...harmed(before, probing.dial),
      draft('probed', { probing, unit: shows.unit, value, minutes: TOUCH }, TOUCH),
    ]
  }
  const minutes = checkInfo(read.question.check)?.minutes ?? TOUCH
  return [
    ...harmed(before, read.question.check),
    draft(
      'read',
      { ...read, by: 'bench', minutes, ...(shows.is === 'figure' ? { low: shows.low, high: shows.high } : {}) },
      minutes,
    ),
  ]
}

/** The reading that the lit check asks for, else the likeliest. */
function readFor(reads: readonly BenchRead[], lit?: Asked): BenchRead | undefined {
  const key = lit && checkKey(lit)
  return (
    reads.find(({ question }) => checkKey(question as Asked) === key) ??
    reads.find(({ question }) => question.check === lit?.check) ??
    reads[0]
  )
}

/** Volts of each line to ground and line to line where the motor begins, as they are read to prove it dead. */
export function linesRead(state: TryState): { line: string; volts: number }[] {
  const { machine, hands } = state
  const [one, other] = machine.kind === 'sump' ? (['h1', 'h2'] as const) : (['t1', 't2'] as const)
  const volts = (a: string, b: string) => {
    const shows = meterShows(machine, hands, { dial: 'volts', a, b }, chance(1))
    return shows.is === 'figure' ? Math.round(shows.value) : 0
  }
  return [
    { line: 'line 1 to ground', volts: volts(one, 'ground') },
    { line: 'line 2 to ground', volts: volts(other, 'ground') },
    { line: 'line to line', volts: volts(one, other) },
  ]
}

/** The pump is turned on or off at its own control. */
export function turnControl(state: TryState, asked: boolean): TryDraft[] {
  const after = { ...state.hands, asked }
  return [
    draft('asked', { asked }, TOUCH),
    ...(!state.hands.tripped && letsGo(state.machine, after) ? [draft('tripped', {})] : []),
    ...(asked && state.hands.power ? harmed(poweredUp(state), 'power-on') : []),
  ]
}

/** A wire is taken off or put back. */
export function part(state: TryState, what: Parted, apart: boolean): Acted {
  if (what === 'splice' && !state.hands.pulled) return { refused: 'The splice is down the well: pull the pump first.' }
  const inside: Gate[] = ['power-off', 'proved-dead', ...(what === 'splice' ? [] : (['discharged'] as const))]
  return { drafts: [...harmed(handsInside(state, inside), PARTED[what]), draft('parted', { what, apart }, TOUCH)] }
}

/** Minutes that a line of the visit takes in life, and the harm that lies in it. */
export function writing<K extends EntryKind>(
  state: TryState,
  kind: K,
  body: EntryBodies[K],
): { minutes: number; after: TryDraft[] } {
  const entry = { kind, body, at: '' } as never
  const turned = turnedBy(entry)
  const minutes = minutesOf(state, kind, body)
  if (kind === 'finding' && !wasRead(state, body as EntryBodies['finding']))
    return { minutes, after: harmed(['not-read'], (body as EntryBodies['finding']).check) }
  if (!turned?.body.shut) return { minutes, after: [] }
  const { gate } = turned.body
  // What a plan puts the power on for it has closed before.
  const harms = harmOfGate(state, gate).filter((harm) => harm !== 'power-open' || kind !== 'step')
  const trips =
    gate === 'power-on' && letsGo(state.machine, { ...state.hands, power: true, tripped: false })
      ? [draft('tripped', {})]
      : []
  return { minutes, after: [...harmed(harms, gate), ...trips] }
}

/** Minutes of a step that is ticked: what the printed plan gives it. */
export function stepMinutes({ done, estimate }: EntryBodies['step']): number {
  return done ? (estimate ?? USUAL_STEP) : 0
}

/** A step of a repair that turns no gate: nothing follows from it but its minutes. */
export function isPlainStep(kind: EntryKind, body: object): boolean {
  return kind === 'step' && turnedBy({ kind, body, at: '' } as never) === undefined
}

/** As written as it was shown, within what is rounded away. */
const ROUNDED = 0.03

/** Was this shown by anything, or is it a figure that nobody measured? */
function wasRead({ reads }: TryState, { check, value, outcome }: EntryBodies['finding']): boolean {
  return reads.some(({ body: { question, answer: told } }) => {
    if (question.check !== check) return false
    if (outcome !== undefined) return told.outcome === outcome
    if (typeof value !== 'number' || typeof told.value !== 'number') return told.value === value
    return Math.abs(told.value - value) <= ROUNDED * Math.max(Math.abs(value), 1)
  })
}

function minutesOf<K extends EntryKind>(state: TryState, kind: K, body: EntryBodies[K]): number {
  if (kind === 'gate') {
    const { gate, shut } = body as EntryBodies['gate']
    const isAccess = gate === accessGateOf(state.visit.pump.kind)
    // What was opened is closed again; every other handle is given back in a moment.
    return shut || isAccess ? gateMinutes(gate, state.visit.pump) : 0
  }
  if (kind === 'step') return stepMinutes(body as EntryBodies['step'])
  if (kind === 'finding') {
    const finding = body as EntryBodies['finding']
    return wasRead(state, finding) ? 0 : (checkInfo(finding.check)?.minutes ?? 0)
  }
  if (kind === 'joint-done') return OF_STAGE[(body as EntryBodies['joint-done']).joint] ?? 0
  return WRITING[kind] ?? 0
}

function harmOfGate(state: TryState, gate: Gate): Harm[] {
  const { visit } = state
  const held = (each: Gate) => visit.gates.has(each)
  if (gate === 'power-on') return poweredUp(state)
  // Zeros that were written while it is live were read off nothing.
  if (gate === 'proved-dead') return state.hands.power && !state.hands.tripped ? ['not-read'] : []
  if (gate === 'wet-end-open' || gate === 'pulled') {
    const harms = handsInside(state, ['power-off', 'proved-dead'])
    const isSump = visit.pump.kind === 'sump'
    if (gate === 'wet-end-open' && !held('depressurised')) harms.push('under-pressure')
    if (gate === 'pulled' && isSump && !held('battery-disconnected')) harms.push('backup-runs')
    if (gate === 'pulled' && !isSump && !held('string-secured')) harms.push('string-loose')
    return harms
  }
  return gate === 'electronics-disconnected' || gate === 'discharged' ? handsInside(state, ['power-off']) : []
}

/**
 * What a repair has closed behind itself, and a gate still says is open: the pump is in its water again.
 *
 * @returns the gate that stands open no more, once the last step of the plan is done
 */
export function closedByPlan({ visit, begun }: TryState): Gate | undefined {
  const access = accessGateOf(visit.pump.kind)
  if (!visit.gates.has(access)) return undefined
  const plan = repairOf(visit, begun.body.shop, {})
  return plan && !plan.endsOpen && plan.steps.every(({ id }) => visit.steps.get(id)?.done) ? access : undefined
}

/** What power on is now, by what whoever puts it on can know. */
function poweredUp({ visit, reads, hands }: TryState): Harm[] {
  const harms: Harm[] = []
  const newest = (check: string) => reads.findLast(({ body }) => body.question.check === check)
  const insulation = newest('insulation-resistance')
  const isFailed = insulation && verdictOf(visit, insulation.body) === 'failed'
  const shaft = newest('shaft-turn')
  const letGo = reads.findLast(({ body }) => body.answer.outcome === 'trips-again')
  const told = visit.call.complaints.some((complaint) => complaint === 'trips-breaker' || complaint === 'trips-gfci')
  const isReadSince = insulation && !isFailed && (letGo === undefined || insulation.at > letGo.at)
  const isMended = isMendedSince(Math.max(insulation?.at ?? 0, letGo?.at ?? 0))
  if ((hands.tripped || told || letGo) && !isReadSince && !isMended) harms.push('power-after-trip')
  if (isFailed && !isMendedSince(insulation.at)) harms.push('power-grounded')
  if (shaft?.body.answer.outcome === 'seized' && !isMendedSince(shaft.at)) harms.push('power-seized')
  const access = accessGateOf(visit.pump.kind)
  const isOpen = visit.gates.has(access)
  // A motor without its wet end is run alone for a moment, its shaft guarded: nothing else is run opened up.
  if (isOpen && !(access === 'wet-end-open' && visit.gates.has('guards-on'))) harms.push('power-open')
  const turnedAt = (gate: Gate) =>
    visit.entries.findLastIndex((entry) => entry.kind === 'gate' && entry.body.gate === gate && entry.body.shut)
  // The way back of a repair fills it again before its power is on.
  const filledAt = Math.max(
    turnedAt('primed'),
    visit.entries.findLastIndex((entry) => entry.kind === 'step' && entry.body.step.startsWith('back:')),
  )
  if (!isOpen && turnedAt('wet-end-open') > filledAt && !UNPRIMED.has(visit.pump.kind)) harms.push('run-dry')
  return harms

  // What was replaced since is no longer what was read.
  function isMendedSince(at: number): boolean {
    return visit.entries.some((entry) => entry.kind === 'step' && entry.body.done && Date.parse(entry.at) > at)
  }
}

/** What a reading says of this machine. */
function verdictOf({ pump, plate }: TryState['visit'], { question, answer: told }: Reading): Verdict {
  return judgeFinding(findingOf({ question, answer: told }), { pump, plate, findings: [] }).verdict
}
