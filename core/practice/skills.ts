import jStat from 'jstat'
import { readCode } from '../knowledge/practice/case-code'
import { IDEAS, type Idea } from '../knowledge/practice/harms'
import { SKILL_MODEL } from '../knowledge/practice/skill-model'
import { KINDS, type Kind } from '../knowledge/vocabulary'
import type { Entry, EntryOf, Mark, PracticeTried } from '../visit/entry'

/** A try that is over, by whom and when. */
export interface Tried extends PracticeTried {
  id: string
  who: string
  name: string
  at: number
}

/** An estimate of skill, 0 to 1, with the span in which it lies four times of five. */
export interface Skill {
  estimate: number
  low: number
  high: number
  /** Tries that say something of it. */
  tries: number
}

/** Whose line it is: a person of the shop, or where nobody signs in a name. */
export const whoWrote = ({ by, author }: Pick<Entry, 'by' | 'author'>): string => by?.person ?? author

/** The tries of a list of lines, the oldest first; one that came twice counts once. */
export function triedIn(entries: readonly Entry[]): Tried[] {
  const found = new Map<string, Tried>()
  for (const entry of entries) {
    if (entry.kind !== 'practice-tried') continue
    const { id, at, author, body } = entry as EntryOf<'practice-tried'>
    found.set(id, { ...body, id, at: Date.parse(at), who: whoWrote(entry), name: author })
  }
  return [...found.values()].sort((a, b) => a.at - b.at || (a.id < b.id ? -1 : 1))
}

/**
 * What tries say of a skill.
 *
 * @param marks one for each try, the oldest first, with what it counts: 1 where nothing helped
 * @source Beta posterior of a uniform prior; a try of n alike questions counts n / (1 + (n − 1)·ρ), the design effect
 *   of Kish, Survey Sampling (1965)
 */
export function skillFrom(marks: readonly { right: number; of: number; counts: number }[]): Skill {
  const { prior, alikeWithinTry, halfAfterTries, span } = SKILL_MODEL
  let [right, wrong] = [prior.right, prior.wrong] as [number, number]
  for (const [index, mark] of marks.entries()) {
    const age = marks.length - 1 - index
    const weight = (mark.counts * mark.of * 0.5 ** (age / halfAfterTries)) / (1 + (mark.of - 1) * alikeWithinTry)
    right += weight * (mark.right / mark.of)
    wrong += weight * (1 - mark.right / mark.of)
  }
  return {
    estimate: right / (right + wrong),
    low: jStat.beta.inv((1 - span) / 2, right, wrong),
    high: jStat.beta.inv((1 + span) / 2, right, wrong),
    tries: marks.length,
  }
}

const counts = ({ lamp }: Tried) => SKILL_MODEL.countsWithLamp[lamp]

/** What a try says of everything at once. */
function allOf({ marks }: Tried): Mark[] {
  const [right, of] = marks.reduce(([sum, all], mark) => [sum + mark.right, all + mark.of], [0, 0])
  return of > 0 ? [{ idea: 'order', right, of }] : []
}

export interface Skills {
  all: Skill
  ideas: Readonly<Record<Idea, Skill>>
  kinds: Readonly<Record<Kind, Skill>>
}

/** Skill by idea, by kind of pump, and in all, from all tries of one person, the oldest first. */
export function skillsOf(tried: readonly Tried[]): Skills {
  const from = (of: readonly Tried[], marksIn: (each: Tried) => readonly Mark[]) =>
    skillFrom(of.flatMap((each) => marksIn(each).map((mark) => ({ ...mark, counts: counts(each) }))))
  const table = <T extends string>(ids: Record<T, unknown>, skill: (id: T) => Skill) =>
    Object.fromEntries((Object.keys(ids) as T[]).map((id) => [id, skill(id)])) as Record<T, Skill>
  return {
    all: from(tried, allOf),
    ideas: table(IDEAS, (id) => from(tried, ({ marks }) => marks.filter(({ idea }) => idea === id))),
    kinds: table(KINDS, (id) =>
      from(
        tried.filter(({ code }) => readCode(code)?.kind === id),
        allOf,
      ),
    ),
  }
}
