import { describe, expect, it, vi } from 'vitest'
import { oneAtATime } from './one-at-a-time'

describe('work that a button begins', () => {
  it('goes on once however often it is tapped, and can be begun again when it is done', async () => {
    let finish: () => void = () => undefined
    const work = vi.fn(() => new Promise<void>((done) => (finish = done)))
    const tap = oneAtATime(work)
    const [first, second] = [tap(), tap()]
    finish()
    await Promise.all([first, second])
    expect(work).toHaveBeenCalledOnce()
    void tap()
    expect(work).toHaveBeenCalledTimes(2)
  })
  it('can be begun again after it has failed', async () => {
    const work = vi.fn(async () => {
      throw new Error('no signal')
    })
    const tap = oneAtATime(work)
    await expect(tap()).rejects.toThrow('no signal')
    await expect(tap()).rejects.toThrow('no signal')
    expect(work).toHaveBeenCalledTimes(2)
  })
})
