import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import { vi } from 'vitest'

/** Another tab's end of a channel between tabs. */
export class Channel {
  static all: Channel[] = []
  onmessage?: (message: { data: unknown }) => void
  constructor(readonly name: string) {
    Channel.all.push(this)
  }
  close(): void {
    Channel.all = Channel.all.filter((each) => each !== this)
  }
  postMessage(data: unknown): void {
    for (const other of Channel.all) if (other !== this && other.name === this.name) other.onmessage?.({ data })
  }
}

/** A browser's texts by key: where an older app had left its lines. */
export function textStorage(texts: Record<string, string> = {}) {
  const kept = new Map(Object.entries(texts))
  return {
    kept,
    get length() {
      return kept.size
    },
    key: (index: number) => [...kept.keys()][index] ?? null,
    getItem: (key: string) => kept.get(key) ?? null,
    removeItem: (key: string) => void kept.delete(key),
  }
}

/** A stream of the shop's that says nothing; where it was asked for. */
export class Stream {
  static opened: string[] = []
  static readonly CLOSED = 2
  constructor(readonly address: string) {
    Stream.opened.push(address)
  }
  addEventListener(): void {}
  close(): void {}
}

/** What a browser has and Node has not, fresh: an empty device with no other tab open. */
export function freshBrowser(): void {
  Channel.all = []
  Stream.opened = []
  vi.stubGlobal('EventSource', Stream)
  vi.stubGlobal('indexedDB', new IDBFactory())
  vi.stubGlobal('localStorage', textStorage())
  vi.stubGlobal('navigator', { onLine: true })
  vi.stubGlobal('location', { origin: 'http://shop' })
  vi.stubGlobal('window', { addEventListener: () => undefined })
  vi.stubGlobal('BroadcastChannel', Channel)
}
