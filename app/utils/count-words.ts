import type { TakeDownStep } from '#core/takedown/plan'
import { isClosing, isOpening } from '#core/takedown/step-ref'

/** What is counted at a step: pieces taken out or put back, marks set or met again, pieces that work is done on. */
export type Counts = 'taken-out' | 'put-back' | 'marks-set' | 'marks-met' | 'worked-on'

export const COUNT_WORDS: Readonly<Record<Counts, (expected: number) => string>> = {
  'taken-out': (expected) => `How many came out? ${expected} usual`,
  'put-back': (expected) => `How many go in? ${expected} came out.`,
  'marks-set': (expected) => `How many were set? ${expected} usual`,
  'marks-met': (expected) => `How many meet? ${expected} were set.`,
  'worked-on': (expected) => `How many? ${expected} usual`,
}

/** A joint that is only a state has nothing that comes out of it: what is counted there are marks. */
export function countsAt({ id, joint }: Pick<TakeDownStep, 'id' | 'joint'>): Counts {
  const marks = joint === 'gate'
  if (isClosing(id)) return marks ? 'marks-met' : 'put-back'
  if (isOpening(id)) return marks ? 'marks-set' : 'taken-out'
  return 'worked-on'
}
