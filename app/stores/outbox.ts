import { createEventHook } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { Entry } from '#core/visit/entry'
import { attachedIn } from '#core/visit/attached'
import { sendEntries, sendPictures, type Sent } from '~/utils/send-entries'
import { WaitingLines, type Refusal, type WaitingLine } from '~/utils/waiting-lines'
import { usePhotos } from './photos'
import { useSelf } from './self'

const FIRST_WAIT = 800
/** A field that says who wrote a line. */
const OF_WRITER = /\.(by|author)$/
const LONGEST_WAIT = 10_000
const MOST_AT_ONCE = 200
/** Whoever waits for lines to be sent waits so long at most, milliseconds. */
const PATIENCE = 4_000

/** How it stands with the server: it answers, nobody answers, or it answers and cannot keep lines now. */
export type Reach = { is: 'answers' } | Extract<Sent, { is: 'unreachable' | 'failing' }>

/**
 * Entries on their way to the server, each after its picture. They are kept in the browser until the server has
 * acknowledged them, so an offline server, a reload or a closed tab loses nothing; sending one twice is harmless. A
 * line that the server refuses is kept too, until somebody changes or drops it, and nothing waits behind it.
 */
export const useOutbox = defineStore('outbox', () => {
  const [photos, self] = [usePhotos(), useSelf()]
  const lines = shallowRef<WaitingLine[]>([])
  const onlyHere = ref(0)
  const waitingLines = new WaitingLines(reread, localStorage)
  /** Before they are forgotten here, what is kept of the shop has them. */
  const accepted = createEventHook<readonly Entry[]>()
  const dropped = shallowRef<WaitingLine[]>([])
  const reach = ref<Reach>({ is: 'answers' })
  let sending: Promise<void> | undefined
  let wait = FIRST_WAIT
  let timer: ReturnType<typeof setTimeout> | undefined

  const pending = computed(() => lines.value.filter(({ refusal }) => !refusal).map(({ entry }) => entry))
  const refused = computed(() =>
    lines.value.filter((line): line is WaitingLine & { refusal: Refusal } => line.refusal !== undefined),
  )

  function reread(): void {
    lines.value = waitingLines.all()
    onlyHere.value = waitingLines.onlyHere
  }
  function keep(more: readonly WaitingLine[]): void {
    for (const line of more) void waitingLines.keep(line)
  }
  function forget(entries: readonly Entry[]): void {
    for (const { id } of entries) void waitingLines.forget(id)
  }

  /** @returns when it was tried to send them; on a way that carries nothing, a moment after they are kept */
  function add(entries: readonly Entry[]): Promise<void> {
    keep(entries.map((entry) => ({ entry })))
    return Promise.race([flush(), new Promise<void>((done) => setTimeout(done, PATIENCE))])
  }

  function flush(): Promise<void> {
    if (pending.value.length > 0) sending ??= sendAll()
    return sending ?? Promise.resolve()
  }

  async function sendAll(): Promise<void> {
    clearTimeout(timer)
    try {
      while (pending.value.length > 0) {
        if (!(await sendBatch(pending.value.slice(0, MOST_AT_ONCE)))) return
      }
    } finally {
      // In the same breath as the last look at what waits: a line added right after begins a sending of its own.
      sending = undefined
    }
  }

  /** @returns whether the server answers about lines, so that going on makes sense */
  async function sendBatch(batch: readonly Entry[]): Promise<boolean> {
    const pictures = await sendPictures(batch, photos.waiting)
    const sent = pictures.is === 'accepted' ? await sendEntries(batch) : pictures
    if (sent.is === 'unreachable' || sent.is === 'failing') {
      reach.value = sent
      if (sent.is === 'failing' && sent.isOut) self.lost()
      timer = setTimeout(() => void flush(), wait)
      wait = Math.min(wait * 1.6, LONGEST_WAIT)
      return false
    }
    reach.value = { is: 'answers' }
    wait = FIRST_WAIT
    const [only, ...others] = batch
    if (sent.is === 'accepted') {
      await accepted.trigger(batch)
      forget(batch)
      for (const hash of attachedIn(batch)) void photos.sent(hash)
    } else if (only && others.length === 0) keep([{ entry: only, refusal: sent.refusal }])
    // A batch with one bad entry is sent singly, so that the bad one spoils only itself.
    else for (const entry of batch) if (!(await sendBatch([entry]))) return false
    return true
  }

  /** A refused line goes on its way again as it was changed. */
  function change(id: string, entry: Entry): Promise<void> {
    keep([{ entry }])
    if (entry.id !== id) forget([{ id } as Entry])
    return flush()
  }
  /**
   * Somebody has signed in. Lines that were written here before anybody did are theirs; those that were refused because
   * of who sent them are tried again.
   */
  function claim(): void {
    const { by, author } = self
    if (!by) return
    keep(
      lines.value
        .filter(({ entry, refusal }) => !entry.by || refusal?.problems.some(({ field }) => OF_WRITER.test(field)))
        .map(({ entry }) => ({ entry: entry.by ? entry : { ...entry, author, by } })),
    )
  }
  /** A refused line is given up. Until the page is left it can be had back. */
  function drop(id: string): void {
    const line = refused.value.find(({ entry }) => entry.id === id)
    if (!line) return
    dropped.value = [...dropped.value, line]
    forget([line.entry])
  }
  function takeBack(): void {
    keep(dropped.value)
    dropped.value = []
  }

  window.addEventListener('online', () => void flush())
  void waitingLines.ready.then(flush)
  return {
    /** When what the device had kept is known here. */
    ready: waitingLines.ready,
    onAccepted: accepted.on,
    pending,
    refused,
    dropped,
    reach,
    onlyHere: computed(() => onlyHere.value + photos.onlyHere),
    waiting: computed(() => pending.value.length),
    add,
    flush,
    change,
    drop,
    takeBack,
    claim,
  }
})
