import type { Entry, EntryBodies, JobSource, JobState } from './entry'

/** A job of a visit as it stands: offered, agreed, done, or left. */
export interface VisitJob {
  id: string
  state: JobState
  /** Where it came from: the lamp, a wish, what lies open, damage that was met, the shop itself. */
  from: JobSource
  why?: string
  at: string
}

/** Does a line agree a job? */
export function agrees(entry: Entry): boolean {
  return entry.kind === 'decision' || (entry.kind === 'job' && entry.body.state === 'agreed')
}

/**
 * The jobs of a visit in the order in which they came up. A decision chooses one way of mending what is wrong, in the
 * place of another; other jobs stand beside it. None of them touches what was done.
 */
export class JobBook {
  readonly #jobs = new Map<string, VisitJob>()
  #decided?: string

  read(entry: Entry): void {
    if (entry.kind === 'wish') {
      if (!this.#jobs.has(entry.body.job)) this.#set(entry.body.job, 'offered', 'wish', entry.at)
    } else if (entry.kind === 'job') this.#say(entry.body, entry.at)
    else if (entry.kind === 'decision') this.#decide(entry.body.option, entry.at)
  }

  /** What was agreed has been carried out, and everything is closed. */
  finish(): void {
    for (const job of this.jobs) if (job.state === 'agreed') this.#jobs.set(job.id, { ...job, state: 'done' })
  }

  /** It did not prove: what is wrong is to be decided on anew. */
  reopen(): void {
    this.#decided = undefined
  }

  get jobs(): VisitJob[] {
    return [...this.#jobs.values()]
  }

  /** Ids of what is agreed and not yet done. */
  get agreed(): string[] {
    return this.jobs.filter(({ state }) => state === 'agreed').map(({ id }) => id)
  }

  /** The way chosen for what is wrong, while it is agreed or done. */
  get decided(): string | undefined {
    return this.#decided
  }

  #decide(option: string, at: string): void {
    const before = this.#decided
    if (before !== undefined && before !== option && this.#jobs.get(before)?.state === 'agreed') this.#withdraw(before)
    this.#decided = option
    this.#set(option, 'agreed', this.#jobs.get(option)?.from ?? 'lamp', at)
  }

  #say({ job, state, from, why }: EntryBodies['job'], at: string): void {
    if (state !== 'agreed' && job === this.#decided) this.#decided = undefined
    this.#set(job, state, from ?? this.#jobs.get(job)?.from ?? 'shop', at, why)
  }

  /** Another way was chosen instead: what the customer wished for stays offered. */
  #withdraw(id: string): void {
    const job = this.#jobs.get(id) as VisitJob
    if (job.from === 'wish') this.#jobs.set(id, { ...job, state: 'offered' })
    else this.#jobs.delete(id)
  }

  #set(id: string, state: JobState, from: JobSource, at: string, why?: string): void {
    const known = this.#jobs.get(id)
    // What is agreed keeps its turn; what is agreed anew comes last.
    if (known && state === 'agreed' && known.state !== 'agreed') this.#jobs.delete(id)
    this.#jobs.set(id, { id, state, from, at, ...(why ? { why } : {}) })
  }
}
