import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { v7 as uuidv7 } from 'uuid'
import {
  compareEntries,
  ENTRY_VERSION,
  nextLamport,
  type Entry,
  type EntryBodies,
  type EntryKind,
} from '#core/visit/entry'
import type { Claim } from '#core/visit/supersession'
import { foldVisit, type VisitState } from '#core/visit/fold'
import { earlierReadings, type HistoryReading } from '#core/visit/history'
import type { Pace } from '#core/takedown/as-here'
import { UNNAMED_SHOP, type Shop } from '#core/visit/shop'
import type { ConsideredState, Consideration } from '#core/visit/job'
import type { Thinker } from '~/workers/inference.worker'
import { useThinker } from '~/composables/useThinker'
import { read, write } from '~/composables/useLocalStorageRef'
import { useOutbox } from './outbox'

const AUTHOR = 'pike-lamp.author'
const ASK_AGAIN = 1_500

/** The open visit: its journal here and on the way, the state folded from it, and what the worker thinks of it. */
export const useVisit = defineStore('visit', () => {
  const outbox = useOutbox()
  const visitId = ref<string>()
  /** The journal as it is known here: what the server has, what is on its way, what another tab wrote. */
  const here = shallowRef<Entry[]>([])
  const history = shallowRef<HistoryReading[]>([])
  const shop = shallowRef<Shop>(UNNAMED_SHOP)
  /** What the shop's own closed visits make of each fault's rate for this kind of pump. */
  const experience = shallowRef<Record<string, number>>({})
  /** The shop's own times, as ratios to the estimate, by step. */
  const pace = shallowRef<Pace>({})
  const thought = shallowRef<Consideration>()
  const thinking = ref(false)
  const problem = ref<string>()
  const author = ref(read(AUTHOR, 'technician'))
  watch(author, (name) => write(AUTHOR, name))

  const entries = computed(() => {
    const refused = new Set(outbox.refused.map(({ entry }) => entry.id))
    return refused.size === 0 ? here.value : here.value.filter(({ id }) => !refused.has(id))
  })
  // What waits in the outbox belongs to the journal here, and stays in it when it has been sent.
  watch(
    () => [outbox.pending, visitId.value] as const,
    ([pending]) => merge(pending.filter((entry) => entry.visitId === visitId.value)),
    { immediate: true },
  )
  const earlier = computed(() => earlierReadings(history.value))
  const state = computed<VisitState | undefined>(() => foldVisit(entries.value, { earlier: earlier.value }))

  let again: ReturnType<typeof setTimeout> | undefined
  async function open(id: string): Promise<void> {
    problem.value = undefined
    if (visitId.value !== id) {
      here.value = []
      thought.value = undefined
    }
    visitId.value = id
    clearTimeout(again)
    try {
      const response = await fetch(`/api/visits/${id}`)
      // The shop is still taking in its journal: it says how far it is, and is asked again.
      if (response.status === 503)
        again = setTimeout(() => {
          if (visitId.value === id) void open(id)
        }, ASK_AGAIN)
      const view = (await response.json()) as {
        entries: Entry[]
        history: HistoryReading[]
        shop: Shop
        experience: Record<string, number>
        pace: Pace
        title?: string
      }
      if (!response.ok) throw new Error(view.title ?? response.statusText)
      merge(view.entries)
      history.value = view.history
      shop.value = view.shop
      experience.value = view.experience
      pace.value = view.pace
    } catch (error) {
      // With something of this visit in hand the work goes on; the banner says that the server is away.
      if (!state.value)
        problem.value =
          error instanceof TypeError
            ? 'The server does not answer. Start it, then open this page again.'
            : (error as Error).message
    }
  }

  function merge(more: readonly Entry[]): void {
    const known = new Set(here.value.map(({ id }) => id))
    // A line that an older app left waiting has no logical time: it stands after what is here, as it will when it
    // arrives.
    const untimed = nextLamport(here.value)
    const fresh = more
      .filter(({ id }) => !known.has(id))
      .map((entry, index) => (entry.lamport === undefined ? { ...entry, lamport: untimed + index } : entry))
    if (fresh.length > 0) here.value = [...here.value, ...fresh].sort(compareEntries)
  }

  /** Writes one line in the journal. It counts at once; the outbox carries it to the server. */
  function append<K extends EntryKind>(
    kind: K,
    body: EntryBodies[K],
    supersedes?: string,
    settles: readonly string[] = [],
  ): Entry {
    const entry = {
      id: uuidv7(),
      v: ENTRY_VERSION,
      lamport: nextLamport(here.value),
      visitId: visitId.value ?? null,
      kind,
      at: new Date().toISOString(),
      author: author.value || 'technician',
      ...(supersedes ? { supersedes } : {}),
      ...(settles.length > 0 ? { settles: [...settles] } : {}),
      body,
    } as unknown as Entry
    merge([entry])
    void outbox.add([entry])
    return entry
  }

  /** One of several things that devices said of one line is chosen: said once more, in place of all of them. */
  function settle(claims: readonly Claim[], chosen: Claim): void {
    const others = claims.filter(({ entry }) => entry.id !== chosen.entry.id).map(({ entry }) => entry.id)
    const [first, ...rest] = others
    if (!chosen.takenBack) append(chosen.entry.kind, chosen.entry.body, chosen.entry.id, others)
    else if (first) append('retracted', {}, first, rest)
  }

  /** Takes back the newest line that counts. */
  const undoable = computed(() => state.value?.entries.findLast(({ kind }) => kind !== 'visit-opened'))
  function undo(): Entry | undefined {
    const last = undoable.value
    if (last) append('retracted', {}, last.id)
    return last
  }

  /** What the worker is asked to think about. */
  function asked(of: VisitState): Parameters<Thinker['think']> {
    const { pump, plate, decision } = of
    const { rates, schools } = shop.value
    const considered: ConsideredState = { case: of.case, earlier: of.earlier, pump, plate, decision }
    return [considered, { rates, schools }, pace.value, experience.value]
  }
  let latest = 0
  watch(
    () => (state.value ? JSON.stringify(asked(state.value)) : undefined),
    async (key) => {
      if (!key) return
      const turn = ++latest
      thinking.value = true
      const result = await useThinker().think(...(JSON.parse(key) as ReturnType<typeof asked>))
      // A newer case overtakes an older answer.
      if (turn !== latest) return
      thought.value = result
      thinking.value = false
    },
    { immediate: true },
  )

  /** Another tab wrote: its entries are in the shared outbox or on the server. */
  const channel = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel('pike-lamp')
  if (channel) {
    channel.onmessage = (message: MessageEvent<{ visitId: string; entries: Entry[] }>) => {
      if (message.data.visitId === visitId.value) merge(message.data.entries)
    }
    watch(here, (all, before) => {
      const known = new Set((before ?? []).map(({ id }) => id))
      const fresh = all.filter(({ id }) => !known.has(id))
      if (fresh.length > 0 && fresh.length < 5 && visitId.value)
        channel.postMessage({ visitId: visitId.value, entries: JSON.parse(JSON.stringify(fresh)) })
    })
  }

  return {
    visitId,
    entries,
    history,
    earlier,
    shop,
    experience,
    pace,
    state,
    thought,
    thinking,
    problem,
    author,
    undoable,
    open,
    append,
    settle,
    undo,
  }
})
