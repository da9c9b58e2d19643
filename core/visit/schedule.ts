import type { Entry, EntryBodies } from './entry'
import { newestOf, ofKind } from './of-kind'

/** When a visit is to be done, and what was promised of it. */
export interface Schedule {
  /** An instant of the day that it stands in, or stood in last. */
  scheduledAt: string
  /** An instant of the day on which it was begun, where it goes on on another. */
  beganAt?: string
  /** It has no day. */
  waits: boolean
  cancelled?: string
  arranged: EntryBodies['arranged']
}

/** The first visit of a visit's journey, where that is another, as the newest word on it says. */
export function togetherIn(live: readonly Entry[]): string | undefined {
  return newestOf(live, 'together')?.body.with
}

/**
 * When a visit is to be done, as the newest word on it says.
 *
 * @param live of one visit, in their order
 */
export function scheduleOf(live: readonly Entry[]): Schedule {
  let scheduledAt = newestOf(live, 'visit-opened')?.body.scheduledAt ?? ''
  let beganAt: string | undefined
  let waits = false
  for (const { body } of ofKind(live, 'planned')) {
    if (body.goesOn) beganAt ??= scheduledAt
    waits = body.at === undefined
    scheduledAt = body.at ?? scheduledAt
  }
  // Put back into the day on which it was begun, it goes on nowhere else.
  const goesOn = beganAt !== undefined && beganAt.slice(0, 10) !== scheduledAt.slice(0, 10)
  const cancelled = newestOf(live, 'cancelled')?.body.why
  return {
    scheduledAt,
    ...(goesOn ? { beganAt } : {}),
    waits,
    ...(cancelled === undefined ? {} : { cancelled }),
    arranged: newestOf(live, 'arranged')?.body ?? {},
  }
}

/**
 * The orders of a day by van, the newest word on each.
 *
 * @param live lines of the shop's own journal, in their order
 */
export function ordersOf(live: readonly Entry[], on: string): Record<string, string[]> {
  return Object.fromEntries(
    ofKind(live, 'day-order')
      .filter(({ body }) => body.on === on)
      .map(({ body }) => [body.van, body.visits]),
  )
}
