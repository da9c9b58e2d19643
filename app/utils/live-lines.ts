import type { Entry } from '#core/visit/entry'

/** What the shop's server tells of itself: lines that arrived, or that more did than is told line by line. */
export type News = ({ is: 'lines'; entries: Entry[] } | { is: 'far' } | { is: 'beat' }) & { arrival: number }
/** What the tab that listens tells the others. */
type Told = News | { is: 'reach'; connected: boolean }

const NAME = 'pike-lamp.live'
/** The server says something every 15 seconds; whoever hears nothing for longer has lost it, milliseconds. */
const SILENCE = 40_000
const AGAIN = 2_000

/**
 * Lines of the shop as they arrive. One tab of a device listens for all of them, since a browser keeps few connections
 * open at once to one address; when it closes, another goes on from the line that was heard last.
 */
export class LiveLines {
  /** What is heard last, from this tab's stream or from another tab. */
  private arrival: number | undefined
  private follows = false
  private source: EventSource | undefined
  private timer: ReturnType<typeof setTimeout> | undefined
  /** Nothing until it is known. */
  private connected: boolean | undefined
  private readonly ended = new AbortController()
  private readonly tabs = new BroadcastChannel(NAME)

  constructor(
    private readonly heard: (news: News) => void,
    private readonly reached: (connected: boolean) => void,
  ) {
    this.tabs.onmessage = ({ data }: MessageEvent<Told>) => this.hear(data)
  }

  /**
   * Listens from an arrival on; asked again, it goes on as it does.
   *
   * @param after what everything that is on the screen was read after
   */
  follow(after: number): void {
    if (this.follows) return
    this.follows = true
    this.arrival ??= after
    // A page that was not loaded over a safe way has no locks: each of its tabs listens for itself.
    if (!('locks' in navigator)) return this.listen()
    void navigator.locks
      .request(NAME, { signal: this.ended.signal }, async () => {
        this.listen()
        await new Promise<void>((done) => this.ended.signal.addEventListener('abort', () => done()))
      })
      .catch(() => undefined)
  }

  end(): void {
    this.ended.abort()
    clearTimeout(this.timer)
    this.source?.close()
    this.tabs.close()
  }

  private listen(): void {
    if (this.ended.signal.aborted) return
    this.source?.close()
    const source = new EventSource(`/api/live?after=${this.arrival ?? ''}`)
    this.source = source
    for (const is of ['lines', 'far', 'beat'] as const)
      source.addEventListener(is, ({ data, lastEventId }: MessageEvent<string>) =>
        this.tell({ is, arrival: Number(lastEventId), ...(JSON.parse(data) as object) } as News),
      )
    source.onerror = () => {
      this.tell({ is: 'reach', connected: false })
      // An answer that is no stream ends it for good; a broken one is taken up again by the browser itself.
      if (source.readyState === EventSource.CLOSED) this.wait(AGAIN)
    }
    this.wait(SILENCE)
  }

  private wait(milliseconds: number): void {
    clearTimeout(this.timer)
    this.timer = setTimeout(() => this.listen(), milliseconds)
  }

  private tell(told: Told): void {
    if (told.is !== 'reach') this.wait(SILENCE)
    this.hear(told)
    this.tabs.postMessage(told)
  }

  private hear(told: Told): void {
    this.reach(told.is !== 'reach' || told.connected)
    if (told.is === 'reach') return
    this.arrival = told.arrival
    if (told.is !== 'beat') this.heard(told)
  }

  private reach(connected: boolean): void {
    if (connected === this.connected) return
    this.connected = connected
    this.reached(connected)
  }
}
