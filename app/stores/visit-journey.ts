import { computed, shallowRef, watch, type Ref } from 'vue'
import { journeyAround } from '#core/planning/stops'
import { compareEntries, type Entry, type EntryBodies, type EntryKind, type Writer } from '#core/visit/entry'
import { machineOf, type JourneyPlace } from '#core/visit/fold'
import { earlierReadings } from '#core/visit/history-of'
import { besideOf, journeySaid, riding, type Considered, type JourneyVisit } from '#core/visit/journey'
import { writtenAfter } from '#core/visit/seen'
import type { Shop } from '#core/visit/shop'
import { liveEntries } from '#core/visit/supersession'
import type { VisitPart } from '#core/visit/visit-view'
import { writeLine } from '~/utils/write-line'
import { useOutbox } from './outbox'

interface Open {
  visitId: Readonly<Ref<string | undefined>>
  entries: Readonly<Ref<readonly Entry[]>>
  writer: Readonly<Ref<Writer>>
  shop: Readonly<Ref<Shop>>
}

/**
 * The other visits of the open one's journey: their journals as they are known here, what follows from each, and the
 * place of the open one among them.
 *
 * @param consider the worker's work, or something that stands in for it
 */
export function visitJourney(
  { visitId, entries, writer, shop }: Open,
  consider: (visit: JourneyVisit, shop: Shop) => Promise<Considered | undefined>,
) {
  const outbox = useOutbox()
  const parts = shallowRef<readonly VisitPart[]>([])
  /** Lines on other visits that were written here, or told by another tab: they may be newer than what was served. */
  const written = shallowRef<readonly Entry[]>([])
  function hear(lines: readonly Entry[]): void {
    const known = new Set(written.value.map(({ id }) => id))
    const fresh = lines.filter(({ id, visitId: of }) => of !== null && !known.has(id))
    if (fresh.length > 0) written.value = [...written.value, ...fresh]
  }
  watch(() => outbox.pending, hear, { immediate: true })

  const others = computed((): VisitPart[] => {
    const refused = new Set(outbox.refused.map(({ entry }) => entry.id))
    return parts.value.map((part) => {
      const left = new Set([...refused, ...part.entries.map(({ id }) => id)])
      const more = written.value.filter(({ id, visitId: of }) => of === part.visitId && !left.has(id))
      return more.length === 0 ? part : { ...part, entries: [...part.entries, ...more].sort(compareEntries) }
    })
  })
  /** The journey as the journals say it now, in the order of its sheet: nothing until the open visit is known. */
  const order = computed(() => {
    const id = visitId.value
    if (!id || entries.value.length === 0) return []
    const all = others.value.map((part) => journeySaid(part.visitId, part.entries))
    return journeyAround(journeySaid(id, entries.value), all).map((each) => each.id)
  })
  const beside = computed(() => others.value.filter((part) => order.value.includes(part.visitId)))

  const consideredById = shallowRef<ReadonlyMap<string, { asked: string; answer: Considered }>>(new Map())
  const asked = computed(() =>
    beside.value.map(({ visitId: id, entries: journal, history, experience, pace }): [string, string] => {
      const earlier = earlierReadings(history, machineOf(liveEntries(journal)))
      const visit: JourneyVisit = { entries: journal, earlier, experience, pace }
      return [id, JSON.stringify([visit, shop.value])]
    }),
  )
  watch(
    asked,
    async (all) => {
      for (const [id, question] of all) {
        if (consideredById.value.get(id)?.asked === question) continue
        const answer = await consider(...(JSON.parse(question) as [JourneyVisit, Shop]))
        // A newer line overtakes an older answer.
        if (!answer || asked.value.find(([each]) => each === id)?.[1] !== question) continue
        consideredById.value = new Map([...consideredById.value, [id, { asked: question, answer }]])
      }
    },
    { immediate: true },
  )
  /** The others with what follows from them; undefined while one is still being considered. */
  const known = computed(() => {
    const all = asked.value.flatMap(([id, question]) => {
      const answer = consideredById.value.get(id)
      return answer?.asked === question ? [answer.answer] : []
    })
    return all.length === beside.value.length ? all : undefined
  })
  /** The place of the open visit in its journey; undefined until it is known. */
  const place = computed((): JourneyPlace | undefined => {
    if (order.value.length === 0) return undefined
    if (order.value[0] !== visitId.value) return { rides: true, beside: [] }
    return { rides: false, beside: (known.value ?? []).map((each) => besideOf(riding(each, shop.value))) }
  })

  /** Writes a line on another visit of the journey. */
  function appendTo<K extends EntryKind>(id: string, kind: K, body: EntryBodies[K], supersedes?: string): void {
    const journal = others.value.find((part) => part.visitId === id)?.entries ?? []
    const line = writeLine({ visitId: id, ...writer.value, ...writtenAfter(journal), supersedes }, kind, body)
    hear([line])
    void outbox.add([line])
  }

  return { parts, others, order, known, place, hear, appendTo }
}
