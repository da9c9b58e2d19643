import { KIND_KNOWLEDGE } from '../knowledge/faults/kinds'
import { HARDNESS, readCode, type Hardness } from '../knowledge/practice/case-code'
import { IDEAS, type Idea } from '../knowledge/practice/harms'
import { ideasOfFault } from '../knowledge/practice/ideas'
import { HARDER_FROM } from '../knowledge/practice/skill-model'
import { KINDS, type Kind } from '../knowledge/vocabulary'
import { skillsOf, type Skill, type Tried } from './skills'
import { spacedIdea } from './spacing'

/** One idea of somebody: how well it goes, and when it is due. */
export interface IdeaStanding extends Skill {
  idea: Idea
  isDue: boolean
  /** Milliseconds; nothing where it was never asked for. */
  due?: number
}

/** What comes next: the weakest of what is due. */
export interface NextUp {
  idea: Idea
  /** Kinds of pump that can ask for it, the one that was met least, and least well, first. */
  kinds: Kind[]
  hardness: Hardness
  isDue: boolean
  due?: number
  estimate: number
  tries: number
}

/** Kinds of pump on which something can be wrong that asks for an idea. */
export function kindsFor(idea: Idea): Kind[] {
  return (Object.keys(KINDS) as Kind[]).filter((kind) =>
    KIND_KNOWLEDGE[kind].faults.some(({ fault }) => ideasOfFault(fault).includes(idea)),
  )
}

/** All ideas, the weakest first. */
export function standingsOf(tried: readonly Tried[], now: number): IdeaStanding[] {
  const { ideas } = skillsOf(tried)
  return (Object.keys(IDEAS) as Idea[])
    .map((idea): IdeaStanding => {
      const spaced = spacedIdea(tried, idea, now)
      return { idea, ...ideas[idea], isDue: !spaced || spaced.due <= now, ...(spaced ? { due: spaced.due } : {}) }
    })
    .sort((a, b) => a.estimate - b.estimate || a.tries - b.tries)
}

/** Harder in turn, so that each way of being hard is met. */
const HARDER = (Object.keys(HARDNESS) as Hardness[]).filter((hardness) => hardness !== 'one')

/**
 * What comes next for somebody.
 *
 * @param tried all of their tries, the oldest first
 * @param now milliseconds
 */
export function nextUp(tried: readonly Tried[], now: number): NextUp {
  const standings = standingsOf(tried, now)
  const { idea, isDue, due, estimate, tries } = (standings.find((each) => each.isDue) ?? standings[0]) as IdeaStanding
  const { kinds: skills } = skillsOf(tried)
  const kinds = kindsFor(idea).sort(
    (a, b) => skills[a].tries - skills[b].tries || skills[a].estimate - skills[b].estimate,
  )
  const hard = tried.filter(({ code }) => readCode(code)?.hardness !== 'one').length
  const hardness = estimate < HARDER_FROM ? 'one' : (HARDER[hard % HARDER.length] as Hardness)
  return { idea, kinds, hardness, isDue, estimate, tries, ...(due === undefined ? {} : { due }) }
}
