import { diagnose, type Diagnosis } from '../diagnosis/diagnose'
import { ModelShelf } from '../diagnosis/model-shelf'
import { understand } from '../language/understand'
import type { Understanding } from '../language/understanding'
import type { Gate, Part, Standing } from '../knowledge/vocabulary'
import type { Nameplate } from '../motor/nameplate'
import { cents } from '../quantity/money'
import { render, US_READER } from '../quantity/sentence'
import { countingRecords } from '../takedown/progress'
import { jobRow, jobsHere } from '../takedown/step-plan'
import { splitStep } from '../takedown/split-step'
import type { StepPhase, TakeDownStep } from '../takedown/plan'
import { isClosing, isOpening, jointOf, opening, parseJoint } from '../takedown/step-ref'
import { badField } from '../validation/input-error'
import type { Customer, Entry, EntryBodies, EntryKind, Machine, ProofOutcome } from './entry'
import { foldVisit, type VisitState } from './fold'
import { jobOf, repairOf, type Job } from './job'
import { draftsOf } from './line-entries'
import { sceneOf } from './line-scene'
import { linesOf } from './price-lines'
import { nextProof, proofListOf } from './proving'
import type { Shop } from './shop'
import { canClose, followsFrom } from './step-answer'

/** One deed of a script: a line as it is typed, or what a finger does on the screens. */
export type Deed =
  | string
  | { gate: Gate; shut?: boolean; lines?: { line: string; volts: number }[] }
  | { choose: 'best' | string[] }
  | {
      tick: string
      count?: number
      places?: { place: string; count: number }[]
      reason?: string
      answer?: string
      damaged?: boolean | Part
      wontOpen?: boolean
    }
  | { spareFirst: boolean }
  | { until: string }
  | { measured: EntryBodies['take-down-measured'] }
  | { plate: Nameplate; part?: Part; identity?: string; warrantyUntil?: string }
  | { job: string; state: EntryBodies['job']['state']; why?: string }
  | { prove: string }
  | { proof: string; outcome: ProofOutcome; why?: string }
  | { comeback: boolean }
  | { postMortem: EntryBodies['post-mortem'] }
  | { handOver: { watch?: string; next?: string; agreed?: number } }

export interface Script {
  machine: Omit<Machine, 'id' | 'customerId' | 'name'> & { name?: string; standing?: Standing }
  place?: string
  call: { complaints: string[]; says: string; alreadyReplaced: string[]; wishes: string[] }
  do: readonly Deed[]
}

/** What the program made of one typed line. */
export interface AfterLine {
  line: string
  understood: Pick<Understanding, 'findings' | 'other' | 'note'> & {
    ask: { question: string; choices: string[] } | null
  }
  /** What is lit then: the next check, or what to do. */
  lit: { check?: string; part?: string; action?: string } | null
  top: { fault: string; probability: number }[]
  settled: boolean
}
/** A step that could not be closed, and why. */
export interface Refused {
  at: number
  step: string
  because: string
}
export interface Played {
  state: VisitState
  job: Job
  after: AfterLine[]
  refused: Refused[]
}

const DAY = Date.UTC(2026, 5, 2, 8)
const MINUTE = 60_000
const ALL: readonly StepPhase[] = ['down', 'work', 'back', 'commission']
const PHASES: Readonly<Record<string, readonly StepPhase[]>> = {
  down: ['down'],
  work: ['down', 'work'],
  back: ['down', 'work', 'back'],
  commission: ALL,
  all: ALL,
}

/**
 * Plays a whole visit from its script: every line through the same understanding, every tick into the same journal, as
 * the screens do it. No clock and no chance: a minute passes at every deed.
 *
 * @throws InputError naming the deed that cannot be done: a job or a step that is none here
 */
export function playScript(script: Script, shop: Shop, models = new ModelShelf()): Played {
  return new Play(script, shop, models).run()
}

class Play {
  readonly #entries: Entry[] = []
  #folded?: VisitState
  readonly #after: AfterLine[] = []
  readonly #refused: Refused[] = []
  #visit = id(0)
  #at = 0
  constructor(
    private readonly script: Script,
    private readonly shop: Shop,
    private readonly models: ModelShelf,
  ) {}

  run(): Played {
    this.#open()
    for (const [index, deed] of this.script.do.entries()) {
      this.#at = index
      this.#do(deed)
    }
    const state = this.#state()
    return { state, job: jobOf(state, this.shop), after: this.#after, refused: this.#refused }
  }

  #open(): void {
    const { machine, place = '', call } = this.script
    const { standing, name = 'the pump', ...rest } = machine
    const customer: Customer = { id: id(1), name: place || 'the customer', place }
    this.#write('visit-opened', {
      customer,
      machine: { ...rest, name, id: id(2), customerId: customer.id },
      scheduledAt: new Date(DAY).toISOString(),
      plannedMinutes: 60,
      callerSays: call.says,
    })
    const { complaints, says, alreadyReplaced, wishes } = call
    this.#write('call', { complaints, alreadyReplaced, callerSays: says })
    if (standing && standing !== 'installed') this.#write('standing', { at: standing })
    for (const job of wishes) this.#write('wish', { job })
  }

  #do(deed: Deed): void {
    if (typeof deed === 'string') this.#line(deed, 'test')
    else if ('prove' in deed) this.#line(deed.prove, 'prove')
    else if ('proof' in deed) this.#proof(deed)
    else if ('comeback' in deed) this.#comeback()
    else if ('postMortem' in deed) this.#write('post-mortem', deed.postMortem)
    else if ('gate' in deed)
      this.#write('gate', { gate: deed.gate, shut: deed.shut ?? true, ...(deed.lines ? { lines: deed.lines } : {}) })
    else if ('choose' in deed) this.#choose(deed.choose)
    else if ('tick' in deed) this.#tick(deed)
    else if ('until' in deed) this.#until(deed.until)
    else if ('spareFirst' in deed) this.#spare(deed.spareFirst)
    else if ('measured' in deed) this.#write('take-down-measured', deed.measured)
    else if ('plate' in deed) this.#plate(deed)
    else if ('job' in deed)
      this.#write('job', { job: deed.job, state: deed.state, ...(deed.why ? { why: deed.why } : {}) })
    else this.#handOver(deed.handOver)
  }

  #line(line: string, stage: 'test' | 'prove'): void {
    const before = this.#state()
    const lit = stage === 'prove' ? this.#proofReads(before) : this.#stepReads(before)
    const understood = understand(line, sceneOf(before, lit ?? this.#diagnosis(before).next))
    for (const { kind, body } of draftsOf(understood, before, stage)) this.#write(kind, body as never)
    const { findings, other, note, ask } = understood
    const now = this.#diagnosis(this.#state())
    this.#after.push({
      line,
      understood: {
        findings,
        other,
        note,
        ask: ask && { question: ask.question, choices: ask.choices.map(({ label }) => label) },
      },
      lit: now.next
        ? { check: now.next.check, ...(now.next.part ? { part: now.next.part } : {}) }
        : now.bestAction
          ? { action: now.bestAction }
          : null,
      top: now.suspects.slice(0, 5).map(({ fault, probability }) => ({ fault, probability })),
      settled: now.settled,
    })
  }

  /** Once the work has begun, a line answers the step at hand where that is a reading. */
  #stepReads(state: VisitState): TakeDownStep['reads'] {
    return state.agreed.length > 0 && state.steps.size > 0 ? this.#next(ALL)?.reads : undefined
  }

  /** In Prove, a line answers the proof at hand where that is a reading. */
  #proofReads(state: VisitState): { check: string } | undefined {
    const check = nextProof(proofListOf(state, jobOf(state, this.shop)), new Date(this.#clock()).toISOString())?.check
    return check ? { check } : undefined
  }

  #choose(chosen: 'best' | string[]): void {
    const state = this.#state()
    const { kind, construction } = state.machine
    const { options } = jobOf(state, this.shop)
    const jobs = chosen === 'best' ? options.slice(0, 1).map(({ id: job }) => job) : chosen
    const here = jobsHere(kind, construction, { motorType: state.plate.motorType, standing: state.standing })
    for (const job of jobs)
      if (!here.includes(job) && !jobRow(kind, construction, job))
        throw badField(`do.${this.#at}.choose`, job, `jobs of this machine: ${here.join(', ')}`)
    for (const [index, job] of jobs.entries())
      if (index === 0 && state.decision === undefined) this.#write('decision', { option: job })
      else this.#write('job', { job, state: 'agreed' })
  }

  #spare(spareFirst: boolean): void {
    const { decision, agreed } = this.#state()
    const option = decision ?? agreed[0]
    if (option === undefined) throw badField(`do.${this.#at}.spareFirst`, spareFirst, 'a job chosen before it')
    this.#write('decision', { option, ...(spareFirst ? { spareFirst } : {}) })
  }

  #tick(deed: Extract<Deed, { tick: string }>): void {
    const phases = PHASES[deed.tick]
    if (!phases) {
      this.#tickOne(deed)
      return
    }
    const closed = new Set<string>()
    for (let step = this.#next(phases); step; step = this.#next(phases)) {
      if (closed.has(step.id)) throw new Error(`${step.id} is to be done again after every time it is done`)
      closed.add(step.id)
      if (!this.#close(step, {})) return
    }
  }

  /** Every step before this one. */
  #until(step: string): void {
    const { steps } = this.#plan()
    if (!steps.some(({ id: each }) => each === step))
      throw badField(`do.${this.#at}.until`, step, `a step of the plan: ${steps.map((each) => each.id).join(', ')}`)
    for (let next = this.#next(ALL); next && next.id !== step; next = this.#next(ALL))
      if (!this.#close(next, {})) return
  }

  /** The step at hand, where it belongs to these phases. */
  #next(phases: readonly StepPhase[]): TakeDownStep | undefined {
    const { steps, done } = this.#plan()
    const next = steps.find(({ id: step }) => !done.has(step))
    return next && phases.includes(next.phase) ? next : undefined
  }

  #tickOne({ tick, wontOpen, damaged, ...said }: Extract<Deed, { tick: string }>): void {
    const { steps, done } = this.#plan()
    const step = named(tick, steps, done)
    if (!step)
      throw badField(`do.${this.#at}.tick`, tick, `a step of the plan: ${steps.map((each) => each.id).join(', ')}`)
    if (wontOpen) this.#write('take-down-found', { joint: jointOf(step.id) as string, what: 'stuck' })
    if (damaged)
      this.#write('take-down-found', { part: typeof damaged === 'string' ? damaged : step.part, what: 'damaged' })
    // A joint that holds stays shut; what is only found damaged is out all the same.
    if (!wontOpen) this.#close(step, said)
  }

  #close(
    step: TakeDownStep,
    { count, places, reason, answer }: Omit<Extract<Deed, { tick: string }>, 'tick' | 'wontOpen' | 'damaged'>,
  ): boolean {
    const state = this.#state()
    const given = answer ?? answerFrom(step, state)
    if (!canClose(step, state.measured, given)) return this.#refuse(step, 'it does not close without what decides')
    const out = isClosing(step.id) ? state.steps.get(opening(jointOf(step.id) as string)) : undefined
    const expected = out?.count ?? step.count
    if (isClosing(step.id) && count !== undefined && count !== expected && !reason)
      return this.#refuse(step, `${expected} came out and ${count} go in: it wants its reason`)
    const number = count ?? expected
    this.#write('step', {
      step: step.id,
      done: true,
      ...(number === undefined ? {} : { count: places ? sumOf(places) : number }),
      ...(places ? { places } : {}),
      ...(reason ? { reason } : {}),
      ...(given ? { answer: given } : {}),
      estimate: step.estimate,
    })
    const found = step.asks?.find(({ id: each }) => each === given)
    const isSaid = found?.finding && state.findings.some(({ finding }) => finding.check === found.finding?.check)
    for (const { kind, body } of found && !isSaid ? followsFrom(found) : []) this.#write(kind, body as never)
    // Counted otherwise than its construction: the machine remembers.
    if (isOpening(step.id) && count !== undefined && count !== step.count) this.#remember(state, step, count)
    return true
  }

  #remember({ machine }: VisitState, step: TakeDownStep, count: number): void {
    const joint = jointOf(step.id) as string
    const joints = [...(machine.joints ?? []).filter((each) => each.joint !== joint), { joint, count }]
    this.#write('machine-set', { machine: { ...machine, joints } })
  }

  #refuse(step: TakeDownStep, because: string): boolean {
    this.#refused.push({ at: this.#at, step: step.id, because })
    return false
  }

  #plate({ plate, part, identity, warrantyUntil }: Extract<Deed, { plate: Nameplate }>): void {
    const parts = jobOf(this.#state(), this.shop).bill?.parts.map((each) => each.part) ?? []
    const fitted = part ?? (['pump', 'motor', 'control-box'] as const).find((each) => parts.includes(each)) ?? 'motor'
    this.#write('fitted', {
      part: fitted,
      nameplate: plate,
      ...(identity ? { identity } : {}),
      ...(warrantyUntil ? { warrantyUntil } : {}),
    })
  }

  #proof({ proof, outcome, why }: Extract<Deed, { proof: string }>): void {
    if (outcome !== 'holds' && !why) throw badField(`do.${this.#at}.why`, why, 'the reason why it fails or was left')
    this.#write('proof', { proof, outcome, ...(why ? { why } : {}) })
  }

  #comeback(): void {
    const state = this.#state()
    const { failed } = proofListOf(state, jobOf(state, this.shop))
    this.#write('comeback', { failed: failed.map(({ id: proof }) => proof) })
  }

  #handOver({ watch = '', next, agreed }: { watch?: string; next?: string; agreed?: number }): void {
    const state = this.#state()
    const job = jobOf(state, this.shop)
    const price = agreed ?? job.price
    this.#write('handed-over', {
      watch,
      ...(next ? { nextDate: next } : {}),
      ...(price === undefined ? {} : { price: cents(price) }),
      ...(job.account.lines.length > 0 ? { lines: linesOf(job.account, state.fitted) } : {}),
    })
  }

  #plan(): { steps: readonly TakeDownStep[]; done: ReadonlySet<string> } {
    const state = this.#state()
    const repair = repairOf(state, this.shop, {})
    if (!repair) return { steps: [], done: new Set() }
    const records = countingRecords(repair, state.steps)
    return { steps: repair.steps, done: new Set([...records].flatMap(([step, record]) => (record.done ? [step] : []))) }
  }

  #diagnosis(state: VisitState): Diagnosis {
    const { rates } = this.shop
    return diagnose(state.case, { rates, model: this.models.modelOf(state.case) })
  }

  #state(): VisitState {
    this.#folded ??= foldVisit(this.#entries) as VisitState
    return this.#folded
  }

  #clock(): number {
    return DAY + this.#entries.length * MINUTE
  }

  #write<K extends EntryKind>(kind: K, body: EntryBodies[K]): void {
    const count = this.#entries.length
    this.#folded = undefined
    this.#entries.push({
      id: id(count + 16),
      lamport: count + 1,
      visitId: this.#visit,
      kind,
      at: new Date(this.#clock()).toISOString(),
      author: 'script',
      body,
    } as unknown as Entry)
  }
}

function id(number: number): string {
  return `0197a000-0000-7000-8000-${number.toString(16).padStart(12, '0')}`
}

function sumOf(places: readonly { count: number }[]): number {
  return places.reduce((sum, { count }) => sum + count, 0)
}

/** A step by its id, its joint, or the words it begins with: the first that is not done yet. */
function named(words: string, steps: readonly TakeDownStep[], done: ReadonlySet<string>): TakeDownStep | undefined {
  const left = steps.filter((step) => !done.has(step.id))
  const plain = (step: TakeDownStep) => jointOf(step.id) ?? ''
  const title = (step: TakeDownStep) => splitStep(render(step.text, US_READER)).title.toLowerCase()
  return (
    left.find((step) => step.id === words) ??
    left.find((step) => plain(step) === words || parseJoint(plain(step)).joint === words) ??
    left.find((step) => title(step).startsWith(words.toLowerCase())) ??
    left.find((step) => step.part === words)
  )
}

/** What a step asks, as it was said already: else the first answer. */
function answerFrom({ asks }: TakeDownStep, { findings }: VisitState): string | undefined {
  if (!asks) return undefined
  const said = asks.find(({ finding }) =>
    findings.some(
      ({ finding: known }) => finding && known.check === finding.check && known.outcome === finding.outcome,
    ),
  )
  return (said ?? asks[0])?.id
}
