import { partsPrice } from '../diagnosis/part-price'
import { KIND_KNOWLEDGE } from '../knowledge/faults/kinds'
import type { ActionRow } from '../knowledge/faults/model-types'
import { harmInfo, type Harm } from '../knowledge/practice/harms'
import type { LampHelp } from '../knowledge/practice/lamp-help'
import { CAN_IN_REACH, type Fault } from '../knowledge/vocabulary'
import { MOTOR_HAS } from '../motor/nameplate'
import { sumOfCents, cents } from '../quantity/money'
import { AS_FOUND, type Hands, type Parted } from '../virtual/bench/hands'
import type { VirtualMachine } from '../virtual/machine'
import type { Entry } from '../visit/entry'
import { foldVisit, type VisitState } from '../visit/fold'
import { turnedBy } from '../visit/fold-work'
import { repairOf } from '../visit/job'
import type { Shop } from '../visit/shop'
import { liveEntries } from '../visit/supersession'
import { FAULT_TRAITS } from '../knowledge/faults/fault-traits'
import { motorHas } from '../diagnosis/model'
import type { PracticeCase } from './practice-case'
import { actsOf, type TryLine, type TryLineOf } from './try'

/** What was spent so far, in the shop’s currency, and where. */
export interface Spent {
  trip: number
  labour: number
  parts: number
  total: number
}

/** Where a try stands: its visit, the machine as it physically is by now, and what was done to it. */
export interface TryState {
  begun: TryLineOf<'begun'>
  lamp: LampHelp
  entries: Entry[]
  visit: VisitState
  hands: Hands
  machine: VirtualMachine
  /** Repairs that are done, by id. */
  repairs: string[]
  /** What they cure. */
  cured: string[]
  /** Faults that were there from the start and are there still. */
  left: Fault[]
  /** What was broken on the way. */
  broken: Fault[]
  reads: TryLineOf<'read'>[]
  harms: TryLineOf<'harmed'>[]
  minutes: number
  spent: Spent
  ended?: TryLineOf<'ended'>
}

const MINUTE = 60_000

/**
 * Folds a try. Same case, same lines, same state, on every machine.
 *
 * @returns undefined where nothing has begun it, or its visit was not opened
 */
export function foldTry(practice: PracticeCase, lines: readonly TryLine[]): TryState | undefined {
  const begun = actsOf(lines, 'begun')[0]
  const entries = actsOf(lines, 'wrote').map(({ body }) => body.entry)
  const visit = foldVisit(entries)
  if (!begun || !visit) return undefined
  const { shop } = begun.body
  const harms = actsOf(lines, 'harmed')
  const repairs = repairsDone(visit, shop)
  const cured = repairs.flatMap((id) => actionOf(practice, id)?.cures ?? [])
  const broken = brokenBy(practice, harms, lines, visit)
  const minutes = ((lines.at(-1) as TryLine).at - begun.at) / MINUTE
  const ended = actsOf(lines, 'ended')[0]
  return {
    begun,
    lamp: actsOf(lines, 'lamp').at(-1)?.body.is ?? begun.body.lamp,
    entries,
    visit,
    hands: handsOf(practice, lines, visit),
    machine: machineAfter(practice, cured, broken),
    repairs,
    cured,
    left: practice.faults.filter((fault) => !cured.includes(fault)),
    broken,
    reads: actsOf(lines, 'read'),
    harms,
    minutes,
    spent: spentOn(practice, repairs, minutes, shop),
    ...(ended ? { ended } : {}),
  }
}

/** A repair of this kind of machine by its id; a job that cures nothing is none. */
export function actionOf({ pump }: Pick<PracticeCase, 'pump'>, id: string): ActionRow | undefined {
  return KIND_KNOWLEDGE[pump.kind].actions.find((action) => action.id === id)
}

/**
 * What is done by now: all of a round that is closed, and of the one under way what has its last step on the way down
 * and at the work behind it.
 */
function repairsDone(visit: VisitState, shop: Shop): string[] {
  const before = visit.rounds.flatMap(({ jobs }) => jobs)
  const plan = repairOf(visit, shop, {})
  const worked = (plan?.steps ?? []).filter(({ phase }) => phase === 'down' || phase === 'work')
  const isWorked = worked.length > 0 && worked.every(({ id }) => visit.steps.get(id)?.done)
  return [...before, ...(isWorked ? visit.agreed : [])]
}

/** Machines after a repair, one object for one state: what they do is worked out once. */
const machines = new WeakMap<PracticeCase, Map<string, VirtualMachine>>()
function machineAfter(practice: PracticeCase, cured: readonly string[], broken: readonly Fault[]): VirtualMachine {
  const known = machines.get(practice) ?? new Map<string, VirtualMachine>()
  machines.set(practice, known)
  const key = JSON.stringify([[...new Set(cured)].sort(), broken])
  const machine = known.get(key) ?? practice.machineAfter(cured, broken)
  known.set(key, machine)
  return machine
}

/** What the harm that was done has broken, and no repair since has made good. */
function brokenBy(
  { machine }: PracticeCase,
  harms: readonly TryLineOf<'harmed'>[],
  lines: readonly TryLine[],
  visit: VisitState,
): Fault[] {
  const order = new Map(lines.map(({ id }, index) => [id, index]))
  const renewedSince = (id: string): ReadonlySet<string> => {
    const from = order.get(id) as number
    const fresh = lines.slice(from).flatMap((line) => (line.act === 'wrote' ? [line.body.entry.id] : []))
    const steps = new Set(fresh)
    const worked = visit.entries.some(({ id: entry, kind }) => kind === 'step' && steps.has(entry))
    const jobs = worked ? [...visit.rounds.flatMap((round) => round.jobs), ...visit.agreed] : []
    return new Set(jobs.flatMap((job) => actionOf({ pump: visit.pump }, job)?.cures ?? []))
  }
  return harms.flatMap(({ id, body }) => {
    const fault = harmInfo(body.harm).breaks?.find((each) => canBreak(machine, each))
    return fault && !renewedSince(id).has(fault) ? [fault] : []
  })
}

/** Can this machine have the fault at all? */
function canBreak({ kind, motorType }: VirtualMachine, fault: Fault): boolean {
  if (fault === 'nothing-wrong') return false
  const known = KIND_KNOWLEDGE[kind].faults.some((row) => row.fault === fault)
  return known && motorHas(motorType, FAULT_TRAITS[fault].needs)
}

/** How the machine stands under the hands: its gates, what was parted, whether it has let go, what a can holds. */
function handsOf({ machine }: PracticeCase, lines: readonly TryLine[], visit: VisitState): Hands {
  const live = new Set(liveEntries(visit.entries).map(({ id }) => id))
  const parted = new Set<Parted>()
  let { asked, tripped, charged, power } = AS_FOUND
  const holds = CAN_IN_REACH.includes(machine.kind) && hasCan(machine)
  for (const line of lines) {
    if (line.act === 'asked') asked = line.body.asked
    else if (line.act === 'tripped') tripped = true
    else if (line.act === 'parted') {
      if (line.body.apart) parted.add(line.body.what)
      else parted.delete(line.body.what)
    } else if (line.act === 'wrote' && live.has(line.body.entry.id)) turn(line.body.entry)
  }
  const { gates } = visit
  return {
    power,
    tripped,
    asked,
    charged,
    parted,
    electronicsOff: gates.has('electronics-disconnected'),
    pulled: gates.has('pulled'),
  }

  function turn(entry: Entry): void {
    const turned = turnedBy(entry)
    if (!turned) return
    const { gate, shut } = turned.body
    if (gate === 'power-on') turnPower(shut)
    if (gate === 'power-off') turnPower(!shut)
    if ((gate === 'discharged' || gate === 'drive-discharged') && shut) charged = false
  }
  function turnPower(on: boolean): void {
    // What a can held stays in it until somebody bleeds it.
    if (power && !on) charged = holds
    if (on) tripped = false
    power = on
  }
}

function hasCan({ motorType }: VirtualMachine): boolean {
  return MOTOR_HAS.runCapacitor(motorType) || MOTOR_HAS.startCapacitor(motorType) || motorType === 'electronic'
}

/** The journey, the minutes by the clock, and the parts of what was done. */
export function spentOn(
  practice: Pick<PracticeCase, 'pump'>,
  repairs: readonly string[],
  minutes: number,
  { rates }: Pick<Shop, 'rates'>,
): Spent {
  const trip = cents(rates.trip)
  const labour = cents((minutes / 60) * rates.hourly)
  const parts = sumOfCents(
    repairs.map((id) => cents(partsPrice(actionOf(practice, id)?.parts ?? [], rates, practice.pump))),
  )
  return { trip, labour, parts, total: sumOfCents([trip, labour, parts]) }
}

/** The ids of what was harmed, for whoever only counts. */
export const harmsIn = ({ harms }: Pick<TryState, 'harms'>): Harm[] => harms.map(({ body }) => body.harm)
