import { parentPort, workerData } from 'node:worker_threads'
import type { Kind } from '#core/knowledge/vocabulary'
import { afterwardsOf } from '#core/practice/afterwards'
import type { Hardness } from '#core/knowledge/practice/case-code'
import { practiceCase } from '#core/practice/practice-case'
import { US_READER } from '#core/quantity/sentence'
import { BOOK_ORDER } from '../diagnosis/symptom-orders'
import { byBook, byChance, byLamp, learn, type Choosing } from './learners'

export interface Task {
  kind: Kind
  hardness: Hardness
  seed: number
  learner: 'lamp' | 'book' | 'chance'
}
export interface Row extends Task {
  isFound: boolean
  isEnded: boolean
  minutes: number
  best: number
  harms: number
  needless: number
  missed: number
  right: number
  of: number
}

const WAYS: Readonly<Record<Task['learner'], Choosing>> = { lamp: byLamp, book: byBook(BOOK_ORDER), chance: byChance }

for (const task of (workerData as { tasks: Task[] }).tasks) {
  const practice = practiceCase(task)
  const hand = learn(practice, WAYS[task.learner], task.seed)
  const { state } = hand
  const after = afterwardsOf(practice, hand.lines, state, US_READER)
  parentPort?.postMessage({
    ...task,
    isFound: after.isFound,
    isEnded: state.ended !== undefined,
    minutes: after.totals.you.minutes,
    best: after.totals.best.minutes,
    harms: after.unsafe.length,
    needless: after.needless.length,
    missed: after.missed.length,
    right: after.marks.reduce((sum, { right }) => sum + right, 0),
    of: after.marks.reduce((sum, { of }) => sum + of, 0),
  } satisfies Row)
}
