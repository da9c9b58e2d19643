import type { LineDraft } from '#core/pumps/corrections'
import { nextLamport, type Entry, type EntryBodies, type EntryKind } from '#core/visit/entry'
import { mergedJournal } from '#core/visit/merged'
import { headsOf } from '#core/visit/seen'
import { useDevice } from '~/stores/device'
import { useOutbox } from '~/stores/outbox'
import { writeLine } from '~/utils/write-line'
import { useWriter } from './useWriter'

/** A line that is still to be written: of which visit, or with null of the shop itself. */
export const draft = <K extends EntryKind>(visitId: string | null, kind: K, body: EntryBodies[K]): LineDraft =>
  ({ visitId, kind, body }) as LineDraft

/** Writes lines on visits that are not open here, each with what this device knows of its visit in sight. */
export function useDrafts() {
  const [outbox, device, writer] = [useOutbox(), useDevice(), useWriter()]

  /** @returns the lines, when the outbox has tried to send them */
  async function write(drafts: readonly LineDraft[]): Promise<Entry[]> {
    const journals = new Map<string, readonly Entry[] | undefined>()
    const lines: Entry[] = []
    for (const { visitId, kind, body } of drafts) {
      if (visitId !== null && !journals.has(visitId))
        journals.set(visitId, kind === 'visit-opened' ? [] : await knownOf(visitId))
      const journal = visitId === null ? undefined : journals.get(visitId)
      // Of a journal that is not known here a line stands after all that arrived before it.
      const known = journal ? { lamport: nextLamport(journal), seen: headsOf(journal) } : {}
      const line = writeLine({ visitId, ...writer.value, ...known }, kind, body)
      lines.push(line)
      if (visitId !== null && journal) journals.set(visitId, [...journal, line])
    }
    await outbox.add(lines)
    return lines
  }

  async function knownOf(visitId: string): Promise<readonly Entry[] | undefined> {
    const kept = await device.journalOf(visitId)
    const waiting = outbox.pending.filter((entry) => entry.visitId === visitId)
    const isOpenedHere = waiting.some(({ kind }) => kind === 'visit-opened')
    return kept || isOpenedHere ? mergedJournal(kept ?? [], waiting) : undefined
  }
  return { write }
}
