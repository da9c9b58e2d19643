import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import type { Entry } from '#core/visit/entry'
import { read, write } from '~/composables/useLocalStorageRef'

const STORAGE = 'pike-lamp.outbox'
const FIRST_WAIT = 800
const LONGEST_WAIT = 10_000
const MOST_AT_ONCE = 200

/** An entry that the server would not take, with its reason: shown, never dropped in silence. */
export interface Refused { entry: Entry; reason: string }

/**
 * Entries on their way to the server. They are kept in the browser until the server has acknowledged them, so an offline server, a reload or a
 * closed tab loses nothing; sending one twice is harmless.
 */
export const useOutbox = defineStore('outbox', () => {
  const pending = ref<Entry[]>(read<Entry[]>(STORAGE, []))
  const refused = ref<Refused[]>([])
  const offline = ref(false)
  let sending: Promise<void> | undefined
  let wait = FIRST_WAIT
  let timer: ReturnType<typeof setTimeout> | undefined

  /** Another tab may have put its own entries there since: they are merged, not overwritten. */
  function keep(change: (entries: Entry[]) => Entry[]): void {
    const stored = read<Entry[]>(STORAGE, [])
    const merged = [...new Map([...stored, ...pending.value].map((entry) => [entry.id, entry])).values()]
    pending.value = change(merged)
    write(STORAGE, pending.value)
  }

  function add(entries: readonly Entry[]): Promise<void> {
    keep((all) => [...all, ...entries])
    return flush()
  }

  function flush(): Promise<void> {
    sending ??= sendAll().finally(() => { sending = undefined })
    return sending
  }

  async function sendAll(): Promise<void> {
    clearTimeout(timer)
    while (pending.value.length > 0) {
      const batch = pending.value.slice(0, MOST_AT_ONCE)
      const outcome = await send(batch)
      if (outcome === 'unreachable') {
        offline.value = true
        timer = setTimeout(() => void flush(), wait)
        wait = Math.min(wait * 1.6, LONGEST_WAIT)
        return
      }
      offline.value = false
      wait = FIRST_WAIT
      if (outcome === 'accepted') settle(batch)
      else await sendOneByOne(batch)
    }
  }

  /** A batch with one bad entry is sent singly, so that the bad one spoils only itself. */
  async function sendOneByOne(batch: readonly Entry[]): Promise<void> {
    for (const entry of batch) {
      const outcome = await send([entry])
      if (outcome === 'unreachable') return
      if (outcome !== 'accepted') refused.value.push({ entry, reason: outcome.refused })
      settle([entry])
    }
  }

  function settle(sent: readonly Entry[]): void {
    const ids = new Set(sent.map(({ id }) => id))
    // Read without merging back what was just sent.
    const stored = read<Entry[]>(STORAGE, []).filter(({ id }) => !ids.has(id))
    pending.value = [...new Map([...stored, ...pending.value.filter(({ id }) => !ids.has(id))].map((entry) => [entry.id, entry])).values()]
    write(STORAGE, pending.value)
  }

  window.addEventListener('online', () => void flush())
  void flush()
  return { pending, refused, offline, waiting: computed(() => pending.value.length), add, flush, dismiss: (id: string) => { refused.value = refused.value.filter(({ entry }) => entry.id !== id) } }
})

async function send(entries: readonly Entry[]): Promise<'accepted' | 'unreachable' | { refused: string }> {
  try {
    const response = await fetch('/api/entries', { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify({ entries }) })
    if (response.ok) return 'accepted'
    if (response.status >= 500) return 'unreachable'
    const problem = (await response.json().catch(() => ({ title: response.statusText }))) as { title?: string }
    return { refused: problem.title ?? 'refused by the server' }
  } catch {
    return 'unreachable'
  }
}
