import { expose } from 'comlink'
import { afterwardsOf, type Afterwards } from '#core/practice/afterwards'
import { readCode, type CaseCode } from '#core/practice/case-code'
import { foldTry } from '#core/practice/fold-try'
import { practiceCase } from '#core/practice/practice-case'
import type { TryLine } from '#core/practice/try'
import type { Reader } from '#core/quantity/sentence'

const looker = {
  /** What a try was, with the lamp’s way and the best one beside it; undefined for a case that cannot be read. */
  afterwards(code: string, lines: readonly TryLine[], reader: Reader): Afterwards | undefined {
    const read = readCode(code)
    const practice = read && practiceCase(read)
    const state = practice && foldTry(practice, lines)
    return practice && state && afterwardsOf(practice, lines, state, reader)
  },

  /**
   * A code with the same fault on another pump, or nothing within so many tries.
   *
   * @param seeds where it is looked for
   */
  sameFault(code: string, seeds: readonly number[]): CaseCode | undefined {
    const read = readCode(code)
    if (!read) return undefined
    const wanted = [...practiceCase(read).faults].sort().join()
    for (const seed of seeds) {
      const other = { ...read, seed }
      if (seed !== read.seed && [...practiceCase(other).faults].sort().join() === wanted) return other
    }
    return undefined
  },
}
export type Looker = typeof looker

expose(looker)
