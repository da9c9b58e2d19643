import type { CaseCode, Hardness } from '../knowledge/practice/case-code'
import type { Idea } from '../knowledge/practice/harms'
import { ideasOfFault } from '../knowledge/practice/ideas'
import type { Kind } from '../knowledge/vocabulary'
import { drawPractice } from './practice-case'

/** So many cases of a kind are looked at before another kind is. */
const MOST_OF_A_KIND = 20

/**
 * A case whose fault asks for an idea.
 *
 * @param kinds in which it is looked for, one after the other
 * @param from the first number that is looked at
 * @returns nothing where none of them has one
 */
export function caseFor(
  idea: Idea,
  { kinds, hardness }: { kinds: readonly Kind[]; hardness: Hardness },
  from: number,
): CaseCode | undefined {
  for (const kind of kinds)
    for (let seed = from; seed < from + MOST_OF_A_KIND; seed++)
      if (asksFor(idea, { kind, hardness, seed })) return { kind, hardness, seed }
  return undefined
}

function asksFor(idea: Idea, code: CaseCode): boolean {
  try {
    return drawPractice(code).faults.some((fault) => ideasOfFault(fault).includes(idea))
  } catch (error) {
    // This kind cannot be as hard as that in any draw: another can.
    if (error instanceof RangeError) return false
    throw error
  }
}
