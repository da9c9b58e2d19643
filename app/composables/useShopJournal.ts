import type { Entry, EntryBodies, EntryKind } from '#core/visit/entry'
import { writtenAfter } from '#core/visit/seen'
import { useOutbox } from '~/stores/outbox'
import { writeLine } from '~/utils/write-line'
import { useWriter } from './useWriter'

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
  const writer = useWriter()

  /** @returns the line, when the outbox has tried to send it */
  async function append<K extends ShopKind>(kind: K, body: EntryBodies[K], supersedes?: string): Promise<Entry> {
    const line = writeLine({ visitId: null, ...writer.value, supersedes }, kind, body)
    await outbox.add([line])
    return line
  }

  /** Opens visits with their first lines: all of them or none. */
  async function openVisits(visits: readonly NewVisit[]): Promise<void> {
    await outbox.add(visits.flatMap(firstLines))
  }

  function firstLines({ visitId, opened, call, arranged, waits = false, together }: NewVisit): Entry[] {
    const lines: Entry[] = []
    const line = <K extends EntryKind>(kind: K, body: EntryBodies[K]) => {
      lines.push(writeLine({ visitId, ...writer.value, ...writtenAfter(lines) }, kind, body))
    }
    line('visit-opened', opened)
    if (call) line('call', call)
    if (waits) line('planned', {})
    if (arranged && Object.keys(arranged).length > 0) line('arranged', arranged)
    if (together) line('together', { with: together })
    return lines
  }

  return { append, openVisits }
}
