import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import type { Finding } from '#core/diagnosis/finding'
import type { LampHelp } from '#core/knowledge/practice/lamp-help'
import type { Pace } from '#core/takedown/as-here'
import type { Entry, Site } from '#core/visit/entry'
import { foldVisit, machineOf, type VisitState } from '#core/visit/fold'
import { liveEntries } from '#core/visit/supersession'
import type { HistoryReading } from '#core/visit/history'
import { earlierReadings } from '#core/visit/history-of'
import type { Experience } from '#core/visit/job'
import { UNNAMED_SHOP, type Shop } from '#core/visit/shop'
import type { VisitPart } from '#core/visit/visit-view'
import { useAuthor } from '~/composables/useAuthor'
import { useWriter } from '~/composables/useWriter'
import { rememberShop, useUnitSystem } from '~/composables/useUnits'
import { useThinker } from '~/composables/useThinker'
import { ask, NO_WAY } from '~/utils/ask'
import { readable } from '~/utils/readable'
import { useDevice } from './device'
import { useLive } from './live'
import { visitJournal, type JournalBook } from './visit-journal'
import { visitJourney } from './visit-journey'
import { visitThought } from './visit-thought'

const ASK_AGAIN = 1_500

/** What the server says of a visit. */
interface VisitView {
  entries: Entry[]
  history: HistoryReading[]
  shop: Shop
  experience: Experience
  pace: Pace
  site?: Site
  /** The other visits of its journey. */
  journey?: VisitPart[]
}

/** A reading that stands ready to be taken: nothing of it is in the journal yet. */
export interface OfferedReading {
  finding: Finding
  /** As somebody would type it. */
  text: string
  /** Where it comes from. */
  source: string
}

/** Where readings come from that stand ready. */
export interface Offers {
  offered: () => OfferedReading | undefined
  /** What was offered is in the journal, or is not wanted. */
  settle: () => void
}

/** Another book than the shop’s, and what its visits have that real ones have not. */
export interface OtherBook extends JournalBook, Offers {
  /** How much of the lamp is seen. */
  help: () => LampHelp
  /** Says why something is not to be had. */
  refuse: (why: string) => void
}

/** What is decided in the Day, and not taken back in the visit. */
const NOT_FROM_HERE: ReadonlySet<Entry['kind']> = new Set<Entry['kind']>([
  'visit-opened',
  'planned',
  'arranged',
  'cancelled',
  'together',
])

/** What the shop says of itself, which every visit hangs on. */
const SHOP_SAID: ReadonlySet<Entry['kind']> = new Set<Entry['kind']>(['shop-set', 'shop-forget', 'article-set'])

/** The open visit: its journal, the state folded from it, and what the worker thinks of it. */
export const useVisit = defineStore('visit', () => {
  const visitId = ref<string>()
  const [author, writer] = [useAuthor(), useWriter()]
  const history = shallowRef<HistoryReading[]>([])
  const shop = shallowRef<Shop>(UNNAMED_SHOP)
  /** What the shop's own closed visits make of each fault's rate for this kind of pump. */
  const experience = shallowRef<Experience>({})
  /** The shop's own times, as ratios to the estimate, by step. */
  const pace = shallowRef<Pace>({})
  /** What is known of the way in, where it is known. */
  const site = shallowRef<Site>()
  const problem = ref<string>()

  /** Another book than the shop’s: that of a try, of which the shop never hears. */
  const book = shallowRef<OtherBook>()
  const offers = shallowRef<Offers>()
  const { entries, merge, clear, append, appendSaid, settle } = visitJournal(
    visitId,
    writer,
    (lines) => journey.hear(lines),
    () => book.value,
  )
  const journey = visitJourney({ visitId, entries, writer, shop }, (...asked) => useThinker().considered(...asked))
  const earlier = computed(() => earlierReadings(history.value, machineOf(liveEntries(entries.value))))
  const state = computed<VisitState | undefined>(() =>
    foldVisit(entries.value, { earlier: earlier.value, journey: journey.place.value }),
  )
  const system = useUnitSystem()
  const { thought, thinking } = visitThought({ state, shop, pace, experience, system }, (...asked) =>
    useThinker().think(...asked),
  )

  /** Opens a visit that is kept in another book than the shop’s. */
  function openBook(id: string, kept: OtherBook, lines: readonly Entry[], of: Shop): void {
    if (visitId.value !== id || book.value !== kept) forget()
    book.value = kept
    visitId.value = id
    problem.value = undefined
    history.value = []
    experience.value = pace.value = {}
    shop.value = of
    merge(lines)
  }
  function forget(): void {
    clear()
    journey.parts.value = []
    site.value = undefined
    thought.value = undefined
  }

  let again: ReturnType<typeof setTimeout> | undefined
  async function open(id: string): Promise<void> {
    problem.value = undefined
    if (visitId.value !== id || book.value) forget()
    book.value = undefined
    visitId.value = id
    clearTimeout(again)
    try {
      const response = await ask(`/api/visits/${id}`)
      // The shop is still taking in its journal: it says how far it is, and is asked again.
      if (response.status === 503)
        again = setTimeout(() => {
          if (visitId.value === id) void open(id)
        }, ASK_AGAIN)
      const view = (await response.json()) as VisitView & { title?: string }
      if (!response.ok) throw new Error(view.title ?? response.statusText)
      if (visitId.value === id) show(view)
    } catch (error) {
      // With something of this visit in hand the work goes on; a word in the head says that nobody answers.
      if (!state.value) problem.value = error instanceof TypeError ? NO_WAY : (error as Error).message
    }
  }

  const [live, device] = [useLive(), useDevice()]
  live.onMissed(readAnew)
  live.onLines((lines) => {
    merge(lines.filter((line) => line.visitId === visitId.value))
    journey.hear(lines)
    // What the shop says of itself, and who else is on the journey, stands in no line of this visit.
    if (lines.some(({ kind, visitId: of }) => SHOP_SAID.has(kind) || (kind === 'together' && of !== visitId.value)))
      readAnew()
  })

  function readAnew(): void {
    if (visitId.value && !book.value) void open(visitId.value)
  }
  watch(
    () => live.isConnected,
    (connected) => {
      if (connected && problem.value) readAnew()
    },
  )

  function show(view: VisitView): void {
    if (readable(view.entries) !== view.entries) device.outdated()
    history.value = view.history
    shop.value = view.shop
    rememberShop(view.shop)
    experience.value = view.experience
    pace.value = view.pace
    site.value = view.site
    journey.parts.value = view.journey ?? []
    merge(view.entries)
  }

  /** The shop has said something of itself from here: it stands until the server is asked again. */
  function setShop(changed: Shop): void {
    shop.value = changed
    rememberShop(changed)
  }

  /** Takes back a line, with all that was said in the same breath. */
  function takeBack(line: Entry): void {
    const act = line.said?.act
    const together = act ? (state.value?.entries.filter(({ said }) => said?.act === act) ?? []) : [line]
    for (const entry of together.toReversed()) append('retracted', {}, entry.id)
  }

  /** Takes back the newest line that counts. */
  const undoable = computed(() => state.value?.entries.findLast(({ kind }) => !NOT_FROM_HERE.has(kind)))
  function undo(): Entry | undefined {
    const last = undoable.value
    if (last) takeBack(last)
    return last
  }

  return {
    visitId,
    entries,
    history,
    earlier,
    shop,
    experience,
    pace,
    site,
    state,
    thought,
    thinking,
    problem,
    author,
    undoable,
    /** It is a pump for practice, and nobody’s. */
    isPractice: computed(() => book.value !== undefined),
    open,
    openBook,
    /** How much of the lamp is seen: of a real machine all of it. */
    help: computed((): LampHelp => book.value?.help() ?? 'on'),
    offered: computed(() => (book.value ?? offers.value)?.offered()),
    settleOffer: () => (book.value ?? offers.value)?.settle(),
    /** From now on instruments, or whoever else has something ready, offer it to the line. */
    hearOffers: (from: Offers | undefined) => {
      offers.value = from
    },
    refuse: (why: string) => book.value?.refuse(why),
    clockAt: (now: number) => book.value?.clockAt(now) ?? now,
    take: merge,
    append,
    appendSaid,
    settle,
    setShop,
    undo,
    takeBack,
    others: journey.others,
    order: journey.order,
    beside: journey.known,
    appendTo: journey.appendTo,
  }
})
