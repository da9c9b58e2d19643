import { buildModel } from '../diagnosis/model'
import { faultLabel } from '../diagnosis/words/fault-label'
import { harmInfo, HARMS, type Harm, type Idea } from '../knowledge/practice/harms'
import { IDEA_INFO, ideasOfFault } from '../knowledge/practice/ideas'
import type { Reader } from '../quantity/sentence'
import type { Mark } from '../visit/entry'
import { harmsIn, type TryState } from './fold-try'
import { hindsightWay, rightRepairs } from './hindsight'
import { lampWay } from './lamp-way'
import { ownWay, type OwnStep } from './own-way'
import type { PracticeCase } from './practice-case'
import type { TryLine } from './try'
import { ARRIVING, type Way, type WayStep } from './way'

/** Minutes of a call that is taken and a van that is loaded, as every way begins with. */
export const ARRIVING_MINUTES = 5

/** One line of the three ways laid beside each other. */
export interface LadderRow {
  key: string
  title: string
  told: string
  verdict?: WayStep['verdict']
  you?: Rung
  lamp?: Rung
  best?: Rung
  flags: ('unsafe' | 'needless' | 'missed')[]
}
export interface Rung {
  number: number
  minutes: number
}

/** The one thing to learn of a try. */
export interface Lesson {
  idea: Idea
  rule: string
  why: string
}

export interface Afterwards {
  /** What was wrong, in words. */
  was: string[]
  isFound: boolean
  isGivenUp: boolean
  rows: LadderRow[]
  totals: Record<'you' | 'lamp' | 'best', { minutes: number; price: number }>
  unsafe: { harm: Harm; label: string; inLife: string; instead: string; minute: number }[]
  needless: { title: string; minutes: number }[]
  missed: { title: string }[]
  /** The minute at which the best way was left: a wrong repair, or the first harm. */
  leftAt?: number
  lesson?: Lesson
  marks: Mark[]
}

/** What counts for more than one look: a part that was fitted, nobody hurt, and that it was found at all. */
const WEIGHTS = { repair: 3, harm: 4, found: 4, about: 2 } as const

/** Believed less than this of the right repair, and what was decided was a guess. */
const A_GUESS = 0.6

/**
 * What a try was, when it is over: what was wrong, the own way beside the lamp’s and the best in hindsight, what was
 * unsafe, needless and missed, and the one thing to learn.
 */
export function afterwardsOf(
  practice: PracticeCase,
  lines: readonly TryLine[],
  state: TryState,
  reader: Reader,
): Afterwards {
  const { shop } = state.begun.body
  const repairs = rightRepairs(buildModel(practice.pump, practice.alreadyReplaced), practice, shop)
  const lamp = arrived(lampWay(practice, shop, reader))
  const best = arrived(hindsightWay(practice, shop, reader))
  const own = ownWay(
    practice,
    lines,
    state,
    repairs.flatMap(({ cures }) => cures),
    reader,
  ).map((step) => (isOnWay(best, step) || isOnWay(lamp, step) ? { ...step, isNeedless: false } : step))
  const missed = missedOf(own, best)
  const rows = ladder(own, lamp, best, missed)
  const unsafe = state.harms.map(({ at, body: { harm } }) => ({
    harm,
    ...HARMS[harm],
    minute: (at - state.begun.at) / 60_000,
  }))
  const needless = own.filter(({ isNeedless }) => isNeedless).map(({ title, minutes }) => ({ title, minutes }))
  const wrong = own.find(({ key, isNeedless }) => key.startsWith('job:') && isNeedless)
  const leftAt = Math.min(unsafe[0]?.minute ?? Infinity, wrong ? wrong.at - wrong.minutes : Infinity)
  return {
    was: practice.outside ? [practice.outside] : practice.faults.map(faultLabel),
    isFound: state.left.length === 0 && state.broken.length === 0,
    isGivenUp: state.ended?.body.how === 'given-up',
    rows,
    totals: {
      you: { minutes: state.minutes, price: state.spent.total },
      lamp: { minutes: lamp.minutes, price: lamp.price },
      best: { minutes: best.minutes, price: best.price },
    },
    unsafe,
    needless,
    missed: missed.map(({ title }) => ({ title })),
    ...(Number.isFinite(leftAt) ? { leftAt } : {}),
    ...(lessonOf(practice, state, own, missed) ?? {}),
    marks: marksOf(practice, state, own, best, missed),
  }
}

function arrived(way: Way): Way {
  const first: WayStep = { key: ARRIVING, title: 'call, prepare', told: '', minutes: ARRIVING_MINUTES }
  return { ...way, steps: [first, ...way.steps], minutes: way.minutes + ARRIVING_MINUTES }
}

const isOnWay = ({ steps }: Pick<Way, 'steps'>, { key }: Pick<WayStep, 'key'>): boolean =>
  steps.some((step) => step.key === key)

/** Checks of the best way that were not made before somebody repaired on a guess, or the wrong thing. */
function missedOf(own: readonly OwnStep[], best: Way): WayStep[] {
  const decidedAt = own.findIndex(({ key }) => key.startsWith('job:'))
  const before = decidedAt < 0 ? own : own.slice(0, decidedAt)
  const wasRight = decidedAt >= 0 && !(own[decidedAt] as OwnStep).isNeedless
  const belief = before.findLast((step) => step.belief !== undefined)?.belief ?? 0
  if (wasRight && belief >= A_GUESS) return []
  const made = new Set(before.map(({ key }) => key))
  return best.steps.filter(({ key, idea }) => idea !== undefined && !made.has(key))
}

/** The three ways in one table: the own way in its order, and what only the others did where they did it. */
function ladder(own: readonly OwnStep[], lamp: Way, best: Way, missed: readonly WayStep[]): LadderRow[] {
  const missedKeys = new Set(missed.map(({ key }) => key))
  const rows: LadderRow[] = own.map((step, index) => ({
    key: step.key,
    title: step.title,
    told: step.told,
    verdict: step.verdict,
    you: { number: index + 1, minutes: step.minutes },
    flags: [
      ...(step.harms.length > 0 ? (['unsafe'] as const) : []),
      ...(step.isNeedless ? (['needless'] as const) : []),
    ],
  }))
  for (const name of ['lamp', 'best'] as const) {
    let after = -1
    const taken = new Set<LadderRow>()
    for (const [index, step] of (name === 'lamp' ? lamp : best).steps.entries()) {
      const rung = { number: index + 1, minutes: step.minutes }
      const there = rows.findIndex((row) => row.key === step.key && !taken.has(row))
      if (there >= 0) {
        const row = rows[there] as LadderRow
        row[name] = rung
        taken.add(row)
        after = Math.max(after, there)
        continue
      }
      const row: LadderRow = {
        key: step.key,
        title: step.title,
        told: step.told,
        verdict: step.verdict,
        [name]: rung,
        flags: missedKeys.has(step.key) && name === 'best' ? ['missed'] : [],
      }
      taken.add(row)
      rows.splice(after + 1, 0, row)
      after++
    }
  }
  for (const row of rows)
    if (missedKeys.has(row.key) && !row.flags.includes('missed')) row.flags = [...row.flags, 'missed']
  return rows
}

/** What is to be kept in mind: harm before all, then what was missed, then what was done for nothing. */
function lessonOf(
  { faults }: PracticeCase,
  state: TryState,
  own: readonly OwnStep[],
  missed: readonly WayStep[],
): { lesson: Lesson } | undefined {
  const harm = harmsIn(state)[0]
  if (harm) {
    const { instead, inLife } = harmInfo(harm)
    return { lesson: { idea: 'order', rule: instead, why: inLife } }
  }
  const idea =
    missed.find((step) => step.idea !== undefined)?.idea ??
    own.filter(({ isNeedless }) => isNeedless).sort((a, b) => b.minutes - a.minutes)[0]?.idea
  if (idea) return { lesson: asLesson(idea) }
  if (own.some(({ isNeedless }) => isNeedless)) return { lesson: asLesson('order') }
  // Left as it was, and nothing done wrong on the way there: what it was about is what was not known.
  return state.left.length > 0 ? { lesson: asLesson(faults.flatMap(ideasOfFault)[0] ?? 'order') } : undefined
}

const asLesson = (idea: Idea): Lesson => ({ idea, rule: IDEA_INFO[idea].rule, why: IDEA_INFO[idea].why })

/** How much of each idea was right: what the best way asks for and what was asked, and the order of it all. */
function marksOf(
  { faults }: PracticeCase,
  state: TryState,
  own: readonly OwnStep[],
  best: Way,
  missed: readonly WayStep[],
): Mark[] {
  const marks = new Map<Idea, Mark>()
  const mark = (idea: Idea | undefined, isRight: boolean, weight = 1) => {
    if (!idea) return
    const known = marks.get(idea) ?? { idea, right: 0, of: 0 }
    marks.set(idea, { idea, right: known.right + (isRight ? weight : 0), of: known.of + weight })
  }
  const made = new Set(own.map(({ key }) => key))
  // What the best way asks and somebody found without asking is no mark at all.
  for (const { key, idea } of best.steps) if (idea && made.has(key)) mark(idea, true)
  for (const { idea } of missed) mark(idea, false)
  // What the case is about is known by whoever mends it, and nothing else before it.
  const isMendedAtOnce =
    state.left.length === 0 && !own.some(({ key, isNeedless }) => key.startsWith('job:') && isNeedless)
  for (const idea of new Set(faults.flatMap(ideasOfFault)))
    if (idea !== 'order') mark(idea, isMendedAtOnce, WEIGHTS.about)
  // What else was done is order of work: it told something, or it did not.
  for (const { key, idea, isNeedless } of own) {
    if (key.startsWith('job:')) mark('order', !isNeedless, WEIGHTS.repair)
    else if (idea) mark('order', !isNeedless)
  }
  mark('order', state.harms.length === 0, WEIGHTS.harm)
  mark('order', state.left.length === 0, WEIGHTS.found)
  return [...marks.values()]
}
