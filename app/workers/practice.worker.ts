import { expose } from 'comlink'
import { afterwardsOf, type Afterwards } from '#core/practice/afterwards'
import { readCode, type CaseCode, type Hardness } from '#core/knowledge/practice/case-code'
import type { Idea } from '#core/knowledge/practice/harms'
import type { Kind } from '#core/knowledge/vocabulary'
import { caseFor } from '#core/practice/case-for'
import { foldTry } from '#core/practice/fold-try'
import { drawPractice, practiceOf, type PracticeData } from '#core/practice/practice-case'
import { actsOf, type TryLine } from '#core/practice/try'
import { triedOf } from '#core/practice/tried'
import { chance } from '#core/quantity/random'
import type { Reader } from '#core/quantity/sentence'
import { writeWav } from '#core/sound/recording'
import type { PracticeTried } from '#core/visit/entry'
import type { VirtualMachine } from '#core/virtual/machine'
import { quietRecording } from '#core/virtual/sound'

const looker = {
  /** What a try was, with the lamp’s way and the best one beside it; undefined where nothing has begun it. */
  afterwards(lines: readonly TryLine[], reader: Reader): Afterwards | undefined {
    const of = actsOf(lines, 'begun')[0]?.body.of
    const practice = of && practiceOf(of)
    const state = practice && foldTry(practice, lines)
    return practice && state && afterwardsOf(practice, lines, state, reader)
  },

  /** A case whose fault asks for an idea; nothing where none was met. */
  caseFor: (idea: Idea, of: { kinds: readonly Kind[]; hardness: Hardness }, from: number): CaseCode | undefined =>
    caseFor(idea, of, from),

  /** What a try that is over tells of whoever made it; nothing where it is not over. */
  tried(lines: readonly TryLine[], reader: Reader): PracticeTried | undefined {
    const of = actsOf(lines, 'begun')[0]?.body.of
    const practice = of && practiceOf(of)
    const state = practice && foldTry(practice, lines)
    return practice && state?.ended && triedOf(afterwardsOf(practice, lines, state, reader), state, lines)
  },

  /** Draws the case of a code. @throws RangeError where this kind cannot be as hard as is asked */
  draw: (code: CaseCode): PracticeData => drawPractice(code),

  /** What a machine sounds like as it stands, as a recording: silent where nothing runs. */
  sound(machine: VirtualMachine, seed: number): Uint8Array<ArrayBuffer> {
    return writeWav(quietRecording(machine, chance(seed)))
  },

  /**
   * A code with the same fault on another pump, or nothing within so many tries.
   *
   * @param seeds where it is looked for
   */
  sameFault(code: string, seeds: readonly number[]): CaseCode | undefined {
    const read = readCode(code)
    if (!read) return undefined
    const wanted = [...drawPractice(read).faults].sort().join()
    for (const seed of seeds) {
      const other = { ...read, seed }
      if (seed !== read.seed && [...drawPractice(other).faults].sort().join() === wanted) return other
    }
    return undefined
  },
}
export type Looker = typeof looker

expose(looker)
