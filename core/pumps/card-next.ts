import type { Due } from '../visit/entry'
import type { MachineCard } from './card'
import type { CardRow } from './card-rows'

/** The one thing worth doing about a machine. */
export type CardNext =
  | { is: 'open'; visitId: string; words: string; scheduledAt: string }
  | { is: 'due'; due: Due & { visitId: string }; late: boolean }
  | { is: 'reading'; row: CardRow }
  | { is: 'nothing' }

const DAY = 86_400_000
/** So far ahead a day is worth telling somebody of, days. */
const SOON_DAYS = 30
/** A line that meets its limit within a season is read again, days. */
const SEASON_DAYS = 120

/**
 * What is worth doing next about a machine: the visit that is open, what is due, a line that meets its limit within a
 * season. A machine that is no longer there asks for nothing.
 *
 * @param now ISO instant
 */
export function cardNext(
  { visits, due, rows, retired }: Pick<MachineCard, 'visits' | 'due' | 'rows' | 'retired'>,
  now: string,
): CardNext {
  if (retired) return { is: 'nothing' }
  const open = visits.find(({ handedOver, cancelled }) => !handedOver && cancelled === undefined)
  if (open) return { is: 'open', visitId: open.id, words: open.words, scheduledAt: open.scheduledAt }
  const at = Date.parse(now)
  const soon = due.find(({ on }) => Date.parse(on) <= at + SOON_DAYS * DAY)
  if (soon) return { is: 'due', due: soon, late: soon.on < now.slice(0, 10) }
  const row = rows.find(
    ({ crossing }) => crossing.is === 'past' || (crossing.is === 'ahead' && crossing.at <= at + SEASON_DAYS * DAY),
  )
  return row ? { is: 'reading', row } : { is: 'nothing' }
}
