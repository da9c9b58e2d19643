import { machineLines, customerLines, type SearchLine } from '../../core/pumps/search-lines'
import type { Connection } from '../database/connect'
import { LOCKS } from '../database/locks'
import type { Register } from '../database/register'
import type { Search } from '../database/search'
import type { Repository } from '../database/repository'
import type { HeavyWork } from './heavy-work'

/** Bumped when what can be found, or by which words, changes: the search is then built anew. */
const SEARCH_VERSION = 2
const SEARCHED = 'searched'
/** Whoever searches waits so long for lines that have only just arrived, milliseconds. */
const PATIENCE = 2_000
const VISITS_AT_ONCE = 50
const SUBJECTS_AT_ONCE = 500
const MACHINES_AT_ONCE = 25
/** Lines that arrived since, beyond which everything is taken in anew. */
const MOST_BEHIND = 50_000
/** Lines that arrived since the engine last measured its tables, after which it does so again. */
const MOST_UNMEASURED = 20_000

interface Counts {
  customers: number
  machines: number
}

interface Mark {
  version: number
  arrival: number
  /** The newest line when the engine last measured its tables. */
  measured?: number
}

/**
 * What can be found, brought up to date by what has arrived since it last was. It follows the journal and is asked
 * before each search: other servers of the same shop write too, and nobody who writes a reading waits for it.
 */
export class SearchIndex {
  private running: Promise<void> | undefined
  private left = 0
  private counted: { arrival: number; counts: Promise<Counts> } | undefined

  constructor(
    private readonly repository: Pick<Repository, 'newestArrival' | 'entriesOfVisits' | 'meta' | 'setMeta'>,
    private readonly register: Pick<Register, 'counts'>,
    private readonly search: Search,
    private readonly work: Pick<HeavyWork, 'run'>,
    private readonly alone: Connection['alone'],
  ) {}

  /** How many visits are still to be taken in. */
  get behind(): number {
    return this.left
  }

  /** How many customers and machines there are; counted again once something has arrived. */
  async counts(): Promise<Counts> {
    const arrival = await this.repository.newestArrival()
    if (this.counted?.arrival !== arrival) {
      const counted = { arrival, counts: this.register.counts() }
      this.counted = counted
      counted.counts.catch(() => {
        if (this.counted === counted) this.counted = undefined
      })
    }
    return this.counted.counts
  }

  /** The arrival up to which everything is taken in; nothing where it is still built. */
  async takenIn(): Promise<number | undefined> {
    const mark = await this.repository.meta<Mark>(SEARCHED)
    return mark?.version === SEARCH_VERSION ? mark.arrival : undefined
  }

  /** Takes in what has arrived; whoever asks while it is under way waits for the same. */
  catchUp(): Promise<void> {
    this.running ??= this.readOnAlone().finally(() => {
      this.running = undefined
    })
    return this.running
  }

  /** Whole, or after a while; then what was taken in so far is what is found. */
  async caughtUpSoon(): Promise<void> {
    const whole = this.catchUp()
    let timer: ReturnType<typeof setTimeout> | undefined
    const late = new Promise<void>((done) => {
      timer = setTimeout(done, PATIENCE)
    })
    await Promise.race([whole, late]).finally(() => clearTimeout(timer))
    // Whoever comes later sees what became of it; nobody waits for this one any more.
    whole.catch(() => undefined)
  }

  /** Two servers that take in the same lines at once would write them twice: the second finds them taken in. */
  private async readOnAlone(): Promise<void> {
    const { mark, newest } = await this.reached()
    if (mark?.version !== SEARCH_VERSION || mark.arrival !== newest) await this.alone(LOCKS.index, () => this.readOn())
  }

  private async reached(): Promise<{ mark: Mark | undefined; newest: number }> {
    return { mark: await this.repository.meta<Mark>(SEARCHED), newest: await this.repository.newestArrival() }
  }

  private async readOn(): Promise<void> {
    const { mark, newest } = await this.reached()
    // After a long journal was taken in, what is new in it is not looked for line by line.
    const isNew = mark?.version !== SEARCH_VERSION || newest - mark.arrival > MOST_BEHIND
    if (!isNew && newest === mark.arrival) return
    const changed = isNew
      ? { ...(await this.search.everything()), newest }
      : await this.search.changedAfter(mark.arrival)
    this.left = changed.visitIds.length
    const subjects = new Set(changed.about)
    // Who and what is found at once; what was said and read of it follows.
    if (isNew) await this.takeAll(changed.about)
    for (const visitIds of inParts(changed.visitIds, VISITS_AT_ONCE)) {
      await this.takeVisits(visitIds)
      if (!isNew) for (const id of await this.search.subjectsOf(visitIds)) subjects.add(id)
      this.left -= visitIds.length
    }
    if (!isNew) await this.takeAll([...subjects])
    await this.takeTrends(isNew ? undefined : [...subjects])
    const isMeasured = !isNew && newest - (mark.measured ?? 0) <= MOST_UNMEASURED
    if (!isMeasured) await this.search.measure()
    await this.repository.setMeta(SEARCHED, {
      version: SEARCH_VERSION,
      arrival: changed.newest,
      measured: isMeasured ? (mark.measured ?? 0) : changed.newest,
    } satisfies Mark)
  }

  private async takeVisits(visitIds: readonly string[]): Promise<void> {
    const journals = await this.repository.entriesOfVisits(visitIds)
    const found = await this.work.run('found', { journals: [...journals.values()] })
    await this.search.replaceLines(
      new Map(visitIds.map((id) => [id, found.find((each) => each.visitId === id)?.lines ?? []])),
    )
    await this.search.keepVerdicts(new Map(found.map(({ visitId, verdict }) => [visitId, verdict])))
  }

  /** What of the machines among these asks to be read again; of all of them where none are named. */
  private async takeTrends(subjects?: readonly string[]): Promise<void> {
    const visited = subjects?.length === 0 ? [] : await this.search.visitedOften(subjects)
    for (const part of inParts(visited, MACHINES_AT_ONCE)) {
      const journals = await this.repository.entriesOfVisits(part.flatMap(({ visitIds }) => visitIds))
      const trends = await this.work.run('trends', {
        machines: part.map(({ machine, visitIds }) => ({
          machine,
          journals: visitIds.map((id) => journals.get(id) ?? []),
        })),
        now: Date.now(),
      })
      await this.search.keepTrends(new Map(part.map(({ machine }, index) => [machine.id, trends[index] ?? []])))
    }
  }

  private async takeAll(subjects: readonly string[]): Promise<void> {
    for (const ids of inParts(subjects, SUBJECTS_AT_ONCE)) await this.takeSubjects(ids)
  }

  private async takeSubjects(ids: readonly string[]): Promise<void> {
    const { customers, machines } = await this.search.sourcesOf(ids)
    const lines = new Map<string, SearchLine[]>(ids.map((id) => [id, []]))
    for (const { customer, sites } of customers) lines.set(customer.id, customerLines(customer, sites))
    for (const { machine, customer, site } of machines)
      lines.set(machine.id, machineLines(machine, customer, site?.address ?? customer.place))
    await this.search.replaceLines(lines)
  }
}

function inParts<T>(all: readonly T[], most: number): T[][] {
  return Array.from({ length: Math.ceil(all.length / most) }, (_, part) => all.slice(part * most, (part + 1) * most))
}
