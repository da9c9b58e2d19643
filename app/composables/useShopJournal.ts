import type { Entry, EntryBodies, EntryKind } from '#core/visit/entry'
import { useOutbox } from '~/stores/outbox'
import { writeLine } from '~/utils/write-line'
import { useAuthor } from './useAuthor'

/** The kinds of line that belong to no visit. */
type ShopKind = 'shop-set' | 'shop-forget' | 'customer-set' | 'retracted'

/** A visit as it begins. */
export interface NewVisit {
  visitId: string
  opened: EntryBodies['visit-opened']
  call?: EntryBodies['call']
  arranged?: EntryBodies['arranged']
  waits?: boolean
  /** The first visit of its journey, where that is another. */
  together?: string
}

/** Writes the shop's own lines, and opens visits: what does not belong to the visit that is on the screen. */
export function useShopJournal() {
  const outbox = useOutbox()
  const author = useAuthor()

  /** @returns the line, when the outbox has tried to send it */
  async function append<K extends ShopKind>(kind: K, body: EntryBodies[K], supersedes?: string): Promise<Entry> {
    const line = writeLine({ visitId: null, author: author.value, supersedes }, kind, body)
    await outbox.add([line])
    return line
  }

  /** Opens visits with their first lines: all of them or none. */
  async function openVisits(visits: readonly NewVisit[]): Promise<void> {
    await outbox.add(visits.flatMap(firstLines))
  }

  function firstLines({ visitId, opened, call, arranged, waits = false, together }: NewVisit): Entry[] {
    let lamport = 0
    const line = <K extends EntryKind>(kind: K, body: EntryBodies[K]) =>
      writeLine({ visitId, author: author.value, lamport: ++lamport }, kind, body)
    return [
      line('visit-opened', opened),
      ...(call ? [line('call', call)] : []),
      ...(waits ? [line('planned', {})] : []),
      ...(arranged && Object.keys(arranged).length > 0 ? [line('arranged', arranged)] : []),
      ...(together ? [line('together', { with: together })] : []),
    ]
  }

  return { append, openVisits }
}
