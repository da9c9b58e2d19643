import { beforeEach, describe, expect, it, vi } from 'vitest'
import { diagnose } from '#core/diagnosis/diagnose'
import { ask } from '#core/questions/ask'
import { questionById } from '#core/questions/questions'
import { repairSteps } from '#core/takedown/step-plan'
import { considerationOf } from '#core/visit/job'
import { UNNAMED_SHOP } from '#core/visit/shop'
import { fold, opened, reading } from '#core/visit/test-journal'
import type { Thinker } from './inference.worker'
import type { Clock } from './repair.worker'
import type { Asker } from './workings.worker'

/** What each worker offers to its page. */
const offered: unknown[] = []
vi.mock('comlink', () => ({ expose: (offer: unknown) => offered.push(offer) }))
async function worker<T>(load: () => Promise<unknown>): Promise<T> {
  offered.length = 0
  vi.resetModules()
  await load()
  return offered[0] as T
}

describe('the worker that thinks', () => {
  it('says what core says, for its reader, and again for another case', async () => {
    const thinker = await worker<Thinker>(() => import('./inference.worker'))
    for (const entries of [[opened()], [opened(), reading('supply-voltage', 236)]]) {
      const state = fold(entries)!
      const told = thinker.think(state, UNNAMED_SHOP, {}, {}, 'metric')
      expect(told.diagnosis).toEqual(considerationOf(state, UNNAMED_SHOP, {}, {}, { system: 'metric' }).diagnosis)
      expect(told.diagnosis.suspects[0]?.fault).toBe(diagnose(state.case).suspects[0]?.fault)
    }
  })
})

describe('the worker that reads the clock', () => {
  let clock: Clock
  beforeEach(async () => {
    clock = await worker<Clock>(() => import('./repair.worker'))
  })
  const steps = () => repairSteps('pool', 'bolted-seal-plate', 'swap-motor', {})?.steps ?? []
  it('reads less the more is done, and nothing once all is', () => {
    const read = (done: string[]) => clock.read('pool', 'bolted-seal-plate', ['swap-motor'], {}, undefined, done)
    const ids = steps().map(({ id }) => id)
    expect(ids.length).toBeGreaterThan(5)
    expect(read([])?.minutes.p50).toBeGreaterThan(read(ids.slice(0, 5))?.minutes.p50 as number)
    expect(read(ids)?.minutes.p50).toBe(0)
  })
  it('knows a spare only where one can be put in', () => {
    expect(clock.read('pool', 'bolted-seal-plate', ['swap-motor'], {}, undefined, [])?.downtime).toBeDefined()
    expect(clock.read('pool', 'bolted-seal-plate', ['polish-it'], {}, undefined, [])).toBeUndefined()
  })
})

describe('the worker that asks ten thousand times', () => {
  let asker: Asker
  const input = ask(questionById('jet-lift'), {}).input
  beforeEach(async () => {
    asker = await worker<Asker>(() => import('./workings.worker'))
  })
  it('tells how far it is, and gives the same spread for the same seed', async () => {
    const progress = vi.fn()
    const spread = await asker.spread('jet-lift', input, { npshRequiredMetres: 20 }, 600, 1, progress)
    expect(progress.mock.calls).toEqual([[200], [400]])
    expect(spread?.runs).toBe(600)
    expect(await asker.spread('jet-lift', input, { npshRequiredMetres: 20 }, 600, 1, vi.fn())).toEqual(spread)
    expect(await asker.spread('jet-lift', input, { npshRequiredMetres: 20 }, 600, 2, vi.fn())).not.toEqual(spread)
  })
  it('gives nothing once it was stopped, or another was begun', async () => {
    const stopped = asker.spread('jet-lift', input, { npshRequiredMetres: 20 }, 600, 1, () => asker.stop())
    expect(await stopped).toBeUndefined()
    const [first, second] = [1, 2].map((seed) =>
      asker.spread('jet-lift', input, { npshRequiredMetres: 20 }, 600, seed, vi.fn()),
    )
    expect(await first).toBeUndefined()
    expect((await second)?.runs).toBe(600)
  })
  it('follows one number from end to end', () => {
    const swept = asker.sweep('jet-lift', input, 'liftMetres', 0, 6, 4)
    expect(swept.map(({ x }) => x)).toEqual([0, 2, 4, 6])
    expect(swept.every(({ verdict }) => verdict !== undefined)).toBe(true)
  })
})
