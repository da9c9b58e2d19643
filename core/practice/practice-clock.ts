/** How much faster than life the clock of practice goes. */
export const TIMES_LIFE = 6
const MINUTE = 60_000

/** Since when, by the device’s clock, time has been running on from the last line; undefined while it is held. */
export interface Running {
  since?: number
}

/**
 * The clock of practice now, milliseconds: from the last line on, six times as fast as the one on the wall.
 *
 * @param last the instant of the last line, by this clock
 * @param now the device’s clock
 */
export function practiceNow(last: number, { since }: Running, now: number): number {
  return since === undefined ? last : last + TIMES_LIFE * Math.max(0, now - since)
}

/**
 * When an act of so many minutes is over: it takes as long as in life, and longer where somebody thought about it for
 * longer than that.
 */
export function instantAfter(last: number, running: Running, now: number, minutes: number): number {
  return Math.round(Math.max(last + minutes * MINUTE, practiceNow(last, running, now)))
}
