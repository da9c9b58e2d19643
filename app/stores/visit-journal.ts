import { computed, shallowRef, watch, type Ref } from 'vue'
import { v7 as uuidv7 } from 'uuid'
import type { Entry, EntryBodies, EntryKind, Said, Writer } from '#core/visit/entry'
import type { Draft } from '#core/visit/line-entries'
import { mergedJournal } from '#core/visit/merged'
import { writtenAfter } from '#core/visit/seen'
import type { Claim } from '#core/visit/supersession'
import { readable } from '~/utils/readable'
import { writeLine } from '~/utils/write-line'
import { useOutbox } from './outbox'

/** More lines at once than this are not somebody writing: they came from the server, and the other tabs ask it too. */
const MOST_TOLD_AT_ONCE = 5

/** Where the lines of a visit are kept, and by which clock they are written. */
export interface JournalBook {
  /** The instant by its clock at one of the device’s, milliseconds. */
  clockAt: (now: number) => number
  instantOf: <K extends EntryKind>(kind: K, body: EntryBodies[K]) => Date
  /** Keeps a line. @returns a gate that is turned by it, to be written too */
  keep: (entry: Entry) => { gate?: EntryBodies['gate'] }
}

/** The open visit's journal as it is known here: what the server has, what is on its way, what another tab wrote. */
export function visitJournal(
  visitId: Ref<string | undefined>,
  writer: Readonly<Ref<Writer>>,
  /** Hears what another tab wrote on another visit. */
  overhear: (lines: readonly Entry[]) => void = () => undefined,
  /** Another book than the shop’s, while there is one. */
  otherBook: () => JournalBook | undefined = () => undefined,
) {
  const outbox = useOutbox()
  const here = shallowRef<readonly Entry[]>([])
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

  function merge(more: readonly Entry[]): void {
    here.value = mergedJournal(here.value, readable(more))
  }

  function clear(): void {
    here.value = []
  }

  /** Writes one line in the journal. It counts at once; the outbox carries it to the server. */
  function append<K extends EntryKind>(
    kind: K,
    body: EntryBodies[K],
    supersedes?: string,
    settles: readonly string[] = [],
    said?: Said,
  ): Entry {
    const of = { visitId: visitId.value ?? null, ...writer.value }
    const place = { ...of, ...writtenAfter(here.value), supersedes, settles, said }
    const book = otherBook()
    const entry = writeLine(place, kind, body, book?.instantOf(kind, body))
    if (!book) {
      merge([entry])
      void outbox.add([entry])
      return entry
    }
    const { gate } = book.keep(entry)
    merge([entry])
    if (gate) append('gate', gate)
    return entry
  }

  /**
   * Writes all that one line said, as one act: undone together, and the line as it was typed stays with it.
   *
   * @param corrects the entry that the line replaces: one of its own kind takes its place, else it is taken back
   */
  function appendSaid(drafts: readonly Draft[], line: string, corrects?: Entry): Entry[] {
    const said = { act: uuidv7(), line }
    const heir = corrects && drafts.find(({ kind }) => kind === corrects.kind)
    if (corrects && !heir) append('retracted', {}, corrects.id)
    return drafts.map((draft) => append(draft.kind, draft.body, draft === heir ? corrects?.id : undefined, [], said))
  }

  /** One of several things that devices said of one line is chosen: said once more, in place of all of them. */
  function settle(claims: readonly Claim[], chosen: Claim): void {
    const others = claims.filter(({ entry }) => entry.id !== chosen.entry.id).map(({ entry }) => entry.id)
    const [first, ...rest] = others
    if (!chosen.takenBack) append(chosen.entry.kind, chosen.entry.body, chosen.entry.id, others)
    else if (first) append('retracted', {}, first, rest)
  }

  /** Another tab wrote: its entries are in the shared outbox or on the server. */
  const channel = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel('pike-lamp')
  if (channel) {
    channel.onmessage = (message: MessageEvent<{ visitId: string; entries: Entry[] }>) => {
      if (message.data.visitId === visitId.value) merge(message.data.entries)
      else overhear(message.data.entries)
    }
    watch(here, (all, before) => {
      const known = new Set((before ?? []).map(({ id }) => id))
      const fresh = all.filter(({ id }) => !known.has(id))
      if (fresh.length > 0 && fresh.length < MOST_TOLD_AT_ONCE && visitId.value && !otherBook())
        channel.postMessage({ visitId: visitId.value, entries: JSON.parse(JSON.stringify(fresh)) })
    })
  }

  return { entries, merge, clear, append, appendSaid, settle }
}
