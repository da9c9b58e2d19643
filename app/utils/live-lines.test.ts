import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { opened } from '#core/visit/test-journal'
import { freshBrowser } from './browser.fixture'
import { LiveLines, type News } from './live-lines'

/** A stream of a server that a test speaks for. */
class Stream {
  static all: Stream[] = []
  static readonly CLOSED = 2
  readyState = 1
  onerror?: () => void
  private readonly heard = new Map<string, (event: { data: string; lastEventId: string }) => void>()
  constructor(readonly url: string) {
    Stream.all.push(this)
  }
  addEventListener(name: string, told: (event: { data: string; lastEventId: string }) => void): void {
    this.heard.set(name, told)
  }
  close(): void {
    this.readyState = Stream.CLOSED
  }
  say(name: string, arrival: number, data: object = {}): void {
    this.heard.get(name)?.({ data: JSON.stringify(data), lastEventId: `${arrival}` })
  }
  breakOff(forGood: boolean): void {
    if (forGood) this.readyState = Stream.CLOSED
    this.onerror?.()
  }
}

/** Locks of a device: one tab holds each at a time, the next when it lets go. */
function locks() {
  let held = Promise.resolve()
  return {
    request: (_: string, { signal }: { signal: AbortSignal }, work: () => Promise<void>) => {
      const turn = held.then(() => (signal.aborted ? undefined : work()))
      held = turn.catch(() => undefined) as Promise<void>
      return turn
    },
  }
}
const settle = () => vi.advanceTimersByTimeAsync(0)

function tab() {
  const news: News[] = []
  const reach: boolean[] = []
  const live = new LiveLines(
    (told) => news.push(told),
    (connected) => reach.push(connected),
  )
  return { live, news, reach }
}

beforeEach(() => {
  vi.useFakeTimers()
  freshBrowser()
  Stream.all = []
  vi.stubGlobal('EventSource', Stream)
  vi.stubGlobal('navigator', { locks: locks() })
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

describe('lines as they arrive at a device', () => {
  it('are heard by one tab for all, and by the next from the last line on when it closes', async () => {
    const [one, two] = [tab(), tab()]
    one.live.follow(10)
    two.live.follow(10)
    await settle()
    expect(Stream.all.map(({ url }) => url)).toEqual(['/api/live?after=10'])
    const entry = opened()
    Stream.all[0]?.say('lines', 14, { entries: [entry] })
    for (const { news } of [one, two]) expect(news).toEqual([{ is: 'lines', arrival: 14, entries: [entry] }])
    one.live.end()
    await settle()
    expect(Stream.all.map(({ url }) => url)).toEqual(['/api/live?after=10', '/api/live?after=14'])
    Stream.all[1]?.say('far', 900)
    expect(two.news.at(-1)).toEqual({ is: 'far', arrival: 900 })
    expect(one.news).toHaveLength(1)
    two.live.end()
  })

  it('are listened for anew when nothing is heard for long, or the answer was no stream', async () => {
    const { live, reach } = tab()
    live.follow(3)
    await settle()
    Stream.all[0]?.say('beat', 3)
    expect(reach).toEqual([true])
    await vi.advanceTimersByTimeAsync(39_000)
    expect(Stream.all).toHaveLength(1)
    await vi.advanceTimersByTimeAsync(2_000)
    expect(Stream.all).toHaveLength(2)
    // A broken stream is taken up again by the browser; an answer that is none is not.
    Stream.all[1]?.breakOff(false)
    await vi.advanceTimersByTimeAsync(3_000)
    expect(Stream.all).toHaveLength(2)
    expect(reach).toEqual([true, false])
    Stream.all[1]?.breakOff(true)
    await vi.advanceTimersByTimeAsync(3_000)
    expect(Stream.all).toHaveLength(3)
    live.end()
    await vi.advanceTimersByTimeAsync(100_000)
    expect(Stream.all).toHaveLength(3)
  })

  it('are heard on by a tab that heard of another tab’s lines before it had read anything itself', async () => {
    const [one, two] = [tab(), tab()]
    one.live.follow(10)
    await settle()
    Stream.all[0]?.say('lines', 12, { entries: [opened()] })
    two.live.follow(11)
    await settle()
    expect(Stream.all).toHaveLength(1)
    one.live.end()
    await settle()
    expect(Stream.all.map(({ url }) => url)).toEqual(['/api/live?after=10', '/api/live?after=12'])
    two.live.end()
  })

  it('begin once, after what was read first', async () => {
    const { live } = tab()
    live.follow(3)
    live.follow(9)
    await settle()
    expect(Stream.all.map(({ url }) => url)).toEqual(['/api/live?after=3'])
    live.end()
  })

  it('are heard by each tab for itself where the page has no locks', () => {
    vi.stubGlobal('navigator', {})
    const [one, two] = [tab(), tab()]
    one.live.follow(1)
    two.live.follow(1)
    expect(Stream.all).toHaveLength(2)
    one.live.end()
    two.live.end()
  })
})
