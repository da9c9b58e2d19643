import { liftEntry } from '../../core/visit/lift'
import type { Entry } from '../../core/visit/entry'
import type { Repository } from '../database/repository'

/** Hears of lines as they arrive. */
export interface Follower {
  /** The next lines in the order of their arrival, and the arrival that they reach. */
  lines: (entries: readonly Entry[], arrival: number) => void
  /** More has arrived than is told line by line, up to this one: whoever follows reads anew what it shows. */
  far: (arrival: number) => void
  /** The server stops. */
  end: () => void
}

/** So many lines are told one by one; after a file of thousands was taken in, what is shown is read anew instead. */
const MOST_TOLD = 500

/** Lines as they arrive at any server of the shop, each read once from the database however many follow. */
export class LiveLines {
  private readonly followers = new Set<Follower>()
  private reading: Promise<void> | undefined
  private isTold = false

  /** @param newest the arrival of the newest line at opening */
  constructor(
    private readonly repository: Pick<Repository, 'entriesAfter' | 'newestArrival'>,
    private newest: number,
  ) {}

  /** How far the journal has come, as far as this server has read it. */
  get arrival(): number {
    return this.newest
  }

  /** How many follow. */
  get count(): number {
    return this.followers.size
  }

  /** Something has arrived at one of the servers. */
  told(): Promise<void> {
    this.isTold = true
    this.reading ??= this.readOn().finally(() => {
      this.reading = undefined
    })
    return this.reading
  }

  /**
   * Follows from an arrival on; what came since is told first.
   *
   * @param signal ends it
   */
  async follow(after: number, follower: Follower, signal: AbortSignal): Promise<void> {
    let reached = after
    while (reached !== this.newest && !signal.aborted) {
      const { newest } = this
      // Of a journal that was another: restored since, or of another shop at this address.
      const rows = reached > newest ? [] : await this.repository.entriesAfter(reached, MOST_TOLD + 1)
      if (rows.length === 0 || rows.length > MOST_TOLD) {
        reached = newest
        follower.far(reached)
      } else {
        reached = rows.at(-1)?.arrival ?? newest
        follower.lines(...told(rows))
      }
      // It was read beyond what this server has told of: the rest of it follows from there.
      if (reached > this.newest) await this.told()
    }
    if (signal.aborted) return
    this.followers.add(follower)
    signal.addEventListener('abort', () => this.followers.delete(follower))
  }

  /** Everybody is told that it ends: a stream that only broke off is an error to whoever listens. */
  end(): void {
    for (const { end } of this.followers) end()
    this.followers.clear()
  }

  private async readOn(): Promise<void> {
    while (this.isTold) {
      this.isTold = false
      const rows = await this.repository.entriesAfter(this.newest, MOST_TOLD + 1)
      if (rows.length === 0) continue
      if (rows.length > MOST_TOLD) {
        this.newest = await this.repository.newestArrival()
        this.isTold = true
        for (const { far } of this.followers) far(this.newest)
        continue
      }
      const [entries, arrival] = told(rows)
      this.newest = arrival
      for (const { lines } of this.followers) lines(entries, arrival)
    }
  }
}

function told(rows: readonly { entry: unknown; arrival: number }[]): [entries: Entry[], arrival: number] {
  return [rows.map(({ entry }) => liftEntry(entry) as Entry), rows.at(-1)?.arrival ?? 0]
}
