import { checkKey, type Asked } from '#core/diagnosis/finding'
import { gatesFor } from '#core/diagnosis/gates'
import { buildModel } from '#core/diagnosis/model'
import { SAFETY } from '#core/knowledge/checks/safety'
import type { Gate } from '#core/knowledge/vocabulary'
import { byHand, closedByPlan, part, probe, turnControl, writing } from '#core/practice/acting'
import { isOfBench } from '#core/practice/by-hand'
import { foldTry, type TryState } from '#core/practice/fold-try'
import { inPlace } from '#core/practice/offered'
import { findingOf } from '#core/practice/readings'
import { openingOf } from '#core/practice/opening'
import type { PracticeCase, PracticeData } from '#core/practice/practice-case'
import { instantAfter } from '#core/practice/practice-clock'
import type { TryDraft, TryLine } from '#core/practice/try'
import { chance, type Chance } from '#core/quantity/random'
import { US_READER } from '#core/quantity/sentence'
import { placesFor } from '#core/virtual/bench/places'
import { considerationOf, repairOf } from '#core/visit/job'
import { ENTRY_VERSION, type Entry, type EntryBodies, type EntryKind } from '#core/visit/entry'
import { UNNAMED_SHOP } from '#core/visit/shop'
import { pickAsked } from '#core/diagnosis/finding'

const START = Date.parse('2026-03-02T08:00:00.000Z')
const MOST_CHECKS = 30
const MOST_ROUNDS = 4

/** Somebody at the bench who acts as a program does: the same acts, lines and clock as a person’s. */
export class BenchHand {
  readonly lines: TryLine[] = []
  #next = 0
  constructor(readonly practice: PracticeCase) {
    this.#add([
      {
        act: 'begun',
        body: { of: {} as PracticeData, number: 1, lamp: 'off', author: 'a learner', shop: UNNAMED_SHOP },
        minutes: 0,
      } as TryDraft,
    ])
    const { opened, call } = openingOf(practice, 'try', new Date(START).toISOString())
    this.#entry('visit-opened', opened, 0)
    this.#entry('call', call, 0)
  }

  get state(): TryState {
    return foldTry(this.practice, this.lines) as TryState
  }

  #id = () => String(this.#next++).padStart(6, '0')

  #add(drafts: readonly TryDraft[]): void {
    for (const { act, body, minutes } of drafts)
      this.lines.push({
        id: this.#id(),
        at: instantAfter(this.lines.at(-1)?.at ?? START, {}, 0, minutes),
        act,
        body,
      } as TryLine)
  }

  #entry<K extends EntryKind>(kind: K, body: EntryBodies[K], minutes: number): void {
    const at = instantAfter(this.lines.at(-1)?.at ?? START, {}, 0, minutes)
    const entry = {
      id: this.#id(),
      v: ENTRY_VERSION,
      lamport: this.#next,
      visitId: 'try',
      kind,
      at: new Date(at).toISOString(),
      author: 'a learner',
      body,
    } as unknown as Entry
    this.lines.push({ id: this.#id(), at, act: 'wrote', body: { entry } })
  }

  write<K extends EntryKind>(kind: K, body: EntryBodies[K]): void {
    const { minutes, after } = writing(this.state, kind, body)
    this.#entry(kind, body, minutes)
    this.#add(after)
  }

  gate(gate: Gate, shut = true): void {
    if (this.state.visit.gates.has(gate) !== shut) this.write('gate', { gate, shut })
  }

  /** Makes a check with everything it asks for done first, and writes what it read. @returns whether it could */
  check(asked: Asked, isCareful = true): boolean {
    const { kind } = this.practice.pump
    const { visit } = this.state
    if (isCareful) this.#prepareFor(gatesFor(asked, kind, visit.plate))
    const before = this.state.reads.length
    if (isOfBench(asked.check)) {
      const places = placesFor(asked, this.state.machine)
      if (!places) return false
      for (const what of places.parted ?? [])
        if (!this.state.hands.parted.has(what)) this.#add(part(this.state, what, true).drafts ?? [])
      if (places.asked !== undefined && places.asked !== this.state.hands.asked)
        this.#add(turnControl(this.state, places.asked))
      this.#add(probe(this.practice, this.state, places.probing, asked))
    } else this.#add(byHand(this.practice, this.state, asked).drafts ?? [])
    const read = this.state.reads[before]
    if (read) this.write('finding', { ...findingOf(read.body), ...asked, stage: 'test' } as EntryBodies['finding'])
    else this.write('check-skipped', asked)
    return read !== undefined
  }

  #prepareFor(gates: readonly Gate[]): void {
    const isLive = gates.includes('power-on')
    // What was parted to be read is put together again before it runs.
    if (isLive && this.state.hands.parted.size > 0) {
      for (const gate of ['power-off', 'proved-dead', 'discharged'] as const) this.gate(gate)
      for (const what of this.state.hands.parted) this.#add(part(this.state, what, false).drafts ?? [])
    }
    if (isLive)
      for (const gate of ['wet-end-open', 'pulled', 'electronics-disconnected'] as const) this.gate(gate, false)
    if (isLive && this.state.visit.gates.has('power-off') && !gates.includes('primed')) this.gate('primed')
    // What is opened to be run afterwards is opened as safely as anything.
    if (isLive && gates.includes('wet-end-open') && !this.state.visit.gates.has('wet-end-open'))
      for (const gate of ['power-off', 'proved-dead', 'valves-shut', 'depressurised', 'wet-end-open'] as const)
        this.gate(gate)
    for (const gate of gates) if (gate !== 'hands-clear') this.gate(gate)
    if (isLive && !this.state.hands.asked) this.#add(turnControl(this.state, true))
  }

  /** Does a repair as it is planned, every step. @returns whether a plan leads to it from here */
  repair(id: string): boolean {
    this.write('decision', { option: id })
    for (let step = 0; step < 400; step++) {
      const { visit } = this.state
      const next = repairOf(visit, UNNAMED_SHOP, {})?.steps.find(({ id: each }) => !visit.steps.get(each)?.done)
      if (!next) break
      this.write('step', { step: next.id, done: true, estimate: next.estimate })
    }
    const closed = closedByPlan(this.state)
    if (closed) this.#entry('gate', { gate: closed, shut: false }, 0)
    return this.state.repairs.includes(id)
  }

  /** It did not prove: what was mended for nothing is not the cause. */
  comeBack(): void {
    this.write('comeback', { failed: [] })
    const faults = new Set(buildModel(this.practice.pump).hypotheses.flatMap((each) => each.faults))
    for (const fault of new Set(this.state.cured))
      if (faults.has(fault)) this.write('cause-said', { fault, verdict: 'not-this' })
  }
  end(how: 'handed-over' | 'given-up'): void {
    this.#add([{ act: 'ended', body: { how }, minutes: 5 } as TryDraft])
  }
}

/** What somebody does next: a check, or a repair, or nothing more. */
export type Choosing = (hand: BenchHand, dice: Chance) => { check: Asked } | { repair: string } | undefined

/** Works a case through with a way of choosing. */
export function learn(practice: PracticeCase, choose: Choosing, seed: number): BenchHand {
  const hand = new BenchHand(practice)
  const dice = chance(seed)
  for (let round = 0; round < MOST_ROUNDS; round++) {
    let chosen = choose(hand, dice)
    for (let turn = 0; chosen && 'check' in chosen && turn < MOST_CHECKS; turn++) {
      hand.check(chosen.check)
      chosen = choose(hand, dice)
    }
    if (!chosen || !('repair' in chosen) || !hand.repair(chosen.repair)) break
    if (hand.state.left.length === 0) break
    hand.comeBack()
  }
  hand.end(hand.state.left.length === 0 ? 'handed-over' : 'given-up')
  return hand
}

const consideration = (hand: BenchHand) =>
  considerationOf(hand.state.visit, UNNAMED_SHOP, {}, {}, { system: US_READER.system })

/** Does what the lamp says. */
export const byLamp: Choosing = (hand) => {
  const { diagnosis } = consideration(hand)
  if (diagnosis.next && !diagnosis.settled) return { check: pickAsked(diagnosis.next) }
  return diagnosis.bestAction ? { repair: diagnosis.bestAction } : undefined
}

const known = (hand: BenchHand) => new Set(hand.state.visit.findings.map(({ finding }) => checkKey(finding)))
const possible = (hand: BenchHand) => {
  const made = known(hand)
  const { visit } = hand.state
  return buildModel(visit.pump)
    .checks.map(pickAsked)
    .filter((asked) => !made.has(checkKey(asked)) && !visit.skipped.includes(checkKey(asked)))
}

/** Makes any six checks, and then any repair that the lamp does not hold to be out of the question. */
export const byChance: Choosing = (hand, dice) => {
  const since = hand.state.visit.comebacks.length * 3 + 6
  const left = possible(hand)
  const { visit } = hand.state
  const made = visit.findings.length + visit.skipped.length
  if (made < since && left.length > 0) return { check: dice.pick(left) }
  const tried = new Set([...visit.rounds.flatMap(({ jobs }) => jobs)])
  const actions = buildModel(visit.pump).actions.filter(
    (action) => inPlace(action) && !action.onlyUnderWarranty && !tried.has(action.id),
  )
  return actions.length > 0 ? { repair: dice.pick(actions).id } : undefined
}

/** Checks in the order of a book, ten of them, and then what the readings speak for most. */
export const byBook =
  (order: readonly string[]): Choosing =>
  (hand) => {
    const { diagnosis, options } = consideration(hand)
    const left = possible(hand).filter(({ check }) => order.includes(check))
    const next = left.sort((a, b) => order.indexOf(a.check) - order.indexOf(b.check))[0]
    const sure = options.find(({ chanceRight }) => chanceRight > 0.85)
    const isBarred = Object.values(SAFETY).some(({ reason }) => diagnosis.safety.includes(reason))
    if (sure && hand.state.visit.findings.length > 2) return { repair: sure.id }
    if (next && !(isBarred && gatesFor(next, hand.practice.pump.kind, hand.state.visit.plate).includes('power-on')))
      return { check: next }
    return diagnosis.bestAction ? { repair: diagnosis.bestAction } : undefined
  }
