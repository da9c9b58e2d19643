import type { Pace } from '../../core/takedown/as-here'
import { learnStep, learnSteps, paceOf, type LearnedStep, type StepRatio } from '../../core/takedown/own-times'
import type { PacedVisit, Repository } from '../database/repository'

/** Steps further back than this no longer teach: the shop has changed since. */
const MOST_STEPS = 20_000

type Source = Pick<Repository, 'newestArrival' | 'pacedVisits'>

/**
 * The shop's own times, kept in memory and brought up to date by what has arrived since: other servers of the same shop
 * write too, so
 * the journal's newest arrival is asked each time, and only visits that changed are read.
 */
export class PaceBook {
  private readonly visits = new Map<string, PacedVisit>()
  private read = 0
  private timed: StepRatio[] = []
  private learned: LearnedStep[] = []
  private refreshing: Promise<void> | undefined

  constructor(private readonly source: Source) {}

  /** Every step the shop has timed. */
  async steps(): Promise<LearnedStep[]> {
    await this.refresh()
    return this.learned
  }

  /** The pace as one visit's plan takes it: from all visits but itself. */
  async paceFor(visitId: string): Promise<Pace> {
    await this.refresh()
    const own = this.visits.get(visitId)
    const pace: Record<string, number> = { ...paceOf(this.learned) }
    if (!own) return pace
    const mine = new Set(own.paced)
    for (const step of new Set(own.paced.map((each) => each.step))) {
      const others = this.timed.filter((each) => each.step === step && !mine.has(each))
      if (others.length > 0) pace[step] = learnStep(others).ratio
      else Reflect.deleteProperty(pace, step)
    }
    return pace
  }

  private refresh(): Promise<void> {
    this.refreshing ??= this.readOn().finally(() => {
      this.refreshing = undefined
    })
    return this.refreshing
  }

  private async readOn(): Promise<void> {
    const newest = await this.source.newestArrival()
    if (newest === this.read) return
    const changed = await this.source.pacedVisits(this.read)
    this.read = newest
    if (changed.length === 0) return
    for (const visit of changed) this.visits.set(visit.id, visit)
    const byDay = [...this.visits.values()].sort((a, b) => Date.parse(a.scheduledAt) - Date.parse(b.scheduledAt))
    this.timed = byDay.flatMap(({ paced }) => paced).slice(-MOST_STEPS)
    this.learned = learnSteps(this.timed)
  }
}
