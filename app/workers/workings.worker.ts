import { expose } from 'comlink'
import { questionById } from '#core/questions/questions'
import { spreadOf, sweepOf, type Doubts, type Spread, type SweepPoint } from '#core/questions/spread'

let turn = 0

const asker = {
  /** Asks many times, telling how far it is; nothing comes back once another was begun or it was stopped. */
  async spread(
    id: string,
    input: object,
    doubts: Doubts,
    runs: number,
    seed: number,
    progress: (done: number) => void,
  ): Promise<Spread | undefined> {
    const mine = ++turn
    const asking = spreadOf(questionById(id), input, doubts, { runs, seed })
    for (;;) {
      const step = asking.next()
      if (step.done) return step.value
      progress(step.value)
      // Lets a stop come through.
      await new Promise((done) => setTimeout(done))
      if (mine !== turn) return undefined
    }
  },
  sweep(id: string, input: object, field: string, from: number, to: number, steps: number): SweepPoint[] {
    return sweepOf(questionById(id), input, field, from, to, steps)
  },
  stop(): void {
    turn++
  },
}
export type Asker = typeof asker

expose(asker)
