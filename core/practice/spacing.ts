import { createEmptyCard, fsrs, Rating, type Card, type Grade } from 'ts-fsrs'
import type { Idea } from '../knowledge/practice/harms'
import { SPACING } from '../knowledge/practice/skill-model'
import type { LampHelp } from '../knowledge/practice/lamp-help'
import type { Tried } from './skills'

const scheduler = fsrs({ request_retention: SPACING.retention, enable_fuzz: false, enable_short_term: false })

/** When an idea is due again, and how likely it is still got right. */
export interface Spaced {
  /** Milliseconds. */
  due: number
  /** Chance that it is remembered now, 0 to 1. */
  remembered: number
}

/** What was said by the lamp is no memory. */
const BEST_WITH: Readonly<Record<LampHelp, Grade>> = { off: Rating.Easy, hint: Rating.Good, on: Rating.Hard }

function gradeOf(share: number, lamp: LampHelp): Grade {
  const { hardFrom, goodFrom, easyFrom } = SPACING
  const own =
    share < hardFrom ? Rating.Again : share < goodFrom ? Rating.Hard : share < easyFrom ? Rating.Good : Rating.Easy
  return Math.min(own, BEST_WITH[lamp]) as Grade
}

/**
 * When an idea is due again after these tries.
 *
 * @param tried by one person, the oldest first
 * @param now milliseconds
 * @returns nothing where no try has asked for it
 */
export function spacedIdea(tried: readonly Tried[], idea: Idea, now: number): Spaced | undefined {
  let card: Card | undefined
  for (const { marks, at, lamp } of tried) {
    const mark = marks.find((each) => each.idea === idea)
    if (!mark) continue
    const when = new Date(at)
    card = scheduler.next(card ?? createEmptyCard(when), when, gradeOf(mark.right / mark.of, lamp)).card
  }
  return card && { due: card.due.getTime(), remembered: scheduler.get_retrievability(card, new Date(now), false) }
}
