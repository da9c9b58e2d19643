import { closing } from './step-ref'
import type { TakeDownStep, Wait } from './plan'

/** A step that has to find its place: the smaller its rank, the earlier it comes where reasons leave it free. */
export interface Placed {
  step: TakeDownStep
  rank: number
}
/** One step before another, and why. */
export interface Reason {
  first: string
  then: string
  because: string
}

/** More waits than any plan has: beyond them only the usual order is tried. */
const MOST_STARTERS = 4
/** Parts of orders that are followed before the best so far stands. */
const MOST_TRIED = 5_000

/**
 * Steps in the order of least time that keeps every reason: the usual order where nothing waits; where something runs
 * by itself, what starts it is brought forward as far as its reasons allow, and the rest is done meanwhile.
 *
 * The best of all turns of the starters is taken where it meets the least time that the waits allow at all; else every
 * order that could be shorter is followed, exactly, up to a bound on their number.
 *
 * @throws Error naming the steps that wait for each other
 */
export function inOrder(placed: readonly Placed[], reasons: readonly Reason[], waits: readonly Wait[]): TakeDownStep[] {
  const before = predecessors(placed, reasons)
  const usual = byRank(placed, before)
  const starters = usual.filter(({ id }) => waits.some(({ after }) => after === id)).map(({ id }) => id)
  if (starters.length === 0 || starters.length > MOST_STARTERS) return usual
  let best = { order: usual, time: finish(usual, waits) }
  for (const wanted of permutations(starters)) {
    const order = hurried(placed, before, waits, wanted)
    const time = finish(order, waits)
    if (time < best.time - 1e-9) best = { order, time }
  }
  return best.time > leastTime(usual, before, waits) + 1e-9 ? shorter(best, usual, before, waits) : best.order
}

/** No order can be shorter than its steps, nor than what comes before a wait, the wait, and what comes after it. */
function leastTime(
  steps: readonly TakeDownStep[],
  before: ReadonlyMap<string, ReadonlySet<string>>,
  waits: readonly Wait[],
): number {
  const minutes = new Map(steps.map(({ id, minutes: likely }) => [id, likely]))
  const sum = (ids: Iterable<string>) => [...ids].reduce((total, id) => total + (minutes.get(id) as number), 0)
  const ancestors = new Map(steps.map(({ id }) => [id, ancestorsOf(id, before)]))
  const descendants = (id: string) => steps.filter((step) => ancestors.get(step.id)?.has(id)).map((step) => step.id)
  const bounds = waits.flatMap((wait) =>
    steps
      .filter((step) => holds(wait, step))
      .map(({ id }) => sum(ancestors.get(wait.after) ?? []) + wait.minutes + sum(descendants(id))),
  )
  return Math.max(sum(minutes.keys()), ...bounds)
}

/** Branch and bound over the orders that could be shorter than the best so far. */
function shorter(
  best: { order: TakeDownStep[]; time: number },
  steps: readonly TakeDownStep[],
  before: ReadonlyMap<string, ReadonlySet<string>>,
  waits: readonly Wait[],
): TakeDownStep[] {
  const total = steps.reduce((sum, { minutes }) => sum + minutes, 0)
  let [order, time, tried] = [best.order, best.time, 0]
  follow([], new Set(), new Clock(waits), 0)
  return order

  function follow(so: readonly TakeDownStep[], done: ReadonlySet<string>, clock: Clock, spent: number): void {
    if (tried++ > MOST_TRIED || clock.now + (total - spent) >= time - 1e-9) return
    if (so.length === steps.length) {
      ;[order, time] = [[...so], clock.now]
      return
    }
    for (const step of steps) {
      if (done.has(step.id) || !isDue(step.id, before, done)) continue
      const next = clock.copy()
      next.pass(step)
      follow([...so, step], new Set([...done, step.id]), next, spent + step.minutes)
    }
  }
}

/** Does a running wait hold this step? */
function holds({ gate, closes }: Wait, { id, gates }: Pick<TakeDownStep, 'id' | 'gates'>): boolean {
  return (gate !== undefined && gates.includes(gate)) || (closes !== undefined && id === closing(closes))
}

/** For every step, the steps that come before it. */
export function predecessors(
  placed: readonly Placed[],
  reasons: readonly Reason[],
): ReadonlyMap<string, ReadonlySet<string>> {
  const before = new Map(placed.map(({ step }) => [step.id, new Set<string>()]))
  for (const { first, then } of reasons) if (first !== then && before.has(first)) before.get(then)?.add(first)
  return before
}

function byRank(placed: readonly Placed[], before: ReadonlyMap<string, ReadonlySet<string>>): TakeDownStep[] {
  const left = [...placed].sort((a, b) => a.rank - b.rank)
  const done = new Set<string>()
  const order: TakeDownStep[] = []
  while (left.length > 0) {
    const index = left.findIndex(({ step }) => isDue(step.id, before, done))
    if (index < 0) throw new Error(`these steps wait for each other: ${left.map(({ step }) => step.id).join(', ')}`)
    const [next] = left.splice(index, 1) as [Placed]
    order.push(next.step)
    done.add(next.step.id)
  }
  return order
}

function isDue(id: string, before: ReadonlyMap<string, ReadonlySet<string>>, done: ReadonlySet<string>): boolean {
  for (const each of before.get(id) as ReadonlySet<string>) if (!done.has(each)) return false
  return true
}

/** The order that starts the waits in a given turn as early as reasons allow, and fills them with the rest. */
function hurried(
  placed: readonly Placed[],
  before: ReadonlyMap<string, ReadonlySet<string>>,
  waits: readonly Wait[],
  starters: readonly string[],
): TakeDownStep[] {
  const clock = new Clock(waits)
  const done = new Set<string>()
  const order: TakeDownStep[] = []
  const sorted = [...placed].sort((a, b) => a.rank - b.rank)
  const take = (step: TakeDownStep) => {
    order.push(step)
    done.add(step.id)
    clock.pass(step)
  }
  for (const starter of starters) {
    const wanted = ancestorsOf(starter, before)
    while (!done.has(starter)) take(pick(wanted) as TakeDownStep)
  }
  for (let next = pick(); next; next = pick()) take(next)
  return order

  /** What is wanted and need not be waited for; else anything to fill the time; else what has the least to wait. */
  function pick(wanted?: ReadonlySet<string>): TakeDownStep | undefined {
    const due = sorted.filter(({ step }) => !done.has(step.id) && isDue(step.id, before, done))
    const free = due.filter(({ step }) => clock.idle(step) === 0)
    const next =
      free.find(({ step }) => !wanted || wanted.has(step.id)) ??
      free[0] ??
      due.toSorted((a, b) => clock.idle(a.step) - clock.idle(b.step))[0]
    return next?.step
  }
}

function ancestorsOf(id: string, before: ReadonlyMap<string, ReadonlySet<string>>): Set<string> {
  const found = new Set([id])
  for (const each of found) for (const first of before.get(each) ?? []) found.add(first)
  return found
}

/** The likely time so far, and until when each wait runs. */
class Clock {
  now = 0
  #until: { wait: Wait; at: number }[] = []
  constructor(private readonly waits: readonly Wait[]) {}

  /** Minutes that a step would stand still now. */
  idle(step: TakeDownStep): number {
    return this.#until.reduce((most, { wait, at }) => (holds(wait, step) ? Math.max(most, at - this.now) : most), 0)
  }

  pass(step: TakeDownStep): void {
    this.now += this.idle(step) + step.minutes
    for (const wait of this.waits) if (wait.after === step.id) this.#until.push({ wait, at: this.now + wait.minutes })
  }

  copy(): Clock {
    const copy = new Clock(this.waits)
    copy.now = this.now
    copy.#until = [...this.#until]
    return copy
  }
}

/** When the last step is done, by likely minutes. */
export function finish(steps: readonly TakeDownStep[], waits: readonly Wait[]): number {
  const clock = new Clock(waits)
  for (const step of steps) clock.pass(step)
  return clock.now
}

function permutations<T>(items: readonly T[]): T[][] {
  if (items.length <= 1) return [[...items]]
  return items.flatMap((item, index) =>
    permutations([...items.slice(0, index), ...items.slice(index + 1)]).map((rest) => [item, ...rest]),
  )
}
