import type { KeptVisit } from '#core/pumps/device-window'
import type { Entry } from '#core/visit/entry'
import { foldVisit } from '#core/visit/fold'
import type { HistoryReading } from '#core/visit/history'
import { historyIn } from '#core/visit/history-of'
import { listingOf } from '#core/visit/listing'
import { mergedJournal } from '#core/visit/merged'
import { rowOf } from '#core/visit/visit-row'

/** A kept visit with more lines, its row as they say. */
export function withLines(visit: KeptVisit, lines: readonly Entry[]): KeptVisit {
  const entries = mergedJournal(visit.entries, lines) as Entry[]
  if (entries === visit.entries) return visit
  const listing = listingOf(entries)
  return { ...visit, entries, row: listing ? rowOf(listing, visit.row) : visit.row }
}

/** A visit that was opened here: what is known of its machine is in the other visits that are kept of it. */
export function openedHere(lines: readonly Entry[], kept: readonly KeptVisit[]): KeptVisit | undefined {
  const entries = mergedJournal([], lines) as Entry[]
  const listing = listingOf(entries)
  if (!listing) return undefined
  const others = kept
    .filter(({ row }) => row.machineId === listing.machine.id)
    .sort((a, b) => (a.row.scheduledAt < b.row.scheduledAt ? -1 : 1))
  const last = others.at(-1)
  const sameKind = last ?? kept.find(({ row }) => row.machine.kind === listing.machine.kind)
  return {
    row: rowOf(listing, last?.site ? { site: last.site } : {}),
    entries,
    history: last ? [...last.history, ...readIn(last)] : [],
    experience: sameKind?.experience ?? {},
    pace: sameKind?.pace ?? {},
    lastReadings: last?.lastReadings ?? [],
    ...(last?.site ? { site: last.site } : {}),
  }
}

function readIn({ entries }: KeptVisit): HistoryReading[] {
  const state = foldVisit(entries)
  return state ? historyIn(state) : []
}
